"""How the site's photographs are treated: in one colour, in two of the brand's, tinted, or as they are.

The same arithmetic as the style sheet asks of browsers, in eight-bit sRGB. Sources: grayscale() and contrast() of Filter Effects
1, section 6 (luminance coefficients 0.2126, 0.7152, 0.0722); the blend modes multiply, lighten and color of Compositing and
Blending 1, section 10.
"""

from dataclasses import dataclass
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from formulon.core.color.srgb import RGB

Kind = Literal["natural", "duotone", "tint", "monochrome"]
CONTRAST = 1.08  # of a duotone's greys, so that both colours are reached
TINT = 0.6  # how much of a tint is laid on
_GREY = np.array([0.2126, 0.7152, 0.0722])
_LUM = np.array([0.3, 0.59, 0.11])  # Compositing and Blending 1, 10.2, Lum()


@dataclass(frozen=True, slots=True)
class Treatment:
    """`shadow` and `highlight` are the colours of a duotone, `tint` that of a tint."""

    kind: Kind = "natural"
    shadow: RGB = (0, 0, 0)
    highlight: RGB = (255, 255, 255)
    tint: RGB = (0, 0, 0)


def treated(pixels: NDArray[np.uint8], how: Treatment) -> NDArray[np.uint8]:
    """Opaque eight-bit colours, shape (..., 3), as they are drawn under a treatment."""
    if how.kind == "natural":
        return pixels
    plain = pixels / 255
    if how.kind == "tint":
        mixed = plain * (1 - TINT) + _colored(plain, np.array(how.tint) / 255) * TINT
    else:
        grey = (plain @ _GREY)[..., None]
        if how.kind == "monochrome":
            mixed = np.broadcast_to(grey, plain.shape)
        else:
            grey = np.clip((grey - 0.5) * CONTRAST + 0.5, 0, 1)
            mixed = np.maximum(grey * (np.array(how.highlight) / 255), np.array(how.shadow) / 255)
    return np.rint(np.clip(mixed, 0, 1) * 255).astype(np.uint8)


def _colored(backdrop: NDArray[np.float64], source: NDArray[np.float64]) -> NDArray[np.float64]:
    """The blend mode color: the source's hue and saturation with the backdrop's luminosity."""
    shift = backdrop @ _LUM - source @ _LUM
    made = source + shift[..., None]
    light = (made @ _LUM)[..., None]
    low, high = made.min(axis=-1, keepdims=True), made.max(axis=-1, keepdims=True)
    with np.errstate(divide="ignore", invalid="ignore"):
        made = np.where(low < 0, light + (made - light) * light / (light - low), made)
        return np.asarray(np.where(high > 1, light + (made - light) * (1 - light) / (high - light), made))
