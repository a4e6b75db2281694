"""The mark keeps its clear space (the guideline, else common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import MarkDrawn
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="brand/mark-clear",
    title="The mark keeps its clear space",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=MarkDrawn,
    applies_if=lambda mark: mark.needed > 0,
    rationale="A mark that something crowds reads as one thing with it.",
    messages={"crowded": "Something stands {measured} px from {name}; it needs {required} px of clear space."},
)
def mark_clear(mark: MarkDrawn, _: Mapping[str, float]) -> Iterator[Verdict]:
    if mark.room < mark.needed - 0.5:
        yield Verdict("crowded", mark.room, round(mark.needed, 1), "px", values={"name": mark.name})
