"""The written tokens and SCSS as outside readers take them: style-dictionary 5, Terrazzo's parser, and Sass."""

import json
import random
import re
import subprocess
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from coloraide import Color

from formulon.core.color.difference import difference
from formulon.core.color.srgb import from_hex
from formulon.core.formats.system_files import FORMS
from formulon.core.identity.reading import beside, read_file
from formulon.core.identity.sightings import ColorSeen
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve
from formulon.core.system.system import System

ROOT = Path(__file__).resolve().parents[2]
# A colour outside sRGB, a pin, both schemes, and names that try to break out of what is written.
HOSTILE = "*/ } </style> {night} $x #{1+1} ”'\\"


@pytest.fixture(scope="module")
def system() -> System:
    from tests.conftest import quillmoor_identity

    body = quillmoor_identity().model_dump()
    body["colors"] += [
        {"id": "glow", "name": "Glow", "value": "color(display-p3 1 0.2 0.1)"},
        {"id": "odd", "name": HOSTILE, "value": "#00827B"},
    ]
    choices = Choices(scheme="both", pins={"ground/paper/link": "#123456", "dark:ground/paper/link": "#ABCDEF"})
    return resolve(Identity.model_validate(body), choices)


@pytest.fixture(scope="module")
def read(system: System, tmp_path_factory: pytest.TempPathFactory) -> dict[str, Any]:
    folder = tmp_path_factory.mktemp("tokens")
    for form in ("tokens", "scss"):
        (folder / f"system.{form}").write_bytes(FORMS[form].write(system, HOSTILE))
    done = subprocess.run(
        [ROOT / ".venv/bin/node", ROOT / "web/tools/read-tokens.mjs", folder / "system.tokens", folder / "system.scss"],
        capture_output=True, text=True, check=False, timeout=120,
    )  # fmt: skip
    assert done.returncode == 0, done.stderr
    return dict(json.loads(done.stdout))


def colors_of(system: System) -> dict[str, str]:
    """Every colour by the name that the written tokens give it."""
    made = {t.path.replace("/", "."): t.css.lower() for t in system.tokens.values() if t.type == "color"}
    return made | {f"dark.{t.path.replace('/', '.')}": t.css.lower() for t in system.dark.values() if t.type == "color"}


def test_style_dictionary_reads_the_same_colors(system: System, read: dict[str, Any]) -> None:
    wanted = colors_of(system)
    theirs = {name: value for name, value in read["styleDictionary"].items() if name in wanted}
    assert theirs.keys() == wanted.keys()
    for name, value in theirs.items():
        # Outside sRGB that reader maps in its own way; everywhere else it is the same to the bit.
        if "glow" in name or wanted[name] == wanted["brand.glow"]:
            assert difference(from_hex(value), from_hex(wanted[name])) < 6, name
        else:
            assert value == wanted[name], name


def test_terrazzo_reads_the_same_colors(system: System, read: dict[str, Any]) -> None:
    wanted = colors_of(system)
    theirs = {name: token["value"] for name, token in read["terrazzo"].items() if token["type"] == "color"}
    assert theirs.keys() == wanted.keys()
    for name, value in theirs.items():
        if value["colorSpace"] == "srgb":
            r, g, b = (round(part * 255) for part in value["components"])
            assert f"#{r:02x}{g:02x}{b:02x}" == wanted[name], name


def test_a_wide_color_keeps_its_own_value_and_the_checked_fallback(system: System, read: dict[str, Any]) -> None:
    glow = read["terrazzo"]["brand.glow"]["value"]
    assert glow["colorSpace"] == "display-p3"
    np.testing.assert_allclose(glow["components"], [1, 0.2, 0.1], atol=1e-6)
    fallback = system.tokens["brand/glow"].css
    # coloraide's chroma reduction in OKLCH with the local minimum of CSS Color 4.
    theirs = Color("color(display-p3 1 0.2 0.1)").fit("srgb", method="oklch-chroma").convert("srgb")
    assert fallback == theirs.to_string(hex=True)
    css = FORMS["css"].write(system, "x").decode()
    assert f"--brand-glow: {fallback};" in css
    assert re.search(r"@media \(color-gamut: p3\) \{\s*:root \{\s*--brand-glow: color\(display-p3 1 0\.2 0\.1\);", css)


def test_aliases_stay_references(system: System) -> None:
    data = json.loads(FORMS["tokens"].write(system, "x"))
    assert data["ground"]["paper"]["background"]["$value"] == "{brand.chalk}"
    assert data["ground"]["deep"]["heading"]["$value"] == "{brand.chalk}"
    assert data["ground"]["paper"]["link"]["$value"]["hex"] == "#123456"
    assert data["ground"]["paper"]["link"]["$extensions"]["org.formulon"]["origin"] == "pinned"
    assert data["dark"]["ground"]["paper"]["background"]["$value"] == "{brand.night}"
    assert data["ground"]["paper"]["heading"]["$description"].startswith("Night #1b2147 on Chalk is ")


def test_a_fluid_size_is_two_tokens(system: System, read: dict[str, Any]) -> None:
    step = system.steps["h1"]
    small, large = (read["terrazzo"][f"type.h1.size.{end}"]["value"] for end in ("small", "large"))
    assert small == {"value": round(step.small, 4), "unit": "px"} and large == {"value": round(step.large, 4), "unit": "px"}
    group = json.loads(FORMS["tokens"].write(system, "x"))["type"]["h1"]["size"]
    assert group["$extensions"]["org.formulon"]["fluid"] == {"from": 360, "to": 1280, "css": system.css("type/h1/size")}


def test_sass_compiles_the_variables_to_the_same_values(system: System, read: dict[str, Any]) -> None:
    theirs = dict(re.findall(r"--([\w-]+):\s*([^;]+);", read["compiled"]))
    wanted = {t.path.replace("/", "-"): t for t in system.tokens.values() if t.type == "color"}
    assert wanted.keys() <= theirs.keys()
    for name, token in wanted.items():
        assert theirs[name].lower() == token.css.lower(), name
    assert theirs["dark-ground-paper-link"].lower() == "#abcdef"
    assert theirs["type-h1-size"] == system.css("type/h1/size")


def older_files(seed: int) -> list[dict[str, Any]]:
    """Three files in the older form: colours in groups as deep as they come, and two files of aliases to them and to one another."""
    chance = random.Random(seed)
    base: dict[str, Any] = {}
    paths = []
    for number in range(40):
        path = ["color", *(chance.choice(("base", "warm", "cool", "ink")) for _ in range(chance.randrange(1, 4))), f"c{number}"]
        node = base
        for part in path[:-1]:
            node = node.setdefault(part, {})
        node[path[-1]] = {"value": f"#{chance.randrange(1 << 24):06x}"} | ({"type": "color"} if chance.random() < 0.5 else {})
        paths.append(".".join(path))
    files = [base]
    for name in ("theme", "parts"):
        made = {f"a{number}": {"value": f"{{{chance.choice(paths)}}}"} for number in range(60)}
        files.append({name: made})
        paths += [f"{name}.{one}" for one in made]
    return files


@pytest.mark.parametrize("seed", range(3))
def test_the_older_form_is_read_as_style_dictionary_reads_it(tmp_path: Path, seed: int) -> None:
    files = {f"{number}.json": json.dumps(body).encode() for number, body in enumerate(older_files(seed))}
    for name, data in files.items():
        (tmp_path / name).write_bytes(data)
    tool = ROOT / "web/tools/read-older-tokens.mjs"
    command = [ROOT / ".venv/bin/node", tool, *(tmp_path / name for name in files)]
    done = subprocess.run(command, capture_output=True, text=True, check=False, timeout=120)
    assert done.returncode == 0, done.stderr
    theirs = {place: value.upper() for place, value in json.loads(done.stdout).items()}
    readings = [read_file(name, data, beside(name, files)) for name, data in files.items()]
    mine = {one.place: one.hex for reading in readings for one in reading.sightings if isinstance(one, ColorSeen)}
    assert len(theirs) == 160 and mine == theirs
