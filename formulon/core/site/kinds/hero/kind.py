"""The opening of a page."""

from formulon.core.site.kind import Kind, Slot, Usual
from formulon.core.site.kinds.shared import ACTIONS as _ACTIONS
from formulon.core.site.kinds.shared import INTRO, PICTURE, PRIMARY, SECONDARY
from formulon.core.site.layout import Collection, Layout, Place, Region, Room, Tracks

KIND = Kind(
    "Hero",
    {
        "heading": Slot("Headline", tag="h1", step="display", ink="heading", most=160),
        "text": INTRO,
        "primary": PRIMARY,
        "secondary": SECONDARY,
        "picture": PICTURE,
        "figure": Slot("Figure", step="display", ink="heading", most=24, spare=True),
        "label": Slot("What it counts", step="body", ink="quiet", most=160, spare=True),
        "items": Slot(
            "Lines",
            "items",
            spare=True,
            one="Line",
            most=8,
            items={
                "title": Slot("What", tag="h2", step="h4", ink="heading", most=120),
                "text": Slot("Text", step="fine", ink="quiet", most=200),
                "value": Slot("When, or how much", step="h4", ink="heading", most=60),
            },
        ),
        "form": Slot("Form", "form", spare=True),
    },
    {
        "horizon": Layout(
            "Horizon",
            "A large headline over a picture that runs off the right edge.",
            {
                "lead": Region(("heading",), Place((1, 7), row=1)),
                "words": Region(
                    ("text", *_ACTIONS),
                    Place((1, 5), row=2, below="7", gap="5"),
                    phone=Place(gap="5"),
                    caps={"text": 30},
                ),
                "picture": Region(
                    ("picture",),
                    Place((8, 13), row=1, rows=2, bleed=("top",)),
                    phone=Place((0, 13), ratio=(4, 3)),
                    picture="opening",
                ),
            },
            Room(bottom="", least=(440, 0.46, 680), last=True),
            phone=Room("6", ""),
            leans={"classical_modern": 1},
        ),
        "frieze": Layout(
            "Frieze",
            "The headline across the page, a wide picture under it, words at its foot.",
            {
                "lead": Region(("heading",)),
                "picture": Region(("picture",), Place((0, 12), ratio=(21, 8)), phone=Place(ratio=(4, 3)), picture="opening"),
                "words": Region(("text", *_ACTIONS), Place((7, 12), gap="5"), phone=Place(gap="5"), caps={"text": 34}),
            },
            Room(bottom="6"),
            phone=Room("6", "6"),
            leans={"plain_ornate": 1},
        ),
        "window": Layout(
            "Window",
            "A tall picture on the left, the words on a card that overlaps it.",
            {
                "picture": Region(
                    ("picture",),
                    Place((0, 7), row=1, down="end", ratio=(1, 1)),
                    phone=Place((0, 13), row=1, ratio=(4, 3)),
                    picture="opening",
                ),
                "words": Region(
                    ("heading", "text", *_ACTIONS),
                    Place((6, 12), row=1, inset="6", uncover="7", drop="5", down="end", gap="5"),
                    phone=Place((0, 12), inset="5", rise="6", gap="5"),
                    card=True,
                    caps={"text": 32},
                ),
            },
            Room("", "6"),
            steps={"heading": "h1"},
            leans={"classical_modern": 1, "soft_sharp": 1},
        ),
        "backcloth": Layout(
            "Backcloth",
            "The words on the picture itself, which fills the whole section.",
            {
                "picture": Region(("picture",), behind=True, picture="opening"),
                "words": Region(
                    ("heading", "text", *_ACTIONS),
                    Place(spans={"heading": 9, "text": 6}, gap="5"),
                    phone=Place(gap="5"),
                    caps={"text": 34},
                ),
            },
            Room(least=(480, 0.52, 760), content="end"),
            phone=Room("6", "6", least=(480, 0.52, 760), content="end"),
            leans={"plain_ornate": 1, "quiet_loud": 1},
        ),
        "words": Layout(
            "Words only",
            "Only words: a headline and its introduction side by side, for inner pages.",
            {
                "lead": Region(("heading",), Place((1, 7), row=1)),
                "words": Region(("text", *_ACTIONS), Place((9, 12), row=1, gap="5"), phone=Place(gap="5"), caps={"text": 30}),
            },
            Room(rows="end"),
            phone=Room("6", "6"),
            steps={"heading": "h1"},
        ),
        "type": Layout(
            "Type alone",
            "The headline as large as it goes, over the whole width; the words small at the end.",
            {
                "lead": Region(("heading",), Place((1, 12))),
                "words": Region(
                    ("text", *_ACTIONS), Place((7, 12), above="5", gap="5"), phone=Place(gap="5"), caps={"text": 34}
                ),
            },
            Room("8", "7", least=(420, 0.42, 640), content="end"),
            phone=Room("7", "6"),
            grow={"heading": 3},
            leans={"plain_ornate": -2, "quiet_loud": 2, "classical_modern": 1},
        ),
        "monument": Layout(
            "Monument",
            "Everything in one narrow column in the middle, the headline quiet.",
            {
                "words": Region(
                    ("heading", "text", *_ACTIONS),
                    Place((3, 10), across="center", gap="5"),
                    phone=Place(across="center", gap="5"),
                    caps={"text": 32},
                )
            },
            Room("8", "8"),
            phone=Room("7", "7"),
            steps={"heading": "h1"},
            leans={"quiet_loud": -2, "classical_modern": -2},
        ),
        "object": Layout(
            "Object",
            "One picture in the middle like a thing on a table; words above it, actions beside.",
            {
                "lead": Region(("heading",), Place((2, 11), row=1, across="center"), phone=Place(across="center")),
                "side": Region(("text",), Place((1, 3), row=2, down="end"), caps={"text": 26}),
                "picture": Region(
                    ("picture",), Place((4, 9), row=2, down="start", ratio=(1, 1)), phone=Place(ratio=(1, 1)), picture="opening"
                ),
                "actions": Region(_ACTIONS, Place((10, 12), row=2, down="end")),
            },
            Room("7", "7"),
            phone=Room("6", "6"),
            steps={"heading": "h1", "text": "body"},
            leans={"plain_ornate": 1, "calm_lively": -1},
        ),
        "number": Layout(
            "Number",
            "A figure leads, as large as it goes; the headline and the words stand under it in a band of their own.",
            {
                "figure": Region(("figure", "label"), Place((1, 7), row=1, gap="1"), phone=Place(gap="1")),
                "words": Region(
                    ("heading", "text", *_ACTIONS),
                    Place((8, 13), row=1, inset="6", bleed=("top", "bottom"), gap="5"),
                    phone=Place((0, 13), inset="5", bleed=("bottom",), gap="4"),
                    card=True,
                    ground="brand",
                    caps={"text": 30},
                ),
            },
            Room("8", "8", least=(380, 0.36, 560)),
            phone=Room("7", "7"),
            steps={"heading": "h2", "text": "body"},
            grow={"figure": 4},
            leans={"quiet_loud": 2},
        ),
        "bill": Layout(
            "Bill",
            "What is on today stands on a card to the end edge, in lines; the headline beside it.",
            {
                "words": Region(
                    ("heading", "text", *_ACTIONS),
                    Place((1, 6), row=1, down="end", gap="5"),
                    phone=Place(gap="5"),
                    caps={"text": 30},
                ),
                "items": Region(
                    ("items",),
                    Place((8, 13), row=1, inset="5", bleed=("top",), down="start"),
                    phone=Place((0, 13), inset="5"),
                    card=True,
                    ground="paper",
                    items=Collection(
                        {
                            "line": {
                                "words": Region(
                                    ("title", "text"), Place((1, 3), row=1, down="baseline", gap="1"), phone=Place(gap="1")
                                ),
                                "value": Region(("value",), Place((4, 5), row=1, down="baseline", across="end")),
                            }
                        },
                        Tracks(5),
                        ruled=True,
                        pad="3",
                        gap="",
                        inner="1",
                    ),
                ),
            },
            Room("8", "7", least=(420, 0.4, 620), content="end"),
            phone=Room("6", "6"),
            steps={"heading": "h1"},
            leans={"classical_modern": 1},
        ),
        "counter": Layout(
            "Counter",
            "The price list first, over two thirds of the width; name and words in a narrow column before it.",
            {
                "words": Region(
                    ("heading", "text", *_ACTIONS), Place((1, 4), row=1, gap="5"), phone=Place(gap="5"), caps={"text": 26}
                ),
                "items": Region(
                    ("items",),
                    Place((5, 12), row=1),
                    items=Collection(
                        {
                            "line": {
                                "words": Region(
                                    ("title", "text"), Place((1, 6), row=1, down="baseline", gap="1"), phone=Place(gap="1")
                                ),
                                "value": Region(("value",), Place((7, 8), row=1, down="baseline", across="end")),
                            }
                        },
                        Tracks(8),
                        ruled=True,
                        pad="3",
                        gap="",
                        inner="1",
                    ),
                ),
            },
            Room("7", "7"),
            phone=Room("6", "6"),
            steps={"heading": "h2", "text": "body", "items/title": "h3", "items/value": "h3"},
            leans={"plain_ornate": -1},
        ),
        "enrol": Layout(
            "Form first",
            "The form on a panel to the end edge; the headline and the words beside it.",
            {
                "words": Region(
                    ("heading", "text"),
                    Place((1, 7), row=1, down="center", gap="5"),
                    phone=Place(below="5", gap="5"),
                    caps={"text": 32},
                ),
                "form": Region(
                    ("form",),
                    Place((8, 13), row=1, inset="6", bleed=("top", "bottom")),
                    phone=Place((0, 13), inset="5", bleed=("bottom",)),
                    card=True,
                    ground="accent",
                ),
            },
            Room(least=(460, 0.42, 640)),
            phone=Room("6", "6"),
            steps={"heading": "h1"},
        ),
        "mosaic": Layout(
            "Mosaic",
            "The headline on one tile, what matters most on tiles of the brand's grounds around it.",
            {
                "words": Region(
                    ("heading", "text", *_ACTIONS),
                    Place((1, 7), row=1, inset="6", gap="5"),
                    phone=Place(inset="5", gap="4"),
                    card=True,
                    ground="brand",
                    caps={"text": 30},
                ),
                "picture": Region(("picture",), Place((8, 12), row=1), phone=Place(ratio=(4, 3)), picture="opening"),
                "items": Region(
                    ("items",),
                    Place((1, 12), row=2),
                    items=Collection(
                        {
                            "tile": {
                                "title": Region(("title",)),
                                "words": Region(("text", "value"), Place(gap="1"), phone=Place(gap="1")),
                            }
                        },
                        Tracks(3, of=4, first={1: (12,), 2: (7, 5), 3: (5, 3, 4)}, only={5: (4, 8, 5, 3, 4), 6: (4,) * 6}),
                        tablet=Tracks(6, of=2, first={1: (12,)}),
                        phone=Tracks(6, of=2, first={1: (12,)}),
                        card="solid",
                        grounds=("accent", "tint", "deep", "brand"),
                        even=True,
                        inset="4",
                        gap="4",
                    ),
                ),
            },
            Room("5", "5", gap="4"),
            phone=Room("4", "4", gap="4"),
            steps={"heading": "h1", "text": "body"},
            leans={"calm_lively": 2, "quiet_loud": 1},
        ),
    },
    ground="deep",
    usual=Usual(sentences={"text": 2}),
    needs="opening, title, first screen, headline, welcome",
)
