"""Delivery: what is cut, what stays, and stand-ins against the fonts that they are made for."""

import io
from pathlib import Path

import pytest
from fontTools.ttLib import TTFont

from formulon.core.type.delivery import _STAND_IN_WIDTHS, TYPED, cut, size_adjust, stand_in, wanted
from formulon.core.type.features import mean_advance, opened
from formulon.core.type.languages import letters
from formulon.core.type.library import FALLBACK, SHIPPED

LIBERATION = Path("/usr/share/fonts/truetype/liberation")


@pytest.mark.parametrize(("name", "file"), [("Arial", "Sans"), ("Times New Roman", "Serif"), ("Courier New", "Mono")])
def test_widths_of_stand_ins_are_those_of_the_liberation_fonts(name: str, file: str) -> None:
    """Debian's fonts-liberation, which have the widths of the three by design."""
    for width, style in zip(_STAND_IN_WIDTHS[name], ("Regular", "Bold"), strict=True):
        data = (LIBERATION / f"Liberation{file}-{style}.ttf").read_bytes()
        assert mean_advance(opened(data)) == pytest.approx(width, abs=5e-5)


def test_every_category_has_a_stand_in() -> None:
    assert {FALLBACK[one.category][0] for one in SHIPPED.values()} == set(_STAND_IN_WIDTHS)


def test_overrides_give_the_familys_own_measures_back() -> None:
    """CSS Fonts 4: the overrides are shares of the size after size-adjust, so their product is the family's metric."""
    one = SHIPPED.family("lora")
    rule = stand_in(one, 400)
    parts = dict(part.split(":") for part in rule[rule.index("{") + 1 : rule.index("}")].strip(";").split(";"))
    adjust = float(parts["size-adjust"][:-1]) / 100
    assert adjust == pytest.approx(size_adjust(one, 400), abs=1e-4)
    for name, value in (("ascent", one.measured.ascender), ("descent", -one.measured.descender), ("line-gap", 0)):
        assert float(parts[f"{name}-override"][:-1]) / 100 * adjust == pytest.approx(value, abs=1e-3)


def test_a_cut_file_keeps_alphabets_and_features_and_nothing_else() -> None:
    data = SHIPPED.family("source-serif-4").faces[0].open()
    codes = wanted(["de"], "Ω")
    before, after = TTFont(io.BytesIO(data)), TTFont(io.BytesIO(cut(data, codes)))
    assert set(after.getBestCmap()) == set(before.getBestCmap()) & codes
    assert letters("de") <= set(after.getBestCmap())
    tags = {record.FeatureTag for record in after["GSUB"].table.FeatureList.FeatureRecord}
    assert {"liga", "onum", "smcp"} & {r.FeatureTag for r in before["GSUB"].table.FeatureList.FeatureRecord} <= tags


def test_what_visitors_type_is_always_there() -> None:
    assert {ord(char) for char in "aZ09@€£“’–"} <= TYPED <= wanted(["cy"], "")
    assert ord("ŵ") in wanted(["cy-GB"], "") and ord("ŵ") not in wanted(["en"], "")
