"""The picture of a page for places that show links, 1200 × 630 px: the mark and the page's title on the site's deep ground.

Its path holds a hash of all that it is drawn from, so that a picture that has been drawn once need not be drawn again.
"""

import hashlib
import io
from functools import lru_cache

import resvg_py
from PIL import Image, ImageDraw

from formulon.core.color.srgb import from_hex
from formulon.core.site.model import PLACEHOLDER, Page, Site
from formulon.core.system.model import System
from formulon.core.type.fit import cased
from formulon.core.type.lines import balanced
from formulon.core.type.raster import picture_font

WIDTH, HEIGHT = 1200, 630  # common practice
_MARGIN, _MARK, _LINES, _BAND = 72, 84, 4, 18
_SIZES = (92, 80, 68, 58, 48)


def social_path(site: Site, system: System, page: Page) -> str:
    """Where the picture of a page lies."""
    digest = hashlib.sha256(repr(_parts(site, system, page)).encode()).hexdigest()[:12]
    return f"social/{page.id}-{digest}.png"


def social_picture(site: Site, system: System, page: Page) -> bytes:
    """The picture, as PNG."""
    return _drawn(*_parts(site, system, page))


def _parts(site: Site, system: System, page: Page) -> tuple[str, str, str, str, str, str, int, str, str]:
    heading = next(
        (str(section.content["heading"]) for section in page.sections if section.content.get("heading")),
        page.title or page.name,
    )
    title = PLACEHOLDER.sub(r"[\1]", heading).replace("\n", " ")
    step = system.steps["h1"]
    chosen = system.mark("deep").mark
    mark = next((one for one in site.identity.marks if one.id == chosen), None)
    colors = [system.css(f"ground/deep/{name}") for name in ("background", "heading")]
    band = system.css("ground/accent/background")
    title = cased(title, step.case, site.identity.language)
    return title, site.identity.name, *colors, band, step.family, step.weight, mark.svg if mark else "", site.identity.language  # type: ignore[return-value]


@lru_cache(maxsize=512)
def _drawn(
    title: str, name: str, back: str, ink: str, band: str, family_id: str, weight: int, mark: str, language: str
) -> bytes:
    image = Image.new("RGB", (WIDTH, HEIGHT), from_hex(back))
    draw = ImageDraw.Draw(image)
    draw.rectangle((0, HEIGHT - _BAND, WIDTH, HEIGHT), fill=from_hex(band))
    room = WIDTH - 2 * _MARGIN
    for size in _SIZES:
        lines = balanced(family_id, weight, title, size, room, 0.0, language)
        if len(lines) <= _LINES:
            break
    font = picture_font(family_id, weight, size)
    top = HEIGHT - _BAND - _MARGIN - len(lines) * size * 1.12
    for index, line in enumerate(lines[:_LINES]):
        draw.text((_MARGIN, top + index * size * 1.12), line, font=font, fill=from_hex(ink))
    if mark:
        drawn = _mark(mark)
        image.paste(drawn, (_MARGIN, _MARGIN), drawn)
    else:
        draw.text((_MARGIN, _MARGIN), name, font=picture_font(family_id, weight, 44), fill=from_hex(ink))
    out = io.BytesIO()
    image.quantize(96, Image.Quantize.FASTOCTREE, dither=Image.Dither.NONE).save(out, "PNG", compress_level=6)
    return out.getvalue()


@lru_cache(maxsize=16)
def _mark(svg: str) -> Image.Image:
    png = resvg_py.svg_to_bytes(svg_string=svg, height=_MARK, skip_system_fonts=True)
    return Image.open(io.BytesIO(bytes(png))).convert("RGBA")
