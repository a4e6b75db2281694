"""The logo's measures against drawn shapes of known strokes, and what follows from them."""

import numpy as np
import pytest

from formulon.core.system.documents.choices import Choices, Logo
from formulon.core.system.documents.identity import BrandColor, BrandRule, Identity, Mark
from formulon.core.system.facets.lockup import clear_space, least_height
from formulon.core.system.facets.mark_shapes import pieces, shape_of
from formulon.core.system.fluid import fluid
from formulon.core.system.resolve import resolve


def svg(inside: str, box: str = "0 0 100 100") -> str:
    return f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="{box}">{inside}</svg>'


@pytest.mark.parametrize("width", [3, 5, 8, 12, 20])
@pytest.mark.parametrize(
    "inside",
    [
        '<path d="M10 10h{w}v80h-{w}z"/>',
        '<circle cx="50" cy="50" r="35" fill="none" stroke="#000" stroke-width="{w}"/>',
        '<path d="M15 15L85 85" stroke="#000" stroke-width="{w}"/>',
        '<path d="M10 50h80M50 10v80" stroke="#000" stroke-width="{w}"/>',
    ],
)
def test_thinnest_strokes_of_known_width(width: int, inside: str) -> None:
    """Drawn by resvg at 200 px, so a stroke is known to about half a hundredth of the height."""
    assert shape_of(svg(inside.format(w=width)), 100, 100).thinnest == pytest.approx(width / 100, abs=0.012)


def test_the_thinner_of_two_strokes_counts() -> None:
    both = svg('<path d="M10 10h20v80h-20z"/><path d="M60 10h4v80h-4z"/>')
    assert shape_of(both, 100, 100).thinnest == pytest.approx(0.04, abs=0.008)


@pytest.mark.parametrize("hole", [6, 10, 30])
def test_counters_of_known_width(hole: int) -> None:
    ring = svg(f'<path fill-rule="evenodd" d="M10 10h80v80h-80zM40 40h{hole}v{hole}h-{hole}z"/>')
    assert shape_of(ring, 100, 100).counter == pytest.approx(hole / 100, abs=0.012)
    assert shape_of(svg('<path d="M10 10h80v80h-80z"/>'), 100, 100).counter == 0


def test_what_is_drawn_of_the_box() -> None:
    left, top, right, bottom = shape_of(svg('<path d="M20 30h40v50h-40z"/>'), 100, 100).box
    assert (left, top, right, bottom) == pytest.approx((0.2, 0.3, 0.6, 0.8), abs=0.01)


def test_pieces_are_told_apart_by_their_sides() -> None:
    drawn = np.array([[1, 1, 0, 1], [0, 1, 0, 1], [1, 0, 0, 1]], dtype=bool)
    labels = pieces(drawn)
    assert len(set(labels[drawn].tolist())) == 3 and (labels[~drawn] == 0).all()


def brand(*rules: BrandRule) -> Identity:
    thin = Mark(id="m", name="Thin", svg=svg('<path fill="#101030" d="M10 10h2v80h-2z"/>'))
    colors = [BrandColor(name="Ink", value="#101030"), BrandColor(name="Chalk", value="#F6F1E7")]
    return Identity(name="Thin", colors=colors, marks=[thin], rules=list(rules))


def test_least_height_comes_from_the_shape_or_the_guideline() -> None:
    own = brand()
    height, why = least_height(own, own.marks[0])
    assert 45 <= height <= 70 and "thinnest stroke" in why  # one CSS pixel for 2 % of the height
    rule = BrandRule(rule="least size", text="Never below 30 px high", values={"px": 30, "side": "height", "mark": "full"})
    assert least_height(brand(rule), own.marks[0])[0] == 30
    other = rule.model_copy(update={"values": {"px": 30, "side": "height", "mark": "symbol"}})
    assert least_height(brand(other), own.marks[0])[0] == height


def test_a_mark_whose_stroke_fades_is_a_conflict_with_a_way_out() -> None:
    small = Choices(logo=Logo(header_small=20, header_large=20))
    system = resolve(brand(), small)
    conflict = next(one for one in system.conflicts if one.code == "mark-too-small")
    assert conflict.measured < 0.5
    height = conflict.alternatives[0].patch[0]["value"]
    mended = resolve(brand(), Choices(logo=Logo(header_small=height, header_large=height)))
    assert not [one for one in mended.conflicts if one.code == "mark-too-small"]


def test_clear_space_is_the_guidelines_or_a_quarter() -> None:
    assert clear_space(brand())[0] == 0.25
    rule = BrandRule(rule="clear space", text="Half the logo's height", values={"share": 0.5, "of": "logo"})
    assert clear_space(brand(rule))[0] == 0.5


def test_a_plate_makes_an_unseen_mark_seen() -> None:
    identity = brand()
    system = resolve(identity, Choices())
    unseen = next(one for one in system.conflicts if one.code == "mark-unseen" and one.ground == "deep")
    assert unseen.alternatives[0].patch[0]["value"] == "deep"
    plated = resolve(identity, Choices(logo=Logo(plates=["deep"])))
    assert plated.marks["deep"].plate == "paper" and plated.marks["deep"].visibility == 1
    assert not [one for one in plated.conflicts if one.code == "mark-unseen" and one.ground == "deep"]


def test_where_no_mark_is_seen_in_the_header_another_ground_is_offered() -> None:
    identity = brand()
    choices = Choices(wires={"navigation": "ink"})  # the only mark is in that colour
    unseen = next(one for one in resolve(identity, choices).conflicts if one.path == "logo/navigation")
    plate, ground = unseen.alternatives
    assert "plate" in plate.label and "Chalk for the navigation" in ground.label
    (operation,) = ground.patch
    mended = resolve(identity, choices.model_copy(update={"wires": {"navigation": operation["value"]}}))
    assert not [one for one in mended.conflicts if one.path == "logo/navigation"]
    assert mended.marks["navigation"].visibility == 1


def test_the_footers_mark_has_a_height_for_phones_of_its_own() -> None:
    one = resolve(brand(), Choices(logo=Logo(footer=80))).tokens["mark/footer-height"]
    assert one.css == "80px" and one.value == {"small": 80, "large": 80, "unit": "px"}
    two = resolve(brand(), Choices(logo=Logo(footer=80, footer_small=40))).tokens["mark/footer-height"]
    assert two.css == fluid(40, 80) and two.origin == "chosen"
