"""SVG and pixel files. SVG by hand to SVG 2 (W3C), pictures encoded by Pillow."""

import io

import pytest
from PIL import Image

from formulon.core.identity.reading import read_file
from formulon.core.identity.sightings import ColorSeen, GradientSeen, MarkSeen, PictureSeen
from tests.core.identity.helpers import hexes, seen


def svg(body: str, box: str = "0 0 100 100", more: str = "") -> bytes:
    return f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="{box}" {more}>{body}</svg>'.encode()


def shares(data: bytes) -> dict[str, float]:
    return {one.hex: round(one.share or 0, 2) for one in seen(read_file("a.svg", data), ColorSeen)}


@pytest.mark.parametrize(
    ("body", "found"),
    [
        ('<rect width="100" height="75" fill="#112233"/><rect y="75" width="100" height="25" fill="red"/>', {"#112233": 0.75, "#FF0000": 0.25}),
        # Inherited, and overdrawn: what lies below counts only where it is seen.
        ('<g fill="#112233"><rect width="100" height="100"/><rect width="50" height="100" fill="#445566"/></g>', {"#112233": 0.5, "#445566": 0.5}),
        # currentColor takes the colour of the nearest element that sets one.
        ('<g color="#0A0B0C"><rect width="100" height="100" fill="currentColor"/></g>', {"#0A0B0C": 1.0}),
        # Without a fill, black: SVG 2, section 13.4.2.
        ('<rect width="100" height="100"/>', {"#000000": 1.0}),
        # A stroke, 20 wide around a square of 60: 80² - 40² = 4800, and the fill that is left: 1600.
        ('<rect x="20" y="20" width="60" height="60" fill="#ABCDEF" stroke="#123456" stroke-width="20"/>', {"#123456": 0.75, "#ABCDEF": 0.25}),
        # A style sheet inside, and a style attribute, which wins.
        ('<style>.a{fill:#010203}</style><rect class="a" width="100" height="50"/><rect class="a" y="50" width="100" height="50" style="fill:rgb(4,5,6)"/>', {"#010203": 0.5, "#040506": 0.5}),
        # Not drawn: outside the view box, behind something else, or not displayed.
        ('<rect x="200" width="9" height="9" fill="#999999"/><rect width="100" height="100" fill="#333333"/>', {"#333333": 1.0}),
    ],
)  # fmt: skip
def test_colors_come_with_their_share_of_the_drawn_area(body: str, found: dict[str, float]) -> None:
    assert shares(svg(body)) == pytest.approx(found, abs=0.02)


def test_gradients_are_facts_of_their_own() -> None:
    body = (
        '<defs><linearGradient id="b"><stop offset="0" stop-color="#1B2147"/><stop offset="1" stop-color="#8E5A9B"/></linearGradient>'
        '<linearGradient id="a" href="#b"/></defs><rect width="100" height="100" fill="url(#a)"/>'
    )
    reading = read_file("a.svg", svg(body))
    assert [one.stops for one in seen(reading, GradientSeen)] == [["#1B2147", "#8E5A9B"]]
    assert {one.use for one in seen(reading, ColorSeen)} == {"gradient"}


def test_live_text_is_told_and_the_mark_not_offered_as_usable() -> None:
    reading = read_file(
        "logo.svg", svg('<text x="5" y="50">Quill &amp; moor</text><circle cx="20" cy="20" r="9" fill="#112233"/>')
    )
    (mark,) = seen(reading, MarkSeen)
    assert mark.live_text == ["Quill & moor"] and mark.svg == "" and "outlines" in mark.note


def test_a_usable_mark_is_rebuilt() -> None:
    (mark,) = seen(
        read_file("symbol.svg", svg('<circle cx="50" cy="50" r="40" fill="#112233" onclick=""/>'.replace(' onclick=""', ""))),
        MarkSeen,
    )
    assert (
        mark.shape == "symbol" and mark.svg.startswith("<svg") and mark.bounds == pytest.approx((0.1, 0.1, 0.9, 0.9), abs=0.01)
    )


@pytest.mark.parametrize(
    ("name", "data", "says"),
    [
        ("a.svg", svg("<script>alert(1)</script>"), "script"),
        ("a.svg", svg('<image href="http://example.org/a.png"/>'), "refers to a picture"),
        ("a.svg", svg('<use href="http://example.org/a.svg#b"/>'), "outside itself"),
        (
            "a.svg",
            b'<!DOCTYPE svg [<!ENTITY a "b">]><svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">&a;</svg>',
            "entities",
        ),
        ("a.svg", svg("<path", ""), "cannot be read"),
        ("a.svg", b"", "empty"),
        ("a.png", b"\x89PNG\r\n\x1a\n" + b"\0" * 50, "broken"),
        ("a.bin", bytes(range(256)) * 4, "cannot tell"),
    ],
)
def test_a_bad_file_gets_a_sentence_with_its_name_cause_and_remedy(name: str, data: bytes, says: str) -> None:
    problem = read_file(name, data).problem
    assert problem.startswith(f"{name}: ") and says in problem and problem.count(".") >= 2


def encoded(picture: Image.Image, form: str, **options: object) -> bytes:
    file = io.BytesIO()
    picture.save(file, form, **options)
    return file.getvalue()


def flat() -> Image.Image:
    picture = Image.new("RGBA", (120, 60), (0, 0, 0, 0))
    picture.paste((27, 33, 71, 255), (10, 10, 60, 50))
    picture.paste((242, 169, 59, 255), (70, 10, 110, 50))
    return picture


@pytest.mark.parametrize(("form", "options"), [("PNG", {}), ("WEBP", {"lossless": True})])
def test_a_flat_lossless_logo_yields_its_exact_colors(form: str, options: dict[str, object]) -> None:
    reading = read_file(f"logo.{form.lower()}", encoded(flat(), form, **options))
    assert hexes(reading) == ["#1B2147", "#F2A93B"]
    assert not any(one.approximate for one in seen(reading, ColorSeen))
    assert [one.width for one in seen(reading, MarkSeen)] == [120] and seen(reading, PictureSeen) == []


@pytest.mark.parametrize("form", ["PNG", "JPEG", "WEBP", "AVIF"])
def test_a_photograph_is_material(form: str) -> None:
    noise = Image.effect_noise((40, 30), 90).resize((320, 240), Image.Resampling.BICUBIC)
    photo = Image.merge("RGB", (noise, noise.rotate(180), noise.transpose(Image.Transpose.FLIP_LEFT_RIGHT)))
    reading = read_file("IMG_road-at-dusk.x", encoded(photo, form))
    (picture,) = seen(reading, PictureSeen)
    assert (picture.width, picture.height, picture.name) == (320, 240, "IMG road at dusk") and picture.thumb
    assert seen(reading, MarkSeen) == [] and hexes(reading) == []


def test_a_picture_is_turned_as_its_camera_held_it() -> None:
    """Exif orientation 6: to be shown turned by 90° (CIPA DC-008)."""
    photo = Image.effect_noise((64, 48), 90).convert("RGB").resize((400, 300))
    exif = Image.Exif()
    exif[0x0112] = 6
    (picture,) = seen(read_file("a.jpg", encoded(photo, "JPEG", exif=exif)), PictureSeen)
    assert (picture.width, picture.height) == (300, 400)


def test_a_mislabelled_file_is_read_by_its_content() -> None:
    reading = read_file("logo.jpg", encoded(flat(), "PNG"))
    assert reading.format == "PNG" and "called .jpg, but it is PNG" in reading.notes[0]


def test_a_picture_of_too_many_pixels_is_refused_before_it_is_unpacked() -> None:
    head = bytearray(encoded(Image.new("1", (8, 8)), "PNG"))
    head[16:24] = (60_000).to_bytes(4, "big") * 2
    import zlib

    head[29:33] = zlib.crc32(bytes(head[12:29])).to_bytes(4, "big")
    assert "40 million" in read_file("a.png", bytes(head)).problem
