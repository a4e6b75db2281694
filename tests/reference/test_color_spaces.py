"""OKLab, OKLCH and ΔE2000 against published values and reference libraries."""

import json
from pathlib import Path

import numpy as np
import pytest
from coloraide import Color
from hypothesis import given
from hypothesis import strategies as st

from formulon.core.color.difference import delta_e_2000, rgb_to_lab
from formulon.core.color.oklab import oklch_to_rgb, rgb_to_oklab
from formulon.core.color.oklab_scalar import oklab, oklch, rgb_of
from formulon.core.color.parse import parse_color
from formulon.core.color.ramps import STEPS, ramp_lch, ramps
from formulon.core.color.srgb import to_hex

DATA = Path(__file__).parent / "data"
RGB = st.tuples(*[st.integers(0, 255)] * 3)

# Published in CSS Color 4's sample code and by Ottosson's post: sRGB primaries in OKLab; also carried by culori.
OKLAB = {
    (255, 255, 255): (1.0, 0.0, 0.0),
    (255, 0, 0): (0.62796, 0.22486, 0.12585),
    (0, 255, 0): (0.86644, -0.23389, 0.17950),
    (0, 0, 255): (0.45201, -0.03246, -0.31153),
}


@pytest.mark.parametrize(("rgb", "lab"), OKLAB.items())
def test_oklab_of_the_primaries(rgb: tuple[int, int, int], lab: tuple[float, float, float]) -> None:
    np.testing.assert_allclose(rgb_to_oklab(np.array(rgb)), lab, atol=1e-4)


def test_oklch_against_coloraide() -> None:
    dice = np.random.default_rng(7)
    for rgb in dice.integers(0, 256, (300, 3)).tolist():
        lightness, chroma, hue = oklch(tuple(rgb))
        theirs = Color(to_hex(tuple(rgb))).convert("oklch").coords(nans=False)
        assert lightness == pytest.approx(theirs[0], abs=2e-4)
        assert chroma == pytest.approx(theirs[1], abs=2e-4)
        if chroma > 0.02:
            assert abs((hue - theirs[2] + 180) % 360 - 180) < 0.3


@given(RGB)
def test_oklch_round_trip_is_exact(rgb: tuple[int, int, int]) -> None:
    assert oklch_to_rgb([oklch(rgb)]) == [rgb]


@given(RGB)
def test_single_colors_are_computed_as_arrays_are(rgb: tuple[int, int, int]) -> None:
    np.testing.assert_allclose(oklab(rgb), rgb_to_oklab(np.array(rgb)), atol=1e-12)
    lightness, chroma, hue = oklch(rgb)
    assert [rgb_of(lightness, chroma * 1.7, hue)] == oklch_to_rgb(np.array([lightness, chroma * 1.7, hue]))


def test_gamut_mapping_keeps_lightness_and_hue() -> None:
    wanted = np.array([[0.7, 0.35, 150.0], [0.5, 0.4, 20.0], [0.9, 0.3, 100.0], [0.35, 0.3, 265.0]])
    for (lightness, _, hue), rgb in zip(wanted, oklch_to_rgb(wanted), strict=True):
        got = oklch(rgb)
        assert got[0] == pytest.approx(lightness, abs=0.004)
        assert abs((got[2] - hue + 180) % 360 - 180) < 1.5


def test_gamut_mapping_against_coloraide() -> None:
    """CSS Color 4, 13.2, without the local clip, which coloraide leaves out at a just noticeable difference of nothing."""
    dice = np.random.default_rng(5)
    wanted = [(dice.uniform(0.05, 0.98), dice.uniform(0.02, 0.4), dice.uniform(0, 360)) for _ in range(400)]
    theirs = [Color("oklch", list(lch)).fit("srgb", method="oklch-chroma", jnd=0).convert("srgb") for lch in wanted]
    for lch, ours, color in zip(wanted, oklch_to_rgb(wanted), theirs, strict=True):
        assert rgb_of(*lch) == ours
        np.testing.assert_allclose(ours, [255 * value for value in color.coords(nans=False)], atol=0.6)


def test_every_step_of_a_ramp_is_mapped_as_coloraide_maps_it() -> None:
    dice = np.random.default_rng(6)
    for rgb in (tuple(one) for one in dice.integers(0, 256, (40, 3)).tolist()):
        anchor, wanted = ramp_lch(rgb)
        (ramp,), _ = ramps([rgb], rgb)
        assert ramp[STEPS[anchor]] == rgb
        for place, (step, lch) in enumerate(zip(STEPS, wanted, strict=True)):
            if place != anchor:
                color = Color("oklch", list(lch)).fit("srgb", method="oklch-chroma", jnd=0).convert("srgb")
                np.testing.assert_allclose(ramp[step], [255 * value for value in color.coords(nans=False)], atol=0.6)


@pytest.mark.parametrize("pair", json.loads((DATA / "sharma-2005.json").read_text())["pairs"])
def test_delta_e_2000_of_the_published_pairs(pair: dict) -> None:
    first, second = tuple(pair["first"]), tuple(pair["second"])
    assert delta_e_2000(first, second) == pytest.approx(pair["delta_e"], abs=5e-5)
    assert delta_e_2000(second, first) == pytest.approx(pair["delta_e"], abs=5e-5)


def test_lab_and_delta_e_against_coloraide() -> None:
    dice = np.random.default_rng(9)
    for a, b in dice.integers(0, 256, (150, 2, 3)).tolist():
        theirs = Color(to_hex(tuple(a))).delta_e(to_hex(tuple(b)), method="2000")
        assert delta_e_2000(rgb_to_lab(tuple(a)), rgb_to_lab(tuple(b))) == pytest.approx(theirs, abs=0.01)


# CSS Color 4's own examples of one colour in many forms, and named colours of its table.
@pytest.mark.parametrize(
    ("text", "value"),
    [
        ("#1B2147", "#1b2147"),
        ("1B2147", "#1b2147"),
        ("#f00", "#ff0000"),
        ("rgb(27 33 71)", "#1b2147"),
        ("rgb(27, 33, 71)", "#1b2147"),
        ("rgb(50% 20% 10%)", "#80331a"),
        ("hsl(120 100% 25%)", "#008000"),
        ("hwb(90 10% 10%)", "#80e61a"),
        ("rebeccapurple", "#663399"),
        ("lab(29.2345% 39.3825 20.0664)", "#7d2329"),
        ("oklch(62.796% 0.25768 29.234)", "#ff0000"),
        ("color(srgb 1 0.5 0)", "#ff8000"),
    ],
)
def test_css_forms(text: str, value: str) -> None:
    assert parse_color(text).hex == value
