"""Colours as CSS writes them, read as Chromium reads them."""

import random
import re

from playwright.sync_api import Browser

from formulon.core.color.parse import parse_color
from formulon.core.color.srgb import from_hex
from formulon.core.identity.notations import notations

READ = """colors => colors.map(color => {
  document.body.style.color = '';
  document.body.style.color = color;
  return getComputedStyle(document.body).color;
})"""


def written() -> list[str]:
    """Colours in every form of sRGB, whole and with decimals, among them all that come to halves of a step."""
    chance = random.Random(16)
    made = [f"hsl({chance.randrange(360)} {chance.randrange(101)}% {chance.randrange(101)}%)" for _ in range(1500)]
    made += [f"hwb({chance.randrange(360)} {chance.randrange(50)}% {chance.randrange(50)}%)" for _ in range(800)]
    for _ in range(800):
        hue, *parts = (chance.uniform(0, most) for most in (360, 100, 100))
        made.append(f"hsl({hue:.1f}deg {parts[0]:.1f}% {parts[1]:.1f}%)")
        made.append(f"rgb({chance.uniform(0, 100):.1f}% {chance.randrange(101)}% {chance.randrange(0, 101, 10)}%)")
        made.append(f"rgb({chance.uniform(0, 255):.1f} {chance.randrange(255)}.5 {chance.randrange(256)})")
    return made


def test_colors_of_srgb_are_those_of_chromium(chromium: Browser) -> None:
    page = chromium.new_page()
    colors = written()
    seen = [tuple(int(part) for part in re.findall(r"\d+", one)) for one in page.evaluate(READ, colors)]
    page.close()
    off = [(color, theirs) for color, theirs in zip(colors, seen, strict=True) if parse_color(color).rgb != theirs]
    # Halves come out upwards there, but for one in thousands that single precision puts below: hsl(166 100% 50%) is 195.4999.
    assert len(colors) == 4700 and len(off) <= 2, off
    assert all(max(abs(a - b) for a, b in zip(parse_color(color).rgb, theirs, strict=True)) == 1 for color, theirs in off)
    # And where a text mentions them.
    plain = [
        (color, theirs) for color, theirs in zip(colors, seen, strict=True) if re.fullmatch(r"hsl\(\d+ \d+% \d+%\)", color)
    ]
    read = [
        (color, theirs, [from_hex(str(one.hex).lower()) for one in notations(f"Moss is {color}.")]) for color, theirs in plain
    ]
    assert len(read) == 1500 and len([one for one in read if one[2] != [one[1]]]) <= 2
