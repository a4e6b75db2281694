"""Passages are in the language that they are said to be in (WCAG 2.2 SC 3.1.2)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Spoken
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.type.languages import LANGUAGES
from formulon.core.type.tongues import LEAST, alike, written_in


def _base(language: str) -> str:
    return language.split("-")[0].lower()


@rule(
    id="content/mixed-languages",
    title="Passages are in their page’s language",
    standard=Ref("WCAG 2.2", "3.1.2", "AA"),
    severity="note",
    looks_at=Spoken,
    applies_if=lambda one: len(one.text) >= LEAST and _base(one.language) in LANGUAGES,
    options={"sure": 0.99},
    rationale="What was forgotten when a page was translated is read out with the sounds of another language, and understood by few.",
    messages={"other": "“{text}” reads as {found}; it is said to be in {language}."},
)
def mixed_languages(one: Spoken, options: Mapping[str, float]) -> Iterator[Verdict]:
    found, sure = written_in(one.text)
    if sure >= options["sure"] and not alike(found, one.language):
        values = {"text": one.text[:60], "found": LANGUAGES[found], "language": LANGUAGES[_base(one.language)]}
        yield Verdict("other", values=values)
