"""Marks of pixels are told from photographs in formats with losses, too, as small as 64 px.

Marks are icons, letters of the library's families and plain shapes in random colours on white. Photographs are made of noise whose
amplitudes fall with the frequency, as those of natural images do (Field, 1987: 1/f; from memory), as scenes, blurred, and cut out on white.
"""

import io
import json
import random
from pathlib import Path

import numpy as np
import pytest
import resvg_py
from fontTools.pens.boundsPen import BoundsPen
from fontTools.pens.svgPathPen import SVGPathPen
from fontTools.ttLib import TTFont
from PIL import Image, ImageDraw, ImageFilter

from formulon.core.identity.drawn import drawn_flat
from formulon.core.identity.reading import read_file
from formulon.core.identity.sightings import MarkSeen
from formulon.core.type.library import SHIPPED

ICONS = json.loads((Path(__file__).resolve().parents[3] / "formulon" / "core" / "site" / "icons.json").read_text())
FAMILIES = [TTFont(io.BytesIO(one.faces[0].open())) for one in list(SHIPPED.values())[::9]]
LOSSY = {"JPEG": {"quality": 88}, "WEBP": {"quality": 80}}


def ink(chance: random.Random) -> str:
    return "#" + "".join(f"{chance.randrange(235):02x}" for _ in range(3))


def mark(chance: random.Random, number: int) -> str:
    if number % 4 == 0:
        icon, width = ICONS[chance.choice(list(ICONS))], chance.choice([1.5, 2, 3])
        drawn = f'<g transform="scale(2.667)" fill="none" stroke="{ink(chance)}" stroke-width="{width}">{icon}</g>'
    elif number % 4 == 3:
        drawn = f'<path d="M4 40L32 6l28 34z" fill="{ink(chance)}"/><path d="M8 44h48v12H8z" fill="{ink(chance)}"/>'
    else:
        font = chance.choice(FAMILIES)
        glyphs, name = font.getGlyphSet(), font.getBestCmap()[ord(chance.choice("ABCDEFGHKMNPRSTWZ"))]
        path, bounds = SVGPathPen(glyphs), BoundsPen(glyphs)
        glyphs[name].draw(path)
        glyphs[name].draw(bounds)
        left, foot, right, top = bounds.bounds
        scale = (40 if number % 4 == 1 else 28) / max(right - left, top - foot)
        moved = f"translate({32 - scale * (left + right) / 2} {32 + scale * (foot + top) / 2}) scale({scale} {-scale})"
        ring = "" if number % 4 == 1 else f'<circle cx="32" cy="32" r="30" fill="{ink(chance)}"/>'
        drawn = f'{ring}<path transform="{moved}" d="{path.getCommands()}" fill="{"#fff" if ring else ink(chance)}"/>'
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 64 64"><rect width="64" height="64" fill="#fff"/>{drawn}</svg>'
    )


def encoded(picture: Image.Image, form: str) -> bytes:
    file = io.BytesIO()
    picture.convert("RGB").save(file, form, **LOSSY.get(form, {}))
    return file.getvalue()


def natural(chance: np.random.Generator, width: int, height: int, how: str) -> Image.Image:
    across, down = np.fft.fftfreq(width)[None], np.fft.fftfreq(height)[:, None]
    frequency = np.sqrt(across**2 + down**2)
    frequency[0, 0] = 1

    def field() -> np.ndarray:  # type: ignore[type-arg]
        made = np.fft.ifft2(np.exp(2j * np.pi * chance.random((height, width))) / frequency ** chance.uniform(0.9, 1.2)).real
        return np.asarray((made - made.mean()) / made.std())

    light = field()
    parts = [128 + chance.uniform(-50, 50) + chance.uniform(25, 55) * (0.85 * light + 0.3 * field()) for _ in range(3)]
    noise = chance.normal(0, chance.uniform(0, 4), (height, width, 3))
    picture = Image.fromarray(np.clip(np.stack(parts, -1) + noise, 0, 255).astype(np.uint8))
    if how == "blurred":
        return picture.filter(ImageFilter.GaussianBlur(width / 20))
    if how == "cut out":
        mask = Image.new("L", picture.size, 0)
        ImageDraw.Draw(mask).ellipse((width * 0.12, height * 0.12, width * 0.88, height * 0.88), fill=255)
        return Image.composite(picture, Image.new("RGB", picture.size, "#fff"), mask.filter(ImageFilter.GaussianBlur(1)))
    return picture


def is_mark(data: bytes, form: str) -> bool:
    reading = read_file(f"sign.{form.lower()}", data)
    assert reading.problem == ""
    return any(isinstance(one, MarkSeen) for one in reading.sightings)


@pytest.mark.parametrize(("form", "side", "missed"), [("JPEG", 64, 1), ("WEBP", 64, 1), ("PNG", 64, 0), ("JPEG", 128, 1)])
def test_marks_on_white_are_told_to_be_marks(form: str, side: int, missed: int) -> None:
    """Of 600 at 64 px, five in JPEG and five in WebP are taken for photographs; here of 30."""
    chance, found = random.Random(7), 0
    for number in range(30):
        png = bytes(resvg_py.svg_to_bytes(svg_string=mark(chance, number), width=side))
        found += is_mark(encoded(Image.open(io.BytesIO(png)), form), form)
    assert found >= 30 - missed


@pytest.mark.parametrize("form", ["JPEG", "WEBP", "PNG"])
@pytest.mark.parametrize("how", ["scene", "blurred", "cut out"])
def test_photographs_are_told_to_be_photographs(form: str, how: str) -> None:
    chance = np.random.default_rng(11)
    for number in range(6):
        width = (64, 120, 280)[number % 3]
        picture = natural(chance, width, int(width * chance.uniform(0.6, 1.4)), how)
        assert not is_mark(encoded(picture, form), form), (number, width)


@pytest.mark.parametrize("fill", [(255, 255, 255, 255), (12, 80, 40, 255)])
def test_a_picture_of_one_color_is_no_drawing(fill: tuple[int, int, int, int]) -> None:
    assert drawn_flat(np.full((40, 60, 4), fill, dtype=np.uint8)) is None


@pytest.mark.parametrize(("width", "height"), [(1, 1), (2, 300), (300, 1), (3, 3)])
def test_the_smallest_pictures_are_answered(width: int, height: int) -> None:
    chance = np.random.default_rng(1)
    drawn_flat(chance.integers(0, 255, (height, width, 4)).astype(np.uint8))
