"""Hostile files in processes of their own: limits on time and memory, no file, no socket; and 2,000 mutated files."""

import io
import os
import random
import socket
import time
import zipfile
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from contextlib import suppress
from pathlib import Path

import docx
import pytest
from clients import FOLDERS
from PIL import Image

from formulon.core.identity import read as reader
from formulon.core.identity.isolated import Readers
from formulon.core.type.library import SHIPPED

DEMO = Path(__file__).resolve().parents[3] / "demo" / "quillmoor"
MUTATIONS = 2_000


@pytest.fixture(scope="module")
def tool() -> Iterator[Readers]:
    made = Readers(2)
    yield made
    made.close()


def test_a_reading_crosses_the_border_whole(tool: Readers) -> None:
    file = DEMO / "logo" / "quillmoor-full.svg"
    assert tool.read("a.svg", file.read_bytes()).model_dump() == reader.read_file("a.svg", file.read_bytes()).model_dump()


def test_a_child_can_open_neither_file_nor_socket() -> None:
    """What the limits leave: nothing that reaches outside."""
    child = os.fork()
    if child == 0:
        reader.limit()
        opened = 0
        for attempt in (lambda: os.open("/etc/hostname", os.O_RDONLY), socket.socket, os.pipe, lambda: os.dup(0)):
            with suppress(OSError):
                attempt()  # type: ignore[operator]
                opened += 1
        os._exit(opened)
    assert os.waitstatus_to_exitcode(os.waitpid(child, 0)[1]) == 0


@pytest.mark.parametrize("kind", ["time", "memory", "death"])
def test_a_reader_that_runs_away_is_ended_and_told(kind: str, monkeypatch: pytest.MonkeyPatch) -> None:
    def runs_away(head: dict[str, object], data: bytes) -> bytes:
        if kind == "time":
            while True:
                pass
        if kind == "memory":
            bytearray(10 * reader.MEMORY)
        os.kill(os.getpid(), 9)
        return b""

    monkeypatch.setattr(reader, "answer", runs_away)
    monkeypatch.setattr(reader, "SECONDS", 1)
    started = time.monotonic()
    assert reader.in_child({"name": "a.svg", "mode": "file"}, b"") == b""
    assert time.monotonic() - started < 10
    assert b"a.svg: the file takes too long or too much" in reader.too_much({"name": "a.svg", "mode": "file"})


def test_a_dead_process_is_replaced(tool: Readers) -> None:
    tool.read("a.css", b"a{color:red}")
    for process in list(tool.started):
        process.kill()
        process.wait()
    assert tool.read("a.css", b"a{color:red}").sightings


def samples() -> dict[str, bytes]:
    made = {file.name: file.read_bytes() for file in sorted(DEMO.rglob("*")) if file.is_file() and "OFL" not in file.name}
    picture = Image.effect_noise((40, 30), 80).convert("RGB")
    for form in ("PNG", "JPEG", "WEBP", "AVIF"):
        file = io.BytesIO()
        picture.save(file, form)
        made[f"small.{form.lower()}"] = file.getvalue()
    document = docx.Document()
    document.add_heading("Words", 1)
    file = io.BytesIO()
    document.save(file)
    package = io.BytesIO()
    with zipfile.ZipFile(package, "w", zipfile.ZIP_DEFLATED) as archive:
        archive.writestr("site/s.css", "a { color: #1B2147 }")
    made |= {
        "a.zip": package.getvalue(),
        "a.docx": file.getvalue(),
        "a.woff2": SHIPPED.family("figtree").faces[1].open(),
        "a.json": b'{"c":{"$type":"color","a":{"$value":{"colorSpace":"oklch","components":[0.5,0.1,20]}},"b":{"$value":"{c.a}"}}}',
        "a.csv": b"name;hex\nNight;#1B2147\nLamp;#F2A93B\n",
        "a.txt": b"Night #1B2147\nLamp cmyk 0 20 80 0\n",
    }
    made |= {f"{folder.name} {name}": data for folder in FOLDERS for name, data in folder.files.items()}
    return made


def mutated(data: bytes, dice: random.Random) -> bytes:
    """Bits turned, pieces cut out, doubled, put elsewhere, filled with extremes; ends cut off."""
    made = bytearray(data)
    for _ in range(dice.randint(1, 6)):
        at, length = dice.randrange(len(made) + 1), dice.choice([1, 1, 2, 4, 8, 64, 512])
        piece = made[at : at + length]
        way = dice.randrange(6)
        if way == 0 and at < len(made):
            made[at] ^= 1 << dice.randrange(8)
        elif way == 1:
            del made[at : at + length]
        elif way == 2:
            made[at:at] = piece * dice.choice([1, 2, 40])
        elif way == 3:
            made[at : at + length] = bytes([dice.choice([0, 255, 127, 128])]) * len(piece)
        elif way == 4:
            made[at : at + length] = dice.randbytes(len(piece))
        elif len(made) > 8:
            del made[dice.randrange(4, len(made)) :]
    return bytes(made)


def test_two_thousand_mutated_files_crash_and_hang_nothing(tool: Readers) -> None:
    dice = random.Random(20261125)
    files = samples()
    names = sorted(files)
    jobs = [(name, mutated(files[name], dice)) for name in (names[index % len(names)] for index in range(MUTATIONS))]

    def one(job: tuple[str, bytes]) -> tuple[str, float, str, int]:
        started = time.monotonic()
        reading = tool.read(*job)
        return job[0], time.monotonic() - started, reading.problem, len(reading.sightings)

    with ThreadPoolExecutor(2) as pool:
        results = list(pool.map(one, jobs))
    assert len(results) == MUTATIONS
    slow = [(name, seconds) for name, seconds, _, _ in results if seconds > reader.SECONDS + 5]
    assert slow == []
    assert [(name, said) for name, _, said, _ in results if said and not said.startswith(f"{name}: ")] == []
    # Most mutations leave something to read, and some do not: both ways were taken.
    assert sum(not said for _, _, said, _ in results) > MUTATIONS / 4
    assert sum(bool(said) for _, _, said, _ in results) > MUTATIONS / 20
