"""TXT, Markdown, DOCX: the client's own texts by heading, and the facts in them."""

import io
import re
from collections.abc import Iterable

import docx

from formulon.core.errors import ReadError
from formulon.core.identity.notations import stated
from formulon.core.identity.sightings import ColorSeen, Reading, TextSeen
from formulon.core.identity.words import facts, rules
from formulon.core.system.documents.identity import CONTROLS, ClientText
from formulon.core.system.documents.passages import passages

_LANGUAGES = ("en", "de", "fr", "es", "it", "pl", "el")  # whose names of days and months are tried, since none is known yet
MOST_TEXTS = 120
MOST_CHARACTERS = 400_000


def read(name: str, text: str, markdown: bool) -> Reading:
    """A text file. Headings are those of Markdown, and short lines that stand alone above a paragraph."""
    if not text.strip():
        raise ReadError(f"{name}: the file is empty. Add it again with its text.")
    text = text[:MOST_CHARACTERS]
    blocks = _markdown(text) if markdown or re.search(r"^#{1,6} \S", text, re.MULTILINE) else _plain(text)
    return _reading(name, "Markdown" if markdown else "text", blocks, text)


def read_docx(name: str, data: bytes) -> Reading:
    """A DOCX document. Headings are paragraphs in a heading style."""
    try:
        document = docx.Document(io.BytesIO(data))
        blocks: list[tuple[str, list[str]]] = [("", [])]
        for paragraph in document.paragraphs[:5000]:
            words = " ".join(paragraph.text.split())
            style = (paragraph.style.name if paragraph.style is not None else "") or ""
            if words and (style.startswith("Heading") or style == "Title"):
                blocks.append((words[:160], []))
            elif words:
                blocks[-1][1].append(words)
        for table in document.tables[:50]:
            for row in table.rows[:200]:
                cells = list(dict.fromkeys(" ".join(cell.text.split()) for cell in row.cells))
                blocks[-1][1].append(": ".join(filter(None, cells)))
    except Exception as error:  # a broken package raises errors of zip, XML and the library's own alike
        raise ReadError(
            f"{name}: the document is broken or protected ({type(error).__name__}). Save it again as DOCX."
        ) from error
    whole = "\n".join(line for heading, lines in blocks for line in (heading, *lines))
    if not whole.strip():
        raise ReadError(f"{name}: the document holds no text. Add it again with its text.")
    return _reading(name, "DOCX", blocks, whole)


def _markdown(text: str) -> list[tuple[str, list[str]]]:
    blocks: list[tuple[str, list[str]]] = [("", [])]
    for paragraph in re.split(r"\n\s*\n|(?=^#{1,6} )|(?<=\n)(?=#{1,6} )", text):
        lines = [line.rstrip() for line in paragraph.strip().splitlines()]
        if lines and (found := re.match(r"#{1,6}\s+(.*?)\s*#*$", lines[0])):
            blocks.append((_bare(found[1])[:160], []))
            lines = lines[1:]
        joined = (
            "\n".join(map(_bare, lines))
            if any(re.match(r"\s*[-*+] |\s*\|", line) for line in lines) or _typed(map(_bare, lines))
            else _bare(" ".join(lines))
        )
        if joined.strip():
            blocks[-1][1].append(joined.strip())
    return blocks


def _plain(text: str) -> list[tuple[str, list[str]]]:
    blocks: list[tuple[str, list[str]]] = [("", [])]
    paragraphs = [part.strip() for part in re.split(r"\n\s*\n", text) if part.strip()]
    for index, part in enumerate(paragraphs):
        lines = part.splitlines()
        short = len(lines[0]) <= 70 and not re.search(r"[.,;:!?]$", lines[0]) and ":" not in lines[0]
        if short and (
            (len(lines) > 1 and (len(lines[1]) > len(lines[0]) or set(lines[1]) <= set("=-")))
            or (len(lines) == 1 and index + 1 < len(paragraphs))
        ):
            blocks.append((lines[0].strip(), []))
            lines = [line for line in lines[1:] if not set(line.strip()) <= set("=-")]
        if lines:
            labelled = any(re.match(r"^\s*[\w ]{2,24}:\s", line) for line in lines)
            kept = labelled or _typed(line.strip() for line in lines)
            blocks[-1][1].append("\n".join(lines) if kept else " ".join(line.strip() for line in lines))
    return blocks


def _bare(text: str) -> str:
    """Markdown's marks taken off: links keep their words, pictures go."""
    text = re.sub(r"!\[[^\]]*\]\([^)]*\)", "", text)
    text = re.sub(r"\[([^\]]+)\]\([^)]*\)", r"\1", text)
    text = re.sub(r"^\s*(?:[-*+]|>)\s+", "", text)
    if re.match(r"^\s*\|.*\|\s*$", text):  # a row of a table
        cells = [cell.strip() for cell in text.strip().strip("|").split("|")]
        text = "" if all(set(cell) <= set(":- ") for cell in cells) else ": ".join(filter(None, cells))
    return re.sub(r"(\*\*|__|\*|_|`)(?=\S)(.+?)(?<=\S)\1", r"\2", text).strip()


def _reading(name: str, form: str, blocks: list[tuple[str, list[str]]], whole: str) -> Reading:
    reading = Reading(file=name, format=form)
    if re.search(r"(?i)open font licen[cs]e|^\s*(?:the )?\w+ licen[cs]e\b", whole[:3000]):
        reading.notes.append("A licence text: kept with the files, not used as material.")
        return reading
    reading.sightings += facts(whole, "text", 0.8)
    reading.sightings += rules(whole, "text")
    for one in stated(whole)[:200]:
        line = whole[whole.rfind("\n", 0, one.start) + 1 : one.start].strip(" \t:–—-•*#")
        label = line if 0 < len(line) <= 40 else ""
        reading.sightings.append(
            ColorSeen(
                hex=one.hex,
                value=one.value,
                name=label,
                use="swatch",
                place="text",
                print=one.prints,
                indicative=not one.screen,
                sure=0.8,
            )
        )
    for heading, lines in blocks[:MOST_TEXTS]:
        typed = _typed(part.strip() for line in lines for part in line.split("\n"))
        parts = [part for line in lines for part in (line.split("\n") if typed else [line])]
        body = "\n".join(part for part in parts if part.strip() in typed or not _fact_line(part))
        if body.strip():
            reading.sightings.append(
                TextSeen(heading=heading, text=body[:4000], place=f"“{heading}”" if heading else "beginning")
            )
    return reading


def _typed(lines: Iterable[str]) -> set[str]:
    """Those of some lines that are of a kind by how they are written, in whichever of the languages: prices, dates, steps and so on."""
    text = CONTROLS.sub("", "\n".join(filter(None, lines)))[:4000].strip()
    if "\n" not in text:
        return set()
    found: set[str] = set()
    for language in _LANGUAGES:
        kinds = [one for one in passages(ClientText(text=text), language) if one.kind != "words"]
        found |= {line for one in kinds for line in one.text.split("\n")}
    return found


def _fact_line(line: str) -> bool:
    """Lines that hold one labelled fact each are no material."""
    lines = line.splitlines()
    return all(re.match(r"^\s*[\w ]{2,24}:\s+\S", part) and len(part) < 160 for part in lines)
