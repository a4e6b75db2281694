"""How a family reaches visitors: files cut down to what a site writes, and stand-ins that keep the layout still."""

import io
import re
from functools import lru_cache

from fontTools import subset
from fontTools.ttLib import TTFont
from fontTools.varLib import instancer

from formulon.core.type.features import mean_advance
from formulon.core.type.languages import letters
from formulon.core.type.library import Family
from formulon.core.type.shaping import font, parts

# What visitors type into any field: printable ASCII, and the marks of typographers.
TYPED = frozenset(range(0x20, 0x7F)) | frozenset(map(ord, "\u00a0\u00ad‐–—‘’‚“”„•…‹›«»€£§©®°·×÷±½¼¾²³¹"))
# Mean advance in em of English text in the fonts that stand in, regular and bold. Read off the Liberation fonts, whose
# widths are those of Arial, Times New Roman and Courier New; a test reads them again.
_STAND_IN_WIDTHS = {"Arial": (0.4456, 0.4824), "Times New Roman": (0.4039, 0.4301), "Courier New": (0.6001, 0.6001)}
_BOLD_FROM = 550
# What browsers set text in unasked, and what is stressed.
_PLAIN, _STRESSED = 400, 700
_FACES = re.compile(r"@font-face\s*\{[^}]*\}")
_WEIGHTS = re.compile(r"(?:\bfont|-weight)[\\\"']*\s*[:=][^;{}<>]*")
_NUMBER = re.compile(r"(?<![\w.#-])\d{1,4}(?![\w.%])")
_ANY_WEIGHT = re.compile(
    r"bolder|lighter|font-variation-settings|(?:\bfont|-weight)[\\\"']*\s*[:=][^;{}<>]*(?:calc\(|var\(--(?!type-))"
)


def wanted(languages: list[str], texts: str) -> frozenset[int]:
    """The code points that a site needs: its texts', the full alphabets of its languages, and what visitors type."""
    found = TYPED | {ord(char) for char in texts if ord(char) >= 0x20}
    for code in languages:
        found |= letters(code)
    return frozenset(found)


def weights_in(styles: str) -> tuple[int, int] | None:
    """The lightest and the heaviest weight that style rules may ask for, those that a browser takes of itself included; None where the
    rules may ask for any."""
    rules = _FACES.sub("", styles)
    if _ANY_WEIGHT.search(rules):
        return None
    found = {int(number) for rule in _WEIGHTS.findall(rules) for number in _NUMBER.findall(rule)}
    known = {number for number in found if 1 <= number <= 1000} | {_PLAIN, _STRESSED}
    return min(known), max(known)


@lru_cache(maxsize=64)
def cut(data: bytes, codes: frozenset[int], weights: tuple[int, int] | None = None) -> bytes:
    """A font file with the glyphs for some code points and all OpenType features, as WOFF2; of a variable one with no more than a range
    of its weights, if one is given. The same font gives the same bytes."""
    options = subset.Options()
    options.flavor = "woff2"
    options.layout_features = ["*"]
    options.name_IDs = ["*"]
    options.hinting = False
    options.notdef_outline = True
    options.ignore_missing_unicodes = True
    opened = TTFont(io.BytesIO(data), recalcTimestamp=False)
    worker = subset.Subsetter(options)
    worker.populate(unicodes=codes)
    worker.subset(opened)
    axis = next((one for one in opened["fvar"].axes if one.axisTag == "wght"), None) if "fvar" in opened and weights else None
    if axis and weights:
        low, high = (min(max(one, axis.minValue), axis.maxValue) for one in weights)
        opened = instancer.instantiateVariableFont(opened, {"wght": (low, high)}, inplace=True)
    out = io.BytesIO()
    opened.flavor = "woff2"
    opened.save(out)
    return out.getvalue()


def size_adjust(family: Family, weight: int) -> float:
    """By how much the stand-in is drawn larger, so that English text takes the same width. Source: CSS Fonts 5, size-adjust."""
    key = parts(family, weight)[0][0]
    own = mean_advance(font(family, key, weight))
    regular, bold = _STAND_IN_WIDTHS[family.local[0]]
    return own / (bold if weight >= _BOLD_FROM else regular)


def stand_in(family: Family, weight: int) -> str:
    """An @font-face rule that gives a font of the visitor's machine the measures of the family at a weight, so that the
    layout does not move when the files arrive. Overrides are shares of the adjusted size (CSS Fonts 4, ascent-override)."""
    adjust, look = size_adjust(family, weight), family.measured
    names = [f"{name} Bold" if weight >= _BOLD_FROM else name for name in family.local]
    sources = ",".join(f"local('{name}')" for name in names)
    measures = zip(
        ("ascent", "descent", "line-gap"), (look.ascender, -look.descender, look.line_gap), strict=True
    )  # fmt: skip
    overrides = "".join(f"{name}-override:{100 * value / adjust:.2f}%;" for name, value in measures)
    return (
        f"@font-face{{font-family:'{family.name} stand-in';src:{sources};font-weight:{weight};"
        f"size-adjust:{100 * adjust:.2f}%;{overrides}}}\n"
    )
