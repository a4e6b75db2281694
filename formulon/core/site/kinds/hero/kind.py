"""The opening of a page."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import INTRO, PICTURE, PRIMARY, SECONDARY
from formulon.core.site.layout import Layout, Place, Region, Room

_ACTIONS = ("primary", "secondary")

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
    },
    ground="deep",
)
