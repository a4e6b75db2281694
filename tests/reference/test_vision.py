"""Dichromacies against colour-science; array ΔE2000 against the published pairs and the single form."""

import json
from pathlib import Path

import colour
import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from formulon.core.color.contrast import relative_luminance
from formulon.core.color.difference import difference, differences, labs
from formulon.core.color.vision import DICHROMACIES, MATRICES, VISIONS, Vision, lab_seen, seen, seen_color

DATA = Path(__file__).parent / "data"
# What colour-science says of the paper's own approximation of tritanopia.
pytestmark = pytest.mark.filterwarnings("ignore:[^!]*shift paradigm:Warning")
RGB = st.tuples(*[st.integers(0, 255)] * 3)


@pytest.mark.parametrize(
    ("vision", "theirs"), [("protanopia", "Protanomaly"), ("deuteranopia", "Deuteranomaly"), ("tritanopia", "Tritanomaly")]
)
def test_matrices_are_those_of_machado_2009(vision: Vision, theirs: str) -> None:
    """colour-science carries the paper's tables, under the names of the milder forms, severity 1."""
    np.testing.assert_allclose(MATRICES[vision], colour.matrix_cvd_Machado2009(theirs, 1.0), atol=1e-6)


def test_simulation_is_done_on_linear_values() -> None:
    dice = np.random.default_rng(3)
    for rgb in dice.integers(0, 256, (200, 3)):
        linear = colour.cctf_decoding(rgb / 255, function="sRGB")
        for vision, theirs in zip(DICHROMACIES, ("Protanomaly", "Deuteranomaly", "Tritanomaly"), strict=True):
            wanted = np.clip(colour.matrix_cvd_Machado2009(theirs, 1.0) @ linear, 0, 1)
            np.testing.assert_allclose(seen(rgb, vision) / 255, colour.cctf_encoding(wanted, function="sRGB"), atol=2e-4)


@given(RGB)
def test_one_color_in_plain_floats_is_that_of_the_arrays(rgb: tuple[int, int, int]) -> None:
    for vision in VISIONS:
        np.testing.assert_allclose(lab_seen(rgb, vision), labs(seen(np.array(rgb), vision)), atol=1e-4)


def test_red_and_green_come_together_without_red_or_green_cones() -> None:
    """Two colours of one lightness that differ by red and green alone: the textbook case."""
    red, green = (200, 80, 60), (118, 124, 60)
    for vision in ("protanopia", "deuteranopia"):
        assert difference(seen_color(red, vision), seen_color(green, vision)) < 0.45 * difference(red, green)


@given(RGB)
def test_greys_keep_their_luminance_in_greyscale(rgb: tuple[int, int, int]) -> None:
    grey = seen_color(rgb, "greyscale")
    assert grey[0] == grey[1] == grey[2]
    # Eight bits allow half a step of the encoded grey.
    low, high = max(0, grey[0] - 1), min(255, grey[0] + 1)
    assert relative_luminance((low,) * 3) <= relative_luminance(rgb) <= relative_luminance((high,) * 3)


def test_arrays_of_delta_e_on_the_published_pairs() -> None:
    pairs = json.loads((DATA / "sharma-2005.json").read_text())["pairs"]
    first, second = np.array([p["first"] for p in pairs]), np.array([p["second"] for p in pairs])
    np.testing.assert_allclose(differences(first, second), [p["delta_e"] for p in pairs], atol=5e-5)


@given(RGB, RGB)
def test_arrays_and_single_colors_agree(a: tuple[int, int, int], b: tuple[int, int, int]) -> None:
    assert float(differences(labs(np.array(a)), labs(np.array(b)))) == pytest.approx(difference(a, b), abs=1e-9)
