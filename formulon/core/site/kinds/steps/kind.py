"""How it goes, one step after another."""

from formulon.core.site.kind import Kind, Slot, Usual
from formulon.core.site.kinds.shared import HEADING, INTRO, OVER, TEXT, TITLE, beside, under
from formulon.core.site.layout import Collection, Layout, Place, Region, Tracks

KIND = Kind(
    "Steps",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "Steps",
            "items",
            one="Step",
            most=8,
            items={
                "number": Slot("Number", step="h2", ink="heading", most=12),
                "title": TITLE,
                "text": TEXT,
            },
        ),
    },
    {
        "stairs": Layout(
            "Stairs",
            "Columns that step down the page.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {"step": {"number": Region(("number",)), "words": under(("title", "text"))}},
                        Tracks(
                            3,
                            of=4,
                            first={1: (12,), 2: (6, 6), 3: (4, 4, 4)},
                            only={5: (6, 6, 4, 4, 4), 6: (4,) * 6},
                            step="6",
                            stepped=(3, 4, 6, 8),
                        ),
                        tablet=Tracks(6, of=2, first={1: (12,)}, step="5", stepped=(4, 6, 8)),
                        ruled=True,
                        pad="4",
                        gap="5",
                        inner="4",
                    ),
                ),
            },
        ),
        "path": Layout(
            "Path",
            "One step a line: its number very large, its name, its words.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "step": {
                                "number": beside(("number",), (1, 3)),
                                "title": beside(("title",), (4, 7)),
                                "text": beside(("text",), (8, 12), cap=38),
                            }
                        },
                        Tracks(12),
                        ruled=True,
                        pad="4",
                        gap="",
                        inner="2",
                    ),
                ),
            },
            steps={"items/number": "display"},
        ),
        "cards": Layout(
            "Sheets",
            "Two columns of cards beside the headline in the margin.",
            {
                "head": Region(("heading", "text"), Place((1, 4), row=1)),
                "items": Region(
                    ("items",),
                    Place((5, 12), row=1),
                    items=Collection(
                        {"step": {"number": Region(("number",)), "words": under(("title", "text"))}},
                        Tracks(4, of=2, first={1: (8,)}),
                        card="solid",
                        even=True,
                        inset="5",
                        gap="4",
                        inner="5",
                    ),
                ),
            },
            steps={"items/title": "h4"},
        ),
    },
    usual=Usual(alike="text"),
    needs="how it works, process, first visit, in order, instructions",
)
