"""Draws the demo brand's marks and pictures: python demo/draw.py

Everything about the Quillmoor Observatory is invented. Lettering is outlined from the shipped fonts (SIL OFL).
"""

import math
import random
from pathlib import Path

from fontTools.pens.svgPathPen import SVGPathPen
from fontTools.pens.transformPen import TransformPen
from fontTools.ttLib import TTFont
from fontTools.varLib.instancer import instantiateVariableFont

FOLDER = Path(__file__).parent / "quillmoor"
FONTS = Path(__file__).parent.parent / "formulon" / "typefaces" / "files"
NIGHT, LAMP, HEATHER, CHALK = "#1B2147", "#F2A93B", "#8E5A9B", "#F6F1E7"
DUSK, DEEPER, SHADE = "#3A2F5C", "#11162F", "#2D3570"
SVG = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {} {}">{}</svg>\n'


def outline(family: str, text: str, x: float, y: float, size: float, tracking: float = 0.0, weight: int = 0) -> str:
    """The path of a text on a baseline."""
    font = TTFont(FONTS / family / "latin.woff2")
    if weight:
        font = instantiateVariableFont(font, {"wght": weight})
    glyphs, names, widths = font.getGlyphSet(), font.getBestCmap(), font["hmtx"]
    scale = size / font["head"].unitsPerEm
    pen = SVGPathPen(glyphs, ntos=lambda v: f"{v:.2f}".rstrip("0").rstrip("."))
    for char in text:
        name = names[ord(char)]
        glyphs[name].draw(TransformPen(pen, (scale, 0, 0, -scale, x, y)))
        x += widths[name][0] * scale + tracking
    return pen.getCommands()


def symbol(dome: str, beam: str) -> str:
    return (
        f'<path d="M3 40a20 20 0 0 1 40 0z" fill="{dome}"/><path d="M26 20.6 36 5l5 3.2-10.4 15.6z" fill="{beam}"/>'
        f'<path d="M0 41.5h46v3H0z" fill="{dome}"/>'
    )


def full(dome: str, beam: str) -> str:
    name = outline("young-serif", "Quillmoor", 57, 27, 24)
    line = outline("figtree", "OBSERVATORY", 58, 42.5, 11, 2.55, 600)
    return SVG.format(192, 48, symbol(dome, beam) + f'<path d="{name}" fill="{dome}"/><path d="{line}" fill="{dome}"/>')


def stars(seed: int, width: int, height: int, count: int) -> str:
    dice = random.Random(seed)
    return "".join(
        f'<circle cx="{dice.random() * width:.0f}" cy="{dice.random() * height:.0f}" r="{0.8 + dice.random() * 2.2:.1f}" '
        f'fill="{CHALK}" fill-opacity="{0.25 + dice.random() * 0.7:.2f}"/>'
        for _ in range(count)
    )


def beam_over_dome() -> str:
    return SVG.format(
        1200, 1200,
        f'<rect width="1200" height="1200" fill="{NIGHT}"/>{stars(7, 1200, 820, 90)}'
        f'<circle cx="640" cy="1010" r="620" fill="#232A58"/><circle cx="640" cy="1010" r="470" fill="{SHADE}"/>'
        f'<path d="M170 1010a470 470 0 0 1 940 0z" fill="{HEATHER}" fill-opacity=".6"/>'
        f'<path d="M640 1010 868 190l134 42L742 1010z" fill="{LAMP}"/>'
        f'<path d="M318 1010a322 322 0 0 1 644 0z" fill="{DEEPER}"/><path d="M0 1010h1200v190H0z" fill="{SHADE}"/>',
    )  # fmt: skip


def road_at_dusk() -> str:
    return SVG.format(
        1200, 900,
        f'<rect width="1200" height="900" fill="{NIGHT}"/>{stars(11, 1200, 420, 60)}'
        f'<circle cx="890" cy="210" r="92" fill="{LAMP}"/>'
        f'<path d="M0 560Q300 380 620 500t580-70v470H0z" fill="{DUSK}"/>'
        f'<path d="M0 650Q420 520 760 640t440-40v300H0z" fill="{SHADE}"/>'
        f'<path d="M640 900Q560 770 700 690T640 590Q620 570 660 545L676 549Q650 580 690 610 760 690 690 760 640 820 800 900z" fill="{CHALK}"/>'
        f'<path d="M0 800Q500 700 1200 790v110H0z" fill="{DEEPER}" fill-opacity=".55"/>',
    )  # fmt: skip


def dome_inside() -> str:
    rings = "".join(
        f'<path d="M{600 - r} 760a{r} {r} 0 0 1 {2 * r} 0z" fill="{tone}"/>'
        for r, tone in ((560, DUSK), (440, HEATHER), (320, DUSK), (200, NIGHT))
    )
    seats = "".join(
        f'<path d="M{90 + i * 128} 900v-92a46 46 0 0 1 92 0v92z" fill="{DEEPER if i % 3 else LAMP}"/>' for i in range(8)
    )
    return SVG.format(1200, 900, f'<rect width="1200" height="900" fill="{NIGHT}"/>{rings}{stars(5, 1200, 700, 70)}{seats}')


def class_telescope() -> str:
    return SVG.format(
        1200, 900,
        f'<rect width="1200" height="900" fill="{HEATHER}"/>'
        f'<circle cx="600" cy="900" r="420" fill="{CHALK}"/>'
        f'<path d="M560 620 840 150l98 58L660 680z" fill="{NIGHT}"/><path d="M824 120 982 214l-40 66-158-94z" fill="{LAMP}"/>'
        f'<path d="M588 660h44l120 240h-54l-88-190-88 190h-54z" fill="{NIGHT}"/>',
    )  # fmt: skip


def moon_key() -> str:
    return SVG.format(
        1200, 900,
        f'<rect width="1200" height="900" fill="{LAMP}"/><circle cx="560" cy="450" r="300" fill="{NIGHT}"/>'
        f'<circle cx="660" cy="370" r="290" fill="{LAMP}"/>'
        f'<circle cx="930" cy="640" r="26" fill="{NIGHT}"/><circle cx="1010" cy="250" r="16" fill="{NIGHT}"/>'
        f'<circle cx="200" cy="190" r="20" fill="{NIGHT}"/>',
    )  # fmt: skip


def library_shelf() -> str:
    dice, x, parts = random.Random(3), 70, []
    tones = (LAMP, HEATHER, CHALK, SHADE, DUSK)
    while x < 1120:
        width, height = dice.randint(40, 92), dice.randint(360, 560)
        lean = dice.choice((0, 0, 0, 5))
        parts.append(
            f'<rect x="{x}" y="{760 - height}" width="{width}" height="{height}" fill="{tones[dice.randrange(5)]}" '
            f'transform="rotate({lean} {x + width} 760)"/>'
        )
        x += width + 8 + int(math.sin(math.radians(lean)) * height)
    shelf = f'<rect y="760" width="1200" height="34" fill="{DEEPER}"/><rect y="794" width="1200" height="106" fill="{SHADE}"/>'
    return SVG.format(1200, 900, f'<rect width="1200" height="900" fill="{NIGHT}"/>{"".join(parts)}{shelf}')


if __name__ == "__main__":
    (FOLDER / "logo").mkdir(parents=True, exist_ok=True)
    (FOLDER / "pictures").mkdir(parents=True, exist_ok=True)
    for name, text in {
        "quillmoor-full": full(NIGHT, LAMP),
        "quillmoor-full-reversed": full(CHALK, LAMP),
        "quillmoor-symbol": SVG.format(46, 46, symbol(NIGHT, LAMP)),
    }.items():
        (FOLDER / "logo" / f"{name}.svg").write_text(text)
    for name, text in {
        "1-beam-over-the-dome": beam_over_dome(),
        "2-hill-road-at-dusk": road_at_dusk(),
        "3-seats-under-the-planetarium-dome": dome_inside(),
        "4-class-telescope": class_telescope(),
        "5-moon-for-members": moon_key(),
        "6-library-shelf": library_shelf(),
    }.items():
        (FOLDER / "pictures" / f"{name}.svg").write_text(text)
