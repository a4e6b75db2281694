"""A longer text with paragraphs, lists and links."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, INTRO, PICTURE
from formulon.core.site.layout import Layout, Place, Region, Room

KIND = Kind(
    "Long text",
    {
        "heading": HEADING,
        "text": INTRO,
        "body": Slot("Body", "rich_text", step="body", ink="body", most=8000),
        "note": Slot("Note in the margin", step="fine", ink="quiet", most=400),
        "picture": PICTURE,
    },
    {
        "essay": Layout(
            "Essay",
            "One column of a comfortable measure under its headline.",
            {
                "lead": Region(("heading", "text"), Place((3, 10))),
                "body": Region(("body", "note"), Place((3, 10)), caps={"body": 36, "note": 36}),
            },
            Room(gap="6"),
        ),
        "folio": Layout(
            "Folio",
            "The headline across the page, what introduces it on the left, the text on the right.",
            {
                "lead": Region(("heading",), Place(row=1)),
                "side": Region(("text", "note"), Place((1, 4), row=2)),
                "body": Region(("body",), Place((6, 12), row=2), caps={"body": 38}),
            },
            Room(gap="6"),
            steps={"heading": "h1"},
        ),
        "gloss": Layout(
            "Gloss",
            "The text on the left, a picture and a note on a card beside it.",
            {
                "lead": Region(("heading", "text"), Place((1, 7), row=1)),
                "body": Region(("body",), Place((1, 7), row=2), caps={"body": 38}),
                "side": Region(
                    ("picture", "note"),
                    Place((9, 12), row=2, inset="4", down="start", ratio=(4, 5)),
                    phone=Place(inset="4", ratio=(4, 3)),
                    picture="text",
                    card=True,
                ),
            },
        ),
    },
    needs="story, history, terms, privacy, imprint, several paragraphs",
)
