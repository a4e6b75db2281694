"""TTF, OTF, WOFF, WOFF2: family, style, weight, axes, metrics, languages, licence and embedding."""

import io
import re
from typing import Any

from fontTools.ttLib import TTFont, TTLibError

from formulon.core.errors import ReadError
from formulon.core.identity.sightings import Reading, TypefaceSeen
from formulon.core.type.languages import languages

_STYLES = "thin|extra ?light|light|regular|medium|semi ?bold|bold|extra ?bold|black|italic|variable"


def read(name: str, data: bytes) -> Reading:
    """Raises ReadError where the file is broken, or no font."""
    try:
        font = TTFont(io.BytesIO(data), lazy=True, fontNumber=0)
        seen = _seen(font, name)
    except ReadError:
        raise
    except Exception as error:  # a broken table raises struct, assertion, index and the library's own errors alike
        cause = str(error)[:80] if isinstance(error, TTLibError) and str(error) else type(error).__name__
        raise ReadError(f"{name}: the font is broken or cut short ({cause}). Ask for the file again.") from error
    form = {"wOFF": "WOFF", "wOF2": "WOFF2", "OTTO": "OTF", "ttcf": "TTC"}.get(data[:4].decode("latin-1"), "TTF")
    return Reading(file=name, format=form, sightings=[seen])


def _name(font: TTFont, *ids: int) -> str:
    for number in ids:
        found = font["name"].getDebugName(number)
        if found and found.strip():
            return " ".join(found.split())
    return ""


def _seen(font: TTFont, name: str) -> TypefaceSeen:
    family = _name(font, 16, 1)
    if not family:
        raise ReadError(f"{name}: the font names no family. Ask for the file that the foundry delivered.")
    os2: Any = font.get("OS/2")
    units = float(font["head"].unitsPerEm)
    axes = (
        {axis.axisTag: (axis.minValue, axis.defaultValue, axis.maxValue) for axis in font["fvar"].axes}
        if "fvar" in font
        else {}
    )
    weights = [int(os2.usWeightClass)] if os2 else []
    if "wght" in axes:
        weights = [int(axes["wght"][0]), int(axes["wght"][2])]
    italic = bool(os2 and os2.fsSelection & 1) or bool(font["head"].macStyle & 2)
    if axes and (not _name(font, 16) or re.search(r"\d+ ?pt\b", family)):
        # A variable file without a typographic family names its default instance: "Example Light", "Example 16pt".
        family = re.sub(rf"(?i)(?:\s+(?:{_STYLES}|\d+ ?pt))+$", "", family) or family
    hhea = font["hhea"]
    metrics = {"ascender": hhea.ascent / units, "descender": hhea.descent / units, "line gap": hhea.lineGap / units}
    if os2 and getattr(os2, "sxHeight", 0):
        metrics |= {"x-height": os2.sxHeight / units, "cap height": os2.sCapHeight / units}
    codes = set(font.getBestCmap() or {})
    if not codes:
        raise ReadError(f"{name}: the font draws no character that can be typed. Ask for the file that the foundry delivered.")
    licence = " ".join(filter(None, (_name(font, 13), _name(font, 14))))[:300]
    return TypefaceSeen(
        family=family[:80], style=_name(font, 17, 2)[:60], weights=weights, italic=italic, source="font file",
        place=f"names, {len(codes):,} characters", axes=axes, metrics={key: round(value, 4) for key, value in metrics.items()},
        languages=languages(codes), licence=licence, embedding=_embedding(int(os2.fsType)) if os2 else "", sure=0.98,
    )  # fmt: skip


def _embedding(bits: int) -> str:
    """What OS/2 fsType allows. Source: OpenType 1.9, OS/2, fsType."""
    usage = bits & 0x000F
    said = "installable"
    if usage & 0x2:
        said = "restricted"
    elif usage & 0x4:
        said = "preview and print"
    elif usage & 0x8:
        said = "editable"
    if bits & 0x0100:
        said += ", no subsetting"
    if bits & 0x0200:
        said += ", bitmaps only"
    return said
