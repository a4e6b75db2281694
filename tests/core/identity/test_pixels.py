"""Exact colours of flat logos, dominant colours of lossy ones. Drawn by resvg and encoded by Pillow, which know nothing of us."""

import io
import random

import numpy as np
import pytest
from PIL import Image

from formulon.core.color.difference import difference
from formulon.core.identity.marks import alike, judge, look, without_ground
from formulon.core.identity.pixels import dominant_colors, flat_colors
from formulon.core.identity.readers.svg import draw

Shape = tuple[str, str]
JPEG_NEAR = 2.5  # ΔE2000 within which the colours of a JPEG are found, as docs/formats.md states it


def logo(seed: int) -> list[Shape]:
    """Shapes as logos have them: a few plain forms with room between or over one another, each in its own colour."""
    dice = random.Random(seed)
    made: list[Shape] = [(color(dice), '<rect width="100" height="100"')] if dice.random() < 0.5 else []
    for index in range(dice.randint(2, 5)):
        x, y = 22 + 28 * (index % 3) + dice.uniform(-3, 3), 30 + 40 * (index // 3) + dice.uniform(-3, 3)
        size = dice.uniform(9, 17)
        turn = dice.choice([0, 0, 45, dice.uniform(5, 85)])
        kind = dice.choice(["circle", "rect", "ring"])
        if kind == "rect":
            form = f'<rect x="{x - size:.2f}" y="{y - size:.2f}" width="{2 * size:.2f}" height="{1.4 * size:.2f}" transform="rotate({turn:.1f} {x:.1f} {y:.1f})"'
        else:
            form = f'<circle cx="{x:.2f}" cy="{y:.2f}" r="{size:.2f}"'
        made.append((color(dice), form))
        if kind == "ring":
            made.append((color(dice), f'<circle cx="{x:.2f}" cy="{y:.2f}" r="{size / 2:.2f}"'))
    return made


def color(dice: random.Random) -> str:
    return f"#{dice.randrange(1 << 24):06X}"


def svg(items: list[str]) -> str:
    return f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100" width="100" height="100">{"".join(items)}</svg>'


def covering(shapes: list[Shape], size: int) -> set[str]:
    """The colours that fully cover at least one pixel: where the shape covers it whole, and none above touches it."""
    found = set()
    for index, (fill, form) in enumerate(shapes):
        whole = draw(svg([f'{form} fill="#fff"/>']), 100, 100, size)[..., 3] == 255
        for _, above in shapes[index + 1 :]:
            whole &= draw(svg([f'{above} fill="#fff"/>']), 100, 100, size)[..., 3] == 0
        if whole.any():
            found.add(fill)
    return found


@pytest.mark.parametrize("size", [64, 97, 160, 256])
def test_a_flat_logo_yields_exactly_the_colors_that_cover_a_pixel(size: int) -> None:
    wrong = []
    for seed in range(60):
        shapes = logo(seed)
        pixels = draw(svg([f'{form} fill="{fill}"/>' for fill, form in shapes]), 100, 100, size)
        found = {"#{:02X}{:02X}{:02X}".format(*one.rgb) for one in flat_colors(pixels) or []}
        if found != covering(shapes, size):
            wrong.append((seed, covering(shapes, size) - found, found - covering(shapes, size)))
    assert wrong == []


def test_a_single_pixel_counts_and_an_edge_does_not() -> None:
    pixels = np.full((64, 64, 4), (255, 255, 255, 255), np.uint8)
    pixels[8:40, 8:40] = (27, 33, 71, 255)
    pixels[8:40, 40] = (141, 144, 163, 255)  # half of each: a smoothed edge
    pixels[50, 50] = (242, 169, 59, 255)  # alone in the white
    assert {one.rgb for one in flat_colors(pixels) or []} == {(255, 255, 255), (27, 33, 71), (242, 169, 59)}


def test_shares_and_transparency() -> None:
    pixels = np.zeros((80, 80, 4), np.uint8)
    pixels[:40, :60] = (10, 20, 30, 255)
    pixels[:40, 60:] = (200, 20, 30, 255)
    found = flat_colors(pixels) or []
    assert [(one.rgb, one.share) for one in found] == [((10, 20, 30), 0.75), ((200, 20, 30), 0.25)]


@pytest.mark.parametrize("quality", [60, 75, 90])
@pytest.mark.parametrize("sampling", ["4:4:4", "4:2:0"])
def test_the_colors_of_a_jpeg_are_near(quality: int, sampling: str) -> None:
    wanted = [(27, 33, 71), (242, 169, 59), (142, 90, 155), (246, 241, 231)]
    picture = Image.new("RGB", (400, 300), wanted[3])
    picture.paste(wanted[0], (20, 20, 200, 280))
    picture.paste(wanted[1], (220, 20, 380, 140))
    picture.paste(wanted[2], (220, 160, 380, 280))
    file = io.BytesIO()
    picture.save(file, "JPEG", quality=quality, subsampling=sampling)
    found = [one.rgb for one in dominant_colors(np.asarray(Image.open(file).convert("RGBA")))]
    assert max(min(difference(one, other) for other in found) for one in wanted) <= JPEG_NEAR


def test_a_photograph_is_not_flat() -> None:
    dice = np.random.default_rng(3)
    noise = dice.integers(0, 255, (30, 40, 3), dtype=np.uint8)
    photo = Image.fromarray(noise).resize((400, 300), Image.Resampling.BICUBIC).convert("RGBA")
    assert flat_colors(np.asarray(photo)) is None


def test_symbol_wordmark_and_lock_up_are_told_apart() -> None:
    letters = "".join(f'<rect x="{x}" y="14" width="7" height="20" fill="#123456"/>' for x in range(60, 190, 11))
    disc = '<circle cx="25" cy="25" r="22" fill="#123456"/>'

    def shape(body: str, width: int) -> str:
        drawn = draw(
            f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {width} 50" width="{width}" height="50">{body}</svg>',
            width,
            50,
        )
        return judge(drawn).shape

    assert shape(disc, 50) == "symbol"
    assert shape(letters, 200) == "wordmark"
    assert shape(disc + letters, 200) == "full"


def test_a_mark_on_an_even_ground_is_judged_without_it() -> None:
    form = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 80 40" width="80" height="40">{}<path d="M4 36 20 4 70 30z" fill="#1B2147"/></svg>'
    bare, on_white = draw(form.format(""), 80, 40), draw(form.format('<rect width="80" height="40" fill="#fff"/>'), 80, 40)
    cut, ground = without_ground(on_white)
    assert ground == (255, 255, 255) and judge(cut).meant_for == "light" and judge(on_white).meant_for == "dark"
    assert alike(look(cut), look(bare))
    assert without_ground(bare)[1] is None


def test_light_marks_are_for_dark_grounds_and_copies_are_alike() -> None:
    form = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 80 40" width="80" height="40"><path d="M4 36 20 4 70 30z" fill="{}"/></svg>'
    light, dark = (draw(form.format(fill), 80, 40) for fill in ("#F6F1E7", "#1B2147"))
    assert judge(light).meant_for == "dark" and judge(dark).meant_for == "light"
    wider = draw(form.format("#1B2147").replace('viewBox="0 0 80 40"', 'viewBox="-20 -20 120 80"'), 120, 80, 700)
    assert alike(look(dark), look(wider))
    assert not alike(look(dark), look(light))
