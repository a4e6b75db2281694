"""Writes the JSON Schemas of docs/formats.md to docs/schemas; with --check, tells whether they are as committed."""

import json
import sys
from pathlib import Path

from formulon.core.formats.schemas import schemas

FOLDER = Path(__file__).resolve().parent.parent / "docs" / "schemas"


def main() -> int:
    stale = []
    for name, schema in schemas().items():
        file = FOLDER / f"{name}.schema.json"
        text = json.dumps(schema, indent=2, ensure_ascii=False) + "\n"
        if "--check" not in sys.argv:
            FOLDER.mkdir(parents=True, exist_ok=True)
            file.write_text(text, encoding="utf-8")
        elif not file.exists() or file.read_text(encoding="utf-8") != text:
            stale.append(file.name)
    if stale:
        print(f"Not as generated: {', '.join(stale)}. Run tools/schemas.py.")
    return 1 if stale else 0


if __name__ == "__main__":
    sys.exit(main())
