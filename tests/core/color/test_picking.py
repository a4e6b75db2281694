"""Picking: tracks and their verdicts, just noticeable steps, seeded alternatives, and colours from words."""

import pytest
from coloraide import Color
from hypothesis import given
from hypothesis import strategies as st

from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.moods import COUNT, MOODS, propose
from formulon.core.color.oklab_scalar import oklch
from formulon.core.color.picking import AXES, MOST_CHROMA, NOTICED, another, noticeably, track
from formulon.core.color.srgb import RGB, to_hex

RGBS = st.tuples(*[st.integers(0, 255)] * 3)


@given(RGBS, RGBS, st.sampled_from([0.0, 3.0, 4.5, 7.0]))
def test_a_track_says_of_every_stop_whether_it_passes(rgb: RGB, background: RGB, required: float) -> None:
    for axis in AXES:
        made = track(axis, oklch(rgb), background, required)
        assert len(made.colors) == len(made.passes) and made.low == 0
        for color, passes in zip(made.colors, made.passes, strict=True):
            assert passes == (contrast_ratio(color, background) >= required)
    ends = track("lightness", oklch(rgb), background, required).colors
    assert ends[0] == (0, 0, 0) and ends[-1] == (255, 255, 255)


def test_no_color_of_srgb_has_more_chroma_than_the_track() -> None:
    corners = [(r, g, b) for r in (0, 255) for g in (0, 255) for b in (0, 255)]
    assert max(Color(to_hex(rgb)).convert("oklch")["chroma"] for rgb in corners) < MOST_CHROMA


@given(RGBS, st.booleans())
def test_a_step_is_just_noticed(rgb: RGB, lighter: bool) -> None:
    made = noticeably(rgb, lighter)
    if made in ((0, 0, 0), (255, 255, 255)):
        return
    delta = Color(to_hex(rgb)).delta_e(to_hex(made), method="2000")
    assert NOTICED - 0.01 <= delta < NOTICED + 1.5  # eight bits leave gaps
    assert (oklch(made)[0] > oklch(rgb)[0]) == lighter


def test_a_step_of_the_demo_s_night() -> None:
    """Exact values are never rounded on the way: the step starts from #1B2147 itself."""
    darker, lighter = noticeably((0x1B, 0x21, 0x47), False), noticeably((0x1B, 0x21, 0x47), True)
    for made in (darker, lighter):
        assert Color("#1B2147").delta_e(to_hex(made), method="2000") == pytest.approx(1.0, abs=0.35)


@given(st.lists(RGBS, max_size=5), RGBS, st.integers(0, 10_000))
def test_another_passes_and_is_the_same_for_the_same_seed(brand: list[RGB], background: RGB, seed: int) -> None:
    made = another(brand, background, 4.5, seed)
    assert contrast_ratio(made, background) >= 4.5
    assert made == another(brand, background, 4.5, seed)


def test_other_seeds_give_others() -> None:
    brand = [(27, 33, 71), (242, 169, 59)]
    assert len({another(brand, (246, 241, 231), 4.5, seed) for seed in range(20)}) >= 15


@pytest.mark.parametrize("word", MOODS)
def test_a_word_gives_colors_of_its_region(word: str) -> None:
    mood = MOODS[word]
    for seed in range(4):
        found = propose(word, seed)
        assert found.known == [word] and found.unknown == [] and len(found.colors) == COUNT
        for rgb in found.colors:
            lightness, chroma, hue = oklch(rgb)
            assert mood.lightness[0] - 0.03 <= lightness <= mood.lightness[1] + 0.03
            assert chroma <= mood.chroma[1] + 0.01  # less where sRGB ends
            if mood.hue and chroma > 0.03:
                middle, half = sum(mood.hue) / 2, (mood.hue[1] - mood.hue[0]) / 2
                assert abs((hue - middle + 180) % 360 - 180) <= half + 6


def test_words_meet_and_unknown_ones_are_named() -> None:
    found = propose("Cool and calm, but blorpy", 3)
    assert found.known == ["cool", "calm"] and found.unknown == ["blorpy"]
    assert found == propose("cool and calm, but blorpy", 3) != propose("cool and calm, but blorpy", 4)
    assert propose("").colors == [] and propose("blorpy").unknown == ["blorpy"]
