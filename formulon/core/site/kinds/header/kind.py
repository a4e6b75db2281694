"""The header of every page: mark, navigation and the action."""

from formulon.core.site.kind import Kind, Layout, Slot

KIND = Kind(
    "Header",
    {"action": Slot("Action", "action", step="label", variant="primary")},
    {
        "bar": Layout("Bar", "Mark on the left, navigation and the action on the right.", {}),
        "masthead": Layout("Masthead", "Mark over a ruled line of navigation, as on a paper.", {}),
    },
    ground="navigation",
)
