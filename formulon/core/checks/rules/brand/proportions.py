"""Colours stand in the proportions that the guideline wants (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Areas
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView
from formulon.core.color.difference import difference
from formulon.core.color.srgb import from_hex


@rule(
    id="brand/proportions",
    title="Colours stand in the proportions that the guideline wants",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"apart": 25.0, "near": 15.0},
    rationale="A brand is known by how much there is of each colour as well as by which they are.",
    messages={"otherwise": "Some {measured} % of all grounds are {name}; the guideline wants {wanted} %."},
)
def proportions(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    held = site.all_of(Areas)
    wanted = next((one.wanted for one in held if one.wanted), ())
    whole = sum(area for one in held for _, area in one.areas)
    if not wanted or not whole:
        return
    found = dict.fromkeys((name for name, _, _ in wanted), 0.0)
    for one in held:
        for value, area in one.areas:
            # A tint of a colour is taken for it; what is near none of them is none.
            apart, name = min((difference(from_hex(value), from_hex(other)), name) for name, other, _ in wanted)
            if apart <= options["near"]:
                found[name] += 100 * area / whole
    for name, _, share in wanted:
        if abs(found[name] - share) > options["apart"]:
            yield Verdict("otherwise", found[name], share, "%", values={"name": name, "wanted": f"{share:g}"})
