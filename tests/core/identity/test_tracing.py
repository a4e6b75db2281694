"""Marks of pixels as outlines: drawn again four times as large they are what the drawing itself is at that size, by resvg."""

import io
from pathlib import Path

import numpy as np
import pytest
import resvg_py
from PIL import Image

from formulon.core.identity.decide import Request, decide, suggested
from formulon.core.identity.facts import facts_of
from formulon.core.identity.reading import read_file
from formulon.core.identity.sightings import MarkSeen, PictureSeen
from formulon.core.identity.tracing import trace
from formulon.core.system.documents.decisions import Decisions
from formulon.core.system.documents.identity import Identity

DEMO = Path(__file__).resolve().parents[3] / "demo"
BOX = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 {h}">{body}</svg>'
DRAWN = {
    "disc": BOX.format(h=100, body='<circle cx="50" cy="50" r="40" fill="#234567"/>'),
    "ring": BOX.format(h=100, body='<path fill="#8A2B3C" fill-rule="evenodd" d="M50 5a45 45 0 1 1 0 90a45 45 0 1 1 0-90M50 25a25 25 0 1 0 0 50a25 25 0 1 0 0-50"/>'),
    "square": BOX.format(h=60, body='<path fill="#0B6B3A" d="M10 10h80v40H10z"/>'),
    "star": BOX.format(h=100, body='<path fill="#C8102E" d="M50 5 61 39H96L68 60 79 94 50 73 21 94 32 60 4 39H39z"/>'),
    "two that touch": BOX.format(h=60, body='<path fill="#123456" d="M5 5h45v50H5z"/><path fill="#F2B134" d="M50 5h45v50H50z"/>'),
    "one on another": BOX.format(h=100, body='<circle cx="50" cy="50" r="45" fill="#1E1E1E"/><path fill="#FFCC00" d="M30 70 50 25 70 70z"/>'),
    "waves": BOX.format(h=60, body='<path fill="#2A6F97" d="M0 30C15 5 35 5 50 30S85 55 100 30V60H0z"/>'),
}  # fmt: skip


def drawn(svg: str, width: int, ground: str | None = None) -> bytes:
    more = {"background": ground} if ground else {}
    return bytes(resvg_py.svg_to_bytes(svg_string=svg, width=width, **more))  # type: ignore[arg-type]


def laid(data: bytes) -> np.ndarray:  # type: ignore[type-arg]
    picture = Image.open(io.BytesIO(data)).convert("RGBA")
    return np.asarray(Image.alpha_composite(Image.new("RGBA", picture.size, "white"), picture).convert("RGB")).astype(float)


def apart(one: str, other: str, width: int) -> float:
    """The mean difference of two drawings at a width, 0–1; heights that round otherwise are made the same."""
    large = [Image.fromarray(laid(drawn(svg, width)).astype(np.uint8)) for svg in (one, other)]
    made = [np.asarray(picture.resize(large[0].size, Image.Resampling.BILINEAR)).astype(float) for picture in large]
    return float(np.abs(made[0] - made[1]).mean() / 255)


def mark_of(name: str, data: bytes) -> MarkSeen:
    return next(one for one in read_file(name, data).sightings if isinstance(one, MarkSeen))


@pytest.mark.parametrize("ground", [None, "#ffffff"], ids=["on nothing", "on white"])
@pytest.mark.parametrize("width", [64, 160, 400])
@pytest.mark.parametrize("name", DRAWN)
def test_outlines_are_those_of_the_drawing(name: str, width: int, ground: str | None) -> None:
    seen = mark_of("mark.png", drawn(DRAWN[name], width, ground))
    assert seen.svg and "<path" in seen.svg and seen.note.startswith("Traced from ")
    assert seen.place.endswith("traced") and seen.sure == 0.5
    assert apart(seen.svg, DRAWN[name], 4 * width) <= 0.016 * (64 / width) + 0.002


@pytest.mark.parametrize("file", sorted(DEMO.glob("*/logo/*.svg")), ids=lambda file: file.name)
def test_marks_of_the_demo_are_traced_so_that_hardly_anything_differs(file: Path) -> None:
    data = drawn(file.read_text(), 640)
    seen = mark_of("mark.png", data)
    assert apart(seen.svg, file.read_text(), 1280) <= 0.012
    assert len(seen.svg) < 40_000


def test_a_flat_jpeg_is_traced_and_what_cannot_be_says_so() -> None:
    picture = Image.open(io.BytesIO(drawn(DRAWN["ring"], 400, "#ffffff"))).convert("RGB")
    file = io.BytesIO()
    picture.save(file, "JPEG", quality=92)
    assert mark_of("mark.jpg", file.getvalue()).note.startswith("Traced from 400 × 400 pixels")
    noise = Image.effect_noise((200, 200), 90).convert("RGB")
    file = io.BytesIO()
    noise.save(file, "PNG")
    assert not any(isinstance(one, MarkSeen) for one in read_file("photo.png", file.getvalue()).sightings)


def test_too_many_colors_dust_and_nothing_are_not_traced() -> None:
    pixels = np.zeros((40, 40, 4), dtype=np.uint8)
    assert trace(pixels, [(10, 20, 30)], None) is None
    pixels[5, 5] = (10, 20, 30, 255)
    assert trace(pixels, [(10, 20, 30)], None) is None
    pixels[10:30, 10:30] = (10, 20, 30, 255)
    assert trace(pixels, [(10 * n, 20, 30) for n in range(8)], None) is None
    assert trace(pixels, [(10, 20, 30)], (10, 20, 30)) is None
    made = trace(pixels, [(10, 20, 30)], None)
    assert made is not None and made.error < 0.01


def test_a_traced_mark_is_offered_and_gives_way_to_the_drawing() -> None:
    svg = (DEMO / "quillmoor" / "logo" / "quillmoor-symbol.svg").read_text()
    png = drawn(svg, 320)
    alone = facts_of([read_file("symbol.png", png)])
    mark = next(one for one in alone if one.group == "marks")
    assert mark.usable and "of its area differ" in mark.note
    identity, _ = decide(Identity(name="Reed"), Decisions(), alone, [Request(fact=mark.id, action="accept")])
    assert identity.marks[0].svg == mark.data["svg"]
    assert suggested(alone).marks == []  # nobody has looked at it
    both = [
        one for one in facts_of([read_file("symbol.png", png), read_file("symbol.svg", svg.encode())]) if one.group == "marks"
    ]
    assert len(both) == 1 and "traced" not in both[0].note.lower()
    assert {seen.file for seen in both[0].variants[0].evidence} == {"symbol.png", "symbol.svg"}
    assert not any(isinstance(one, PictureSeen) and one.sure > 0.5 for one in read_file("symbol.png", png).sightings)
