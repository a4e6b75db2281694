"""A photograph has as many pixels as it is drawn with (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PictureFact
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="pictures/too-small",
    title="Photographs are not drawn larger than they are",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PictureFact,
    applies_if=lambda fact: bool(fact.pixels and fact.drawn),
    options={"share": 1.0},
    rationale="What is drawn over more pixels than it has is soft, and on a screen with two to a px softer still.",
    messages={"small": "The picture has {measured} px across and is drawn over {required} px."},
    bound="least",
)
def too_small(fact: PictureFact, options: Mapping[str, float]) -> Iterator[Verdict]:
    width, across = max(fact.drawn.items(), key=lambda one: one[1])
    if fact.pixels < across * options["share"]:
        yield Verdict("small", float(fact.pixels), across * options["share"], "px", width)
