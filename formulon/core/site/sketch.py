"""A small drawing of a layout, from its declaration: the places of its parts on a board of 48 by 30, as on a desktop.

Texts are bars of a nominal number of lines, pictures have their proportions, and spaces are nominal; columns are the real ones.
"""

from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Literal

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.layout import COLUMNS, Collection, Layout, Place, Region

WIDTH, HEIGHT = 48.0, 30.0
_MARGIN, _GAP, _ITEMS = 3.0, 0.8, 3
_SPACES = {"": 0.0, "1": 0.2, "2": 0.4, "3": 0.7, "4": 1.0, "5": 1.5, "6": 2.2, "7": 3.2, "8": 4.5}
_LINES = {"display": (3.4, 2), "h1": (2.8, 2), "h2": (2.2, 1), "h3": (1.5, 1), "intro": (1.3, 2), "body": (1.1, 2)}
_LEAST = 0.026  # of the board for a pixel of least height

What = Literal["heading", "text", "picture", "card", "button", "line", "drawing"]


@dataclass(frozen=True, slots=True)
class Piece:
    """A part on the board: its left and top edge, width and height, and what it is."""

    x: float
    y: float
    width: float
    height: float
    what: What


@dataclass(frozen=True, slots=True)
class _Block:
    """Pieces from a top edge of their own, and how high they are together. `fills`: a picture that takes the height it is given."""

    pieces: tuple[Piece, ...]
    height: float
    fills: bool = False


@lru_cache(maxsize=512)
def sketch(kind: Kind, layout: Layout) -> tuple[Piece, ...]:
    """The pieces of a layout, from the top of the board, what lies behind first."""
    frame, work = layout.frame, _Sketch(dict(kind.slots))
    rows: list[float] = []
    placed: list[tuple[Region, Place, _Block, int]] = []
    for region in layout.regions.values():
        place = region.at
        row = place.row or len(rows) + 1
        rows += [0.0] * (row + place.rows - 1 - len(rows))
        block = work.region(region)
        placed.append((region, place, block, row))
        if place.rows == 1 and not block.fills and not region.behind:
            free = _SPACES[place.uncover]
            rows[row - 1] = max(rows[row - 1], block.height + free - _SPACES[place.drop])
    top, bottom, gap = (_SPACES[name] for name in (frame.top, frame.bottom, frame.gap))
    inner = sum(rows) + gap * (len(rows) - 1)
    least = (frame.least[2] * _LEAST if frame.least else 0.0) - top - bottom
    left = max(0.0, least - inner)
    if frame.last:
        rows[-1] += left
    start = top + (0.0 if frame.last else {"start": 0.0, "center": 0.5, "end": 1.0}[frame.content] * left)
    tops = [start + sum(rows[:index]) + gap * index for index in range(len(rows))]
    whole = top + bottom + inner + left
    made: list[Piece] = []
    for region, place, block, row in placed:
        if region.behind:
            made.append(Piece(0, 0, WIDTH, whole, "picture"))
            continue
        room = sum(rows[row - 1 : row - 1 + place.rows]) + gap * (place.rows - 1)
        y, high = tops[row - 1], room
        if "top" in place.bleed:
            y, high = y - top, high + top
        if "bottom" in place.bleed or (block.fills and not frame.bottom):
            high += bottom
        if block.fills:
            made += [replace(one, y=y, height=high) for one in block.pieces]
            continue
        down = place.down or frame.rows
        y += max(0.0, room - block.height) * {"end": 1.0, "center": 0.5}.get(down, 0.0) + (
            _SPACES[place.drop] if down == "end" else 0.0
        )
        made += [replace(one, y=one.y + y) for one in block.pieces]
    return _on_board(made, whole)


def picture_share(kind: Kind, layout: Layout) -> float:
    """The share, 0–1, of a layout's sketch that pictures and drawings cover."""
    found = sum(one.width * one.height for one in sketch(kind, layout) if one.what in ("picture", "drawing"))
    return min(1.0, found / (WIDTH * HEIGHT))


def _on_board(pieces: list[Piece], whole: float) -> tuple[Piece, ...]:
    scale, lower = min(1.0, HEIGHT / whole), max(0.0, (HEIGHT - whole) / 2)
    made = [
        replace(
            one,
            x=round(one.x, 1),
            y=round(one.y * scale + lower, 1),
            width=round(one.width, 1),
            height=round(max(0.4, one.height * scale), 1),
        )
        for one in pieces
    ]
    order = ("picture", "drawing", "card")
    return tuple(sorted(made, key=lambda one: order.index(one.what) if one.what in order else len(order)))


def across(
    place: Place, columns: int = COLUMNS, start: float = _MARGIN, room: float = WIDTH - 2 * _MARGIN
) -> tuple[float, float]:
    """Left edge and width of a place on the board."""
    first, last = place.within(columns)
    column = (room + _GAP) / columns
    left, right = start + (first - 1) * column, start + last * column - _GAP
    to_start, to_end = place.edges
    left, right = 0.0 if to_start else left, WIDTH if to_end else right
    return left, right - left


class _Sketch:
    def __init__(self, slots: dict[str, Slot]) -> None:
        self.slots = slots

    def region(self, region: Region) -> _Block:
        place = region.at
        x, width = across(place)
        if region.behind:
            return _Block((), 0.0)
        if region.free:
            return _Block((Piece(x, 0, width, width, "drawing"),), 0.0, fills=True)
        inset = _SPACES[place.inset]
        if region.items:
            block = self.items(region.slots[0], region.items, place, x + inset, width - 2 * inset)
            if not region.card:
                return block
            card = Piece(x, 0, width, block.height + 2 * inset, "card")
            return _Block((card, *(replace(one, y=one.y + inset) for one in block.pieces)), block.height + 2 * inset)
        block = self.stack(region, place, x + inset, width - 2 * inset, self.slots)
        if region.card:
            high = block.height + 2 * inset
            pieces = (Piece(x, 0, width, high, "card"), *(replace(one, y=one.y + inset) for one in block.pieces))
            return _Block(pieces, high)
        if region.ruled:
            return _Block(
                (Piece(x, 0, width, 0.4, "line"), *(replace(one, y=one.y + 1) for one in block.pieces)), block.height + 1
            )
        return block

    def stack(self, region: Region, place: Place, x: float, width: float, slots: dict[str, Slot]) -> _Block:
        """What a region holds, one under another."""
        made: list[Piece] = []
        y, gap = _SPACES[place.above], _SPACES[place.gap]
        buttons = [name for name in region.slots if name in slots and slots[name].of.group(slots[name])]
        for name in region.slots:
            slot = slots.get(name)
            if slot and slot.of.drawn_as == "picture":
                if not place.ratio:
                    return _Block((Piece(x, 0, width, 1, "picture"),), 0.0, fills=True)
                high = width * place.ratio[1] / place.ratio[0]
                made.append(Piece(x, y, width, high, "picture"))
            elif name in buttons:
                if name != buttons[0]:
                    continue
                high = 3.0
                made += self.row(place, x, width, [(min(9.0, width), 0.0)], y, high, "button")
            elif slot and slot.of.drawn_as == "button":
                high = 1.0
                made.append(Piece(x, y, min(5.0, width), high, "button"))
            elif slot and slot.of.drawn_as == "block":
                high = 9.0
                made.append(Piece(x, y, width, high, "card"))
            elif slot:
                narrower = place.spans.get(name, place.columns()) / place.columns()
                pieces, high = self.text(slot, x, width * min(1.0, narrower), y)
                made += pieces
            elif name in ("links", "contact"):
                wide = min(5.0, width)
                if region.flow == "row":
                    high = 1.6
                    count = 3 if name == "links" else 2
                    made += self.row(place, x, width, [(wide, 1.6)] * count, y, 1.3, "text")
                else:
                    high = 6.0 if name == "links" else 4.0
                    made += [Piece(x, y + index * 2.0, wide, 1.1, "text") for index in range(int(high / 2))]
            else:
                high = 3.2
                made += self.row(place, x, width, [(min(10.0, width), 0.0)], y, high, "heading")
            y += high + gap
        return _Block(tuple(made), max(0.0, y - gap) + _SPACES[place.below])

    def row(
        self, place: Place, x: float, width: float, parts: list[tuple[float, float]], y: float, high: float, what: What
    ) -> list[Piece]:
        """Parts side by side, each with the room after it, to the side that the place says."""
        whole = sum(wide + after for wide, after in parts) - parts[-1][1]
        left = x + {"start": 0.0, "center": 0.5, "end": 1.0}[place.across] * max(0.0, width - whole)
        made = []
        for wide, after in parts:
            made.append(Piece(left, y, wide, high, what))
            left += wide + after
        return made

    def text(self, slot: Slot, x: float, width: float, y: float) -> tuple[list[Piece], float]:
        """A text as bars, the last shorter, and its height."""
        size, lines = _LINES.get(slot.step, (1.0, 1))
        what: What = "heading" if slot.step in ("display", "h1", "h2", "h3") else "text"
        thick = size * 0.8
        made = [
            Piece(x, y + index * size * 1.3, width * (0.62 if index == lines - 1 else 0.95), thick, what)
            for index in range(lines)
        ]
        return made, size * 1.3 * (lines - 1) + thick

    def items(self, name: str, items: Collection, place: Place, x: float, width: float) -> _Block:
        """Three items, as many as tell the rule."""
        count, columns = min(_ITEMS, self.slots[name].most), place.columns()
        spans, steps = items.at.spans(count), items.at.steps(count, columns)
        made: list[Piece] = []
        at, y, row = 0, 0.0, 0.0
        gap = max(_SPACES[items.gap], 0.6)
        for index, span in enumerate(spans):
            if at + span > columns:
                at, y, row = 0, y + row + gap, 0.0
            left, wide = across(Place((at + 1, at + span)), columns, x, width)
            block = self.item(items, index, count, left, wide, span, name)
            lower = y + steps[index] * _SPACES[items.at.step]
            made += [replace(one, y=one.y + lower) for one in block.pieces]
            at, row = at + span, max(row, block.height + steps[index] * _SPACES[items.at.step])
        return _Block(tuple(made), y + row)

    def item(self, items: Collection, index: int, count: int, x: float, width: float, span: int, name: str) -> _Block:
        solid = items.card == "solid"
        inset = _SPACES[items.inset or ("3" if solid else "")]
        pad = _SPACES[items.pad]
        made, rows, tall = list[Piece](), 0.0, 0.0
        start = 0.0
        for part in items.form("desktop", index, count).values():
            left, wide = across(part.at, span, x + inset, width - 2 * inset)
            block = self.stack(part, part.at, left, wide, self.slots[name].items)
            beside = part.at.row == 1 and made
            start = start if beside else rows
            made += [replace(one, y=one.y + start) for one in block.pieces]
            tall = start + block.height
            rows = max(rows, tall + _SPACES[items.inner])
        high = max(0.0, rows - _SPACES[items.inner]) + 2 * (inset + pad)
        moved = [replace(one, y=one.y + inset + pad) for one in made]
        if solid:
            moved.insert(0, Piece(x, 0, width, high, "card"))
        if items.ruled:
            moved.insert(0, Piece(x, 0, width, 0.3, "line"))
        return _Block(tuple(moved), high)
