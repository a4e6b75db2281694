"""What Formulon says of its own on a page is in the page's language (common practice; WCAG 2.2 SC 3.1.1 asks that it is known)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageHead
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.site.phrases import base, phrases, whole
from formulon.core.type.languages import LANGUAGES


@rule(
    id="content/own-language",
    title="Pages say nothing in another language",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PageHead,
    applies_if=lambda head: head.first and base(head.language) not in whole(),
    rationale="A sentence in another language in the middle of a page tells visitors that nobody read it.",
    messages={
        "no-sentences": (
            "Formulon writes no sentences in {language} yet: pages hold facts, and the names of pages and parts. "
            "Write what else should be said."
        ),
        "no-words": (
            "Formulon has no words in {language} yet: what it calls pages and parts is English until it is written in {language}."
        ),
    },
)
def own_language(head: PageHead, _: Mapping[str, float]) -> Iterator[Verdict]:
    name = LANGUAGES.get(base(head.language), f"“{head.language}”")
    yield Verdict("no-sentences" if phrases(head.language).known else "no-words", values={"language": name})
