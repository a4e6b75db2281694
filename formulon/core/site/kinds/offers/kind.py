"""What is offered as a list: each with its words, and what it costs where that is known."""

from formulon.core.site.kind import Kind, Slot, Usual
from formulon.core.site.kinds.shared import HEADING, INTRO, LINK, OVER, PICTURE, TEXT, TITLE, beside
from formulon.core.site.layout import Collection, Layout, Place, Region, Tracks

_MORE = ("text", "link")

KIND = Kind(
    "Offers as a list",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "Offers",
            "items",
            one="Offer",
            most=16,
            items={
                "title": TITLE,
                "text": TEXT,
                "price": Slot("Price", step="label", ink="heading", most=40),
                "picture": PICTURE,
                "link": LINK,
            },
        ),
    },
    {
        "index": Layout(
            "Index",
            "Names large, one under another over the whole width.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "line": {
                                "title": beside(("title",), (1, 6)),
                                "words": beside(_MORE, (7, 10), cap=32),
                                "price": Region(("price",), Place((11, 12), row=1, down="baseline", across="end")),
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
            steps={"items/title": "h2", "items/price": "h4"},
            leans={"plain_ornate": -1, "quiet_loud": 1},
        ),
        "shelf": Layout(
            "Shelf",
            "A small picture before the words of each.",
            {
                "head": Region(("heading", "text"), Place((1, 4), row=1)),
                "items": Region(
                    ("items",),
                    Place((5, 12), row=1),
                    items=Collection(
                        {
                            "line": {
                                "picture": Region(
                                    ("picture",), Place((1, 2), row=1, ratio=(1, 1)), phone=Place(ratio=(16, 9)), picture="card"
                                ),
                                "words": Region(
                                    ("title", *_MORE, "price"),
                                    Place((3, 8), row=1, gap="2"),
                                    phone=Place(gap="2"),
                                    caps={"text": 36},
                                ),
                            }
                        },
                        Tracks(8),
                        gap="5",
                    ),
                ),
            },
        ),
        "pairs": Layout(
            "Pairs",
            "Two columns of lines, the price at the end of each.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "line": {
                                "words": beside(("title", *_MORE), (1, 4), gap="1"),
                                "price": Region(("price",), Place((5, 6), row=1, down="baseline", across="end")),
                            },
                            "whole": {
                                "words": beside(("title", *_MORE), (1, 8), gap="1"),
                                "price": Region(("price",), Place((9, 12), row=1, down="baseline", across="end")),
                            },
                        },
                        Tracks(6, of=2, first={1: (12,)}, lead={1: "whole"}),
                        ruled=True,
                        pad="4",
                        gap="",
                        inner="2",
                    ),
                ),
            },
            steps={"items/title": "h4"},
            leans={"classical_modern": -1, "quiet_loud": -1},
        ),
        "stack": Layout(
            "Stack",
            "Broad bands on the brand's grounds, one under another.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "band": {
                                "title": beside(("title", "price"), (1, 5), gap="1"),
                                "words": beside(_MORE, (7, 12), cap=40),
                            }
                        },
                        Tracks(12),
                        card="solid",
                        grounds=("accent", "brand", "deep", "tint"),
                        inset="5",
                        gap="2",
                    ),
                ),
            },
            leans={"calm_lively": 2, "quiet_loud": 1},
        ),
    },
    ground="tint",
    usual=Usual(first=("price", "picture")),
    needs="what we offer, services, products, list, treatments, range",
)
