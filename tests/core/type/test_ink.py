"""Covered area of text against a rasteriser: Pillow (FreeType) at a large size."""

import io

import numpy as np
import pytest
from fontTools.ttLib import TTFont
from PIL import Image, ImageDraw, ImageFont

from formulon.core.type.ink import ink_area
from formulon.core.type.library import SHIPPED


def rastered(family_id: str, weight: int, text: str, size: int = 200) -> float:
    """Covered area in em² of a text drawn letter by letter, so that no letter covers another."""
    source = TTFont(io.BytesIO(SHIPPED.family(family_id).faces[0].open()))
    source.flavor = None
    out = io.BytesIO()
    source.save(out)
    font = ImageFont.truetype(io.BytesIO(out.getvalue()), size)
    if SHIPPED.family(family_id).weights[0] != SHIPPED.family(family_id).weights[1]:
        font.set_variation_by_axes(
            [axis["minimum"] if axis["name"] != b"Weight" else weight for axis in font.get_variation_axes()]
        )
    total = 0.0
    for char in text.replace(" ", ""):
        image = Image.new("L", (size * 2, size * 2))
        ImageDraw.Draw(image).text((size // 2, size // 4), char, font=font, fill=255)
        total += float(np.asarray(image, dtype=float).sum()) / 255
    return total / size**2


@pytest.mark.parametrize(
    ("name", "weight"), [("young-serif", 400), ("figtree", 400), ("figtree", 600), ("lora", 400), ("outfit", 600)]
)
def test_area_is_what_a_rasteriser_covers(name: str, weight: int) -> None:
    text = "The dark is worth the drive 0123"
    assert ink_area(SHIPPED[name], weight, text) == pytest.approx(rastered(name, weight, text), rel=0.05)


def test_heavier_text_covers_more_and_spaces_nothing() -> None:
    assert ink_area(SHIPPED["figtree"], 800, "Night") > ink_area(SHIPPED["figtree"], 400, "Night") > 0
    assert ink_area(SHIPPED["figtree"], 400, " \n ") == 0 and ink_area(SHIPPED["figtree"], 400, "漢") == 0
