"""Hardly anything moves while a page is loaded (Core Web Vitals, cumulative layout shift)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Moved
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="layout/moves",
    title="Hardly anything moves while the page is loaded",
    standard=Ref("Core Web Vitals", "CLS"),
    severity="note",
    looks_at=Moved,
    options={"most": 0.1},
    rationale="What people read or are about to press jumps away. The score is the share of the first screen that moves times how far, as the browser tells it; files come at once here, so on a slow line it is more.",
    messages={"moves": "What stands at “{text}” moves while the page is loaded: {measured}; {required} is the most."},
    bound="most",
)
def moves(one: Moved, options: Mapping[str, float]) -> Iterator[Verdict]:
    if one.score > options["most"]:
        yield Verdict("moves", round(one.score, 2), options["most"], values={"text": one.text[:60] or one.place.page})
