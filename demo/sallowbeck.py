"""Makes the folder of the second demo brand: python demo/sallowbeck.py

Sallowbeck, a workshop for willow baskets, is invented, and so is everything that it says. Its mark is drawn, its lettering is outlined
from a shipped font (SIL OFL), and its photographs are computed: light on round rods, woven, bundled and growing.
"""

import shutil
from pathlib import Path

import numpy as np
from draw import SVG, outline
from numpy.typing import NDArray
from PIL import Image, ImageFilter

ROOT = Path(__file__).parent.parent
FOLDER = Path(__file__).parent / "sallowbeck"
LIBRARY = ROOT / "formulon" / "typefaces" / "files"
STRAW, RIVER, INK, REED = "#E9C24A", "#1F6E9C", "#15191C", "#F6F3EA"
WIDE, HIGH = 1500, 1000
Field = NDArray[np.float64]

TEXTS = {
    "about-us.md": """# About us

Sallowbeck is two people, a shed and four acres of willow beside the beck. We plant, cut, soak and weave, and we sell what we have made.

Every basket has a base of eight sticks and a rim that is woven in, not nailed on. What breaks comes back to us and is mended.
""",
    "how-it-is-made.md": """# How it is made

1. Cutting: In February we cut the rods by hand, when the sap is down.
2. Sorting: They are sorted by length, from three feet to eight.
3. Soaking: A week in the beck makes them bend without a crack.
4. Weaving: Base, stakes, sides and rim, in one sitting.
""",
    "courses.md": """# Courses

Saturday 14 March, 10:00 – A round basket in a day
Saturday 11 April, 10:00 – Frames and handles
Sunday 10 May, 10:00 – A living willow fence

## Prices

Log basket: £95
Bread basket: £38
Cycle basket: £64
Cradle, made to order: £210
Mending, by the hour: £24
""",
    "voices.md": """# What people say

★★★★★ “Mine has carried logs for eleven winters and has not lost a rod.” — Edith Marran, log basket

★★★★½ “I came for a day and went home with a basket and blue fingers.” — Tom Ashe, course in April
""",
    "contact.txt": """Name: Sallowbeck
Strapline: Woven by the water.
Where: Sallowbeck
Address: The Drying Shed, Beck Lane, Sallowbeck
Phone: 01632 960231
Email: shed@sallowbeck.example
Opening hours: Friday and Saturday, 10 to 4
""",
}
CSS = """/* Sallowbeck, website */
:root {
  --straw: %s;
  --river: %s;
  --ink: %s;
  --reed: %s;
}
@font-face {
  font-family: "Syne";
  src: url("../fonts/Syne-Variable.woff2") format("woff2");
  font-weight: 400 800;
}
@font-face {
  font-family: "Epilogue";
  src: url("../fonts/Epilogue-Variable.woff2") format("woff2");
  font-weight: 100 900;
}
body {
  background: var(--reed);
  color: var(--ink);
  font: 17px/1.55 "Epilogue", Arial, sans-serif;
}
h1, h2 {
  font-family: "Syne", Arial, sans-serif;
  font-weight: 700;
}
header {
  background: var(--straw);
  color: var(--ink);
}
.button {
  background: var(--river);
  color: var(--reed);
  border-radius: 0;
}
"""


def symbol(ink: str, straw: str) -> str:
    """A basket: its rim, its bowl and three rods that cross it."""
    return (
        f'<path d="M2 16h44l-6 24H8z" fill="{ink}"/><path d="M0 10h48v7H0z" fill="{straw}"/>'
        f'<path d="M10 22h28v3H10zM11.5 29h25v3h-25zM13 36h22v2H13z" fill="{straw}"/>'
        f'<path d="M10 10a14 10 0 0 1 28 0h-4a10 7 0 0 0-20 0z" fill="{ink}"/>'
    )


def full(ink: str, straw: str) -> str:
    name = outline("syne", "Sallowbeck", 60, 33, 29, 0.2, 800)
    return SVG.format(334, 44, symbol(ink, straw) + f'<path d="{name}" fill="{ink}"/>')


def lit(distance: Field, tone: Field, light: float = 0.7) -> Field:
    """Rods as the light falls on them: `distance` is -1 to 1 across a rod, `tone` its own lightness."""
    round_ = np.sqrt(np.clip(1 - distance**2, 0, 1))
    return np.clip(tone * (0.28 + light * round_) + 0.16 * np.clip(1 - np.abs(distance + 0.35) * 4, 0, 1), 0, 1)


def colored(value: Field, dark: str, light: str) -> Image.Image:
    one, other = (np.array([int(hex_[at : at + 2], 16) for at in (1, 3, 5)], dtype=np.float64) for hex_ in (dark, light))
    return Image.fromarray((one + (other - one) * value[..., None]).clip(0, 255).astype(np.uint8))


def grain(dice: np.random.Generator, stretch: int, across: bool) -> Field:
    """Streaks along rods."""
    small = dice.random((HIGH, WIDE // stretch) if not across else (HIGH // stretch, WIDE))
    image = Image.fromarray((small * 255).astype(np.uint8)).resize((WIDE, HIGH), Image.Resampling.BICUBIC)
    return np.asarray(image, dtype=np.float64) / 255


def weave() -> Image.Image:
    """A basket's side from near by."""
    dice = np.random.default_rng(4)
    y, x = np.mgrid[0:HIGH, 0:WIDE].astype(np.float64)
    rod, stake = 34.0, 118.0
    row, column = np.floor(y / rod), np.floor(x / stake)
    over = np.sin(np.pi * (x / stake + row)) * 9
    across = lit(((y + over) % rod) / rod * 2 - 1, 0.62 + 0.3 * grain(dice, 12, False) - 0.12 * ((row * 7) % 3) / 3)
    inside = np.abs((x % stake) / stake * 2 - 1) < 0.24
    up = lit(((x % stake) / stake * 2 - 1) / 0.24, 0.5 + 0.3 * grain(dice, 12, True))
    value = np.where(inside & ((row + column) % 2 == 0), up, across)
    value *= 1 - 0.45 * (np.hypot((x - 620) / WIDE, (y - 420) / HIGH)) ** 1.5
    return colored(value, "#1c1206", "#f0d8a0")


def rods() -> Image.Image:
    """Bundles of rods, stood up to dry."""
    dice = np.random.default_rng(9)
    y, x = np.mgrid[0:HIGH, 0:WIDE].astype(np.float64)
    lean = x + (y - HIGH / 2) * (0.06 * np.sin(x / 210)) + 6 * np.sin(y / 90 + x / 70)
    width = 22.0
    number = np.floor(lean / width).astype(int)
    tones = dice.uniform(0.35, 1.0, number.max() - number.min() + 1)[number - number.min()]
    value = lit((lean % width) / width * 2 - 1, tones * (0.75 + 0.25 * grain(dice, 30, True)))
    band = np.exp(-(((y - 610 - 14 * np.sin(x / 160)) / 34) ** 2))
    value = value * (1 - 0.8 * band) + 0.8 * band * (0.25 + 0.2 * np.sin(y / 5))
    return colored(value * (0.6 + 0.4 * np.clip(y / HIGH + 0.3, 0, 1)), "#14160f", "#d9b45c")


def water() -> Image.Image:
    """The beck at first light, with willows on the far bank."""
    dice = np.random.default_rng(12)
    y, x = np.mgrid[0:HIGH, 0:WIDE].astype(np.float64)
    bank = 430 + 26 * np.sin(x / 190) + 12 * np.sin(x / 47)
    trees = bank - 90 - 120 * np.abs(np.sin(x / 150 + 0.6)) ** 0.7 - 24 * grain(dice, 6, False)
    sky = 0.94 - 0.32 * (y / 430)
    ripple = np.sin(y / (5 + y / 120) + 9 * np.sin(x / 260) + 6 * grain(dice, 40, True)) * 0.06
    under = np.clip(2 * bank - y, 0, HIGH)
    mirrored = np.where(under < trees, 0.9 - 0.32 * (under / 430), 0.22)
    value = np.where(y < trees, sky, np.where(y < bank, 0.2 + 0.14 * grain(dice, 4, False), mirrored * 0.82 + ripple))
    return colored(np.clip(value, 0, 1), "#0f2a3b", "#f4e6c4").filter(ImageFilter.GaussianBlur(1.4))


def field() -> Image.Image:
    """Rows of willow in March."""
    dice = np.random.default_rng(21)
    y, x = np.mgrid[0:HIGH, 0:WIDE].astype(np.float64)
    far = 330.0
    depth = np.clip((y - far) / (HIGH - far), 1e-3, 1)
    across = (x - WIDE * 0.42) / (0.12 + depth)
    row = np.abs(((across / 210) % 1) * 2 - 1)
    ground = 0.34 + 0.2 * grain(dice, 8, False) * depth
    stems = np.clip(1 - row * 2.4, 0, 1) * (0.5 + 0.5 * np.sin(across / 3 + 5 * grain(dice, 10, True)))
    value = np.where(y < far, 0.95 - 0.2 * (y / far), ground + 0.6 * stems)
    return colored(np.clip(value, 0, 1), "#24301c", "#f3e4b8").filter(ImageFilter.GaussianBlur(0.8))


def main() -> None:
    for name in ("logo", "pictures", "palette", "fonts", "website", "texts"):
        (FOLDER / name).mkdir(parents=True, exist_ok=True)
    for name, text in {
        "sallowbeck-full": full(INK, RIVER),
        "sallowbeck-full-reversed": full(REED, STRAW),
        "sallowbeck-symbol": SVG.format(48, 44, symbol(INK, RIVER)),
    }.items():
        (FOLDER / "logo" / f"{name}.svg").write_text(text)
    for name, image in {
        "1-woven-side-of-a-log-basket": weave(),
        "2-rods-drying-against-the-shed": rods(),
        "3-the-beck-at-first-light": water(),
        "4-rows-of-willow-in-march": field(),
    }.items():
        image.save(FOLDER / "pictures" / f"{name}.jpg", quality=82, optimize=True)
    lines = [f"{int(v[1:3], 16):3d} {int(v[3:5], 16):3d} {int(v[5:7], 16):3d}\t{n}\n" for n, v in
             (("Straw", STRAW), ("River", RIVER), ("Ink", INK), ("Reed", REED))]  # fmt: skip
    (FOLDER / "palette" / "sallowbeck.gpl").write_text("GIMP Palette\nName: Sallowbeck\n#\n" + "".join(lines))
    (FOLDER / "website" / "style.css").write_text(CSS % (STRAW, RIVER, INK, REED))
    for family, name in (("syne", "Syne-Variable"), ("epilogue", "Epilogue-Variable")):
        shutil.copy(LIBRARY / family / "latin.woff2", FOLDER / "fonts" / f"{name}.woff2")
        shutil.copy(LIBRARY / family / "OFL.txt", FOLDER / "fonts" / f"{name}-OFL.txt")
    for name, text in TEXTS.items():
        (FOLDER / "texts" / name).write_text(text, encoding="utf-8")


if __name__ == "__main__":
    main()
