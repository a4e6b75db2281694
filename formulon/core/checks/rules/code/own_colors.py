"""Colours in the designer's own CSS come from the system, so that a change of the brand reaches them."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_cascade import painted
from formulon.core.checks.own_code import colors_on, rewritten
from formulon.core.checks.page_facts import OwnCode
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.color.difference import difference
from formulon.core.color.srgb import from_hex
from formulon.core.site.own.css import tidied
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, system: System, code: OwnCode, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    """Each colour that is written out, as the nearest of the system's on the section's ground."""
    section = site.section(code.place.page, code.place.section)
    known = {name: from_hex(color) for name, color in colors_on(system, section.ground if section else "paper").items()}

    def taken(color: str) -> str:
        return f"var({min(known, key=lambda name: (difference(known[name], from_hex(color)), name))})"

    change = rewritten(site, code.place, lambda own: {"css": tidied(own["css"], lambda _, value: painted(value, taken))})
    if change:
        yield Remedy("Take the nearest colours of the system", (change,))


@rule(
    id="code/own-colors",
    title="Own CSS takes its colours from the system",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=OwnCode,
    rationale="A colour that is written out stays as it is when the palette changes, and in the other scheme.",
    mend=mend,
    messages={"written-out": "Written out in your own CSS: {colors}. Take the system's instead, as in var(--heading)."},
)
def own_colors(code: OwnCode, _: Mapping[str, float]) -> Iterator[Verdict]:
    if code.colors:
        yield Verdict("written-out", measured=len(code.colors), values={"colors": ", ".join(code.colors[:6])})
