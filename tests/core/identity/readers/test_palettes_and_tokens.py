"""Palettes and design tokens, written by hand to their formats: .ase blocks in big-endian order as drawing programs write
them (common practice, there is no published standard), tokens to the Design Tokens Format Module 2025.10."""

import json
import struct
from typing import Any

import pytest

from formulon.core.identity.reading import beside, read_file
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


OLDER: dict[str, Any] = {
    "color": {
        "base": {"red": {"500": {"value": "#d01c2b"}, "default": {"value": "hsl(356 76% 46%)"}}, "ink": {"value": "navy"}},
        "text": {"value": "{color.base.ink.value}"},
        "veil": {"value": "rgba(208, 28, 43, 0.5)"},
        "value": {"value": "#101010"},
    },
    "size": {
        "font": {"small": {"value": "14px"}},
        "radius": {"card": {"value": 6}},
        "gap": {"value": "1.5rem", "comment": "wide"},
    },
    "font": {"family": {"heading": {"value": "Marcellus", "type": "font-family"}}},
    "time": {"short": {"value": "200ms"}},
}


def test_the_older_form_without_types() -> None:
    """A value alone, references that end in “.value”, numbers of px, and steps that are named by their group (common practice)."""
    reading = tokens(OLDER)
    assert {one.place: (one.hex, one.name) for one in seen(reading, ColorSeen)} == {
        "color.base.red.500": ("#D01C2B", "Red 500"),
        "color.base.red.default": ("#CE1C28", "Red default"),
        "color.base.ink": ("#000080", "Ink"),
        "color.text": ("#000080", "Text"),
        "color.veil": ("#D01C2B", "Veil"),
        "color.value": ("#101010", "Value"),
    }
    assert next(one.note for one in seen(reading, ColorSeen) if one.place == "color.veil").startswith("It is see-through (50%)")
    assert {(one.place, one.px, one.measure) for one in seen(reading, MeasureSeen)} == {
        ("size.font.small", 14.0, "text size"), ("size.radius.card", 6.0, "radius"), ("size.gap", 24.0, "spacing"),
    }  # fmt: skip
    assert [one.family for one in seen(reading, TypefaceSeen)] == ["Marcellus"] and reading.notes == []
    assert [one.name for one in seen(reading, OtherSeen)] == ["time.short"]


def test_aliases_lead_to_other_files_and_to_sets() -> None:
    base = {"brand": {"$type": "color", "moss": {"$value": "#3a5a40"}}, "old": {"clay": {"value": "#b5651d"}}}
    sets = {"night": {"sky": {"deep": {"value": "#0b1026", "type": "color"}}}, "day": {"sky": {"pale": {"value": "#cfe3f5"}}}}
    mine = {
        "a": {"$value": "{brand.moss}"}, "b": {"value": "{old.clay.value}"}, "c": {"value": "{sky.deep}"}, "d": {"value": "{sky.pale}"},
        "e": {"$type": "color", "$value": "{nowhere.at.all}"},
    }  # fmt: skip
    files = {
        "base.json": json.dumps(base).encode(),
        "sets.tokens": json.dumps(sets).encode(),
        "broken.json": b"{",
        "a.css": b"p{}",
    }
    name, data = "mine.json", json.dumps(mine).encode()
    assert sorted(beside(name, files | {name: data})) == ["base.json", "broken.json", "sets.tokens"]
    reading = read_file(name, data, beside(name, files | {name: data}))
    assert {one.place: one.hex for one in seen(reading, ColorSeen)} == {
        "a": "#3A5A40", "b": "#B5651D", "c": "#0B1026", "d": "#CFE3F5",
    }  # fmt: skip
    assert reading.notes == ["e: it refers to “nowhere.at.all”, which does not exist."]


def test_files_that_refer_to_one_another_in_a_circle_end() -> None:
    one, two = {"a": {"value": "{b}"}}, {"b": {"value": "{a}"}}
    reading = read_file("one.json", json.dumps(one).encode(), {"two.json": json.dumps(two)})
    assert "circle" in reading.notes[0] and len(reading.sightings) == 1


def test_any_number_of_tokens_is_read_and_what_fails_is_told_once() -> None:
    body = {f"group-{group}": {f"{step}": {"value": f"#{group:03x}{step:03x}"} for step in range(120)} for group in range(100)}
    body["lost"] = {f"{number}": {"value": f"{{gone.{number}}}"} for number in range(3000)}
    reading = tokens(body)
    assert len(seen(reading, ColorSeen)) == 12_000 and len(reading.notes) == 21
    assert reading.notes[-1] == "And 2,980 more tokens that could not be used."


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
