"""PDF: stated colour values with the name printed nearest, drawn fills, fonts by share of text, vector marks, rules."""

import io
import logging
import re
from collections import Counter
from dataclasses import dataclass

import pypdf
from pdfminer.high_level import extract_pages
from pdfminer.layout import LAParams, LTChar, LTContainer, LTTextBox
from pypdf.errors import PyPdfError

from formulon.core.errors import MarkError, ReadError
from formulon.core.identity.documents import Block, flowing
from formulon.core.identity.documents.printed import blocks_of
from formulon.core.identity.documents.swatches import in_rows
from formulon.core.identity.drawings import Fill, drawings
from formulon.core.identity.material import material
from formulon.core.identity.notations import Stated, notations, stated
from formulon.core.identity.readers import svg
from formulon.core.identity.sightings import ColorSeen, MarkSeen, Reading, RuleSeen, TypefaceSeen
from formulon.core.identity.words import facts, rules

MOST_PAGES = 60
_NAME_REACH = 160.0  # points
_MOST_FILLS = 24
# Fonts that every reader of PDF has (ISO 32000-2, section 9.6.2.2), and those that programs for texts embed where nobody has chosen
# any (common practice): documents without fonts of their own are set in them.
_EVERYWHERE = (
    "Helvetica", "Times", "Courier", "Symbol", "Zapf Dingbats", "Arial", "Times New Roman", "Courier New", "Calibri", "Cambria", "Aptos",
    "Liberation Sans", "Liberation Serif", "Liberation Mono", "DejaVu Sans", "DejaVu Serif", "DejaVu Sans Mono", "Carlito", "Nimbus Sans",
    "Nimbus Roman",
)  # fmt: skip


def read(name: str, data: bytes) -> Reading:
    """Raises ReadError where the document is encrypted, broken or empty."""
    logging.getLogger("pypdf").setLevel(logging.CRITICAL)
    logging.getLogger("pdfminer").setLevel(logging.CRITICAL)
    document = _open(name, data)
    reading = Reading(file=name, format="PDF")
    pages = min(MOST_PAGES, len(document.pages))
    if len(document.pages) > MOST_PAGES:
        reading.notes.append(f"Only the first {MOST_PAGES} of {len(document.pages)} pages were read.")
    try:
        _texts(data, pages, reading)
    except Exception as error:  # the text of a broken document raises errors of many kinds; its drawings may still be read
        reading.notes.append(f"The text could not be read whole ({type(error).__name__}).")
    fills: dict[tuple[str, int], list[Fill]] = {}
    whole = 0.0
    for number in range(pages):
        try:
            found, marks = drawings(document.pages[number])
        except Exception as error:  # as above
            reading.notes.append(f"Page {number + 1}: its drawings could not be read ({type(error).__name__}).")
            continue
        for fill in found:
            whole += fill.area
            fills.setdefault((fill.hex, number + 1), []).append(fill)
        for text in marks:
            _mark(text, number + 1, name, reading)
    _fills(fills, whole, reading)
    if not reading.sightings:
        reading.notes.append("Nothing was found in it: its pages may be pictures. Ask for the guideline with live text.")
    return reading


def _open(name: str, data: bytes) -> pypdf.PdfReader:
    try:
        document = pypdf.PdfReader(io.BytesIO(data))
        locked = document.is_encrypted and not document.decrypt("")
        count = 0 if locked else len(document.pages)
    except (
        PyPdfError,
        ValueError,
        KeyError,
        TypeError,
        AttributeError,
        IndexError,
        RecursionError,
        NotImplementedError,
        OSError,
    ) as error:
        raise ReadError(
            f"{name}: the PDF is broken or cut short ({str(error)[:80] or type(error).__name__}). Export it again."
        ) from error
    if locked:
        raise ReadError(f"{name}: the PDF is protected with a password. Save it without one and add it again.")
    if not count:
        raise ReadError(f"{name}: the PDF has no pages. Export it again.")
    return document


@dataclass(slots=True)
class _Box:
    """A block of text: its place in points from the bottom left."""

    text: str
    left: float
    bottom: float
    right: float
    top: float


def _texts(data: bytes, pages: int, reading: Reading) -> None:
    fonts: dict[str, Counter[float]] = {}
    characters = 0
    spoken: set[tuple[str, str]] = set()
    parts: list[Block] = []
    for number, page in enumerate(extract_pages(io.BytesIO(data), maxpages=pages, laparams=LAParams()), 1):
        boxes: list[_Box] = []
        for element in page:
            if isinstance(element, LTTextBox):
                boxes.append(_Box(element.get_text().strip(), element.x0, element.y0, element.x1, element.y1))
                for character in _characters(element):
                    characters += 1
                    fonts.setdefault(character.fontname, Counter())[round(character.size, 1)] += 1
        place = f"page {number}"
        blocks = blocks_of(page)
        rows = list(in_rows(blocks))
        for name, one in rows:
            reading.sightings.append(_color(one, name, place))
        told_there = {value for _, one in rows for value in (one.value, *one.prints)}
        for box in boxes:
            _stated(box, boxes, place, reading, told_there)
        parts += blocks
        text = flowing(blocks)
        for word in facts(flowing(blocks, heads=False), place, 0.8):
            if (word.field, word.text) not in spoken:
                spoken.add((word.field, word.text))
                reading.sightings.append(word)
        reading.sightings += rules(text, place)
    if not _is_guideline(reading):
        reading.sightings += material(parts)
    _fonts(fonts, characters, reading)


def _is_guideline(reading: Reading) -> bool:
    """Whether a document tells how the brand is to look, and is no text for its pages."""
    colors = sum(isinstance(one, ColorSeen) for one in reading.sightings)
    return colors + sum(isinstance(one, RuleSeen) for one in reading.sightings) >= 2


def _characters(element: LTContainer) -> list[LTChar]:  # type: ignore[type-arg]
    found: list[LTChar] = []
    for child in element:
        if isinstance(child, LTChar):
            found.append(child)
        elif isinstance(child, LTContainer):
            found += _characters(child)
    return found


def _color(one: Stated, name: str, place: str) -> ColorSeen:
    spot = next((text[5:] for text in one.prints if text.startswith("spot ")), "")
    return ColorSeen(
        hex=one.hex, value=one.value, name=name or spot, use="swatch", place=place, print=one.prints,
        indicative=not one.screen, note=one.note, sure=0.95 if one.screen else 0.6,
    )  # fmt: skip


def _stated(box: _Box, boxes: list[_Box], place: str, reading: Reading, known: set[str]) -> None:
    """Colours that a box states, named by it or by what is nearest; `known` values stand in tables."""
    before = 0
    for one in [one for one in stated(box.text) if not {one.value, *one.prints} & known]:
        label = _label(box.text[before : one.start]) or _nearest(box, boxes)
        before = one.end
        reading.sightings.append(_color(one, label, place))


def _label(text: str) -> str:
    """A colour's name among the words before its value: the last line that looks like a name."""
    lines = [
        re.sub(r"(?i)\b(?:hex|rgb|hsl|cmyk|lab)\b\s*:?\s*$", "", line).strip(" \t:–—-•*,;|/") for line in text.splitlines()
    ]
    names = [line for line in lines if 1 < len(line) <= 40 and not notations(line) and re.match(r"[^\W\d]", line)]
    return names[-1] if names else ""


def _nearest(box: _Box, boxes: list[_Box]) -> str:
    """The short text nearest to a box that states values and no name."""
    best, distance = "", _NAME_REACH
    for other in boxes:
        if other is box or notations(other.text) or not 1 < len(other.text) <= 40 or "\n" in other.text:
            continue
        across = max(0.0, other.left - box.right, box.left - other.right)
        along = max(0.0, other.bottom - box.top, box.bottom - other.top)
        # Names stand above or beside their values, hardly below.
        far = (across**2 + along**2) ** 0.5 + (30 if other.top <= box.bottom else 0)
        if far < distance and re.match(r"[^\W\d]", other.text):
            best, distance = other.text.strip(), far
    return best


def _fonts(fonts: dict[str, Counter[float]], characters: int, reading: Reading) -> None:
    families: dict[str, tuple[Counter[float], set[str]]] = {}
    for raw, sizes in fonts.items():
        family, style = family_of(raw)
        known = families.setdefault(family, (Counter(), set()))
        known[0].update(sizes)
        known[1].add(style)
    for family, (sizes, styles) in families.items():
        count = sum(sizes.values())
        mean = sum(size * number for size, number in sizes.items()) / count
        share = count / max(1, characters)
        reading.sightings.append(
            TypefaceSeen(
                family=family, style=", ".join(sorted(filter(None, styles)))[:60], source="document", place="text",
                use="headings" if mean >= 16 else "running text" if share > 0.4 else "", italic="Italic" in styles,
                sizes=sorted(sizes, reverse=True)[:8], share=round(share, 4), count=count, sure=0.3 if family in _EVERYWHERE else 0.7,
            )
        )  # fmt: skip


def family_of(raw: str) -> tuple[str, str]:
    """Family and style out of a PostScript name: ABCDEF+YoungSerif-Regular is Young Serif, Regular."""
    plain = re.sub(r"^[A-Z]{6}\+", "", raw)
    family, _, style = plain.partition("-")
    family = re.sub(r"(?<=[a-z])(?=[A-Z])|(?<=[A-Z])(?=[A-Z][a-z])", " ", family.replace("_", " "))
    return family.replace(" MT", "").removesuffix(" PS").strip()[:80] or raw[:80], re.sub(r"(?<=[a-z])(?=[A-Z])", " ", style)


def _fills(fills: dict[tuple[str, int], list[Fill]], whole: float, reading: Reading) -> None:
    ranked = sorted(fills.items(), key=lambda item: -sum(fill.area for fill in item[1]))
    for (hexa, page), found in ranked[:_MOST_FILLS]:
        prints = list(dict.fromkeys(text for fill in found for text in fill.prints))
        spot = next((fill.spot for fill in found if fill.spot), "")
        exact = any(fill.screen for fill in found)
        area = sum(fill.area for fill in found)
        reading.sightings.append(
            ColorSeen(
                hex=hexa, value=found[0].value, name=spot, use="drawn", place=f"page {page}, drawn", count=len(found),
                share=round(area / whole, 4) if whole else None, print=prints, indicative=not exact, sure=0.75 if exact else 0.5,
            )
        )  # fmt: skip


def _mark(text: str, page: int, name: str, reading: Reading) -> None:
    try:
        seen = svg.read(f"{name}, page {page}", text.encode())
    except MarkError as error:
        reading.notes.append(str(error))
        return
    for sighting in seen.sightings:
        if isinstance(sighting, MarkSeen) and sighting.svg:
            if any(isinstance(known, MarkSeen) and known.svg == sighting.svg for known in reading.sightings):
                return
            count = sum(isinstance(known, MarkSeen) for known in reading.sightings) + 1
            sighting.name = f"{name.rsplit('/', 1)[-1].rsplit('.', 1)[0]}-mark-{count}.svg"
            sighting.place, sighting.sure = f"page {page}, vector drawing", round(sighting.sure * 0.8, 3)
            reading.sightings.append(sighting)
