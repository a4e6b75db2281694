"""Texts and grounds have colours of the system (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_code import from_system_at
from formulon.core.checks.page_facts import Style
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView
from formulon.core.color.difference import difference
from formulon.core.color.srgb import from_hex


@rule(
    id="consistency/stray-colors",
    title="Colours are those of the system",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    applies_if=lambda site: bool(site.allowed and site.allowed.colors),
    options={"same": 0.5},
    rationale="A colour that is in no token is changed by no token: it stays behind when the brand moves on.",
    messages={
        "one": "{color} is no colour of the system; the nearest is {name}, {nearest}, {measured} ΔE2000 from it. One text has it.",
        "stray": "{color} is no colour of the system; the nearest is {name}, {nearest}, {measured} ΔE2000 from it. {count} texts have it.",
    },
    bound="most",
    mend=from_system_at,
)
def stray_colors(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    """Each stray colour once, where it stands first."""
    if site.allowed is None:
        return
    known = [(name, color, from_hex(color)) for name, color in site.allowed.colors]
    having: dict[str, list[Style]] = {}  # as ink or as ground
    for one in site.styles:
        for color in dict.fromkeys(filter(None, (one.ink, one.ground))):
            having.setdefault(color, []).append(one)
    for color, those in having.items():
        away, name, nearest = min((difference(from_hex(color), rgb), name, own) for name, own, rgb in known)
        if away > options["same"]:
            count = len(those)
            values = {"color": color, "name": name, "nearest": nearest, "count": count, "text": color}
            yield Verdict("stray" if count > 1 else "one", away, options["same"], "", values=values, place=those[0].place)
