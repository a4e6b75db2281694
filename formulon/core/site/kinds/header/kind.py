"""The header of every page: mark, navigation and the action. Its parts stand as wide as they are; see header.py."""

from dataclasses import dataclass
from typing import Literal

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.layout import Layout, Place, Region


@dataclass(frozen=True, slots=True)
class Head:
    """What header.py asks of a layout: how much of its height the mark has; the space between the names of pages; on how many sides of
    the mark the action needs room; and what has to have room for everything to stand in one row: all of it one after another, the
    wider of two sides of a mark in the middle, or nothing, since it always stands in two."""

    mark: float = 1.0
    space: str = "4"
    sides: int = 1
    row: Literal["along", "centre", "wings", "never"] = "along"


HEADS = {
    "bar": Head(),
    "masthead": Head(mark=1.35, space="5", sides=2, row="never"),
    "tiers": Head(mark=1.15, row="never"),
    "centre": Head(sides=2, row="centre"),
    "wings": Head(mark=1.15, sides=2, row="wings"),
}
MOST_NAMES = 7  # in a row (common practice); what is more unfolds

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
        "tiers": Layout(
            "Tiers",
            "Mark and action over the navigation, both at the start.",
            {
                "mark": Region(("mark",), Place((1, 5), row=1)),
                "action": Region(("action",), Place((10, 12), row=1, across="end")),
                "links": Region(("links",), Place(row=2), ruled=True, flow="row"),
            },
            measured=True,
            leans={"calm_lively": 1, "quiet_loud": 1},
        ),
        "centre": Layout(
            "Centre",
            "Mark in the middle, navigation before it, the action after it.",
            {
                "links": Region(("links",), Place((1, 4), row=1), flow="row"),
                "mark": Region(("mark",), Place((5, 8), row=1, across="center")),
                "action": Region(("action",), Place((10, 12), row=1, across="end")),
            },
            measured=True,
            leans={"quiet_loud": -1, "plain_ornate": -1},
        ),
        "wings": Layout(
            "Wings",
            "Mark in the middle of the navigation, half of the pages on each side.",
            {
                "links": Region(("links",), Place((1, 12), row=1), flow="row"),
                "mark": Region(("mark",), Place((5, 8), row=1, across="center")),
                "action": Region(("action",), Place((11, 12), row=1, across="end")),
            },
            measured=True,
            leans={"classical_modern": -1, "calm_lively": -1},
        ),
    },
    ground="navigation",
    tag="header",
)
