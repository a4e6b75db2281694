"""Questions that unfold."""

from formulon.core.site.kind import Kind, Slot
from formulon.core.site.kinds.shared import HEADING, INTRO, LINK
from formulon.core.site.layout import Collection, Layout, Place, Region, Tracks

_ITEM = {
    "question": {
        "title": Region(("title",)),
        "text": Region(("text", "link"), Place(gap="2"), phone=Place(gap="2"), caps={"text": 40}),
    }
}

KIND = Kind(
    "Questions",
    {
        "heading": HEADING,
        "text": INTRO,
        "items": Slot(
            "Questions",
            "items",
            one="Question",
            most=16,
            items={
                "title": Slot("Question", tag="h3", step="h4", ink="heading", most=200),
                "text": Slot("Answer", step="body", ink="body", most=1200),
                "link": LINK,
            },
        ),
    },
    {
        "margin": Layout(
            "Beside",
            "The headline in the margin, the questions in the main column.",
            {
                "head": Region(("heading", "text"), Place((1, 4), row=1)),
                "items": Region(
                    ("items",),
                    Place((5, 12), row=1),
                    items=Collection(_ITEM, Tracks(8), unfolds=True, ruled=True, pad="2", gap="", inner="2"),
                ),
            },
        ),
        "pairs": Layout(
            "Side by side",
            "Two columns of questions under a large headline.",
            {
                "head": Region(("heading", "text"), Place((1, 10), spans={"text": 6})),
                "items": Region(
                    ("items",),
                    items=Collection(
                        _ITEM, Tracks(6, of=2, first={1: (12,)}), unfolds=True, ruled=True, pad="2", gap="", inner="2"
                    ),
                ),
            },
            steps={"heading": "h1"},
        ),
        "desk": Layout(
            "Desk",
            "Questions on cards in a narrow column in the middle.",
            {
                "head": Region(("heading", "text"), Place((3, 10), across="center"), phone=Place(across="center")),
                "items": Region(
                    ("items",),
                    Place((3, 10)),
                    items=Collection(_ITEM, Tracks(8), unfolds=True, card="solid", inset="4", gap="2", inner="2"),
                ),
            },
        ),
    },
    needs="faq, answers, common questions, help, what people ask",
)
