"""The command line: the forms that other people's scripts rely on, exit codes, and plain errors."""

import io
import json
import os
import zipfile
from pathlib import Path
from typing import Any

import jsonschema
import pytest
from click.testing import CliRunner, Result

from formulon.core.cli import main
from formulon.core.formats.schemas import schemas

NIGHT = {"name": "Quill", "colors": [{"name": "Night", "value": "#1B2147"}]}


def run(*arguments: str) -> Result:
    return CliRunner().invoke(main, list(arguments))


@pytest.fixture
def folder(tmp_path: Path) -> Path:
    (tmp_path / "identity.json").write_text(json.dumps(NIGHT))
    (tmp_path / "site.json").write_text(json.dumps({"identity": "identity.json"}))
    return tmp_path


def written(folder: Path, name: str, data: Any) -> str:
    file = folder / name
    file.write_text(data if isinstance(data, str) else json.dumps(data))
    return str(file)


def test_contrast() -> None:
    assert "4.54:1" in run("contrast", "#767676", "white").output
    data = json.loads(run("contrast", "#777777", "rgb(255 255 255)", "--format", "json").output)
    assert data["ratio"] == pytest.approx(4.478, abs=0.001)
    assert data["passes"]["text-AA"] is False and data["passes"]["large-AA"] is True


def test_resolve_prints_the_documented_form(folder: Path) -> None:
    data = json.loads(run("resolve", str(folder / "identity.json")).output)
    jsonschema.validate(data, schemas()["resolve"])
    assert set(data) == {"schemes", "tokens", "dark", "pairs", "conflicts"}
    assert set(data["tokens"][0]) == {"path", "type", "value", "css", "origin", "reason", "alias", "wide"}
    assert set(data["pairs"][0]) == {
        "ground", "ink", "foreground", "background", "ratio", "required", "exempt", "scheme",
    }  # fmt: skip
    night = next(token for token in data["tokens"] if token["path"] == "brand/night")
    assert (night["value"], night["origin"]) == ("#1B2147", "exact")


def test_resolve_with_choices_and_as_css(folder: Path) -> None:
    choices = written(folder, "choices.json", {"radius": 14, "wires": {"paper/link": "night/500"}})
    css = run("resolve", str(folder / "identity.json"), "--choices", choices, "--format", "css").output
    assert ":root {\n  color-scheme: light;" in css and "--shape-radius: 14px;" in css and "--brand-night: #1B2147;" in css


@pytest.mark.parametrize("form", ["tokens", "scss", "gpl", "ase", "css", "json"])
def test_resolve_gives_every_form_that_the_studio_gives(folder: Path, form: str) -> None:
    from formulon.core.formats.documents import load_identity
    from formulon.core.formats.system_files import FORMS
    from formulon.core.system.resolve import resolve

    path = folder / "identity.json"
    brand = load_identity(path.read_bytes(), path.name)
    result = run("resolve", str(path), "--format", form)
    assert result.output_bytes == FORMS[form].write(resolve(brand), brand.name)


def test_build_writes_pages_that_stand_by_themselves(folder: Path) -> None:
    out = folder / "out"
    data = json.loads(run("build", str(folder / "site.json"), "--out", str(out), "--format", "json").output)
    assert {"index.html", "site.css", "tokens.css"} <= {file["path"] for file in data["files"]}
    assert all((out / file["path"]).stat().st_size == file["bytes"] for file in data["files"])


def test_check_exits_1_when_something_stops(folder: Path) -> None:
    result = run("check", str(folder / "site.json"), "--format", "json")
    data = json.loads(result.output)
    jsonschema.validate(data, schemas()["check"])
    assert result.exit_code == 1 and data["counts"]["stop"] == len(data["findings"])
    assert set(data["findings"][0]) == {
        "rule", "code", "outcome", "severity", "page", "section", "width", "target", "measured", "required", "unit",
        "message", "fixes", "schemes", "key", "mark", "waived", "basis",
    }  # fmt: skip
    assert "stop the release" in run("check", str(folder / "site.json")).output


def test_check_exits_0_when_nothing_stops(folder: Path, site) -> None:  # type: ignore[no-untyped-def]
    file = written(folder, "whole.json", site.model_dump_json())
    result = run("check", file)
    assert result.exit_code == 0, result.output


def test_a_site_may_refer_to_its_parts(folder: Path, site) -> None:  # type: ignore[no-untyped-def]
    body = json.loads(site.model_dump_json())
    written(folder, "choices.json", body["choices"])
    written(folder, "home.json", body["pages"][0])
    written(folder, "full.json", body["identity"])
    whole = {
        "identity": "full.json",
        "choices": "choices.json",
        "pages": ["home.json", *body["pages"][1:]],
        "assets": body["assets"],
    }
    assert run("check", written(folder, "parts.json", whole)).exit_code == 0


@pytest.mark.parametrize(
    ("data", "says"),
    [
        ("not json", "not JSON"),
        ("[]", "no JSON object"),
        ("[" * 100_000, "nested too deeply"),
        ({"name": "X", "colors": [{"name": "A", "value": "blurp"}]}, "“blurp” is not a colour"),
        ({"name": "X", "typefaces": {"heading": "comic"}}, "no typeface “comic”"),
        ({"colors": []}, "name"),
        ({"name": "X", "colours": []}, "colours"),
        (
            {"name": "X", "colors": [{"id": "a", "name": "A", "value": "red"}, {"id": "a", "name": "B", "value": "blue"}]},
            "Two colours",
        ),
        ({"name": "X", "marks": [{"id": "m", "name": "m", "svg": "<svg viewBox='0 0 9 9'><script/></svg>"}]}, "script"),
    ],
)
def test_a_bad_identity_is_named(folder: Path, data: Any, says: str) -> None:
    result = run("resolve", written(folder, "bad.json", data))
    assert result.exit_code == 2
    assert says in result.stderr and "bad.json" in result.stderr
    assert "Traceback" not in result.output


@pytest.mark.parametrize(
    ("data", "says"),
    [
        ({}, "no identity"),
        ({"identity": NIGHT, "pages": []}, "no page"),
        ({"identity": NIGHT, "extra": 1}, "extra"),
        ({"identity": "../identity.json"}, "outside the folder"),
        ({"identity": "gone.json"}, "cannot be read"),
        ({"identity": NIGHT, "choices": {"wires": {"nowhere": "night"}}}, "no role"),
        (
            {"identity": NIGHT, "pages": [{"id": "a", "name": "A", "sections": [{"id": "s", "kind": "x", "layout": "y"}]}]},
            "no section kind",
        ),
    ],
)
def test_a_bad_site_is_named(folder: Path, data: Any, says: str) -> None:
    result = run("check", written(folder, "bad.json", data))
    assert result.exit_code == 2 and says in result.stderr, result.stderr


def test_a_missing_file_is_named() -> None:
    result = run("resolve", "nowhere.json")
    assert result.exit_code == 2 and "nowhere.json: the file cannot be read" in result.stderr


def test_a_folder_that_cannot_be_written_is_named(folder: Path) -> None:
    written(folder, "file", "x")
    result = run("build", str(folder / "site.json"), "--out", str(folder / "file"))
    assert result.exit_code == 2 and "cannot be written" in result.stderr


def test_schemas_can_be_printed() -> None:
    for name in schemas():
        assert json.loads(run("schema", name).output) == schemas()[name]


def test_identify_prints_identity_facts_and_evidence(tmp_path: Path) -> None:
    (tmp_path / "q.gpl").write_text("GIMP Palette\n 27  33  71\tNight\n")
    (tmp_path / "s.css").write_text("body { color: #1C2248; font-family: Figtree }")
    result = run("identify", str(tmp_path))
    assert result.exit_code == 0
    made = json.loads(result.output)
    assert made["identity"]["colors"][0]["value"] == "#1B2147"
    night = next(fact for fact in made["facts"] if fact["group"] == "colors")
    assert [one["value"] for one in night["variants"]] == ["#1B2147", "#1C2248"]
    assert night["variants"][0]["evidence"][0]["file"] == "q.gpl"
    jsonschema.validate(made, schemas()["identify"])
    (tmp_path / "bad.png").write_bytes(b"\x89PNG\r\n\x1a\n")
    result = run("identify", str(tmp_path), "--format", "text")
    assert result.exit_code == 1 and "Night" in result.output and "unread  bad.png: " in result.output


def test_pipes_devices_and_folders_are_no_files(tmp_path: Path) -> None:
    os.mkfifo(tmp_path / "pipe")
    for path in (tmp_path / "pipe", Path("/dev/zero")):
        done = CliRunner().invoke(main, ["identify", str(path)])
        assert done.exit_code == 2 and "no file that can be read" in done.output
    done = CliRunner().invoke(main, ["resolve", str(tmp_path)])
    assert done.exit_code == 2 and "no file that can be read" in done.output


def test_archives_in_archives_end(tmp_path: Path) -> None:
    data = b"a{color:#123456}"
    for depth in range(8):
        out = io.BytesIO()
        with zipfile.ZipFile(out, "w") as package:
            package.writestr("in.zip" if depth else "x.css", data)
        data = out.getvalue()
    (tmp_path / "nest.zip").write_bytes(data)
    done = CliRunner().invoke(main, ["identify", str(tmp_path / "nest.zip")])
    assert done.exit_code == 1 and "too deeply" in done.output


@pytest.mark.parametrize(
    ("body", "said"),
    [
        ({"pages": 5}, "“pages” takes a list"),
        ({"pages": [5]}, "page 1"),
        ({"assets": {}}, "“assets” takes a list"),
        ({"pages": [{"id": "a", "name": "A"}, {"id": "a", "name": "B"}]}, "same id"),
        (
            {
                "frame": {
                    "header": {"id": "h", "kind": "hero", "layout": "words"},
                    "footer": {"id": "f", "kind": "footer", "layout": "line"},
                }
            },
            "header",
        ),
        ({"choices": 4}, "choices"),
    ],
)
def test_a_site_of_the_wrong_form_is_told_in_a_sentence(tmp_path: Path, body: dict, said: str) -> None:  # type: ignore[type-arg]
    (tmp_path / "site.json").write_text(json.dumps({"identity": {"name": "Q"}} | body))
    done = CliRunner().invoke(main, ["check", str(tmp_path / "site.json")])
    assert done.exit_code == 2 and said in done.output and "Traceback" not in done.output


def test_a_frame_without_pages_stands_around_the_planned_ones(tmp_path: Path) -> None:
    frame = {
        "header": {"id": "header", "kind": "header", "layout": "masthead"},
        "footer": {"id": "footer", "kind": "footer", "layout": "line", "content": {"note": "Kept by hand"}},
    }
    (tmp_path / "site.json").write_text(json.dumps({"identity": {"name": "Q"}, "frame": frame}))
    assert CliRunner().invoke(main, ["build", str(tmp_path / "site.json"), "--out", str(tmp_path / "out")]).exit_code == 0
    html = (tmp_path / "out" / "index.html").read_text()
    assert "header--masthead" in html and "Kept by hand" in html and "hero--" in html
