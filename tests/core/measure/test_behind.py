"""Pixels behind texts, on screens whose pixels are known."""

import io

import numpy as np
import pytest
from PIL import Image

from formulon.core.color.contrast import contrast_ratio
from formulon.core.measure.behind import read_pixels


def screen(pixels: np.ndarray) -> bytes:  # type: ignore[type-arg]
    file = io.BytesIO()
    Image.fromarray(pixels.astype(np.uint8)).save(file, "PNG")
    return file.getvalue()


def lettered(bare: np.ndarray, ink: tuple[int, int, int]) -> np.ndarray:  # type: ignore[type-arg]
    """Strokes of two px every eight."""
    made = bare.copy()
    for left in range(4, bare.shape[1] - 4, 8):
        made[10:30, left : left + 2] = ink
    return made


@pytest.mark.parametrize("known", [True, False])
def test_on_an_even_ground_ink_and_ground_are_told_exactly(known: bool) -> None:
    bare = np.full((40, 100, 3), (230, 230, 220))
    (pair,) = read_pixels(
        screen(lettered(bare, (90, 20, 20))), screen(bare), [(0, 0, 100, 40)], [(90, 20, 20) if known else None]
    )
    assert pair == ((90, 20, 20), (230, 230, 220))


def test_on_a_gradient_the_worst_place_decides_but_for_single_pixels() -> None:
    """White on greys from 0 to 255 across: the worst 5 % of what lies behind the strokes begins at about 95 % of the way."""
    bare = np.repeat(np.linspace(0, 255, 400)[None, :, None], 40, 0).repeat(3, 2)
    (pair,) = read_pixels(screen(lettered(bare, (255, 255, 255))), screen(bare), [(0, 0, 400, 40)], [(255, 255, 255)])
    assert pair is not None
    assert 225 <= pair[1][0] <= 250 and contrast_ratio(*pair) < 1.4
    # A speck under one stroke is not what a text stands on.
    speck = np.full((40, 400, 3), 20)
    speck[20:22, 4:6] = 250
    (pair,) = read_pixels(screen(lettered(speck, (255, 255, 255))), screen(speck), [(0, 0, 400, 40)], [(255, 255, 255)])
    assert pair == ((255, 255, 255), (20, 20, 20))


def test_of_a_photograph_with_thousands_of_colors_all_are_looked_at() -> None:
    """Dark noise with a light stripe, which comes last by its colours."""
    chance = np.random.default_rng(3)
    bare = chance.integers(0, 90, (240, 600, 3))
    bare[:, 500:] = chance.integers(225, 250, (240, 100, 3))
    drawn = bare.copy()
    drawn[20:220, 4:596:4] = 255
    drawn[20:220, 5:596:4] = 255
    assert len(np.unique(bare[drawn[..., 0] == 255], axis=0)) > 20_000
    (pair,) = read_pixels(screen(drawn), screen(bare), [(0, 0, 600, 240)], [(255, 255, 255)])
    assert pair is not None and contrast_ratio(*pair) < 1.4


def test_only_what_lies_behind_letters_counts() -> None:
    """Light at the sides, dark behind the words."""
    bare = np.full((40, 300, 3), 250)
    bare[:, 100:200] = 10
    drawn = bare.copy()
    drawn[10:30, 110:190:6] = 255
    (pair,) = read_pixels(screen(drawn), screen(bare), [(0, 0, 300, 40)], [(255, 255, 255)])
    assert pair == ((255, 255, 255), (10, 10, 10))


def test_a_text_in_the_color_of_its_ground_is_told_and_nothing_is_not() -> None:
    bare = np.full((40, 100, 3), (244, 244, 244))
    seen, nothing, empty = read_pixels(
        screen(bare), screen(bare), [(0, 0, 100, 40), (0, 0, 100, 40), (0, 0, 0, 0)], [(244, 244, 244), None, (0, 0, 0)]
    )
    assert seen == ((244, 244, 244), (244, 244, 244)) and nothing is None and empty is None
