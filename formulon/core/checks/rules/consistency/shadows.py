"""Shadows are few (common practice)."""

from collections import Counter
from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import PageValues
from formulon.core.checks.own_mends import SHADOWS, own_css
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="consistency/shadows",
    title="Shadows are few",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"most": 4},
    bound="most",
    rationale="Shadows say how high a part lies; more than a few heights say nothing any more.",
    messages={"many": "Boxes cast {measured} kinds of shadow; {required} are the most that tell heights apart."},
    mend=own_css(SHADOWS),
)
def shadows(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    counts: Counter[str] = Counter()
    for one in site.all_of(PageValues):
        if one.kind == "shadow":
            counts.update(dict(one.values))
    if len(counts) > options["most"]:
        yield Verdict("many", float(len(counts)), options["most"], "")
