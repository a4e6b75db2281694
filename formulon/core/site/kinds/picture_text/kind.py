"""A text beside a picture."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, LINK, PICTURE
from formulon.core.site.layout import Layout, Place, Region, Room

KIND = Kind(
    "Text with picture",
    {
        "heading": HEADING,
        "text": Slot("Text", step="body", ink="body", most=1500),
        "link": LINK,
        "picture": PICTURE,
    },
    {
        "offset": Layout(
            "Offset",
            "A picture off the left edge, the words lower on the right.",
            {
                "picture": Region(
                    ("picture",),
                    Place((0, 7), row=1, down="start", ratio=(5, 4)),
                    phone=Place((0, 12), ratio=(1, 1)),
                    picture="text",
                ),
                "words": Region(("heading", "text", "link"), Place((9, 12), row=1, above="7"), caps={"text": 34}),
            },
        ),
        "column": Layout(
            "Column",
            "The headline in the margin, the words and a wide picture in the main column.",
            {
                "lead": Region(("heading",), Place((1, 4), row=1)),
                "main": Region(
                    ("text", "link", "picture"),
                    Place((6, 12), row=1, gap="5", ratio=(16, 9)),
                    phone=Place(ratio=(16, 9)),
                    picture="text",
                    caps={"text": 36},
                ),
            },
            leans={"classical_modern": -1},
        ),
        "sill": Layout(
            "Sill",
            "A wide picture with a card of words over its lower corner.",
            {
                "picture": Region(
                    ("picture",),
                    Place((2, 13), row=1, down="start", ratio=(21, 11)),
                    phone=Place((0, 13), row=1, ratio=(16, 9)),
                    picture="text",
                ),
                "words": Region(
                    ("heading", "text", "link"),
                    Place((1, 6), row=1, inset="6", uncover="7", drop="6", down="end"),
                    phone=Place((0, 12), inset="5", rise="7"),
                    card=True,
                    caps={"text": 36},
                ),
            },
            Room(""),
            leans={"plain_ornate": 1},
        ),
    },
    needs="who we are, about us, story, text and picture",
)
