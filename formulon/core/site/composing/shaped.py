"""A layout shaped by hand: an edge of a part pulled to another column, a part moved to another row, beside another or over a picture, on
desktops or on tablets; a picture on phones to the edges or not. What comes of it is a composition of one's own, declared and checked as
any other; what would break the order of reading, or stand nowhere, is refused in a sentence."""

from dataclasses import dataclass, replace

from formulon.core.errors import ChangeError
from formulon.core.site.catalogue import DeclarationError, layout_of
from formulon.core.site.composing.turned import as_composition
from formulon.core.site.composition import MADE, Composition, Part, written
from formulon.core.site.kind import Kind
from formulon.core.site.layout import COLUMNS, Class

_MOST_ROWS = 8
_BY = (3, 2, 4, 1)
_LEAST = 3  # columns of an item


@dataclass(frozen=True, slots=True)
class PartShape:
    """A part of a layout as it can be shaped: the class of its element on the page, what it is called, and where it stands."""

    region: str
    label: str
    cols: tuple[int, int]
    row: int
    rows: int
    tablet: tuple[int, int, int]
    picture: bool
    phone: str
    ratio: str  # of a picture: "3x2", or "fills" where it fills its rows


def parts_of(kind: Kind, name: str) -> list[PartShape]:
    """The parts of a layout; none where it has what cannot be shaped."""
    found = as_composition(kind, name)
    if found is None:
        return []
    layout = layout_of(kind, name)
    made, row = [], 0
    for (region, declared), part in zip(layout.regions.items(), found.parts, strict=True):
        place = declared.place("tablet")
        row = place.row or row + 1
        picture = kind.slots[part.slots[0]].of.picture
        phone = "" if not picture else "edge" if declared.phone.cols == (0, COLUMNS + 1) else "inset"
        label = kind.slots[part.slots[0]].label
        made.append(
            PartShape(
                region,
                label,
                part.cols,
                part.row,
                part.rows,
                (*(place.cols or (1, COLUMNS)), row),
                picture,
                phone,
                "" if not picture else f"{part.ratio[0]}x{part.ratio[1]}" if part.ratio else "fills",
            )
        )
    return made


def shaped(
    kind: Kind, name: str, part: int, width: Class, cols: tuple[int, int] | None = None, row: int | None = None, phone: str = ""
) -> str:
    """The layout with a part in other columns (0 and 13 are the edges of the viewport) or another row in a class of widths, as the name of
    one of one's own. Raises ChangeError, in a sentence for people, for what cannot stand so."""
    found = as_composition(kind, name)
    if found is None:
        raise ChangeError("This layout has parts that stand freely. Take another layout, or compose one, and shape that.")
    if not 0 <= part < len(found.parts):
        raise ChangeError("This part is not there any more.")
    if width == "phone":
        return _on_phones(kind, found, part, phone)
    if width == "tablet":
        return _on_tablets(kind, name, found, part, cols, row)
    one = found.parts[part]
    moved = replace(one, cols=_within(kind, one, cols or one.cols), row=max(1, min(row or one.row, _MOST_ROWS)))
    if (one.like or one.made) and moved.cols[1] - moved.cols[0] != one.cols[1] - one.cols[0]:
        return _first([_placed(kind, found, part, each) for each in _items(moved)], kind)
    return _first([_placed(kind, found, part, moved)], kind)


def proportioned(kind: Kind, name: str, part: int, ratio: str) -> str:
    """The layout with a picture in other proportions ("3x2", width to height), or filling its rows ("fills"), at every width. Raises
    ChangeError."""
    found = as_composition(kind, name)
    if found is None or not 0 <= part < len(found.parts):
        raise ChangeError("This layout has parts that stand freely. Take another layout, or compose one, and shape that.")
    one = found.parts[part]
    if not kind.slots[one.slots[0]].of.picture:
        raise ChangeError("Words and lists are as high as what they say. Only pictures have proportions.")
    wide, _, high = ratio.partition("x")
    made = replace(one, ratio=None if ratio == "fills" else (int(wide), int(high)))
    return _first([replace(found, parts=tuple(made if each is one else each for each in found.parts))], kind)


def _on_phones(kind: Kind, found: Composition, part: int, phone: str) -> str:
    one = found.parts[part]
    if not kind.slots[one.slots[0]].of.picture:
        raise ChangeError("On phones everything stands in one column, in the order of reading. Only pictures run to the edges.")
    parts = tuple(replace(each, phone=phone) if each is one else each for each in found.parts)
    return _first([replace(found, parts=parts)], kind)


def _on_tablets(kind: Kind, name: str, found: Composition, part: int, cols: tuple[int, int] | None, row: int | None) -> str:
    """On tablets every part says its own place from then on, since they stand in rows together."""
    now = parts_of(kind, name)
    first, last, at = now[part].tablet
    first, last = _within(kind, found.parts[part], cols or (first, last))
    places = [one.tablet for one in now]
    places[part] = (first, last, max(1, min(row or at, _MOST_ROWS)))
    places = _dense(places)
    parts = tuple(replace(one, tablet=place) for one, place in zip(found.parts, places, strict=True))
    return _first([replace(found, parts=parts)], kind)


def _dense(places: list[tuple[int, int, int]]) -> list[tuple[int, int, int]]:
    rows = {row: index for index, row in enumerate(sorted({place[2] for place in places}), 1)}
    return [(first, last, rows[row]) for first, last, row in places]


def _within(kind: Kind, part: Part, cols: tuple[int, int]) -> tuple[int, int]:
    """Columns of the grid; only pictures run to the edges of the viewport."""
    edge = kind.slots[part.slots[0]].of.picture
    low, high = (0, COLUMNS + 1) if edge else (1, COLUMNS)
    first, last = (max(low, min(high, one)) for one in cols)
    if first > last:
        raise ChangeError("A part is one column wide at least.")
    return first, last


def _items(part: Part) -> list[Part]:
    """Items in another width: made as they are with so many in a row as go, else in a plain way."""
    columns = part.cols[1] - part.cols[0] + 1
    fitting = [by for by in dict.fromkeys((part.by, *_BY)) if by and columns // by >= _LEAST]
    as_before = [replace(part, by=by) for by in fitting]
    plain = [replace(part, like="", made=made, by=by) for made in MADE for by in fitting]
    return as_before + plain or [part]


def _placed(kind: Kind, found: Composition, part: int, moved: Part) -> Composition:
    """The parts with one in another place: over a picture on a card; where it would meet anything else, it stands in a row of its own,
    under that where it came from above, else over it."""
    others = [one for index, one in enumerate(found.parts) if index != part]
    picture = kind.slots[moved.slots[0]].of.picture
    if not picture and not kind.slots[moved.slots[0]].of.collection:
        over = [one for one in others if kind.slots[one.slots[0]].of.picture and _meet(one, moved)]
        moved = replace(moved, card=True) if over else moved
    met = [one for one in others if _meet(one, moved) and not (moved.card or one.card)]
    if met and moved.row > found.parts[part].row:
        foot = max(one.row + one.rows for one in met)
        others = [replace(one, row=one.row + moved.rows) if one.row >= foot else one for one in others]
        moved = replace(moved, row=foot)
    elif met:
        others = [replace(one, row=one.row + moved.rows) if one.row >= moved.row else one for one in others]
    parts = sorted([*others, moved], key=lambda one: (one.row, one.cols[0], one.card))
    taken = sorted({row for one in parts for row in range(one.row, one.row + one.rows)})
    rows = {row: index for index, row in enumerate(taken, 1)}
    return replace(found, parts=tuple(replace(one, row=rows[one.row]) for one in parts))


def _meet(one: Part, two: Part) -> bool:
    apart = one.cols[1] < two.cols[0] or two.cols[1] < one.cols[0]
    return not apart and one.row < two.row + two.rows and two.row < one.row + one.rows


def _first(tried: list[Composition], kind: Kind) -> str:
    """The first that holds together, as a name. Raises ChangeError with what speaks against the first of all."""
    refused = ""
    for one in tried:
        read = [part for part in one.parts if not kind.slots[part.slots[0]].of.picture]
        head = next((index for index, part in enumerate(read) if "heading" in part.slots), 0)
        if any("label" not in part.slots for part in read[:head]):
            refused = refused or "The headline is read before what it heads, so it stands before it."
            continue
        name = written(one)
        try:
            layout_of(kind, name)
        except (DeclarationError, ValueError) as error:
            refused = refused or _sentence(str(error))
        else:
            return name
    raise ChangeError(refused or "It cannot stand so.")


def _sentence(fault: str) -> str:
    """What is wrong with a declaration, for people who pull at it."""
    if "overlap" in fault:
        return "Two parts would stand on one another there."
    if "is read after it" in fault:
        return "It would be read after what it stands before. Move it another way."
    if "Running text" in fault or "columns" in fault:
        return "Words need three columns at least, and items as many as they are in a row."
    return "The layout does not hold together so."
