"""Texts of a section share few left edges (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import LeftEdges
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="layout/left-edges",
    title="Texts share few left edges",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=LeftEdges,
    options={"most": 9},
    bound="most",
    rationale="The eye follows edges; where every text begins elsewhere, it has none to follow.",
    messages={"many": "Texts of this section begin at {measured} left edges; {required} are the most that are followed."},
)
def left_edges(one: LeftEdges, options: Mapping[str, float]) -> Iterator[Verdict]:
    if one.count > options["most"]:
        yield Verdict("many", float(one.count), options["most"], "", width=one.width)
