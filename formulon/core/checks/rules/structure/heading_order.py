"""Headings of a page descend step by step (WCAG 2.2 SC 1.3.1; technique G141)."""

from collections.abc import Iterator, Mapping
from itertools import pairwise

from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.checks.views import PageView


@rule(
    id="structure/heading-order",
    title="Headings follow one another in order",
    standard=Ref("WCAG 2.2", "1.3.1", "A"),
    severity="note",
    looks_at=PageView,
    rationale="Who cannot see a page finds the way by its headings; a level that is left out sounds as if something were missing.",
    messages={
        "no-first": "The page has no headline of the first level.",
        "two-firsts": "“{words}” is a second headline of the first level.",
        "left-out": "“{words}” is of level {level} after one of level {before}.",
    },
)
def heading_order(page: PageView, options: Mapping[str, float]) -> Iterator[Verdict]:
    firsts = [run for run in page.headings if run.level == 1]
    if not firsts:
        yield Verdict("no-first")
    for run in firsts[1:]:
        yield Verdict("two-firsts", values={"words": run.text[:60], "text": run.text}, place=run.place)
    for before, run in pairwise(page.headings):
        if run.level > before.level + 1:
            values = {"words": run.text[:60], "level": run.level, "before": before.level, "text": run.text}
            yield Verdict("left-out", values=values, place=run.place)
