"""What must hold of a layout as it is declared, before anything is drawn by it. A kind that breaks any of it is not taken in."""

import itertools
from collections.abc import Iterator, Mapping

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.layout import CLASSES, COLUMNS, HEADINGS, Class, Collection, Layout, Place, Region
from formulon.core.system.documents.choices import GROUNDS
from formulon.core.system.documents.identity import Character

_PHONE = (None, (1, 12), (0, 12), (1, 13), (0, 13))  # phones have one column
_RUNNING = ("body", "intro")
_NARROWEST = 3  # columns of running text
_MOST_GROWN = 4.0
_CAPS = (20, 60)  # em; common practice has lines of 45 to 90 characters


def faults(kind: Kind, parts: frozenset[str] = frozenset()) -> list[str]:
    """What is wrong with a kind, in sentences; `parts` are those that its template draws beside its slots."""
    made = [] if kind.label and kind.layouts else ["It has no name or no layout."]
    for name, layout in kind.layouts.items():
        made += [f"{name}: {one}" for one in layout_faults(kind, layout, parts)]
    shown = {slot for layout in kind.layouts.values() for slot in layout.drawn}
    for path in every_slot(kind.slots):
        if path not in shown and not kind.slots[path.split("/")[0]].of.collection:
            made.append(f"No layout shows the slot {path}.")
    return made


def every_slot(slots: Mapping[str, Slot]) -> dict[str, Slot]:
    """The slots of a kind by path, those of items without a number: "items/title"."""
    return dict(slots) | {f"{name}/{inner}": slot for name, outer in slots.items() for inner, slot in outer.items.items()}


def layout_faults(kind: Kind, layout: Layout, parts: frozenset[str] = frozenset()) -> Iterator[str]:
    """What is wrong with one layout of a kind."""
    if not (layout.label and layout.about.endswith(".")):
        yield "It needs a label, and a sentence about it."
    seen: list[str] = []
    for name, region in layout.regions.items():
        yield from (
            f"{name}: {one}" for one in _region(region, kind.slots, parts | (set() if not layout.measured else {*region.slots}))
        )
        seen += region.slots
        if region.items:
            slot = kind.slots.get(region.slots[0])
            if slot is None or not slot.of.collection or len(region.slots) > 1:
                yield f"{name}: A collection holds one slot of items and nothing else."
            else:
                yield from (f"{name}: {one}" for one in _items(region, region.items, slot))
    if len(seen) != len(set(seen)):
        yield "A slot stands in two regions."
    if "heading" in kind.slots and "heading" not in seen:
        yield "It shows no headline."
    texts = {path for path, slot in every_slot(kind.slots).items() if slot.of.set_in_type}
    wrong = set(layout.steps) - texts
    if wrong:
        yield f"A step is set of {sorted(wrong)[0]}, which is no text."
    for path, times in layout.grow.items():
        slot = every_slot(kind.slots).get(path)
        if slot is None or layout.steps.get(path, slot.step) not in HEADINGS or not 1 < times <= _MOST_GROWN:
            yield f"{path} is to grow, and is no headline, or by too much."
    if any(axis not in Character.model_fields or not -2 <= lean <= 2 for axis, lean in layout.leans.items()):
        yield "It leans to an end of what is no axis of character, or by more than 2."
    for width in () if layout.measured else CLASSES:
        yield from _together(layout, width)


def _region(region: Region, slots: Mapping[str, Slot], parts: frozenset[str] | set[str]) -> Iterator[str]:
    for slot in region.slots:
        if slot not in slots and slot not in parts:
            yield f"{slot} is no slot of the kind, and its template draws no such part."
    for slot, cap in region.caps.items():
        if slot not in region.slots or not _CAPS[0] <= cap <= _CAPS[1]:
            yield f"The cap of {slot} is of a slot that is elsewhere, or no length of a line."
    if region.ground and not (region.card and region.ground in GROUNDS):
        yield f"A ground “{region.ground}” is named by what is no card, or there is no such ground."
    pictures = [slot for slot in region.slots if slot in slots and slots[slot].of.picture]
    if bool(pictures) != bool(region.picture):
        yield "A region that holds a picture says of which kind, and no other does."
    if pictures and not region.behind and not region.phone.ratio:
        yield "A picture needs proportions on phones, where no row gives it a height."
    for place in (region.at, region.tablet or region.at):
        first, last = place.cols or (1, COLUMNS)
        if not 0 <= first <= last <= COLUMNS + 1:
            yield f"Columns {first} to {last} are none of the grid's."
        if any(slot not in region.slots or not 0 < wide <= place.columns() for slot, wide in place.spans.items()):
            yield "A slot's columns are more than its region's, or it stands elsewhere."
        running = [
            slot
            for slot in region.slots
            if slot in slots and slots[slot].of.drawn_as == "text" and slots[slot].step in _RUNNING
        ]
        if running and place.columns() < _NARROWEST:
            yield f"Running text stands in {place.columns()} columns; {_NARROWEST} are the least."
    if region.phone.cols not in _PHONE:
        yield "On phones a region takes the whole row, to the edges of the viewport or not."


def _items(region: Region, items: Collection, slot: Slot) -> Iterator[str]:
    for name, form in items.forms.items():
        if form.keys() != items.usual.keys():
            yield f"The form {name} has other parts than the usual one."
        for part, inner in form.items():
            for held in inner.slots:
                if held not in slot.items:
                    yield f"{part}: {held} is no slot of an item."
    if any(one not in GROUNDS for one in items.grounds) or (items.grounds and items.card != "solid"):
        yield "Grounds are named of items that are no solid cards, or there are no such grounds."
    for width in CLASSES:
        tracks, columns = items.tracks(width), COLUMNS if width == "phone" else region.place(width).columns()
        for rest, form_name in tracks.lead.items():
            if form_name not in items.forms or not 0 <= rest < tracks.of:
                yield f"{width}: The first item has a form {form_name} by the rest {rest}, which there is not."
        for count in range(1, slot.most + 1):
            left = columns
            for one in tracks.spans(count):
                if one > columns or (left < one and left != columns and left):
                    yield f"{width}: {count} items leave a hole of {left} columns in a row."
                    break
                left = (left or columns) - one


def _together(layout: Layout, width: Class) -> Iterator[str]:
    """Regions overlap only where one is meant to, and are read in the order in which they stand."""
    regions = [(name, one, one.place(width)) for name, one in layout.regions.items() if not (one.behind or one.free)]
    if width == "phone" or not any(place.row for _, _, place in regions):
        return
    for index, (name, one, place) in enumerate(regions):
        for other, two, there in regions[index + 1 :]:
            if one.card or two.card or not (place.row and there.row):
                continue
            if _meet(place, there):
                yield f"{name} and {other} overlap in the class {width}, and neither is a card."
    read = [(name, place) for name, one, place in regions if not one.picture and place.row]
    for (name, place), (after, there) in itertools.pairwise(read):
        if (there.row, there.within()[0]) < (place.row, place.within()[0]):
            yield f"{after} stands before {name} in the class {width}, and is read after it."


def _meet(one: Place, two: Place) -> bool:
    (a, b), (c, d) = one.within(), two.within()
    return a <= d and c <= b and one.row < two.row + two.rows and two.row < one.row + one.rows
