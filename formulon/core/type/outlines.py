"""Texts as outlines, for drawings that must not depend on a font."""

from fontTools.pens.svgPathPen import SVGPathPen
from fontTools.pens.transformPen import TransformPen

from formulon.core.type.shaping import font, parts, shaped


def outline(text: str, family_id: str, weight: int, size: float, x: float, y: float) -> tuple[str, float]:
    """The outlines of a text as an SVG path with its baseline at `y`, and its advance in px."""
    key = parts(family_id, weight)[0][0]
    drawn, scale = font(family_id, key, weight), size / int(font(family_id, key, weight).face.upem)
    pen = SVGPathPen(None, lambda value: f"{value:.2f}".rstrip("0").rstrip("."))
    at = x
    for glyph, advance, across, down in shaped(family_id, key, weight, text):
        drawn.draw_glyph_with_pen(glyph, TransformPen(pen, (scale, 0, 0, -scale, at + across * scale, y - down * scale)))
        at += advance * scale
    return pen.getCommands(), at - x
