"""A price list."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, INTRO, OVER, THREE, TWO, beside, under
from formulon.core.site.layout import Collection, Layout, Place, Region, Room, Tracks

_AT_END = Place((7, 8), row=1, down="baseline", across="end")

KIND = Kind(
    "Price list",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "Prices",
            "items",
            one="Price",
            most=24,
            items={
                "title": Slot("What", tag="h3", step="h4", ink="heading", most=120),
                "text": Slot("Text", step="fine", ink="quiet", most=300),
                "price": Slot("Price", step="h4", ink="heading", most=40),
            },
        ),
        "note": Slot("Small print", step="fine", ink="quiet", most=400),
    },
    {
        "menu": Layout(
            "Menu",
            "The list on a dark board that runs to the end edge, the headline beside it.",
            {
                "head": Region(("heading", "text", "note"), Place((1, 4), row=1), phone=Place(below="5"), caps={"note": 30}),
                "items": Region(
                    ("items",),
                    Place((5, 13), row=1, inset="6", bleed=("top", "bottom")),
                    phone=Place((0, 13), inset="5", bleed=("bottom",)),
                    card=True,
                    ground="deep",
                    items=Collection(
                        {"line": {"words": beside(("title", "text"), (1, 6), gap="1"), "price": Region(("price",), _AT_END)}},
                        Tracks(8),
                        ruled=True,
                        pad="3",
                        gap="",
                        inner="1",
                    ),
                ),
            },
        ),
        "sheet": Layout(
            "Sheet",
            "Ruled lines over the whole width, prices large at the end.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "line": {
                                "title": beside(("title",), (1, 4)),
                                "text": beside(("text",), (5, 9), cap=40),
                                "price": Region(("price",), Place((10, 12), row=1, down="baseline", across="end")),
                            }
                        },
                        Tracks(12),
                        ruled=True,
                        pad="3",
                        gap="",
                        inner="1",
                    ),
                ),
                "note": Region(("note",), Place((1, 6))),
            },
            steps={"items/title": "h3", "items/price": "h3"},
        ),
        "tariff": Layout(
            "Tariff",
            "Each price very large over what it is for, in columns.",
            {
                "head": Region(("heading", "text"), Place((3, 10), across="center"), phone=Place(across="center")),
                "items": Region(
                    ("items",),
                    items=Collection(
                        {"price": {"price": Region(("price",)), "words": under(("title", "text"), "1")}},
                        THREE,
                        tablet=TWO,
                        card="site",
                        even=True,
                        inner="3",
                    ),
                ),
                "note": Region(("note",), Place((3, 10), across="center"), phone=Place(across="center")),
            },
            steps={"items/price": "h1"},
        ),
        "halves": Layout(
            "Halves",
            "Two columns of lines in small type, for long lists.",
            {
                "head": Region(("heading", "text", "note"), Place((1, 12), spans={"text": 6, "note": 6})),
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "line": {
                                "words": beside(("title", "text"), (1, 4), gap="1"),
                                "price": Region(("price",), Place((5, 6), row=1, down="baseline", across="end")),
                            },
                            "whole": {
                                "words": beside(("title", "text"), (1, 9), gap="1"),
                                "price": Region(("price",), Place((10, 12), row=1, down="baseline", across="end")),
                            },
                        },
                        Tracks(6, of=2, first={1: (12,)}, lead={1: "whole"}),
                        ruled=True,
                        pad="2",
                        gap="",
                        inner="1",
                    ),
                ),
            },
            Room(gap="6"),
            steps={"items/title": "body", "items/price": "body"},
        ),
    },
    needs="prices, costs, fees, how much, menu, tickets, rates",
)
