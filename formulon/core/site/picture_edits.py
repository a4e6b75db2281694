"""Light work on a photograph: turned, straightened, lighter or darker, cropped, a plain background taken away and its edge mended by hand. Pure: a picture in, a
picture out. It is done in that order, each on what the one before made, and always on the picture as it came, so that nothing is lost by
doing it again otherwise."""

import math
from typing import Literal

import numpy as np
from numpy.typing import NDArray
from PIL import Image, ImageDraw, ImageFilter
from pydantic import Field

from formulon.core.color.oklab import rgb_to_oklab
from formulon.core.color.srgb import from_linear, to_linear_wcag
from formulon.core.errors import FormulonError
from formulon.core.site.values import Share
from formulon.core.system.documents.identity import Model

MOST_STROKES, MOST_POINTS = 120, 600
_LEAST = 0.05  # of a side that a crop leaves at least
_EDGE = 12  # px of the border by which a background is told
_EVEN = 0.08  # by how much, in OKLab, a plain background differs from its mean at most
_SMALL = 360  # px of the side on which it is followed from the border
_SOFT = 0.35  # of the tolerance, over which the edge goes from clear to whole


class NotPlain(FormulonError):
    """The background is not of one colour."""

    code = "not-plain"


class Crop(Model):
    """What is left, as shares of the turned and straightened picture."""

    x: float = Field(default=0, ge=0, le=1 - _LEAST)
    y: float = Field(default=0, ge=0, le=1 - _LEAST)
    width: float = Field(default=1, ge=_LEAST, le=1)
    height: float = Field(default=1, ge=_LEAST, le=1)


class Stroke(Model):
    """A stroke with a round brush over the edge of a background that was taken away: what it goes over is kept, or goes. Points and radius
    are shares of the turned and straightened picture, the radius of its longer side."""

    keep: bool
    radius: float = Field(ge=0.002, le=0.25)
    points: list[tuple[Share, Share]] = Field(min_length=1, max_length=MOST_POINTS)


class Edits(Model):
    """What is to be done. `straighten` is in degrees clockwise, `exposure` in stops, `plain` the tolerance in OKLab with which a plain
    background is taken away; None leaves it. `strokes` mend its edge, one after the other."""

    turn: Literal[0, 90, 180, 270] = 0
    straighten: float = Field(default=0, ge=-15, le=15)
    crop: Crop = Field(default_factory=Crop)
    exposure: float = Field(default=0, ge=-2, le=2)
    plain: float | None = Field(default=None, ge=0.01, le=0.3)
    strokes: list[Stroke] = Field(default=[], max_length=MOST_STROKES)


def edited(picture: Image.Image, edits: Edits) -> Image.Image:
    """The picture with it done. Raises NotPlain where a background that is to be taken away is none."""
    made = picture.convert("RGBA")
    if edits.turn:
        made = made.transpose(
            {90: Image.Transpose.ROTATE_270, 180: Image.Transpose.ROTATE_180, 270: Image.Transpose.ROTATE_90}[edits.turn]
        )
    if edits.straighten:
        made = _straightened(made, edits.straighten)
    if edits.exposure:
        made = _exposed(made, edits.exposure)
    cut = _cropped(made, edits.crop) if edits.crop != Crop() else made
    if edits.plain is None:
        return cut
    try:
        clear = _without_background(cut, edits.plain)
    except NotPlain:  # what is cut close to its subject has its background outside
        clear = _cropped(_without_background(made, edits.plain), edits.crop)
    return _mended(clear, cut, edits, made.size)


def inside(width: float, height: float, degrees: float) -> tuple[float, float]:
    """The largest upright rectangle of a picture that was turned by some degrees that has none of its corners empty: width and height.

    Where the long side touches two corners of it, the rectangle is half as wide as the short side over the sine; else all four edges
    touch. Derived by plane geometry, and held against a search in the tests."""
    sine, cosine = abs(math.sin(math.radians(degrees))), abs(math.cos(math.radians(degrees)))
    long, short = max(width, height), min(width, height)
    if short <= 2 * sine * cosine * long or abs(sine - cosine) < 1e-9:
        half = 0.5 * short
        return (half / sine, half / cosine) if width >= height else (half / cosine, half / sine)
    double = cosine * cosine - sine * sine
    return (width * cosine - height * sine) / double, (height * cosine - width * sine) / double


def _straightened(picture: Image.Image, degrees: float) -> Image.Image:
    turned = picture.rotate(-degrees, Image.Resampling.BICUBIC)
    wide, high = (max(1, math.floor(one)) for one in inside(picture.width, picture.height, degrees))
    wide, high = min(wide, picture.width), min(high, picture.height)
    left, top = (picture.width - wide) // 2, (picture.height - high) // 2
    return turned.crop((left, top, left + wide, top + high))


def _cropped(picture: Image.Image, crop: Crop) -> Image.Image:
    left = min(picture.width - 1, round(crop.x * picture.width))
    top = min(picture.height - 1, round(crop.y * picture.height))
    right = min(picture.width, max(left + 1, round((crop.x + crop.width) * picture.width)))
    foot = min(picture.height, max(top + 1, round((crop.y + crop.height) * picture.height)))
    return picture.crop((left, top, right, foot))


def _exposed(picture: Image.Image, stops: float) -> Image.Image:
    """Each stop doubles the light. What would be lighter than white is white."""
    values = np.asarray(picture)
    light = np.clip(to_linear_wcag(values[..., :3]) * 2.0**stops, 0, 1)
    made = np.dstack([np.rint(from_linear(light) * 255).astype(np.uint8), values[..., 3]])
    return Image.fromarray(made, "RGBA")


def _without_background(picture: Image.Image, tolerance: float) -> Image.Image:
    """What is of the border's colour and hangs together with the border becomes clear, softly at its edge."""
    values = np.asarray(picture)
    lab = rgb_to_oklab(values[..., :3])
    edge = max(1, min(_EDGE, *(side // 4 for side in lab.shape[:2])))
    border = np.concatenate(
        [lab[:edge].reshape(-1, 3), lab[-edge:].reshape(-1, 3), lab[:, :edge].reshape(-1, 3), lab[:, -edge:].reshape(-1, 3)]
    )
    middle = np.median(border, axis=0)
    far = np.linalg.norm(border - middle, axis=1)
    if np.quantile(far, 0.9) > max(_EVEN, tolerance):
        raise NotPlain("The background is not of one colour, so it cannot be told from what stands before it.")
    distance = np.linalg.norm(lab - middle, axis=2)
    outside = _from_border(distance <= tolerance * (1 + _SOFT))
    whole = np.clip((distance - tolerance * (1 - _SOFT)) / (2 * _SOFT * tolerance), 0, 1)
    alpha = np.where(outside, np.rint(whole * values[..., 3]), values[..., 3]).astype(np.uint8)
    return Image.fromarray(np.dstack([values[..., :3], alpha]), "RGBA")


def _mended(clear: Image.Image, before: Image.Image, edits: Edits, whole: tuple[int, int]) -> Image.Image:
    """A picture without its background, with what strokes keep as it was before, and what they take away clear. Strokes have a soft edge
    of a fifth of their radius."""
    if not edits.strokes:
        return clear
    alpha = np.asarray(clear.getchannel("A"), np.float64)
    was = np.asarray(before.getchannel("A"), np.float64)
    left, top = round(edits.crop.x * whole[0]), round(edits.crop.y * whole[1])
    for stroke in edits.strokes:
        radius = max(1.0, stroke.radius * max(whole))
        mask = Image.new("L", clear.size, 0)
        draw = ImageDraw.Draw(mask)
        points = [(x * whole[0] - left, y * whole[1] - top) for x, y in stroke.points]
        draw.line(points, fill=255, width=max(1, round(2 * radius)), joint="curve") if len(points) > 1 else None
        for x, y in points:
            draw.ellipse((x - radius, y - radius, x + radius, y + radius), fill=255)
        share = np.asarray(mask.filter(ImageFilter.GaussianBlur(radius / 10)), np.float64) / 255
        alpha = alpha * (1 - share) + (was if stroke.keep else 0.0) * share
    made = clear.copy()
    made.putalpha(Image.fromarray(np.rint(alpha).astype(np.uint8), "L"))
    return made


def _from_border(near: NDArray[np.bool_]) -> NDArray[np.bool_]:
    """What of an area hangs together with the border. It is followed on a small copy, and widened by a pixel of it."""
    high, wide = near.shape
    scale = min(1.0, _SMALL / max(high, wide))
    size = (max(3, round(wide * scale)), max(3, round(high * scale)))
    small = np.asarray(Image.fromarray((near * 255).astype(np.uint8)).resize(size, Image.Resampling.BOX)) > 127
    reached = np.zeros_like(small)
    reached[0], reached[-1], reached[:, 0], reached[:, -1] = small[0], small[-1], small[:, 0], small[:, -1]
    while True:
        grown = _grown(reached) & small
        if (grown == reached).all():
            break
        reached = grown
    mask = Image.fromarray((_grown(reached) * 255).astype(np.uint8)).resize((wide, high), Image.Resampling.NEAREST)
    return near & (np.asarray(mask) > 127)


def _grown(area: NDArray[np.bool_]) -> NDArray[np.bool_]:
    """An area and the pixels beside it."""
    made = area.copy()
    made[1:] |= area[:-1]
    made[:-1] |= area[1:]
    made[:, 1:] |= area[:, :-1]
    made[:, :-1] |= area[:, 1:]
    return made
