"""Brand colours that are nearly one, offered for merging."""

from dataclasses import dataclass
from itertools import combinations

from formulon.core.color.difference import difference
from formulon.core.system.documents.identity import Identity

# ΔE2000 below which two colours of a brand are taken for one that was written twice (common practice: two to three
# just noticeable differences; a file's rounding or a photograph's compression makes less).
TOLERANCE = 3.0


@dataclass(frozen=True, slots=True)
class NearDuplicates:
    """Two brand colours, by id, in the order of the identity, and their ΔE2000."""

    first: str
    second: str
    delta_e: float


def near_duplicates(identity: Identity, tolerance: float = TOLERANCE) -> list[NearDuplicates]:
    """Pairs of brand colours below the tolerance, the nearest first."""
    found = [
        NearDuplicates(a.id, b.id, delta)
        for a, b in combinations(identity.colors, 2)
        if (delta := difference(a.parsed.rgb, b.parsed.rgb)) < tolerance
    ]
    return sorted(found, key=lambda one: one.delta_e)
