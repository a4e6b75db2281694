"""The comparison of what two states of the code make: it finds nothing where nothing changed, and each thing that did."""

import gzip
import json
import random
from pathlib import Path

import golden
import pytest


@pytest.fixture(scope="module")
def folder(tmp_path_factory: pytest.TempPathFactory) -> Path:
    made = tmp_path_factory.mktemp("golden")
    for number in range(4):
        golden.write((made, number))
    return made


@pytest.mark.parametrize("number", range(4))
def test_the_same_state_makes_the_same(folder: Path, number: int) -> None:
    assert golden.compare((folder, number)) == (number, {})


@pytest.mark.parametrize("part", ["tokens", "pairs", "facts", "counts", "files", "preview"])
def test_what_differs_is_found_by_its_part(folder: Path, tmp_path: Path, part: str) -> None:
    before = json.loads(gzip.decompress(golden.file_of(folder, 1).read_bytes()))
    before[part] = {"gone": 1} if isinstance(before[part], dict) else ["gone"]
    golden.file_of(tmp_path, 1).write_bytes(gzip.compress(json.dumps(before).encode()))
    number, found = golden.compare((tmp_path, 1))
    assert (number, list(found)) == (1, [part]) and any("gone" in line for line in found[part])


def test_brands_differ_and_are_the_same_each_time() -> None:
    brands = [golden.identity(random.Random(number)).model_dump_json() for number in range(40)]
    assert len(set(brands)) == 40 and brands[7] == golden.identity(random.Random(7)).model_dump_json()
    styles = {golden.choices(random.Random(number)).model_dump_json() for number in range(40)}
    assert len(styles) > 35


def test_style_sheets_are_compared_whatever_their_order() -> None:
    assert golden.lines_of("a.css", b"b{}\na{}") == golden.lines_of("a.css", b"a{}\nb{}")
    assert golden.lines_of("a.html", b"b\na") == ["b", "a"] and golden.lines_of("a.webp", b"\xff\xfe") == ["2 bytes"]
