"""Copy the shipped type families from the pinned Fontsource packages into formulon/typefaces.

Run after `npm ci` in tools/fonts when a family is added or its version moves. Each family folder holds its files by
alphabet (those of SUBSETS that the family has), and its licence; index.json has what the packages say of them, and what was measured on their outlines.
"""

import json
import shutil
import sys
from dataclasses import asdict
from pathlib import Path
from typing import Any

ROOT = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(ROOT))

from fontTools.ttLib import TTFont  # noqa: E402

from formulon.core.type.features import measure, plain  # noqa: E402
from formulon.core.type.languages import languages  # noqa: E402
from formulon.typefaces import FOLDER  # noqa: E402

MODULES = Path(__file__).resolve().parent / "fonts" / "node_modules"
SUBSETS = ("latin", "latin-ext", "vietnamese", "greek", "greek-ext", "cyrillic", "cyrillic-ext", "hebrew", "arabic")
# Of families without a variable file: the weights that ship.
STATIC = {"young-serif": [400], "zilla-slab": [400, 600], "spectral": [400, 600]}


OF_ONE_SCRIPT = ("hebrew", "arabic")


def spans(codes: set[int]) -> str:
    """Code points as spans in hexadecimal: "20-7e,a0"."""
    made: list[list[int]] = []
    for code in sorted(codes):
        if made and made[-1][1] == code - 1:
            made[-1][1] = code
        else:
            made.append([code, code])
    return ",".join(f"{low:x}" if low == high else f"{low:x}-{high:x}" for low, high in made)


def script(keys: list[str]) -> str:
    """The script that a family was drawn for where it is not Latin: one with Latin and just one of OF_ONE_SCRIPT beside it."""
    other = {key for key in keys if key not in ("latin", "latin-ext", "vietnamese")}
    return other.pop() if len(other) == 1 and other <= set(OF_ONE_SCRIPT) else ""


def copy(package: Path) -> dict[str, object]:
    """Copies a family's files; what the index has of it."""
    name = package.name
    target = FOLDER / name
    shutil.rmtree(target, ignore_errors=True)
    target.mkdir(parents=True)
    data = json.loads((package / "metadata.json").read_text())
    ranges = json.loads((package / "unicode.json").read_text())
    axis = data["variable"].get("wght") if data["variable"] else None
    weights = [(int(axis["min"]), int(axis["max"]))] if axis else [(weight, weight) for weight in STATIC[name]]
    sources = {
        (low, high, subset, style): package / "files" / f"{name}-{subset}-{'wght' if axis else low}-{style}.woff2"
        for low, high in weights for subset in SUBSETS for style in ("normal", "italic")
    }  # fmt: skip
    faces: list[dict[str, Any]] = []
    italics: list[dict[str, Any]] = []
    codes: set[int] = set()
    for (low, high, subset, style), source in sources.items():
        if not source.exists() and (style == "italic" or subset not in ("latin", "latin-ext")):
            continue
        key = subset if axis or len(weights) == 1 else f"{subset}-{low}"
        key += "-italic" if style == "italic" else ""
        file = target / f"{key}.woff2"
        shutil.copy(source, file)
        own = set(TTFont(file).getBestCmap())
        made = {"key": key, "weights": [low, high], "ranges": ranges[subset], "codes": spans(own)}
        (italics if style == "italic" else faces).append(made)
        codes |= own if style == "normal" else set()
    licence = (package / "LICENSE").read_text()
    (target / "OFL.txt").write_text(licence)
    return {
        "name": data["family"],
        "category": data["category"],
        "axes": [one for one in data["variable"] if one != "ital"] if data["variable"] else [],
        "licence": data["license"]["type"],
        "attribution": data["license"]["attribution"],
        "reserved_name": "reserved font name" in licence.split("SIL OPEN FONT LICENSE")[0].lower(),
        "version": data["version"],
        "languages": languages(codes),
        **({"script": of_one} if (of_one := script([one["key"] for one in faces])) else {}),
        "codes": spans(codes),
        "faces": faces,
        "italics": italics,
        "measured": asdict(measure(plain((target / f"{faces[0]['key']}.woff2").read_bytes()))),
    }


if __name__ == "__main__":
    packages = sorted([*(MODULES / "@fontsource-variable").iterdir(), *(MODULES / "@fontsource").iterdir()])
    index = {one.name: copy(one) for one in packages}
    lines = ",\n".join(f"{json.dumps(name)}: {json.dumps(told, ensure_ascii=False)}" for name, told in sorted(index.items()))
    (FOLDER.parent / "index.json").write_text(f"{{\n{lines}\n}}\n", encoding="utf-8")
