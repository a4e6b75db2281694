"""Pictures keep their proportions (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PictureBox
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="pictures/stretched",
    title="Pictures keep their proportions",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=PictureBox,
    applies_if=lambda one: one.there and min(*one.natural, *one.drawn) >= 8 and one.fit == "fill",
    options={"most": 4.0},
    rationale="A stretched face or mark is seen at once, and says that nobody looked.",
    messages={"stretched": "The picture is drawn {measured} % wider or higher than its proportions; {required} % is the most."},
    bound="most",
)
def stretched(one: PictureBox, options: Mapping[str, float]) -> Iterator[Verdict]:
    share = (one.drawn[0] / one.drawn[1]) / (one.natural[0] / one.natural[1])
    away = (max(share, 1 / share) - 1) * 100
    if away > options["most"]:
        yield Verdict("stretched", away, options["most"], "%")
