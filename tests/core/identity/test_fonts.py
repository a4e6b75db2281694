"""Fonts made ready for pages, in the reader's process, from files that fontTools built."""

import base64
import io

import pytest
from fontTools.fontBuilder import FontBuilder
from fontTools.pens.t2CharStringPen import T2CharStringPen
from fontTools.ttLib import TTFont, newTable

from formulon.core.errors import ReadError
from formulon.core.identity.fonts import prepare
from formulon.core.identity.isolated import readers
from formulon.core.type.features import plain
from formulon.core.type.library import SHIPPED


def postscript(bits: int = 0, copyright: str = "") -> bytes:
    """An OpenType file with PostScript outlines: bars for letters."""
    names = [".notdef", "space", *"nxoHil"]
    glyphs = {}
    for name in names:
        pen = T2CharStringPen(600, None)
        pen.moveTo((100, 0))
        for point in ((100, 500), (300, 500), (300, 0)):
            pen.lineTo(point)
        pen.closePath()
        glyphs[name] = pen.getCharString()
    build = FontBuilder(1000, isTTF=False)
    build.setupGlyphOrder(names)
    build.setupCharacterMap({32: "space"} | {ord(name): name for name in names[2:]})
    build.setupCFF("Bars", {"FullName": "Quill Bars"}, glyphs, {})
    build.setupHorizontalMetrics(dict.fromkeys(names, (600, 100)))
    build.setupHorizontalHeader(ascent=800, descent=-200)
    build.setupNameTable({"familyName": "Quill <Bars>", "styleName": "Regular", "copyright": copyright})
    build.setupOS2(usWeightClass=700, fsType=bits)
    build.setupPost()
    out = io.BytesIO()
    build.save(out)
    return out.getvalue()


def test_postscript_outlines_are_prepared_in_the_readers_process() -> None:
    made = readers().font("bars.otf", postscript(bits=0x102, copyright="With Reserved Font Name Quill"))
    assert made["family"] == "Quill Bars" and made["weights"] == [700, 700]
    assert (made["restricted"], made["no_subsetting"], made["reserved_name"]) == (True, True, True)
    assert made["measured"]["stem"] == pytest.approx(0.2, abs=0.002)
    font = TTFont(io.BytesIO(base64.b64decode(made["woff2"])))
    assert font.flavor == "woff2" and set(map(chr, font.getBestCmap())) == set(" nxoHil")


@pytest.mark.parametrize("family_id", ["figtree", "fraunces", "young-serif"])
def test_a_prepared_file_sets_type_as_the_original(family_id: str) -> None:
    """Advances, kerning and axes are those of the file that came (fontTools and HarfBuzz read both)."""
    data = SHIPPED.family(family_id).faces[0].open()
    made = readers().font("f.woff2", data)
    before, after = TTFont(io.BytesIO(plain(data))), TTFont(io.BytesIO(plain(base64.b64decode(made["woff2"]))))
    assert before["hmtx"].metrics == after["hmtx"].metrics and before.getBestCmap() == after.getBestCmap()
    assert ("GPOS" in before, "fvar" in before) == ("GPOS" in after, "fvar" in after)
    assert made["category"] == SHIPPED[family_id].category


def test_programs_and_unknown_tables_stay_behind() -> None:
    font = TTFont(io.BytesIO(plain(SHIPPED.family("young-serif").faces[0].open())))
    font["XXXX"] = newTable("XXXX")
    font["XXXX"].data = b"anything"
    out = io.BytesIO()
    font.save(out)
    kept = TTFont(io.BytesIO(prepare("f.ttf", out.getvalue())["woff2"]))
    assert not {"XXXX", "fpgm", "prep", "cvt ", "DSIG"} & set(kept.keys())


def test_a_torn_file_is_refused_in_words() -> None:
    with pytest.raises(ReadError, match=r"torn\.ttf"):
        prepare("torn.ttf", plain(SHIPPED.family("figtree").faces[0].open())[:5000])
