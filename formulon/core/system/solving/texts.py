"""Text on fills: what a text costs on each colour that may lie under it."""

from functools import cached_property

import numpy as np

from formulon.core.color.contrast import contrast_ratio, relative_luminance
from formulon.core.color.srgb import RGB, Floats
from formulon.core.system.solving.search import Ints, Options, against, bars, between

Pairs = frozenset[tuple[RGB, RGB]]  # of ink and ground


class Texts:
    """A text that is to be read on whatever fill it stands on, and is wanted in the end that contrasts more there.

    `light` and `dark` are the same swatches, wanted in the light and in the dark end of `ends`; `forbidden` are the pairs
    of ink and fill that the guideline rules out; `barred` is infinite where a swatch does not pass on a fill, shape
    (fills, swatches), where that is known.
    """

    def __init__(
        self, fills: Options, light: Options, dark: Options, ends: tuple[RGB, RGB], required: float, forbidden: Pairs,
        barred: Floats | None = None,
    ) -> None:  # fmt: skip
        self.fills, self.light, self.dark, self.ends = fills, light, dark, ends
        self.required, self.forbidden = required, forbidden
        self.swatches = light.swatches
        self.barred = bars(between(fills, light) >= required) if barred is None else barred
        self._place = {swatch.rgb: i for i, swatch in enumerate(fills.swatches)}
        self.floor = float(min(light.cost.min(), dark.cost.min()))  # what it costs at best
        self._on: dict[RGB, Floats] = {}

    @cached_property
    def costs(self) -> Floats:
        """On every one of the fills, shape (fills, swatches); infinite where the text cannot be read."""
        light, dark = (against(self.fills.lifted, relative_luminance(end)) for end in self.ends)
        costs = np.array([self.dark.cost, self.light.cost])[(light >= dark).astype(np.intp)] + self.barred
        for ink, fill in self.forbidden:
            rows = [i for i, swatch in enumerate(self.fills.swatches) if swatch.rgb == fill]
            costs[np.ix_(rows, self._of(ink))] = np.inf
        return np.asarray(costs)

    @cached_property
    def least(self) -> Floats:
        """What the best swatch costs on each of the fills."""
        return np.asarray(self.costs.min(axis=1))

    @cached_property
    def which(self) -> Ints:
        """The index of the best swatch on each of the fills."""
        return np.asarray(self.costs.argmin(axis=1))

    def on(self, fill: RGB) -> Floats:
        """The costs of every swatch on one colour, whether it is one of the fills or not. Kept."""
        if fill not in self._on:
            self._on[fill] = self._costs_on(fill)
        return self._on[fill]

    def _costs_on(self, fill: RGB) -> Floats:
        light, dark = self.ends
        wanted = self.light if contrast_ratio(light, fill) >= contrast_ratio(dark, fill) else self.dark
        if fill in self._place:
            costs = wanted.cost + self.barred[self._place[fill]]
        else:
            costs = wanted.cost + bars(against(self.light.lifted, relative_luminance(fill)) >= self.required)
        for ink, ground in self.forbidden:
            if ground == fill:
                costs[self._of(ink)] = np.inf
        return np.asarray(costs)

    def _of(self, rgb: RGB) -> list[int]:
        return [i for i, swatch in enumerate(self.swatches) if swatch.rgb == rgb]
