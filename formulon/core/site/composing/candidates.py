"""The placements among which a composition is sought: how the parts of a section can be gathered, put in rows and given columns.

Everything that is written here is common practice: which spans of columns are used for words, for pictures, and for two things beside
each other. What comes of it is measured afterwards (measures.py), so this may be generous.
"""

import itertools
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from random import Random
from typing import Any, Literal

from formulon.core.site.composition import MADE, Composition, Part, by_number
from formulon.core.site.kind import Kind
from formulon.core.site.layout import COLUMNS, HEADINGS

What = Literal["words", "picture", "items", "block"]
Cols = tuple[int, int]

WORDS: tuple[Cols, ...] = ((1, 8), (1, 7), (1, 6), (3, 10), (4, 9), (5, 12), (6, 12), (7, 12))
PICTURES: tuple[Cols, ...] = ((1, 12), (0, 13), (0, 9), (4, 13), (1, 9), (4, 12), (2, 11))
BLOCKS: tuple[Cols, ...] = ((1, 12), (1, 8), (5, 12), (3, 10))
PAIRS: tuple[tuple[Cols, Cols], ...] = (
    ((1, 6), (7, 12)), ((1, 5), (6, 12)), ((1, 5), (7, 12)), ((1, 4), (5, 12)), ((1, 4), (6, 12)), ((1, 7), (8, 12)),
    ((1, 7), (9, 12)), ((1, 8), (9, 12)), ((1, 6), (8, 12)),
)  # fmt: skip
WIDE, UPRIGHT = ((21, 9), (16, 9), (2, 1)), ((4, 3), (1, 1), (4, 5), (3, 4))
_MANY = (2, 3, 4)  # items in a row
_LEAST_WORDS, _LEAST_ITEM = 4, 3  # columns of words and of an item
_MOST_ROWS = 6


@dataclass(frozen=True, slots=True)
class Group:
    """Slots that stand together, and what they are."""

    slots: tuple[str, ...]
    what: What


@dataclass(frozen=True, slots=True)
class Stand:
    """How a collection may stand: made as in a layout of the kind or in a plain way, so many in a row or by that layout's rule, in so
    many columns."""

    like: str
    made: str
    by: int
    columns: int


def groups_of(kind: Kind, content: Mapping[str, Any]) -> list[Group]:
    """What a section has to show, in reading order, taken apart as far as it may be. Slots of words that hold nothing stay with
    those before them, so that what is written there later is shown."""
    made: list[Group] = []
    for name, slot in kind.slots.items():
        filled = slot.of.filled(content.get(name))
        what: What = "picture" if slot.of.picture else "items" if slot.of.collection else "words"
        if slot.of.drawn_as == "block" and not slot.of.collection:
            what = "block"
        if not filled and (slot.spare or what != "words"):
            continue
        apart = filled and not (slot.of.drawn_as == "button" and made and _ends_in_button(kind, made[-1])) and name != "label"
        if what == "words" and made and made[-1].what == "words" and not apart:
            made[-1] = Group((*made[-1].slots, name), "words")
        elif filled or name == "heading":
            made.append(Group((name,), what))
    return made


def _ends_in_button(kind: Kind, group: Group) -> bool:
    return kind.slots[group.slots[-1]].of.drawn_as == "button"


def stands_of(kind: Kind, name: str, count: int) -> list[Stand]:
    """The ways in which a collection of so many items may stand."""
    made: dict[Stand, None] = {}
    for like, layout in kind.layouts.items():
        if layout.collection is None or layout.collection[0] != name:
            continue
        _, region, items = layout.collection
        if region.tablet is None and not region.card:
            made[Stand(like, "", 0, region.at.columns())] = None
        if by_number(items) and not region.card:
            for columns, by in itertools.product((12, 8, 6), _MANY):
                if by <= count and not columns % by and columns // by >= _LEAST_ITEM:
                    made[Stand(like, "", by, columns)] = None
    for columns, by, way in itertools.product((12, 10, 9, 8, 7, 6), (1, *_MANY), MADE):
        span = columns // by
        fits = span >= 6 if way == "lines" else 3 <= span <= 6
        if not columns % by and by <= count and fits:
            made[Stand("", way, by, columns)] = None
    return list(made)


class Candidates:
    """Placements of a section's parts, drawn at random by a seed: the same seed draws the same."""

    def __init__(self, kind: Kind, content: Mapping[str, Any], seed: int, airs: Sequence[str]) -> None:
        self.kind, self.content, self.airs, self.random = kind, content, airs, Random(seed)
        self.groups = groups_of(kind, content)
        lists = [one.slots[0] for one in self.groups if one.what == "items"]
        self.stands = {name: stands_of(kind, name, len(content[name])) for name in lists}

    def drawn(self, number: int) -> Iterator[Composition]:
        """So many different compositions, or as many as there are."""
        seen: set[Composition] = set()
        for _ in range(number * 4):
            made = self._one()
            if made and made not in seen:
                seen.add(made)
                yield made
                if len(seen) == number:
                    return

    def _one(self) -> Composition | None:
        groups = self._gathered()
        tall = [index for index, one in enumerate(groups) if index in (0, len(groups) - 1) and one.what in ("picture", "words")]
        if len(groups) > 2 and tall and self.random.random() < 0.35:
            parts = self._beside(groups, self.random.choice(tall))
        else:
            parts = self._rows(groups)
        if not parts or any(part.row + part.rows - 1 > _MOST_ROWS for part in parts):
            return None
        return Composition(tuple(self._finished(parts)), self.random.choice(self.airs))

    def _gathered(self) -> list[Group]:
        """Words that follow one another, put together or left apart; the picture anywhere among what is read."""
        made: list[Group] = []
        for group in self.groups:
            if group.what == "picture":
                continue
            if made and group.what == made[-1].what == "words" and self.random.random() < 0.55:
                made[-1] = Group((*made[-1].slots, *group.slots), "words")
            else:
                made.append(group)
        for group in self.groups:
            if group.what == "picture":
                made.insert(self.random.randint(0, len(made)), group)
        return made

    def _rows(self, groups: Sequence[Group]) -> list[Part]:
        """Groups in rows of one or two."""
        parts: list[Part] = []
        row, index = 1, 0
        while index < len(groups):
            two = groups[index : index + 2]
            pair = self._pair(two, row) if len(two) == 2 and self.random.random() < 0.55 else []
            parts += pair or self._alone(groups[index], row)
            row, index = row + 1, index + (2 if pair else 1)
        return parts

    def _beside(self, groups: Sequence[Group], tall: int) -> list[Part]:
        """One group beside all others, which stand under one another."""
        rest = [one for index, one in enumerate(groups) if index != tall]
        one, other = self.random.choice(PAIRS)
        first = tall == 0
        own, others = (one, other) if first else (other, one)
        if not all(self._has_room(each, others) for each in rest) or not self._has_room(groups[tall], own):
            return []
        stacked = [part for row, each in enumerate(rest, 1) for part in self._placed(each, others, row)]
        if len(stacked) != len(rest):
            return []
        lead = [replace(part, rows=len(rest)) for part in self._placed(groups[tall], own, 1)]
        if groups[tall].what == "picture":
            edge = self._to_edge(lead[0], 0.5)
            lead = [replace(edge, ratio=None if self.random.random() < 0.6 else edge.ratio)]
        return [*lead, *stacked] if first else [*stacked, *lead]

    def _pair(self, two: Sequence[Group], row: int) -> list[Part]:
        """Two groups beside each other; nothing where they do not go together."""
        split = self.random.choice(PAIRS)
        if not all(self._has_room(group, cols) for group, cols in zip(two, split, strict=True)):
            return []
        parts = [part for group, cols in zip(two, split, strict=True) for part in self._placed(group, cols, row)]
        if len(parts) < len(two):
            return []
        for index, (group, other) in enumerate(((two[0], two[1]), (two[1], two[0]))):
            if group.what == "picture":
                fills = other.what in ("words", "items", "block") and self.random.random() < 0.3
                parts[index] = self._to_edge(replace(parts[index], ratio=None if fills else parts[index].ratio), 0.4)
        for index, group in enumerate(two):
            if group.what == "words":
                parts[index] = replace(parts[index], down=self.random.choice(("", "center", "end")))
        return parts

    def _alone(self, group: Group, row: int) -> list[Part]:
        among = {"words": WORDS, "picture": PICTURES, "block": BLOCKS}.get(group.what)
        if among is None:
            stand = self.random.choice(self.stands[group.slots[0]])
            start = self.random.choice((1, COLUMNS + 1 - stand.columns))
            return [Part(group.slots, (start, start + stand.columns - 1), row, like=stand.like, made=stand.made, by=stand.by)]
        return self._placed(group, self.random.choice(among), row)

    def _placed(self, group: Group, cols: Cols, row: int) -> list[Part]:
        if group.what == "items":
            wide = cols[1] - cols[0] + 1
            fitting = [one for one in self.stands[group.slots[0]] if one.columns == wide]
            if not fitting:
                return []
            stand = self.random.choice(fitting)
            return [Part(group.slots, cols, row, like=stand.like, made=stand.made, by=stand.by)]
        if group.what == "picture":
            narrow = cols[1] - cols[0] < 8
            return [Part(group.slots, cols, row, ratio=self.random.choice(UPRIGHT if narrow else WIDE))]
        return [Part(group.slots, cols, row)]

    def _has_room(self, group: Group, cols: Cols) -> bool:
        wide = cols[1] - cols[0] + 1
        if group.what == "items":
            return any(one.columns == wide for one in self.stands[group.slots[0]])
        return wide >= _LEAST_WORDS if group.what in ("words", "block") else True

    def _to_edge(self, part: Part, share: float) -> Part:
        """A picture, run to the edge of the viewport that it stands at in a share of cases."""
        if self.random.random() >= share:
            return part
        first, last = part.cols
        return replace(part, cols=(0 if first == 1 else first, COLUMNS + 1 if last == COLUMNS else last))

    def _finished(self, parts: Sequence[Part]) -> Iterator[Part]:
        """Parts with what they have besides their place: a headline that grows, words in the middle, a card over a picture."""
        for index, part in enumerate(parts):
            before = parts[index - 1] if index else None
            words = part.slots[0] in self.kind.slots and self.kind.slots[part.slots[0]].of.drawn_as in ("text", "button")
            alone = not any(two is not part and _together(part, two) for two in parts)
            if words and alone and part.cols in ((3, 10), (4, 9)):
                part = replace(part, across="center")
            if (
                words
                and alone
                and before
                and before.ratio
                and before.row == part.row - 1
                and self._says(part) > 1
                and self.random.random() < 0.5
            ):
                part = replace(part, card=True, rise="6", across="start")
            elif words and alone and self._says(part) > 1 and self.random.random() < 0.12:
                part = replace(part, card=True)
            heads = any(name in self.kind.slots and self.kind.slots[name].step in HEADINGS for name in part.slots[:1])
            if heads and self.kind.slots[part.slots[0]].step == "display" and self.random.random() < 0.4:
                part = replace(part, step="h1")
            if words and heads and part.cols[1] - part.cols[0] > 6 and self.random.random() < 0.3:
                part = replace(part, grow=self.random.choice((1.3, 1.6)))
            yield part

    def _says(self, part: Part) -> int:
        """How many of a part's slots hold something."""
        return sum(self.kind.slots[name].of.filled(self.content.get(name)) for name in part.slots if name in self.kind.slots)


def _together(one: Part, two: Part) -> bool:
    return one.row < two.row + two.rows and two.row < one.row + one.rows
