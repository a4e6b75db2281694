"""Where lines may break."""

from formulon.core.type.library import SHIPPED
from formulon.core.type.lines import broken, pieces


def test_characters_beyond_the_first_plane_move_no_break() -> None:
    """ICU counts in units of UTF-16; Python in code points. UAX #14 lets a line break after spaces, and beside ideographs and
    emoji (LB13 to LB31)."""
    text = "A \U0001f52d telescope \U0001f30c and more"
    assert "".join(pieces(text)) == text
    assert pieces(text) == ("A ", "\U0001f52d ", "telescope ", "\U0001f30c ", "and ", "more")


def test_no_text_has_no_line() -> None:
    assert broken(SHIPPED["inter"], 400, "", 16, 200) == broken(SHIPPED["inter"], 400, "  \n ", 16, 200) == ()


def test_a_word_wider_than_its_box_breaks_and_the_rest_goes_on() -> None:
    lines = broken(SHIPPED["inter"], 400, "at Donaudampfschifffahrtsgesellschaft by noon", 16, 120)
    assert "".join(lines).replace(" ", "") == "atDonaudampfschifffahrtsgesellschaftbynoon"
    assert lines[0] == "at" and lines[-1].endswith("noon") and len(lines) >= 4
