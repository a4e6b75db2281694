"""Print and wide-gamut values against reference libraries: coloraide for Lab and wide gamuts; the profile's own table,
interpolated here with numpy, for CMYK."""

import json
import struct

import numpy as np
import pytest
from coloraide import Color

from formulon.core.color.difference import delta_e_2000, difference, rgb_to_lab
from formulon.core.color.printing import PROFILE, cmyk_to_rgb, lab_to_rgb, profile_name
from formulon.core.color.srgb import from_hex
from formulon.core.identity.readers.tokens import read
from formulon.core.identity.sightings import ColorSeen

# Black point compensation lightens the darkest inks, which the bare table does not know: those are left out.
INKS = [
    (0, 0, 0, 0),
    (100, 0, 0, 0),
    (0, 100, 0, 0),
    (0, 0, 100, 0),
    (3, 38, 85, 0),
    (50, 73, 5, 0),
    (20, 10, 10, 10),
    (0, 30, 90, 0),
    (60, 0, 60, 0),
]


def table() -> tuple[np.ndarray, np.ndarray, np.ndarray]:  # type: ignore[type-arg]
    """Input curves, grid and output curves of the profile's A2B1 tag. Source: ICC.1:2022, lut16Type, section 10.10."""
    data = PROFILE.read_bytes()
    tags = {
        data[132 + 12 * i : 136 + 12 * i]: struct.unpack_from(">II", data, 136 + 12 * i)
        for i in range(struct.unpack_from(">I", data, 128)[0])
    }
    start = tags[b"A2B1"][0]
    kind = data[start : start + 4]
    inputs, outputs, points = data[start + 8], data[start + 9], data[start + 10]
    if kind == b"mft2":
        entries, exits = struct.unpack_from(">HH", data, start + 48)
        at, width, scale = start + 52, ">u2", 65535
    else:
        entries = exits = 256
        at, width, scale = start + 48, "u1", 255
    size = np.dtype(width).itemsize

    def take(count: int) -> np.ndarray:  # type: ignore[type-arg]
        nonlocal at
        made = np.frombuffer(data, width, count, at).astype(float) / scale
        at += count * size
        return made

    curves = take(inputs * entries).reshape(inputs, entries)
    grid = take(points**inputs * outputs).reshape(*[points] * inputs, outputs)
    return curves, grid, take(outputs * exits).reshape(outputs, exits)


def through_the_table(inks: tuple[int, ...]) -> tuple[float, float, float]:
    """CIELAB under D50 by linear interpolation in all four inks."""
    curves, grid, ends = table()
    at = [
        np.interp(ink / 100, np.linspace(0, 1, len(curve)), curve) * (grid.shape[0] - 1)
        for ink, curve in zip(inks, curves, strict=True)
    ]
    low = [min(int(part), grid.shape[0] - 2) for part in at]
    made = np.zeros(3)
    for corner in range(16):
        bits = [(corner >> i) & 1 for i in range(4)]
        weight = np.prod([part - base if bit else 1 - (part - base) for part, base, bit in zip(at, low, bits, strict=True)])
        made += weight * grid[tuple(base + bit for base, bit in zip(low, bits, strict=True))]
    out = [np.interp(part, np.linspace(0, 1, len(end)), end) for part, end in zip(made, ends, strict=True)]
    # lut16's old encoding of Lab: FF00h is 100 for L*, and 8000h is 0 for a* and b*; lut8's is 255 and 128.
    step = 65535 / 65280 if PROFILE.read_bytes().find(b"mft2") >= 0 else 1.0
    return out[0] * 100 * step, out[1] * 255 * step - 128, out[2] * 255 * step - 128


def test_the_profile_is_named() -> None:
    assert "CMYK" in profile_name()


@pytest.mark.parametrize("inks", INKS)
def test_cmyk_against_the_profiles_own_table(inks: tuple[int, ...]) -> None:
    """Relative colorimetric: paper is white. Within ΔE2000 of 2, for rounding to eight bits and another interpolation."""
    # Little CMS compensates the black point in XYZ: paper stays white, and the deepest black of the press becomes black.
    deepest = through_the_table((100, 100, 100, 100))[0]
    white, black = (np.array(Color("lab", (part, 0, 0)).convert("xyz-d50").coords()) for part in (100, deepest))
    here = np.array(Color("lab", through_the_table(inks)).convert("xyz-d50").coords())
    moved = white - (white - here) * white / (white - black)
    # What the press can and the screen cannot is cut off.
    color = Color("xyz-d50", moved.tolist()).convert("srgb").clip()
    r, g, b = (round(255 * part) for part in color.coords(nans=False))
    expected = (r, g, b)
    assert difference(cmyk_to_rgb(*inks), expected) <= 2.0


@pytest.mark.parametrize("lab", [(50, 0, 0), (76, 20, 65), (14, 8, -25), (45, 35, -28), (95, 0, 5)])
def test_lab_against_coloraide(lab: tuple[float, float, float]) -> None:
    color = Color("lab", lab).convert("srgb")
    assert color.in_gamut()
    expected = tuple(round(255 * part) for part in color.coords(nans=False))
    assert lab_to_rgb(*lab) == expected
    # And back: CIELAB under D65 of what came out lies where Bradford adaptation puts the value.
    there = Color("lab", lab).convert("lab-d65").coords(nans=False)
    assert delta_e_2000(rgb_to_lab(lab_to_rgb(*lab)), (there[0], there[1], there[2])) < 0.5


@pytest.mark.parametrize(
    ("space", "components"),
    [
        ("display-p3", [0.9, 0.3, 0.2]), ("rec2020", [0.2, 0.7, 0.3]), ("a98-rgb", [0.1, 0.5, 0.9]), ("prophoto-rgb", [0.4, 0.3, 0.5]),
        ("oklch", [0.7, 0.12, 60]), ("lab", [60, 20, -30]), ("lch", [60, 40, 120]), ("xyz-d65", [0.3, 0.3, 0.3]), ("srgb-linear", [0.2, 0.1, 0.4]),
    ],
)  # fmt: skip
def test_wide_gamut_tokens_against_coloraide(space: str, components: list[float]) -> None:
    body = {"a": {"$type": "color", "$value": {"colorSpace": space, "components": components}}}
    (one,) = (s for s in read("a.json", json.dumps(body)).sightings if isinstance(s, ColorSeen))
    reference = Color(space, components)
    inside = reference.convert("srgb").in_gamut(tolerance=0.0005)
    fitted = reference.convert("srgb") if inside else reference.fit("srgb", method="oklch-chroma").convert("srgb")
    expected = tuple(min(255, max(0, round(255 * part))) for part in fitted.coords(nans=False))
    assert from_hex(one.hex) == expected
    assert bool(one.note) == (not inside)
