"""A text beside a picture."""

from formulon.core.site.kind import Box, Kind, Layout, Slot
from formulon.core.site.kinds.shared import HEADING, LINK, PICTURE

KIND = Kind(
    "Text with picture",
    {
        "heading": HEADING,
        "text": Slot("Text", step="body", ink="body", most=1500),
        "link": LINK,
        "picture": PICTURE,
    },
    {
        "offset": Layout(
            "Offset",
            "A picture off the left edge, the words lower on the right.",
            {"heading": Box(4), "text": Box(4, most_em=34)},
        ),
        "column": Layout(
            "Column",
            "The headline in the margin, the words and a wide picture in the main column.",
            {"heading": Box(4), "text": Box(7, most_em=36)},
        ),
        "sill": Layout(
            "Sill",
            "A wide picture with a card of words over its lower corner.",
            {"heading": Box(6, inset=("6", "6")), "text": Box(6, inset=("6", "6"), most_em=36)},
            card=("heading", "text", "link"),
            phone_boxes={"heading": Box(12, inset=("5",)), "text": Box(12, inset=("5",), most_em=36)},
        ),
    },
)
