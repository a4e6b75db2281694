"""The typefaces that ship with Formulon, as data: a folder of files for each family and one index of all families, which
`tools/copy_fonts.py` writes. The index is read once, when the package is imported; files when they are asked for."""

import json
from pathlib import Path
from typing import Any

FOLDER = Path(__file__).parent / "files"
INDEX: dict[str, dict[str, Any]] = json.loads((FOLDER.parent / "index.json").read_text(encoding="utf-8"))


def read(family: str, name: str) -> bytes:
    """The bytes of a file of a family: a face ("latin.woff2") or its licence ("OFL.txt")."""
    return (FOLDER / family / name).read_bytes()
