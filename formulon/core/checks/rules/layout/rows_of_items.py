"""Marks of others stand in one or two rows (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import in_other_layouts
from formulon.core.checks.views import SectionView
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, view: SectionView, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    yield from in_other_layouts(site, view.place)


@rule(
    id="layout/rows-of-items",
    title="A row of marks is a row, or two",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SectionView,
    applies_if=lambda view: view.head.rows > 0 and CATALOGUE[view.head.kind].usual.rows > 0,
    rationale="A wall of marks is passed over; a row of them is read as a statement.",
    messages={"many": "“{kind}” takes {measured} rows on a desktop; {required} are the most that is taken in at once."},
    mend=mend,
    bound="most",
)
def rows_of_items(view: SectionView, _: Mapping[str, float]) -> Iterator[Verdict]:
    kind = CATALOGUE[view.head.kind]
    if view.head.rows > kind.usual.rows:
        yield Verdict("many", view.head.rows, kind.usual.rows, values={"kind": kind.label})
