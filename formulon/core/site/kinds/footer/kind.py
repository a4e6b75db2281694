"""The foot of every page."""

from formulon.core.site.kind import Box, Kind, Layout, Slot

KIND = Kind(
    "Footer",
    {
        "text": Slot("Closing words", step="body", ink="body", most=300),
        "note": Slot("Small print", step="fine", ink="quiet", most=300),
    },
    {
        "columns": Layout(
            "Columns",
            "Name large, then pages and contact in columns.",
            {"mark": Box(5), "text": Box(5), "note": Box(12, most_em=38), "links": Box(3), "contact": Box(3)},
            tablet_boxes={"contact": Box(4)},
        ),
        "line": Layout(
            "Line",
            "All of it on one quiet line.",
            {"mark": Box(6), "text": Box(6), "note": Box(6, most_em=38), "links": Box(6), "contact": Box(6)},
        ),
    },
    ground="footer",
)
