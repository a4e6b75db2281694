"""Palettes and design tokens, written by hand to their formats: .ase blocks in big-endian order as drawing programs write
them (common practice, there is no published standard), tokens to the Design Tokens Format Module 2025.10."""

import json
import struct
from typing import Any

import pytest

from formulon.core.identity.reading import read_file
from formulon.core.identity.sightings import ColorSeen, GradientSeen, MeasureSeen, OtherSeen, Reading, TypefaceSeen
from tests.core.identity.helpers import hexes, seen


def block(kind: int, body: bytes) -> bytes:
    return struct.pack(">HI", kind, len(body)) + body


def swatch(name: str, model: bytes, values: list[float], kind: int = 2) -> bytes:
    text = name.encode("utf-16-be") + b"\0\0"
    return block(
        1, struct.pack(">H", len(text) // 2) + text + model + struct.pack(f">{len(values)}f", *values) + struct.pack(">H", kind)
    )


def ase(*blocks: bytes) -> bytes:
    return b"ASEF" + struct.pack(">HHI", 1, 0, len(blocks)) + b"".join(blocks)


def test_ase_reads_every_model() -> None:
    data = ase(
        swatch("Night", b"RGB ", [27 / 255, 33 / 255, 71 / 255], 0),
        swatch("Lamp", b"CMYK", [0.03, 0.38, 0.85, 0.0], 1),
        swatch("Mid", b"LAB ", [0.5, 0.0, 0.0]),
        swatch("Grey", b"Gray", [0.2]),
    )
    night, lamp, mid, grey = seen(read_file("a.ase", data), ColorSeen)
    assert (night.hex, night.name, night.indicative) == ("#1B2147", "Night", False)
    assert lamp.print == ["spot Lamp", "CMYK 3 38 85 0"] and lamp.indicative
    # L* 50 is #777777 in sRGB (CSS Color 4 sample code; coloraide agrees).
    assert (mid.hex, grey.hex) == ("#777777", "#333333")


def test_a_cut_ase_keeps_what_is_whole() -> None:
    data = ase(swatch("A", b"RGB ", [1, 0, 0]), swatch("B", b"RGB ", [0, 1, 0]))[:-6]
    reading = read_file("a.ase", data)
    assert hexes(reading) == ["#FF0000"] and "cut short" in reading.notes[0]


def test_gpl() -> None:
    text = "GIMP Palette\nName: Q\nColumns: 2\n# words\n 27  33  71\tNight\n242 169  59\n"
    assert [(one.hex, one.name) for one in seen(read_file("q.gpl", text.encode()), ColorSeen)] == [
        ("#1B2147", "Night"),
        ("#F2A93B", ""),
    ]


@pytest.mark.parametrize(
    ("name", "text", "found"),
    [
        ("a.csv", "name,hex\nNight,#1B2147\nLamp,#F2A93B\n", [("Night", "#1B2147"), ("Lamp", "#F2A93B")]),
        ("a.csv", "Colour;R;G;B\nNight;27;33;71\nLamp;242;169;59\n", [("Night", "#1B2147"), ("Lamp", "#F2A93B")]),
        ("a.txt", "Night #1B2147\nLamp: rgb(242, 169, 59)\n", [("Night", "#1B2147"), ("Lamp", "#F2A93B")]),
    ],
)
def test_tables_and_lists(name: str, text: str, found: list[tuple[str, str]]) -> None:
    assert [(one.name, one.hex) for one in seen(read_file(name, text.encode()), ColorSeen)] == found


def tokens(body: dict[str, Any]) -> Reading:
    return read_file("a.tokens.json", json.dumps(body).encode())


def test_tokens_of_2025_10() -> None:
    reading = tokens(
        {
            "brand": {
                "$type": "color",
                "night": {"$value": {"colorSpace": "srgb", "components": [27 / 255, 33 / 255, 71 / 255], "hex": "#1b2147"}},
                "lamp": {"$value": {"colorSpace": "hsl", "components": [36, 87.5, 59]}},
                "alias": {"$value": "{brand.night}"},
                "pointer": {"$ref": "#/brand/night"},
            },
            "space": {
                "$type": "dimension",
                "small": {"$value": {"value": 0.5, "unit": "rem"}},
                "radius": {"$value": {"value": 6, "unit": "px"}},
            },
            "type": {
                "heading": {
                    "$type": "typography",
                    "$value": {
                        "fontFamily": ["Young Serif", "serif"],
                        "fontSize": {"value": 2, "unit": "rem"},
                        "fontWeight": "bold",
                    },
                },
                "body": {"$type": "fontFamily", "$value": "Figtree"},
            },
            "dusk": {
                "$type": "gradient",
                "$value": [{"color": "{brand.night}", "position": 0}, {"color": "{brand.lamp}", "position": 1}],
            },
            "ease": {"$type": "cubicBezier", "$value": [0, 0, 1, 1]},
            "odd": {"$type": "somethingNew", "$value": {"a": 1}},
        }
    )
    colors = {one.place: one.hex for one in seen(reading, ColorSeen)}
    assert colors == {"brand.night": "#1B2147", "brand.lamp": "#F2A93B", "brand.alias": "#1B2147", "brand.pointer": "#1B2147"}
    assert {(one.place, one.px, one.measure) for one in seen(reading, MeasureSeen)} == {
        ("space.small", 8.0, "spacing"),
        ("space.radius", 6.0, "radius"),
    }
    assert [(one.family, one.weights, one.sizes, one.use) for one in seen(reading, TypefaceSeen)] == [
        ("Young Serif", [700], [32.0], "headings"),
        ("Figtree", [], [], "running text"),
    ]
    assert seen(reading, GradientSeen)[0].stops == ["#1B2147", "#F2A93B"]
    # Unknown types are kept and listed.
    assert {one.type for one in seen(reading, OtherSeen)} == {"cubicBezier", "somethingNew"}


def test_groups_extend_and_inherit() -> None:
    reading = tokens(
        {
            "base": {"$type": "color", "a": {"$value": "#111111"}, "b": {"$value": "#222222"}},
            "more": {"$type": "color", "$extends": "{base}", "b": {"$value": "#333333"}},
        }
    )
    assert {one.place: one.hex for one in seen(reading, ColorSeen)} == {
        "base.a": "#111111", "base.b": "#222222", "more.a": "#111111", "more.b": "#333333",
    }  # fmt: skip


def test_the_older_string_form() -> None:
    reading = tokens(
        {
            "c": {"$type": "color", "$value": "#1B2147CC"},
            "d": {"$type": "dimension", "$value": "1.5rem"},
            "e": {"value": "#ff0000", "type": "color"},
        }
    )
    assert hexes(reading) == ["#1B2147", "#FF0000"] and seen(reading, MeasureSeen)[0].px == 24


@pytest.mark.parametrize(
    ("value", "says"),
    [
        ("{a.missing}", "does not exist"),
        ("{c}", "circle"),
        ({"colorSpace": "nowhere", "components": [0, 0, 0]}, "not known"),
        (5, "form"),
    ],
)
def test_a_token_that_cannot_be_used_is_listed_and_told(value: object, says: str) -> None:
    reading = tokens({"a": {"$type": "color", "$value": "#fff"}, "c": {"$type": "color", "$value": value}})
    assert hexes(reading) == ["#FFFFFF"] and [one.name for one in seen(reading, OtherSeen)] == ["c"]
    assert any(says in note for note in reading.notes)


def test_json_that_holds_no_token() -> None:
    assert "no design tokens" in read_file("a.json", b'{"a": 1}').problem
