"""Widths, coverage and lines against fontTools' own reading of the files."""

import io

import pytest
from fontTools.ttLib import TTFont

from formulon.core.type.library import SHIPPED
from formulon.core.type.lines import line_count, pieces, widest_piece
from formulon.core.type.shaping import advance, missing


@pytest.mark.parametrize("family_id", sorted(SHIPPED))
def test_advance_of_one_glyph_is_the_files_own(family_id: str) -> None:
    """A single character has no kerning: its advance is that of hmtx (fontTools), at the file's default weight."""
    font = TTFont(io.BytesIO(SHIPPED.family(family_id).faces[0].open()))
    default = 400 if "fvar" in font else SHIPPED.family(family_id).weights[0]
    if "fvar" in font:
        default = int(next(axis.defaultValue for axis in font["fvar"].axes if axis.axisTag == "wght"))
    for char in "aHm.":
        wanted = font["hmtx"][font.getBestCmap()[ord(char)]][0] / font["head"].unitsPerEm
        assert advance(SHIPPED[family_id], default, char) == pytest.approx(wanted, abs=1e-6)


def test_heavier_is_wider_in_a_variable_family() -> None:
    assert advance(SHIPPED["figtree"], 900, "observatory") > advance(SHIPPED["figtree"], 300, "observatory")


def test_extended_latin_has_width_and_is_not_missing() -> None:
    assert missing(SHIPPED["figtree"], "Łódź") == ""
    assert advance(SHIPPED["figtree"], 400, "Łódź") > 1.5


def test_missing_characters_are_named_once() -> None:
    assert missing(SHIPPED["young-serif"], "Ж Ж π ok") == "Жπ"


def test_every_family_has_a_licence_file() -> None:
    for one in SHIPPED.values():
        assert one.licence == "OFL-1.1"
        assert "SIL OPEN FONT LICENSE" in one.open_licence().decode().upper()


def test_breaking_opportunities_follow_uax14() -> None:
    """UAX #14: after spaces and hyphens (class HY), not before punctuation, and not at a no-break space (GL)."""
    assert pieces("well-kept, no\u00a0break here") == ("well-", "kept, ", "no\u00a0break ", "here")


def test_lines_grow_as_the_box_shrinks() -> None:
    text = "Evenings under the clearest sky in the county, with the big telescope"
    counts = [line_count(SHIPPED["figtree"], 400, text, 18, width) for width in (2000, 600, 320, 200, 120)]
    assert counts[0] == 1
    assert counts == sorted(counts)
    assert line_count(SHIPPED["figtree"], 400, "", 18, 300) == 0


def test_a_word_wider_than_its_box_breaks_inside() -> None:
    word = "Telescopemakersguild"
    width = widest_piece(SHIPPED["figtree"], 400, word, 40)
    assert line_count(SHIPPED["figtree"], 400, word, 40, width + 1) == 1
    assert line_count(SHIPPED["figtree"], 400, word, 40, width / 2) >= 2
