"""A page is not scrolled in two directions (WCAG 2.2 SC 1.4.10: at 320 CSS px)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageBox
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="layout/reflow",
    title="Pages fit the width of every window",
    standard=Ref("WCAG 2.2", "1.4.10", "AA"),
    severity="stop",
    looks_at=PageBox,
    options={"spare": 1.0},
    rationale="Who enlarges a page to 400 % has 320 px of it; text that has to be scrolled to and fro is given up.",
    messages={
        "wider": "The page is {measured} px wide in a window of {required} px.",
        "sticks-out": "{out} reaches to {measured} px in a window of {required} px.",
    },
    bound="most",
)
def reflow(page: PageBox, options: Mapping[str, float]) -> Iterator[Verdict]:
    """The narrowest width at which it is scrolled sideways."""
    for width, scrolled in page.scrolled.items():
        if scrolled > width + options["spare"]:
            out = page.out.get(width, "")
            values = {"out": f"“{out}”"}
            yield Verdict("sticks-out" if out else "wider", scrolled, width, "px", width, values)
            return
