"""Where it is and how one gets there. The map is drawn from what is known; no outside service is asked."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, INTRO, LINK, THREE, under
from formulon.core.site.layout import Collection, Layout, Place, Region, Room, Tracks

_WAYS = {"way": {"words": under(("title", "text"), "1")}}

KIND = Kind(
    "Place and directions",
    {
        "heading": HEADING,
        "text": INTRO,
        "map": Slot("Map", "map"),
        "items": Slot(
            "Ways",
            "items",
            one="Way",
            most=6,
            items={
                "title": Slot("By what", tag="h3", step="h4", ink="heading", most=120),
                "text": Slot("Text", step="body", ink="quiet", most=600),
            },
        ),
        "link": LINK,
    },
    {
        "survey": Layout(
            "Survey",
            "The map on the left, where it is and how to get there on the right.",
            {
                "map": Region(("map",), Place((1, 7), row=1, rows=2)),
                "head": Region(("heading", "text", "link"), Place((9, 12), row=1)),
                "items": Region(
                    ("items",), Place((9, 12), row=2), items=Collection(_WAYS, Tracks(4), ruled=True, pad="3", gap="")
                ),
            },
        ),
        "card": Layout(
            "Card",
            "The address very large on a card of the brand's ground, the map small beside it, ways in columns under both.",
            {
                "head": Region(
                    ("heading", "text", "link"),
                    Place((1, 8), row=1, inset="6"),
                    phone=Place((0, 13), inset="5"),
                    card=True,
                    ground="brand",
                ),
                "map": Region(("map",), Place((9, 12), row=1)),
                "items": Region(
                    ("items",),
                    items=Collection(_WAYS, THREE, tablet=Tracks(6, of=2, first={1: (12,)}), gap="4"),
                ),
            },
            steps={"text": "h3"},
        ),
        "route": Layout(
            "Route",
            "Ways one after another under a large headline, the map at their end.",
            {
                "head": Region(("heading", "text", "link"), Place((1, 9)), caps={"text": 36}),
                "items": Region(
                    ("items",), Place((1, 6), row=2), items=Collection(_WAYS, Tracks(6), ruled=True, pad="4", gap="")
                ),
                "map": Region(("map",), Place((8, 12), row=2)),
            },
            Room(gap="6"),
            steps={"heading": "h1"},
        ),
    },
    needs="map, where we are, directions, how to find us, address, parking",
)
