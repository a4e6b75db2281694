"""Corners have few radii (common practice)."""

from collections import Counter
from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import PageValues
from formulon.core.checks.own_mends import CORNERS, own_css
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="consistency/corners",
    title="Corners have few radii",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"most": 5},
    bound="most",
    rationale="Corners of one family look made by one hand; each radius beside them looks found.",
    messages={"many": "Boxes have {measured} radii: {radii} px; {required} are the most that look like one family."},
    mend=own_css(CORNERS),
)
def corners(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    counts: Counter[str] = Counter()
    for one in site.all_of(PageValues):
        if one.kind == "corner":
            counts.update(dict(one.values))
    if len(counts) > options["most"]:
        radii = ", ".join(sorted(counts, key=float))
        yield Verdict("many", float(len(counts)), options["most"], "", values={"radii": radii[:120]})
