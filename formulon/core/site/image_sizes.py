"""How wide a browser will draw a picture, so that it asks for a file of that size: the `sizes` of an image. Source: HTML, 4.8.4.2.1.

A picture covers its box, so it is drawn wider than that where it is flatter in shape than the box.
"""

from formulon.core.site.geometry import box_of, px
from formulon.core.site.layout import GRID_FROM, WIDE_FROM, Class, Place, Region, class_of
from formulon.core.site.site import Section
from formulon.core.system.system import System

_MOST = 1.5  # as much wider than its box a picture is taken to be drawn


def image_sizes(system: System, section: Section, slot: str, ratio: float) -> str:
    """The widths at which a picture of a ratio, width to height, is drawn by class of viewport widths, the widest first."""
    wide, middle, small = (_size(system, section, slot, at, ratio) for at in (WIDE_FROM, GRID_FROM, 360))
    made = [f"(min-width: {WIDE_FROM}px) {wide}"] if wide != middle else []
    made += [f"(min-width: {GRID_FROM}px) {middle}"] if middle != small else []
    return ", ".join([*made, small])


def drawn_width(system: System, section: Section, slot: str, viewport: int, ratio: float) -> float | None:
    """The width in px at which a picture of a ratio is drawn at a viewport width: as wide as its box, or as covers it. One that fills its
    rows may be drawn wider, as high as they are. None where a layout cannot tell it."""
    layout, width = section.declared, class_of(viewport)
    region = _region(section, slot, width)
    if region is None or region.free or layout.measured:
        return None
    if region.behind:
        return max(float(viewport), layout.frame_at(width).least_height(viewport) * ratio)
    box, place = box_of(section, slot, viewport), region.place(width)
    if box is None:
        return None
    across = box.width.px(system, viewport)
    return min(across, place.most or across) * _cover(place, ratio)


def _cover(place: Place, ratio: float) -> float:
    """By how much wider than its box a picture is that covers it."""
    return max(1.0, ratio / (place.ratio[0] / place.ratio[1])) if place.ratio else 1.0


def _size(system: System, section: Section, slot: str, viewport: int, ratio: float) -> str:
    layout, width = section.declared, class_of(viewport)
    frame = layout.frame_at(width)
    region = _region(section, slot, width)
    if region is None or region.behind:
        return f"max(100vw, {(frame.least[2] if frame.least else 0) * ratio:.0f}px)"
    box, place = box_of(section, slot, viewport), region.place(width)
    if box is None:
        return "100vw"
    cover = min(_MOST, _cover(place, ratio))
    if place.most:
        return f"{cover * place.most:.0f}px"
    whole, content = cover * box.width.viewport * 100, cover * max(0.0, box.width.content)
    container = px(system, "space/container", viewport)
    parts = [f"{whole:.3g}vw"] if whole else []
    parts += [f"min({content * 100:.3g}vw, {content * container:.0f}px)"] if content else []
    size = f"calc({' + '.join(parts)})" if len(parts) > 1 else (parts or ["100vw"])[0]
    if width == "phone":
        size = f"{min(100 * _MOST, whole + content * 100):.3g}vw"
    if not place.ratio and frame.least:
        size = f"max({size}, {frame.least[2] * ratio:.0f}px)"
    return size


def _region(section: Section, slot: str, width: Class) -> Region | None:
    """The region that holds a picture."""
    layout, parts = section.declared, slot.split("/")
    if len(parts) < 3 or not layout.collection:
        return next((one for one in layout.regions.values() if slot in one.slots), None)
    form = layout.collection[2].form(width, int(parts[1]), len(section.content[parts[0]]))
    return next((one for one in form.values() if parts[2] in one.slots), None)
