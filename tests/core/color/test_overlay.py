"""The overlay that makes a text on a picture readable: against a scan in plain loops, and against what browsers blend."""

import math
import random
from fractions import Fraction
from itertools import pairwise

import numpy as np
import pytest
from coloraide import Color
from hypothesis import given, settings
from hypothesis import strategies as st

from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.overlay import OPACITIES, SHARE, least, measured
from formulon.core.color.srgb import RGB, to_hex

RGBS = st.tuples(*[st.integers(0, 255)] * 3)


def blended(pixel: RGB, overlay: RGB, opacity: float) -> RGB:
    """One pixel under an overlay; halves are rounded up, in whole numbers where the opacity is whole hundredths."""
    part = Fraction(round(opacity * 100), 100) if abs(opacity * 100 - round(opacity * 100)) < 1e-9 else Fraction(opacity)
    r, g, b = (math.floor((1 - part) * p + part * o + Fraction(1, 2)) for p, o in zip(pixel, overlay, strict=True))
    return r, g, b


def plain(pixels: list[RGB], ink: RGB, overlay: RGB, required: float, profile: list[float] | None = None) -> float | None:
    """The first opacity of the scan at which few enough pixels fail, by loops and single colours."""
    for step in range(101):
        strengths = [step / 100 * (1.0 if profile is None else profile[i]) for i in range(len(pixels))]
        low = sum(
            contrast_ratio(ink, blended(pixel, overlay, strength)) < required
            for pixel, strength in zip(pixels, strengths, strict=True)
        )
        if low <= int(SHARE * len(pixels)):
            return step / 100
    return None


@settings(max_examples=60)
@given(st.lists(RGBS, min_size=1, max_size=30), RGBS, RGBS, st.sampled_from([3.0, 4.5, 7.0]))
def test_the_least_opacity_of_a_scan(pixels: list[RGB], ink: RGB, overlay: RGB, required: float) -> None:
    found = least(np.array(pixels, dtype=np.uint8), ink, overlay, required)
    wanted = plain(pixels, ink, overlay, required)
    assert (found.opacity if found else None) == (pytest.approx(wanted) if wanted is not None else None)


def test_along_a_profile() -> None:
    dice = random.Random(3)
    pixels = [(dice.randrange(256), dice.randrange(256), dice.randrange(256)) for _ in range(40)]
    profile = [dice.random() for _ in pixels]
    for ink, overlay in (((255, 255, 255), (0, 0, 0)), ((20, 20, 40), (250, 240, 230))):
        found = least(np.array(pixels, dtype=np.uint8), ink, overlay, 3.0, np.array(profile))
        assert (found.opacity if found else None) == plain(pixels, ink, overlay, 3.0, profile)


def test_the_passing_range_is_not_one_interval() -> None:
    """A grey ink on light pixels passes; under a dark overlay the pixels come near the ink and fail, then fall below it
    and pass again. Bisection would miss the first range."""
    pixels = np.full((100, 3), 250, dtype=np.uint8)
    ink, overlay = (136, 136, 136), (0, 0, 0)
    passing = [measured(pixels, ink, overlay, float(a), 3.0).share <= SHARE for a in OPACITIES]
    turns = [index for index, (a, b) in enumerate(pairwise(passing)) if a != b]
    assert passing[0] and passing[-1] and len(turns) == 2
    found = least(pixels, ink, overlay, 3.0)
    assert found is not None and found.opacity == 0.0
    grey = least(np.full((100, 3), 190, dtype=np.uint8), ink, overlay, 3.0)
    assert grey is not None and grey.opacity > 0.5


def test_five_in_a_thousand_may_fail_and_the_worst_is_told() -> None:
    pixels = np.zeros((1000, 3), dtype=np.uint8)
    pixels[:5] = 255  # five white pixels behind white text
    found = least(pixels, (255, 255, 255), (0, 0, 0), 4.5)
    assert found is not None and found.opacity == 0.0 and found.share == 0.005
    assert found.worst == pytest.approx(1.0) and found.spot in range(5)
    pixels[5] = 255
    stronger = least(pixels, (255, 255, 255), (0, 0, 0), 4.5)
    assert stronger is not None and stronger.opacity > 0.4 and stronger.share <= SHARE


def test_black_over_white_reaches_the_ratio_where_the_formula_says() -> None:
    """White on white under black: the composite of opacity a is the grey 255 (1 - a), and 4.5:1 needs a luminance of
    1.05 / 4.5 - 0.05 = 0.1833, which is #767676 at most (a well-known grey: 4.54:1)."""
    found = least(np.full((10, 3), 255, dtype=np.uint8), (255, 255, 255), (0, 0, 0), 4.5)
    assert found is not None
    assert round(255 * (1 - found.opacity)) <= 0x76 < round(255 * (1 - found.opacity + 0.01))


@settings(max_examples=40)
@given(RGBS, RGBS, st.integers(0, 100))
def test_blending_is_that_of_css(pixel: RGB, overlay: RGB, step: int) -> None:
    """coloraide composes as Compositing and Blending Level 1 does."""
    theirs = Color.layer([Color(to_hex(overlay)).set("alpha", step / 100), Color(to_hex(pixel))], space="srgb").convert("srgb")
    mine = blended(pixel, overlay, step / 100)
    assert max(abs(a - 255 * b) for a, b in zip(mine, theirs.coords(), strict=True)) <= 0.51
