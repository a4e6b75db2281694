"""The written form of a composition of one's own: a layout in a line of text, which is its name in the section's document.

    own:air-8;heading+text@1-7.1;picture@8-13.1-2,3x2;items@1-12.3,like-ledger

Regions stand in reading order. Each says the slots that it holds, its columns (0 and 13 are the edges of the viewport) and its row or
rows from 1; and, after commas, what else: `down-center`, `across-end`, `card`, `ruled`, `rise-6` (how far it overlaps what stands
above), `3x2` (a picture's proportions; without any it fills its rows), `grow-1.5` (a headline, so many times its step where it fits), `step-h1` (a headline in another step),
`like-ledger` (items made as those of that layout of the kind), `as-tiles` (items made in one of three plain ways: `stack`, `tiles` on
solid cards, ruled `lines`), `by-3` (so many items in a row), `tab-1.6.2` (its columns and its row on a tablet, where they are others),
`phone-edge` or `phone-inset` (a picture that on phones runs to the edges, or does not). `air` is the section's own space.

Since the name is the geometry, a section can be drawn, predicted, copied and undone without anything beside it, and two sections have
the same composition exactly where they have the same text.
"""

import re
from collections.abc import Iterator, Mapping
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Any, cast

from formulon.core.site.kind import Kind
from formulon.core.site.layout import COLUMNS, HEADINGS, Across, Collection, Down, Layout, Place, Region, Room, Tracks

OWN = "own:"
MOST = 400  # characters
_REGION = re.compile(r"([a-z_+]+)@(\d{1,2})-(\d{1,2})\.(\d)(?:-(\d))?((?:,[a-z0-9.-]+)*)")
_FLAG = re.compile(r"(down|across|rise|grow|step|like|as|by|tab|phone)-([a-z0-9._-]+)|(card|ruled)|(\d{1,2})x(\d{1,2})")
_RISES, _AIRS = ("4", "5", "6", "7"), ("6", "7", "8")
MADE = ("stack", "tiles", "lines")  # plain ways in which items are made
_TABLET = re.compile(r"(\d{1,2})\.(\d{1,2})\.(\d)")
_TEXTS = {"phone": "phone", "down": "down", "across": "across", "rise": "rise", "step": "step", "like": "like", "as": "made"}
_SHARE = {
    "down": ("start", "center", "end"),
    "across": ("center", "end"),
    "rise": _RISES,
    "as": MADE,
    "step": HEADINGS,
    "phone": ("edge", "inset"),
}
_ABOUT = "Composed for what the section says."
_CAP = 36.0  # em, of running text
_ITEM, _LINE = 3, 6  # columns of an item, and of one that is a line
_NARROW = 5  # columns; with fewer, words are not beside anything on tablets
_PHONE_RATIO = (4.0, 3.0)


@dataclass(frozen=True, slots=True)
class Part:
    """A region as it is written."""

    slots: tuple[str, ...]
    cols: tuple[int, int]
    row: int = 1
    rows: int = 1
    down: str = ""
    across: str = "start"
    card: bool = False
    ruled: bool = False
    rise: str = ""
    ratio: tuple[int, int] | None = None
    grow: float = 1.0
    step: str = ""
    like: str = ""
    made: str = ""
    by: int = 0
    tablet: tuple[int, int, int] | None = None  # first and last column, and row
    phone: str = ""  # of a picture: to the edges, or not

    @property
    def bleeds(self) -> bool:
        """Whether it runs to an edge of the viewport."""
        return self.cols[0] == 0 or self.cols[1] == COLUMNS + 1


@dataclass(frozen=True, slots=True)
class Composition:
    """Regions in reading order, and the section's own space above and below."""

    parts: tuple[Part, ...]
    air: str = "7"


def written(composition: Composition) -> str:
    """A composition as a name of a layout."""
    air = [] if composition.air == "7" else [f"air-{composition.air}"]
    return OWN + ";".join([*air, *map(_part, composition.parts)])


def _part(part: Part) -> str:
    rows = f"{part.row}" if part.rows == 1 else f"{part.row}-{part.row + part.rows - 1}"
    flags = {
        f"down-{part.down}": part.down,
        f"across-{part.across}": part.across != "start",
        "card": part.card,
        "ruled": part.ruled,
        f"rise-{part.rise}": part.rise,
        f"{part.ratio[0]}x{part.ratio[1]}" if part.ratio else "": part.ratio,
        f"grow-{part.grow:g}": part.grow != 1,
        f"step-{part.step}": part.step,
        f"like-{part.like}": part.like,
        f"as-{part.made}": part.made,
        f"by-{part.by}": part.by,
        f"tab-{'.'.join(map(str, part.tablet or ()))}": part.tablet,
        f"phone-{part.phone}": part.phone,
    }
    return ",".join(
        [f"{'+'.join(part.slots)}@{part.cols[0]}-{part.cols[1]}.{rows}", *(name for name, on in flags.items() if on)]
    )


def read(text: str) -> Composition:
    """The composition that a name says. Raises ValueError, in a sentence for people."""
    if not text.startswith(OWN) or len(text) > MOST:
        raise ValueError(f"“{text[:60]}” is no composition of one's own.")
    regions, air = text.removeprefix(OWN).split(";"), "7"
    if regions[0].startswith("air-"):
        air = regions.pop(0).removeprefix("air-")
    if air not in _AIRS:
        raise ValueError(f"“{air[:20]}” is no space of a section. There are {', '.join(_AIRS)}.")
    return Composition(tuple(map(_read, regions)), air)


def _read(text: str) -> Part:
    found = _REGION.fullmatch(text)
    if found is None:
        raise ValueError(f"“{text[:60]}” is no region: slots@first-last.row, and what else after commas.")
    slots, first, last, row, until, rest = found.groups()
    rows = int(until or row) - int(row) + 1
    if int(row) < 1 or rows < 1:
        raise ValueError(f"“{text[:60]}” stands in no row.")
    part = Part(tuple(slots.split("+")), (int(first), int(last)), int(row), rows)
    for flag in filter(None, rest.split(",")):
        part = _with(part, flag)
    return part


def _with(part: Part, flag: str) -> Part:
    """A part with one of the things that may stand after its place."""
    found = _FLAG.fullmatch(flag)
    if found is None:
        raise ValueError(f"“{flag[:30]}” says nothing of a region.")
    name, value, alone, wide, high = found.groups()
    if alone:
        return replace(part, card=part.card or alone == "card", ruled=part.ruled or alone == "ruled")
    if wide:
        if not (int(wide) and int(high)):
            raise ValueError(f"“{flag}” are no proportions.")
        return replace(part, ratio=(int(wide), int(high)))
    if name in _SHARE and value not in _SHARE[name]:
        raise ValueError(f"“{flag[:30]}” says nothing of a region. For “{name}” there are {', '.join(_SHARE[name])}.")
    if name == "tab":
        at = _TABLET.fullmatch(value)
        if at is None or not int(at[3]):
            raise ValueError(f"“{flag[:30]}” is no place on a tablet: first.last.row.")
        return replace(part, tablet=(int(at[1]), int(at[2]), int(at[3])))
    if name in _TEXTS:
        return replace(part, **cast(Any, {_TEXTS[name]: value}))
    if not re.fullmatch(r"\d(\.\d)?", value):
        raise ValueError(f"“{flag[:30]}” is no number.")
    return replace(part, grow=float(value)) if name == "grow" else replace(part, by=int(float(value)))


@lru_cache(maxsize=4096)
def composed(kind: Kind, text: str) -> Layout:
    """The layout of a kind that a name says. Raises ValueError."""
    return built(kind, read(text))


def built(kind: Kind, composition: Composition) -> Layout:
    """The layout of a composition in a kind. Raises ValueError for what the kind does not have."""
    regions = {f"r{index + 1}": _region(kind, part) for index, part in enumerate(composition.parts)}
    if _crowded(composition, kind):
        order = sorted(range(len(regions)), key=lambda index: composition.parts[index].row)
        regions = {
            name: replace(one, tablet=one.tablet or _alone(one, order.index(index) + 1))
            for index, (name, one) in enumerate(regions.items())
        }
    grow = {slot: part.grow for part in composition.parts if part.grow != 1 for slot in _headlines(kind, part)}
    steps = {slot: part.step for part in composition.parts if part.step for slot in _headlines(kind, part)}
    return Layout("Own", _ABOUT, regions, Room(top=composition.air, bottom=composition.air), steps=steps, grow=grow)


def _headlines(kind: Kind, part: Part) -> Iterator[str]:
    for name in part.slots:
        if name in kind.slots and kind.slots[name].of.set_in_type and kind.slots[name].step in HEADINGS:
            yield name
            return


def _region(kind: Kind, part: Part) -> Region:
    for name in part.slots:
        if name not in kind.slots:
            raise ValueError(f"{kind.label} has no place for “{name[:40]}”.")
    if not 0 <= part.cols[0] <= part.cols[1] <= COLUMNS + 1:
        raise ValueError(f"Columns {part.cols[0]} to {part.cols[1]} are none of the grid's.")
    slots = [kind.slots[name] for name in part.slots]
    pictures, lists = [one for one in slots if one.of.picture], [one for one in slots if one.of.collection]
    if (pictures or lists) and len(slots) > 1:
        raise ValueError("A picture, or a list of items, stands in a region of its own.")
    inset = "5" if part.card else ""
    place = Place(
        part.cols, part.row, part.rows, inset=inset, rise=part.rise, down=cast(Down, part.down), across=cast(Across, part.across),
        gap="4", ratio=part.ratio,
    )  # fmt: skip
    wide = bool(pictures) and (part.phone == "edge" if part.phone else part.bleeds)
    phone = Place(
        (0, COLUMNS + 1) if wide else None, inset=inset, rise=part.rise, across=cast(Across, part.across),
        ratio=(part.ratio or _PHONE_RATIO) if pictures else None,
    )  # fmt: skip
    caps = {name: _CAP for name, one in zip(part.slots, slots, strict=True) if one.of.set_in_type and one.step not in HEADINGS}
    items = _items(kind, part) if lists else None
    if items and part.card:
        raise ValueError("A list of items on a card of its own is none of what can be composed.")
    tablet = None
    if part.tablet:
        first, last, row = part.tablet
        if not 0 <= first <= last <= COLUMNS + 1:
            raise ValueError(f"Columns {first} to {last} are none of the grid's.")
        filling = (part.ratio or (16, 9)) if pictures else None
        tablet = replace(place, cols=(first, last), row=row, rows=1, down="", ratio=filling)
    return Region(
        part.slots, place, tablet=tablet, phone=phone, card=part.card, ruled=part.ruled, caps=caps, items=items, picture="text" if pictures else "",
    )  # fmt: skip


def _items(kind: Kind, part: Part) -> Collection:
    """The items of a part, made as those of one of the kind's layouts."""
    columns = part.cols[1] - part.cols[0] + 1
    if part.made:
        if not part.by or columns % part.by or columns // part.by < (_LINE if part.made == "lines" else _ITEM):
            raise ValueError(f"{part.by} items do not stand in a row of {columns} columns.")
        return _plain(kind, part, columns)
    like = kind.layouts.get(part.like)
    found = like.collection if like else None
    if found is None or found[0] != part.slots[0]:
        raise ValueError(f"{kind.label} has no layout “{part.like[:40]}” whose items could be taken over.")
    _, region, items = found
    if part.by:
        if not by_number(items) or columns % part.by:
            raise ValueError(f"Items as those of {part.like} do not stand {part.by} in {columns} columns.")
        usual = next(iter(items.forms.items()))
        even = tracks_of(columns, part.by)
        tablet = tracks_of(columns, 2) if part.by > 2 and not columns % 2 else even
        return replace(items, forms=dict([usual]), at=even, tablet=tablet)
    if columns != region.at.columns() or (region.tablet and region.tablet.columns() != columns):
        raise ValueError(f"Items as those of {part.like} take {region.at.columns()} columns.")
    return items


def _plain(kind: Kind, part: Part, columns: int) -> Collection:
    """Items whose pictures stand over their words, or, as lines, whose titles stand beside the rest."""
    slots = kind.slots[part.slots[0]].items
    words = tuple(name for name, slot in slots.items() if not slot.of.picture)
    pictures = tuple(name for name, slot in slots.items() if slot.of.picture)
    span = columns // part.by
    caps = {name: _CAP for name in words if slots[name].of.set_in_type and slots[name].step not in HEADINGS}
    form: dict[str, Region] = {}
    if part.made == "lines":
        head, rest = words[:1], words[1:]
        split = max(3, span * 2 // 5)
        form["title"] = Region(head, Place((1, split), row=1, gap="2"), phone=Place(gap="2"))
        if rest:
            form["words"] = Region(
                rest, Place((split + 1, span), row=1, gap="2"), phone=Place(gap="2"),
                caps={name: cap for name, cap in caps.items() if name in rest},
            )  # fmt: skip
    else:
        if pictures:
            form["picture"] = Region(pictures[:1], Place(ratio=(4, 3)), phone=Place(ratio=(4, 3)), picture="card")
        form["words"] = Region(words, Place(gap="2"), phone=Place(gap="2"), caps=caps)
    even = tracks_of(columns, part.by)
    return Collection(
        {"item": form}, even, tablet=tracks_of(columns, 2) if part.by > 2 and not columns % 2 else even,
        card="solid" if part.made == "tiles" else "", inset="5" if part.made == "tiles" else "", even=part.made == "tiles",
        ruled=part.made == "lines", pad="4" if part.made == "lines" else "", gap="" if part.made == "lines" else "5",
        inner="2" if part.made == "lines" else "3",
    )  # fmt: skip


def by_number(items: Collection) -> bool:
    """Whether items can stand so many in a row: where their parts stand one under another."""
    return not items.at.step and all(inner.at.cols is None for inner in items.usual.values())


def tracks_of(columns: int, number: int) -> Tracks:
    """So many items in a row of some columns, without a hole: those that are over fill the first row."""
    span = columns // number
    first: Mapping[int, tuple[int, ...]] = {
        left: (*(columns // left for _ in range(left - 1)), columns - (left - 1) * (columns // left))
        for left in range(1, number)
    }
    return Tracks(span, number, first)


def _crowded(composition: Composition, kind: Kind) -> bool:
    """Whether words stand beside others in too few columns for a tablet."""
    for one in composition.parts:
        beside = any(two is not one and _share_rows(one, two) for two in composition.parts)
        if beside and one.cols[1] - one.cols[0] + 1 < _NARROW and not kind.slots[one.slots[0]].of.picture:
            return True
    return False


def _share_rows(one: Part, two: Part) -> bool:
    return one.row < two.row + two.rows and two.row < one.row + one.rows


def _alone(region: Region, row: int) -> Place:
    """A region's place on a tablet where nothing stands beside it."""
    words = not region.picture and not region.items
    ratio = (region.at.ratio or (16.0, 9.0)) if region.picture else None
    cols = region.at.cols if region.items else (1, 10) if words else (0, COLUMNS + 1) if any(region.at.edges) else (1, COLUMNS)
    return replace(region.at, cols=cols, row=row, rows=1, down="", ratio=ratio)
