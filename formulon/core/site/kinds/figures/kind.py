"""Figures, each with what it counts."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, INTRO, PICTURE
from formulon.core.site.layout import Collection, Layout, Place, Region, Room, Tracks

_PAIR = ("figure", "label")
_STACK = {"pair": {"pair": Region(_PAIR, Place(gap="1"), phone=Place(gap="1"))}}

KIND = Kind(
    "Figures",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "Figures",
            "items",
            one="Figure",
            most=8,
            items={
                "figure": Slot("Figure", step="h1", ink="heading", most=24),
                "label": Slot("What it counts", step="body", ink="quiet", most=160),
            },
        ),
        "picture": PICTURE,
    },
    {
        "measure": Layout(
            "Measure",
            "Figures side by side over the whole width, two in a row on phones.",
            {
                "head": Region(("heading", "text"), Place((1, 8), spans={"text": 6})),
                "items": Region(
                    ("items",),
                    items=Collection(
                        _STACK,
                        Tracks(3, of=4, first={1: (12,), 2: (6, 6), 3: (4, 4, 4)}, only={5: (6, 6, 4, 4, 4), 6: (4,) * 6}),
                        tablet=Tracks(6, of=2, first={1: (12,)}),
                        phone=Tracks(6, of=2, first={1: (12,)}),
                        ruled=True,
                        pad="4",
                        gap="4",
                    ),
                ),
            },
        ),
        "tally": Layout(
            "Tally",
            "A ruled line for each: the figure on the left, what it counts beside it.",
            {
                "head": Region(("heading", "text"), Place((1, 4), row=1)),
                "items": Region(
                    ("items",),
                    Place((5, 12), row=1),
                    items=Collection(
                        {
                            "line": {
                                "figure": Region(("figure",), Place((1, 4), row=1, down="baseline")),
                                "label": Region(("label",), Place((5, 8), row=1, down="baseline"), caps={"label": 30}),
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
        ),
        "outlook": Layout(
            "Outlook",
            "A picture off the left edge, the figures in two columns beside it.",
            {
                "picture": Region(
                    ("picture",),
                    Place((0, 5), row=1, rows=2, bleed=("top",)),
                    phone=Place((0, 13), ratio=(4, 3)),
                    picture="text",
                ),
                "head": Region(("heading", "text"), Place((7, 12), row=1)),
                "items": Region(
                    ("items",),
                    Place((7, 12), row=2, below="7"),
                    phone=Place(below="6"),
                    items=Collection(
                        _STACK,
                        Tracks(3, of=2, first={1: (6,)}),
                        phone=Tracks(6, of=2, first={1: (12,)}),
                        gap="5",
                    ),
                ),
            },
            Room(bottom="", least=(420, 0.4, 640), last=True),
            phone=Room("", ""),
        ),
    },
    ground="tint",
    needs="numbers, statistics, proof, how many, since when",
)
