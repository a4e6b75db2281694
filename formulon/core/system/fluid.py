"""Fluid measures: linear between two widths of the viewport, and held outside them."""

SMALL, LARGE = 360, 1280  # px of viewport between which sizes are fluid


def between(small: float, large: float, viewport: float) -> float:
    """A measure in px at a viewport width in px: `small` up to SMALL, `large` from LARGE on, linear between."""
    if viewport <= SMALL:
        return small
    return large if viewport >= LARGE else small + (large - small) * (viewport - SMALL) / (LARGE - SMALL)


def fluid(small: float, large: float) -> str:
    """A `clamp()` in rem that is `small` px at 360 px of viewport and `large` px at 1280 px, and linear between."""
    slope = (large - small) / (LARGE - SMALL)
    intercept = small - slope * SMALL
    low, high = sorted((small, large))
    return f"clamp({low / 16:.5g}rem, {intercept / 16:.6g}rem + {slope * 100:.6g}vw, {high / 16:.5g}rem)"
