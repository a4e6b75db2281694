"""Delivery: what is cut, what stays, and stand-ins against the fonts that they are made for."""

import io
import time
from pathlib import Path

import pytest
import uharfbuzz as hb
from fontTools.ttLib import TTFont

from formulon.core.type.delivery import _STAND_IN_WIDTHS, TYPED, cut, size_adjust, stand_in, wanted, weights_in
from formulon.core.type.features import mean_advance, opened
from formulon.core.type.languages import letters
from formulon.core.type.library import DEFAULT_BODY, FALLBACK, SHIPPED

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


def advances(data: bytes, text: str, weight: int) -> list[int]:
    """The advances of a text's glyphs as HarfBuzz shapes it, in units of the font."""
    plain = io.BytesIO()
    font = TTFont(io.BytesIO(data))
    font.flavor = None
    font.save(plain)
    shaped = hb.Font(hb.Face(plain.getvalue()))
    shaped.set_variations({"wght": weight})
    buffer = hb.Buffer()
    buffer.add_str(text)
    buffer.guess_segment_properties()
    hb.shape(shaped, buffer)
    return [one.x_advance for one in buffer.glyph_positions]


@pytest.mark.parametrize("name", list(SHIPPED)[::7])
def test_what_is_left_of_a_typeface_sets_texts_as_the_whole_does(name: str) -> None:
    """Checked against HarfBuzz: kerning and ligatures stay, and a weight is the same weight, but for what rounding to whole units gives."""
    data = SHIPPED[name].faces[0].open()
    text = "AVATAR Typefaces of first offices, £1,200–1,450 “Wave”"
    left = cut(data, wanted(["en"], text), (400, 700))
    assert len(left) < len(data)
    for weight in (400, 550, 700):
        before, after = advances(data, text, weight), advances(left, text, weight)
        assert len(before) == len(after) and max(abs(a - b) for a, b in zip(before, after, strict=True)) <= 2


def test_the_same_cut_gives_the_same_bytes_at_another_time() -> None:
    data, codes = SHIPPED[DEFAULT_BODY].faces[0].open(), wanted(["en"], "")
    first = cut(data, codes, (400, 700))
    cut.cache_clear()
    time.sleep(1.1)  # files hold whole seconds
    assert cut(data, codes, (400, 700)) == first


@pytest.mark.parametrize(
    ("styles", "weights"),
    [
        ("", (400, 700)),
        ("a{font-weight:var(--type-body-weight)}:root{--type-body-weight:300;--type-h1-weight:650}", (300, 700)),
        (".own{font-weight:900;font-size:1000px}", (400, 900)),
        (".own{font:italic 200 16px/1.5 serif}", (200, 700)),
        ("@font-face{font-family:'A';font-weight:100 900}", (400, 700)),
        (r'{"html":"<b style=\"font-weight: 850\">"}', (400, 850)),
        (".own b{font-weight:bolder}", None),
        (".own{font-variation-settings:'wght' 333}", None),
        (".own{font-weight:var(--heavy)}", None),
        (".own{font-weight:calc(var(--type-body-weight) + 100)}", None),
    ],
)
def test_weights_that_rules_ask_for_are_found(styles: str, weights: tuple[int, int] | None) -> None:
    assert weights_in(styles) == weights
