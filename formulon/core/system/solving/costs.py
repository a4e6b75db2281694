"""What the swatches of a palette cost in every wish that grounds have of them, remembered within bounds."""

from collections.abc import Iterable
from typing import TypeVar

import numpy as np

from formulon.core.color.contrast import relative_luminance
from formulon.core.color.difference import differences, labs, rgb_to_lab
from formulon.core.color.oklab_scalar import mixed, oklab
from formulon.core.color.srgb import RGB, Floats
from formulon.core.system.solving.palette import Palette
from formulon.core.system.solving.search import (
    ALL,
    FAR,
    LAST,
    NEUTRAL,
    PURE,
    Ints,
    Options,
    against,
    bars,
    between,
    rank_cost,
    rank_costs,
)
from formulon.core.system.solving.texts import Pairs, Texts

_Wish = tuple[tuple[float, float, float], tuple[int, ...], float | None]  # OKLab, order of classes, bound on chroma
_MOST = 512  # entries that are remembered of each kind: a resolution asks for some hundred
_Key = TypeVar("_Key")
_Value = TypeVar("_Value")


class Kept(dict[_Key, _Value]):
    """A dictionary that forgets its oldest half when it is full. Reading costs nothing more."""

    def __init__(self, most: int = _MOST) -> None:
        super().__init__()
        self.most = most

    def __setitem__(self, key: _Key, value: _Value) -> None:
        if len(self) >= self.most:
            for old in list(self)[: self.most // 2]:
                del self[old]
        super().__setitem__(key, value)


class Costs:
    """The costs of all swatches of a palette, see search.py. What grounds ask alike is worked out once."""

    def __init__(self, palette: Palette) -> None:
        self.palette = palette
        self.swatches = palette.swatches
        self.whole = Options(palette.swatches, palette.luminance + 0.05, np.zeros(len(palette.swatches)))
        self._lab = np.ascontiguousarray(palette.lab.T)
        self._place = {swatch.rgb: i for i, swatch in enumerate(palette.swatches)}
        self._apart: Kept[RGB, Floats] = Kept()
        self._passing: Kept[tuple[RGB, float], Floats] = Kept()
        self._barred: Kept[float, Floats] = Kept(16)  # (n, n) each
        self._greys: Kept[RGB, tuple[Ints, Floats]] = Kept()
        self._fills: Kept[RGB, Options] = Kept()
        self._texts: Kept[tuple[object, ...], Texts] = Kept(64)
        self._options: Kept[_Wish, Options] = Kept()
        self._weights: Kept[tuple[tuple[int, ...], float | None], Floats] = Kept()

    def weights(self, order: tuple[int, ...], calm: float | None) -> Floats:
        """The cost of every swatch by its rank alone, see search.py. Kept, since few kinds of wishes exist."""
        key = order, calm
        if key not in self._weights:
            self._weights[key] = rank_costs(self.palette.kind, self.palette.chroma, order, calm)
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
            self._apart[ground] = differences(np.array(rgb_to_lab(ground)), labs(self.palette.rgb))
        return self._apart[ground]

    def greys(self, near: RGB) -> tuple[Ints, Floats]:
        """The indices of the neutral steps and of black and white, with costs of the third rank, against a colour to be near
        to. Kept, since the fields of every ground ask."""
        if near not in self._greys:
            rest = np.flatnonzero((self.palette.kind == NEUTRAL) | (self.palette.kind == PURE))
            costs = self.options(oklab(near), (NEUTRAL,)).cost[rest]
            self._greys[near] = rest, costs - np.where(self.palette.kind[rest] == NEUTRAL, rank_cost(0) - rank_cost(2), -LAST)
        return self._greys[near]

    def fills(self, wish: RGB) -> Options:
        """All swatches as fills: pure black and white only where no other has an ink. Kept."""
        if wish not in self._fills:
            options = self.options(oklab(wish), ALL)
            self._fills[wish] = options._replace(cost=options.cost + np.where(self.palette.kind == PURE, LAST, 0.0))
        return self._fills[wish]

    def texts(
        self,
        both: tuple[RGB, RGB],
        mix: float,
        order: tuple[int, ...],
        calm: float | None,
        required: float,
        forbidden: Pairs,
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
            for key, cost in zip(keys, costs, strict=True):
                self._options[key] = Options(self.swatches, self.whole.lifted, cost)
