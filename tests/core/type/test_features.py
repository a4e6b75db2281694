"""Measures of typefaces against the files' own tables (fontTools) and against drawn fonts of known strokes."""

import io

import pytest
from fontTools.fontBuilder import FontBuilder
from fontTools.pens.ttGlyphPen import TTGlyphPen
from fontTools.ttLib import TTFont

from formulon.core.errors import FontError
from formulon.core.type.features import measure, plain, vertical
from formulon.core.type.library import SHIPPED, Measured
from formulon.typefaces import INDEX


def opened(family_id: str) -> TTFont:
    return TTFont(io.BytesIO(SHIPPED[family_id].faces[0].open()))


@pytest.mark.parametrize("family_id", sorted(SHIPPED.keys() - {"assistant", "vazirmatn"}))
def test_heights_are_those_of_the_files_own_tables(family_id: str) -> None:
    """OS/2 sxHeight and sCapHeight, which foundries measure themselves; drawn letters differ by a hair. The tables of the
    two that are left out speak of Hebrew and Arabic letters."""
    font, look = opened(family_id), SHIPPED[family_id].measured
    units = font["head"].unitsPerEm
    if font["OS/2"].sxHeight and SHIPPED[family_id].category != "handwriting":  # whose letters slope out of their heights
        assert look.x_height == pytest.approx(font["OS/2"].sxHeight / units, abs=0.05)
        assert look.cap_height == pytest.approx(font["OS/2"].sCapHeight / units, abs=0.05)


@pytest.mark.parametrize("family_id", ["figtree", "lora", "spectral"])
def test_what_ships_is_what_is_measured(family_id: str) -> None:
    found = measure(plain(SHIPPED[family_id].faces[0].open()))
    assert found == Measured(**INDEX[family_id]["measured"])


def test_the_library_is_wide_and_free() -> None:
    known = SHIPPED.values()
    assert len(known) >= 40 and {one.category for one in known} == {"serif", "sans-serif", "monospace", "handwriting"}
    assert all(one.licence == "OFL-1.1" and "SIL OPEN FONT LICENSE" in one.open_licence().decode().upper() for one in known)


def test_measures_tell_families_apart_as_type_books_do() -> None:
    """Common practice: a didone has more contrast than a slab, a rounded sans is softer than a grotesque, and a monospaced
    family has one width."""
    of = {key: one.measured for key, one in SHIPPED.items()}
    assert of["playfair-display"].contrast > 2 * of["zilla-slab"].contrast
    assert of["nunito"].softness > 0.5 > of["work-sans"].softness
    assert of["jetbrains-mono"].width == pytest.approx(0.6)
    assert of["eb-garamond"].x_height < of["inter"].x_height


def drawn(stem: int, thick: int, thin: int, soft: bool = False) -> bytes:
    """A font of 1000 units whose n has a stem, whose o has walls of two thicknesses, and whose i is a bar."""

    def box(pen: TTGlyphPen, left: int, low: int, right: int, high: int, inner: bool = False) -> None:
        corners = [(left, low), (left, high), (right, high), (right, low)]
        corners = corners[::-1] if inner else corners
        if soft and not inner:
            r = 60
            pen.moveTo((left, low + r))
            pen.lineTo((left, high - r))
            pen.qCurveTo((left, high), (left + r, high))
            pen.lineTo((right - r, high))
            pen.qCurveTo((right, high), (right, high - r))
            pen.lineTo((right, low + r))
            pen.qCurveTo((right, low), (right - r, low))
            pen.lineTo((left + r, low))
            pen.qCurveTo((left, low), (left, low + r))
        else:
            pen.moveTo(corners[0])
            for point in corners[1:]:
                pen.lineTo(point)
        pen.closePath()

    glyphs = {}
    for name in (".notdef", "n", "o", "x", "H", "i", "l", "space"):
        pen = TTGlyphPen(None)
        if name == "n":
            box(pen, 50, 0, 50 + stem, 500)
            box(pen, 350, 0, 350 + stem, 500)
        elif name == "o":
            box(pen, 0, 0, 500, 500)
            box(pen, thick, thin, 500 - thick, 500 - thin, inner=True)
        elif name in "ilxH":
            box(pen, 50, 0, 250, 700 if name == "H" else 500)
        glyphs[name] = pen.glyph()
    build = FontBuilder(1000)
    build.setupGlyphOrder(list(glyphs))
    build.setupCharacterMap({ord(name) if name != "space" else 32: name for name in glyphs if name != ".notdef"})
    build.setupGlyf(glyphs)
    build.setupHorizontalMetrics(dict.fromkeys(glyphs, (600, 50)))
    build.setupHorizontalHeader(ascent=900, descent=-300)
    build.setupNameTable({"familyName": "Drawn", "styleName": "Regular"})
    build.setupOS2(sTypoAscender=800, sTypoDescender=-200, sTypoLineGap=100)
    build.setupPost()
    out = io.BytesIO()
    build.save(out)
    return out.getvalue()


def test_strokes_of_known_width_are_measured() -> None:
    look = measure(drawn(stem=90, thick=100, thin=40))
    assert look.stem == pytest.approx(0.09, abs=0.002) and look.contrast == pytest.approx(2.5, rel=0.03)
    assert (look.x_height, look.cap_height) == (0.5, 0.7)
    assert look.softness == pytest.approx(0, abs=1e-9)
    assert measure(drawn(90, 100, 40, soft=True)).softness == pytest.approx(1, abs=0.02)


def test_vertical_metrics_follow_bit_seven() -> None:
    """OpenType 1.9, OS/2, fsSelection: USE_TYPO_METRICS."""
    font = TTFont(io.BytesIO(drawn(90, 100, 40)))
    assert vertical(font) == (0.9, -0.3, 0.0)
    font["OS/2"].fsSelection |= 0x80
    assert vertical(font) == (0.8, -0.2, 0.1)


def test_a_font_without_the_letters_says_so() -> None:
    font = TTFont(io.BytesIO(drawn(90, 100, 40)))
    for table in font["cmap"].tables:
        table.cmap.pop(ord("o"), None)
    out = io.BytesIO()
    font.save(out)
    with pytest.raises(FontError, match="“o”"):
        measure(out.getvalue())
