"""A picture does not keep a page waiting (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PictureFact
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="pictures/too-heavy",
    title="Pictures are light enough for a phone",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PictureFact,
    applies_if=lambda fact: bool(fact.weights),
    options={"most": 500.0},
    rationale="At 4 Mbit a second, 500 kB are a second of waiting, for one picture.",
    messages={"heavy": "The picture has {measured} kB there; {required} kB is the most."},
    bound="most",
)
def too_heavy(fact: PictureFact, options: Mapping[str, float]) -> Iterator[Verdict]:
    width, weight = max(fact.weights.items(), key=lambda one: one[1])
    if weight / 1000 > options["most"]:
        yield Verdict("heavy", weight / 1000, options["most"], "kB", width)
