"""What to do next."""

from formulon.core.site.kind import Box, Kind, Layout
from formulon.core.site.kinds.shared import HEADING, INTRO, PRIMARY, SECONDARY

KIND = Kind(
    "Call to action",
    {"heading": HEADING, "text": INTRO, "primary": PRIMARY, "secondary": SECONDARY},
    {
        "sweep": Layout(
            "Sweep",
            "A large headline beside an arc in the brand's colours.",
            {"heading": Box(7), "text": Box(6, most_em=32)},
        ),
        "ledge": Layout(
            "Ledge",
            "Words on the left, actions on the right, on one line.",
            {"heading": Box(7), "text": Box(7, most_em=38)},
        ),
    },
    ground="accent",
)
