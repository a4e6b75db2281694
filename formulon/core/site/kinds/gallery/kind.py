"""Pictures, each with a caption where it has one. A picture that is pressed opens large, without a script."""

from formulon.core.site.kind import Kind, Slot, Usual
from formulon.core.site.kinds.shared import HEADING, INTRO, OVER, PICTURE, face
from formulon.core.site.layout import Collection, Layout, Place, Region, Tracks

_CAPTION = Region(("text",))


def _pictures(ratio: tuple[float, float]) -> dict[str, dict[str, Region]]:
    return {"one": {"picture": face(ratio), "caption": _CAPTION}}


KIND = Kind(
    "Gallery",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "Pictures",
            "items",
            one="Picture",
            most=24,
            items={"picture": PICTURE, "text": Slot("Caption", step="fine", ink="quiet", most=160)},
        ),
    },
    {
        "contact": Layout(
            "Contact print",
            "Small squares, many in a row.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        _pictures((1, 1)),
                        Tracks(
                            3,
                            of=4,
                            first={1: (12,), 2: (6, 6), 3: (4, 4, 4)},
                            only={5: (6, 6, 4, 4, 4), 6: (4,) * 6, 9: (4,) * 9},
                        ),
                        tablet=Tracks(4, of=3, first={1: (12,), 2: (6, 6)}),
                        phone=Tracks(6, of=2, first={1: (12,)}),
                        opens=True,
                        gap="4",
                        inner="2",
                    ),
                ),
            },
        ),
        "salon": Layout(
            "Salon",
            "Wide and narrow pictures in turn, as they hang on a wall.",
            {
                "head": Region(("heading", "text"), Place((1, 4), row=1)),
                "items": Region(
                    ("items",),
                    Place((5, 13), row=1),
                    phone=Place((1, 13)),
                    items=Collection(
                        _pictures((5, 4)),
                        Tracks(4, of=2, first={1: (8,)}, only={4: (5, 3, 3, 5), 6: (5, 3, 3, 5, 4, 4), 2: (5, 3)}),
                        opens=True,
                        gap="4",
                        inner="2",
                    ),
                ),
            },
        ),
        "frieze": Layout(
            "Frieze",
            "The first picture very wide, the others under it.",
            {
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "one": {"picture": face((4, 3)), "caption": _CAPTION},
                            "wide": {
                                "picture": Region(
                                    ("picture",), Place(ratio=(21, 9)), phone=Place(ratio=(4, 3)), picture="card"
                                ),
                                "caption": _CAPTION,
                            },
                        },
                        Tracks(
                            4,
                            of=3,
                            first={0: (12, 6, 6), 1: (12,), 2: (12, 12)},
                            lead={0: "wide", 1: "wide", 2: "wide"},
                            only={
                                2: (12, 12),
                                5: (12, 6, 6, 6, 6),
                                8: (12, 6, 6, 6, 6, 4, 4, 4),
                                11: (12, 6, 6, 6, 6, 4, 4, 4, 4, 4, 4),
                            },
                        ),
                        opens=True,
                        gap="4",
                        inner="2",
                    ),
                ),
                "head": Region(("heading", "text"), Place((1, 8), spans={"text": 6})),
            },
        ),
        "hanging": Layout(
            "Hanging",
            "Tall pictures in columns that step down the page, the words under them at the end.",
            {
                "items": Region(
                    ("items",),
                    Place((1, 12), row=1),
                    items=Collection(
                        _pictures((3, 4)),
                        Tracks(4, of=3, first={1: (12,), 2: (6, 6)}, only={4: (3,) * 4}, step="6", stepped=(3, 4, 6, 9, 12)),
                        tablet=Tracks(6, of=2, first={1: (12,)}, step="5", stepped=(2, 4, 6, 8)),
                        opens=True,
                        gap="5",
                        inner="2",
                    ),
                ),
                "head": Region(("heading", "text"), Place((7, 12), row=2)),
            },
        ),
    },
    usual=Usual(even=True),
    needs="pictures, photographs, work, portfolio, look inside",
)
