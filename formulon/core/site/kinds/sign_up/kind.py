"""To be told of what is new: one field and a button."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, INTRO
from formulon.core.site.layout import Layout, Place, Region, Room

KIND = Kind(
    "Sign-up",
    {
        "heading": HEADING,
        "text": INTRO,
        "form": Slot("Form", "form"),
        "note": Slot("Small print", step="fine", ink="quiet", most=300),
    },
    {
        "line": Layout(
            "Line",
            "Words on the left, the field on the right, on one line.",
            {
                "words": Region(("heading", "text"), Place((1, 6), row=1), caps={"text": 34}),
                "form": Region(("form", "note"), Place((8, 12), row=1), caps={"note": 34}),
            },
            Room("6", "6"),
            phone=Room("6", "6"),
            steps={"heading": "h3", "text": "body"},
        ),
        "postcard": Layout(
            "Postcard",
            "A card of another ground in the middle of the page.",
            {
                "card": Region(
                    ("heading", "text", "form", "note"),
                    Place((3, 10), inset="7", gap="5"),
                    phone=Place((0, 13), inset="5", gap="4"),
                    card=True,
                    ground="brand",
                    caps={"text": 36, "note": 40},
                )
            },
            phone=Room("", ""),
        ),
        "poster": Layout(
            "Poster",
            "A very large headline over a narrow form.",
            {
                "lead": Region(("heading",), Place((1, 11))),
                "words": Region(("text",), Place((1, 4), row=2)),
                "form": Region(("form", "note"), Place((6, 12), row=2)),
            },
            Room(gap="6"),
            phone=Room(),
            steps={"heading": "display"},
            grow={"heading": 2},
        ),
    },
    ground="tint",
    needs="newsletter, email, subscribe, join, stay in touch",
)
