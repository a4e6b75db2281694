"""Light work on photographs: held against searches, published definitions and pictures whose every pixel is known."""

import math

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from PIL import Image, ImageDraw

from formulon.core.color.srgb import to_linear_wcag
from formulon.core.site.picture_edits import Crop, Edits, NotPlain, edited, inside


def gradient(width: int = 80, height: int = 60) -> Image.Image:
    """A picture of which no two pixels are alike."""
    x, y = np.meshgrid(np.arange(width), np.arange(height))
    return Image.fromarray(np.dstack([x * 3, y * 4, (x + y) % 256]).astype(np.uint8), "RGB")


def pixels(picture: Image.Image) -> np.ndarray:  # type: ignore[type-arg]
    return np.asarray(picture.convert("RGBA"))


@pytest.mark.parametrize(("turn", "times"), [(90, 3), (180, 2), (270, 1)])
def test_it_turns_clockwise_and_back_to_the_byte(turn: int, times: int) -> None:
    made = edited(gradient(), Edits(turn=turn))  # type: ignore[arg-type]
    assert (pixels(made) == np.rot90(pixels(gradient()), times)).all()
    back = edited(made, Edits(turn=360 - turn))  # type: ignore[arg-type]
    assert (pixels(back) == pixels(gradient())).all()


@given(width=st.integers(20, 400), height=st.integers(20, 400), degrees=st.floats(-15, 15).filter(lambda one: abs(one) > 0.2))
def test_what_is_left_when_it_is_straightened_has_no_empty_corner_and_is_the_largest(
    width: int, height: int, degrees: float
) -> None:
    """Against a search over rectangles: none that lies within the turned picture is larger by more than its steps."""
    wide, high = inside(width, height, degrees)
    assert _within(wide, height=high, of=(width, height), degrees=degrees, slack=1e-6)
    best = max(
        (w * _highest(w, (width, height), degrees) for w in np.linspace(1, width, 200)),
        default=0.0,
    )
    assert wide * high >= best * (1 - 1e-6) - 1e-6


def _within(width: float, height: float, of: tuple[float, float], degrees: float, slack: float = 0.0) -> bool:
    """Whether the corners of a rectangle lie within a picture that was turned around the same middle."""
    sine, cosine = math.sin(math.radians(degrees)), math.cos(math.radians(degrees))
    for x, y in ((width, height), (width, -height)):
        across, down = abs(x * cosine + y * sine), abs(-x * sine + y * cosine)
        if across > of[0] + slack or down > of[1] + slack:
            return False
    return True


def _highest(width: float, of: tuple[float, float], degrees: float) -> float:
    low, high = 0.0, of[1]
    for _ in range(60):
        middle = (low + high) / 2
        low, high = (middle, high) if _within(width, middle, of, degrees) else (low, middle)
    return low


def test_a_straightened_picture_shows_nothing_that_was_not_in_it() -> None:
    made = edited(Image.new("RGB", (300, 200), (200, 40, 40)), Edits(straighten=7.5))
    assert (pixels(made)[..., 3] == 255).all() and (abs(pixels(made)[..., :3].astype(int) - [200, 40, 40]) <= 1).all()
    assert made.width < 300 and made.height < 200


@pytest.mark.parametrize("stops", [-1.0, 0.5, 1.0])
def test_a_stop_doubles_the_light(stops: float) -> None:
    """In linear light, as WCAG 2.2 defines it for sRGB; white stays white."""
    grey = Image.new("RGB", (4, 4), (90, 60, 30))
    made = pixels(edited(grey, Edits(exposure=stops)))[0, 0, :3]
    wanted = to_linear_wcag(np.array([90, 60, 30])) * 2**stops
    assert np.allclose(to_linear_wcag(made), wanted, atol=0.006)
    assert (pixels(edited(Image.new("RGB", (2, 2), (255, 255, 255)), Edits(exposure=1)))[0, 0] == 255).all()


def test_a_crop_is_of_shares_after_the_turn() -> None:
    made = edited(gradient(), Edits(turn=90, crop=Crop(x=0.5, y=0, width=0.5, height=0.25)))
    turned = np.rot90(pixels(gradient()), 3)
    assert (pixels(made) == turned[0:20, 30:60]).all()
    assert edited(gradient(), Edits(crop=Crop(x=0.9, width=1))).width == 8


def object_before(ground: tuple[int, int, int], noise: int = 0) -> Image.Image:
    picture = Image.new("RGB", (400, 300), ground)
    draw = ImageDraw.Draw(picture)
    draw.ellipse((120, 60, 280, 240), fill=(40, 60, 120))
    draw.ellipse((180, 120, 220, 180), fill=ground)  # a hole that is of the ground's colour and does not touch the border
    if noise:
        values = np.asarray(picture).astype(int)
        values += np.random.default_rng(4).integers(-noise, noise + 1, values.shape)
        picture = Image.fromarray(np.clip(values, 0, 255).astype(np.uint8), "RGB")
    return picture


@pytest.mark.parametrize(("ground", "noise"), [((250, 250, 248), 0), ((236, 238, 240), 4), ((20, 22, 20), 3)])
def test_a_plain_background_goes_and_what_stands_before_it_stays_with_its_holes(
    ground: tuple[int, int, int], noise: int
) -> None:
    alpha = pixels(edited(object_before(ground, noise), Edits(plain=0.06)))[..., 3]
    assert (alpha[:50] == 0).mean() > 0.99 and (alpha[:, :100] == 0).mean() > 0.99
    assert (alpha[100:200, 140:170] == 255).all() and (alpha[140:160, 190:210] == 255).all(), "a hole is no background"


def test_what_has_no_plain_background_says_so() -> None:
    with pytest.raises(NotPlain):
        edited(gradient(), Edits(plain=0.05))


@given(
    turn=st.sampled_from([0, 90, 180, 270]),
    straighten=st.floats(-15, 15),
    crop=st.builds(Crop, x=st.floats(0, 0.95), y=st.floats(0, 0.95), width=st.floats(0.05, 1), height=st.floats(0.05, 1)),
    exposure=st.floats(-2, 2),
    size=st.tuples(st.integers(1, 60), st.integers(1, 60)),
)
def test_whatever_is_asked_for_gives_a_picture(
    turn: int, straighten: float, crop: Crop, exposure: float, size: tuple[int, int]
) -> None:
    made = edited(
        Image.new("RGB", size, (120, 130, 140)), Edits(turn=turn, straighten=straighten, crop=crop, exposure=exposure)
    )  # type: ignore[arg-type]
    assert made.width >= 1 and made.height >= 1 and made.mode == "RGBA"
