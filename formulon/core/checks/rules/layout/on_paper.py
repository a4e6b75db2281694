"""A page on paper is no wider than the sheet (CSS Paged Media 3; common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Printed
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="layout/on-paper",
    title="Pages fit on paper",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Printed,
    options={"over": 0.02},  # which browsers make up for by drawing the page smaller
    bound="most",
    rationale="People print directions, prices and programmes; what is wider than the sheet is cut off, and what is cut in a box stays cut.",
    messages={
        "wide": "On paper the page is {measured} px wide; a sheet (A4, with its margins) has {required}.",
        "cut": "On paper some of “{text}” is cut off.",
    },
)
def on_paper(printed: Printed, options: Mapping[str, float]) -> Iterator[Verdict]:
    if printed.wide > printed.sheet * (1 + options["over"]):
        yield Verdict("wide", float(printed.wide), float(printed.sheet), "px", values={"text": printed.out})
    for text in printed.cut[:3]:
        yield Verdict("cut", values={"text": text[:60]})
