"""The colours that the solver may use, in the classes in which it prefers them, and the search itself."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cache, cached_property

import numpy as np

from formulon.core.color.contrast import luminances, relative_luminance
from formulon.core.color.oklab import oklch_to_rgb, rgb_to_oklab
from formulon.core.color.oklab_scalar import oklch
from formulon.core.color.ramps import STEPS, neutral_ramp, ramps
from formulon.core.color.srgb import RGB, Floats
from formulon.core.system.identity import BrandColor

EXACT, RAMP, NEUTRAL, PURE, SIGNAL = range(5)
CLASS_NAMES = ("exact", "ramp", "neutral", "pure", "signal")
BLACK, WHITE = (0, 0, 0), (255, 255, 255)
# Hues of the three signals in OKLCH degrees and their chroma: common practice, green, amber and red.
SIGNALS = {"success": (150.0, 0.13), "warning": (70.0, 0.13), "error": (26.0, 0.18)}
_DEFAULT_TINT: RGB = (96, 100, 108)


@dataclass(frozen=True, slots=True)
class Swatch:
    """One usable colour: `reference` is what a wire writes, `label` what people read."""

    reference: str
    label: str
    rgb: RGB
    kind: int


class Palette:
    """All swatches of one brand, with arrays for the search. Order is fixed, so ties are broken the same each time."""

    def __init__(self, colors: Sequence[BrandColor]) -> None:
        self.brand = [Swatch(c.id, c.name, c.parsed.rgb, EXACT) for c in colors]
        swatches = list(self.brand)
        exact = [swatch.rgb for swatch in self.brand]
        self.ramps = dict(zip([s.reference for s in self.brand], ramps(exact), strict=True))
        for swatch in self.brand:
            for step, rgb in self.ramps[swatch.reference].items():
                if rgb != swatch.rgb and rgb not in (BLACK, WHITE):
                    swatches.append(Swatch(f"{swatch.reference}/{step}", f"{swatch.label} {step}", rgb, RAMP))
        tint = max(exact, key=self._tinting, default=_DEFAULT_TINT)
        self.neutral = neutral_ramp(tint)
        swatches += [Swatch(f"neutral/{step}", f"Neutral {step}", rgb, NEUTRAL) for step, rgb in self.neutral.items()]
        swatches += [Swatch("white", "White", WHITE, PURE), Swatch("black", "Black", BLACK, PURE)]
        self.signals = {name: _signal(hue, chroma) for name, (hue, chroma) in SIGNALS.items()}
        self.swatches = swatches
        self.by_reference = {swatch.reference: swatch for swatch in swatches}
        self.rgb = np.array([swatch.rgb for swatch in swatches])
        self.lab = rgb_to_oklab(self.rgb)
        self.luminance = luminances(self.rgb)
        self.kind = np.array([swatch.kind for swatch in swatches])
        self.chroma = np.hypot(self.lab[:, 1], self.lab[:, 2])

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

    def ratios(self, background: RGB) -> Floats:
        """Contrast ratio of every swatch against one background, shape (n,)."""
        own = relative_luminance(background) + 0.05
        lum = self.luminance + 0.05
        return np.asarray(np.maximum(lum, own) / np.minimum(lum, own))

    def solve(
        self,
        ratios: Floats,
        required: float,
        wish: tuple[float, float, float],
        order: Sequence[int] = (EXACT, RAMP, NEUTRAL, PURE),
        calm: float | None = None,
    ) -> Swatch | None:
        """The swatch in the first class of `order` with one that passes, nearest to `wish` (OKLab) within it.

        `calm` bounds the chroma of what is wanted: classes are first searched within it, then without. Pure black
        and white are last in any case. None where nothing passes.
        """
        passing = ratios >= required
        distance = ((self.lab - wish) ** 2).sum(axis=1)
        rounds = [passing & (self.chroma <= calm), passing] if calm is not None else [passing]
        for allowed in rounds:
            for kind in (k for k in order if k != PURE):
                mask = allowed & (self.kind == kind)
                if mask.any():
                    return self.swatches[int(np.argmin(np.where(mask, distance, np.inf)))]
        mask = passing & (self.kind == PURE)
        return self.swatches[int(np.argmin(np.where(mask, distance, np.inf)))] if mask.any() else None


@cache
def _signal(hue: float, chroma: float) -> dict[int, RGB]:
    lch = np.array([[0.94 - 0.09 * index, chroma * min(1, 0.3 + 0.2 * index), hue] for index in range(9)])
    return dict(zip(STEPS, oklch_to_rgb(lch), strict=True))
