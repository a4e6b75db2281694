"""Treatments of photographs by the formulas of the standards; a browser test holds them to Chromium."""

import numpy as np
import pytest

from formulon.core.color.treatment import Treatment, treated

PIXELS = np.array([[255, 0, 0], [0, 255, 0], [0, 0, 255], [128, 128, 128], [255, 255, 255], [0, 0, 0]], dtype=np.uint8)


def test_natural_changes_nothing() -> None:
    assert treated(PIXELS, Treatment()) is PIXELS


def test_monochrome_takes_the_coefficients_of_filter_effects() -> None:
    """Filter Effects 1: grayscale(1) weighs red 0.2126, green 0.7152, blue 0.0722."""
    grey = treated(PIXELS, Treatment("monochrome"))
    assert (grey == grey[:, :1]).all()
    assert grey[:, 0].tolist() == [54, 182, 18, 128, 255, 0]


def test_a_duotone_runs_from_shadow_to_highlight() -> None:
    made = treated(PIXELS, Treatment("duotone", (27, 33, 71), (246, 241, 231)))
    assert made[5].tolist() == [27, 33, 71] and made[4].tolist() == [246, 241, 231]
    assert (made >= np.array([27, 33, 71])).all()


@pytest.mark.parametrize("tint", [(142, 90, 155), (255, 0, 0), (0, 0, 60)])
def test_a_tint_keeps_luminosity(tint: tuple[int, int, int]) -> None:
    """Compositing and Blending 1: the mode color keeps the luminosity of what lies below, 0.3 R + 0.59 G + 0.11 B."""
    made = treated(PIXELS, Treatment("tint", tint=tint))
    weights = np.array([0.3, 0.59, 0.11])
    assert np.abs(made @ weights - PIXELS @ weights).max() < 2
