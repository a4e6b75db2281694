"""Boxes at a viewport width, from the tokens and from what layouts declare. The style sheet is written from the same declaration
(layout_css.py); browser tests hold the two against each other.

Where V is the width of the viewport and M its margin, content is C = min(container, V - 2 M) wide, and a span of n of 12 columns with
gaps g between them (C + g) n / 12 - g. Every box is therefore a sum of C, V and tokens, each with a factor.
"""

import math
from collections.abc import Mapping
from dataclasses import dataclass
from functools import lru_cache

from formulon.core.site.layout import CLASSES, COLUMNS, GRID_FROM, WIDE_FROM, Class, Collection, Layout, Place, Region, class_of
from formulon.core.site.site import Section
from formulon.core.system.fluid import between
from formulon.core.system.system import System
from formulon.core.type.fit import cased
from formulon.core.type.hyphens import hyphenated
from formulon.core.type.lines import line_count, text_width

__all__ = ["COLUMNS", "GRID_FROM", "WIDE_FROM", "Box", "Length", "action_size", "box_of", "box_width", "content_width", "px"]
GAP = "space/4"  # between columns
UNFOLD_MARK = "5"  # room for the mark beside what is pressed to see more
CARD_INSET = ("card/padding", "card/border")  # inside a card as the site has them, on each side


@dataclass(frozen=True, slots=True)
class Length:
    """A length as a sum: shares of the width of a section's content and of the viewport, and tokens with their factors."""

    content: float = 0.0
    viewport: float = 0.0
    tokens: Mapping[str, float] | None = None

    def plus(self, other: "Length", factor: float = 1.0) -> "Length":
        made = dict(self.tokens or {})
        for name, share in (other.tokens or {}).items():
            made[name] = made.get(name, 0.0) + factor * share
        made = {name: share for name, share in made.items() if share}
        return Length(self.content + factor * other.content, self.viewport + factor * other.viewport, made)

    def times(self, factor: float) -> "Length":
        return Length().plus(self, factor)

    def px(self, system: System, viewport: float) -> float:
        found = self.viewport * viewport + sum(
            factor * px(system, name, viewport) for name, factor in (self.tokens or {}).items()
        )
        return found + (self.content * content_width(system, viewport) if self.content else 0.0)


SHIFT = {"start": 0.0, "center": 0.5, "end": 1.0}
CONTENT = Length(content=1.0)
MARGIN = Length(content=-0.5, viewport=0.5)  # from the edge of the viewport to the content


def token(name: str, factor: float = 1.0) -> Length:
    """A space ("5", or the path of another token) with a factor."""
    return Length(tokens={name if "/" in name else f"space/{name}": factor})


def span(whole: Length, columns: int, of: int) -> Length:
    """The width of some of the columns that a width is divided into."""
    gap = token(GAP)
    return whole.plus(gap).times(columns / of).plus(gap, -1.0)


def before(whole: Length, first: int, of: int) -> Length:
    """How far from the start a column begins."""
    return whole.plus(token(GAP)).times((first - 1) / of)


@dataclass(frozen=True, slots=True, eq=False)
class Box:
    """Where a text stands across: the room from the start edge of the viewport that it stands in, how wide its own box is, the cap
    of that in em of its own size, and the share, 0–1, of what is left of the room that stands before it."""

    start: Length
    width: Length
    most_em: float | None = None
    room: Length = Length()
    shift: float = 0.0


def px(system: System, path: str, viewport: float) -> float:
    """A dimension token in px at a viewport width, fluid between 360 and 1280 px."""
    known = system.measured.get((path, viewport))
    if known is None:
        value = system.tokens[path].value
        known = float(value["value"]) if "value" in value else float(between(value["small"], value["large"], viewport))
        system.measured[path, viewport] = known
    return known


def content_width(system: System, viewport: float) -> float:
    """Width in px of a section's content."""
    margin = px(system, "space/gutter", viewport)
    if viewport >= GRID_FROM:
        margin = max(margin, px(system, GAP, viewport))  # a gap stands between the margin's track and the first column
    return min(px(system, "space/container", viewport), viewport - 2 * margin)


@lru_cache(maxsize=4096)
def general(slot: str) -> str:
    """The path of a slot without the number of its item: "items/0/title" is "items/title"."""
    parts = slot.split("/")
    return f"{parts[0]}/{parts[-1]}" if len(parts) == 3 else slot


def box_of(section: Section, slot: str, viewport: float) -> Box | None:
    """The box of a slot ("heading", "items/0/title") in the section's layout; None where a layout cannot tell it, since what
    stands there is turned, cropped or drawn, or where it does not show it."""
    return boxes_of(section, slot)[class_of(viewport)]


def boxes_of(section: Section, slot: str) -> Mapping[Class, Box | None]:
    """`box_of` in each class of widths."""
    parts = slot.split("/")
    return _boxes(section.declared, slot, len(section.content.get(parts[0], ())) if len(parts) == 3 else 0)


@lru_cache(maxsize=8192)
def _boxes(layout: Layout, slot: str, count: int) -> Mapping[Class, Box | None]:
    return {width: box_in(layout, slot, width, count) for width in CLASSES}


@lru_cache(maxsize=8192)
def box_in(layout: Layout, slot: str, width: Class, count: int = 0) -> Box | None:
    """The box of a slot in a layout, with `count` items."""
    if layout.measured:
        return Box(MARGIN, CONTENT)
    parts = slot.split("/")
    if len(parts) == 3 and (same := _twin(layout, int(parts[1]), width, count)) != int(parts[1]):
        return box_in(layout, f"{parts[0]}/{same}/{parts[2]}", width, count)
    for region in layout.regions.values():
        if parts[0] not in region.slots or region.behind:
            continue
        if region.free:
            return None
        start, room = _region(region.place(width), width)
        if len(parts) < 3 or region.items is None:
            return _slot(region, slot, width, COLUMNS, start, room)
        return _item(region, region.items, parts[2], int(parts[1]), count, width, start, room)
    return None


@lru_cache(maxsize=8192)
def _twin(layout: Layout, index: int, width: Class, count: int) -> int:
    """The first of some items that stands in the same columns and has the same form as one of them."""
    if layout.collection is None:
        return index
    _, region, items = layout.collection
    tracks = items.tracks(width)
    spans, columns = tracks.spans(count), COLUMNS if width == "phone" else region.place(width).columns()
    if index >= len(spans):
        return index
    stands = [(sum(spans[:one]) % columns, spans[one], tracks.form(one, count)) for one in range(index + 1)]
    return stands.index(stands[index])


def _region(place: Place, width: Class) -> tuple[Length, Length]:
    """Start and width of a region's content in the section, insets taken off."""
    first, last = place.within() if width != "phone" else (1, COLUMNS)
    start, room = MARGIN.plus(before(CONTENT, first, COLUMNS)), span(CONTENT, last - first + 1, COLUMNS)
    if width == "phone":
        start, room = MARGIN, CONTENT
    to_start, to_end = place.edges
    if place.inset:  # at an edge of the viewport the margin takes the inset's place, so that words stay in line with the grid
        inset = token(place.inset)
        start, room = (start, room) if to_start else (start.plus(inset), room.plus(inset, -1.0))
        return start, room if to_end else room.plus(inset, -1.0)
    if to_start:
        start, room = Length(), room.plus(MARGIN)
    return start, room.plus(MARGIN) if to_end else room


def _slot(region: Region, slot: str, width: Class, columns: int, start: Length, room: Length) -> Box:
    place = region.place(width)
    narrower = place.spans.get(slot) if width != "phone" else None
    own = span(room, narrower, place.columns(columns)) if narrower else room
    return Box(start, own, region.caps.get(slot), room, SHIFT[place.across])


def _item(
    region: Region, items: Collection, part: str, index: int, count: int, width: Class, start: Length, room: Length
) -> Box | None:
    """The box of an item's part: its item's span of the region, what the item's inset leaves, and its place in that."""
    columns = COLUMNS if width == "phone" else region.place(width).columns()
    spans = items.tracks(width).spans(count)
    if not index < len(spans):
        return None
    at = sum(spans[:index]) % columns
    start, room = start.plus(before(room, at + 1, columns)), span(room, spans[index], columns)
    for name in CARD_INSET if items.card == "site" else (items.inset,) if items.inset else ():
        start, room = start.plus(token(name)), room.plus(token(name), -2.0)
    for inner in items.form(width, index, count).values():
        if part in inner.slots:
            if inner.free:
                return None
            place = inner.place(width)
            first, last = place.within(spans[index])
            if items.unfolds and inner is next(iter(items.usual.values())):
                room = room.plus(token(UNFOLD_MARK), -1.0)
            start = start.plus(before(room, first, spans[index]))
            return _slot(inner, part, width, spans[index], start, span(room, last - first + 1, spans[index]))
    return None


def box_width(system: System, box: Box, viewport: float, size: float) -> float:
    """Width in px of a text's box; `size` is the text's size in px."""
    width = system.measured.get((box, viewport))
    if width is None:
        width = system.measured[box, viewport] = box.width.px(system, viewport)
    return min(width, box.most_em * size) if box.most_em else width


def box_start(system: System, box: Box, viewport: float, size: float) -> float:
    """How far in px from the start edge of the viewport a text's box begins; `size` is the text's size in px."""
    start = box.start.px(system, viewport)
    return start + box.shift * (box.room.px(system, viewport) - box_width(system, box, viewport, size)) if box.shift else start


def action_size(
    system: System,
    variant: str,
    label: str,
    viewport: float,
    room: float = math.inf,
    language: str = "en",
    arrow: bool = False,
    small: bool = False,
) -> tuple[float, float]:
    """Width and height in px of a button or a text button. Its label wraps where it is wider than the room."""
    step = system.steps["label"]
    label = cased(hyphenated(label, language), step.case, language)
    size = step.size(viewport)
    plain = variant == "text"
    border = 0.0 if plain else 2 * px(system, "shape/border", 360)
    kind = "button/small-" if small else "button/"
    block = px(system, "link/padding-block" if plain else f"{kind}padding-block", 360)
    inline = (0.0 if plain else px(system, f"{kind}padding-inline", 360)) * 2 * size + border
    least = px(system, "button/least", 360)
    inline += 1.75 * size if arrow else 0.0  # the arrow is 1.25 em wide, half an em from the label
    wide, lines = text_width(step.family, step.weight, label, size, step.tracking) + inline, 1
    if wide > room:
        wide, lines = room, line_count(step.family, step.weight, label, size, room - inline, step.tracking, language)
    return max(least, wide), max(least, size * (max(lines * step.line_height, 1.25 if arrow else 0) + 2 * block) + border)


def rows_of(section: Section) -> int:
    """The rows that the items of a section take on a desktop; 0 where it has none."""
    found = section.declared.collection
    count = len(section.content.get(found[0]) or ()) if found else 0
    if not found or not count:
        return 0
    _, region, items = found
    columns, rows, left = region.place("desktop").columns(), 0, 0
    for span in items.at.spans(count):
        if span > left:
            rows, left = rows + 1, columns
        left -= span
    return rows
