"""The mark is large enough to be seen (the guideline, else common practice)."""

import math
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import MarkDrawn
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.site.changes import Change
from formulon.core.site.documents import CHOICES
from formulon.core.site.header import head
from formulon.core.site.site import Site
from formulon.core.system.system import System


def measure(mark: MarkDrawn) -> float:
    return min(high for _, high in mark.sizes.values())


def mend(site: Site, _: System, mark: MarkDrawn, __: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    if mark.place.section not in site.frame.ids or mark.place.slot != "mark":
        return
    logo = site.choices.logo
    footer = mark.place.section == site.frame.footer.id
    least = math.ceil(mark.least / (1.0 if footer else head(site).mark))
    ends = {"footer": logo.footer} if footer else {"header_small": logo.header_small, "header_large": logo.header_large}
    if footer and logo.footer_small is not None:
        ends["footer_small"] = logo.footer_small
    patch = [{"op": "add", "path": f"/logo/{end}", "value": max(least, value)} for end, value in ends.items()]
    yield Remedy(f"{least} px high in the {'footer' if footer else 'header'}", (Change(document=CHOICES, patch=patch),))


@rule(
    id="brand/mark-size",
    title="The mark is as large as it has to be",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=MarkDrawn,
    rationale="Below its least size a mark's thinnest strokes and counters fill in, and it is no longer the brand's.",
    messages={"small": "{name} is {measured} px high; {required} px is the least. {why}"},
    mend=mend,
    measure=measure,
)
def mark_size(mark: MarkDrawn, _: Mapping[str, float]) -> Iterator[Verdict]:
    width = min(mark.sizes, key=lambda one: mark.sizes[one][1])
    if mark.sizes[width][1] < mark.least - 0.5:
        yield Verdict("small", mark.sizes[width][1], mark.least, "px", width, {"name": mark.name, "why": mark.why})
