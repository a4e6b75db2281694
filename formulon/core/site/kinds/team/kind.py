"""The people: who they are and what they do."""

from formulon.core.site.kind import Kind, Slot, Usual
from formulon.core.site.kinds.shared import FOUR, HEADING, INTRO, LINK, OVER, PICTURE, TEXT, TWO, beside, face, under
from formulon.core.site.layout import Collection, Layout, Place, Region, Tracks

_WHO = ("name", "role", "text", "link")

KIND = Kind(
    "Team",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "People",
            "items",
            one="Person",
            most=16,
            items={
                "name": Slot("Name", tag="h3", step="h4", ink="heading", most=80),
                "role": Slot("Role", step="fine", ink="quiet", most=120),
                "text": TEXT,
                "picture": PICTURE,
                "link": LINK,
            },
        ),
    },
    {
        "portraits": Layout(
            "Portraits",
            "Tall portraits side by side, names under them.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {"person": {"picture": face((3, 4)), "words": under(_WHO, "1")}},
                        FOUR,
                        tablet=TWO,
                        phone=Tracks(6, of=2, first={1: (12,)}),
                        gap="6",
                    ),
                ),
            },
        ),
        "roll": Layout(
            "Roll",
            "Names large in a ruled list, without portraits.",
            {
                "head": Region(("heading", "text"), Place((1, 4), row=1)),
                "items": Region(
                    ("items",),
                    Place((5, 12), row=1),
                    items=Collection(
                        {
                            "person": {
                                "name": beside(("name", "role"), (1, 4), gap="1"),
                                "words": beside(("text", "link"), (5, 8), cap=34),
                            }
                        },
                        Tracks(8),
                        ruled=True,
                        pad="4",
                        gap="",
                        inner="2",
                    ),
                ),
            },
            steps={"items/name": "h3"},
        ),
        "introductions": Layout(
            "Introductions",
            "One after another: a portrait, and the words beside it at length.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "person": {
                                "picture": Region(
                                    ("picture",),
                                    Place((2, 4), row=1, ratio=(1, 1)),
                                    phone=Place(ratio=(1, 1), most=200),
                                    picture="card",
                                ),
                                "words": Region(
                                    _WHO, Place((6, 11), row=1, down="center", gap="2"), phone=Place(gap="2"), caps={"text": 38}
                                ),
                            }
                        },
                        Tracks(12),
                        gap="6",
                    ),
                ),
            },
            steps={"items/name": "h2"},
        ),
        "captain": Layout(
            "Captain",
            "The first person large on a card, the others small beside one another.",
            {
                "head": Region(("heading", "text"), Place((1, 8), spans={"text": 6})),
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "person": {"picture": face((1, 1)), "words": under(_WHO, "1")},
                            "first": {
                                "picture": Region(
                                    ("picture",), Place((1, 6), row=1, ratio=(6, 5)), phone=Place(ratio=(1, 1)), picture="card"
                                ),
                                "words": Region(_WHO, Place((8, 12), row=1, down="end", gap="2"), phone=Place(gap="1")),
                            },
                        },
                        Tracks(
                            3,
                            of=4,
                            first={0: (12, 4, 4, 4), 1: (12,), 2: (12, 12), 3: (12, 6, 6)},
                            only={
                                6: (12, 4, 4, 4, 6, 6),
                                10: (12, 4, 4, 4, 4, 4, 4, 4, 4, 4),
                                14: (12, 4, 4, 4, 4, 4, 4, 4, 4, 4, 3, 3, 3, 3),
                            },
                            lead={0: "first", 1: "first", 2: "first", 3: "first"},
                        ),
                        tablet=Tracks(6, of=2, first={1: (12,), 0: (12, 12)}, lead={0: "first", 1: "first"}),
                        gap="6",
                    ),
                ),
            },
        ),
    },
    usual=Usual(alike="text"),
    needs="who we are, people, staff, founders, portraits",
)
