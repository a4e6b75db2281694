"""The widths at which a page's layout changes, as its style sheets say: one px on either side of each is looked at."""

import re
from collections import Counter
from functools import lru_cache
from posixpath import dirname, join, normpath
from urllib.parse import unquote

from formulon.core.measure.files import SiteFiles

ZOOMED = 640  # px that are left of 1280 at twice the size (WCAG 2.2, 1.4.4), at which a page is looked at as well
SHEET = 718  # px that a sheet of A4 has with margins of 1 cm, at 96 to the inch (CSS Paged Media 3)
MOST = 6  # widths; a site that names more is looked at beside those that it names most
_EM = 16.0  # px: what em and rem are in a media query (Media Queries 4, 1.3)
_SHEET = re.compile(rb"<link\b[^>]*\brel\s*=\s*[\"']?stylesheet[^>]*>", re.IGNORECASE)
_HREF = re.compile(rb"\bhref\s*=\s*[\"']?([^\"'\s>]+)", re.IGNORECASE)
_MEDIA = re.compile(rb"@media([^{]{1,400})\{")
_LENGTH = rb"(\d+(?:\.\d+)?)(px|r?em)"
_FROM = re.compile(rb"min-width\s*:\s*" + _LENGTH + rb"|width\s*>=\s*" + _LENGTH)
_UNTIL = re.compile(rb"max-width\s*:\s*" + _LENGTH + rb"|width\s*<=\s*" + _LENGTH)
_BELOW = re.compile(rb"width\s*<\s*" + _LENGTH)


def edges(files: SiteFiles, path: str) -> tuple[int, ...]:
    """The last width before each change of a page's layout and the first after it, in px."""
    text = files.read(path)
    counts = Counter(breaks(text))
    for link in _SHEET.findall(text):
        found = _HREF.search(link)
        if found:
            counts.update(
                _of_sheet(files, normpath(join(dirname(path), unquote(found[1].decode("utf-8", "replace")).partition("?")[0])))
            )
    most = [width for width, _ in sorted(counts.items(), key=lambda one: (-one[1], one[0]))[:MOST]]
    return tuple(sorted({ZOOMED, *(width + step for width in most for step in (-1, 0))}))


@lru_cache(maxsize=64)
def _of_sheet(files: SiteFiles, path: str) -> tuple[int, ...]:
    return breaks(files.read(path)) if path in files.sizes else ()


def breaks(text: bytes) -> tuple[int, ...]:
    """The first widths of layouts that a style sheet's media queries name, as often as they do, in px from 200 to 3,000."""
    made = []
    for media in _MEDIA.findall(text):
        for pattern, step in ((_FROM, 0.0), (_UNTIL, 1.0), (_BELOW, 0.0)):
            for found in pattern.findall(media):
                number, unit = (one for one in found if one)
                px = float(number) * (1.0 if unit == b"px" else _EM)
                # "max-width: 47.99em" ends where the next whole px begins.
                made.append(int(px // 1 + 1) if step and px % 1 else round(px + step))
    return tuple(one for one in made if 200 <= one <= 3_000)
