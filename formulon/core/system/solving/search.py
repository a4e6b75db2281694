"""The search: which colours a group of roles takes, exactly and together.

The stated preference, for every group of roles that constrain one another:

1. Every constraint is met.
2. As few fills as possible are pure black or white; then as many roles as possible have a colour of their first rank,
   then of their second, and so on. Ranks are the classes in the order that a role prefers (exact brand colour, ramp step,
   neutral step); where a role wants to be calm, the classes within a bound on chroma come first. Pure black and white
   have the last rank in any case.
3. The sum of the distances to what was wished, in OKLab, is least. Then the order of the identity decides.

A rank costs a power of BASE below zero and a distance less than one in all, so the sum of costs is that preference,
and groups that share no constraint can be solved apart.
"""

from collections.abc import Iterator, Sequence
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from formulon.core.color.srgb import RGB, Floats

EXACT, RAMP, NEUTRAL, PURE, SIGNAL = range(5)  # SIGNAL: made for one place, no class to choose from
ALL, TONES = (EXACT, RAMP, NEUTRAL, PURE), (RAMP, NEUTRAL, EXACT, PURE)  # orders of preference
BASE, RANKS = 8.0, 7  # more than the roles of any group; ranks 0 to 6
LAST = 1e9  # added to what is taken only where nothing else is left
FAR = 16.0  # what distances are divided by; OKLab's are below 1.5, so six of them stay below one
_SINGLY = 12  # so many are looked for one by one, which is faster than to sort all
Mask = NDArray[np.bool_]
Ints = NDArray[np.intp]


class Swatch(NamedTuple):
    """One usable colour: `reference` is what a wire writes, `label` what people read, `alias` the path of the token that has
    this colour."""

    reference: str
    label: str
    rgb: RGB
    kind: int
    alias: str = ""


class Options(NamedTuple):
    """What a role may take: swatches, the terms of their contrast ratios (relative luminance and 0.05) and their costs,
    each of shape (n,). One that was set by hand is the only one."""

    swatches: Sequence[Swatch]
    lifted: Floats
    cost: Floats
    by_hand: bool = False


def rank_cost(rank: int) -> float:
    """What a rank costs; the first least."""
    return float(-(BASE ** (RANKS - rank)))


def rank_costs(kind: NDArray[np.int_], chroma: Floats, order: tuple[int, ...], calm: float | None) -> Floats:
    """Costs, shape (n,), of swatches of classes `kind` by their rank in `order`; infinite for classes not in it."""
    steps = [one for one in order if one != PURE]
    quiet, loud = (np.full(SIGNAL, np.inf) for _ in range(2))  # by class
    for rank, one in enumerate(steps):
        quiet[one], loud[one] = rank_cost(rank), rank_cost(rank + len(steps))
    quiet[PURE] = loud[PURE] = rank_cost(RANKS - 1)
    return quiet[kind] if calm is None else np.where(chroma <= calm, quiet[kind], loud[kind])


def against(lifted: Floats, luminance: float) -> Floats:
    """Contrast ratios of options, shape (n,), with one colour of a relative luminance."""
    own = luminance + 0.05
    return np.asarray(np.maximum(lifted, own) / np.minimum(lifted, own))


def between(first: Options, second: Options) -> Floats:
    """Contrast ratios, shape (m, n), of the options of two roles."""
    a, b = first.lifted[:, None], second.lifted[None, :]
    return np.asarray(np.maximum(a, b) / np.minimum(a, b))


def bars(allowed: Mask) -> Floats:
    """What rules options out when it is added to their costs: nothing where they are allowed, else infinity."""
    return np.where(allowed, 0.0, np.inf)


def best(options: Options, costs: Floats) -> Swatch | None:
    """The option of least cost, or None where all are infinite."""
    index = int(costs.argmin())
    return None if costs[index] == np.inf else options.swatches[index]


def ranked(options: Options, costs: Floats) -> Iterator[Swatch]:
    """Options by rising cost, those of infinite cost left out."""
    return map(options.swatches.__getitem__, ascending(costs))


def ascending(costs: Floats) -> Iterator[int]:
    """Flat indices by rising cost, equal ones in their order; infinite ones are left out."""
    flat = costs.ravel()
    for count in range(_SINGLY if flat.size else 0):
        index = int(flat.argmin())
        if flat[index] == np.inf:
            return
        yield index
        if not count:
            flat = flat.copy()
        flat[index] = np.inf
    for index in np.argsort(flat, kind="stable").tolist():
        if flat[index] == np.inf:
            return
        yield index


def together(first: Floats, second: Floats, barred: Floats) -> tuple[int, int] | None:
    """The two of least cost together, of shapes (m,) and (n,), that are not barred from each other, shape (m, n)."""
    least, found = np.inf, None
    beside = float(second.min())
    for row in ascending(first):
        if first[row] + beside >= least:
            break
        costs = second + barred[row]
        column = int(costs.argmin())
        if first[row] + costs[column] < least:
            least, found = first[row] + costs[column], (row, column)
    return found
