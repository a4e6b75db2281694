"""A site has a scale of sizes, and not a size for each text (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import nearest_sizes
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="consistency/many-sizes",
    title="Running text has few sizes",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"most": 6},
    rationale="Sizes that hardly differ say nothing by it; a scale has few steps for running text.",
    messages={"many": "Running text has {measured} sizes, {sizes} px; {required} is the most."},
    bound="most",
    mend=nearest_sizes,
)
def many_sizes(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    held = [one for one in site.styles if not one.level and one.size <= 22]
    sizes = sorted({round(one.size, 1) for one in held})
    if len(sizes) > options["most"]:
        values = {"sizes": ", ".join(f"{size:g}" for size in sizes[:12]), "text": ""}
        yield Verdict("many", len(sizes), options["most"], "", values=values, place=held[0].place)
