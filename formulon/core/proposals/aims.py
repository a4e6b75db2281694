"""Aims: the characters that proposals go for. What the brand has decided is kept, a little to either side; what it has left open is
spread evenly, so that proposals differ where the brand leaves it to them."""

from collections.abc import Iterator
from dataclasses import astuple, dataclass

from formulon.core.system.documents.identity import Character
from formulon.core.system.facets.type_pairs import AXES

_BASES = (2, 3, 5, 7, 11)  # one for each axis
_ASIDE = 0.75  # how far a proposal goes to either side of what is decided


@dataclass(frozen=True, slots=True)
class Aim:
    """A character between the whole steps that a brand decides: each axis -2 to 2."""

    calm_lively: float
    plain_ornate: float
    classical_modern: float
    soft_sharp: float
    quiet_loud: float

    def character(self) -> Character:
        """The nearest in whole steps."""
        return Character(**{axis: round(value) for axis, value in zip(AXES, astuple(self), strict=True)})

    def words(self, most: int = 2) -> list[str]:
        """What it is, in the words of its strongest axes: "very calm", "modern"."""
        strong = sorted(zip(AXES.values(), astuple(self), strict=True), key=lambda pair: -abs(pair[1]))[:most]
        return [f"{'very ' if abs(value) > 1.5 else ''}{names[value > 0]}" for names, value in strong if abs(value) >= 0.5]


def aims(character: Character, seed: int) -> Iterator[Aim]:
    """Aims without end, the same for the same character and seed. Open axes go through a Halton sequence, which fills a space evenly
    (J. H. Halton 1960, from memory), beginning at a point that the seed tells."""
    number = 1 + seed % 997
    while True:
        spread = [_radical_inverse(number, base) for base in _BASES]
        made = []
        for axis, share in zip(AXES, spread, strict=True):
            wanted = getattr(character, axis)
            value = 4 * share - 2 if wanted is None else wanted + _ASIDE * (2 * share - 1)
            if wanted:  # what leans one way never leans the other
                value = max(0.25, value) if wanted > 0 else min(-0.25, value)
            made.append(round(max(-2.0, min(2.0, value)), 2))
        yield Aim(*made)
        number += 1


def _radical_inverse(number: int, base: int) -> float:
    """The digits of a number mirrored behind the point, 0–1."""
    made, share = 0.0, 1.0 / base
    while number:
        number, digit = divmod(number, base)
        made += digit * share
        share /= base
    return made
