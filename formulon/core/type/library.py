"""The type families that ship with Formulon: open-licence files out of the Fontsource packages."""

import json
from dataclasses import dataclass
from functools import cache
from pathlib import Path

from formulon.core.errors import FontError

FOLDER = Path(__file__).parent / "library"
DEFAULT_HEADING = "young-serif"
DEFAULT_BODY = "figtree"
SUBSETS = ("latin", "latin-ext")
_FALLBACK = {"serif": "Georgia, 'Times New Roman', serif", "sans-serif": "Arial, Helvetica, sans-serif"}


@dataclass(frozen=True, slots=True)
class Family:
    """A family: its weights are lowest and highest, the same where it is not variable."""

    id: str
    name: str
    category: str
    weights: tuple[int, int]
    licence: str
    attribution: str
    ranges: dict[str, str]

    @property
    def stack(self) -> str:
        """The CSS font-family list."""
        return f"'{self.name}', {_FALLBACK[self.category]}"

    def nearest_weight(self, wanted: int) -> int:
        return min(max(wanted, self.weights[0]), self.weights[1])

    def file(self, subset: str) -> Path:
        return FOLDER / self.id / f"{subset}.woff2"


@cache
def families() -> dict[str, Family]:
    """Every family of the library by id."""
    return {folder.name: _read(folder) for folder in sorted(FOLDER.iterdir()) if folder.is_dir()}


def family(family_id: str) -> Family:
    """The family of that id. Raises FontError."""
    try:
        return families()[family_id]
    except KeyError:
        known = ", ".join(sorted(families()))
        raise FontError(f"There is no typeface “{family_id}”. Choose one of: {known}.") from None


def _read(folder: Path) -> Family:
    data = json.loads((folder / "metadata.json").read_text(encoding="utf-8"))
    axis = data["variable"]["wght"] if data["variable"] else None
    weights = (int(axis["min"]), int(axis["max"])) if axis else (data["weights"][0], data["weights"][-1])
    return Family(
        id=folder.name,
        name=data["family"],
        category=data["category"],
        weights=weights,
        licence=data["license"]["type"],
        attribution=data["license"]["attribution"],
        ranges=json.loads((folder / "unicode.json").read_text(encoding="utf-8")),
    )
