"""The geometric signature of a layout, by which layouts are compared: what stands in which columns and rows, what bleeds and
overlaps, and how much of it is picture. A mirror image has the same signature.
"""

from dataclasses import dataclass
from functools import lru_cache
from typing import Literal

from formulon.core.site.catalogue import layout_of
from formulon.core.site.kind import Kind
from formulon.core.site.layout import COLUMNS, Layout, Region
from formulon.core.site.sketch import picture_share

Holds = Literal["picture", "heading", "words", "items", "actions", "part"]
_WEIGHTS = {"columns": 0.5, "row": 0.2, "bleed": 0.15, "over": 0.15}
_PICTURE = 0.15  # what the share of picture counts for, beside the regions


@dataclass(frozen=True, slots=True)
class Held:
    """A region: what it holds, its columns counted from the side on which the lead stands, its row, the edges of the viewport that
    it runs to, whether it stands over something, and for a collection the columns of its first items and of their parts."""

    what: Holds
    first: int
    last: int
    row: int
    bleeds: tuple[bool, bool]
    over: bool
    named: str = ""  # of a part that is neither words nor a picture: its slot
    tracks: tuple[int, ...] = ()
    inside: tuple[tuple[int, int, int], ...] = ()  # of an item's parts: first and last column, and row


@dataclass(frozen=True, slots=True)
class Signature:
    """A layout as it is compared."""

    regions: tuple[Held, ...]
    picture: float  # share, 0–1


def signature(kind: Kind, name: str) -> Signature:
    """The signature of one of a kind's layouts, or of a composition of one's own."""
    return signature_of(kind, layout_of(kind, name))


def signature_of(kind: Kind, layout: Layout) -> Signature:
    """The signature of a layout."""
    return _signature(layout, picture_share(kind, layout))


@lru_cache(maxsize=512)
def _signature(layout: Layout, picture: float) -> Signature:
    mirrored = _lead_is_at_end(layout)
    made, row = [], 0
    for region in layout.regions.values():
        place = region.at
        row = place.row or row + 1
        first, last = place.cols or (1, COLUMNS)
        bleeds = place.edges
        if mirrored:
            first, last, bleeds = COLUMNS + 1 - last, COLUMNS + 1 - first, (bleeds[1], bleeds[0])
        tracks = region.items.at.spans(3) if region.items else ()
        parts = region.items.usual.values() if region.items else ()
        inside = tuple((*part.at.within(tracks[0]), part.at.row) for part in parts)
        over = region.card or region.behind or "top" in place.bleed
        what = _holds(region)
        made.append(Held(what, first, last, row, bleeds, over, region.slots[0] if what == "part" else "", tracks, inside))
    return Signature(tuple(made), round(picture, 3))


def _holds(region: Region) -> Holds:
    if region.items:
        return "items"
    if region.picture and len(region.slots) == 1:
        return "picture"
    if "heading" in region.slots:
        return "heading"
    if set(region.slots) <= {"primary", "secondary", "action"}:
        return "actions"
    return "words" if "text" in region.slots else "part"


def _lead_is_at_end(layout: Layout) -> bool:
    """Whether what leads, the headline, stands nearer to the end than to the start."""
    for region in layout.regions.values():
        if "heading" in region.slots:
            first, last = region.at.within()
            return first + last > COLUMNS + 1
    return False


def likeness(one: Signature, two: Signature) -> float:
    """How alike two layouts are, 0–1; 1 for the same or a mirror image."""
    scored = [(_alike(a, b), i, j) for i, a in enumerate(one.regions) for j, b in enumerate(two.regions)]
    pairs, first, second = 0.0, set[int](), set[int]()
    for score, i, j in sorted(scored, key=lambda made: (-made[0], made[1] + made[2])):  # the best pairs first, in either order
        if score > 0 and i not in first and j not in second:
            pairs, first, second = pairs + score, first | {i}, second | {j}
    most = max(len(one.regions), len(two.regions), 1)
    picture = 1 - abs(one.picture - two.picture)
    return (1 - _PICTURE) * pairs / most + _PICTURE * picture


def _alike(one: Held, two: Held) -> float:
    if (one.what, one.named) != (two.what, two.named):
        return 0.0
    shared = min(one.last, two.last) - max(one.first, two.first) + 1
    whole = max(one.last, two.last) - min(one.first, two.first) + 1
    columns = max(0, shared) / whole
    if one.what == "items":
        columns /= 1 + (one.tracks != two.tracks) + (one.inside != two.inside)
    told = {"columns": columns, "row": one.row == two.row, "bleed": one.bleeds == two.bleeds, "over": one.over == two.over}
    return sum(weight * float(told[name]) for name, weight in _WEIGHTS.items())
