"""A scene: one ground with everything that bears on what stands on it. Role groups are solved from it."""

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, field, replace
from functools import cache, cached_property
from typing import NamedTuple

import numpy as np

from formulon.core.color.contrast import contrast_ratio, relative_luminance
from formulon.core.color.difference import difference
from formulon.core.color.oklab_scalar import lightened, oklab
from formulon.core.color.srgb import RGB, Floats
from formulon.core.system.parts import GROUND, Needs
from formulon.core.system.solving.costs import Costs
from formulon.core.system.solving.grounds import ByHand, Ground, Set, far_from
from formulon.core.system.solving.palette import BLACK, WHITE
from formulon.core.system.solving.search import (
    ALL,
    SIGNAL,
    Options,
    Swatch,
    against,
    ascending,
    bars,
    best,
    between,
)
from formulon.core.system.solving.texts import Pairs, Texts
from formulon.core.system.system import Origin

ORIGINS: tuple[Origin, ...] = ("exact", "derived", "derived", "derived", "derived")  # by class
CALM_TEXT, CALM_TONE = 0.09, 0.06  # bounds on chroma for running and for quiet text (common practice)
STATE_APART = 3.0  # least ΔE2000 between neighbouring states (common practice; about three just noticeable differences)
# OKLCH lightness by which a state may move away from rest, and what a move towards the label costs.
MOVES = (0.03, 0.04, 0.05, 0.06, 0.075, 0.09, 0.1, 0.12, 0.15, 0.18, 0.22, 0.27)
TOWARDS = 0.3


WANTED = 1e8  # taken off the costs of an ink that the guideline asks for on a ground: more than any rank costs
_READ = ("heading", "body")  # what a pair that a guideline asks for is about


class Made(NamedTuple):
    """The colour of one part: what it is, where it came from and why."""

    swatch: Swatch
    origin: Origin
    reason: str

    @property
    def rgb(self) -> RGB:
        return self.swatch.rgb


Solved = dict[str, Made]  # by path of the part


@dataclass(frozen=True)
class Scene:
    """`by_hand` holds what wires and pins set, by path of the part; `forbidden` the pairs of ink and ground that the guideline
    rules out, `wanted` those that it asks for; `outlined` says that the main button is; `both` the light and the dark end in which text is wanted."""

    costs: Costs
    ground: Ground
    grounds: Mapping[str, Ground]
    both: tuple[RGB, RGB]
    action: Swatch
    text: float
    boundary: float
    by_hand: ByHand = field(default_factory=dict)
    forbidden: Pairs = frozenset()
    underlined: bool = True
    wanted: Pairs = frozenset()
    outlined: bool = False

    @cached_property
    def back(self) -> RGB:
        """The colour of the ground."""
        return self.ground.swatch.rgb

    @cached_property
    def far(self) -> RGB:
        """Of the two ends, the one that contrasts more with the ground."""
        return far_from(self.back, self.both)

    @cached_property
    def ratios(self) -> Floats:
        """Contrast ratios of all swatches of the palette on the ground."""
        return against(self.costs.whole.lifted, relative_luminance(self.back))

    def origin(self, name: str, swatch: Swatch) -> Origin:
        """Where a value came from: the wire's or pin's word, or by its class."""
        if name in self.by_hand:
            return self.by_hand[name].origin
        return ORIGINS[swatch.kind]

    def without(self, part: str) -> "Scene":
        """The same with one part no longer set by hand."""
        return replace(self, by_hand={name: value for name, value in self.by_hand.items() if name != part})

    def with_part(self, part: str, swatch: Swatch) -> "Scene":
        """The same with one part set by hand."""
        return replace(self, by_hand={**self.by_hand, part: Set(swatch, "chosen")})

    @cached_property
    def needs(self) -> Mapping[Needs, float]:
        """The least ratios that are asked for here."""
        return {"text": self.text, "boundary": self.boundary, "none": 0.0}

    def behind(self, under: str, made: Mapping[str, Made]) -> RGB:
        """The colour that a part stands on: the ground, or another part."""
        return self.back if under == GROUND else made[under].rgb

    def options(self, name: str, wish: RGB, order: tuple[int, ...] = ALL, calm: float | None = None) -> Options:
        """What a role may take: the one colour that was set by hand, else all swatches against a wish."""
        if name in self.by_hand:
            swatch = self.by_hand[name].swatch
            return Options([swatch], np.array([relative_luminance(swatch.rgb) + 0.05]), np.zeros(1), True)
        return self.costs.options(oklab(wish), order, calm)

    def fills(self, name: str, wish: RGB) -> Options:
        """What a fill may take: pure black and white only where no other fill has an ink."""
        return self.options(name, wish) if name in self.by_hand else self.costs.fills(wish)

    def texts(
        self, name: str, fills: Options, mix: float = 0.0, order: tuple[int, ...] = ALL, calm: float = CALM_TEXT
    ) -> Texts:
        """A text that stands on fills and is wanted in one of the two ends, with a share of the other in it."""
        made = self.costs.texts(self.both, mix, order, calm, self.text, self.forbidden)
        if name in self.by_hand:
            only = self.options(name, self.back)
            return Texts(fills, only, only, self.both, self.text, self.forbidden)
        if fills.by_hand:
            return Texts(fills, made.light, made.dark, self.both, self.text, self.forbidden)
        return made

    def on(self, options: Options, background: RGB, required: float) -> Floats:
        """What options cost on a colour, infinite where they do not pass there or the guideline rules them out."""
        costs = options.cost + self.seen(options, background, required)
        if self.forbidden:
            banned = {ink for ink, ground in self.forbidden if ground == background}
            costs += bars(np.array([swatch.rgb not in banned for swatch in options.swatches]))
        return costs

    def favoured(self, options: Options, background: RGB) -> Floats:
        """Added to the costs of a text: what the guideline asks for on a colour goes before all else that passes."""
        inks = {ink for ink, ground in self.wanted if ground == background}
        return np.array([-WANTED if swatch.rgb in inks else 0.0 for swatch in options.swatches]) if inks else np.zeros(1)

    def seen(self, options: Options, background: RGB, required: float) -> Floats:
        """Added to costs: infinite where options do not pass on a colour."""
        if not options.by_hand:
            return self.costs.passing(background, required)
        return bars(against(options.lifted, relative_luminance(background)) >= required)

    def first_apart(self, fills: Options, costs: Floats, least: float) -> int | None:
        """The index of the fill of least cost that is seen beside the ground; None where there is none. One that was set
        by hand is taken as it is."""
        for index in ascending(costs):
            if fills.by_hand or difference(fills.swatches[index].rgb, self.back) >= least:
                return index
        return None

    def seen_apart(self, fills: Options, least: float) -> Floats:
        """Added to costs: infinite for fills that are not seen beside the ground."""
        if fills.by_hand:
            return np.zeros(len(fills.swatches))
        return bars(self.costs.apart_from(self.back) >= least)

    def beside(self, first: Options, second: Options, required: float) -> Floats:
        """Added to costs, shape (m, n): infinite where two that are seen beside each other do not pass together."""
        if not (first.by_hand or second.by_hand):
            return self.costs.barred(required)
        return bars(between(first, second) >= required)

    def solve(
        self, name: str, wish: RGB, required: float, order: tuple[int, ...] = ALL, calm: float | None = None,
        on: RGB | None = None,
    ) -> Swatch | None:  # fmt: skip
        """The colour of a role that constrains no other; None where nothing passes."""
        options, back = self.options(name, wish, order, calm), on or self.back
        costs = self.on(options, back, required)
        return best(options, costs + self.favoured(options, back) if name in _READ else costs)

    def least_bad(self, background: RGB) -> Swatch:
        """The swatch with most contrast, for where nothing passes."""
        ratios = against(self.costs.whole.lifted, relative_luminance(background))
        return self.costs.swatches[int(np.argmax(ratios))]


def moved(rgb: RGB, by: float) -> RGB | None:
    """The colour with `by` more OKLCH lightness; None where that leaves the scale, or is pure black or white."""
    if not 0.04 <= oklab(rgb)[0] + by <= 0.99:
        return None
    made = lightened(rgb, by)
    return None if made in (BLACK, WHITE) else made


def shifts(rest: RGB, away_from: RGB, wanted: float) -> Iterator[RGB]:
    """Colours for a state, those nearest to the wanted move first: away from another colour, and at a cost towards it."""
    away = -1 if oklab(away_from)[0] > oklab(rest)[0] else 1
    for _, move, sign in _moves(wanted):
        trial = moved(rest, sign * away * move)
        if trial is not None:
            yield trial


@cache
def _moves(wanted: float) -> list[tuple[float, float, int]]:
    steps = [(abs(m - wanted) + (0 if sign > 0 else TOWARDS), m, sign) for m in MOVES for sign in (1, -1)]
    return sorted(steps, key=lambda step: (step[0], -step[2], step[1]))


def apart(rgb: RGB, others: Iterable[RGB], least: float = STATE_APART) -> bool:
    """Whether a colour is seen beside each of the others."""
    for other in others:  # noqa: SIM110 - asked hundreds of times for every ground; all() takes half as long again
        if difference(rgb, other) < least:
            return False
    return True


def passes(ink: RGB, background: RGB, required: float) -> bool:
    return contrast_ratio(ink, background) >= required


def made_for_here(rgb: RGB, label: str) -> Swatch:
    """A colour that was computed for one place."""
    return Swatch("", label, rgb, SIGNAL)
