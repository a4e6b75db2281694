"""Files to take away."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, INTRO, LINK, OVER, TEXT, THREE, TWO, beside, under
from formulon.core.site.layout import Collection, Layout, Place, Region, Tracks

KIND = Kind(
    "Downloads",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "Files",
            "items",
            one="File",
            most=16,
            items={
                "title": Slot("What it is", tag="h3", step="h4", ink="heading", most=120),
                "text": TEXT,
                "size": Slot("Kind and size", step="fine", ink="quiet", most=60),
                "link": LINK,
            },
        ),
    },
    {
        "lines": Layout(
            "Lines",
            "A ruled line for each file, the link at its end.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {
                            "file": {
                                "title": beside(("title", "size"), (1, 4), gap="1"),
                                "text": beside(("text",), (5, 9), cap=36),
                                "link": Region(("link",), Place((10, 12), row=1, down="baseline", across="end")),
                            }
                        },
                        Tracks(12),
                        ruled=True,
                        pad="3",
                        gap="",
                        inner="2",
                    ),
                ),
            },
        ),
        "folders": Layout(
            "Folders",
            "Files on cards side by side.",
            {
                "head": OVER,
                "items": Region(
                    ("items",),
                    items=Collection(
                        {"file": {"size": Region(("size",)), "words": under(("title", "text", "link"))}},
                        THREE,
                        tablet=TWO,
                        card="solid",
                        even=True,
                        inset="5",
                        gap="4",
                        inner="5",
                    ),
                ),
            },
        ),
        "drawer": Layout(
            "Drawer",
            "The headline on the left, a narrow list of files on the right.",
            {
                "head": Region(("heading", "text"), Place((1, 6), row=1)),
                "items": Region(
                    ("items",),
                    Place((8, 12), row=1),
                    items=Collection(
                        {"file": {"words": under(("title", "text", "link", "size"), "1")}},
                        Tracks(5),
                        ruled=True,
                        pad="3",
                        gap="",
                    ),
                ),
            },
            steps={"heading": "h1"},
        ),
    },
    needs="files, documents, forms to print, brochures, press material",
)
