"""Strong grounds are set apart by quiet ones (common practice)."""

from collections.abc import Iterator, Mapping
from itertools import pairwise
from typing import Any

from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.views import PageView
from formulon.core.site.changes import Change, pointer
from formulon.core.site.documents import located
from formulon.core.site.site import Site
from formulon.core.system.system import System

STRONG, QUIET = ("brand", "accent", "deep"), ("paper", "tint")


def mend(site: Site, system: System, page: PageView, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    found = located(site, verdict.place.page, verdict.place.section) if verdict.place else None
    if found is None:
        return
    document, base, _ = found
    for ground in QUIET:
        patch: list[dict[str, Any]] = [{"op": "replace", "path": pointer(*base, "ground"), "value": ground}]
        if site.choices.rhythm:
            patch.append({"op": "add", "path": pointer(*base, "departs"), "value": True})
        yield Remedy(f"Stand it on {ground}", (Change(document=document, patch=patch),))


@rule(
    id="layout/strong-grounds",
    title="No two strong grounds in succession",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PageView,
    rationale="Two strong grounds in succession leave no rest between them, and the edge where they meet is the loudest thing there.",
    messages={"two-strong": "It stands on {ground}, right after a section on {before}."},
    mend=mend,
)
def strong_grounds(page: PageView, options: Mapping[str, float]) -> Iterator[Verdict]:
    for before, section in pairwise(page.own):
        if before.head.ground in STRONG and section.head.ground in STRONG:
            values = {"ground": section.head.ground, "before": before.head.ground}
            yield Verdict("two-strong", values=values, place=section.place)
