"""Press cuttings: what was written, and where."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, LINK, TWO, beside, under
from formulon.core.site.layout import Collection, Layout, Place, Region, Tracks

_FROM = ("source", "when", "link")

KIND = Kind(
    "Press cuttings",
    {
        "heading": HEADING,
        "items": Slot(
            "Cuttings",
            "items",
            one="Cutting",
            most=9,
            items={
                "text": Slot("Words", tag="blockquote", step="h3", ink="heading", most=400),
                "source": Slot("Paper", step="label", ink="body", most=80),
                "when": Slot("When", step="fine", ink="quiet", most=60),
                "link": LINK,
            },
        ),
    },
    {
        "clippings": Layout(
            "Clippings",
            "Cuttings of differing widths on cards.",
            {
                "head": Region(("heading",), Place((1, 8))),
                "items": Region(
                    ("items",),
                    items=Collection(
                        {"cutting": {"words": Region(("text",)), "from": under(_FROM, "1")}},
                        Tracks(4, of=3, first={1: (12,), 2: (7, 5)}, only={3: (5, 4, 3), 4: (7, 5, 5, 7), 5: (7, 5, 4, 4, 4)}),
                        tablet=TWO,
                        card="solid",
                        grounds=("tint", "accent", "brand"),
                        even=True,
                        inset="5",
                        gap="4",
                        inner="4",
                    ),
                ),
            },
            steps={"items/text": "h4"},
        ),
        "columns": Layout(
            "Columns",
            "A ruled line for each: the paper in the margin, its words beside it.",
            {
                "head": Region(("heading",), Place((1, 8))),
                "items": Region(
                    ("items",),
                    items=Collection(
                        {"cutting": {"words": beside(("text",), (1, 8), cap=34), "from": beside(_FROM, (10, 12), gap="1")}},
                        Tracks(12),
                        ruled=True,
                        pad="4",
                        gap="",
                        inner="3",
                    ),
                ),
            },
        ),
        "splash": Layout(
            "Splash",
            "The first cutting very large, the others in columns under it.",
            {
                "head": Region(("heading",), Place((4, 9), across="center"), phone=Place(across="center")),
                "items": Region(
                    ("items",),
                    items=Collection(
                        {"cutting": {"words": Region(("text",)), "from": under(_FROM, "1")}},
                        Tracks(
                            4,
                            of=3,
                            first={0: (12, 6, 6), 1: (12,), 2: (12, 12)},
                            only={
                                4: (12, 4, 4, 4),
                                5: (12, 6, 6, 6, 6),
                                6: (12, 6, 6, 4, 4, 4),
                                7: (12, 4, 4, 4, 4, 4, 4),
                                8: (12, 6, 6, 6, 6, 4, 4, 4),
                                9: (12, 6, 6, 4, 4, 4, 4, 4, 4),
                            },
                        ),
                        tablet=Tracks(6, of=2, first={1: (12,), 0: (12, 12)}),
                        ruled=True,
                        pad="4",
                        gap="5",
                        inner="3",
                    ),
                ),
            },
            steps={"heading": "h4"},
        ),
    },
    needs="newspapers, reviews, what others write, media",
)
