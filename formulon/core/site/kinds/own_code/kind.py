"""The designer's own HTML and CSS, in a column, across the page, or from edge to edge."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, INTRO
from formulon.core.site.layout import Layout, Place, Region, Room

KIND = Kind(
    "Own HTML and CSS",
    {
        "heading": HEADING,
        "text": INTRO,
        "code": Slot("HTML and CSS", "code", step="body", ink="body"),
    },
    {
        "measure": Layout(
            "Measure",
            "One column as wide as running text, under its headline.",
            {
                "lead": Region(("heading", "text"), Place((3, 10))),
                "own": Region(("code",), Place((3, 10))),
            },
            Room(gap="6"),
        ),
        "aside": Layout(
            "Aside",
            "The headline in the margin, what is your own beside it.",
            {
                "lead": Region(("heading", "text"), Place((1, 4), row=1)),
                "own": Region(("code",), Place((5, 12), row=1)),
            },
        ),
        "edges": Layout(
            "Edges",
            "From edge to edge of the window, under its headline.",
            {
                "lead": Region(("heading", "text"), Place((1, 8))),
                "own": Region(("code",), Place((0, 13)), phone=Place((0, 13))),
            },
            Room(gap="6"),
        ),
    },
    needs="html, css, embed, something of one’s own",
)
