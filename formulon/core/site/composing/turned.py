"""Layouts turned into others of one's own: mirrored from side to side, and with another number of items in a row."""

from dataclasses import replace
from fractions import Fraction

from formulon.core.site.catalogue import DeclarationError, layout_of
from formulon.core.site.composition import MADE, OWN, Composition, Part, read, written
from formulon.core.site.kind import Kind
from formulon.core.site.layout import COLUMNS, HEADINGS, Layout, Region

_RISES = ("4", "5", "6", "7")
_AIRS = ("6", "7", "8")


def as_composition(kind: Kind, name: str) -> Composition | None:
    """A layout of a kind in the written form of those of one's own; None where it has what that form cannot say: a picture behind
    words, a free drawing, a part that the kind draws itself."""
    if name.startswith(OWN):
        return read(name)
    layout, parts, row = layout_of(kind, name), list[Part](), 0
    for region in layout.regions.values():
        if region.behind or region.free or not all(slot in kind.slots for slot in region.slots):
            return None
        row = region.at.row or row + 1
        parts.append(_part(kind, layout, name, region, row))
    air = layout.frame.top if layout.frame.top in _AIRS else "7"
    return Composition(tuple(parts), air)


def _part(kind: Kind, layout: Layout, name: str, region: Region, row: int) -> Part:
    place, holds = region.at, kind.slots[region.slots[0]]
    head = next((slot for slot in region.slots if kind.slots[slot].step in HEADINGS and kind.slots[slot].of.set_in_type), "")
    ratio = Fraction(place.ratio[0] / place.ratio[1]).limit_denominator(20) if place.ratio else None
    return Part(
        region.slots, place.cols or (1, COLUMNS), row, place.rows,
        down=place.down if place.down != "baseline" else "end", across=place.across if place.across != "end" else "start",
        card=region.card, ruled=region.ruled, rise=place.rise if place.rise in _RISES else "",
        ratio=(ratio.numerator, ratio.denominator) if ratio and holds.of.picture else None,
        grow=layout.grow.get(head, 1.0), step=layout.steps.get(head, "") if layout.steps.get(head, "") in HEADINGS else "",
        like=name if region.items else "",
    )  # fmt: skip


def mirrored(kind: Kind, name: str) -> str | None:
    """A layout with its sides swapped, as the name of one of one's own; None where it cannot be, or would be the same."""
    found = as_composition(kind, name)
    if found is None:
        return None
    parts = [replace(one, cols=(COLUMNS + 1 - one.cols[1], COLUMNS + 1 - one.cols[0])) for one in found.parts]
    if [one.cols for one in parts] == [one.cols for one in found.parts]:
        return None
    # What stands first in a row is read first.
    return _declared(kind, replace(found, parts=tuple(sorted(parts, key=lambda one: (one.row, one.cols[0])))))


def in_rows_of(kind: Kind, name: str, number: int) -> str | None:
    """A layout with so many items in a row, as the name of one of one's own: made as they are where that can be, else in a plain way.
    None where no way stands so."""
    found = as_composition(kind, name)
    if found is None:
        return None
    at = next((index for index, one in enumerate(found.parts) if kind.slots[one.slots[0]].of.collection), None)
    if at is None:
        return None
    one = found.parts[at]
    first, last = max(one.cols[0], 1), min(one.cols[1], COLUMNS)
    wide = last - first + 1
    for columns in (wide, *(more for more in (12, 10, 9, 8, 6) if more != wide)):
        cols = (first, first + columns - 1) if first + columns - 1 <= COLUMNS else (COLUMNS - columns + 1, COLUMNS)
        for like, made in ((one.like, one.made), *(("", way) for way in MADE)):
            if not (like or made):
                continue
            part = replace(one, cols=cols, like=like, made=made, by=number)
            declared = _declared(kind, replace(found, parts=(*found.parts[:at], part, *found.parts[at + 1 :])))
            if declared:
                return declared
    return None


def _declared(kind: Kind, composition: Composition) -> str | None:
    name = written(composition)
    try:
        layout_of(kind, name)
    except (DeclarationError, ValueError):
        return None
    return name


def in_a_row(layout: Layout, count: int) -> int:
    """How many items stand in the fullest row of a layout on a desktop; 0 where it has none."""
    if layout.collection is None:
        return 0
    _, region, items = layout.collection
    wide, most, row, room = region.at.columns(), 0, 0, 0
    for span in items.at.spans(count):
        if span > room:
            row, room = 0, wide
        row, room = row + 1, room - span
        most = max(most, row)
    return most
