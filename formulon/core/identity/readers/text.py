"""TXT, Markdown, DOCX, ODT: the client's own texts by heading, and the facts in them."""

import re
from collections.abc import Callable

from formulon.core.errors import ReadError
from formulon.core.identity.documents import Block, flowing
from formulon.core.identity.documents.office import of_docx, of_odt
from formulon.core.identity.documents.swatches import in_rows
from formulon.core.identity.documents.written import of_markdown, of_plain
from formulon.core.identity.material import material
from formulon.core.identity.notations import Stated, stated
from formulon.core.identity.sightings import ColorSeen, Reading
from formulon.core.identity.words import facts, rules

MOST_CHARACTERS = 400_000
_BROKEN = "{name}: the document is broken or protected ({cause}). Save it again as {form}."


def read(name: str, text: str, markdown: bool) -> Reading:
    """A text file. Headings are those of Markdown, and short lines that stand alone above a paragraph."""
    if not text.strip():
        raise ReadError(f"{name}: the file is empty. Add it again with its text.")
    text = text[:MOST_CHARACTERS].replace("\r\n", "\n").replace("\r", "\n")
    marked = markdown or bool(re.search(r"^#{1,6} \S", text, re.MULTILINE))
    blocks = of_markdown(text) if marked else of_plain(text)
    return _reading(name, "Markdown" if markdown else "text", blocks)


def read_docx(name: str, data: bytes) -> Reading:
    """A DOCX document. Headings are paragraphs in a heading style."""
    return _office(name, data, "DOCX", of_docx)


def read_odt(name: str, data: bytes) -> Reading:
    """An OpenDocument text."""
    return _office(name, data, "ODT", of_odt)


def _office(name: str, data: bytes, form: str, parts: Callable[[bytes], list[Block]]) -> Reading:
    try:
        blocks = parts(data)
    except ReadError as error:
        raise ReadError(f"{name}: {error} Save a shorter one.") from error
    except Exception as error:  # a broken package raises errors of zip, XML and the libraries' own alike
        raise ReadError(_BROKEN.format(name=name, cause=type(error).__name__, form=form)) from error
    if not blocks:
        raise ReadError(f"{name}: the document holds no text. Add it again with its text.")
    return _reading(name, form, blocks)


def _reading(name: str, form: str, blocks: list[Block]) -> Reading:
    reading = Reading(file=name, format=form)
    whole = flowing(blocks)[:MOST_CHARACTERS]
    if re.search(r"(?i)open font licen[cs]e|^\s*(?:the )?\w+ licen[cs]e\b", whole[:3000]):
        reading.notes.append("A licence text: kept with the files, not used as material.")
        return reading
    reading.sightings += facts(flowing(blocks, heads=False)[:MOST_CHARACTERS], "text", 0.8)
    reading.sightings += rules(whole, "text")
    in_tables = list(in_rows(blocks))
    for name_said, one in in_tables[:200]:
        reading.sightings.append(_color(one, name_said))
    values = {one.value for _, one in in_tables}
    for one in [one for one in stated(whole) if one.value not in values][:200]:
        line = whole[whole.rfind("\n", 0, one.start) + 1 : one.start].strip(" \t:–—-•*#(")
        label = line if _is_name(line) else ""
        reading.sightings.append(_color(one, label))
    reading.sightings += material(blocks)
    return reading


# Words that no name ends with: what stands before a value in a sentence is none ("Our ground is the #F6F1E7").
_NO_NAMES = frozenset(
    [
        "the",
        "a",
        "an",
        "is",
        "are",
        "at",
        "of",
        "in",
        "on",
        "and",
        "or",
        "our",
        "with",
        "der",
        "die",
        "das",
        "ist",
        "sind",
        "in",
        "auf",
        "und",
        "oder",
        "mit",
        "unser",
        "unsere",
        "ein",
        "eine",
    ]
)


def _is_name(words: str) -> bool:
    """Whether words before a value can be a colour's name: a few, the first with a capital, the last one no particle."""
    held = words.split()
    return 0 < len(held) <= 4 and len(words) <= 40 and held[0][0].isupper() and held[-1].casefold() not in _NO_NAMES


def _color(one: Stated, name: str) -> ColorSeen:
    return ColorSeen(
        hex=one.hex,
        value=one.value,
        name=name,
        use="swatch",
        place="text",
        print=one.prints,
        indicative=not one.screen,
        sure=0.8,
    )
