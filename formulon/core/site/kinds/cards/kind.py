"""Several things of one kind: what is offered, ways to reach, proofs."""

from formulon.core.site.kind import Among, Box, Kind, Layout, Slot
from formulon.core.site.kinds.shared import HEADING, INTRO, LINK, PICTURE

_CARD = ("card/padding", "card/padding", "card/border", "card/border")


_MOST_CARDS = 12
_ODD = tuple(range(1, _MOST_CARDS + 1, 2))


def _thirds(rest: int) -> tuple[int, ...]:
    """The numbers of cards that leave a rest when they are set in rows of three, so that the first row takes it up."""
    return tuple(count for count in range(1, _MOST_CARDS + 1) if count % 3 == rest)


def _both(prefix: str, columns: float) -> dict[str, Box]:
    """Boxes of a card's title and text, in what the card's padding and border leave."""
    return {f"{prefix}{slot}": Box(columns, inset=_CARD) for slot in ("title", "text")}


def _inset(prefix: str, columns: float, space: str) -> dict[str, Box]:
    """Boxes of an item's title and text inside a space on both sides."""
    return {f"{prefix}{slot}": Box(columns, inset=(space, space)) for slot in ("title", "text")}


KIND = Kind(
    "Cards",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "Cards",
            "items",
            most=_MOST_CARDS,
            items={
                "title": Slot("Title", tag="h3", step="h3", ink="heading", most=120),
                "text": Slot("Text", step="body", ink="quiet", most=600),
                "picture": PICTURE,
                "link": LINK,
            },
        ),
    },
    {
        "lead": Layout(
            "Lead",
            "The first card is the largest, with pictures.",
            {"heading": Box(8), "text": Box(5), **_both("items/", 4)},
            among=(
                Among(_both("", 5), index=0, counts=_thirds(0)),
                Among(_both("", 3), index=1, counts=_thirds(0)),
                Among(_both("", 3), index=2, counts=_thirds(0)),
                Among(_both("", 5), index=0, counts=_thirds(1)),
                Among(_both("", 6), index=0, counts=_thirds(2)),
                Among(_both("", 6), index=1, counts=_thirds(2)),
            ),
            tablet=(Among(_both("", 10), index=0, counts=_ODD), Among(_both("", 6))),
            phone_boxes=_both("items/", 12),
        ),
        "ledger": Layout(
            "Ledger",
            "A ruled list, one line for each, without pictures.",
            {"heading": Box(4), "text": Box(4), "items/title": Box(3), "items/text": Box(5, most_em=34)},
        ),
        "terrace": Layout(
            "Terrace",
            "Solid cards that step down the page.",
            {
                "heading": Box(8),
                "text": Box(5),
                **_inset("items/", 4, "5"),
            },
            among=(
                Among(_inset("", 8, "5"), counts=(1,)),
                *(Among(_inset("", 6, "5"), index=index, counts=_thirds(1)) for index in range(4)),
                *(Among(_inset("", 6, "5"), index=index, counts=_thirds(2)) for index in range(2)),
            ),
            tablet=(Among(_inset("", 12, "5"), index=0, counts=_ODD), Among(_inset("", 6, "5"))),
            card=("items/title", "items/text", "items/link"),
            phone_boxes=_inset("items/", 12, "5"),
        ),
    },
    ground="tint",
)
