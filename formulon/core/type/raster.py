"""A family at a weight and a size for drawing pictures of text (FreeType, by Pillow)."""

import io
from functools import lru_cache

from PIL import ImageFont

from formulon.core.type.features import plain
from formulon.core.type.library import family


@lru_cache(maxsize=96)
def picture_font(family_id: str, weight: int, size: float) -> ImageFont.FreeTypeFont:
    """The family's first face at a weight and a size in px."""
    face = family(family_id).at(weight)[0]
    made = ImageFont.truetype(io.BytesIO(plain(face.open())), size)
    if face.weights[0] != face.weights[1]:
        axes = made.get_variation_axes()
        made.set_variation_by_axes([float(weight if axis["name"] == b"Weight" else axis["default"] or 0) for axis in axes])
    return made
