"""The readers' process: it reads one file after another, each in a child of its own that may hardly do anything.

Run as `python -m formulon.core.identity.read`; formulon.core.identity.isolated talks to it over its standard streams. Every
request is forked off, so that libraries are loaded once. The child has limits on time and memory, and cannot open a
file or a socket: what it needs has been loaded before. A request is a length (8 bytes, big-endian), a JSON head of that
length and the file's bytes, whose number the head gives; an answer is a length and JSON.
"""

import base64
import gc
import io
import json
import os
import resource
import select
import signal
import struct
import sys
import time
from contextlib import suppress
from typing import BinaryIO

from formulon.core.errors import FormulonError
from formulon.core.identity import fonts
from formulon.core.identity.readers.old_page import alone
from formulon.core.identity.readers.raster import renditions
from formulon.core.identity.reading import decode, read_file
from formulon.core.identity.sightings import Reading
from formulon.core.identity.svg import rebuild

MEMORY = 2_000_000_000
SECONDS = 20


def answer(head: dict[str, object], data: bytes) -> bytes:
    """The answer to a request: a Reading, the rebuilt mark of an SVG file, the sizes of a photograph, a font made ready, a page by itself,
    or an error."""
    name = str(head["name"])
    made_of = {"picture": _sizes, "font": _font, "page": _page}.get(str(head.get("mode")))
    if made_of:
        try:
            return json.dumps(made_of(name, data, head)).encode()
        except FormulonError as error:
            return json.dumps({"error": str(error)}).encode()
    if head.get("mode") != "mark":
        others = head.get("others")
        return read_file(name, data, others if isinstance(others, dict) else None).model_dump_json().encode()
    try:
        made = rebuild(data, name)
    except FormulonError as error:
        return json.dumps({"error": str(error), "code": error.code}).encode()
    return json.dumps({"svg": made.svg, "width": made.width, "height": made.height, "notes": made.notes}).encode()


def _sizes(name: str, data: bytes, head: dict[str, object]) -> dict[str, object]:
    return renditions(name, data, str(head.get("form", "webp")))


def _page(name: str, data: bytes, head: dict[str, object]) -> dict[str, object]:
    beside = head.get("beside")
    return {"html": alone(name, decode(data) or "", beside if isinstance(beside, dict) else {})}


def _font(name: str, data: bytes, _: dict[str, object]) -> dict[str, object]:
    made = fonts.prepare(name, data)
    return made | {"woff2": base64.b64encode(made["woff2"]).decode()}


def limit() -> None:
    """Takes from this process whatever reading does not need."""
    resource.setrlimit(resource.RLIMIT_AS, (MEMORY, MEMORY))
    resource.setrlimit(resource.RLIMIT_CPU, (SECONDS, SECONDS))
    resource.setrlimit(resource.RLIMIT_FSIZE, (0, 0))
    resource.setrlimit(resource.RLIMIT_CORE, (0, 0))
    resource.setrlimit(resource.RLIMIT_NOFILE, (0, 0))


def in_child(head: dict[str, object], data: bytes) -> bytes:
    """The answer of a child with limits; empty where it was ended by one."""
    from_child, to_parent = os.pipe()
    child = os.fork()
    if child == 0:
        os.close(from_child)
        try:
            quiet = os.open(os.devnull, os.O_RDWR)
            for stream in (0, 1, 2):
                os.dup2(quiet, stream)
            signal.signal(signal.SIGXFSZ, signal.SIG_IGN)
            limit()
            made = answer(head, data)
            view = memoryview(made)
            while view:
                view = view[os.write(to_parent, view) :]
        finally:
            os._exit(0)
    os.close(to_parent)
    parts: list[bytes] = []
    deadline = time.monotonic() + SECONDS + 2
    while True:
        ready, _, _ = select.select([from_child], [], [], max(0.0, deadline - time.monotonic()))
        if not ready:
            os.kill(child, signal.SIGKILL)
            parts = []
            break
        part = os.read(from_child, 1 << 20)
        if not part:
            break
        parts.append(part)
    os.close(from_child)
    os.waitpid(child, 0)
    return b"".join(parts)


def too_much(head: dict[str, object]) -> bytes:
    """The answer for a child that ran into a limit."""
    said = f"{head['name']}: the file takes too long or too much to read. Simplify it and try again."
    if head.get("mode") != "file":
        return json.dumps({"error": said, "code": "mark-refused"}).encode()
    return Reading(file=str(head["name"]), problem=said).model_dump_json().encode()


def warm() -> None:
    """Reads a small file of each kind, so that every library has loaded what it loads on first use."""

    import docx
    import phonenumbers
    from PIL import Image

    from formulon.core.color.printing import cmyk_to_rgb, profile_name
    from formulon.core.errors import ColorError
    from formulon.core.type.library import DEFAULT_BODY, SHIPPED

    Image.init()
    phonenumbers.PhoneMetadata.load_all()
    fonts.warm(SHIPPED[DEFAULT_BODY].faces[0].open())
    samples = {
        "a.svg": b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><style>.a{fill:red}</style><path class="a" d="M0 0h9v9z"/></svg>',
        "a.html": b'<html lang="en"><style>p{color:#123}</style><p style="color:red">Words that are long enough.</p></html>',
        "a.css": b"a{color:rgb(1 2 3);font:12px/1 Some,serif}",
        "a.json": b'{"a":{"$type":"color","$value":{"colorSpace":"oklch","components":[0.5,0.1,20]}}}',
        "a.csv": b"name,value\nNight,#123456\nDay,#abcdef\n",
        "a.md": b"# Words\n\nSome words with lab(50 10 10) and HSL 20 30 40.\n",
        "b.md": b"# Words\n\nSome words that are long enough to be read.\n",
        "a.woff2": SHIPPED[DEFAULT_BODY].faces[0].open(),
        "a.pdf": _PDF,
    }  # fmt: skip
    for form in ("PNG", "JPEG", "WEBP", "AVIF"):
        file = io.BytesIO()
        Image.new("RGB", (40, 20), (200, 100, 50)).save(file, form)
        samples[f"a.{form.lower()}"] = file.getvalue()
    document = io.BytesIO()
    docx.Document().save(document)
    samples["a.docx"] = document.getvalue()
    for name, data in samples.items():
        read_file(name, data)
    alone("a.html", '<html><link rel="stylesheet" href="a.css"><p style="color:red">Words</p></html>', {"a.css": "p{margin:0}"})
    with suppress(ColorError):
        profile_name()
        cmyk_to_rgb(10, 20, 30, 40)


_PDF = (
    b"%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj 2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj "
    b"3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 99 99]/Contents 4 0 R/Resources<</Font<</F 5 0 R>>>>>>endobj "
    b"4 0 obj<</Length 57>>stream\n0.1 0.2 0.3 rg 0 0 9 9 re f BT /F 9 Tf 9 50 Td (Words) Tj ET\nendstream endobj "
    b"5 0 obj<</Type/Font/Subtype/Type1/BaseFont/Helvetica>>endobj\ntrailer<</Root 1 0 R/Size 6>>\n%%EOF"
)


def _exactly(stream: BinaryIO, count: int) -> bytes | None:
    data = stream.read(count)
    return data if len(data) == count else None


def main() -> int:
    """Serves until its standard input ends."""
    source, sink = sys.stdin.buffer, sys.stdout.buffer
    warm()
    gc.freeze()
    while (length := _exactly(source, 8)) is not None:
        head = json.loads(_exactly(source, struct.unpack(">Q", length)[0]) or b"{}")
        data = _exactly(source, int(head["size"]))
        if data is None:
            break
        made = in_child(head, data) or too_much(head)
        sink.write(struct.pack(">Q", len(made)) + made)
        sink.flush()
    return 0


if __name__ == "__main__":
    sys.exit(main())
