"""Variants of marks: recoloured, trimmed, turned, cropped, and built from a name."""

import io
import math

import numpy as np
import pytest
import resvg_py
from PIL import Image

from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.srgb import from_hex
from formulon.core.errors import MarkError
from formulon.core.identity.svg import rebuild
from formulon.core.identity.variants import Adjustment, adjusted, built, recolored, reversed_mark, single_ink, trimmed, turned
from formulon.core.system.documents.identity import Mark
from formulon.core.system.facets.mark_shapes import shape_of
from formulon.core.system.solving.logo import drawn_colors, visibility
from formulon.core.type.library import SHIPPED
from tests.conftest import quillmoor_identity

NIGHT, CHALK, LAMP = from_hex("#1b2147"), from_hex("#f6f1e7"), from_hex("#f2a93b")


def full() -> Mark:
    return next(mark for mark in quillmoor_identity().marks if mark.kind == "full" and mark.meant_for != "dark")


def test_reversed_is_seen_on_the_dark_and_keeps_what_was_seen() -> None:
    made = reversed_mark(full(), NIGHT, CHALK)
    assert visibility(made.svg, NIGHT) == 1 and made.meant_for == "dark"
    assert "#f2a93b" in made.svg.lower() and "#1b2147" not in made.svg.lower()
    assert contrast_ratio(LAMP, NIGHT) >= 3


def test_single_ink_has_one_colour() -> None:
    _, shares = drawn_colors(single_ink(full(), NIGHT, "light").svg)
    assert len(shares[shares > 0.02]) == 1


def test_what_states_no_colour_is_black() -> None:
    svg = rebuild(b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><path d="M0 0h9v9z"/></svg>', "m").svg
    assert 'fill="#f6f1e7"' in recolored(svg, lambda _: CHALK)


def test_trimmed_leaves_no_margin_and_turned_swaps_the_sides() -> None:
    svg = rebuild(b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="5 5 100 50"><path d="M25 15h60v10h-60z"/></svg>', "m").svg
    cut = trimmed(svg, "m")
    assert (cut.width, cut.height) == (60, 10)
    assert shape_of(cut.svg, cut.width, cut.height).box == (0, 0, 1, 1)
    stood = turned(svg, "m")
    assert (stood.width, stood.height) == (50, 100)
    left, top, right, bottom = shape_of(stood.svg, 50, 100).box
    assert (round(left * 50), round(top * 100), round(right * 50), round(bottom * 100)) == (30, 20, 40, 80)


def test_every_variant_is_what_the_reader_would_make_of_it() -> None:
    """So that taking one by a patch is no way around the reader."""
    mark = full()
    for svg in (reversed_mark(mark, NIGHT, CHALK).svg, trimmed(mark.svg, "m").svg, turned(mark.svg, "m").svg):
        assert rebuild(svg.encode(), "m").svg == svg


def test_three_marks_are_built_from_a_name() -> None:
    made = built("Wicker & Rush", SHIPPED["young-serif"], 400, NIGHT, LAMP, CHALK)
    assert [one.kind for one in made] == ["wordmark", "full", "full"] and len({one.svg for one in made}) == 3
    for one in made:
        assert rebuild(one.svg.encode(), "m").svg == one.svg and "<text" not in one.svg
        assert visibility(one.svg, CHALK) > 0.6
    assert built("Wicker & Rush", SHIPPED["young-serif"], 400, NIGHT, LAMP, CHALK) == made


SQUARE = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><path d="M0 0h100v50h-100z"/></svg>'


def test_a_turn_by_a_quarter_is_that_of_the_quarter() -> None:
    svg = rebuild(SQUARE.encode(), "m").svg
    by_hand, quarter = adjusted(svg, "m", Adjustment(turn=90)), turned(svg, "m")
    assert (by_hand.width, by_hand.height) == pytest.approx((quarter.width, quarter.height))
    assert shape_of(by_hand.svg, 100, 100).box == pytest.approx(shape_of(quarter.svg, 100, 100).box, abs=0.01)


@pytest.mark.parametrize("degrees", [-120.0, 30.0, 45.0, 77.0])
def test_a_turned_mark_keeps_all_that_is_drawn(degrees: float) -> None:
    """The box of a turned rectangle is w cos + h sin by w sin + h cos."""
    svg = rebuild(SQUARE.encode(), "m").svg
    made = adjusted(svg, "m", Adjustment(turn=degrees))
    angle = math.radians(degrees)
    side = 100 * (abs(math.cos(angle)) + abs(math.sin(angle)))
    assert (made.width, made.height) == pytest.approx((side, side), rel=0.001)
    png = Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=made.svg, width=400))))
    drawn = (np.asarray(png.convert("RGBA"))[..., 3] > 127).mean()
    assert drawn == pytest.approx(0.5 * 100 * 100 / side**2, abs=0.005)  # half of the square, in the larger box


def test_what_is_cut_off_is_gone_and_not_all_of_it_can_be() -> None:
    svg = rebuild(SQUARE.encode(), "m").svg
    made = adjusted(svg, "m", Adjustment(left=0.1, top=0.2, right=0.3, bottom=0.5))
    assert (made.width, made.height) == pytest.approx((60, 30))
    assert shape_of(made.svg, 60, 30).box == (0, 0, 1, 1)
    with pytest.raises(MarkError, match="leaves nothing"):
        adjusted(svg, "m", Adjustment(left=0.6, right=0.4))
