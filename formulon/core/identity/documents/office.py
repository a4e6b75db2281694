"""DOCX and ODT as documents. (ODT: OpenDocument 1.3, ISO/IEC 26300; paragraphs, headings, lists and tables of `content.xml`.)"""

import io
import re
import zipfile
from collections.abc import Iterator
from typing import Any

import docx
from docx.table import Table
from docx.text.paragraph import Paragraph
from lxml import etree

from formulon.core.errors import ReadError
from formulon.core.identity.documents import MOST_BLOCKS, Block

MOST_CONTENT = 40_000_000  # bytes of an ODT's content, unpacked
_TEXT = "{urn:oasis:names:tc:opendocument:xmlns:text:1.0}"
_TABLE = "{urn:oasis:names:tc:opendocument:xmlns:table:1.0}"
_OFFICE = "{urn:oasis:names:tc:opendocument:xmlns:office:1.0}"
_DEEP = 60


def of_docx(data: bytes) -> list[Block]:
    """The parts of a DOCX in their order; tables stand where they stand. Raises whatever the library raises for a broken one."""
    document = docx.Document(io.BytesIO(data))
    made: list[Block] = []
    for part in document.iter_inner_content():
        if isinstance(part, Table):
            made += _rows(part)
        else:
            made += _paragraphs(part)
        if len(made) > MOST_BLOCKS:
            break
    return made[:MOST_BLOCKS]


def _paragraphs(part: Paragraph) -> Iterator[Block]:
    style = (part.style.name if part.style is not None else "") or ""
    properties = part._p.pPr
    listed = style.startswith("List") or (properties is not None and properties.numPr is not None)
    lines = [words for line in part.text.split("\n") if (words := " ".join(line.split()))]
    level = re.fullmatch(r"Heading (\d)", style)
    if lines and (level or style in ("Title", "Subtitle")):
        yield Block("heading", " ".join(lines)[:160], level=int(level[1]) if level else 1)
        return
    for line in lines:
        yield Block("quote", line) if "Quote" in style else Block("item" if listed else "paragraph", line)


def _rows(table: Table) -> Iterator[Block]:
    for number, row in enumerate(table.rows):
        held = {cell._tc: cell for cell in row.cells}.values()  # a merged cell is one
        cells = tuple(" ".join(one.text.split()) for one in held)
        if any(cells):
            yield Block(
                "row", " ".join(filter(None, cells)), cells, head=number == 0 and _names_columns(cells, len(table.rows))
            )


def _names_columns(cells: tuple[str, ...], rows: int) -> bool:
    """Whether the first row of a table names its columns, where nothing in the file says so: short words, and no number."""
    return rows > 2 and len(cells) > 1 and all(0 < len(one) <= 40 and not re.search(r"\d", one) for one in cells)


def of_odt(data: bytes) -> list[Block]:
    """The parts of an ODT. Raises ReadError for one that is too large, and what the libraries raise for a broken one."""
    with zipfile.ZipFile(io.BytesIO(data)) as package:
        content = package.getinfo("content.xml")
        if content.file_size > MOST_CONTENT:
            raise ReadError(f"its text takes {content.file_size // 1_000_000} MB; {MOST_CONTENT // 1_000_000} is the most.")
        with package.open(content) as file:
            source = file.read(MOST_CONTENT + 1)
    parser = etree.XMLParser(resolve_entities=False, no_network=True, huge_tree=False)
    root = etree.fromstring(source, parser)
    body = root.find(f".//{_OFFICE}text")
    made = list(_odt(body, "paragraph", 0)) if body is not None else []
    return made[:MOST_BLOCKS]


def _odt(element: Any, kind: Any, depth: int) -> Iterator[Block]:
    for one in element if depth < _DEEP else ():
        if one.tag == f"{_TEXT}h":
            level = one.get(f"{_TEXT}outline-level") or "1"
            words = " ".join(_words(one).split())
            if words:
                yield Block("heading", words[:160], level=int(level) if level.isdigit() else 1)
        elif one.tag == f"{_TEXT}p":
            for line in _words(one).split("\n"):
                if words := " ".join(line.split()):
                    yield Block(kind, words)
        elif one.tag == f"{_TABLE}table":
            yield from _odt_rows(one)
        elif one.tag in (f"{_TEXT}list", f"{_TEXT}list-item"):
            yield from _odt(one, "item", depth + 1)
        elif one.tag == f"{_TEXT}section" or one.tag == f"{_TEXT}list-header":
            yield from _odt(one, kind, depth + 1)


def _odt_rows(table: Any) -> Iterator[Block]:
    rows = list(table.iter(f"{_TABLE}table-row"))
    for number, row in enumerate(rows[:2000]):
        cells = tuple(" ".join(_words(cell).split()) for cell in row if cell.tag == f"{_TABLE}table-cell")[:40]
        if any(cells):
            head = row.getparent().tag == f"{_TABLE}table-header-rows" or (number == 0 and _names_columns(cells, len(rows)))
            yield Block("row", " ".join(filter(None, cells)), cells, head=head)


def _words(element: Any, depth: int = 0) -> str:
    if depth > _DEEP or element.tag in (f"{_OFFICE}annotation", f"{_TEXT}note"):
        return ""
    inner = (element.text or "") + "".join(_words(one, depth + 1) + (one.tail or "") for one in element)
    if element.tag == f"{_TEXT}line-break":
        return "\n"
    if element.tag in (f"{_TEXT}s", f"{_TEXT}tab"):
        return " "
    return inner if element.tag in (f"{_TEXT}span", f"{_TEXT}a") or depth == 0 else f" {inner} "
