"""An article: a longer text with what belongs to it."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import INTRO, PICTURE
from formulon.core.site.layout import Layout, Place, Region, Room

_FROM = ("when", "author")

KIND = Kind(
    "Article",
    {
        "heading": Slot("Headline", tag="h1", step="h1", ink="heading", most=160),
        "when": Slot("When", step="fine", ink="quiet", most=60),
        "author": Slot("Written by", step="fine", ink="quiet", most=120),
        "text": INTRO,
        "body": Slot("Body", "rich_text", step="body", ink="body", most=12000),
        "picture": PICTURE,
    },
    {
        "letter": Layout(
            "Letter",
            "A narrow column from headline to end, the picture between.",
            {
                "lead": Region((*_FROM, "heading", "text"), Place((3, 10), gap="3"), phone=Place(gap="3")),
                "picture": Region(("picture",), Place((3, 10), ratio=(3, 2)), phone=Place(ratio=(4, 3)), picture="text"),
                "body": Region(("body",), Place((3, 10)), caps={"body": 38}),
            },
            Room(gap="6"),
        ),
        "spread": Layout(
            "Spread",
            "A picture across the page, the headline on a card over its foot.",
            {
                "picture": Region(
                    ("picture",), Place((0, 13), ratio=(21, 9)), phone=Place((0, 13), ratio=(4, 3)), picture="text"
                ),
                "lead": Region(
                    ("heading", "text"),
                    Place((2, 9), inset="6", rise="7"),
                    phone=Place((0, 12), inset="5", rise="6"),
                    card=True,
                ),
                "from": Region(_FROM, Place((4, 11), gap="1"), phone=Place(gap="1")),
                "body": Region(("body",), Place((4, 11)), caps={"body": 38}),
            },
            Room("", "7"),
            phone=Room("", "6"),
        ),
        "dossier": Layout(
            "Dossier",
            "The headline across the page; what it is from in the margin, the text beside it, a tall picture at the end edge.",
            {
                "lead": Region(("heading",), Place((1, 11), row=1)),
                "side": Region((*_FROM, "text"), Place((1, 3), row=2, gap="3"), phone=Place(gap="3")),
                "body": Region(("body",), Place((4, 9), row=2), caps={"body": 38}),
                "picture": Region(
                    ("picture",),
                    Place((10, 13), row=2, down="start", ratio=(3, 4)),
                    phone=Place((0, 13), ratio=(4, 3)),
                    picture="text",
                ),
            },
            Room(gap="6"),
            steps={"heading": "display", "text": "body"},
        ),
    },
    needs="news, blog, report, one story with its date and author",
)
