"""A contact strip: telephone, address, networks, in little room."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import LINK, under
from formulon.core.site.layout import Collection, Layout, Place, Region, Room, Tracks

_TOLD = ("title", "text", "link")
_BY_NUMBER = {1: (12,), 2: (6, 6), 3: (4, 4, 4)}

KIND = Kind(
    "Contact strip",
    {
        "items": Slot(
            "Ways",
            "items",
            one="Way",
            most=6,
            items={
                "title": Slot("What", step="fine", ink="quiet", most=80),
                "text": Slot("Text", step="label", ink="heading", most=160),
                "link": LINK,
            },
        ),
    },
    {
        "bar": Layout(
            "Bar",
            "All ways in one low row.",
            {
                "items": Region(
                    ("items",),
                    items=Collection(
                        {"way": {"words": under(_TOLD, "1")}},
                        Tracks(3, of=4, first=_BY_NUMBER, only={5: (6, 6, 4, 4, 4), 6: (4,) * 6}),
                        tablet=Tracks(6, of=2, first={1: (12,)}),
                        phone=Tracks(6, of=2, first={1: (12,)}),
                        gap="3",
                        inner="1",
                    ),
                )
            },
            Room("4", "4"),
        ),
        "sign": Layout(
            "Sign",
            "Each way on a line as large as a headline.",
            {
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "way": {
                                "title": Region(("title",), Place((1, 3), row=1, down="baseline")),
                                "words": Region(
                                    ("text", "link"), Place((4, 12), row=1, down="baseline", gap="1"), phone=Place(gap="1")
                                ),
                            }
                        },
                        Tracks(12),
                        ruled=True,
                        pad="2",
                        gap="",
                        inner="1",
                    ),
                )
            },
            steps={"items/text": "h2"},
        ),
        "plates": Layout(
            "Plates",
            "Each way on a plate of the brand's grounds, close together.",
            {
                "items": Region(
                    ("items",),
                    items=Collection(
                        {"way": {"words": under(_TOLD, "1")}},
                        Tracks(
                            3, of=4, first={1: (12,), 2: (8, 4), 3: (6, 3, 3)}, only={5: (6, 6, 6, 3, 3), 6: (6, 3, 3, 3, 3, 6)}
                        ),
                        tablet=Tracks(6, of=2, first={1: (12,)}),
                        card="solid",
                        grounds=("brand", "deep", "accent", "tint"),
                        even=True,
                        inset="4",
                        gap="4",
                    ),
                )
            },
            Room("5", "5"),
            steps={"items/text": "h4"},
        ),
    },
    ground="tint",
    needs="telephone, email, address, networks, contact in one line",
)
