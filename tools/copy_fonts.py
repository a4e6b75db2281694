"""Copy the shipped type families from the pinned Fontsource packages into formulon/core/type/library.

Run after `npm ci` in web/ when a family is added or its version moves. Each family folder holds its Latin and
Latin-extended files, its licence, the package's metadata and its Unicode ranges.
"""

import json
import shutil
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
MODULES = ROOT / "web" / "node_modules"
LIBRARY = ROOT / "formulon" / "core" / "type" / "library"
VARIABLE = [
    "bricolage-grotesque",
    "figtree",
    "fraunces",
    "hanken-grotesk",
    "lora",
    "outfit",
    "source-serif-4",
    "work-sans",
]
STATIC = ["young-serif"]


def copy(package: Path, family: str, suffix: str) -> None:
    target = LIBRARY / family
    target.mkdir(parents=True, exist_ok=True)
    for subset in ("latin", "latin-ext"):
        shutil.copy(package / "files" / f"{family}-{subset}-{suffix}-normal.woff2", target / f"{subset}.woff2")
    shutil.copy(package / "LICENSE", target / "OFL.txt")
    shutil.copy(package / "metadata.json", target / "metadata.json")
    ranges = json.loads((package / "unicode.json").read_text())
    kept = {subset: ranges[subset] for subset in ("latin", "latin-ext")}
    (target / "unicode.json").write_text(json.dumps(kept, indent=2) + "\n")


if __name__ == "__main__":
    for name in VARIABLE:
        copy(MODULES / "@fontsource-variable" / name, name, "wght")
    for name in STATIC:
        copy(MODULES / "@fontsource" / name, name, "400")
