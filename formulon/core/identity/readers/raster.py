"""PNG, JPEG, WebP, AVIF: a mark or a photograph, its colours, its transparency."""

import base64
import io
import re
import warnings

import numpy as np
from PIL import Image, ImageOps, UnidentifiedImageError

from formulon.core.color.srgb import to_hex
from formulon.core.errors import ReadError
from formulon.core.identity.drawn import drawn_flat
from formulon.core.identity.marks import judge, look, without_ground
from formulon.core.identity.pixels import Pixels, Share, dominant_colors, flat_colors, thumb
from formulon.core.identity.sightings import TRACED, ColorSeen, ColorUse, MarkSeen, PictureSeen, Reading, css_hex, title_of
from formulon.core.identity.svg import rebuild
from formulon.core.identity.tracing import trace

MOST_PIXELS = 40_000_000
FORMATS = ("PNG", "JPEG", "WEBP", "AVIF")
_LOSSY = ("JPEG", "AVIF")
# Photographs have hundreds of colours and no even areas; few clusters that cover nearly all speak for a mark.
_FLAT_SHARE = 0.93
_EXACT_SIDE = 1600
_MOST_ERROR = 0.03  # of a mark's area by which its outlines may differ, and they are still offered
_LOOK_SIDE = 800  # what colours and kind of a photograph are told from


def read(name: str, data: bytes) -> Reading:
    """Raises ReadError where the picture is broken, or too large to be drawn."""
    picture, form, size = _open(name, data, _LOOK_SIDE)
    pixels = np.asarray(picture)
    lossy = form in _LOSSY or (form == "WEBP" and b"VP8 " in data[:64])
    exact = None if lossy else flat_colors(pixels)
    transparent = float((pixels[..., 3] < 128).mean())
    shares = exact if exact is not None else dominant_colors(pixels)
    flat = exact is not None and len(exact) <= 24
    if exact is None:
        flat = bool(shares) and len(shares) <= 6 and _covered(pixels, shares) >= _FLAT_SHARE and max(size) <= 2400
        few = None if flat or max(size) > 2400 else drawn_flat(pixels)
        flat, shares = (True, few) if few else (flat, shares)
    reading = Reading(file=name, format="JPEG" if form == "JPEG" else form.replace("WEBP", "WebP"))
    if transparent == 1:
        reading.notes.append("The picture is entirely transparent.")
        return reading
    if flat:
        cut, ground = without_ground(pixels) if transparent < 0.05 else (pixels, None)
        kind = "pixels" if exact is not None else "clusters of pixels"
        for share in shares:
            on_ground = ground is not None and max(abs(a - b) for a, b in zip(share.rgb, ground, strict=True)) <= 6
            reading.sightings.append(_color(share, "ground of the picture" if on_ground else kind, exact is None, on_ground))
        reading.sightings.append(_mark(name, pixels, cut, size, transparent, [share.rgb for share in shares], ground))
    if not flat or transparent < 0.05:
        sure = 0.3 if flat else 0.9
        main = [css_hex(share.rgb) for share in shares[:5]]
        title = title_of(name)
        reading.sightings.append(
            PictureSeen(
                name=title,
                place="the whole picture",
                width=size[0],
                height=size[1],
                colors=main,
                shares=[round(share.share, 4) for share in shares[:5]],
                thumb=thumb(pixels),
                sure=sure,
            )
        )
    return reading


def _open(name: str, data: bytes, side: int) -> tuple[Image.Image, str, tuple[int, int]]:
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("ignore")
            opened = Image.open(io.BytesIO(data), formats=FORMATS)
            form, size = str(opened.format), opened.size
            if size[0] * size[1] > MOST_PIXELS:
                raise ReadError(
                    f"{name}: the picture has {size[0]:,} × {size[1]:,} pixels. Formulon reads {MOST_PIXELS // 1_000_000}"
                    " million: make it smaller."
                )
            if form == "JPEG":
                opened.draft("RGB", (side, side))  # JPEG alone: decoded at half or a quarter of its size, not below this
            turned = ImageOps.exif_transpose(opened)
            if turned.size != opened.size and size[0] != size[1]:
                size = size[1], size[0]
            made = _screen(turned)
    except Image.DecompressionBombError as error:
        raise ReadError(
            f"{name}: the picture has far more pixels than the {MOST_PIXELS // 1_000_000} million that Formulon reads. Make it smaller."
        ) from error
    except (
        OSError,
        ValueError,
        SyntaxError,
        KeyError,
        IndexError,
        TypeError,
        ZeroDivisionError,
        EOFError,
        UnidentifiedImageError,
    ) as error:
        raise ReadError(f"{name}: the picture is broken or cut short ({_plain(error)}). Export it again.") from error
    # Exactness needs no more than every nth pixel of a very large picture.
    step = max(1, -(-max(made.size) // (4 * _EXACT_SIDE)))
    return (made.resize((made.width // step, made.height // step), Image.Resampling.NEAREST) if step > 1 else made), form, size


def _screen(picture: Image.Image) -> Image.Image:
    """RGBA in eight bits. Profiles other than sRGB and print colours are converted."""
    if picture.mode == "CMYK":
        from formulon.core.color.printing import convert_picture

        return convert_picture(picture).convert("RGBA")
    if picture.mode in ("I;16", "I", "F"):
        return picture.point(lambda value: value / 256).convert("L").convert("RGBA")
    return picture.convert("RGBA")


def _plain(error: Exception) -> str:
    text = re.sub(r"<[^>]*>", "", str(error)).strip(" .")
    return text[:80] or type(error).__name__


def _covered(pixels: Pixels, shares: list[Share]) -> float:
    """The share of pixels that lies close to one of the colours, in eight-bit steps."""
    step = max(1, round((pixels.shape[0] * pixels.shape[1] / 40_000) ** 0.5))
    solid = pixels[::step, ::step].reshape(-1, 4)
    solid = solid[solid[:, 3] > 250][:, :3].astype(np.int64)
    if not len(solid):
        return 0.0
    centres = np.array([share.rgb for share in shares])
    nearest = np.abs(solid[:, None] - centres[None]).max(-1).min(1)
    return float((nearest <= 10).mean())


def _color(share: Share, place: str, approximate: bool, ground: bool) -> ColorSeen:
    text = css_hex(share.rgb)
    sure = 0.4 if ground else 0.5 if approximate else 0.9
    use: ColorUse = "background" if ground else "drawn"
    return ColorSeen(
        hex=text, value=text, use=use, place=place, share=round(share.share, 4), sure=sure, approximate=approximate
    )


def _mark(
    name: str, whole: Pixels, pixels: Pixels, size: tuple[int, int], transparent: float, colors: list[tuple[int, int, int]],
    ground: tuple[int, int, int] | None,
) -> MarkSeen:  # fmt: skip
    """A mark of pixels; with its outlines where they can be traced so that hardly anything differs."""
    shape = judge(pixels, name)
    note = "This logo is made of pixels. Ask for it as SVG; until then the name is set as text."
    svg, place, sure = "", "the whole picture", 0.7 if transparent > 0.05 else 0.5
    traced = trace(whole, colors, ground)
    if traced and traced.error <= _MOST_ERROR:
        svg, place, sure = rebuild(traced.svg.encode(), name).svg, f"the whole picture, {TRACED}", 0.5
        note = (
            f"Traced from {size[0]} × {size[1]} pixels; drawn again, {traced.error:.1%} of its area differ. Ask for the drawing itself, "
            "which is exact."
        )
    return MarkSeen(
        name=name.rsplit("/", 1)[-1], place=place, shape=shape.shape, meant_for=shape.meant_for, svg=svg, width=size[0], height=size[1],
        bounds=shape.bounds, lightness=shape.lightness, note=note, look=look(pixels), sure=sure,
    )  # fmt: skip


# For a phone's whole width at one, two and three pixels to a px, and a desk's half and whole at one and two.
WIDTHS = (480, 768, 1200, 1600, 2560)


def renditions(name: str, data: bytes, form: str = "webp") -> dict[str, object]:
    """A photograph encoded anew in sizes for pages, as "webp", "avif", or "draft", a WebP that is made in less time: those of WIDTHS that are smaller than itself, and its
    own, at most the last of them. Raises ReadError."""
    picture, _, size = _open(name, data, WIDTHS[-1])
    whole = picture if bool((np.asarray(picture)[..., 3] < 255).any()) else picture.convert("RGB")
    own = min(whole.width, WIDTHS[-1])
    made = []
    for width in (*(one for one in WIDTHS if one < own), own):
        height = max(1, round(whole.height * width / whole.width))
        file = io.BytesIO()
        sized = whole.resize((width, height), Image.Resampling.LANCZOS) if width != whole.width else whole
        if form == "avif":
            sized.save(file, "AVIF", quality=58, speed=8)
        else:
            sized.save(file, "WEBP", quality=78, method=4 if form == "webp" else 0)
        made.append([width, base64.b64encode(file.getvalue()).decode()])
    small = np.asarray(picture.convert("RGBA").resize((200, max(1, round(picture.height * 200 / picture.width)))))
    colors = [[to_hex(one.rgb), round(one.share, 4)] for one in dominant_colors(small)]
    return {"width": size[0], "height": size[1], "sizes": made, "colors": colors}
