"""The brand motif on pages: in which sections it stands, and its drawings as masks that take the colour of a token.

A mask lets the colour through by its lightness, so a mark of several colours keeps its inner shapes: its first colour is drawn
in full, the others more faintly. The order of a band follows from the seed; nothing is scattered.
"""

import io
import random
from functools import lru_cache
from typing import Literal

import numpy as np
import resvg_py
from lxml import etree
from PIL import Image

from formulon.core.site.addresses import data_address
from formulon.core.site.site import Page, Section, Site
from formulon.core.system.facets.lockup import size_of
from formulon.core.system.facets.mark_shapes import shape_of
from formulon.core.system.facets.motif import symbol
from formulon.core.system.system import System
from formulon.core.type.library import Family
from formulon.core.type.outlines import outline

How = Literal["accent", "band"]
_TONES = ("#fff", "#808080", "#bbb", "#5a5a5a")  # of the colours of a mark, in the order of their first use
_PAINTS = ("fill", "stroke")
_RHYTHMS = ((1,), (1, 0), (1, 1, 0), (1, 0, 0))  # of marks and letters, which are never turned: drawn or left out
_CELLS = 6
_ANY_WAY = ("ray", "weave")  # shapes that stand well on each of their sides when they are large
# Where a large one stands: from the left in a row of its own, and from the top in columns of its own.
_SIDES = (("88%", "100%"), ("50%", "50%"), ("12%", "0%"))
# Shapes on a box of 100 by 100; what is drawn is white.
SHAPES = {
    "ring": '<path d="M50 0a50 50 0 1 0 .01 0zM50 24a26 26 0 1 1-.01 0z" fill="#fff" fill-rule="evenodd"/>',
    "arch": '<path d="M0 100V50a50 50 0 0 1 100 0v50H72V50a22 22 0 0 0-44 0v50z" fill="#fff"/>',
    "wave": '<path d="M13 58c10-44 27-44 37-8s27 36 37-8" fill="none" stroke="#fff" stroke-width="26" stroke-linecap="round"/>',
    "weave": '<path d="M0 22h100v24H0zM22 54h24v46H22zM54 54h24v46H54zM22 0h24v14H22zM54 0h24v14H54z" fill="#fff"/>',
    "ray": '<path d="M0 0h100A100 100 0 0 1 0 100V72a72 72 0 0 0 72-72H50A50 50 0 0 1 0 50z" fill="#fff"/>',
}


def places(site: Site, page: Page) -> dict[str, How]:
    """How the motif stands in each section of a page and in the footer, by the section's id. A large one needs a layout without
    a picture of its own."""
    motif = site.choices.motif
    if motif.shape == "none" or _drawing(site) is None:
        return {}
    found: dict[str, How] = {}
    last = len(page.sections) - 1
    for index, section in enumerate(page.sections):
        how = motif.places.get("opening" if index == 0 else "closing" if index == last else "middle")
        if how and not (how == "accent" and _has_picture(section)):
            found[section.id] = how
    if "footer" in motif.places:
        found[site.frame.footer.id] = motif.places["footer"]
    return found


def _has_picture(section: Section) -> bool:
    return section.declared.pictured and bool(section.content.get("picture"))


def motif_css(site: Site, system: System) -> str:
    """The masks, as style rules; empty where the site has no motif. They hold drawings and the order that the seed gives."""
    drawing = _drawing(site)
    if "motif/shape" not in system.tokens or drawing is None:
        return ""
    inner, ratio = drawing
    motif, seed = site.choices.motif, int(system.tokens["motif/order"].value)
    row, wide = _row(inner, ratio, system.tokens["motif/room"].value, seed, motif.shape in SHAPES)
    turn = random.Random(f"turn/{seed}").randrange(4) * 90 if motif.shape in _ANY_WAY else 0
    large = f'<g transform="rotate({turn} 50 50)">{inner}</g>' if turn else inner
    side, whole = random.Random(f"side/{seed}").choice(_SIDES)
    return (
        f'.motif--band{{mask-image:url("{data_address(_svg(row, 100 * wide, 100))}");'
        f"mask-size:calc({wide:.4g}*var(--motif-size)) var(--motif-size)}}\n"
        f'.motif--accent{{mask-image:url("{data_address(_svg(large, 100 * ratio, 100))}");mask-position:{side} 0;'
        f"mask-size:calc({ratio:.4g}*var(--motif-large)) var(--motif-large);"
        f"--motif-wide:calc({ratio:.4g}*var(--motif-large));--motif-whole:{ratio:.4g};--motif-down:{whole}}}\n"
    )


def painted(site: Site, system: System, how: str) -> float:
    """The share, 0–1, of a motif's own box that its colour covers: the mean of its mask."""
    drawing = _drawing(site)
    if drawing is None:
        return 0.0
    inner, ratio = drawing
    if how == "band":
        motif, seed = site.choices.motif, int(system.tokens["motif/order"].value)
        inner, ratio = _row(inner, ratio, system.tokens["motif/room"].value, seed, motif.shape in SHAPES)
    return _lightness(_svg(inner, 100 * ratio, 100))


@lru_cache(maxsize=64)
def _lightness(svg: str) -> float:
    png = resvg_py.svg_to_bytes(svg_string=svg, height=100, skip_system_fonts=True)
    pixels = np.asarray(Image.open(io.BytesIO(bytes(png))).convert("RGBA"), dtype=float)
    return float((pixels[..., :3].mean(axis=2) * pixels[..., 3]).mean() / 255**2)


def _drawing(site: Site) -> tuple[str, float] | None:
    """What the motif draws, in white on a box of height 100, and its width by its height; None where there is nothing to draw."""
    shape = site.choices.motif.shape
    if shape == "symbol":
        mark = symbol(site.identity)
        if mark is None:
            return None
        width, height = size_of(mark)
        return _toned(mark.svg, height), width / height
    if shape == "initial":
        return _initial(site.identity.name, site.library.family(site.identity.typefaces.heading))
    return (SHAPES[shape], 1.0) if shape in SHAPES else None


@lru_cache(maxsize=32)
def _toned(svg: str, height: float) -> str:
    """A mark's shapes scaled to a height of 100, its colours turned to tones in the order in which they are first used. What a
    rebuilt mark paints with a gradient takes its place in the same order."""
    root = etree.fromstring(svg.encode(), etree.XMLParser(resolve_entities=False, no_network=True))
    tones: dict[str, str] = {}
    for node in root.iter():
        for paint in _PAINTS:
            value = node.get(paint)
            if value and value != "none":
                node.set(paint, tones.setdefault(value, _TONES[min(len(tones), len(_TONES) - 1)]))
    left, top, *_ = root.get("viewBox", "0 0 1 1").split()
    base = "" if root.get("fill") else f' fill="{_TONES[0]}"'
    inner = "".join(etree.tostring(node, encoding="unicode") for node in root)
    scale = 100 / height
    return f'<g{base} transform="scale({scale:.5g}) translate({-float(left):g} {-float(top):g})">{inner}</g>'


@lru_cache(maxsize=32)
def _initial(name: str, family: Family) -> tuple[str, float]:
    """The first letter of a name in the heading typeface, as tall as the box from its lowest to its highest point."""
    letter = next((char for char in name if char.isalnum()), "•").upper()
    path, wide = outline(letter, family, family.nearest_weight(700), 100, 50, 150)
    across, down = wide + 100, 200.0
    drawn = f'<path fill="#fff" d="{path}"/>'
    left, top, right, bottom = shape_of(_svg(drawn, across, down), across, down).box
    scale = 100 / ((bottom - top) * down)
    move = f"scale({scale:.5g}) translate({-left * across:.5g} {-top * down:.5g})"
    return f'<g transform="{move}">{drawn}</g>', (right - left) * across * scale / 100


def _row(inner: str, ratio: float, room: float, seed: int, turns: bool) -> tuple[str, float]:
    """A row of motifs on a box of height 100, and the row's width by its height."""
    order = random.Random(f"band/{seed}")  # seeded, for shapes and not for secrets
    step, parts = ratio + room, []
    rhythm, quarter, by = order.choice(_RHYTHMS), order.randrange(4), order.randrange(4)
    for index in range(_CELLS):
        if turns:
            turn = (quarter + index * by) % 4 * 90
            parts.append(f'<g transform="translate({index * step * 100:.5g} 0) rotate({turn} 50 50)">{inner}</g>')
        elif rhythm[index % len(rhythm)]:
            parts.append(f'<g transform="translate({index * step * 100:.5g} 0)">{inner}</g>')
    return "".join(parts), step * _CELLS


def _svg(inner: str, width: float, height: float) -> str:
    return f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {width:.5g} {height:.5g}">{inner}</svg>'
