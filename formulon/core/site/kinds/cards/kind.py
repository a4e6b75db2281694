"""Several things of one kind: what is offered, ways to reach, proofs."""

from formulon.core.site.kind import Kind, Slot, Usual
from formulon.core.site.kinds.shared import HEADING, INTRO, LINK, PICTURE
from formulon.core.site.layout import Collection, Layout, Place, Region, Tracks

_WORDS = ("title", "text", "link")
_HEAD = Region(("heading", "text"), Place((1, 8), spans={"text": 5}))

KIND = Kind(
    "Cards",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "Cards",
            "items",
            one="Card",
            most=12,
            items={
                "title": Slot("Title", tag="h3", step="h3", ink="heading", most=120),
                "text": Slot("Text", step="body", ink="quiet", most=600),
                "picture": PICTURE,
                "link": LINK,
            },
        ),
    },
    {
        "lead": Layout(
            "Lead",
            "The first card is the largest, with pictures.",
            {
                "head": _HEAD,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "card": {
                                "picture": Region(("picture",), Place(ratio=(4, 3)), phone=Place(ratio=(4, 3)), picture="card"),
                                "words": Region(_WORDS, Place(gap="2"), phone=Place(gap="2")),
                            },
                            "wide": {
                                "picture": Region(("picture",), Place(ratio=(16, 10)), Place(ratio=(16, 8)), picture="card"),
                                "words": Region(_WORDS, Place((1, 5), gap="2"), Place((1, 10), gap="2")),
                            },
                            "side": {
                                "picture": Region(("picture",), Place((1, 7), row=1, ratio=(16, 10)), picture="card"),
                                "words": Region(_WORDS, Place((8, 12), row=1, down="center", gap="2")),
                            },
                        },
                        Tracks(4, of=3, first={0: (6, 3, 3), 1: (12,), 2: (6, 6)}, lead={0: "wide", 1: "side"}),
                        tablet=Tracks(6, of=2, first={1: (12,)}, lead={1: "wide"}),
                        card="site",
                    ),
                ),
            },
        ),
        "ledger": Layout(
            "Ledger",
            "A ruled list, one line for each, without pictures.",
            {
                "head": Region(("heading", "text"), Place((1, 4), row=1)),
                "items": Region(
                    ("items",),
                    Place((5, 12), row=1),
                    items=Collection(
                        {
                            "line": {
                                "title": Region(("title",), Place((1, 3), row=1, down="baseline")),
                                "words": Region(
                                    ("text", "link"),
                                    Place((4, 8), row=1, down="baseline", gap="2"),
                                    phone=Place(gap="2"),
                                    caps={"text": 34},
                                ),
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
            leans={"plain_ornate": -1, "quiet_loud": -1},
        ),
        "terrace": Layout(
            "Terrace",
            "Solid cards that step down the page.",
            {
                "head": _HEAD,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {"card": {"words": Region(_WORDS, Place(gap="2"), phone=Place(gap="2"))}},
                        Tracks(
                            4,
                            of=3,
                            first={1: (6, 6, 6, 6), 2: (6, 6)},
                            only={1: (8,)},
                            step="5",
                            stepped=(3, 4, 6, 9, 12),
                        ),
                        tablet=Tracks(6, of=2, first={1: (12,)}, step="5", stepped=(4, 6, 12)),
                        card="solid",
                        inset="5",
                    ),
                ),
            },
            leans={"calm_lively": 1},
        ),
    },
    ground="tint",
    usual=Usual(alike="text", first=("picture",)),
    needs="what we offer, services, products, several things with pictures",
)
