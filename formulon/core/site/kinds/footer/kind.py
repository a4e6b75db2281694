"""The foot of every page: the brand's name or mark, all pages, and how it is reached."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.layout import Layout, Place, Region, Room

_LEAD = ("mark", "text")

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
            {
                "lead": Region(_LEAD, Place((1, 5), row=1)),
                "links": Region(("links",), Place((7, 9), row=1), Place((6, 8), row=1)),
                "contact": Region(("contact",), Place((10, 12), row=1), Place((9, 12), row=1)),
                "note": Region(("note",), Place(above="3"), phone=Place(above="3"), ruled=True, caps={"note": 38}),
            },
            Room("6", "6", rows="start"),
        ),
        "line": Layout(
            "Line",
            "All of it on one quiet line.",
            {
                "lead": Region(_LEAD, Place((1, 6), row=1)),
                "links": Region(("links",), Place((7, 12), row=1, across="end"), flow="row"),
                "contact": Region(("contact",), Place((7, 12), row=2, across="end"), flow="row"),
                "note": Region(("note",), Place((1, 6), row=3), caps={"note": 38}),
            },
            Room("5", "5", rows="start"),
            phone=Room("6", "6"),
            leans={"plain_ornate": -1, "quiet_loud": -1},
        ),
        "colophon": Layout(
            "Colophon",
            "Everything in the middle, one thing under another.",
            {
                "lead": Region(_LEAD, Place((3, 10), across="center"), phone=Place(across="center")),
                "links": Region(("links",), Place((2, 11), across="center"), phone=Place(across="center"), flow="row"),
                "contact": Region(("contact",), Place((2, 11), across="center"), phone=Place(across="center"), flow="row"),
                "note": Region(("note",), Place((3, 10), across="center"), phone=Place(across="center"), caps={"note": 38}),
            },
            Room("7", "6", gap="4"),
            phone=Room("6", "6"),
            leans={"classical_modern": -2},
        ),
        "plinth": Layout(
            "Plinth",
            "Pages in columns, and what closes the site large under a line across the page.",
            {
                "links": Region(("links",), Place((1, 4), row=1)),
                "contact": Region(("contact",), Place((5, 9), row=1)),
                "note": Region(("note",), Place((10, 12), row=1)),
                "lead": Region(_LEAD, Place(above="5"), phone=Place(above="4"), ruled=True),
            },
            Room("6", "6", rows="start"),
            phone=Room("6", "6"),
            steps={"text": "h2"},
            leans={"quiet_loud": 1, "classical_modern": 1},
        ),
    },
    ground="footer",
    tag="footer",
    motif_first=True,
)
