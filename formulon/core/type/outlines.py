"""Texts as outlines, for drawings that must not depend on a font."""

from fontTools.pens.svgPathPen import SVGPathPen
from fontTools.pens.transformPen import TransformPen

from formulon.core.type.library import Family
from formulon.core.type.shaping import font, runs, shaped


def outline(text: str, family: Family, weight: int, size: float, x: float, y: float) -> tuple[str, float]:
    """The outlines of a text as an SVG path with its baseline at `y`, and its advance in px."""
    pen = SVGPathPen(None, lambda value: f"{value:.2f}".rstrip("0").rstrip("."))
    at = x
    for run, key in runs(family, weight, text):
        drawn = font(family, key, weight)
        scale = size / int(drawn.face.upem)
        for glyph, advance, across, down in shaped(family, key, weight, run):
            drawn.draw_glyph_with_pen(glyph, TransformPen(pen, (scale, 0, 0, -scale, at + across * scale, y - down * scale)))
            at += advance * scale
    return pen.getCommands(), at - x
