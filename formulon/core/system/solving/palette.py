"""The colours that the solver may use, in the classes in which it prefers them."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from formulon.core.color.contrast import luminances
from formulon.core.color.oklab import rgb_to_oklab
from formulon.core.color.oklab_scalar import oklch
from formulon.core.color.parse import ParsedColor, parse_color
from formulon.core.color.ramps import ramps
from formulon.core.color.srgb import RGB, Floats
from formulon.core.system.solving.search import EXACT, NEUTRAL, PURE, RAMP, Swatch

BLACK, WHITE = (0, 0, 0), (255, 255, 255)
_DEFAULT_TINT: RGB = (96, 100, 108)


class Exact(NamedTuple):
    """What the solver needs to know of a brand's colour: a plain value, so that it can be a key."""

    id: str
    name: str
    value: str

    @property
    def parsed(self) -> ParsedColor:
        return parse_color(self.value)


@dataclass(frozen=True, slots=True, eq=False)
class Palette:
    """All swatches of one brand, as plain data. Their order is fixed, so that ties are broken the same each time. Arrays are by
    swatch, shapes (n,) or (n, 3)."""

    brand: tuple[Swatch, ...]
    ramps: Mapping[str, Mapping[int, RGB]]  # by id of a brand colour and step
    neutral: Mapping[int, RGB]
    swatches: tuple[Swatch, ...]
    by_reference: Mapping[str, Swatch]
    rgb: NDArray[np.int_]
    lab: Floats
    luminance: Floats
    kind: NDArray[np.int_]
    chroma: Floats

    def get(self, reference: str) -> Swatch | None:
        """The swatch that a wire leads to; an exact colour's own ramp step is the exact colour."""
        found = self.by_reference.get(reference)
        name, _, step = reference.partition("/")
        if found is None and step and name in self.ramps and int(step) in self.ramps[name]:
            return self.by_reference[name]
        return found


def palette_of(colors: Sequence[Exact], pins: Mapping[str, RGB] | None = None) -> Palette:
    """The palette of brand colours. `pins` are ramp and neutral steps that were fixed by hand ("lamp/200", "neutral/700")."""
    pins = pins or {}
    brand = tuple(Swatch(c.id, c.name, c.parsed.rgb, EXACT, f"brand/{c.id}") for c in colors)
    swatches = list(brand)
    exact = [swatch.rgb for swatch in brand]
    series, greys = ramps(exact, max(exact, key=_tinting, default=_DEFAULT_TINT))
    own = dict(zip([s.reference for s in brand], series, strict=True))
    for swatch in brand:
        ramp = own[swatch.reference]
        if pins:
            ramp |= {step: pins[f"{swatch.reference}/{step}"] for step in ramp if f"{swatch.reference}/{step}" in pins}
        for step, rgb in ramp.items():
            if rgb != swatch.rgb and rgb not in (BLACK, WHITE):
                reference = f"{swatch.reference}/{step}"
                swatches.append(Swatch(reference, f"{swatch.label} {step}", rgb, RAMP, f"ramp/{reference}"))
    neutral = {step: pins.get(f"neutral/{step}", rgb) for step, rgb in greys.items()}
    swatches += [Swatch(f"neutral/{step}", f"Neutral {step}", rgb, NEUTRAL, f"neutral/{step}") for step, rgb in neutral.items()]
    swatches += [Swatch("white", "White", WHITE, PURE), Swatch("black", "Black", BLACK, PURE)]
    every = np.array([swatch.rgb for swatch in swatches])
    lab = rgb_to_oklab(every)
    return Palette(
        brand, own, neutral, tuple(swatches), {swatch.reference: swatch for swatch in swatches}, every, lab,
        luminances(every), np.array([swatch.kind for swatch in swatches]), np.hypot(lab[:, 1], lab[:, 2]),
    )  # fmt: skip


def _tinting(rgb: RGB) -> float:
    """How well a colour tints the neutral: dark and coloured ones best."""
    lightness, chroma, _ = oklch(rgb)
    return chroma * (1.2 - lightness)
