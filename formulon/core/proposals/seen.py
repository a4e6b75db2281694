"""How much of what visitors see each part of a style makes up: its share of the area of the pages, what stands on a first screen
counting three times.

Areas are told by shaping (site/extents.py), on a phone and on a desktop alike. They overlap: a headline is type, scale and layout at
once. What is drawn without a declared box, a table or a form, counts by its rule of thumb.
"""

from collections.abc import Iterator

from formulon.core.proposals.style import PARTS
from formulon.core.site.extents import Extent, Extents
from formulon.core.site.geometry import general
from formulon.core.site.layout import HEADINGS
from formulon.core.site.motif_drawn import painted, places
from formulon.core.site.setting import step_of
from formulon.core.site.site import Page, Section, Site
from formulon.core.site.slots import slot_values
from formulon.core.system.documents.choices import StylePart
from formulon.core.system.system import System

SCREENS = ((360, 640), (1280, 800))  # width and height in px of what is looked at
FIRST = 3.0  # how much a first screen counts
_HEADER, _LEAST_FOOTER, _BAND = 72.0, 160.0, 96.0  # px high
_BUTTON = 160 * 44.0  # px², of a button


def shares(site: Site, system: System) -> dict[StylePart, float]:
    """The share, 0–1, that each part makes up of what is seen of a site's pages."""
    found = dict.fromkeys(PARTS, 0.0)
    extents = Extents(system, site.choices, site.identity.language)
    for width, height in SCREENS:
        areas = dict.fromkeys(PARTS, 0.0)
        whole = 0.0
        for page in site.drawn:
            for part, area in _page(site, system, extents, page, width, height):
                areas[part] += area
                whole += area if part == "layouts" else 0.0
        for part, area in areas.items():
            found[part] += min(1.0, area / whole) / len(SCREENS) if whole else 0.0
    return {part: round(found[part], 4) for part in PARTS}


def _page(
    site: Site, system: System, extents: Extents, page: Page, width: int, height: int
) -> Iterator[tuple[StylePart, float]]:
    """The areas of a page in px² by the part that they show, weighted."""
    motifs = places(site, page)

    def seen(top: float, bottom: float) -> float:
        """A height, of which what is on the first screen counts more."""
        return (bottom - top) + (FIRST - 1) * max(0.0, min(bottom, height) - min(top, height))

    yield "header", seen(0, _HEADER) * width
    yield "layouts", seen(0, _HEADER) * width
    top = _HEADER
    for section in page.sections:
        boxes, high = extents.of(section, width)
        area = seen(top, top + high) * width
        often = area / (high * width) if high else 1.0
        yield "layouts", area
        yield "order", area if section is not page.sections[0] else 0.0
        filled = 0.0
        pictured = 0.0
        for name, box in boxes.items():
            own = box.filled * box.width * often
            filled += own
            pictures = _pictured(section, name, own)
            pictured += pictures
            yield "pictures", pictures
            yield "corners", pictures
            yield "type", own - pictures
            yield (
                "scale",
                sum(_headline(section, system, path, lines, box, width) for path, (lines, _) in box.lines.items()) * often,
            )
            region = section.declared.regions[name]
            if region.items and section.declared.styled:
                yield "cards", own
                yield "corners", own - pictures
        if any(region.behind for region in section.declared.regions.values()) and section.content.get("picture"):
            yield "pictures", area
            pictured = area
        yield "rhythm", max(0.0, area - pictured)
        yield "space", max(0.0, area - filled)
        buttons = sum(_BUTTON for slot, _ in slot_values(section).values() if slot.of.drawn_as == "button") * often
        yield "buttons", buttons
        if how := motifs.get(section.id):
            yield "motif", painted(site, system, how) * (_BAND * width * often if how == "band" else area)
        top += high
    _, high = extents.of(site.frame.footer, width)
    area = seen(top, top + max(high, _LEAST_FOOTER)) * width
    yield "footer", area
    yield "layouts", area


def _pictured(section: Section, name: str, area: float) -> float:
    """How much of a region's area its pictures take: all of it where it holds nothing else, else their share of its parts."""
    region = section.declared.regions[name]
    parts = [
        slot.of.picture
        for path, (slot, _) in slot_values(section).items()
        if general(path) in region.slots or (region.items and path.split("/")[0] == region.slots[0])
    ]
    return area * min(1.0, 2 * sum(parts) / (len(parts) + sum(parts))) if parts else 0.0


def _headline(section: Section, system: System, path: str, lines: int, box: Extent, width: int) -> float:
    """The area of a headline in px²; nothing for other texts."""
    name = step_of(section, path)
    step = system.steps[name]
    return lines * step.size(width) * step.line_height * box.width if name in HEADINGS else 0.0
