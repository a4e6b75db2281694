"""What speaks for it: points, each a few words long, without links."""

from formulon.core.site.kind import Kind, Slot, Usual
from formulon.core.site.kinds.shared import FOUR, HEADING, INTRO, OVER, PICTURE, TEXT, TITLE, TWO, beside, under
from formulon.core.site.layout import Collection, Layout, Place, Region, Room, Tracks

_WORDS = ("title", "text")
_POINT = {"point": {"words": under(_WORDS)}}

KIND = Kind(
    "Features",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot("Points", "items", one="Point", most=9, items={"title": TITLE, "text": TEXT}),
        "picture": PICTURE,
    },
    {
        "rows": Layout(
            "Rows",
            "Points in columns, each under a line.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(_POINT, FOUR, tablet=TWO, ruled=True, pad="4", gap="4"),
                ),
            },
            leans={"quiet_loud": -1},
        ),
        "quilt": Layout(
            "Quilt",
            "Tiles on the brand's grounds, of differing widths.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        _POINT,
                        Tracks(4, of=3, first={1: (12,), 2: (7, 5)}, only={4: (7, 5, 5, 7), 3: (5, 4, 3), 5: (7, 5, 4, 4, 4)}),
                        tablet=TWO,
                        card="solid",
                        grounds=("brand", "deep", "accent", "tint"),
                        even=True,
                        inset="5",
                        gap="4",
                    ),
                ),
            },
            leans={"calm_lively": 2, "quiet_loud": 1},
        ),
        "shoulder": Layout(
            "Shoulder",
            "The headline large on the left, points in two columns on the right.",
            {
                "head": Region(("heading", "text"), Place((1, 5), row=1), caps={"text": 26}),
                "items": Region(
                    ("items",),
                    Place((7, 12), row=1),
                    items=Collection(_POINT, Tracks(3, of=2, first={1: (6,)}), gap="6", inner="2"),
                ),
            },
            steps={"heading": "h1", "items/title": "h4"},
            leans={"plain_ornate": -1, "classical_modern": 1},
        ),
        "inset": Layout(
            "Inset",
            "A picture to the end edge, with the points on a card over it.",
            {
                "picture": Region(
                    ("picture",),
                    Place((5, 13), row=1, bleed=("top",), ratio=(2, 1)),
                    phone=Place((0, 13), ratio=(4, 3)),
                    picture="text",
                ),
                "card": Region(
                    ("heading", "text"),
                    Place((1, 6), row=1, inset="5", down="end", drop="5"),
                    phone=Place(inset="5", rise="5"),
                    card=True,
                ),
                "items": Region(
                    ("items",),
                    Place(above="6"),
                    items=Collection(
                        {"point": {"title": beside(("title",), (1, 4)), "text": beside(("text",), (6, 12), cap=40)}},
                        Tracks(12),
                        ruled=True,
                        pad="3",
                        gap="",
                    ),
                ),
            },
            Room("7", "7"),
            phone=Room("", "6"),
            steps={"items/title": "h4"},
        ),
    },
    usual=Usual(alike="text"),
    needs="why us, advantages, reasons, what speaks for it, points",
)
