"""A programme or opening hours: a real table."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, INTRO, LINK
from formulon.core.site.layout import Layout, Place, Region

KIND = Kind(
    "Programme and hours",
    {
        "heading": HEADING,
        "text": INTRO,
        "table": Slot("Times", "table", step="fine", ink="body"),
        "note": Slot("Note", step="fine", ink="quiet", most=300),
        "link": LINK,
    },
    {
        "board": Layout(
            "Board",
            "The table over the whole width under its headline.",
            {
                "head": Region(("heading", "text"), Place((1, 8), spans={"text": 6})),
                "table": Region(("table",)),
                "foot": Region(("note", "link"), Place((1, 6))),
            },
        ),
        "notice": Layout(
            "Notice",
            "Headline and note in the margin, the table beside them.",
            {
                "head": Region(("heading", "text", "note", "link"), Place((1, 4), row=1)),
                "table": Region(("table",), Place((6, 12), row=1)),
            },
        ),
        "panel": Layout(
            "Panel",
            "A large headline, and the table on a card of another ground that hangs over the section's foot.",
            {
                "head": Region(("heading", "text", "link"), Place((1, 5), row=1), caps={"text": 26}),
                "table": Region(
                    ("table", "note"),
                    Place((7, 12), row=1, inset="5", drop="6"),
                    phone=Place(inset="4"),
                    card=True,
                    ground="accent",
                ),
            },
            steps={"heading": "h1"},
        ),
    },
    needs="opening hours, times, when, timetable, what is on, dates, events",
)
