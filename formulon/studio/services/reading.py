"""Reading marks in a process of their own, with limits on time and memory."""

import json
import subprocess
import sys
from typing import Any

from formulon.core.identity.svg import MOST_BYTES
from formulon.studio.errors import UploadRefused

_SECONDS = 15


def read_mark(name: str, data: bytes) -> dict[str, Any]:
    """The rebuilt mark of an SVG file. Raises UploadRefused with a sentence that names file, cause and remedy."""
    if len(data) > MOST_BYTES:
        raise UploadRefused(
            f"{name}: the file has {len(data) // 1000} kB. A mark may have {MOST_BYTES // 1000} kB: simplify it."
        )
    try:
        done = subprocess.run(
            [sys.executable, "-m", "formulon.core.identity.read", name],
            input=data,
            capture_output=True,
            timeout=_SECONDS,
            check=False,
            env={"PATH": "/usr/bin:/bin", "OPENBLAS_NUM_THREADS": "1"},
        )
        answer: dict[str, Any] = json.loads(done.stdout)
    except (subprocess.TimeoutExpired, ValueError) as error:
        raise UploadRefused(f"{name}: the drawing takes too long or too much to read. Simplify it and try again.") from error
    if "error" in answer:
        raise UploadRefused(answer["error"])
    return answer
