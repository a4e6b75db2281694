"""Colours as people type and paste them."""

import pytest

from formulon.core.color.parse import parse_color, parse_list
from formulon.core.errors import ColorError


@pytest.mark.parametrize("text", ["", "blurp", "#12", "#1234567", "rgb(1 2", "url(x)", "Night", "var(--x)"])
def test_what_is_no_color_is_refused_by_name(text: str) -> None:
    with pytest.raises(ColorError, match="is not a colour"):
        parse_color(text)


@pytest.mark.parametrize(
    "text", ["lab(1e308 1e308 1e308)", "rgb(1e308 0 0)", "oklch(50% 1e308 20)", "color(display-p3 1e308 0 0)", "lab(1e999 0 0)"]
)
def test_what_lies_beyond_every_color_is_told(text: str) -> None:
    with pytest.raises(ColorError, match="beyond every colour"):
        parse_color(text)


def test_a_name_that_is_too_long_is_told_and_the_rest_read() -> None:
    colors, problems = parse_list("N" * 5000 + " #123456\nNight #1B2147")
    assert [color.name for color in colors] == ["Night"]
    assert len(problems) == 1 and "5000 characters" in problems[0] and len(problems[0]) < 200


def test_see_through_is_refused() -> None:
    with pytest.raises(ColorError, match="see-through"):
        parse_color("rgb(0 0 0 / 50%)")


def test_outside_srgb_is_mapped_and_says_so() -> None:
    assert parse_color("color(display-p3 0 1 0)").mapped
    assert not parse_color("#1B2147").mapped


def test_list_with_names_on_either_side() -> None:
    colors, problems = parse_list("Night #1B2147\n#F2A93B Lamp\nHeather: rgb(142 90 155)\n- Chalk = #F6F1E7")
    assert [(c.name, c.hex) for c in colors] == [
        ("Night", "#1b2147"),
        ("Lamp", "#f2a93b"),
        ("Heather", "#8e5a9b"),
        ("Chalk", "#f6f1e7"),
    ]
    assert problems == []


def test_several_on_one_line_and_words() -> None:
    colors, problems = parse_list("#1B2147, #F2A93B #8E5A9B\nnavy; Sea: teal")
    assert [c.hex for c in colors] == ["#1b2147", "#f2a93b", "#8e5a9b", "#000080", "#008080"]
    assert colors[-1].name == "Sea"
    assert problems == []


def test_a_bad_line_does_not_stop_the_others() -> None:
    colors, problems = parse_list("Night #1B2147\nnonsense\n#F2A93B")
    assert len(colors) == 2
    assert len(problems) == 1 and "nonsense" in problems[0]
