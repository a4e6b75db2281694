"""Names of pages and parts that Formulon has no words for in the page's language stand in English until they are written (WCAG 2.2
SC 3.1.2, Language of Parts)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import PageView
from formulon.core.site.phrases import base, only_english, phrases
from formulon.core.type.languages import LANGUAGES


@rule(
    id="content/missing-phrase",
    title="Every name is in the page's language",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=PageView,
    applies_if=lambda page: not phrases(page.head.language).known,
    rationale="A menu in English on a page in another language sends away those whom the page was written for.",
    messages={"missing": "“{text}” is English: Formulon has no words in {language} yet. Write it in {language}."},
)
def missing_phrase(page: PageView, _: Mapping[str, float]) -> Iterator[Verdict]:
    language = LANGUAGES.get(base(page.head.language), f"“{page.head.language}”")
    named = [(page.head.place, page.head.name)] if page.head.name else []
    runs = [fact for section in page.own for fact in section.facts if isinstance(fact, TextRun)]
    told = {run.place: run.text for run in runs if run.text != page.head.name}
    for place, text in (*named, *told.items()):
        if only_english(text):
            yield Verdict("missing", place=place, values={"text": text, "language": language})
