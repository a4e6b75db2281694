"""What a document is made of, whatever form it has: headings, paragraphs, items of lists, rows of tables and quotes in their order, each
with where it stands. The readers of HTML, DOCX, ODT, PDF, Markdown and plain text all give this; grammars and material read it.
"""

import re
from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from typing import Literal

BlockKind = Literal["heading", "paragraph", "item", "row", "quote"]
# What a part of a document is there for. Only content is material; facts are looked for in the footer, too.
Region = Literal["content", "navigation", "notice", "footer"]
MOST_BLOCKS = 20_000
_QUOTED = re.compile(r"^[“„«»\"「‚‘]")


@dataclass(frozen=True, slots=True)
class Block:
    """One part. `cells` are those of a row, `head` says that they name columns; `by` is who is quoted; `level` is a heading's, from 1."""

    kind: BlockKind
    text: str
    cells: tuple[str, ...] = ()
    head: bool = False
    level: int = 0
    by: str = ""
    region: Region = "content"

    @property
    def line(self) -> str:
        """The part as one line: the cells of a row after its first one, words of a quote in quotation marks."""
        if self.kind == "quote":
            said = self.text if _QUOTED.match(self.text) else f"“{self.text}”"
            return f"{said} — {self.by}" if self.by else said
        return row_line(self.cells) if self.kind == "row" else self.text


@dataclass(frozen=True, slots=True)
class Section:
    """What stands under one heading."""

    heading: str
    blocks: tuple[Block, ...]

    @property
    def lines(self) -> list[str]:
        """Its parts as lines; rows that name columns are left out where others follow."""
        rows = any(one.kind == "row" and not one.head for one in self.blocks)
        return [one.line for one in self.blocks if one.line and not (one.head and rows)]


def row_line(cells: Iterable[str]) -> str:
    """A row as a line: what it is about, then what is said of it; of more than two cells the last is parted where it is a number."""
    held = [one for one in cells if one]
    if len(held) > 2 and re.search(r"\d", held[-1]) and not re.search(r"\d", "".join(held[:-1])):
        return f"{', '.join(held[:-1])}: {held[-1]}"
    return f"{held[0]}: {', '.join(held[1:])}" if len(held) > 1 else "".join(held)


def sections(blocks: Iterable[Block], region: Region = "content") -> Iterator[Section]:
    """The sections of a document, in its order, without those that are empty."""
    heading, held = "", list[Block]()
    for one in blocks:
        if one.region != region:
            continue
        if one.kind != "heading":
            held.append(one)
            continue
        if held:
            yield Section(heading, tuple(held))
        heading, held = one.text[:160], []
    if held:
        yield Section(heading, tuple(held))


def flowing(blocks: Iterable[Block], *regions: Region, heads: bool = True) -> str:
    """A document as text, a line for each part: what grammars read. Without `heads`, rows that name columns are left out: "Name | Value"
    labels no fact."""
    wanted = regions or ("content", "footer")
    return "\n".join(one.line for one in blocks if one.region in wanted and (heads or not one.head))
