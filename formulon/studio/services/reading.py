"""Reading marks in a process of their own, with limits on time and memory."""

from typing import Any

from formulon.core.identity.isolated import readers
from formulon.core.identity.svg import MOST_BYTES
from formulon.studio.errors import UploadRefused


def read_mark(name: str, data: bytes) -> dict[str, Any]:
    """The rebuilt mark of an SVG file. Raises UploadRefused with a sentence that names file, cause and remedy."""
    if len(data) > MOST_BYTES:
        raise UploadRefused(
            f"{name}: the file has {len(data) // 1000} kB. A mark may have {MOST_BYTES // 1000} kB: simplify it."
        )
    answer = readers().mark(name, data)
    if "error" in answer:
        raise UploadRefused(answer["error"])
    return answer
