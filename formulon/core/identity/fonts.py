"""A font file made ready for use on pages: rebuilt table by table, measured, and what its licence bits say.

Runs in the reader's process. What comes out holds only tables that draw and set type; instructions for hinting, which are
programs, stay behind. Glyphs are all kept, so nothing is subset.
"""

import io
import re
from typing import Any

from fontTools.ttLib import TTFont, getTableModule

from formulon.core.errors import FontError, ReadError
from formulon.core.identity.readers.font import read
from formulon.core.identity.sightings import TypefaceSeen
from formulon.core.type.features import measure, plain

MOST_BYTES = 20_000_000
_TABLES = (
    "head", "hhea", "hmtx", "maxp", "OS/2", "name", "cmap", "post", "glyf", "loca", "CFF ", "CFF2", "VORG", "GDEF", "GPOS", "GSUB",
    "BASE", "kern", "fvar", "gvar", "avar", "STAT", "HVAR", "VVAR", "MVAR", "vhea", "vmtx",
)  # fmt: skip
_SERIF_FROM = 1.45  # contrast from which a family without a class of its own counts as one with serifs (common practice)


def prepare(name: str, data: bytes) -> dict[str, Any]:
    """The file as WOFF2 under "woff2", as bytes, with family, weights, italic, category, measured, languages, axes, embedding,
    restricted, no_subsetting, reserved_name and licence. Raises ReadError with a sentence."""
    if len(data) > MOST_BYTES:
        raise ReadError(
            f"{name}: the file has more than {MOST_BYTES // 1_000_000} MB. Ask for the font without its extra scripts."
        )
    seen = next(one for one in read(name, data).sightings if isinstance(one, TypefaceSeen))
    try:
        font = TTFont(io.BytesIO(plain(data)), fontNumber=0)
        for tag in list(font.keys()):
            if tag not in _TABLES and tag != "GlyphOrder":
                del font[tag]
        if "glyf" in font:
            for glyph in font["glyf"].glyphs.values():
                glyph.expand(font["glyf"])
                glyph.removeHinting()
        font.ensureDecompiled(recurse=True)
        bare = _saved(font, None)
        woff2 = _saved(TTFont(io.BytesIO(bare)), "woff2")
        measured = measure(bare)
    except FontError as error:
        raise ReadError(f"{name}: {error}") from error
    except Exception as error:  # a broken table raises struct, assertion, index and the library's own errors alike
        raise ReadError(f"{name}: the font is broken ({type(error).__name__}). Ask for the file again.") from error
    low, high = (seen.weights * 2)[:2] if seen.weights else (400, 400)
    return {
        "family": re.sub(r"[^\w .&+-]", "", seen.family).strip()[:60] or "Own font",
        "weights": [max(1, min(low, high)), min(1000, max(low, high))],
        "italic": seen.italic,
        "category": _category(font, measured.contrast),
        "measured": {key: getattr(measured, key) for key in measured.__dataclass_fields__},
        "languages": seen.languages,
        "axes": sorted(seen.axes)[:30],
        "embedding": seen.embedding,
        "restricted": seen.embedding.startswith("restricted"),
        "no_subsetting": "no subsetting" in seen.embedding,
        "reserved_name": "reserved font name" in _names(font).lower(),
        "licence": seen.licence,
        "woff2": woff2,
    }


def warm(sample: bytes) -> None:
    """Loads what preparing a font loads on first use; the reader's child can open no file."""
    import fontTools.agl
    import fontTools.cffLib.specializer
    import fontTools.misc.psCharStrings  # noqa: F401

    for tag in (
        *_TABLES,
        "cvt ",
        "cvar",
        "fpgm",
        "prep",
        "gasp",
        "DSIG",
        "hdmx",
        "LTSH",
        "VDMX",
        "meta",
        "SVG ",
        "COLR",
        "CPAL",
    ):
        getTableModule(tag)
    prepare("sample", sample)


def _saved(font: TTFont, flavor: str | None) -> bytes:
    out = io.BytesIO()
    font.flavor = flavor
    font.save(out)
    return out.getvalue()


def _names(font: TTFont) -> str:
    """Copyright and licence, as the file states them."""
    return " ".join(font["name"].getDebugName(number) or "" for number in (0, 13))


def _category(font: TTFont, contrast: float) -> str:
    """What stands in for it: told from the file's own classes, its name, and last from its contrast."""
    name, os2 = (font["name"].getDebugName(16) or font["name"].getDebugName(1) or "").lower(), font.get("OS/2")
    if font["post"].isFixedPitch or "mono" in name:
        return "monospace"
    for word, means in (("sans", "sans-serif"), ("grotesk", "sans-serif"), ("serif", "serif"), ("slab", "serif")):
        if word in name:
            return means
    style = os2.panose.bSerifStyle if os2 is not None and os2.panose.bFamilyType == 2 else 0
    if style:  # OpenType 1.9, OS/2, PANOSE: serif styles 2 to 10, sans 11 to 15
        return "serif" if 2 <= style <= 10 else "sans-serif"
    return "serif" if contrast >= _SERIF_FROM else "sans-serif"
