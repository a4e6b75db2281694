"""The preview in the local network: whether it is wanted, and where it is open. The studio's processes say until when it is wanted, the
process that started them opens a socket for as long and says at which port; they meet in a folder. Nothing listens in the network at any
other time.
"""

import contextlib
import json
import os
import socket
import time
from pathlib import Path

FOLDER = Path(os.environ.get("FORMULON_PHONES_FOLDER") or Path(__file__).resolve().parent.parent.parent / "var" / "phones")
_WANTED, _OPEN = "wanted.json", "open.json"
_WAITED = 5.0  # seconds for a socket to be open


def want(until: float) -> None:
    """Says until when it is wanted, in seconds since 1970."""
    _write(_WANTED, {"until": until})


def wanted() -> float:
    """Until when it is wanted; 0 where it is not."""
    until = float(_read(_WANTED).get("until", 0))
    return until if until > time.time() else 0.0


def opened(port: int) -> None:
    """Says at which port it is open; 0 for none."""
    if port:
        _write(_OPEN, {"port": port})
    else:
        with contextlib.suppress(FileNotFoundError):
            (FOLDER / _OPEN).unlink()


def open_port(waited: float | None = None) -> int:
    """The port at which it is open, once it is; 0 where it does not open."""
    end = time.monotonic() + (_WAITED if waited is None else waited)
    while True:
        port = int(_read(_OPEN).get("port", 0))
        if port or time.monotonic() > end:
            return port
        time.sleep(0.1)


def address() -> str:
    """This machine's address in the local network; empty where it is in none. Asking for the way to an address sends nothing; this one is
    for documentation (RFC 5737) and leads through the usual way out."""
    told = os.environ.get("FORMULON_PHONES_HOST", "")
    if told:
        return told
    with socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as asked:
        try:
            asked.connect(("192.0.2.1", 9))
        except OSError:
            return ""
        found = str(asked.getsockname()[0])
    return "" if found.startswith(("127.", "0.")) else found


def _write(name: str, value: dict[str, float]) -> None:
    FOLDER.mkdir(parents=True, exist_ok=True)
    file = FOLDER / f"{name}.{os.getpid()}"
    file.write_text(json.dumps(value))
    file.replace(FOLDER / name)


def _read(name: str) -> dict[str, float]:
    try:
        return dict(json.loads((FOLDER / name).read_text()))
    except (OSError, ValueError):
        return {}
