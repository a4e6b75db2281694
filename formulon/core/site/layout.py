"""What a layout is: where its parts stand, stated once, as data. From it follow the style sheet (layout_css.py), the boxes that
prediction uses (geometry.py), the places of texts on pictures (standing.py), the sketch in the interface (sketch.py), what a
section draws with (checks/reach.py) and the signature by which layouts are compared (signature.py).

A section is a grid of 12 columns between two margins. Columns are counted from 1; 0 is the start edge of the viewport and 13 its
end edge, so that a part that bleeds needs nothing more said. Everything is logical: a language from right to left mirrors it. On
phones a layout is one column, in reading order. Spaces are steps of the space scale ("5").
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field
from functools import cached_property
from typing import Literal

COLUMNS = 12
HEADINGS = ("display", "h1", "h2", "h3", "h4", "h5", "h6")  # steps that are broken evenly, and set smaller where a word is long
GRID_FROM = 768  # px of viewport from which the 12 columns stand side by side
WIDE_FROM = 1024  # and below it a layout may be another than on a desktop

Class = Literal["phone", "tablet", "desktop"]
CLASSES: tuple[Class, ...] = ("phone", "tablet", "desktop")
Down = Literal["", "start", "center", "end", "baseline"]
Across = Literal["start", "center", "end"]


def class_of(viewport: float) -> Class:
    """The class of widths that a viewport width in px belongs to."""
    return "phone" if viewport < GRID_FROM else "tablet" if viewport < WIDE_FROM else "desktop"


@dataclass(frozen=True, eq=False)
class Place:
    """Where a region stands in one class of widths, and how what it holds stands in it."""

    cols: tuple[int, int] | None = None  # first and last column; in an item those of the item's own span; None for all of them
    row: int = 0  # from 1; 0 for the row after those before
    rows: int = 1  # how many it spans
    inset: str = ""  # space inside on every side, as a card has; an edge at the viewport's takes the margin of the page instead
    above: str = ""  # space inside over what it holds
    below: str = ""  # and under it
    rise: str = ""  # how far it overlaps what stands above
    drop: str = ""  # how far it hangs down over what comes below
    uncover: str = ""  # how much of what it overlaps stays in sight above it, at least
    bleed: tuple[Literal["top", "bottom"], ...] = ()  # edges of the section that it runs to through the section's own space
    down: Down = ""  # where it stands in its rows; empty for the whole of their height
    across: Across = "start"
    gap: str = "4"  # between the parts that it holds
    ratio: tuple[float, float] | None = None  # of a picture, width to height; without one it fills its rows
    spans: Mapping[str, int] = field(default_factory=dict)  # columns of slots that are narrower than the region
    most: float = 0.0  # width in px of a picture that is not to grow with its columns
    height: float = 0.0  # of a free drawing, as a share of the viewport's width

    def within(self, columns: int = COLUMNS) -> tuple[int, int]:
        """First and last column among so many, margins left out."""
        first, last = self.cols or (1, columns)
        return max(first, 1), min(last, columns)

    def columns(self, columns: int = COLUMNS) -> int:
        """How many columns it spans, margins left out."""
        first, last = self.within(columns)
        return last - first + 1

    @property
    def edges(self) -> tuple[bool, bool]:
        """Whether it runs to the start and the end edge of the viewport."""
        return (self.cols[0] == 0, self.cols[1] == COLUMNS + 1) if self.cols else (False, False)


@dataclass(frozen=True, eq=False)
class Tracks:
    """How the items of a collection stand side by side in one class of widths: a rule by their number.

    Every item spans `span` columns of its region. What `number % of` leaves is taken up by the first ones: `first` has their spans
    by that rest. `only` has the spans of a number that stands apart. `lead` names by the rest the form of the first item.
    """

    span: int
    of: int = 1
    first: Mapping[int, tuple[int, ...]] = field(default_factory=dict)
    only: Mapping[int, tuple[int, ...]] = field(default_factory=dict)
    lead: Mapping[int, str] = field(default_factory=dict)
    step: str = ""  # how much lower each further item of a row stands
    stepped: tuple[int, ...] = ()  # the numbers that step, where all their rows are full

    def spans(self, count: int) -> tuple[int, ...]:
        """Columns of each of some items."""
        start = self.only.get(count) or self.first.get(count % self.of, ())
        return (*start, *(self.span for _ in range(count - len(start))))[:count]

    def steps(self, count: int, columns: int) -> tuple[int, ...]:
        """By how many steps each of some items stands lower."""
        spans = self.spans(count)
        even = len(set(spans)) <= 1 and spans and not count % (columns // spans[0])
        if not (self.step and count in self.stepped and even):
            return (0,) * count
        return tuple(index % (columns // spans[0]) for index in range(count))

    def form(self, index: int, count: int) -> str:
        """The name of an item's form; empty for the usual one."""
        return self.lead.get(count % self.of, "") if index == 0 else ""


@dataclass(frozen=True, eq=False)
class Region:
    """A part of a section or of an item: slots in reading order, stacked, or one collection.

    `at` is its place from 768 px on, `tablet` that below 1024 px where it is another. A name in `slots` that is no slot of the
    kind is a part that the kind's own template draws.
    """

    slots: tuple[str, ...]
    at: Place = field(default_factory=Place)
    tablet: Place | None = None
    phone: Place = field(default_factory=Place)
    card: bool = False  # stands on an inset card of another ground
    ground: str = ""  # which ground that is; empty for the quiet one beside the section's
    ruled: bool = False  # has a line above it
    behind: bool = False  # a picture that fills the section behind everything else
    picture: Literal["", "opening", "text", "card", "portrait"] = (
        ""  # which of the site's kinds of pictures it holds; a portrait keeps its own proportions
    )
    caps: Mapping[str, float] = field(default_factory=dict)  # widest line of a slot, in em of its own size
    items: "Collection | None" = None
    flow: Literal["stack", "row"] = "stack"  # whether links in it stand under one another or side by side
    free: bool = False  # what it holds is turned, cropped or drawn: its boxes cannot be told without a browser

    def place(self, width: Class) -> Place:
        return self.phone if width == "phone" else (self.tablet or self.at) if width == "tablet" else self.at


Form = Mapping[str, Region]


@dataclass(frozen=True, eq=False)
class Collection:
    """A collection: how its items stand, and how each is made of regions of its own. The first of `forms` is the usual one."""

    forms: Mapping[str, Form]
    at: Tracks
    tablet: Tracks | None = None
    phone: Tracks = field(default_factory=lambda: Tracks(COLUMNS))
    card: Literal["", "site", "solid"] = ""  # drawn as the site's cards are; or always on another ground
    grounds: tuple[str, ...] = ()  # of solid items one after the other, and from the first again; empty for the quiet one
    even: bool = False  # items of a row are as high as its highest
    inset: str = ""  # space inside an item
    pad: str = ""  # space inside an item, above and below alone
    ruled: bool = False  # a line above each item and under the last
    gap: str = "5"  # between rows of items; empty for none
    inner: str = "3"  # between the parts of an item
    unfolds: bool = False  # the first part of an item is pressed to see the others
    opens: bool = False  # the picture of an item is pressed to see it large

    def tracks(self, width: Class) -> Tracks:
        return self.phone if width == "phone" else (self.tablet or self.at) if width == "tablet" else self.at

    def form(self, width: Class, index: int, count: int) -> Form:
        """The regions of an item."""
        return self.forms.get(self.tracks(width).form(index, count)) or self.usual

    @property
    def usual(self) -> Form:
        return next(iter(self.forms.values()))


@dataclass(frozen=True, eq=False)
class Room:
    """The space of a section in one class of widths."""

    top: str = "7"  # empty for none
    bottom: str = "7"
    gap: str = "5"  # between rows
    least: tuple[float, float, float] | None = None  # least height: px at least, a share of the viewport's width, px at most
    content: Literal["start", "center", "end"] = "start"  # where the rows stand in a height that they do not fill
    rows: Literal["", "start", "end"] = ""  # where regions stand in their rows
    last: bool = False  # whether the last row takes the height that is left

    def least_height(self, viewport: float) -> float:
        """Least height in px at a viewport width."""
        if self.least is None:
            return 0.0
        low, share, high = self.least
        return min(max(low, share * viewport), high)


@dataclass(frozen=True, eq=False)
class Layout:
    """A composition of a kind. `steps` overrides the step of a slot. Where `measured` is set the parts stand in a row as wide as
    they are, which header.py works out from the shaped names; their places are then those of the sketch alone."""

    label: str
    about: str
    regions: Mapping[str, Region]
    frame: Room = field(default_factory=Room)
    phone: Room | None = None
    steps: Mapping[str, str] = field(default_factory=dict)
    grow: Mapping[str, float] = field(default_factory=dict)  # of a headline, how many times its step it is drawn where it fits
    leans: Mapping[str, int] = field(default_factory=dict)  # by axis of character, to which end it leans: -2 to 2
    measured: bool = False

    def frame_at(self, width: Class) -> Room:
        return (self.phone or self.frame) if width == "phone" else self.frame

    @cached_property
    def collection(self) -> tuple[str, Region, Collection] | None:
        """The slot of the items, their region and their rule."""
        return next(((one.slots[0], one, one.items) for one in self.regions.values() if one.items), None)

    @cached_property
    def on_picture(self) -> tuple[str, ...]:
        """The slots that stand on the section's picture, over an overlay in the ground's colour."""
        if not any(region.behind for region in self.regions.values()):
            return ()
        return tuple(
            slot
            for region in self.regions.values()
            if not (region.behind or region.card or region.items)
            for slot in region.slots
        )

    @cached_property
    def pictured(self) -> bool:
        """Whether a picture of the section's own is drawn, in the place that a large motif would have."""
        return any(region.picture and not region.items for region in self.regions.values())

    @cached_property
    def styled(self) -> bool:
        """Whether items stand on cards as the site has them."""
        return self.collection is not None and self.collection[2].card == "site"

    @cached_property
    def item_slots(self) -> tuple[str, ...]:
        """The slots of items but for their pictures, without their number ("items/title")."""
        if self.collection is None:
            return ()
        name, _, items = self.collection
        return tuple(f"{name}/{slot}" for region in items.usual.values() if not region.picture for slot in region.slots)

    @cached_property
    def drawn(self) -> frozenset[str]:
        """The slots that the layout shows, those of items without their number."""
        found = {slot for region in self.regions.values() for slot in region.slots}
        if self.collection:
            name, _, items = self.collection
            found |= {f"{name}/{slot}" for form in items.forms.values() for region in form.values() for slot in region.slots}
        return frozenset(found)

    def ruled(self, count: int) -> int:
        """How many parts are ruled, with so many items."""
        own = sum(region.ruled for region in self.regions.values())
        return own + (count if self.collection and self.collection[2].ruled else 0)


def parts(layout: Layout) -> Iterator[tuple[str, Region]]:
    """Every region of a layout, those of items included, with the slots' prefix ("items/")."""
    for region in layout.regions.values():
        yield "", region
        if region.items:
            for form in region.items.forms.values():
                for inner in form.values():
                    yield f"{region.slots[0]}/", inner
