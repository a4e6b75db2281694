"""Screen colours of print values. There is no exact one: the profile is named, and the result is indicative.

The profile comes with Debian's package libgs-common, under the Affero General Public License. Conversion is by Little CMS
with relative colorimetric intent and black point compensation.
"""

import io
from functools import cache
from pathlib import Path

from coloraide import Color
from PIL import Image, ImageCms

from formulon.core.color.srgb import RGB
from formulon.core.errors import ColorError

PROFILE = Path("/usr/share/color/icc/ghostscript/default_cmyk.icc")


@cache
def profile_name() -> str:
    """The profile's own description. Raises ColorError where it is not installed."""
    return str(ImageCms.getProfileDescription(_profile())).strip()


@cache
def _profile() -> ImageCms.ImageCmsProfile:
    try:
        return ImageCms.ImageCmsProfile(io.BytesIO(PROFILE.read_bytes()))
    except OSError as error:
        raise ColorError(
            f"The profile for print colours is missing ({PROFILE}). Install Debian’s package libgs-common."
        ) from error


@cache
def _transform() -> ImageCms.ImageCmsTransform:
    return ImageCms.buildTransform(
        _profile(),
        ImageCms.createProfile("sRGB"),
        "CMYK",
        "RGB",
        renderingIntent=ImageCms.Intent.RELATIVE_COLORIMETRIC,
        flags=ImageCms.Flags.BLACKPOINTCOMPENSATION,
    )


@cache
def cmyk_to_rgb(cyan: float, magenta: float, yellow: float, black: float) -> RGB:
    """Eight-bit sRGB of a CMYK value in percent, through the profile; indicative."""
    inks = tuple(min(255, max(0, round(part * 2.55))) for part in (cyan, magenta, yellow, black))
    pixel = Image.new("CMYK", (1, 1), inks)
    made = ImageCms.applyTransform(pixel, _transform())
    assert made is not None
    r, g, b = made.getpixel((0, 0))  # type: ignore[misc]
    return int(r), int(g), int(b)


def lab_to_rgb(lightness: float, a: float, b: float) -> RGB:
    """Eight-bit sRGB of a CIELAB value under D50, as print and palette files give it. Source: CSS Color 4, section 9.1."""
    color = Color("lab", [lightness, a, b]).convert("srgb")
    if not color.in_gamut(tolerance=0.0005):
        color = color.fit("srgb", method="oklch-chroma")
    r, g, blue = (min(255, max(0, round(255 * value))) for value in color.coords(nans=False))
    return r, g, blue


def convert_picture(picture: Image.Image) -> Image.Image:
    """A CMYK picture in sRGB, through the profile."""
    made = ImageCms.applyTransform(picture, _transform())
    assert made is not None
    return made
