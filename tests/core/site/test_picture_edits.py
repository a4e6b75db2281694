"""Light work on photographs: held against searches, published definitions and pictures whose every pixel is known."""

import math

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from PIL import Image, ImageDraw

from formulon.core.color.srgb import to_linear_wcag
from formulon.core.site.picture_edits import Crop, Edits, NotPlain, Stroke, edited, inside


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


def spotted() -> Image.Image:
    """A dark disc with a light spot of the background's colour at its edge, on white."""
    made = Image.new("RGB", (200, 100), "#ffffff")
    draw = ImageDraw.Draw(made)
    draw.ellipse((60, 10, 140, 90), fill="#203040")
    draw.rectangle((60, 40, 80, 60), fill="#fdfdfd")
    return made


def alpha(picture: Image.Image) -> np.ndarray:  # type: ignore[type-arg]
    return np.asarray(picture.convert("RGBA"))[..., 3].astype(int)


def test_the_edge_of_what_was_taken_away_is_mended_by_hand() -> None:
    bare = alpha(edited(spotted(), Edits(plain=0.06)))
    assert bare[50, 70] == 0 and bare[50, 100] == 255 and bare[5, 5] == 0
    keep = Stroke(keep=True, radius=0.04, points=[(0.33, 0.44), (0.37, 0.56)])
    kept = edited(spotted(), Edits(plain=0.06, strokes=[keep]))
    assert alpha(kept)[50, 70] == 255 and alpha(kept)[5, 5] == 0
    assert np.asarray(kept)[50, 70, :3].tolist() == [253, 253, 253], "it is as it was"
    away = Stroke(keep=False, radius=0.05, points=[(0.5, 0.5)])
    gone = alpha(edited(spotted(), Edits(plain=0.06, strokes=[keep, away])))
    assert gone[50, 100] == 0 and gone[50, 70] == 255 and gone[50, 130] == 255
    # Far from a stroke nothing moves, and what it was painted with last holds.
    far = np.hypot(np.arange(200)[None] - 100, np.arange(100)[:, None] - 50) > 16
    assert (gone[far] == alpha(kept)[far]).all()
    again = Stroke(keep=True, radius=0.06, points=[(0.5, 0.5)])
    assert alpha(edited(spotted(), Edits(plain=0.06, strokes=[keep, away, again])))[50, 100] == 255


def test_strokes_stay_where_they_were_painted_when_the_cut_changes() -> None:
    stroke = Stroke(keep=False, radius=0.05, points=[(0.5, 0.5)])
    whole = alpha(edited(spotted(), Edits(plain=0.06, strokes=[stroke])))
    crop = Crop(x=0.25, y=0.05, width=0.5, height=0.9)
    cut = alpha(edited(spotted(), Edits(plain=0.06, strokes=[stroke], crop=crop)))
    assert np.abs(cut - whole[5:95, 50:150]).max() <= 2


def test_without_a_background_taken_away_strokes_do_nothing() -> None:
    stroke = Stroke(keep=False, radius=0.2, points=[(0.5, 0.5)])
    assert (pixels(edited(spotted(), Edits(strokes=[stroke]))) == pixels(spotted())).all()


@given(
    st.lists(
        st.builds(
            Stroke, keep=st.booleans(), radius=st.floats(0.002, 0.25),
            points=st.lists(st.tuples(st.floats(0, 1), st.floats(0, 1)), min_size=1, max_size=5),
        ),
        max_size=4,
    ),
    st.sampled_from([0, 90, 180, 270]),
)  # fmt: skip
def test_any_strokes_keep_size_and_colours(strokes: list[Stroke], turn: int) -> None:
    made = edited(spotted(), Edits(plain=0.06, strokes=strokes, turn=turn))  # type: ignore[arg-type]
    bare = edited(spotted(), Edits(plain=0.06, turn=turn))  # type: ignore[arg-type]
    assert made.size == bare.size and (np.asarray(made)[..., :3] == np.asarray(bare)[..., :3]).all()
