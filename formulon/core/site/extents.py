"""How high the parts of a section are and where they stand, from the lines that shaping gives, before there is a browser. A browser
test holds it against Chromium. What stands in a table, a form, a map or running prose has a height by rule of thumb, which says so.
"""

import itertools
import math
from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace
from typing import Any

from formulon.core.site.geometry import CARD_INSET, action_size, box_of, box_width, content_width, px
from formulon.core.site.kind import Slot
from formulon.core.site.layout import COLUMNS, HEADINGS, Class, Collection, Layout, Place, Region, class_of
from formulon.core.site.setting import set_in, step_of
from formulon.core.site.site import Section
from formulon.core.site.values import PLACEHOLDER, variant_of
from formulon.core.system.documents.choices import Choices
from formulon.core.system.system import System
from formulon.core.type.emphasis import decoded, encoded
from formulon.core.type.fit import cased, fit
from formulon.core.type.lines import text_width

_FIELD, _ROW, _MAP = 96.0, 52.0, 420.0  # px of a field of a form, of a row of a table, and of a map with its list


@dataclass(frozen=True, slots=True)
class Extent:
    """The box of a region in px: from the start edge of the viewport and from the top of its section. `filled` and `wide` are how high
    and how wide what it holds is; `lines` are those of its texts, each with its characters to a line, by slot."""

    start: float
    top: float
    width: float
    height: float
    filled: float
    lines: Mapping[str, tuple[int, float]]
    wide: float = 0.0


@dataclass(frozen=True, slots=True)
class Height:
    """How high something is in px, what its texts come to, how wide in px what is drawn of it is, and whether all of it is known."""

    px: float
    lines: Mapping[str, tuple[int, float]]
    wide: float
    told: bool = True


class Extents:
    """Extents in one system, language and style of cards and buttons."""

    def __init__(self, system: System, choices: Choices, language: str) -> None:
        self.system, self.choices, self.language = system, choices, language
        self._measures: dict[tuple[str, int], float] = {}

    def px(self, path: str, viewport: int) -> float:
        key = path, viewport
        if key not in self._measures:
            self._measures[key] = px(self.system, path, viewport)
        return self._measures[key]

    def space(self, step: str, viewport: int) -> float:
        return self.px(f"space/{step}", viewport) if step else 0.0

    def of(self, section: Section, viewport: int) -> tuple[dict[str, Extent], float]:
        """The regions of a section at a viewport width by name, and the height of the section. What is empty has none."""
        heights = {
            name: found
            for name, region in section.declared.regions.items()
            if not (region.behind or region.free) and (found := self.region(section, region, viewport)) is not None
        }
        return self.placed(section.declared, heights, viewport)

    def placed(self, layout: Layout, heights: Mapping[str, Height], viewport: int) -> tuple[dict[str, Extent], float]:
        """Where regions of known heights stand, by the rows of the grid (CSS Grid 1, 12.5: what spans several rows makes each of
        them higher by the same)."""
        width = class_of(viewport)
        frame = layout.frame_at(width)
        top, bottom, gap = (self.space(step, viewport) for step in (frame.top, frame.bottom, frame.gap))
        rows: dict[int, float] = {}
        spanning: list[tuple[int, int, float]] = []
        stands: dict[str, tuple[int, int]] = {}
        for name, found in heights.items():
            place = layout.regions[name].place(width)
            row = len(stands) + 1 if width == "phone" else place.row or len(stands) + 1
            count = 1 if width == "phone" else place.rows
            stands[name] = row, count
            high = found.px - self.space(place.rise, viewport)
            for index in range(row, row + count):
                rows.setdefault(index, 0.0)
            if count == 1:
                rows[row] = max(rows[row], high)
            else:
                spanning.append((row, count, high))
        for row, count, high in sorted(spanning, key=lambda one: one[1]):
            missing = high - sum(rows[index] for index in range(row, row + count)) - gap * (count - 1)
            for index in range(row, row + count):
                rows[index] += max(0.0, missing) / count
        order = sorted(rows)
        starts = dict(zip(order, itertools.accumulate([top, *(rows[index] + gap for index in order[:-1])]), strict=True))
        whole = top + sum(rows.values()) + gap * max(0, len(order) - 1) + bottom
        made = {}
        for name, found in heights.items():
            place, (row, count) = layout.regions[name].place(width), stands[name]
            rise = self.space(place.rise, viewport)
            room = sum(rows[index] for index in range(row, row + count)) + gap * (count - 1) + rise
            down = place.down or ("" if width == "phone" else frame.rows)
            stretched = down not in ("start", "center", "end")
            own = room if stretched else found.px
            at = starts[row] - rise + {"center": 0.5, "end": 1.0}.get(down, 0.0) * (room - own)
            left, wide = self.across(place, viewport)
            made[name] = Extent(left, at, wide, own, found.px, found.lines, found.wide)
        return made, whole

    def across(self, place: Place, viewport: int) -> tuple[float, float]:
        """Start and width in px of a place."""
        content = content_width(self.system, viewport)
        margin, gap = (viewport - content) / 2, self.space("4", viewport)
        first, last = (1, COLUMNS) if class_of(viewport) == "phone" else place.within()
        column = (content + gap) / COLUMNS
        start, end = margin + (first - 1) * column, margin + last * column - gap
        to_start, to_end = place.edges
        start, end = 0.0 if to_start else start, float(viewport) if to_end else end
        return start, end - start

    def region(self, section: Section, region: Region, viewport: int) -> Height | None:
        """How high a region is; None for nothing in it."""
        width = class_of(viewport)
        place = region.place(width)
        if region.items:
            return self._items(section, region, region.items, viewport)
        if region.picture and len(region.slots) == 1:
            return self._picture(region, place, self.across(place, viewport)[1]) if section.content.get("picture") else None
        slots = section.catalogue.slots
        found = self._stack(
            section, [(name, slots[name]) for name in region.slots if name in slots], "", place, viewport, region
        )
        if found is None:
            return None
        return replace(found, px=found.px + self._inside(place, viewport) + (1.0 if region.ruled else 0.0))

    def _inside(self, place: Place, viewport: int) -> float:
        """The space of its own that a place has over and under what it holds."""
        return 2 * self.space(place.inset, viewport) + self.space(place.above, viewport) + self.space(place.below, viewport)

    def _picture(self, region: Region, place: Place, wide: float) -> Height:
        if place.ratio is None:
            return Height(0.0, {}, wide)
        wide = min(wide, place.most) if place.most else wide
        return Height(wide / self._ratio(region, place), {}, wide)

    def _ratio(self, region: Region, place: Place) -> float:
        """Proportions of a picture, width by height: those of its kind on the whole site, else those of its place."""
        token = self.system.tokens.get(f"shape/{region.picture}-picture-ratio")
        if token is not None:
            wide, high = (float(part) for part in self.system.css(f"shape/{region.picture}-picture-ratio").split("/"))
            return wide / high
        assert place.ratio is not None
        return place.ratio[0] / place.ratio[1]

    def _stack(
        self, section: Section, slots: Iterable[tuple[str, Slot]], prefix: str, place: Place, viewport: int, region: Region | None = None,
    ) -> Height | None:  # fmt: skip
        """What stands one under another; buttons that follow one another stand in rows."""
        made: list[Height] = []
        for group, several in itertools.groupby(slots, lambda one: one[1].of.group(one[1])):
            held = [(name, slot, self._value(section, prefix + name)) for name, slot in several]
            held = [one for one in held if one[1].of.filled(one[2])]
            if group and held:
                made.append(self._buttons(section, [(prefix + name, slot, value) for name, slot, value in held], viewport))
                continue
            made += [self._part(section, prefix + name, slot, value, viewport, region, place) for name, slot, value in held]
        if not made:
            return None
        lines = {slot: told for one in made for slot, told in one.lines.items()}
        high = sum(one.px for one in made) + self.space(place.gap, viewport) * (len(made) - 1)
        return Height(high, lines, max(one.wide for one in made), all(one.told for one in made))

    def _value(self, section: Section, path: str) -> Any:
        name, *inner = path.split("/")
        value = section.content.get(name)
        return value[int(inner[0])].get(inner[1]) if inner and value else value

    def _part(
        self, section: Section, path: str, slot: Slot, value: Any, viewport: int, region: Region | None, place: Place
    ) -> Height:
        """One part: a text, a picture, a link, or a block whose height is a rule of thumb."""
        if slot.of.set_in_type:
            return self._text(section, path, value, viewport)
        box = box_of(section, path, viewport)
        room = box.width.px(self.system, viewport) if box else content_width(self.system, viewport)
        if slot.of.picture and region is not None:
            return self._picture(region, place, room)
        if slot.of.drawn_as == "button":
            wide, high = action_size(
                self.system, variant_of(slot.variant, value), value["label"], viewport, room, self.language
            )
            return Height(high, {}, wide)
        if slot.of.high:
            return Height(slot.of.high * self.system.steps["body"].size(viewport), {}, room)
        return Height(self._thumb(value, room, viewport), {}, room, told=False)

    def _text(self, section: Section, path: str, value: str, viewport: int) -> Height:
        name = step_of(section, path)
        step = self.system.steps[name]
        put, scale = set_in(self.system, section, path, value, self.language)
        size = step.size(viewport) * scale
        box = box_of(section, path, viewport)
        if box is None:
            return Height(size * step.line_height, {}, size, told=False)
        drawn = encoded(cased(PLACEHOLDER.sub(r"[\1]", put), step.case, self.language))
        room = box_width(self.system, box, viewport, size)
        found = fit(step.family, step.weight, drawn, size, room, step.tracking, self.language, name in HEADINGS)
        wide = room if found.lines > 1 else text_width(step.family, step.weight, decoded(drawn), size, step.tracking)
        return Height(found.lines * size * step.line_height, {path: (found.lines, found.characters)}, wide)

    def _buttons(self, section: Section, held: list[tuple[str, Slot, Any]], viewport: int) -> Height:
        box = box_of(section, held[0][0], viewport)
        room = box.width.px(self.system, viewport) if box else content_width(self.system, viewport)
        gap = self.space("3", viewport)
        whole = class_of(viewport) == "phone" and self.choices.buttons.full_on_phones
        arrow = self.choices.buttons.arrow != "none"
        rows: list[list[tuple[float, float]]] = []
        for _, slot, value in held:
            variant = variant_of(slot.variant, value)
            wide, high = action_size(self.system, variant, value["label"], viewport, room, self.language, arrow)
            wide = room if whole else wide
            if rows and sum(one + gap for one, _ in rows[-1]) + wide <= room:
                rows[-1].append((wide, high))
            else:
                rows.append([(wide, high)])
        high = sum(max(high for _, high in row) for row in rows) + gap * (len(rows) - 1)
        return Height(high, {}, max(sum(wide for wide, _ in row) + gap * (len(row) - 1) for row in rows))

    def _thumb(self, value: Any, room: float, viewport: int) -> float:
        """About how high a table, a form, a map or running prose is."""
        if isinstance(value, str):
            step = self.system.steps["body"]
            size = step.size(viewport)
            lines = sum(
                max(1, math.ceil(1.06 * text_width(step.family, step.weight, part, size, step.tracking) / room))
                for part in value.split("\n")
                if part
            )
            return lines * size * step.line_height
        held = value if isinstance(value, dict) else {}
        if "rows" in held:
            return _ROW * (len(held["rows"]) + 1)
        return _FIELD * (len(held["fields"]) + 1) if "fields" in held else _MAP

    def _items(self, section: Section, region: Region, items: Collection, viewport: int) -> Height | None:
        name, width = region.slots[0], class_of(viewport)
        count = len(section.content.get(name) or ())
        if not count:
            return None
        columns = COLUMNS if width == "phone" else region.place(width).columns()
        tracks = items.tracks(width)
        spans, steps = tracks.spans(count), tracks.steps(count, columns)
        found = [self._item(section, items, name, index, count, viewport) for index in range(count)]
        rows, left = [[]], columns  # type: list[list[float]], int
        for own, one in zip(spans, found, strict=True):
            if own > left:
                rows.append([])
                left = columns
            rows[-1].append(one.px)
            left -= own
        high = sum(map(max, rows)) + self.space(items.gap, viewport) * (len(rows) - 1)
        high += max(steps, default=0) * self.space(tracks.step, viewport) if tracks.step else 0.0
        place = region.place(width)
        high += self._inside(place, viewport) + (1.0 if items.ruled and items.at.span >= region.at.columns() else 0.0)
        lines: dict[str, tuple[int, float]] = {}
        for one in found:
            lines |= one.lines
        room = self.across(place, viewport)[1]
        return Height(high, lines, room, all(one.told for one in found) and not items.unfolds)

    def _item(self, section: Section, items: Collection, name: str, index: int, count: int, viewport: int) -> Height:
        width: Class = class_of(viewport)
        slots = section.catalogue.slots[name].items
        rows: dict[int, float] = {}
        lines: dict[str, tuple[int, float]] = {}
        told, wide = True, 0.0
        for inner in items.form(width, index, count).values():
            place = inner.place(width)
            held = [(part, slots[part]) for part in inner.slots]
            found = self._stack(section, held, f"{name}/{index}/", place, viewport, inner)
            if found is None:
                continue
            row = max(rows, default=0) + 1 if width == "phone" else place.row or max(rows, default=0) + 1
            rows[row] = max(rows.get(row, 0.0), found.px + self._inside(place, viewport))
            lines |= found.lines
            told, wide = told and found.told, max(wide, found.wide)
        high = sum(rows.values()) + self.space(items.inner, viewport) * max(0, len(rows) - 1)
        high += 2 * (self.space(items.inset, viewport) + self.space(items.pad, viewport)) + (1.0 if items.ruled else 0.0)
        if items.card == "site":
            high += 2 * sum(self.px(path, viewport) for path in CARD_INSET if path in self.system.tokens)
        return Height(high, lines, wide, told)
