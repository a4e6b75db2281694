"""How a family reaches visitors: files cut down to what a site writes, and stand-ins that keep the layout still."""

import io
from functools import lru_cache

from fontTools import subset
from fontTools.ttLib import TTFont

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


def wanted(languages: list[str], texts: str) -> frozenset[int]:
    """The code points that a site needs: its texts', the full alphabets of its languages, and what visitors type."""
    found = TYPED | {ord(char) for char in texts if ord(char) >= 0x20}
    for code in languages:
        found |= letters(code)
    return frozenset(found)


@lru_cache(maxsize=64)
def cut(data: bytes, codes: frozenset[int]) -> bytes:
    """A font file with the glyphs for some code points and all OpenType features, as WOFF2."""
    options = subset.Options()
    options.flavor = "woff2"
    options.layout_features = ["*"]
    options.name_IDs = ["*"]
    options.hinting = False
    options.notdef_outline = True
    options.ignore_missing_unicodes = True
    opened = TTFont(io.BytesIO(data))
    worker = subset.Subsetter(options)
    worker.populate(unicodes=codes)
    worker.subset(opened)
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
