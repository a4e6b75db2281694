"""What to do next."""

from formulon.core.site.kind import Kind
from formulon.core.site.kinds.shared import HEADING, INTRO, PRIMARY, SECONDARY
from formulon.core.site.layout import Layout, Place, Region, Room

_ACTIONS = ("primary", "secondary")

KIND = Kind(
    "Call to action",
    {"heading": HEADING, "text": INTRO, "primary": PRIMARY, "secondary": SECONDARY},
    {
        "sweep": Layout(
            "Sweep",
            "A large headline beside an arc in the brand's colours.",
            {
                "words": Region(("heading", "text"), Place((1, 7), spans={"text": 6}), caps={"text": 32}),
                "actions": Region(_ACTIONS, Place((1, 7))),
                "arcs": Region(("arcs",), Place((9, 13), row=1, rows=2), phone=Place(rise="5", height=0.2), free=True),
            },
            Room(least=(0, 0.32, 440), content="center"),
            phone=Room(),
            leans={"calm_lively": 1},
        ),
        "ledge": Layout(
            "Ledge",
            "Words on the left, actions on the right, on one line.",
            {
                "words": Region(("heading", "text"), Place((1, 7), row=1), caps={"text": 38}),
                "actions": Region(_ACTIONS, Place((9, 12), row=1, across="end")),
            },
            Room("6", "6", rows="end"),
            phone=Room(),
            leans={"plain_ornate": -1},
        ),
        "plinth": Layout(
            "Plinth",
            "Everything in the middle, the headline very large.",
            {
                "words": Region(
                    ("heading", "text", *_ACTIONS),
                    Place((2, 11), across="center", gap="5"),
                    phone=Place(across="center", gap="5"),
                    caps={"text": 34},
                )
            },
            Room("8", "8"),
            phone=Room(),
            steps={"heading": "display"},
            grow={"heading": 1.6},
            leans={"quiet_loud": 1, "classical_modern": -1},
        ),
        "leaflet": Layout(
            "Leaflet",
            "A card of another ground that runs to the end edge, over the foot of the section before.",
            {
                "card": Region(
                    ("heading", "text", *_ACTIONS),
                    Place((6, 13), inset="6", rise="6", gap="5"),
                    phone=Place((0, 13), inset="5", rise="5", gap="4"),
                    card=True,
                    ground="brand",
                    caps={"text": 34},
                )
            },
            Room("", "7"),
            phone=Room("", "6"),
            leans={"classical_modern": 1, "soft_sharp": 1},
        ),
    },
    ground="accent",
    needs="book, get in touch, what to do next, closing, button",
)
