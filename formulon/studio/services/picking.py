"""Picking colours: what the core computes for a slider, and the colours of a reference picture that is not kept."""

from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.oklab_scalar import oklch
from formulon.core.color.parse import parse_color
from formulon.core.color.picking import AXES, another, noticeably, track
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.identity.isolated import readers
from formulon.core.identity.sightings import ColorSeen, PictureSeen
from formulon.core.proposals.reference import Manner, manner
from formulon.studio.errors import UploadRefused

MOST_BYTES = 25_000_000


def picked(value: str, background: str, required: float) -> dict[str, object]:
    """A colour in any CSS form with its OKLCH, its verdict on a background, the three tracks and the two steps that are
    just noticed. The value itself is given back as it was written."""
    color, behind = parse_color(value), parse_color(background).rgb
    lch = oklch(color.rgb)
    return {
        "value": color.source,
        "hex": color.hex,
        "mapped": color.mapped,
        "lch": [round(part, 4) for part in lch],
        "ratio": contrast_ratio(color.rgb, behind),
        "tracks": [
            {
                "axis": one.axis,
                "low": one.low,
                "high": one.high,
                "colors": [to_hex(c) for c in one.colors],
                "passes": one.passes,
            }
            for one in (track(axis, lch, behind, required) for axis in AXES)
        ],
        "darker": to_hex(noticeably(color.rgb, lighter=False)),
        "lighter": to_hex(noticeably(color.rgb, lighter=True)),
    }


def alternative(brand: list[str], background: str, required: float, seed: int) -> str:
    """A seeded alternative that passes, as `#rrggbb`."""
    own: list[RGB] = [parse_color(one).rgb for one in brand]
    return to_hex(another(own, parse_color(background).rgb, required, seed))


def of_picture(name: str, data: bytes) -> tuple[list[tuple[str, float]], Manner]:
    """The colours of a picture, a page or a style sheet with their shares, and how it sets type and leaves space, read in a process
    of its own. Raises UploadRefused."""
    if len(data) > MOST_BYTES:
        raise UploadRefused(f"{name}: the file has more than {MOST_BYTES // 1_000_000} MB. Make it smaller.")
    reading = readers().read(name, data)
    if reading.problem:
        raise UploadRefused(reading.problem)
    for seen in reading.sightings:
        if isinstance(seen, PictureSeen) and seen.colors and seen.shares:
            return list(zip(seen.colors, seen.shares, strict=True)), manner(())
    found = [(seen.hex, seen.share or 0.0) for seen in reading.sightings if isinstance(seen, ColorSeen)]
    if not found:
        raise UploadRefused(f"{name}: no colours were found in it. Choose a photograph or a drawing.")
    return found, manner(reading.sightings)
