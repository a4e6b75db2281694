"""Writes the JSON Schemas of docs/formats.md to docs/schemas, and docs/instructions.md from the grammar; with --check, tells whether they are as committed."""

import json
import sys
from pathlib import Path

from formulon.core.asking.reader import described
from formulon.core.formats.schemas import schemas

DOCS = Path(__file__).resolve().parent.parent / "docs"


def main() -> int:
    stale = []
    made = {
        f"schemas/{name}.schema.json": json.dumps(schema, indent=2, ensure_ascii=False) + "\n"
        for name, schema in schemas().items()
    }
    for name, text in (made | {"instructions.md": described()}).items():
        file = DOCS / name
        if "--check" not in sys.argv:
            file.parent.mkdir(parents=True, exist_ok=True)
            file.write_text(text, encoding="utf-8")
        elif not file.exists() or file.read_text(encoding="utf-8") != text:
            stale.append(file.name)
    if stale:
        print(f"Not as generated: {', '.join(stale)}. Run tools/schemas.py.")
    return 1 if stale else 0


if __name__ == "__main__":
    sys.exit(main())
