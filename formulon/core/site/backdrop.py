"""The pixels of a section's picture behind its texts: of drawings, of the brand's own drawings and of photographs.

Bytes come from a function that is handed in. What was read is kept by the picture's content, the crop and the text, so that
a change of colours reads no picture again. A drawing of the library is read as the numbers of its tokens, without smoothing.
"""

import io
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field, replace
from functools import lru_cache

import numpy as np
import resvg_py
from numpy.typing import NDArray
from PIL import Image

from formulon.core.color import overlay
from formulon.core.color.overlay import Laid
from formulon.core.color.srgb import RGB
from formulon.core.color.treatment import Treatment, treated
from formulon.core.site import pictures
from formulon.core.site.behind import Pixels, TextBlock, behind, cropped, glyphs, profile
from formulon.core.site.site import Site
from formulon.core.site.standing import Stand
from formulon.core.site.values import Picture

OpenBlob = Callable[[str], bytes]
NATURAL = Treatment()


@dataclass(frozen=True, slots=True)
class Backdrop:
    """A picture by its content. `open` gives its bytes and does not count among what makes two of them equal."""

    kind: str  # "drawn", "svg" or "photograph"
    key: str
    ratio: float  # width by height
    open: Callable[[], bytes] = field(compare=False, repr=False)


@dataclass(frozen=True, slots=True, eq=False)
class Taken:
    """What a picture has within one stem width of a text's glyphs: numbers of tokens, shape (n,), of a drawing, else RGBA,
    shape (n, 4); and where, shape (n, 2) as x, y in a box of `width` × `height` px."""

    values: NDArray[np.uint8]
    places: NDArray[np.int64]
    width: int
    height: int
    picture: Backdrop
    focus: tuple[float, float]
    block: TextBlock

    def pixels(self, paints: Sequence[RGB], under: RGB, how: Treatment = NATURAL) -> Pixels:
        """Colours, shape (n, 3). Photographs alone are treated."""
        made = painted(self.values, paints, under)
        return treated(made, how) if self.picture.kind == "photograph" else made


def painted(values: NDArray[np.uint8], paints: Sequence[RGB], under: RGB) -> Pixels:
    """Colours, shape (n, 3): the numbers of a drawing in its paints, RGBA over the colour that lies under it."""
    if values.ndim == 1:
        return np.array((under, *paints), dtype=np.uint8)[values]
    if (values[:, 3] == 255).all():
        return values[:, :3]
    alpha = values[:, 3:].astype(np.uint32)
    return ((values[:, :3] * alpha + np.array(under, dtype=np.uint32) * (255 - alpha) + 127) // 255).astype(np.uint8)


def backdrop(site: Site, picture: Picture, open_blob: OpenBlob | None) -> Backdrop | None:
    """The picture by its content; None where it is gone, or where the bytes of a photograph cannot be had."""
    if picture.source.startswith("drawn:"):
        return Backdrop("drawn", picture.source, pictures.WIDTH / pictures.HEIGHT, bytes)
    asset = site.asset(picture.source.removeprefix("asset:"))
    if asset is None:
        return None
    ratio = asset.width / asset.height
    if asset.svg:
        return Backdrop("svg", asset.svg, ratio, asset.svg.encode)
    if open_blob is None:
        return None
    largest = (asset.sizes("webp") or asset.sizes("avif"))[-1].sha256
    return Backdrop("photograph", largest, ratio, lambda: open_blob(largest))


def taken(picture: Backdrop, box: Stand, slot: str, focus: tuple[float, float]) -> Taken:
    """What lies behind one text of a section."""
    return _taken(picture, box.width, box.height, focus, box.texts[slot])


@lru_cache(maxsize=256)
def _taken(picture: Backdrop, width: int, height: int, focus: tuple[float, float], block: TextBlock) -> Taken:
    found = behind(_crop(picture, width, height, focus), [block])
    values = found.pixels[:, 0] if picture.kind == "drawn" else found.pixels
    return Taken(np.ascontiguousarray(values), found.places, width, height, picture, focus, block)


@lru_cache(maxsize=4096)
def judged(demand: "Demand", opacity: float, shape: str) -> Laid:
    """What an ink has over the picture under an overlay in the colour of its ground, whether it passes or not."""
    what = demand.what
    strength = profile(shape, what.places, what.width, what.height)
    return overlay.measured(demand.pixels(), demand.ink, demand.under, opacity, demand.required, strength)


@dataclass(frozen=True, slots=True)
class Demand:
    """One text at one width: what lies behind it, in which colours, and the ratio that it needs."""

    what: Taken
    paints: tuple[RGB, ...]
    under: RGB
    ink: RGB
    required: float
    how: Treatment = NATURAL

    def pixels(self) -> Pixels:
        """What lies behind the text, in its colours, shape (n, 3)."""
        return self.what.pixels(self.paints, self.under, self.how)


@lru_cache(maxsize=64)
def least_opacity(demands: tuple[Demand, ...], shape: str) -> float | None:
    """The least opacity of an overlay of a shape at which all texts pass; None where there is none. What passes need not be
    one interval, so each text is asked again from the opacity that another needs, until none needs more."""
    opacity = 0.0
    while True:
        before = opacity
        for one in demands:
            strength = profile(shape, one.what.places, one.what.width, one.what.height)
            pixels = one.pixels()
            found = overlay.least(pixels, one.ink, one.under, one.required, strength, start=opacity)
            if found is None:
                return None
            opacity = found.opacity
        if opacity == before:
            return opacity


def scene_around(demand: Demand, opacity: float, shape: str, spot: int, size: tuple[int, int]) -> Pixels:
    """What is drawn around a spot of a text, by its index: picture, overlay and glyphs, shape (size[1], size[0], 3)."""
    what = demand.what
    x, y = (int(part) for part in what.places[spot])
    left, top = x - size[0] // 2, y - size[1] // 2
    crop = _crop(what.picture, what.width, what.height, what.focus)
    rows, columns = np.mgrid[top : top + size[1], left : left + size[0]]
    inside = (rows >= 0) & (rows < what.height) & (columns >= 0) & (columns < what.width)
    places = np.stack([columns[inside], rows[inside]], axis=-1)
    values = crop[rows[inside], columns[inside]]
    flat = values[:, 0] if what.picture.kind == "drawn" else values
    colors = replace(what, values=flat).pixels(demand.paints, demand.under, demand.how)
    strength = profile(shape, places, what.width, what.height)
    laid = opacity * (np.ones(len(places)) if strength is None else strength)[:, None]
    made = np.full((size[1], size[0], 3), 255, dtype=np.uint8)
    made[inside] = np.floor((1 - laid) * colors + laid * np.array(demand.under) + 0.5).astype(np.uint8)
    made[inside] = np.where(
        glyphs(what.width, what.height, what.block)[places[:, 1], places[:, 0], None], demand.ink, made[inside]
    )
    return made


def whole(picture: Backdrop, paints: Sequence[RGB], under: RGB, width: int) -> Pixels:
    """The whole picture at a width in px, shape (height, width, 3)."""
    height = max(1, round(width / picture.ratio))
    values = _crop(picture, width, height, (0.5, 0.5))
    flat = values[..., 0].reshape(-1) if picture.kind == "drawn" else values.reshape(-1, 4)
    return painted(flat, paints, under).reshape(height, width, 3)


@lru_cache(maxsize=8)
def _crop(picture: Backdrop, width: int, height: int, focus: tuple[float, float]) -> Pixels:
    """The crop in a box, shape (height, width, 4); of a drawing the numbers of its tokens, shape (height, width, 1)."""
    if picture.kind == "photograph":
        rgb = cropped(_photograph(picture), width, height, focus)
        return np.concatenate([rgb, np.full((height, width, 1), 255, dtype=np.uint8)], axis=-1)
    if picture.kind == "drawn":
        rules = "".join(f".f{n}{{fill:rgb({n * 40},0,0)}}" for n in range(1, pictures.TOKENS + 1))
        drawing = (
            f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {pictures.WIDTH} {pictures.HEIGHT}" '
            f'shape-rendering="crispEdges"><style>{rules}</style>{pictures.draw(picture.key)}</svg>'
        )
        return _raster(drawing, picture.ratio, width, height, focus)[..., :1] // 40
    return _raster(picture.key, picture.ratio, width, height, focus)


def _raster(svg: str, ratio: float, width: int, height: int, focus: tuple[float, float]) -> Pixels:
    """A drawing as `object-fit: cover` shows it in a box, as RGBA, shape (height, width, 4)."""
    image = _scaled(svg, ratio, width, height)
    top, left = round((image.shape[0] - height) * focus[1]), round((image.shape[1] - width) * focus[0])
    return image[top : top + height, left : left + width]


@lru_cache(maxsize=4)
def _scaled(svg: str, ratio: float, width: int, height: int) -> Pixels:
    """A whole drawing, as large as a box needs it, kept while its focus is moved."""
    across = max(width, round(height * ratio))
    png = resvg_py.svg_to_bytes(svg_string=svg, width=across, height=max(height, round(across / ratio)), skip_system_fonts=True)
    return np.asarray(Image.open(io.BytesIO(bytes(png))).convert("RGBA"))


@lru_cache(maxsize=4)
def _photograph(picture: Backdrop) -> Image.Image:
    return Image.open(io.BytesIO(picture.open())).convert("RGB")
