"""Colours as a browser tells them, 0–255 with a share of opacity, mixed and in eight bits."""

from collections.abc import Sequence

from formulon.core.color.srgb import RGB, eight_bit


def rounded(color: Sequence[float]) -> RGB:
    """A colour in eight bits, whatever its opacity."""
    return eight_bit(part / 255 for part in color[:3])


def over(color: Sequence[float], back: Sequence[float]) -> RGB:
    """A colour with its opacity over another."""
    return rounded([part * color[3] + under * (1 - color[3]) for part, under in zip(color[:3], back, strict=True)])
