"""What others say: their words, who they are and what they do."""

from formulon.core.site.kind import Kind, Slot, Usual
from formulon.core.site.kinds.shared import HEADING, PICTURE
from formulon.core.site.layout import Collection, Layout, Place, Region, Room, Tracks

_PERSON = ("name", "role")
_FACE = Place(ratio=(1, 1), most=112)

KIND = Kind(
    "Quotes",
    {
        "heading": HEADING,
        "items": Slot(
            "Quotes",
            "items",
            one="Quote",
            most=9,
            items={
                "rating": Slot("Stars given", "rating"),
                "text": Slot("Words", tag="blockquote", step="intro", ink="heading", most=500),
                "name": Slot("Name", step="label", ink="heading", most=80),
                "role": Slot("Role", step="fine", ink="quiet", most=120),
                "picture": PICTURE,
            },
        ),
    },
    {
        "voices": Layout(
            "Voices",
            "One large quote under another, with a portrait beside each.",
            {
                "head": Region(("heading",), Place((1, 8))),
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "quote": {
                                "portrait": Region(
                                    ("picture",), Place((1, 2), row=1, ratio=(1, 1)), phone=_FACE, picture="portrait"
                                ),
                                "words": Region(
                                    ("rating", "text", *_PERSON), Place((3, 11), row=1, gap="2"), phone=Place(gap="2")
                                ),
                            }
                        },
                        Tracks(12),
                        gap="6",
                        inner="4",
                    ),
                ),
            },
            steps={"items/text": "h3"},
        ),
        "chorus": Layout(
            "Chorus",
            "Quotes side by side under a line each, in columns.",
            {
                "head": Region(("heading",), Place((1, 8))),
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "quote": {
                                "words": Region(("rating", "text"), Place(gap="2"), phone=Place(gap="2")),
                                "person": Region(_PERSON, Place(gap="1"), phone=Place(gap="1")),
                            }
                        },
                        Tracks(4, of=3, first={1: (12,), 2: (6, 6)}, only={4: (6, 6, 6, 6)}),
                        tablet=Tracks(6, of=2, first={1: (12,)}),
                        ruled=True,
                        pad="4",
                        gap="4",
                        inner="4",
                    ),
                ),
            },
        ),
        "witness": Layout(
            "Witness",
            "The headline in the margin, the quotes on cards in the main column.",
            {
                "head": Region(("heading",), Place((1, 4), row=1)),
                "items": Region(
                    ("items",),
                    Place((6, 12), row=1),
                    items=Collection(
                        {
                            "quote": {
                                "words": Region(("rating", "text"), Place(gap="2"), phone=Place(gap="2")),
                                "person": Region(_PERSON, Place(gap="1"), phone=Place(gap="1")),
                            }
                        },
                        Tracks(7),
                        card="solid",
                        inset="5",
                        gap="3",
                        inner="4",
                    ),
                ),
            },
            Room("7", "7"),
        ),
    },
    usual=Usual(least=2, most=3),
    needs="reviews, testimonials, what others say, voices, recommendations, stars",
)
