"""Whom one works for or with: their marks, or their names."""

from formulon.core.site.kind import Kind, Slot, Usual
from formulon.core.site.kinds.shared import HEADING, INTRO, PICTURE
from formulon.core.site.layout import Collection, Layout, Place, Region, Room, Tracks

_MARK = Region(("picture",), Place(ratio=(3, 2), most=180), phone=Place(ratio=(3, 2), most=140), picture="card")
_CELL = {"one": {"mark": _MARK, "name": Region(("name",))}}

KIND = Kind(
    "Logo row",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "Marks",
            "items",
            one="Mark",
            most=12,
            items={"picture": PICTURE, "name": Slot("Name", step="fine", ink="quiet", most=80)},
        ),
    },
    {
        "row": Layout(
            "Row",
            "A small headline over marks side by side.",
            {
                "head": Region(("heading", "text"), Place((1, 6))),
                "items": Region(
                    ("items",),
                    items=Collection(
                        _CELL,
                        Tracks(
                            2,
                            of=6,
                            first={1: (12,), 2: (6, 6), 3: (4, 4, 4), 4: (3,) * 4, 5: (4, 4, 4, 6, 6)},
                            only={
                                7: (3, 3, 3, 3, 4, 4, 4),
                                8: (3,) * 8,
                                9: (4,) * 9,
                                10: (3, 3, 3, 3, 2, 2, 2, 2, 2, 2),
                                11: (4, 4, 4, 3, 3, 3, 3, 3, 3, 3, 3),
                            },
                        ),
                        tablet=Tracks(4, of=3, first={1: (12,), 2: (6, 6)}),
                        phone=Tracks(6, of=2, first={1: (12,)}),
                        gap="5",
                        inner="2",
                    ),
                ),
            },
            Room("6", "6", gap="4"),
            steps={"heading": "h4"},
        ),
        "register": Layout(
            "Register",
            "Names in type, each in its ruled cell, without marks.",
            {
                "head": Region(("heading", "text"), Place((1, 4), row=1)),
                "items": Region(
                    ("items",),
                    Place((5, 12), row=1),
                    items=Collection(
                        {"one": {"name": Region(("name",))}},
                        Tracks(4, of=2, first={1: (8,)}),
                        phone=Tracks(6, of=2, first={1: (12,)}),
                        ruled=True,
                        pad="3",
                        gap="",
                    ),
                ),
            },
            steps={"items/name": "h4"},
        ),
        "wall": Layout(
            "Wall",
            "Marks on cards in a close grid, the headline in the middle over it.",
            {
                "head": Region(("heading", "text"), Place((3, 10), across="center"), phone=Place(across="center")),
                "items": Region(
                    ("items",),
                    items=Collection(
                        _CELL,
                        Tracks(3, of=4, first={1: (12,), 2: (6, 6), 3: (4, 4, 4)}, only={5: (6, 6, 4, 4, 4), 6: (4,) * 6}),
                        tablet=Tracks(4, of=3, first={1: (12,), 2: (6, 6)}),
                        phone=Tracks(6, of=2, first={1: (12,)}),
                        card="solid",
                        even=True,
                        inset="4",
                        gap="4",
                        inner="2",
                    ),
                ),
            },
            Room(gap="6"),
        ),
    },
    ground="paper",
    usual=Usual(rows=2),
    needs="clients, partners, sponsors, members of, certificates",
)
