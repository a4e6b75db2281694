"""What lies behind a text on a picture: the crop of `object-fit: cover`, and the pixels around glyphs."""

import io

import numpy as np
import pytest
from fontTools.ttLib import TTFont
from PIL import Image

from formulon.core.site.behind import TextBlock, behind, cropped, profile, stem
from formulon.core.type.library import SHIPPED
from formulon.core.type.lines import text_width


def ramp(width: int, height: int) -> Image.Image:
    """A picture whose red is the place across and whose green is the place down."""
    x, y = np.meshgrid(np.linspace(0, 255, width), np.linspace(0, 255, height))
    return Image.fromarray(np.stack([x, y, np.zeros_like(x)], axis=-1).astype(np.uint8))


@pytest.mark.parametrize(("focus", "left", "right"), [((0.5, 0.5), 64, 191), ((0.0, 0.5), 0, 127), ((1.0, 0.5), 128, 255)])
def test_a_wide_picture_in_a_narrow_box_keeps_the_focus_in_sight(focus: tuple[float, float], left: int, right: int) -> None:
    """CSS Images 3, 5.5: cover fills the box; CSS object-position says which part is cut off."""
    crop = cropped(ramp(800, 400), 200, 200, focus)
    assert crop.shape == (200, 200, 3)
    assert crop[100, 0, 0] == pytest.approx(left, abs=2) and crop[100, -1, 0] == pytest.approx(right, abs=2)
    assert crop[0, 100, 1] <= 2 and crop[-1, 100, 1] >= 253  # the whole height is seen


def test_only_pixels_near_the_glyphs_are_taken() -> None:
    crop = np.zeros((200, 600, 3), dtype=np.uint8)
    block = TextBlock(("Night sky", "over hills"), 40, 30, SHIPPED["figtree"], 700, 40, 50)
    found = behind(crop, [block])
    grow = stem(SHIPPED["figtree"], 700) * 40
    x, y = found.places.T
    wide = max(text_width(SHIPPED["figtree"], 700, line, 40) for line in block.lines)
    assert 40 - grow - 2 <= x.min() <= 46 and x.max() <= 40 + wide + grow + 2
    assert y.min() >= 30 - grow and y.max() <= 30 + 2 * 50 + grow
    # Both lines are there, and the empty space between and around them is not.
    assert 0.15 < len(found.places) / (wide * 100) < 0.75
    assert len(behind(crop, [TextBlock((), 0, 0, SHIPPED["figtree"], 400, 20, 30)]).places) == 0


def test_text_over_the_edge_is_cut_there() -> None:
    crop = np.zeros((30, 60, 3), dtype=np.uint8)
    found = behind(crop, [TextBlock(("Wide words",), -20, -10, SHIPPED["lora"], 400, 48, 50)])
    assert len(found.places) and found.places.min() >= 0
    assert found.places[:, 0].max() < 60 and found.places[:, 1].max() < 30


def test_the_stem_is_that_of_the_font() -> None:
    """The OS/2-independent measure: the outline of “l”, read with fontTools at the default weight."""
    opened = TTFont(io.BytesIO(SHIPPED.family("young-serif").faces[0].open()))
    glyphs, name = opened.getGlyphSet(), opened.getBestCmap()[ord("I")]
    from fontTools.pens.boundsPen import BoundsPen

    pen = BoundsPen(glyphs)
    glyphs[name].draw(pen)
    assert pen.bounds is not None
    assert stem(SHIPPED["young-serif"], 400) <= (pen.bounds[2] - pen.bounds[0]) / opened["head"].unitsPerEm + 1e-9
    assert stem(SHIPPED["figtree"], 800) > stem(SHIPPED["figtree"], 400) > 0.05


def test_profiles_are_strongest_at_their_side() -> None:
    places = np.array([[0, 0], [99, 0], [0, 49], [99, 49]])
    foot, side = profile("foot", places, 100, 50), profile("side", places, 100, 50)
    assert foot is not None and side is not None and profile("even", places, 100, 50) is None
    assert foot[2] == foot[3] > 0.98 and foot[0] < 0.02
    assert side[0] == side[2] > 0.98 and side[1] < 0.02
