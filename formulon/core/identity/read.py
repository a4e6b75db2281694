"""Reads one uploaded mark in a process of its own: bytes on standard input, JSON on standard output.

Run as `python -m formulon.core.identity.read NAME`. The caller sets the limits on time and memory; this process sets
its own again, so that a hostile file can exhaust neither.
"""

import json
import resource
import sys

from formulon.core.errors import FormulonError
from formulon.core.identity.svg import rebuild

MEMORY = 1_000_000_000
SECONDS = 10


def main() -> int:
    resource.setrlimit(resource.RLIMIT_AS, (MEMORY, MEMORY))
    resource.setrlimit(resource.RLIMIT_CPU, (SECONDS, SECONDS))
    resource.setrlimit(resource.RLIMIT_FSIZE, (0, 0))
    resource.setrlimit(resource.RLIMIT_NOFILE, (64, 64))
    try:
        read = rebuild(sys.stdin.buffer.read(), sys.argv[1])
    except FormulonError as error:
        json.dump({"error": str(error), "code": error.code}, sys.stdout)
        return 1
    json.dump({"svg": read.svg, "width": read.width, "height": read.height, "notes": read.notes}, sys.stdout)
    return 0


if __name__ == "__main__":
    sys.exit(main())
