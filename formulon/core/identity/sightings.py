"""What a reader saw in one file: plain data that crosses the border of the reader's process as JSON."""

import re
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

ColorUse = Literal["drawn", "gradient", "swatch", "text", "background", "border", "named", "picture"]
WordField = Literal[
    "name", "strapline", "does", "audience", "place", "address", "phone", "email", "hours", "season", "social", "language", "offer", "proof"
]  # fmt: skip
# Of which a brand has several: each is a fact of its own, and none contradicts another.
MANY: frozenset[WordField] = frozenset(("season", "social", "offer", "proof"))
MeasureKind = Literal["radius", "spacing", "text size", "line height", "other"]
RuleKind = Literal[
    "least size", "clear space", "proportions", "forbidden pair", "wanted pair", "words to use", "words to avoid", "buttons and links",
    "tone", "as said",
]  # fmt: skip


class _Data(BaseModel):
    model_config = ConfigDict(extra="forbid")


class Seen(_Data):
    """Common to all sightings. `share` is a share of area or text, 0–1; `sure` is 0–1."""

    place: str = ""
    count: int = 1
    share: float | None = None
    sure: float = 0.9


class ColorSeen(Seen):
    """A colour. `hex` is its eight-bit screen value; `value` is as written."""

    kind: Literal["color"] = "color"
    hex: str
    value: str
    name: str = ""
    use: ColorUse = "drawn"
    print: list[str] = Field(default_factory=list, description="Values for print, as written: CMYK, spot names.")
    indicative: bool = Field(default=False, description="Converted from a print value; no exact screen colour.")
    approximate: bool = Field(default=False, description="Measured on a picture with losses.")
    note: str = ""


class GradientSeen(Seen):
    """A brand gradient as CSS."""

    kind: Literal["gradient"] = "gradient"
    css: str
    stops: list[str]


class TypefaceSeen(Seen):
    """A typeface by family. `facts` are plain sentences out of the font file."""

    kind: Literal["typeface"] = "typeface"
    family: str
    style: str = ""
    weights: list[int] = Field(default_factory=list)
    italic: bool = False
    use: Literal["", "headings", "running text"] = ""
    sizes: list[float] = Field(default_factory=list, description="In CSS px, or points in a PDF.")
    source: Literal["font file", "style sheet", "document", "tokens"] = "document"
    axes: dict[str, tuple[float, float, float]] = Field(default_factory=dict, description="Least, default, greatest by tag.")
    metrics: dict[str, float] = Field(default_factory=dict, description="In em.")
    languages: list[str] = Field(default_factory=list)
    licence: str = ""
    embedding: str = ""
    files: list[str] = Field(default_factory=list, description="Files that a style sheet names for it.")


TRACED = "traced"  # said of the place of a mark whose outlines were made of pixels


class MarkSeen(Seen):
    """A logo. `svg` is rebuilt and may be drawn; empty where the file cannot be used as it is."""

    kind: Literal["mark"] = "mark"
    name: str
    shape: Literal["full", "symbol", "wordmark"] = "full"
    meant_for: Literal["any", "light", "dark"] = "any"
    svg: str = ""
    width: float
    height: float
    bounds: tuple[float, float, float, float] = (0, 0, 0, 0)
    lightness: float = 0.0
    live_text: list[str] = Field(default_factory=list)
    look: list[int] = Field(default_factory=list, description="Small picture of what is drawn, to tell copies.")
    note: str = ""


class PictureSeen(Seen):
    """A photograph or drawing as material. The file itself is kept by its content."""

    kind: Literal["picture"] = "picture"
    name: str
    width: int
    height: int
    alt: str = ""
    thumb: str = Field(default="", description="A small copy, encoded anew: base64 of a WebP.")
    colors: list[str] = Field(default_factory=list)
    shares: list[float] = Field(default_factory=list, description="Share of the area, 0–1, of each of the colours.")


class MeasureSeen(Seen):
    """A radius, distance or size in CSS px."""

    kind: Literal["measure"] = "measure"
    measure: MeasureKind
    px: float
    value: str
    name: str = ""


class WordSeen(Seen):
    """A fact in words."""

    kind: Literal["word"] = "word"
    field: WordField
    text: str


class TextSeen(Seen):
    """A text of the client's own, under its heading."""

    kind: Literal["text"] = "text"
    heading: str = ""
    text: str


class RuleSeen(Seen):
    """A rule of the guideline. `values` depends on the rule and is described in docs/formats.md."""

    kind: Literal["rule"] = "rule"
    rule: RuleKind
    text: str
    values: dict[str, str | float | list[str]] = Field(default_factory=dict)


class OtherSeen(Seen):
    """Something that is kept and listed, and that Formulon has no use for yet."""

    kind: Literal["other"] = "other"
    name: str
    type: str
    value: str


Sighting = Annotated[
    ColorSeen | GradientSeen | TypefaceSeen | MarkSeen | PictureSeen | MeasureSeen | WordSeen | TextSeen | RuleSeen | OtherSeen,
    Field(discriminator="kind"),
]


class Part(_Data):
    """A file inside an archive, still to be read. `data` is base64."""

    name: str
    data: str


class Reading(_Data):
    """All that was seen in one file. `problem` says why nothing could be, with the remedy; `readers` which readers have read it."""

    file: str
    readers: int = 1
    format: str = ""
    sightings: list[Sighting] = Field(default_factory=list)
    notes: list[str] = Field(default_factory=list)
    parts: list[Part] = Field(default_factory=list)
    problem: str = ""


def css_hex(rgb: tuple[int, int, int]) -> str:
    """The hexadecimal form that evidence uses, in capitals."""
    return f"#{rgb[0]:02X}{rgb[1]:02X}{rgb[2]:02X}"


def title_of(name: str) -> str:
    """A description to begin with, out of a file's name."""
    stem = name.rsplit("/", 1)[-1].rsplit(".", 1)[0]
    words = re.sub(r"[-_.]+|(?<=[a-z])(?=[A-Z])", " ", re.sub(r"^\d+[-_ ]+", "", stem)).strip()
    return words[:1].upper() + words[1:160] if words else "Picture"
