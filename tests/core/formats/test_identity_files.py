"""Identities written out and read back. Tokens to the Design Tokens Format Module 2025.10; CSS parsed by tinycss2."""

import json

import pytest
import tinycss2
from hypothesis import given
from hypothesis import strategies as st

from formulon.core.formats.documents import load_identity
from formulon.core.formats.identity_files import FORMS
from formulon.core.identity.reading import read_file
from formulon.core.identity.sightings import ColorSeen, GradientSeen, MeasureSeen, TypefaceSeen
from formulon.core.system.documents.identity import Identity
from formulon.core.type.library import SHIPPED
from tests.core.identity.helpers import seen

FULL = Identity.model_validate(
    {
        "name": "Quill & moor */ } body{display:none}",
        "colors": [
            {"name": "Night", "value": "#1B2147", "print": ["CMYK 95 88 35 42", "spot Quill Night"], "locked": True},
            {"name": "Lämp “x”", "value": "oklch(0.78 0.14 70)"},
            {"name": "Wide", "value": "color(display-p3 0.9 0.2 0.2)"},
        ],
        "measures": [{"measure": "radius", "px": 6}, {"measure": "spacing", "px": 12.5, "name": "Gap"}],
        "gradients": ["linear-gradient(90deg, #1B2147, #8E5A9B)"],
        "rules": [{"rule": "forbidden pair", "text": "Never set Lamp on Chalk.", "values": {"ink": "Lamp", "ground": "Chalk"}}],
        "faces": [{"family": "Quill Sans", "role": "headings"}],
        "texts": [{"heading": "About", "text": "We look up.\nEvery night.", "source": "a.md"}],
        "character": {"calm_lively": -2},
        "organisation": "visit",
        "proof": ["Since 1931"],
        "pages": ["Visit"],
        "social": ["https://social.example/quillmoor"],
        "languages": ["cy"],
    }
)
HEXES = [color.parsed.hex.upper() for color in FULL.colors]


def test_the_json_reads_back_to_the_same_identity(quillmoor: Identity) -> None:
    for identity in (FULL, quillmoor):
        assert load_identity(FORMS["json"].write(identity, SHIPPED), "x.json") == identity


@given(
    name=st.text(st.characters(exclude_categories=("C",)), min_size=1, max_size=40).filter(lambda text: text.strip()),
    colors=st.lists(st.tuples(st.text("abcXYZ äé-", min_size=1, max_size=12).filter(lambda t: t.strip()), st.integers(0, 0xFFFFFF)), max_size=6, unique_by=(lambda one: one[0].strip().casefold(), lambda one: one[1])),
)  # fmt: skip
def test_colors_come_back_exactly_from_every_form(name: str, colors: list[tuple[str, int]]) -> None:
    body = {"name": name, "colors": [{"name": n, "value": f"#{v:06X}", "id": f"c{i}"} for i, (n, v) in enumerate(colors)]}
    identity = Identity.model_validate(body)
    assert load_identity(FORMS["json"].write(identity, SHIPPED), "x.json") == identity
    if not colors:
        return
    for form in ("tokens", "gpl", "ase", "css"):
        found = seen(read_file(f"x.{FORMS[form].ending}", FORMS[form].write(identity, SHIPPED)), ColorSeen)
        assert [one.hex for one in found if one.use in ("swatch", "named")] == [f"#{value:06X}" for _, value in colors], form


def test_tokens_keep_wide_colors_names_print_values_measures_and_typefaces() -> None:
    data = FORMS["tokens"].write(FULL, SHIPPED)
    body = json.loads(data)
    assert body["color"]["wide"]["$value"]["colorSpace"] == "display-p3"
    assert body["color"]["wide"]["$value"]["components"] == [0.9, 0.2, 0.2]
    assert body["color"]["night"]["$extensions"]["org.formulon.identity"] == {"print": ["CMYK 95 88 35 42", "spot Quill Night"]}
    reading = read_file("x.tokens.json", data)
    assert [one.hex for one in seen(reading, ColorSeen)] == HEXES
    assert {(one.measure, one.px) for one in seen(reading, MeasureSeen)} == {("radius", 6), ("spacing", 12.5)}
    assert [one.family for one in seen(reading, TypefaceSeen)] == ["Young Serif", "Figtree"]
    assert seen(reading, GradientSeen)[0].stops == ["#1B2147", "#8E5A9B"]
    assert reading.notes == []


def test_css_is_one_rule_whatever_the_names_are() -> None:
    rules = tinycss2.parse_stylesheet(FORMS["css"].write(FULL, SHIPPED).decode(), skip_comments=True, skip_whitespace=True)
    assert [rule.type for rule in rules] == ["qualified-rule"] and tinycss2.serialize(rules[0].prelude).strip() == ":root"
    declared = {
        d.name: tinycss2.serialize(d.value).strip()
        for d in tinycss2.parse_blocks_contents(rules[0].content)
        if d.type == "declaration"
    }
    assert declared["--color-night"] == "#1b2147" and declared["--radius-6"] == "6px" and declared["--spacing-gap"] == "12.5px"


def test_ase_has_the_print_value_beside_the_screen_value() -> None:
    found = seen(read_file("x.ase", FORMS["ase"].write(FULL, SHIPPED)), ColorSeen)
    assert [(one.name, one.print) for one in found][:2] == [
        ("Night", []),
        ("Night print", ["spot Night print", "CMYK 95 88 35 42"]),
    ]
    assert found[0].place == f"group {FULL.name}"


@pytest.mark.parametrize("form", sorted(FORMS))
def test_every_form_writes_a_bare_identity(form: str) -> None:
    assert FORMS[form].write(Identity(name="Q"), SHIPPED)
