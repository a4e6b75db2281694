"""The picture of a page for places that show links, 1200 × 630 px: the mark and the page's title on the site's deep ground, or one of the
brand's own pictures around the point that stays in sight.

Its path holds a hash of all that it is drawn from, so that a picture that has been drawn once need not be drawn again.
"""

import hashlib
import io
import zlib
from collections.abc import Callable
from functools import lru_cache

import numpy as np
import resvg_py
from numpy.typing import NDArray
from PIL import Image, ImageDraw, ImageOps

from formulon.core.color.srgb import from_hex
from formulon.core.site.site import Asset, Page, Site
from formulon.core.site.values import PLACEHOLDER, Focus
from formulon.core.system.system import System
from formulon.core.type.emphasis import plain
from formulon.core.type.fit import cased
from formulon.core.type.library import Family
from formulon.core.type.lines import balanced
from formulon.core.type.raster import draw_text

OpenBlob = Callable[[str], bytes]
WIDTH, HEIGHT = 1200, 630  # common practice
_MARGIN, _MARK, _LINES, _BAND = 72, 84, 4, 18
_STEPS = 200  # colours from ground to ink
_NUMBERS = [value * (_STEPS - 1) // 255 for value in range(256)]
_SIZES = (92, 80, 68, 58, 48)


def social_path(site: Site, system: System, page: Page) -> str:
    """Where the picture of a page lies."""
    own = _own(site, page)
    if own:
        asset, focus = own
        told = [asset.svg, [one.sha256 for one in asset.renditions], focus.x, focus.y, system.css("ground/paper/background")]
        return f"social/{page.id}-{hashlib.sha256(repr(told).encode()).hexdigest()[:12]}.jpg"
    shown = tuple(one.id if isinstance(one, Family) else one for one in _parts(site, system, page))
    digest = hashlib.sha256(repr(shown).encode()).hexdigest()[:12]
    return f"social/{page.id}-{digest}.png"


def social_picture(site: Site, system: System, page: Page, open_blob: OpenBlob | None = None) -> bytes:
    """The picture: as PNG, or as JPEG where it is one of the brand's own, of which `open_blob` gives the bytes by their SHA-256."""
    own = _own(site, page)
    if own and not own[0].svg and open_blob is None:  # at hand without its bytes: what it would show without it
        return _photographed(Image.open(io.BytesIO(_drawn(*_parts(site, system, page)))), Focus(), "#ffffff")
    if own:
        return _photographed(_opened(own[0], open_blob), own[1], system.css("ground/paper/background"))
    return _drawn(*_parts(site, system, page))


def _own(site: Site, page: Page) -> tuple[Asset, Focus] | None:
    """The brand's picture that a page's links show, where it has one that is there."""
    asset = site.asset(page.card.source[6:]) if page.card else None
    return (asset, page.card.focus) if asset and page.card else None


def _opened(asset: Asset, open_blob: OpenBlob | None) -> Image.Image:
    if asset.svg:
        png = resvg_py.svg_to_bytes(svg_string=asset.svg, height=HEIGHT, skip_system_fonts=True)
        return Image.open(io.BytesIO(bytes(png)))
    sizes = asset.sizes("webp")
    enough = next((one for one in sizes if one.width >= WIDTH), sizes[-1])
    assert open_blob is not None
    return Image.open(io.BytesIO(open_blob(enough.sha256)))


def _photographed(picture: Image.Image, focus: Focus, back: str) -> bytes:
    """A picture that fills the whole, cut around its point as `object-position` does, what is clear on the paper."""
    laid = Image.new("RGB", picture.size, from_hex(back))
    whole = picture.convert("RGBA")
    laid.paste(whole, (0, 0), whole)
    out = io.BytesIO()
    fitted = ImageOps.fit(laid, (WIDTH, HEIGHT), Image.Resampling.LANCZOS, centering=(focus.x, focus.y))
    fitted.save(out, "JPEG", quality=86, progressive=True)
    return out.getvalue()


def _parts(site: Site, system: System, page: Page) -> tuple[str, str, str, str, str, Family, int, str, str]:
    heading = next(
        (str(section.content["heading"]) for section in page.sections if section.content.get("heading")),
        page.title or page.name,
    )
    title = PLACEHOLDER.sub(r"[\1]", plain(heading)).replace("\n", " ")
    step = system.steps["h1"]
    chosen = system.mark("deep").mark
    mark = next((one for one in site.identity.marks if one.id == chosen), None)
    colors = [system.css(f"ground/deep/{name}") for name in ("background", "heading")]
    band = system.css("ground/accent/background")
    title = cased(title, step.case, site.identity.language)
    return title, site.identity.name, *colors, band, step.family, step.weight, mark.svg if mark else "", site.identity.language  # type: ignore[return-value]


@lru_cache(maxsize=512)
def _drawn(
    title: str, name: str, back: str, ink: str, band: str, family: Family, weight: int, mark: str, language: str
) -> bytes:
    words = Image.new("L", (WIDTH, HEIGHT))
    draw = ImageDraw.Draw(words)
    room = WIDTH - 2 * _MARGIN
    for size in _SIZES:
        lines = balanced(family, weight, title, size, room, 0.0, language)
        if len(lines) <= _LINES:
            break
    top = HEIGHT - _BAND - _MARGIN - len(lines) * size * 1.12
    for index, line in enumerate(lines[:_LINES]):
        draw_text(draw, (_MARGIN, top + index * size * 1.12), line, family, weight, size)
    if not mark:
        draw_text(draw, (_MARGIN, _MARGIN), name, family, weight, 44)
    # Colours by number, which is many times faster to write than true colours: steps from ground to ink, the mark's, the band's.
    ground, text = np.array(from_hex(back)), np.array(from_hex(ink))
    share = np.linspace(0, 1, _STEPS)[:, None]
    palette = [np.rint(ground * (1 - share) + text * share).astype(int)]
    image = words.point(_NUMBERS)
    if mark:
        drawn, colors = _mark(mark, back)
        image.paste(Image.fromarray(drawn + _STEPS), (_MARGIN, _MARGIN))
        palette.append(colors)
    palette.append(np.array([from_hex(band)]))
    table = np.concatenate(palette)
    image.paste(len(table) - 1, (0, HEIGHT - _BAND, WIDTH, HEIGHT))
    image.putpalette(table.astype(np.uint8).tobytes())
    out = io.BytesIO()
    image.save(out, "PNG", compress_level=1, compress_type=zlib.Z_RLE)  # as small for drawings, in half the time
    return out.getvalue()


@lru_cache(maxsize=16)
def _mark(svg: str, back: str) -> tuple[NDArray[np.uint8], NDArray[np.int_]]:
    """The mark on the ground: numbers of colours, and the colours, at most 40."""
    png = resvg_py.svg_to_bytes(svg_string=svg, height=_MARK, skip_system_fonts=True)
    picture = Image.open(io.BytesIO(bytes(png))).convert("RGBA")
    picture = picture.crop((0, 0, min(picture.width, WIDTH - 2 * _MARGIN), picture.height))
    laid = Image.new("RGB", picture.size, from_hex(back))
    laid.paste(picture, (0, 0), picture)
    small = laid.quantize(40, Image.Quantize.MEDIANCUT, dither=Image.Dither.NONE)
    colors = np.array(small.getpalette()[: 3 * 40]).reshape(-1, 3)  # type: ignore[index]
    return np.asarray(small).astype(np.uint8), colors
