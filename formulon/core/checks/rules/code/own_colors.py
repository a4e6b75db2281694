"""Colours in the designer's own CSS come from the system, so that a change of the brand reaches them."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_code import as_brand_colors, from_system, kept_departing
from formulon.core.checks.page_facts import OwnCode
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, system: System, code: OwnCode, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    """Each colour that is written out, as the nearest of the system's on the section's ground, or as one of the brand's; or all as they are."""
    yield from from_system(site, system, code.place)
    yield from as_brand_colors(site, code.place)
    yield from kept_departing(site, code.place)


@rule(
    id="code/own-colors",
    title="Own CSS takes its colours from the system",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=OwnCode,
    applies_if=lambda code: not code.reason,
    rationale="A colour that is written out stays as it is when the palette changes, and in the other scheme.",
    mend=mend,
    messages={"written-out": "Written out in your own CSS: {colors}. Take the system's instead, as in var(--heading)."},
)
def own_colors(code: OwnCode, _: Mapping[str, float]) -> Iterator[Verdict]:
    if code.colors:
        yield Verdict("written-out", measured=len(code.colors), values={"colors": ", ".join(code.colors[:6])})
