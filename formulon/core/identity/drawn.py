"""Whether a picture of a format with losses is drawn in a few flat colours, as marks are, or is a photograph.

Losses blur edges and spread colours over blocks of 8 or 16 pixels (ITU-T T.81), which at 64 px is most of a mark; so only what is even is
asked. A mark stands on an even ground, its even areas are of a few colours, and between them lie edges; in a photograph there is hardly an
even edge around, or what is even goes through many colours.
"""

import numpy as np
import numpy.typing as npt

from formulon.core.identity.pixels import Pixels, Share, dominant_colors

_SIDE = 256  # px; larger pictures are averaged down to it, which takes their noise away
_GROUND, _EDGES = (
    14,
    0.8,
)  # steps of eight bits within which the edge of the picture is even, and the share of it that has to be
_EVEN, _AWAY, _NEAR = (
    26,
    24,
    14,
)  # steps: of neighbours in even areas, from the ground to what is drawn, and to one of the few colours
_FEW, _COVERED = 6, 0.9
_THIN = 0.012  # share of the picture that has to be even besides the ground for its colours to be told
_LINES = 0.4  # share of the picture that thin lines take at most
_LEAST, _APART = 0.004, 40  # share of what is drawn, and steps between it and the ground


def drawn_flat(pixels: Pixels) -> list[Share] | None:
    """The colours of a picture, largest first, where it is a mark by how it is drawn; None for photographs."""
    small = _averaged(pixels)[..., :3].astype(np.int64)
    edge = np.concatenate([small[0], small[-1], small[:, 0], small[:, -1]])
    ground = np.median(edge, axis=0)
    if (np.abs(edge - ground).max(1) <= _GROUND).mean() < _EDGES:
        return None
    away = np.abs(small - ground).max(-1)
    drawn = away > _AWAY
    if drawn.mean() < _LEAST or np.percentile(away[drawn], 90) < _APART:
        return None
    even = _range(small) <= _EVEN
    inside = drawn & even
    if inside.mean() < _THIN:  # thin lines have no even areas
        return _colors(small[even | drawn]) if drawn.mean() <= _LINES and _one_ink(small[drawn], ground) else None
    shares = dominant_colors(_as_picture(small[inside]))[:_FEW]
    nearest = np.abs(small[inside][:, None] - np.array([one.rgb for one in shares])[None]).max(-1).min(1)
    return _colors(small[even]) if (nearest <= _NEAR).mean() >= _COVERED else None


def _averaged(pixels: Pixels) -> Pixels:
    step = max(1, max(pixels.shape[:2]) // _SIDE)
    if step == 1:
        return pixels
    height, width = (size // step * step for size in pixels.shape[:2])
    parts = pixels[:height, :width].reshape(height // step, step, width // step, step, pixels.shape[2])
    return np.asarray(parts.mean((1, 3)).round().astype(np.uint8))


def _range(small: npt.NDArray[np.int64]) -> npt.NDArray[np.int64]:
    """How far each pixel and those around it differ in any channel."""
    around = np.pad(small, ((1, 1), (1, 1), (0, 0)), mode="edge")
    height, width = small.shape[:2]
    parts = np.stack([around[y : y + height, x : x + width] for y in range(3) for x in range(3)])
    return np.asarray((parts.max(0) - parts.min(0)).max(-1))


def _one_ink(drawn: npt.NDArray[np.int64], ground: npt.NDArray[np.float64]) -> bool:
    """Whether all that is drawn is more or less of one ink on the ground."""
    away = drawn - ground
    strong = away[np.abs(away).max(1) >= _APART]
    if not len(strong):
        return False
    unit = strong / np.linalg.norm(strong, axis=1, keepdims=True)
    return bool((unit @ np.median(unit, axis=0) >= 0.9).mean() >= 0.85)


def _as_picture(colors: npt.NDArray[np.int64]) -> Pixels:
    made = np.full((1, len(colors), 4), 255, dtype=np.uint8)
    made[0, :, :3] = colors
    return made


def _colors(held: npt.NDArray[np.int64]) -> list[Share]:
    return dominant_colors(_as_picture(held))[:_FEW]
