"""Drawings in the brand's own colours, the same for the same seed: abstract ones, and subjects (drawings/).

A drawing is SVG whose fills are the tokens --picture-1 to --picture-6, so that it follows the system.
"""

import io
import math
import random
import re
from collections.abc import Callable
from functools import lru_cache

import numpy as np
import resvg_py
from PIL import Image

from formulon.core.color.difference import difference
from formulon.core.color.srgb import RGB, from_hex
from formulon.core.site.drawings import SUBJECTS, Subject, drawn
from formulon.core.site.drawings import sample as drawn_sample
from formulon.core.system.system import Scheme, System

WIDTH, HEIGHT = 160, 120
TOKENS = 6  # the colours in which is drawn
SWEEP = (4, 2, 3)  # the arcs beside a call to action
_SEEN = 8.0  # ΔE2000 from which a shape is told from what it lies on at a glance (common practice)
_Draw = Callable[[random.Random], str]


def _fill(index: int) -> str:
    return f'class="f{index}"'


def _ground() -> str:
    """The drawing's own ground. Like every shape that ends at an edge it reaches over it, so that no smoothed edge shows a
    hairline of what lies under it."""
    return f'<rect x="-1" y="-1" width="162" height="122" {_fill(1)}/>'


def _hills(r: random.Random) -> str:
    sun_x, sun_y, sun = r.uniform(30, 130), r.uniform(22, 44), r.uniform(9, 17)
    parts = [f'{_ground()}<circle cx="{sun_x:.1f}" cy="{sun_y:.1f}" r="{sun:.1f}" {_fill(3)}/>']
    for layer, base in ((2, 70), (4, 88), (5, 102)):
        a, b, c = (r.uniform(-16, 16) for _ in range(3))
        parts.append(
            f'<path d="M-1 {base + a:.1f}C40 {base - 14 + b:.1f} 60 {base + 12 + c:.1f} 96 {base - 4 + a:.1f}'
            f'S140 {base - 8 + c:.1f} 161 {base + b:.1f}V121H-1z" {_fill(layer)}/>'
        )
    return "".join(parts)


def _arcs(r: random.Random) -> str:
    x, y = r.uniform(60, 130), r.uniform(96, 122)
    parts = [f"{_ground()}"]
    for index, radius in zip((2, 4, 3, 5), (98, 72, 48, 26), strict=True):
        parts.append(f'<circle cx="{x:.1f}" cy="{y:.1f}" r="{radius + r.uniform(-4, 4):.1f}" {_fill(index)}/>')
    return "".join(parts)


def _weave(r: random.Random) -> str:
    size = r.choice((20, 24, 30))
    shift = r.randrange(3)
    parts = [f"{_ground()}"]
    for row in range(math.ceil(120 / size)):
        for column in range(math.ceil(160 / size)):
            x, y = column * size, row * size
            tone = (2, 3, 4)[(row + column * 2 + shift) % 3]
            if (row + column) % 2:
                box = f'x="{x}" y="{y + size * 0.22:.1f}" width="{size}" height="{size * 0.56:.1f}"'
            else:
                box = f'x="{x + size * 0.22:.1f}" y="{y}" width="{size * 0.56:.1f}" height="{size}"'
            parts.append(f"<rect {box} {_fill(tone)}/>")
    return "".join(parts)


def _discs(r: random.Random) -> str:
    parts = [f"{_ground()}"]
    x, y = r.uniform(46, 70), r.uniform(50, 66)
    parts.append(f'<circle cx="{x:.1f}" cy="{y:.1f}" r="40" {_fill(3)}/>')
    parts.append(f'<circle cx="{x + r.uniform(10, 18):.1f}" cy="{y - r.uniform(6, 14):.1f}" r="40" {_fill(1)}/>')
    for _ in range(3):
        parts.append(
            f'<circle cx="{r.uniform(104, 150):.1f}" cy="{r.uniform(14, 106):.1f}" r="{r.uniform(3, 9):.1f}" '
            f"{_fill(r.choice((2, 4)))}/>"
        )
    return "".join(parts)


def _steps(r: random.Random) -> str:
    parts = [f"{_ground()}"]
    count = r.choice((4, 5))
    width = 160 / count
    for index in range(count):
        height = 24 + index * (72 / count) + r.uniform(-6, 6)
        tone = (2, 4, 3, 5)[index % 4]
        parts.append(
            f'<path d="M{index * width:.1f} 121V{120 - height:.1f}a{width / 2:.1f} {width / 2:.1f} 0 0 1 {width:.1f} 0V121z" '
            f"{_fill(tone)}/>"
        )
    return "".join(parts)


def _facets(r: random.Random) -> str:
    x, y = r.uniform(54, 106), r.uniform(40, 76)
    corners = [(-1, -1), (161, -1), (161, 121), (-1, 121)]
    parts = []
    for index, (start, tone) in enumerate(zip(corners, (1, 2, 4, 5), strict=True)):
        end = corners[(index + 1) % 4]
        parts.append(f'<path d="M{start[0]} {start[1]}L{end[0]} {end[1]}L{x:.1f} {y:.1f}z" {_fill(tone)}/>')
    parts.append(f'<circle cx="{x:.1f}" cy="{y:.1f}" r="{r.uniform(16, 26):.1f}" {_fill(3)}/>')
    return "".join(parts)


ABSTRACT: dict[str, tuple[str, _Draw]] = {
    "hills": ("Hills under a disc, drawn in the brand's colours", _hills),
    "arcs": ("Arcs one within another, drawn in the brand's colours", _arcs),
    "weave": ("A woven pattern, drawn in the brand's colours", _weave),
    "discs": ("A crescent and small discs, drawn in the brand's colours", _discs),
    "steps": ("Rounded steps that rise, drawn in the brand's colours", _steps),
    "facets": ("Facets around a disc, drawn in the brand's colours", _facets),
}
# Which abstract drawings go with what a mark is made of: rings and arcs, straight edges, or neither more than the other.
_WITH_MARK = {"round": ("arcs", "discs", "steps", "hills"), "straight": ("facets", "weave", "steps"), "both": tuple(ABSTRACT)}
_DRAWN_ROUND = re.compile(r"<(?:circle|ellipse)|[CcSsQqAa]")
_PATHS = re.compile(r'\bd="([^"]*)"')


def _of(subject: Subject) -> tuple[str, _Draw]:
    return f"{subject.says.capitalize()}, drawn in the brand's colours", lambda dice: drawn(subject, dice)


KINDS: dict[str, tuple[str, _Draw]] = {**ABSTRACT, **{name: _of(one) for name, one in SUBJECTS.items()}}


def with_mark(svg: str) -> tuple[str, ...]:
    """The abstract drawings that go with a mark: told by whether its outlines are curves or straight lines."""
    if not svg:
        return _WITH_MARK["both"]
    text = "".join(_PATHS.findall(svg)) + " ".join(re.findall(r"<(?:circle|ellipse|rect|polygon|line)", svg))
    curves, lines = len(_DRAWN_ROUND.findall(text)), len(re.findall(r"[LlHhVv]|<(?:rect|polygon|line)", text))
    whole = curves + lines
    return _WITH_MARK["both" if not whole or 0.35 < curves / whole < 0.65 else "round" if curves > lines else "straight"]


def draw(source: str) -> str:
    """The inner SVG of `drawn:<kind>/<seed>`, on a 160 × 120 view box."""
    kind, _, seed = source.removeprefix("drawn:").partition("/")
    # A seeded generator for shapes, not for secrets.
    return KINDS[kind][1](random.Random(f"{kind}/{seed}"))


def sample(kind: str) -> str:
    """A drawing as it is shown among others, to be chosen: the inner SVG."""
    return drawn_sample(SUBJECTS[kind]) if kind in SUBJECTS else draw(f"drawn:{kind}/7")


@lru_cache(maxsize=512)
def shares(source: str) -> dict[int, float]:
    """Share, 0–1, of a drawing's area by the number of its token. Measured on a raster without smoothing."""
    rules = "".join(f".f{n}{{fill:rgb({n * 40},0,0)}}" for n in range(1, TOKENS + 1))
    svg = (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {WIDTH} {HEIGHT}" shape-rendering="crispEdges">'
        f"<style>{rules}</style>{draw(source)}</svg>"
    )
    png = resvg_py.svg_to_bytes(svg_string=svg, width=WIDTH * 2, skip_system_fonts=True)
    red = np.asarray(Image.open(io.BytesIO(bytes(png))).convert("RGBA"))[..., 0]
    numbers, counts = np.unique(red // 40, return_counts=True)
    return {int(n): float(c) / red.size for n, c in zip(numbers, counts, strict=True) if n}


def describe(source: str) -> str:
    """What a drawing shows, in words."""
    return KINDS[source.removeprefix("drawn:").partition("/")[0]][0]


def seen_on(system: System, ground: str, wanted: tuple[int, ...], scheme: Scheme | None = None) -> tuple[int, ...]:
    """The numbers of picture tokens for shapes one within another on a ground, the outermost first: those that are wanted,
    but that each is seen on what lies under it. Where a token is as good as what it would lie on, the next in line is taken."""
    schemes = (scheme,) if scheme else system.schemes
    under = {one: from_hex(system.css(f"ground/{ground}/background", one)) for one in schemes}
    made: list[int] = []
    for number in wanted:
        line = [number, *(other for other in range(1, TOKENS + 1) if other != number)]
        found = next((other for other in line if _seen(system, other, under)), number)
        made.append(found)
        under = {one: from_hex(system.css(f"picture/{found}", one)) for one in schemes}
    return tuple(made)


def _seen(system: System, number: int, under: dict[Scheme, RGB]) -> bool:
    return all(difference(from_hex(system.css(f"picture/{number}", one)), under[one]) >= _SEEN for one in under)
