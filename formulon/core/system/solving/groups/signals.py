"""Signals: success, warning and error, out of ramps of their own."""

from collections.abc import Iterator
from functools import cache, lru_cache

import numpy as np

from formulon.core.color.contrast import contrast_ratio, luminances, relative_luminance, shown
from formulon.core.color.difference import difference, differences, labs
from formulon.core.color.oklab import oklch_to_rgb
from formulon.core.color.ramps import STEPS
from formulon.core.color.srgb import RGB, Floats
from formulon.core.color.vision import DICHROMACIES, seen
from formulon.core.system.solving.groups.group import Group
from formulon.core.system.solving.scene import Made, Scene, Solved, made_for_here
from formulon.core.system.solving.search import TONES, against, ascending

# Hues of the three signals in OKLCH degrees and their chroma: common practice, green, amber and red.
SIGNALS = {"success": (150.0, 0.13), "warning": (70.0, 0.13), "error": (26.0, 0.18)}
SIGNALS_APART = 5.0  # least ΔE2000 between two signals as seen under each dichromacy (common practice)
_BY_MIDDLE = sorted(range(9), key=lambda step: (abs(step - 5), step))  # the steps of a signal, the best first


class Signals(Group):
    """Chosen together: each passes; they stay apart under the three dichromacies where that can be had; and each is near the
    middle of its own ramp."""

    def solve(self, scene: Scene, made: Solved) -> Iterator[tuple[str, Made]]:
        flat, lifted = _all_steps()
        passing = tuple((against(lifted, relative_luminance(scene.back)) >= scene.text).tolist())
        free = not any(name in scene.by_hand for name in SIGNALS)
        found, least = _kept_apart(passing) if free else (None, 0.0)
        told = ""
        if found:
            told = f" Least ΔE2000 between the three under dichromacy: {least:.1f}"
            told += "." if least >= SIGNALS_APART else f", below {SIGNALS_APART:g}: give each a sign and words."
        chosen: list[RGB] = []
        for i, name in enumerate(SIGNALS):
            steps = (found[i],) if found else [s for s in _BY_MIDDLE if passing[i * 9 + s]]
            if name in scene.by_hand:
                swatch = scene.by_hand[name].swatch
            elif steps:
                swatch = made_for_here(flat[i * 9 + steps[0]], f"{name.capitalize()} {100 * (steps[0] + 1)}")
            else:
                swatch = scene.solve(name, flat[i * 9 + 5], scene.text, TONES) or scene.least_bad(scene.back)
            ratio = shown(contrast_ratio(swatch.rgb, scene.back))
            same = any(difference(swatch.rgb, other) < SIGNALS_APART for other in chosen)
            chosen.append(swatch.rgb)
            alike = " It is hardly told from another signal here: give each a sign and words." if same else ""
            reason = f"{swatch.label} on {scene.ground.swatch.label} is {ratio}; it needs {scene.text:g}:1.{told}{alike}"
            origin = scene.by_hand[name].origin if name in scene.by_hand else "derived"
            yield name, Made(swatch, origin, reason)


@cache
def ramp_of(signal: str) -> dict[int, RGB]:
    """The steps of a signal's ramp."""
    hue, chroma = SIGNALS[signal]
    lch = np.array([[0.94 - 0.09 * index, chroma * min(1, 0.3 + 0.2 * index), hue] for index in range(9)])
    return dict(zip(STEPS, oklch_to_rgb(lch), strict=True))


@cache
def _all_steps() -> tuple[list[RGB], Floats]:
    """The steps of the three signals in a row, and the terms of their contrast ratios (relative luminance and 0.05)."""
    flat = [rgb for name in SIGNALS for rgb in ramp_of(name).values()]
    return flat, luminances(flat) + 0.05


@lru_cache(maxsize=4096)
def _kept_apart(passing: tuple[bool, ...]) -> tuple[tuple[int, int, int] | None, float]:
    """The steps of the three signals, and the least ΔE2000 between them under dichromacy; None where one has no step that
    passes. Kept, since the same steps pass on many grounds."""
    cost, kept_apart = _table()
    masks = np.array(passing).reshape(3, 9)
    if not masks.any(axis=1).all():
        return None, 0.0
    allowed = masks[0][:, None, None] & masks[1][None, :, None] & masks[2][None, None, :]
    index = next(ascending(np.where(allowed & (kept_apart >= SIGNALS_APART), cost, np.inf)), None)
    if index is None:
        # The most that can be had: nearest to apart first, then nearest to the middles.
        index = int(np.argmax(np.where(allowed, kept_apart, -1)))
    triple = (index // 81, index // 9 % 9, index % 9)
    return triple, float(kept_apart[triple])


@cache
def _table() -> tuple[Floats, Floats]:
    """Of three signal ramps of nine steps: costs and least ΔE2000 under dichromacy, both (9, 9, 9)."""
    colors = np.array(_all_steps()[0])
    steps = np.abs(np.arange(9) - 5) / 9
    cost = steps[:, None, None] + steps[None, :, None] + steps[None, None, :]
    least = np.full((27, 27), np.inf)
    for vision in DICHROMACIES:
        lab = labs(seen(colors, vision))
        least = np.minimum(least, differences(lab[:, None], lab[None, :]))
    first, second, third = least[0:9, 9:18], least[0:9, 18:27], least[9:18, 18:27]
    apart_by = np.minimum(np.minimum(first[:, :, None], second[:, None, :]), third[None, :, :])
    return cost, apart_by
