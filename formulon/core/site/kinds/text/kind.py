"""Words alone: what is to be said in a few sentences."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, LINK
from formulon.core.site.layout import Layout, Place, Region, Room

KIND = Kind(
    "Text",
    {
        "heading": HEADING,
        "text": Slot("Text", step="intro", ink="body", most=1500),
        "link": LINK,
    },
    {
        "aside": Layout(
            "Aside",
            "The headline in the margin, the words in the main column.",
            {
                "lead": Region(("heading",), Place((1, 4), row=1)),
                "words": Region(("text", "link"), Place((6, 12), row=1), caps={"text": 36}),
            },
            leans={"plain_ornate": -1, "quiet_loud": -1},
        ),
        "statement": Layout(
            "Statement",
            "The words themselves are large, under a small headline.",
            {"words": Region(("heading", "text", "link"), Place((1, 10), gap="5"), phone=Place(gap="4"))},
            Room("8", "8"),
            phone=Room("7", "7"),
            steps={"heading": "h4", "text": "h2"},
            leans={"quiet_loud": 1, "plain_ornate": -1},
        ),
        "pillar": Layout(
            "Pillar",
            "A narrow column in the middle, everything centred.",
            {
                "words": Region(
                    ("heading", "text", "link"), Place((4, 9), across="center"), phone=Place(across="center"), caps={"text": 34}
                )
            },
            Room("8", "8"),
            phone=Room("7", "7"),
            leans={"classical_modern": -2, "quiet_loud": -1},
        ),
    },
    needs="words only, paragraph, introduction, statement",
)
