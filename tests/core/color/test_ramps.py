"""Ramps: monotone, and the exact colour in its place."""

from itertools import pairwise

from hypothesis import given
from hypothesis import strategies as st

from formulon.core.color.oklab_scalar import oklch
from formulon.core.color.ramps import STEPS, ramps

RGB = st.tuples(*[st.integers(0, 255)] * 3)


@given(RGB)
def test_ramp_is_monotone_and_holds_the_exact_color(rgb: tuple[int, int, int]) -> None:
    (ramp,), _ = ramps([rgb], rgb)
    assert list(ramp) == list(STEPS)
    assert rgb in ramp.values()
    lightness = [oklch(color)[0] for color in ramp.values()]
    assert all(a >= b - 0.004 for a, b in pairwise(lightness))


@given(RGB)
def test_neutral_is_nearly_grey_and_monotone(rgb: tuple[int, int, int]) -> None:
    lightness, chroma, _ = zip(*map(oklch, ramps([], rgb)[1].values()), strict=True)
    assert max(chroma) < 0.03
    assert list(lightness) == sorted(lightness, reverse=True)
