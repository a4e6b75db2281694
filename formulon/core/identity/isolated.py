"""Reading hostile files in processes of their own. With the command line and the browser driver, one of the few modules of
core that reach outside."""

import atexit
import json
import os
import queue
import select
import struct
import subprocess
import sys
import threading
import time
from contextlib import suppress
from pathlib import Path
from typing import Any

from formulon.core.errors import ReadError
from formulon.core.identity.read import SECONDS, too_much
from formulon.core.identity.sightings import Reading

AT_ONCE = 2  # readers' processes
_PATIENCE = SECONDS + 20  # the readers' process has its own limit; this one is for a process that does not answer at all


class Readers:
    """A few readers' processes, started when they are first needed; safe to use from several threads."""

    def __init__(self, count: int = AT_ONCE) -> None:
        self.free: queue.LifoQueue[subprocess.Popen[bytes] | None] = queue.LifoQueue()
        for _ in range(count):
            self.free.put(None)
        self.started: set[subprocess.Popen[bytes]] = set()
        self.lock = threading.Lock()

    def read(self, name: str, data: bytes, others: dict[str, str] | None = None) -> Reading:
        """Everything seen in a file; never raises for a bad one."""
        head = {"name": name, "mode": "file", "size": len(data), "others": others or {}}
        return Reading.model_validate_json(self._ask(head, data))

    def mark(self, name: str, data: bytes) -> dict[str, Any]:
        """The rebuilt mark of an SVG file, or an error: {"svg", "width", "height", "notes"} or {"error", "code"}."""
        made: dict[str, Any] = json.loads(self._ask({"name": name, "mode": "mark", "size": len(data)}, data))
        return made

    def picture(self, name: str, data: bytes, form: str = "webp") -> dict[str, Any]:
        """The sizes of a photograph as "webp", "avif" or "draft": {"width", "height", "sizes": [[width, base64]]} or {"error"}."""
        made: dict[str, Any] = json.loads(self._ask({"name": name, "mode": "picture", "form": form, "size": len(data)}, data))
        return made

    def font(self, name: str, data: bytes) -> dict[str, Any]:
        """A font file made ready for pages: see core/identity/fonts.py, with "woff2" in base64; or {"error"}."""
        made: dict[str, Any] = json.loads(self._ask({"name": name, "mode": "font", "size": len(data)}, data))
        return made

    def page(self, name: str, data: bytes, beside: dict[str, str]) -> dict[str, Any]:
        """A page of an old site by itself: see core/identity/readers/old_page.py; {"html"} or {"error"}."""
        head = {"name": name, "mode": "page", "beside": beside, "size": len(data)}
        made: dict[str, Any] = json.loads(self._ask(head, data))
        return made

    def close(self) -> None:
        """Ends the processes."""
        with self.lock:
            for process in self.started:
                _end(process)
            self.started.clear()

    def _ask(self, head: dict[str, Any], data: bytes) -> bytes:
        process = self.free.get()
        try:
            if process is not None and process.poll() is not None:
                _end(process)
                process = None
            if process is None:
                process = self._start()
            made = _exchange(process, head, data)
            if made is None:
                _end(process)
                process = None
            return made or too_much(head)
        finally:
            self.free.put(process)

    def _start(self) -> subprocess.Popen[bytes]:
        root = str(Path(__file__).resolve().parents[3])
        env = {
            "PATH": "/usr/bin:/bin",
            "OPENBLAS_NUM_THREADS": "1",
            "OMP_NUM_THREADS": "1",
            "PYTHONPATH": root,
            "LANG": "C.UTF-8",
        }
        try:
            process = subprocess.Popen(
                [sys.executable, "-m", "formulon.core.identity.read"], stdin=subprocess.PIPE, stdout=subprocess.PIPE, env=env,
                stderr=subprocess.DEVNULL,
            )  # fmt: skip
        except OSError as error:
            raise ReadError(
                f"The readers cannot be started ({error.strerror}). Look whether the machine has memory left."
            ) from error
        with self.lock:
            self.started = {one for one in self.started if one.poll() is None} | {process}
        return process


def _end(process: subprocess.Popen[bytes]) -> None:
    """Ends a process and closes its streams, whatever state they are in."""
    process.kill()
    for stream in (process.stdin, process.stdout):
        if stream:
            with suppress(OSError):
                stream.close()
    process.wait()


def _exchange(process: subprocess.Popen[bytes], head: dict[str, Any], data: bytes) -> bytes | None:
    """Sends a request and takes its answer; None where the process has died or does not answer."""
    assert process.stdin and process.stdout
    text = json.dumps(head).encode()
    try:
        process.stdin.write(struct.pack(">Q", len(text)) + text + data)
        process.stdin.flush()
        deadline = time.monotonic() + _PATIENCE
        length = _take(process.stdout.fileno(), 8, deadline)
        return _take(process.stdout.fileno(), struct.unpack(">Q", length)[0], deadline) if length else None
    except (OSError, ValueError):
        return None


def _take(stream: int, count: int, deadline: float) -> bytes | None:
    parts: list[bytes] = []
    while count:
        if not select.select([stream], [], [], max(0.0, deadline - time.monotonic()))[0]:
            return None
        part = os.read(stream, min(count, 1 << 20))
        if not part:
            return None
        parts.append(part)
        count -= len(part)
    return b"".join(parts)


_SHARED: list[Readers] = []
_SHARED_LOCK = threading.Lock()


def readers() -> Readers:
    """The readers of this process, ended with it."""
    with _SHARED_LOCK:
        if not _SHARED:
            _SHARED.append(Readers())
            atexit.register(_SHARED[0].close)
        return _SHARED[0]
