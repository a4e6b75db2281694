"""How to get in touch: a form, and words beside it."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, INTRO, LINK, TEXT, THREE, under
from formulon.core.site.layout import Collection, Layout, Place, Region, Room, Tracks

_WAYS = {"way": {"words": under(("title", "text", "link"), "1")}}

KIND = Kind(
    "Contact with form",
    {
        "heading": HEADING,
        "text": INTRO,
        "form": Slot("Form", "form"),
        "items": Slot(
            "Ways",
            "items",
            one="Way",
            most=6,
            items={"title": Slot("What", tag="h3", step="label", ink="quiet", most=120), "text": TEXT, "link": LINK},
        ),
    },
    {
        "desk": Layout(
            "Desk",
            "Words and ways on the left, the form on a card on the right.",
            {
                "head": Region(("heading", "text"), Place((1, 5), row=1), caps={"text": 28}),
                "form": Region(
                    ("form",),
                    Place((7, 12), row=1, rows=2, inset="6", down="start"),
                    phone=Place((0, 13), inset="5"),
                    card=True,
                ),
                "items": Region(
                    ("items",),
                    Place((1, 5), row=2),
                    items=Collection(_WAYS, Tracks(5), gap="4"),
                ),
            },
        ),
        "counter": Layout(
            "Counter",
            "A strong panel that runs to the end edge holds the form; the words beside it are large.",
            {
                "head": Region(
                    ("heading", "text"),
                    Place((1, 6), row=1, down="center", below="7"),
                    phone=Place(below="5"),
                    caps={"text": 30},
                ),
                "form": Region(
                    ("form",),
                    Place((8, 13), row=1, inset="6", bleed=("top",)),
                    phone=Place((0, 13), inset="5"),
                    card=True,
                    ground="accent",
                ),
                "items": Region(
                    ("items",),
                    Place(above="5"),
                    phone=Place(above="5"),
                    items=Collection(_WAYS, THREE, tablet=Tracks(6, of=2, first={1: (12,)}), gap="4"),
                ),
            },
            Room(least=(420, 0.4, 620)),
            steps={"heading": "h1"},
        ),
        "slip": Layout(
            "Slip",
            "The form alone in a narrow column in the middle, under its headline.",
            {
                "head": Region(
                    ("heading", "text"), Place((3, 10), across="center"), phone=Place(across="center"), caps={"text": 34}
                ),
                "form": Region(("form",), Place((4, 9))),
                "items": Region(
                    ("items",),
                    Place((4, 9), above="5"),
                    phone=Place(above="5"),
                    items=Collection(_WAYS, Tracks(3, of=2, first={1: (6,)}), gap="4"),
                ),
            },
            Room(gap="6"),
        ),
    },
    needs="form, write to us, enquiry, get in touch, message, booking",
)
