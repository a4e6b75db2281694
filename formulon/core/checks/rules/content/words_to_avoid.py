"""Texts keep to the words of the brand's guideline (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Words
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import without_sentences
from formulon.core.site.site import Site
from formulon.core.system.system import System
from formulon.core.writing.sentences import says


def mend(site: Site, _: System, words: Words, verdict: Verdict, __: Mapping[str, float]) -> Iterator[Remedy]:
    yield from without_sentences(site, words.place, words.text, lambda one: bool(says(one, list(words.avoided))))


@rule(
    id="content/words-to-avoid",
    title="No text says what the guideline avoids",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Words,
    applies_if=lambda words: bool(words.avoided),
    rationale="A brand is known by its words as by its colours, and its guideline names those that are not its own.",
    messages={"avoided": "It says {words}, which the guideline avoids."},
    mend=mend,
)
def words_to_avoid(words: Words, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("avoided", values={"words": ", ".join(f"“{one}”" for one in words.avoided[:4])})
