"""What a reference page tells beside its colours: how much larger its headlines are than its text, and how much space it leaves.

Rules of thumb of ours: running text is the size nearest to 16 px, the headline the largest; a page whose wide spaces are 64 px is as
dense as Formulon's own. A picture tells neither.
"""

from collections.abc import Iterable
from dataclasses import dataclass

from formulon.core.identity.sightings import MeasureSeen, Sighting

_TEXT, _READABLE = 16.0, (12.0, 22.0)  # px
_LARGEST = 140.0  # px; what is larger is drawn, not read
_WIDE = 64.0  # px between sections of a page of middling density
_POWER = 4.5  # of the ratio, by which a headline of the first level is larger than text; see facets/typography.py
_LEAST, _MOST, _PHONE = 1.05, 1.6, 0.62  # of ratios; and how much of a step's growth a phone keeps
_DENSITY = (0.6, 1.5)


@dataclass(frozen=True, slots=True)
class Manner:
    """The type contrast of a page (headline to running text) and its density with 1 for the usual, None where it tells nothing;
    the ratios of neighbouring steps that come to the contrast."""

    contrast: float | None
    density: float | None
    ratio_small: float | None
    ratio_large: float | None

    @property
    def says(self) -> str:
        """In a sentence; empty where nothing is told."""
        made = []
        if self.contrast:
            made.append(f"headlines are {self.contrast:.1f} times the text")
        if self.density:
            how = "close" if self.density < 0.85 else "wide" if self.density > 1.15 else "middling"
            made.append(f"spaces are {how}")
        return f"{' and '.join(made)}.".capitalize() if made else ""


def manner(sightings: Iterable[Sighting]) -> Manner:
    """What the measures of a page or a style sheet tell."""
    measures = [one for one in sightings if isinstance(one, MeasureSeen)]
    sizes = sorted({one.px for one in measures if one.measure == "text size" and 8 <= one.px <= _LARGEST})
    spaces = sorted(one.px for one in measures if one.measure == "spacing" and 8 <= one.px <= 400)
    text = min((one for one in sizes if _READABLE[0] <= one <= _READABLE[1]), key=lambda one: abs(one - _TEXT), default=_TEXT)
    contrast = round(sizes[-1] / text, 2) if sizes and sizes[-1] > 1.1 * text else None
    large = min(_MOST, max(_LEAST, contrast ** (1 / _POWER))) if contrast else None
    small = 1 + (large - 1) * _PHONE if large else None
    density = None
    if len(spaces) >= 3:
        wide = spaces[int(0.8 * (len(spaces) - 1))]
        density = round(min(_DENSITY[1], max(_DENSITY[0], (wide / _WIDE) ** 0.5)), 2)
    return Manner(contrast, density, small and round(max(_LEAST, small), 3), large and round(large, 3))
