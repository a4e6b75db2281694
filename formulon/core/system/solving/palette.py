"""The colours that the solver may use, in the classes in which it prefers them."""

from collections.abc import Iterable, Mapping, Sequence
from functools import cache, cached_property
from typing import NamedTuple

import numpy as np

from formulon.core.color.contrast import luminances, relative_luminance
from formulon.core.color.difference import differences, labs, rgb_to_lab
from formulon.core.color.oklab import oklch_to_rgb, rgb_to_oklab
from formulon.core.color.oklab_scalar import mixed, oklab, oklch
from formulon.core.color.parse import ParsedColor, parse_color
from formulon.core.color.ramps import STEPS, ramps
from formulon.core.color.srgb import RGB, Floats
from formulon.core.system.solving.search import (
    ALL,
    EXACT,
    FAR,
    LAST,
    NEUTRAL,
    PURE,
    RAMP,
    Ints,
    Options,
    Swatch,
    against,
    bars,
    between,
    rank_cost,
    rank_costs,
)
from formulon.core.system.solving.texts import Forbidden, Texts

BLACK, WHITE = (0, 0, 0), (255, 255, 255)
# Hues of the three signals in OKLCH degrees and their chroma: common practice, green, amber and red.
SIGNALS = {"success": (150.0, 0.13), "warning": (70.0, 0.13), "error": (26.0, 0.18)}
_Wish = tuple[tuple[float, float, float], tuple[int, ...], float | None]  # OKLab, order of classes, bound on chroma
_DEFAULT_TINT: RGB = (96, 100, 108)


class Exact(NamedTuple):
    """What the solver needs to know of a brand's colour: a plain value, so that it can be a key."""

    id: str
    name: str
    value: str

    @property
    def parsed(self) -> ParsedColor:
        return parse_color(self.value)


class Palette:
    """All swatches of one brand, with arrays for the search. Order is fixed, so ties are broken the same each time.

    `pins` are ramp and neutral steps that were fixed by hand ("lamp/200", "neutral/700").
    """

    def __init__(self, colors: Sequence[Exact], pins: Mapping[str, RGB] | None = None) -> None:
        pins = pins or {}
        self.brand = [Swatch(c.id, c.name, c.parsed.rgb, EXACT) for c in colors]
        swatches = list(self.brand)
        exact = [swatch.rgb for swatch in self.brand]
        series, neutral = ramps(exact, max(exact, key=self._tinting, default=_DEFAULT_TINT))
        self.ramps = dict(zip([s.reference for s in self.brand], series, strict=True))
        for swatch in self.brand:
            ramp = self.ramps[swatch.reference]
            if pins:
                ramp |= {step: pins[f"{swatch.reference}/{step}"] for step in ramp if f"{swatch.reference}/{step}" in pins}
            for step, rgb in ramp.items():
                if rgb != swatch.rgb and rgb not in (BLACK, WHITE):
                    swatches.append(Swatch(f"{swatch.reference}/{step}", f"{swatch.label} {step}", rgb, RAMP))
        self.neutral = {step: pins.get(f"neutral/{step}", rgb) for step, rgb in neutral.items()}
        swatches += [Swatch(f"neutral/{step}", f"Neutral {step}", rgb, NEUTRAL) for step, rgb in self.neutral.items()]
        swatches += [Swatch("white", "White", WHITE, PURE), Swatch("black", "Black", BLACK, PURE)]
        self.signals = {name: _signal(hue, chroma) for name, (hue, chroma) in SIGNALS.items()}
        self.swatches = swatches
        self.by_reference = {swatch.reference: swatch for swatch in swatches}
        self._place = {swatch.rgb: i for i, swatch in enumerate(swatches)}
        self.rgb = np.array([swatch.rgb for swatch in swatches])
        self.lab = rgb_to_oklab(self.rgb)
        self._lab = np.ascontiguousarray(self.lab.T)
        self.luminance = luminances(self.rgb)
        self.kind = np.array([swatch.kind for swatch in swatches])
        self.chroma = np.hypot(self.lab[:, 1], self.lab[:, 2])
        self.whole = Options(swatches, self.luminance + 0.05, np.zeros(len(swatches)))
        self._apart: dict[RGB, Floats] = {}
        self._passing: dict[tuple[RGB, float], Floats] = {}
        self._barred: dict[float, Floats] = {}
        self._greys: dict[RGB, tuple[Ints, Floats]] = {}
        self._fills: dict[RGB, Options] = {}
        self._texts: dict[tuple[object, ...], Texts] = {}
        self._options: dict[_Wish, Options] = {}
        self._weights: dict[tuple[tuple[int, ...], float | None], Floats] = {}

    @staticmethod
    def _tinting(rgb: RGB) -> float:
        lightness, chroma, _ = oklch(rgb)
        return chroma * (1.2 - lightness)  # dark and coloured tints best

    @cached_property
    def references(self) -> dict[str, RGB]:
        return {swatch.reference: swatch.rgb for swatch in self.swatches}

    def get(self, reference: str) -> Swatch | None:
        """The swatch that a wire leads to; an exact colour's own ramp step is the exact colour."""
        found = self.by_reference.get(reference)
        name, _, step = reference.partition("/")
        if found is None and step and name in self.ramps and int(step) in self.ramps[name]:
            return self.by_reference[name]
        return found

    def weights(self, order: tuple[int, ...], calm: float | None) -> Floats:
        """The cost of every swatch by its rank alone, see search.py. Kept, since few kinds of wishes exist."""
        key = order, calm
        if key not in self._weights:
            self._weights[key] = rank_costs(self.kind, self.chroma, order, calm)
        return self._weights[key]

    def barred(self, required: float) -> Floats:
        """Infinite where two swatches have less than a ratio, else nothing; (n, n). Kept, since every ground asks."""
        if required not in self._barred:
            self._barred[required] = bars(between(self.whole, self.whole) >= required)
        return self._barred[required]

    def passing(self, background: RGB, required: float) -> Floats:
        """Added to costs, shape (n,): infinite for the swatches that have less than a ratio on a colour. Kept."""
        if background in self._place:
            return np.asarray(self.barred(required)[self._place[background]])
        key = background, required
        if key not in self._passing:
            self._passing[key] = bars(against(self.whole.lifted, relative_luminance(background)) >= required)
        return self._passing[key]

    def apart_from(self, ground: RGB) -> Floats:
        """ΔE2000, shape (n,), of all swatches to a colour. Kept."""
        if ground not in self._apart:
            self._apart[ground] = differences(np.array(rgb_to_lab(ground)), labs(self.rgb))
        return self._apart[ground]

    def greys(self, near: RGB) -> tuple[Ints, Floats]:
        """The indices of the neutral steps and of black and white, with costs of the third rank, against a colour to be near
        to. Kept, since the fields of every ground ask."""
        if near not in self._greys:
            rest = np.flatnonzero((self.kind == NEUTRAL) | (self.kind == PURE))
            costs = self.options(oklab(near), (NEUTRAL,)).cost[rest]
            self._greys[near] = rest, costs - np.where(self.kind[rest] == NEUTRAL, rank_cost(0) - rank_cost(2), -LAST)
        return self._greys[near]

    def fills(self, wish: RGB) -> Options:
        """All swatches as fills: pure black and white only where no other has an ink. Kept."""
        if wish not in self._fills:
            options = self.options(oklab(wish), ALL)
            self._fills[wish] = options._replace(cost=options.cost + np.where(self.kind == PURE, LAST, 0.0))
        return self._fills[wish]

    def texts(
        self,
        both: tuple[RGB, RGB],
        mix: float,
        order: tuple[int, ...],
        calm: float | None,
        required: float,
        forbidden: Forbidden,
    ) -> Texts:
        """A text on all swatches, wanted in either of two ends with a share of the other in it. Kept, since every ground
        asks for the same few."""
        key = both, mix, order, calm, required, forbidden
        if key not in self._texts:
            ends = ((mixed(end, other, mix) if mix else end) for end, other in (both, both[::-1]))
            light, dark = (self.options(oklab(end), order, calm) for end in ends)
            self._texts[key] = Texts(self.whole, light, dark, both, required, forbidden, self.barred(required))
        return self._texts[key]

    def options(self, wish: tuple[float, float, float], order: tuple[int, ...], calm: float | None = None) -> Options:
        """All swatches, with what each costs against a wish in OKLab. Kept."""
        key = wish, order, calm
        if key not in self._options:
            self._work_out([key])
        return self._options[key]

    def prepare(self, wishes: Iterable[tuple[RGB, tuple[int, ...], float | None]]) -> None:
        """Works out the options of several wishes at once, which takes little longer than of one."""
        keys = dict.fromkeys((oklab(wish), order, calm) for wish, order, calm in wishes)
        self._work_out([key for key in keys if key not in self._options])

    def _work_out(self, keys: list[_Wish]) -> None:
        if keys:
            # A row for each of L, a and b: shapes (3, wishes, swatches).
            away = self._lab[:, None] - np.array([wish for wish, _, _ in keys]).T[:, :, None]
            away *= away
            far = np.sqrt(away[0] + away[1] + away[2]) / FAR
            costs = np.array([self.weights(order, calm) for _, order, calm in keys]) + far
            self._options |= {
                key: Options(self.swatches, self.whole.lifted, cost) for key, cost in zip(keys, costs, strict=True)
            }


@cache
def signal_steps() -> tuple[list[RGB], Floats]:
    """The steps of the three signals in a row, and the terms of their contrast ratios (relative luminance and 0.05)."""
    flat = [rgb for hue, chroma in SIGNALS.values() for rgb in _signal(hue, chroma).values()]
    return flat, luminances(flat) + 0.05


@cache
def _signal(hue: float, chroma: float) -> dict[int, RGB]:
    lch = np.array([[0.94 - 0.09 * index, chroma * min(1, 0.3 + 0.2 * index), hue] for index in range(9)])
    return dict(zip(STEPS, oklch_to_rgb(lch), strict=True))
