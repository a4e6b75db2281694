"""The brand’s exact colours are on its pages (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import ColorsDrawn
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="brand/colors-present",
    title="The brand’s colours are on its pages",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"named": 6},
    rationale="A colour that the brand has fixed and no page shows is either forgotten or not needed; both want a decision.",
    messages={"absent": "{name} {value} is drawn in no text and on no ground of any page. Marks and pictures may have it."},
)
def colors_present(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    held = site.all_of(ColorsDrawn)
    exact = [pair for one in held for pair in one.exact]
    if len(exact) > options["named"]:  # a palette of many is for pictures and diagrams
        return
    drawn = {color.lower() for color in set().union(*(one.colors for one in held))}
    for name, value in exact:
        if value.lower() not in drawn:
            yield Verdict("absent", values={"name": name, "value": value, "text": value})
