"""Facts of a picture: whether it is there, its colours, and how large it is beside how large it is drawn."""

from collections.abc import Iterable
from dataclasses import replace
from typing import Any

from formulon.core.checks.page_facts import PagePlace, PictureFact
from formulon.core.site.image_sizes import drawn_width
from formulon.core.site.site import Site
from formulon.core.system.system import System


def picture_fact(site: Site, system: System, widths: Iterable[int], place: PagePlace, value: dict[str, Any]) -> PictureFact:
    """The fact of a picture at a place, for some widths of the viewport in px."""
    source = value["source"]
    asset = site.asset(source[6:]) if source.startswith("asset:") else None
    palette = tuple(color.parsed.hex for color in site.identity.colors)
    found = asset is not None or not source.startswith("asset:")
    colors, treatment = asset.colors if asset else {}, site.choices.pictures
    fact = PictureFact(place, source, value["alt"], value["decorative"], found, colors, palette, treatment)
    section = site.section(place.page, place.section)
    if asset is None or section is None or place.slot.partition("/")[0] not in section.content:
        return fact
    if asset.svg:
        return replace(fact, weights=dict.fromkeys(widths, len(asset.svg.encode())))
    ratio = asset.width / asset.height
    told = {width: drawn_width(system, section, place.slot, width, ratio) for width in widths}
    drawn = {width: across for width, across in told.items() if across is not None}
    sizes = asset.sizes("avif") or asset.sizes("webp")
    asked = {width: next((one for one in sizes if one.width >= across), sizes[-1]) for width, across in drawn.items()}
    weights = {width: one.size for width, one in asked.items() if one.size}
    return replace(fact, pixels=sizes[-1].width, drawn=drawn, weights=weights)
