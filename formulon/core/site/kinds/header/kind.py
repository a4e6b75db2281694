"""The header of every page: mark, navigation and the action. Its parts stand as wide as they are; see header.py."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.layout import Layout, Place, Region

MARK = {"bar": 1.0, "masthead": 1.35}  # how much of its height in the header the mark has
SPACE = {"bar": "4", "masthead": "5"}  # between the names of pages
SIDES = {"bar": 1, "masthead": 2}  # of the mark on which there is room for the action

KIND = Kind(
    "Header",
    {"action": Slot("Action", "action", step="label", variant="primary")},
    {
        "bar": Layout(
            "Bar",
            "Mark on the left, navigation and the action on the right.",
            {
                "mark": Region(("mark",), Place((1, 3), row=1)),
                "links": Region(("links",), Place((5, 9), row=1, across="end"), flow="row"),
                "action": Region(("action",), Place((10, 12), row=1, across="end")),
            },
            measured=True,
            leans={"classical_modern": 1},
        ),
        "masthead": Layout(
            "Masthead",
            "Mark over a ruled line of navigation, as on a paper.",
            {
                "mark": Region(("mark",), Place((4, 9), row=1, across="center")),
                "action": Region(("action",), Place((10, 12), row=1, across="end")),
                "links": Region(("links",), Place(row=2, across="center"), ruled=True, flow="row"),
            },
            measured=True,
            leans={"classical_modern": -2, "plain_ornate": 1},
        ),
    },
    ground="navigation",
    tag="header",
)
