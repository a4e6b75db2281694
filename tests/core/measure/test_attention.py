"""What draws the eye first: held to screens of equal things of which one is otherwise, where everybody looks at that one first (the odd one
out among equals, as in experiments on visual search: A. Treisman, G. Gelade, “A feature-integration theory of attention”, 1980; from memory)."""

from pathlib import Path

import numpy as np
import pytest
from numpy.typing import NDArray
from PIL import Image, ImageDraw

from formulon.core.measure.attention import Box, drawing_map, glances
from formulon.core.measure.files import of_folder
from formulon.core.measure.glanced import HIGH
from formulon.core.measure.looking import Views
from formulon.core.measure.resident import Resident

KINDS = ("color", "light", "size", "shape", "filled", "tilt")
THINGS = (*KINDS, "outlined", "bare", "taller")  # what is told where it is known what things there are
GROUNDS = ((255, 255, 255), (246, 241, 231), (27, 33, 71), (20, 20, 20), (230, 240, 235))
INKS = ((180, 60, 60), (60, 120, 180), (70, 140, 80), (140, 90, 160), (200, 150, 60))
SCREENS = ((1280, 800), (360, 640))
EACH = 10  # screens of a kind and a size


def one_otherwise(kind: str, wide: int, high: int, rng: np.random.Generator) -> tuple[NDArray[np.uint8], list[Box], int]:
    """A screen of equal things, a little out of line, their boxes, and which is otherwise."""
    ground, inks = GROUNDS[rng.integers(len(GROUNDS))], rng.permutation(len(INKS))
    ink, other = INKS[inks[0]], INKS[inks[1]]
    picture = Image.new("RGB", (wide, high), ground)
    pen = ImageDraw.Draw(picture)
    across, down = (2, 5) if wide < 600 else (int(rng.integers(3, 6)), int(rng.integers(3, 5)))
    cell = wide / across, high / down
    odd, boxes = int(rng.integers(across * down)), list[Box]()
    for index in range(across * down):
        x = (index % across + 0.5) * cell[0] + rng.uniform(-6, 6)
        y = (index // across + 0.5) * cell[1] + rng.uniform(-6, 6)
        w, h, color = cell[0] * 0.55, cell[1] * 0.42, ink
        if index == odd and kind == "color":
            color = other
        elif index == odd and kind == "light":  # farther from the ground than the others
            color = tuple(round(part + (255 - part) * 0.6 if sum(ground) < 380 else part * 0.45) for part in ink)
        elif index == odd and kind == "size":
            w, h = w * 1.6, h * 1.7
        elif index == odd and kind == "taller":
            h *= 1.5
        elif kind == "tilt":
            w = h = min(w, h)
        edges = (x - w / 2, y - h / 2, x + w / 2, y + h / 2)
        boxes.append((edges[0], edges[1], w, h))
        if kind == "tilt":
            for step in np.linspace(-w / 2, w / 2, 9):
                standing, lying = (x + step, y - h / 2, x + step, y + h / 2), (x - w / 2, y + step, x + w / 2, y + step)
                pen.line(standing if index == odd else lying, fill=color, width=4)
        elif kind == "shape" and index == odd:
            pen.ellipse(edges, fill=color)
        elif index == odd and kind == "outlined":
            pen.rectangle(edges, outline=color, width=2)
        elif index == odd and kind == "bare":  # a word alone, where the others stand in frames
            pen.rectangle((x - w / 4, y - 3, x + w / 4, y + 3), fill=color)
        elif kind == "bare":
            pen.rectangle(edges, outline=color, width=2)
            pen.rectangle((x - w / 4, y - 3, x + w / 4, y + 3), fill=color)
        elif kind == "filled":
            pen.rectangle(edges, fill=color if index == odd else None, outline=color, width=3)
        else:
            pen.rectangle(edges, fill=color)
    return np.asarray(picture), boxes, odd


@pytest.mark.parametrize("kinds", [KINDS, THINGS], ids=["pixels-alone", "known-things"])
def test_the_one_that_is_otherwise_is_seen_first(kinds: tuple[str, ...]) -> None:
    rng, found = np.random.default_rng(2026), dict.fromkeys(kinds, 0)
    for kind in kinds:
        for number in range(EACH * len(SCREENS)):
            screen, boxes, odd = one_otherwise(kind, *SCREENS[number % 2], rng)
            first = glances(screen, boxes if kinds is THINGS else [boxes[odd]], 1)
            found[kind] += bool(first) and first[0].box == (odd if kinds is THINGS else 0)
    each = EACH * len(SCREENS)
    assert sum(found.values()) >= 0.95 * each * len(kinds), found
    assert min(found.values()) >= (0.95 if kinds is THINGS else 0.9) * each, found


def test_things_that_are_all_alike_or_all_otherwise_draw_by_their_pixels_alone() -> None:
    screen, boxes, _ = one_otherwise("none", 1280, 800, np.random.default_rng(4))
    np.testing.assert_allclose(drawing_map(screen, boxes), drawing_map(screen), atol=0.05)
    screen, boxes, _ = one_otherwise("taller", 1280, 800, np.random.default_rng(4))
    assert np.abs(drawing_map(screen, boxes) - drawing_map(screen)).max() > 0.5
    # Two things are no measure of each other, and what lies beside the screen is none of it.
    np.testing.assert_array_equal(drawing_map(screen, boxes[:2]), drawing_map(screen))
    beside: list[Box] = [(-9999, 0, 40, 40), (0, -90, 200, 60), (1300, 20, 50, 50), (10, 900, 5, 5), (30, 30, 0, 0)]
    np.testing.assert_array_equal(drawing_map(screen, boxes + beside), drawing_map(screen, boxes))


def test_where_nothing_is_unlike_the_rest_nothing_draws_the_eye() -> None:
    assert glances(np.full((640, 360, 3), 244, dtype=np.uint8)) == []
    assert glances(np.zeros((0, 0, 3), dtype=np.uint8)) == [] and glances(np.zeros((9, 300, 3), dtype=np.uint8)) == []
    rng = np.random.default_rng(1)
    noise = rng.integers(0, 256, (640, 360, 3), dtype=np.uint8)
    assert all(0 < one.strength <= 1 for one in glances(noise))


def test_what_was_looked_at_is_set_aside_and_the_smallest_box_is_named() -> None:
    screen = np.full((800, 1280, 3), 250, dtype=np.uint8)
    screen[100:160, 200:420] = (200, 40, 40)
    screen[500:540, 900:1100] = (120, 140, 175)
    boxes: list[Box] = [(0, 0, 1280, 800), (200, 100, 220, 60), (900, 500, 200, 40)]
    found = glances(screen, boxes)
    assert [one.box for one in found[:2]] == [1, 2] and found[0].strength == 1.0 > found[1].strength
    assert [round(one.strength, 6) for one in found] == sorted((round(one.strength, 6) for one in found), reverse=True)
    # Without boxes each is still looked at once.
    bare = glances(screen, count=2)
    assert [200 <= one.x <= 420 for one in bare] == [True, False] and [one.box for one in bare] == [None, None]


def test_what_the_edge_of_the_screen_cuts_draws_as_much_less_as_is_not_seen_of_it() -> None:
    screen = np.full((800, 1280, 3), 250, dtype=np.uint8)
    screen[200:280, 300:500] = screen[720:800, 300:500] = (30, 40, 90)
    whole: list[Box] = [(300, 200, 200, 80), (300, 720, 200, 80)]
    cut: list[Box] = [whole[0], (300, 720, 200, 320)]
    ratio = [
        drawing_map(screen, boxes)[46:49, 20:30].max() / drawing_map(screen, boxes)[13:17, 20:30].max()
        for boxes in (whole, cut)
    ]
    assert ratio[1] == pytest.approx(ratio[0] / 4, rel=0.05)
    assert [one.box for one in glances(screen, cut, 1)] == [0]


PAGE = """<!doctype html><html lang="en"><head><title>Rooms</title><style>
body {{ margin: 0; font: 16px sans-serif; background: {ground}; color: #222 }}
ul {{ list-style: none; margin: 0; padding: 40px; display: grid; grid-template-columns: repeat({across}, 1fr); gap: 40px }}
a {{ display: block; padding: 24px; background: {ink}; color: #fff; text-decoration: none; text-align: center }}
a.odd {{ {odd} }}</style></head><body><main><ul>{links}</ul></main></body></html>"""
ODD = (
    "background: #c2410c", "background: #0b1f33", "scale: 1.5", "border-radius: 40px", "rotate: 45deg", "padding: 56px 24px",
    "background: none; color: inherit; outline: 1px solid #2f6f8f", "background: none; color: inherit", "font-size: 26px",
)  # fmt: skip


@pytest.mark.browser
def test_on_pages_as_they_are_drawn(tmp_path: Path) -> None:
    """Buttons in rows, one of them otherwise, as Chromium draws them on desktops and phones."""
    wanted: dict[str, str] = {}
    for number, odd in enumerate(ODD * 2):
        which = (number * 5 + 3) % 12
        links = "".join(f'<li><a href="#"{" class=odd" if one == which else ""}>Room {one + 1}</a></li>' for one in range(12))
        ground, ink = ("#ffffff", "#2f6f8f") if number % 2 else ("#f4efe6", "#4d7c5a")
        name = f"page{number}.html"
        (tmp_path / name).write_text(PAGE.format(ground=ground, ink=ink, odd=odd, across=3 + number % 2, links=links))
        wanted[name] = f"Room {which + 1}"
    files, browser = of_folder(tmp_path), Resident()
    told: list[tuple[str, int, str]] = []
    try:
        for name in wanted:
            seen = browser.look(files, name, Views((360, 1280), glances=True)).seen
            told += [(name, width, one.glances[0].label if one.glances else "") for width, one in seen.items()]
    finally:
        browser.close()
    inside = [(name, width, label) for name, width, label in told if width in HIGH]
    right = [one for one in inside if one[2] == wanted[one[0]]]
    assert len(inside) == 2 * len(wanted) and len(right) >= 0.95 * len(inside), [one for one in inside if one not in right]
