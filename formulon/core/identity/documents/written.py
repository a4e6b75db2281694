"""Markdown and plain text as documents. Markdown is read by a reference implementation of CommonMark (with the tables of GFM) and then as
any page; in plain text, headings are short lines that stand alone, and lists, columns and lines of a kind keep their lines.
"""

import re
from collections.abc import Iterable

from lxml import html
from markdown_it import MarkdownIt

from formulon.core.identity.documents import Block, markup
from formulon.core.system.documents.identity import CONTROLS, ClientText
from formulon.core.system.documents.passages import passages

LANGUAGES = ("en", "de", "fr", "es", "it", "pl", "el")  # whose names of days and months are tried, since none is known yet
_BULLET = re.compile(r"^\s*(?:[-*+•·–▪◦]|\d{1,2}[.)])\s+(?=\S)")
_COLUMNS = re.compile(r"\t+|\s{3,}|\s*\|\s*")
_LABELLED = re.compile(r"^\s*[\w ]{2,24}:\s")
_FRONT = re.compile(r"\A---\n.*?\n---\n", re.DOTALL)  # data about the file, above its text


def of_markdown(text: str) -> list[Block]:
    """The parts of a Markdown text."""
    reader = MarkdownIt("commonmark", {"html": True}).enable("table")
    reader.add_render_rule("softbreak", lambda *_: "<soft></soft>")
    made = reader.render(_FRONT.sub("", text))
    if not made.strip():
        return []
    return markup.blocks_of(html.document_fromstring(f"<body>{made}</body>", parser=html.HTMLParser(no_network=True)), _apart)


def _apart(lines: list[str]) -> bool:
    """Whether lines stand each for itself: those with a label, and those of a kind."""
    return any(_LABELLED.match(line) for line in lines) or bool(typed(lines))


def of_plain(text: str) -> list[Block]:
    """The parts of a plain text."""
    made: list[Block] = []
    paragraphs = [part for part in re.split(r"\n\s*\n", text) if part.strip()]
    for index, part in enumerate(paragraphs):
        lines = [line.rstrip() for line in part.strip("\n").splitlines() if line.strip()]
        if _is_heading(lines, index + 1 < len(paragraphs)):
            made.append(Block("heading", lines[0].strip()[:160], level=2))
            lines = [line for line in lines[1:] if not set(line.strip()) <= set("=-")]
        made += _parts(lines)
    return made


def _is_heading(lines: list[str], more: bool) -> bool:
    first = lines[0].strip()
    if len(first) > 70 or re.search(r"[.,;:!?]$", first) or ":" in first or _BULLET.match(first) or _COLUMNS.search(first):
        return False
    if len(lines) == 1:
        return more
    under = lines[1].strip()
    return set(under) <= set("=-") or len(under) > len(first) or bool(_BULLET.match(under)) or first.isupper()


def _parts(lines: list[str]) -> list[Block]:
    """Lines of one paragraph: items, rows, lines that are of a kind by how they are written; else one paragraph."""
    if not lines:
        return []
    stripped = [line.strip() for line in lines]
    if any(_BULLET.match(line) for line in lines):
        return _items(lines)
    rows = [tuple(cell.strip() for cell in _COLUMNS.split(line.strip().strip("|"))) for line in lines]
    if len(rows) > 1 and all(len(cells) == len(rows[0]) > 1 for cells in rows):
        return [Block("row", " ".join(cells), cells) for cells in rows if not all(set(one) <= set(":-= ") for one in cells)]
    if _apart(stripped):
        return [Block("paragraph", line) for line in stripped]
    return [Block("paragraph", " ".join(stripped))]


def _items(lines: list[str]) -> list[Block]:
    """Items, with the lines that go on beneath them; numbers are kept, since they tell steps."""
    made: list[list[str]] = []
    for line in lines:
        if _BULLET.match(line) or not made:
            made.append([re.sub(r"^\s*[-*+•·–▪◦]\s+", "", line).strip()])
        else:
            made[-1].append(line.strip())
    return [Block("item", " ".join(one)) for one in made]


def typed(lines: Iterable[str]) -> set[str]:
    """Those of some lines that are of a kind by how they are written, in whichever of the languages: prices, dates, steps and so on."""
    text = CONTROLS.sub("", "\n".join(filter(None, lines)))[:4000].strip()
    if "\n" not in text:
        return set()
    found: set[str] = set()
    for language in LANGUAGES:
        kinds = [one for one in passages(ClientText(text=text), language) if one.kind != "words"]
        found |= {line for one in kinds for line in one.text.split("\n")}
    return found
