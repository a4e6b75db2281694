"""Makes the rest of the folder that the Quillmoor Observatory hands over: python demo/client.py

A two-page guideline as PDF, an old small website with near-miss colours, palette files, a logo as pixels, a photograph-like
picture and the fonts. Everything is invented; demo/draw.py draws the marks and pictures that this builds on.
"""

import io
import random
import re
import shutil
import struct
from pathlib import Path

import resvg_py
from fontTools.ttLib import TTFont
from PIL import Image, ImageFilter
from reportlab.lib.colors import CMYKColor, CMYKColorSep, HexColor
from reportlab.lib.pagesizes import A4
from reportlab.lib.units import mm
from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import TTFont as PdfFont
from reportlab.pdfgen.canvas import Canvas

FOLDER = Path(__file__).parent / "quillmoor"
LIBRARY = Path(__file__).parent.parent / "formulon" / "typefaces" / "files"
COLORS = {
    "Night": ("#1B2147", (27, 33, 71), (95, 88, 35, 42), "Quillmoor Night"),
    "Lamp": ("#F2A93B", (242, 169, 59), (3, 38, 85, 0), "Quillmoor Lamp"),
    "Heather": ("#8E5A9B", (142, 90, 155), (50, 73, 5, 0), ""),
    "Chalk": ("#F6F1E7", (246, 241, 231), (3, 4, 9, 0), ""),
}


def fonts() -> None:
    """The type families as the foundry's files, with their licence."""
    for family, name in (("young-serif", "YoungSerif-Regular"), ("figtree", "Figtree-Variable")):
        shutil.copy(LIBRARY / family / "latin.woff2", FOLDER / "fonts" / f"{name}.woff2")
        shutil.copy(LIBRARY / family / "OFL.txt", FOLDER / "fonts" / f"{name}-OFL.txt")


def register(family: str, name: str) -> None:
    """A font in the form that a PDF takes."""
    font = TTFont(LIBRARY / family / "latin.woff2")
    if "fvar" in font:
        from fontTools.varLib.instancer import instantiateVariableFont

        font = instantiateVariableFont(font, {"wght": 400})
    font.flavor = None
    for record in font["name"].names:
        if record.nameID == 6:
            record.string = name
    file = io.BytesIO()
    font.save(file)
    file.seek(0)
    pdfmetrics.registerFont(PdfFont(name, file))


def svg_form(canvas: Canvas, name: str, text: str, width: float, height: float) -> None:
    """The paths of a simple SVG as a form, so that the mark is one drawing."""
    canvas.beginForm(name, 0, 0, width, height)
    canvas.translate(0, height)
    canvas.scale(1, -1)
    for data, fill in re.findall(r'<path d="([^"]+)" fill="([^"]+)"', text):
        canvas.setFillColor(HexColor(fill))
        draw_path(canvas, data)
    canvas.endForm()


def draw_path(canvas: Canvas, data: str) -> None:
    """Path data with absolute and relative commands; arcs as their two half circles."""
    from fontTools.pens.recordingPen import RecordingPen
    from fontTools.svgLib.path import parse_path

    pen = RecordingPen()
    parse_path(data, pen)
    path = canvas.beginPath()
    at = (0.0, 0.0)
    for command, points in pen.value:
        if command == "moveTo":
            path.moveTo(*points[0])
        elif command == "lineTo":
            path.lineTo(*points[0])
        elif command == "curveTo":
            path.curveTo(*points[0], *points[1], *points[2])
        elif command == "qCurveTo":
            (cx, cy), (x, y) = points[0], points[-1]
            path.curveTo(
                at[0] + 2 / 3 * (cx - at[0]), at[1] + 2 / 3 * (cy - at[1]), x + 2 / 3 * (cx - x), y + 2 / 3 * (cy - y), x, y
            )
        else:
            path.close()
        at = points[-1] if points else at
    canvas.drawPath(path, stroke=0, fill=1)


def guideline() -> None:
    register("young-serif", "YoungSerif-Regular")
    register("figtree", "Figtree-Regular")
    canvas = Canvas(str(FOLDER / "guideline" / "quillmoor-guideline.pdf"), pagesize=A4, invariant=1)
    canvas.setTitle("Quillmoor Observatory: how we look")
    wide, high = A4
    svg_form(canvas, "lockup", (FOLDER / "logo" / "quillmoor-full.svg").read_text(), 192, 48)

    canvas.setFillColor(HexColor("#F6F1E7"))
    canvas.rect(0, 0, wide, high, stroke=0, fill=1)
    canvas.saveState()
    canvas.translate(22 * mm, high - 45 * mm)
    canvas.scale(1.3, 1.3)
    canvas.doForm("lockup")
    canvas.restoreState()
    text(canvas, "YoungSerif-Regular", 30, 22 * mm, high - 72 * mm, ["How we look"])
    text(canvas, "Figtree-Regular", 10.5, 22 * mm, high - 84 * mm, [
        "Four colours carry everything that we print and show. Use them as they are: no tints of Lamp,",
        "no darker Night. Screen values come first; print values are for the press.",
    ])  # fmt: skip
    top = high - 100 * mm
    for index, (name, (hexa, rgb, cmyk, spot)) in enumerate(COLORS.items()):
        left = 22 * mm + index * 43 * mm
        if spot:
            canvas.setFillColor(CMYKColorSep(*(part / 100 for part in cmyk), spotName=spot))
        elif name == "Heather":
            canvas.setFillColor(CMYKColor(*(part / 100 for part in cmyk)))
        else:
            canvas.setFillColor(HexColor(hexa))
        canvas.rect(left, top - 42 * mm, 38 * mm, 42 * mm, stroke=0, fill=1)
        lines = [f"Hex {hexa}", f"RGB {' '.join(map(str, rgb))}", f"CMYK {' '.join(map(str, cmyk))}"]
        lines += [f"Spot {spot}"] if spot else []
        text(canvas, "YoungSerif-Regular", 14, left, top - 50 * mm, [name])
        text(canvas, "Figtree-Regular", 8.5, left, top - 57 * mm, lines)
    text(canvas, "YoungSerif-Regular", 16, 22 * mm, 92 * mm, ["Proportions"])
    text(
        canvas,
        "Figtree-Regular",
        10.5,
        22 * mm,
        84 * mm,
        ["60 % Chalk, 25 % Night, 10 % Heather and 5 % Lamp on every spread."],
    )
    text(canvas, "YoungSerif-Regular", 16, 22 * mm, 68 * mm, ["What we never do"])
    text(canvas, "Figtree-Regular", 10.5, 22 * mm, 60 * mm, [
        "Never set Lamp on Chalk. It cannot be read.",
        "Never set Heather on Night.",
    ])  # fmt: skip
    canvas.showPage()

    canvas.setFillColor(HexColor("#F6F1E7"))
    canvas.rect(0, 0, wide, high, stroke=0, fill=1)
    canvas.setFillColor(HexColor("#1B2147"))
    text(canvas, "YoungSerif-Regular", 22, 22 * mm, high - 40 * mm, ["The mark"])
    text(canvas, "Figtree-Regular", 10.5, 22 * mm, high - 50 * mm, [
        "The full logo is never smaller than 24 mm wide. The symbol is at least 6 mm wide.",
        "Keep a clear space of half the height of the dome on every side.",
        "On dark grounds use the reversed logo, in Chalk with the beam in Lamp.",
    ])  # fmt: skip
    canvas.saveState()
    canvas.translate(22 * mm, high - 95 * mm)
    canvas.scale(1.6, 1.6)
    canvas.doForm("lockup")
    canvas.restoreState()
    text(canvas, "YoungSerif-Regular", 22, 22 * mm, high - 120 * mm, ["Type"])
    text(canvas, "Figtree-Regular", 10.5, 22 * mm, high - 130 * mm, [
        "Headings are set in Young Serif, everything else in Figtree.",
        "Buttons and pictures have corners of 6 px; nothing is fully round.",
    ])  # fmt: skip
    text(canvas, "YoungSerif-Regular", 22, 22 * mm, high - 155 * mm, ["Voice"])
    text(canvas, "Figtree-Regular", 10.5, 22 * mm, high - 165 * mm, [
        "We talk like a neighbour who happens to own a telescope.",
        "Words we use: sky, dark, evening, look, together.",
        "Words we avoid: experience, unique, stunning, journey.",
    ])  # fmt: skip
    text(canvas, "Figtree-Regular", 10.5, 22 * mm, 40 * mm, [
        "Strapline: The dark is worth the drive.",
        "Questions: hello@quillmoor.example",
    ])  # fmt: skip
    canvas.showPage()
    canvas.save()


def text(canvas: Canvas, font: str, size: float, x: float, y: float, lines: list[str]) -> None:
    canvas.setFillColor(HexColor("#1B2147"))
    writer = canvas.beginText(x, y)
    writer.setFont(font, size, leading=size * 1.45)
    for line in lines:
        writer.textLine(line)
    canvas.drawText(writer)


def palettes() -> None:
    lines = ["GIMP Palette", "Name: Quillmoor", "#"]
    lines += [f"{r:3d} {g:3d} {b:3d}\t{name}" for name, (_, (r, g, b), _, _) in COLORS.items()]
    (FOLDER / "palette" / "quillmoor.gpl").write_text("\n".join(lines) + "\n")
    blocks = []
    for name, (_, _, cmyk, spot) in COLORS.items():
        encoded = name.encode("utf-16-be") + b"\0\0"
        body = struct.pack(">H", len(encoded) // 2) + encoded + b"CMYK"
        body += struct.pack(">4fH", *(part / 100 for part in cmyk), 1 if spot else 2)
        blocks.append(struct.pack(">HI", 1, len(body)) + body)
    (FOLDER / "palette" / "quillmoor-print.ase").write_bytes(
        b"ASEF" + struct.pack(">HHI", 1, 0, len(blocks)) + b"".join(blocks)
    )


def pixels() -> None:
    """The logo as somebody once exported it, and a picture with the grain of a photograph."""
    svg = (FOLDER / "logo" / "quillmoor-full.svg").read_text()
    (FOLDER / "logo" / "quillmoor-full-640.png").write_bytes(
        bytes(resvg_py.svg_to_bytes(svg_string=svg, width=640, height=160))
    )
    drawn = resvg_py.svg_to_bytes(
        svg_string=(FOLDER / "pictures" / "2-hill-road-at-dusk.svg").read_text(), width=1600, height=1200
    )
    picture = Image.open(io.BytesIO(bytes(drawn))).convert("RGB").filter(ImageFilter.GaussianBlur(5))
    dice = random.Random(7)
    noise = Image.new("L", (400, 300))
    noise.putdata([dice.randrange(96, 160) for _ in range(400 * 300)])
    grain = noise.resize(picture.size, Image.Resampling.BICUBIC)
    shade = Image.merge("RGB", (grain, grain, grain))
    Image.blend(picture, shade, 0.12).save(FOLDER / "pictures" / "7-road-to-the-hill-in-october.jpg", quality=78)


if __name__ == "__main__":
    for name in ("guideline", "website", "fonts", "palette", "texts"):
        (FOLDER / name).mkdir(parents=True, exist_ok=True)
    fonts()
    guideline()
    palettes()
    pixels()
