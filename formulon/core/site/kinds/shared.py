"""Slots, regions and rules by number that several kinds have."""

from formulon.core.site.kind import Slot
from formulon.core.site.layout import Place, Region, Tracks

HEADING = Slot("Headline", tag="h2", step="h2", ink="heading", most=200)
INTRO = Slot("Introduction", step="intro", ink="body", most=600)
PRIMARY = Slot("First action", "action", step="label", variant="primary")
SECONDARY = Slot("Second action", "action", step="label", variant="secondary")
PICTURE = Slot("Picture", "picture")
LINK = Slot("Link", "action", step="label", variant="text")
TITLE = Slot("Title", tag="h3", step="h3", ink="heading", most=120)
TEXT = Slot("Text", step="body", ink="quiet", most=600)

ACTIONS = ("primary", "secondary")

# The head of a section over what follows, and in the margin beside it.
OVER = Region(("heading", "text"), Place((1, 8), spans={"text": 6}))
MARGIN = Region(("heading", "text"), Place((1, 4), row=1))

# Items side by side in twelve columns, without a hole at any number.
TWO = Tracks(6, of=2, first={1: (12,)})
THREE = Tracks(4, of=3, first={1: (12,), 2: (6, 6)}, only={4: (6, 6, 6, 6)})
FOUR = Tracks(3, of=4, first={1: (12,), 2: (6, 6), 3: (4, 4, 4)}, only={5: (6, 6, 4, 4, 4), 6: (4,) * 6})


def beside(slots: tuple[str, ...], cols: tuple[int, int], gap: str = "2", cap: float = 0.0) -> Region:
    """A part of an item that stands in the item's one row; under one another on phones. `cap` limits its texts, in em."""
    return Region(
        slots,
        Place(cols, row=1, down="baseline", gap=gap),
        phone=Place(gap=gap),
        caps={slot: cap for slot in slots if slot in ("text", "title")} if cap else {},
    )


def under(slots: tuple[str, ...], gap: str = "2") -> Region:
    """A part of an item that stands under those before it."""
    return Region(slots, Place(gap=gap), phone=Place(gap=gap))


def face(ratio: tuple[float, float]) -> Region:
    """The picture of an item, over its words."""
    return Region(("picture",), Place(ratio=ratio), phone=Place(ratio=ratio), picture="card")
