"""The catalogue of section kinds: their slots and their layouts, as data.

A layout says for each text slot how wide its box is, so that lines can be predicted without a browser. Boxes are in
columns of the 12-column grid from 768 px on; below, everything is one column.
"""

from dataclasses import dataclass, field
from typing import Literal

SlotType = Literal["text", "action", "picture", "items"]


@dataclass(frozen=True, slots=True)
class Slot:
    """A place for content. Texts have the tag, step and ink that they are set in on every layout."""

    label: str
    type: SlotType = "text"
    tag: str = "p"
    step: str = "body"
    ink: str = "body"
    variant: str = "primary"  # of an action
    most: int = 600
    items: dict[str, "Slot"] = field(default_factory=dict)


@dataclass(frozen=True, slots=True)
class Box:
    """Width of a text's box: grid columns, px taken off on both sides together by space tokens, and a cap in em."""

    columns: float = 12
    inset: tuple[str, ...] = ()  # names of space tokens, or paths of others, each taken off once
    most_em: float | None = None  # max-width in em of the text's own size


@dataclass(frozen=True, slots=True)
class Among:
    """Boxes of some items' slots ("title"): of the item at `index`, where there are `counts` items; without them, of any."""

    boxes: dict[str, Box]
    index: int | None = None
    counts: tuple[int, ...] = ()


@dataclass(frozen=True, slots=True)
class Layout:
    """A composition of a kind. `steps` overrides the step of a slot; `card` names the slots on an inset card of another
    ground, `on_picture` those that stand on the section's picture, over an overlay in the ground's colour."""

    label: str
    about: str
    boxes: dict[str, Box]
    steps: dict[str, str] = field(default_factory=dict)
    card: tuple[str, ...] = ()  # slots that stand on a card of another ground
    phone_boxes: dict[str, Box] = field(default_factory=dict)
    tablet_boxes: dict[str, Box] = field(default_factory=dict)  # below 1024 px of viewport, before `boxes`
    on_picture: tuple[str, ...] = ()
    among: tuple[Among, ...] = ()  # the first that holds for an item goes before `boxes`
    tablet: tuple[Among, ...] = ()  # the same below 1024 px of viewport, before those


@dataclass(frozen=True, slots=True)
class Kind:
    """A section kind."""

    label: str
    slots: dict[str, Slot]
    layouts: dict[str, Layout]
    ground: str = "paper"


def card_ground(ground: str) -> str:
    """The ground of an inset card that stands on a section's ground."""
    return "tint" if ground in ("paper", "navigation") else "paper"


_HEADING = Slot("Headline", tag="h2", step="h2", ink="heading", most=200)
_INTRO = Slot("Introduction", step="intro", ink="body", most=600)
_PRIMARY = Slot("First action", "action", step="label", variant="primary")
_SECONDARY = Slot("Second action", "action", step="label", variant="secondary")
_PICTURE = Slot("Picture", "picture")
_LINK = Slot("Link", "action", step="label", variant="text")

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


CATALOGUE: dict[str, Kind] = {
    "header": Kind(
        "Header",
        {"action": Slot("Action", "action", step="label", variant="primary")},
        {
            "bar": Layout("Bar", "Mark on the left, navigation and the action on the right.", {}),
            "masthead": Layout("Masthead", "Mark over a ruled line of navigation, as on a paper.", {}),
        },
        ground="navigation",
    ),
    "hero": Kind(
        "Hero",
        {
            "heading": Slot("Headline", tag="h1", step="display", ink="heading", most=160),
            "text": _INTRO,
            "primary": _PRIMARY,
            "secondary": _SECONDARY,
            "picture": _PICTURE,
        },
        {
            "horizon": Layout(
                "Horizon",
                "A large headline over a picture that runs off the right edge.",
                {"heading": Box(7), "text": Box(5, most_em=30)},
            ),
            "frieze": Layout(
                "Frieze",
                "The headline across the page, a wide picture under it, words at its foot.",
                {"heading": Box(12), "text": Box(6, most_em=34)},
            ),
            "window": Layout(
                "Window",
                "A tall picture on the left, the words on a card that overlaps it.",
                {"heading": Box(7, inset=("6", "6")), "text": Box(7, inset=("6", "6"), most_em=32)},
                steps={"heading": "h1"},
                card=("heading", "text", "primary", "secondary"),
                phone_boxes={"heading": Box(12, inset=("5",)), "text": Box(12, inset=("5",), most_em=32)},
            ),
            "backcloth": Layout(
                "Backcloth",
                "The words on the picture itself, which fills the whole section.",
                {"heading": Box(9), "text": Box(6, most_em=34)},
                on_picture=("heading", "text"),
            ),
            "words": Layout(
                "Words only",
                "Only words: a headline and its introduction side by side, for inner pages.",
                {"heading": Box(7), "text": Box(4)},
                steps={"heading": "h1"},
            ),
        },
        ground="deep",
    ),
    "picture_text": Kind(
        "Text with picture",
        {
            "heading": _HEADING,
            "text": Slot("Text", step="body", ink="body", most=1500),
            "link": _LINK,
            "picture": _PICTURE,
        },
        {
            "offset": Layout(
                "Offset",
                "A picture off the left edge, the words lower on the right.",
                {"heading": Box(4), "text": Box(4, most_em=34)},
            ),
            "column": Layout(
                "Column",
                "The headline in the margin, the words and a wide picture in the main column.",
                {"heading": Box(4), "text": Box(7, most_em=36)},
            ),
            "sill": Layout(
                "Sill",
                "A wide picture with a card of words over its lower corner.",
                {"heading": Box(6, inset=("6", "6")), "text": Box(6, inset=("6", "6"), most_em=36)},
                card=("heading", "text", "link"),
                phone_boxes={"heading": Box(12, inset=("5",)), "text": Box(12, inset=("5",), most_em=36)},
            ),
        },
    ),
    "cards": Kind(
        "Cards",
        {
            "heading": _HEADING,
            "text": _INTRO,
            "items": Slot(
                "Cards",
                "items",
                most=_MOST_CARDS,
                items={
                    "title": Slot("Title", tag="h3", step="h3", ink="heading", most=120),
                    "text": Slot("Text", step="body", ink="quiet", most=600),
                    "picture": _PICTURE,
                    "link": _LINK,
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
    ),
    "call_to_action": Kind(
        "Call to action",
        {"heading": _HEADING, "text": _INTRO, "primary": _PRIMARY, "secondary": _SECONDARY},
        {
            "sweep": Layout(
                "Sweep",
                "A large headline beside an arc in the brand's colours.",
                {"heading": Box(7), "text": Box(6, most_em=32)},
            ),
            "ledge": Layout(
                "Ledge",
                "Words on the left, actions on the right, on one line.",
                {"heading": Box(7), "text": Box(7, most_em=38)},
            ),
        },
        ground="accent",
    ),
    "footer": Kind(
        "Footer",
        {
            "text": Slot("Closing words", step="body", ink="body", most=300),
            "note": Slot("Small print", step="fine", ink="quiet", most=300),
        },
        {
            "columns": Layout(
                "Columns",
                "Name large, then pages and contact in columns.",
                {"mark": Box(5), "text": Box(5), "note": Box(12, most_em=38), "links": Box(3), "contact": Box(3)},
                tablet_boxes={"contact": Box(4)},
            ),
            "line": Layout(
                "Line",
                "All of it on one quiet line.",
                {"mark": Box(6), "text": Box(6), "note": Box(6, most_em=38), "links": Box(6), "contact": Box(6)},
            ),
        },
        ground="footer",
    ),
}
