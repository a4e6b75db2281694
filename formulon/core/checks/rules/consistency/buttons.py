"""Buttons of a site are of one family (common practice)."""

from collections import Counter
from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Control
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView

_LABELLED = 2  # characters of what is a button with words


@rule(
    id="consistency/buttons",
    title="Buttons are of one family",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"radii": 2, "faces": 2},
    bound="most",
    rationale="A button is known by its shape; one with other corners or another typeface is taken for something else.",
    messages={
        "corners": "Buttons have {measured} radii: {values} px. “{label}” is one of the rarest.",
        "faces": "Buttons are set in {measured} typefaces: {values}.",
    },
)
def buttons(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    held = [
        one for one in site.all_of(Control) if one.kind == "button" and len(one.label) > _LABELLED and (one.filled or one.edge)
    ]
    # As round as it can be is one radius, however high the button.
    radii = Counter("round" if one.radius >= one.high / 2 - 1 else f"{one.radius:g}" for one in held)
    if len(radii) > options["radii"]:
        rare = min(radii, key=lambda radius: radii[radius])
        where = next(one for one in held if rare == ("round" if one.radius >= one.high / 2 - 1 else f"{one.radius:g}"))
        values = {"values": ", ".join(sorted(radii)), "label": where.label[:60]}
        yield Verdict("corners", float(len(radii)), options["radii"], "", values=values, place=where.place)
    faces = Counter(one.family for one in held)
    if len(faces) > options["faces"]:
        yield Verdict("faces", float(len(faces)), options["faces"], "", values={"values": ", ".join(sorted(faces))})
