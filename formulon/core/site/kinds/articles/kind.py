"""A list of articles."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, INTRO, LINK, OVER, PICTURE, TEXT, THREE, TITLE, TWO, beside, face, under
from formulon.core.site.layout import Collection, Layout, Place, Region, Tracks

_TOLD = ("when", "title", "text", "link")

KIND = Kind(
    "Article list",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "Articles",
            "items",
            one="Article",
            most=18,
            items={
                "when": Slot("When", step="fine", ink="quiet", most=60),
                "title": TITLE,
                "text": TEXT,
                "picture": PICTURE,
                "link": LINK,
            },
        ),
    },
    {
        "tiles": Layout(
            "Tiles",
            "Pictures in columns, with date and words under each.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {"article": {"picture": face((3, 2)), "words": under(_TOLD)}}, THREE, tablet=TWO, card="site", gap="6"
                    ),
                ),
            },
            steps={"items/title": "h4"},
        ),
        "front": Layout(
            "Lead story",
            "The first article large beside its picture, the others small under it.",
            {
                "head": Region(("heading", "text"), Place((1, 12), spans={"text": 6})),
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "article": {"picture": face((16, 9)), "words": under(_TOLD)},
                            "first": {
                                "picture": Region(
                                    ("picture",), Place((1, 8), row=1, ratio=(3, 2)), phone=Place(ratio=(4, 3)), picture="card"
                                ),
                                "words": Region(_TOLD, Place((9, 12), row=1, gap="3"), phone=Place(gap="2")),
                            },
                        },
                        Tracks(
                            4,
                            of=3,
                            first={0: (12, 6, 6), 1: (12,), 2: (12, 12)},
                            lead={0: "first", 1: "first", 2: "first"},
                            only={
                                5: (12, 6, 6, 6, 6),
                                8: (12, 6, 6, 6, 6, 4, 4, 4),
                                11: (12, 6, 6, 6, 6, 4, 4, 4, 4, 4, 4),
                                14: (12, 6, 6, 6, 6) + (4,) * 9,
                                17: (12, 6, 6, 6, 6) + (4,) * 12,
                            },
                        ),
                        tablet=Tracks(6, of=2, first={1: (12,), 0: (12, 12)}, lead={0: "first", 1: "first"}),
                        gap="6",
                    ),
                ),
            },
        ),
        "river": Layout(
            "River",
            "A ruled line for each: its date, its words, a small picture at the end.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "article": {
                                "when": beside(("when",), (1, 2)),
                                "words": Region(
                                    ("title", "text", "link"),
                                    Place((3, 9), row=1, down="baseline", gap="2"),
                                    phone=Place(gap="2"),
                                    caps={"text": 40},
                                ),
                                "picture": Region(
                                    ("picture",),
                                    Place((10, 12), row=1, ratio=(3, 2)),
                                    phone=Place(ratio=(16, 9)),
                                    picture="card",
                                ),
                            }
                        },
                        Tracks(12),
                        ruled=True,
                        pad="4",
                        gap="",
                    ),
                ),
            },
        ),
    },
    needs="news, blog, journal, what is new, several stories",
)
