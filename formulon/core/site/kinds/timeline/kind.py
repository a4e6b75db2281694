"""What happened when, or is going to."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import FOUR, HEADING, INTRO, OVER, PICTURE, TEXT, TITLE, TWO, beside, under
from formulon.core.site.layout import Collection, Layout, Place, Region, Tracks

KIND = Kind(
    "Timeline",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "Moments",
            "items",
            one="Moment",
            most=16,
            items={
                "when": Slot("When", step="label", ink="heading", most=60),
                "title": TITLE,
                "text": TEXT,
                "picture": PICTURE,
            },
        ),
    },
    {
        "annals": Layout(
            "Annals",
            "A ruled line for each, with its date in the margin.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "moment": {
                                "when": beside(("when",), (1, 3)),
                                "words": Region(
                                    ("title", "text"),
                                    Place((4, 10), row=1, down="baseline", gap="2"),
                                    phone=Place(gap="2"),
                                    caps={"text": 40},
                                ),
                            }
                        },
                        Tracks(12),
                        ruled=True,
                        pad="4",
                        gap="",
                        inner="2",
                    ),
                ),
            },
            steps={"items/when": "h3"},
        ),
        "march": Layout(
            "March",
            "Columns with pictures, the date large over each.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "moment": {
                                "when": Region(("when",)),
                                "picture": Region(("picture",), Place(ratio=(1, 1)), phone=Place(ratio=(4, 3)), picture="card"),
                                "words": under(("title", "text")),
                            }
                        },
                        FOUR,
                        tablet=TWO,
                        ruled=True,
                        pad="3",
                        gap="5",
                    ),
                ),
            },
            steps={"items/when": "h2", "items/title": "h4"},
        ),
        "ascent": Layout(
            "Ascent",
            "The headline stays in the margin; moments on cards come in from the end edge.",
            {
                "head": Region(("heading", "text"), Place((1, 5), row=1)),
                "items": Region(
                    ("items",),
                    Place((7, 12), row=1),
                    items=Collection(
                        {"moment": {"when": Region(("when",)), "words": under(("title", "text"))}},
                        Tracks(6),
                        card="solid",
                        inset="5",
                        gap="2",
                        inner="2",
                    ),
                ),
            },
        ),
    },
    needs="history, years, how it came about, milestones",
)
