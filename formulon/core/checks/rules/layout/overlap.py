"""No text lies over another (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Overlap
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="layout/overlap",
    title="No text lies over another",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=Overlap,
    rationale="Two texts in one place are two texts that nobody reads.",
    messages={"over": "“{text}” lies over “{other}”."},
)
def overlap(one: Overlap, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("over", width=one.width, values={"text": one.text[:50], "other": one.other[:50]})
