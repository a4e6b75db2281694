"""The opening of a page."""

from formulon.core.site.kind import Box, Kind, Layout, Slot
from formulon.core.site.kinds.shared import INTRO, PICTURE, PRIMARY, SECONDARY

KIND = Kind(
    "Hero",
    {
        "heading": Slot("Headline", tag="h1", step="display", ink="heading", most=160),
        "text": INTRO,
        "primary": PRIMARY,
        "secondary": SECONDARY,
        "picture": PICTURE,
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
)
