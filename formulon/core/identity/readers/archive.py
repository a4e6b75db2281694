"""ZIP: the files inside, each to be read by itself. Page, style sheets and the like of an old site come along."""

import base64
import io
import zipfile

from formulon.core.errors import ReadError
from formulon.core.identity.sightings import Part, Reading

MOST_FILES = 300
MOST_BYTES = 120_000_000
MOST_EACH = 40_000_000
MOST_RATIO = 200
_SKIPPED = ("__macosx/", ".ds_store", "thumbs.db", "desktop.ini")


def read(name: str, data: bytes) -> Reading:
    """Raises ReadError where the archive is broken, locked, or grows beyond all measure."""
    reading = Reading(file=name, format="ZIP")
    try:
        with zipfile.ZipFile(io.BytesIO(data)) as archive:
            entries = [one for one in archive.infolist() if not one.is_dir() and not _skipped(one.filename)]
            if len(entries) > MOST_FILES:
                raise ReadError(f"{name}: the archive holds {len(entries)} files; {MOST_FILES} is the most. Split it.")
            if sum(one.file_size for one in entries) > MOST_BYTES:
                raise ReadError(f"{name}: unpacked, the archive has more than {MOST_BYTES // 1_000_000} MB. Split it.")
            total = 0
            for entry in entries:
                if entry.flag_bits & 1:
                    raise ReadError(f"{name}: the archive is protected with a password. Pack it again without one.")
                if entry.file_size > MOST_EACH or entry.file_size > MOST_RATIO * max(1, entry.compress_size) + 100_000:
                    reading.notes.append(f"{entry.filename[:120]}: left out, since it grows to {entry.file_size // 1000:,} kB.")
                    continue
                with archive.open(entry) as file:
                    unpacked = file.read(MOST_EACH + 1)
                total += len(unpacked)
                if len(unpacked) > MOST_EACH or total > MOST_BYTES:
                    raise ReadError(f"{name}: unpacked, the archive is larger than it says. Pack it again.")
                reading.parts.append(Part(name=f"{_safe(entry.filename)}", data=base64.b64encode(unpacked).decode()))
    except ReadError:
        raise
    except Exception as error:  # a broken archive raises errors of zip, zlib, struct and text alike
        raise ReadError(f"{name}: the archive is broken or cut short ({type(error).__name__}). Pack it again.") from error
    if not reading.parts:
        raise ReadError(f"{name}: the archive holds no file that can be read. Pack the folder again.")
    return reading


def _skipped(path: str) -> bool:
    return any(part in path.lower() for part in _SKIPPED)


def _safe(path: str) -> str:
    """The path without anything that leads out of the folder."""
    parts = [part for part in path.replace("\\", "/").split("/") if part not in ("", ".", "..")]
    return "/".join(parts)[-200:] or "file"
