"""What is told of a page at a glance: where inks are used, and which texts are drawn in another size than their step."""

from collections import Counter
from collections.abc import Iterable
from dataclasses import dataclass

from formulon.core.checks.page_facts import Fact, TextRun
from formulon.core.system.parts import PARTS
from formulon.core.system.system import Scheme


@dataclass(frozen=True, slots=True)
class Glance:
    """`uses` counts by ground and ink, without states; `scaled` names texts that are drawn smaller so that their longest word
    fits, with the share of their size."""

    uses: Counter[tuple[str, str]]
    scaled: tuple[str, ...]

    def __add__(self, other: "Glance") -> "Glance":
        return Glance(self.uses + other.uses, self.scaled + other.scaled)


NOTHING_SEEN = Glance(Counter(), ())


def glance(facts: Iterable[Fact], scheme: Scheme) -> Glance:
    """Of the facts of a page; uses of one scheme alone."""
    uses: Counter[tuple[str, str]] = Counter()
    scaled = []
    for fact in facts:
        if not isinstance(fact, TextRun):
            continue
        if fact.scale != 1:
            scaled.append(f"{fact.place.section}/{fact.place.slot} {fact.scale:g}")
        part = PARTS[fact.ink]
        if fact.scheme == scheme and part.state not in ("hover", "pressed"):
            uses[fact.ground, part.drawn_as or fact.ink] += 1
    return Glance(uses, tuple(scaled))
