"""Copy the icons that pages use from the pinned package into formulon/core/site/icons.json: the shapes alone, since stroke,
corners and colour come from the system. Run after `npm ci` in tools/icons."""

import json
import re
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
PACKAGE = Path(__file__).resolve().parent / "icons" / "node_modules" / "lucide-static"
NAMES = [
    "arrow-right",
    "arrow-left",
    "arrow-up-right",
    "chevron-right",
    "chevron-down",
    "check",
    "x",
    "plus",
    "minus",
    "mail",
    "phone",
    "map-pin",
    "clock",
    "calendar",
    "ticket",
    "user",
    "users",
    "star",
    "moon",
    "sun",
    "telescope",
    "book-open",
    "search",
    "menu",
    "download",
    "upload",
    "file",
    "image",
    "info",
    "circle-alert",
    "triangle-alert",
    "circle-check",
    "heart",
    "house",
    "external-link",
    "play",
    "shopping-basket",
    "leaf",
    "tree-pine",
    "quote",
    "loader",
]


def main() -> None:
    shapes = {}
    for name in NAMES:
        text = (PACKAGE / "icons" / f"{name}.svg").read_text()
        shapes[name] = re.sub(r"\s+", " ", text[text.index(">", text.index("<svg")) + 1 : text.index("</svg>")]).strip()
    folder = ROOT / "formulon" / "core" / "site"
    (folder / "icons.json").write_text(json.dumps(shapes, indent=1) + "\n", encoding="utf-8")
    (folder / "icons.LICENSE.txt").write_text((PACKAGE / "LICENSE").read_text(), encoding="utf-8")


if __name__ == "__main__":
    main()
