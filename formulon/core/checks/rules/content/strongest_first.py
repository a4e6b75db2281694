"""The offer of which most can be shown stands first (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Destination, PictureFact, Words
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import item_first
from formulon.core.checks.views import SectionView
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, view: SectionView, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    changes = item_first(site, view.place, int(verdict.values["index"]))
    if changes:
        yield Remedy("Put it first", changes)


@rule(
    id="content/strongest-first",
    title="The strongest offer stands first",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SectionView,
    rationale="Many look at the first alone: it should be the one of which there is most to see and most to do.",
    messages={"weaker": "The first has no {lacks}; number {number} has."},
    mend=mend,
)
def strongest_first(view: SectionView, _: Mapping[str, float]) -> Iterator[Verdict]:
    asked = CATALOGUE[view.head.kind].usual.first
    has: dict[int, set[str]] = {}
    for fact in view.facts if asked else ():
        parts = fact.place.slot.split("/")
        if isinstance(fact, Words | PictureFact | Destination) and len(parts) > 2 and parts[2] in asked:
            has.setdefault(int(parts[1]), set()).add(parts[2])
    if not has:
        return
    best = max(has, key=lambda index: (len(has[index]), -index))
    lacks = has[best] - has.get(0, set())
    if best and len(has[best]) > len(has.get(0, ())):
        values = {"lacks": " and no ".join(sorted(lacks)), "number": best + 1, "index": best}
        yield Verdict("weaker", values=values)
