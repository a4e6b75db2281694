"""Distances have few values (common practice)."""

from collections import Counter
from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import PageValues
from formulon.core.checks.own_mends import nearest_spaces
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView

_TOLD = 24  # values in a message


@rule(
    id="consistency/spaces",
    title="Distances have few values",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"most": 16},
    bound="most",
    rationale="Distances out of one scale make order without anybody noticing why; each one between its steps looks like a mistake.",
    messages={
        "many": "Margins, paddings and gaps have {measured} values: {spaces} px; {required} are the most that look like one scale."
    },
    mend=nearest_spaces,
)
def spaces(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    counts: Counter[str] = Counter()
    for one in site.all_of(PageValues):
        if one.kind == "space":
            counts.update(dict(one.values))
    if len(counts) > options["most"]:
        values = sorted(counts, key=float)
        told = ", ".join(values[:_TOLD]) + (" …" if len(values) > _TOLD else "")
        yield Verdict("many", float(len(counts)), options["most"], "", values={"spaces": told})
