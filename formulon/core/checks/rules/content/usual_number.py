"""How many of a thing convince, by the kind of the section (common practice): two or three quotes, pictures in even numbers."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import without_items
from formulon.core.checks.views import SectionView
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, view: SectionView, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    if verdict.code == "few":
        return
    kept = int(verdict.required or 0) if verdict.code == "many" else view.head.items - 1
    changes = without_items(site, view.place, range(kept, view.head.items))
    if changes:
        yield Remedy("Leave the last one out" if view.head.items - kept == 1 else f"Keep the first {kept}", changes)


@rule(
    id="content/usual-number",
    title="There are as many of a thing as convince",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SectionView,
    applies_if=lambda view: view.head.items > 0,
    rationale="One voice may be a friend's, and nobody reads nine; a picture left over makes a row look unfinished.",
    messages={
        "few": "{measured} in “{kind}”; {required} or more are believed sooner.",
        "many": "{measured} in “{kind}”; more than {required} are not read.",
        "odd": "{measured} in “{kind}”, an odd number: an even one fills its rows.",
    },
    mend=mend,
)
def usual_number(view: SectionView, _: Mapping[str, float]) -> Iterator[Verdict]:
    kind = CATALOGUE[view.head.kind]
    values = {"kind": kind.label}
    if view.head.items < kind.usual.least:
        yield Verdict("few", view.head.items, kind.usual.least, values=values)
    elif kind.usual.most and view.head.items > kind.usual.most:
        yield Verdict("many", view.head.items, kind.usual.most, values=values)
    elif kind.usual.even and view.head.items % 2 and view.head.items > 1:
        yield Verdict("odd", view.head.items, view.head.items - 1, values=values)
