"""The logo facet: which mark is seen best on each ground, by measurement."""

import io
import math
from collections.abc import Mapping
from dataclasses import dataclass, replace
from functools import lru_cache

import numpy as np
import resvg_py
from PIL import Image

from formulon.core.color.contrast import contrast_matrix, contrast_ratio
from formulon.core.color.srgb import RGB, Floats, to_hex
from formulon.core.system.documents.identity import Mark
from formulon.core.system.system import Alternative, Conflict, MarkOnGround, Scheme

VISIBLE = 3.0  # ratio from which a part of a mark counts as seen (common practice; WCAG exempts logotypes)
GOOD = 0.6  # least share of a mark's drawn area that should be seen
_WIDTH = 240


@lru_cache(maxsize=256)
def drawn_colors(svg: str) -> tuple[Floats, Floats]:
    """The colours of a mark, shape (n, 3), and their shares of its drawn area, shape (n,).

    Measured on a raster of 240 px width, on nearly opaque pixels, quantised to 4 of 255.
    """
    png = resvg_py.svg_to_bytes(svg_string=svg, width=_WIDTH, skip_system_fonts=True)
    pixels = np.asarray(Image.open(io.BytesIO(bytes(png))).convert("RGBA")).reshape(-1, 4)
    solid = pixels[pixels[:, 3] >= 250][:, :3]
    if not len(solid):
        return np.zeros((0, 3)), np.zeros(0)
    colors, counts = np.unique(solid // 4 * 4 + 2, axis=0, return_counts=True)
    first = np.argsort(counts)[::-1][:64]
    return colors[first].astype(float), counts[first] / counts[first].sum()


def visibility(svg: str, ground: RGB) -> float:
    """Share, 0–1, of a mark's drawn area with at least 3:1 against a ground."""
    colors, shares = drawn_colors(svg)
    if not len(colors):
        return 0.0
    seen = contrast_matrix(colors, np.array([ground]))[:, 0] >= VISIBLE
    return float(shares[seen].sum())


def choose(marks: list[Mark], ground: str, rgb: RGB) -> MarkOnGround:
    """The mark that is seen best; a full lock-up before a symbol, and the given order between equals."""
    if not marks:
        return MarkOnGround(ground, None, 0.0)
    dark = float(contrast_matrix(np.array([rgb]), np.array([[255, 255, 255]]))[0, 0]) > 4.5
    meant = "dark" if dark else "light"

    def rank(mark: Mark) -> tuple[bool, int, bool, float]:
        seen = visibility(mark.svg, rgb)
        fits = ("symbol", "wordmark", "full").index(mark.kind)
        return seen >= GOOD, fits if seen >= GOOD else 0, mark.meant_for in ("any", meant), seen

    best = max(marks, key=rank)
    return MarkOnGround(ground, best.id, round(visibility(best.svg, rgb), 4))


def on_plate(marks: list[Mark], ground: str, grounds: Mapping[str, RGB]) -> MarkOnGround:
    """The mark that is seen best on a plate on a ground."""
    plate = plate_of(ground, grounds)
    return replace(choose(marks, ground, grounds[plate]), plate=plate)


def plate_of(ground: str, grounds: Mapping[str, RGB]) -> str:
    """The ground whose colour a plate has: of paper and deep the one that is told apart better from the ground."""
    return max(("paper", "deep"), key=lambda name: contrast_ratio(grounds[name], grounds[ground]))


@dataclass(frozen=True, slots=True)
class Elsewhere:
    """A colour on which a mark is seen better than where it stands: what a wire writes for it, its name, and how much is seen."""

    reference: str
    label: str
    visibility: float


def told(
    chosen: MarkOnGround,
    ground: str,
    rgb: RGB,
    scheme: Scheme,
    plated: MarkOnGround | None = None,
    other: Elsewhere | None = None,
) -> tuple[str, Conflict | None]:
    """Why a ground has its mark, and the conflict where none is seen well. `plated` is what could be had on a plate, `other`
    the colour of another ground that this one could have."""
    if chosen.mark is None:
        return "The brand has no mark yet; its name is set in the heading ink.", None
    seen = math.floor(chosen.visibility * 100)
    where = f"on a plate in the colour of {chosen.plate}" if chosen.plate else "here"
    reason = f"{seen} % of its drawn area has at least {VISIBLE:g}:1 {where}, the most of all marks."
    if chosen.visibility >= GOOD:
        return reason, None
    message = (
        f"No mark is seen well on {ground}: {seen} % of the best has 3:1, {GOOD * 100:g} % should. "
        f"Add a mark for {'dark' if sum(rgb) < 384 else 'light'} grounds."
    )
    ways = []
    if plated and plated.visibility >= GOOD:
        label = f"A plate in the colour of {plated.plate}, where {math.floor(plated.visibility * 100)} % is seen"
        ways.append(Alternative(label, ({"op": "add", "path": "/logo/plates/-", "value": ground},)))
    if other:
        role = f"dark:{ground}" if scheme == "dark" else ground
        label = f"{other.label} for the {ground}, where {math.floor(other.visibility * 100)} % is seen"
        ways.append(Alternative(label, ({"op": "add", "path": f"/wires/{role}", "value": other.reference},)))
    conflict = Conflict(
        "mark-unseen", f"logo/{ground}", ground, "mark", "", to_hex(rgb), chosen.visibility, GOOD, message, tuple(ways),
        scheme=scheme, unit="share",
    )  # fmt: skip
    return reason, conflict
