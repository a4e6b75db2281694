"""Files that links lead to: what may be handed out, what it is told to be, and where it lies in the published site.

A file is told by its content and not by its name alone. What a browser would run on the site's own address (HTML, SVG, scripts) is not
taken.
"""

import io
import re
import zipfile
from collections.abc import Callable
from dataclasses import dataclass
from functools import lru_cache
from typing import TYPE_CHECKING

import icu

from formulon.core.system.documents.identity import AttachedFile, Identity, free_id, slug

if TYPE_CHECKING:
    from formulon.core.site.site import Section, Site

MOST_BYTES, MOST_FILES = 25_000_000, 60
_FILE = "file:"


@dataclass(frozen=True, slots=True)
class Form:
    """A form of file: what visitors know it as, its media type (IANA), and how it is told by its content."""

    label: str
    media: str
    told: Callable[[bytes], bool]


def _begins(*heads: bytes) -> Callable[[bytes], bool]:
    return lambda data: data.startswith(heads)


def _packed(part: str) -> Callable[[bytes], bool]:
    """A package of files that has a certain part (ECMA-376, part 2; OpenDocument 1.3, part 2; EPUB 3.3)."""

    def told(data: bytes) -> bool:
        try:
            with zipfile.ZipFile(io.BytesIO(data)) as package:
                return not part or any(name == part or name.startswith(f"{part}/") for name in package.namelist())
        except (zipfile.BadZipFile, ValueError, NotImplementedError):
            return False

    return told


def _text(head: str = "") -> Callable[[bytes], bool]:
    """A text in UTF-8 that begins in a certain way and is none that a browser would take for a page."""

    def told(data: bytes) -> bool:
        try:
            text = data.decode("utf-8-sig")
        except UnicodeDecodeError:
            return False
        return (
            "\0" not in text
            and text.lstrip()[: len(head)].upper() == head
            and not re.match(r"\s*<(!|\?|[a-z])", text, re.IGNORECASE)
        )

    return told


_OFFICE = "application/vnd.openxmlformats-officedocument"
_OPEN = "application/vnd.oasis.opendocument"
FORMS: dict[str, Form] = {
    "pdf": Form("PDF", "application/pdf", _begins(b"%PDF-")),
    "docx": Form("DOCX", f"{_OFFICE}.wordprocessingml.document", _packed("word")),
    "xlsx": Form("XLSX", f"{_OFFICE}.spreadsheetml.sheet", _packed("xl")),
    "pptx": Form("PPTX", f"{_OFFICE}.presentationml.presentation", _packed("ppt")),
    "odt": Form("ODT", f"{_OPEN}.text", _packed("content.xml")),
    "ods": Form("ODS", f"{_OPEN}.spreadsheet", _packed("content.xml")),
    "odp": Form("ODP", f"{_OPEN}.presentation", _packed("content.xml")),
    "epub": Form("EPUB", "application/epub+zip", _packed("META-INF")),
    "zip": Form("ZIP", "application/zip", _packed("")),
    "csv": Form("CSV", "text/csv; charset=utf-8", _text()),
    "txt": Form("Text", "text/plain; charset=utf-8", _text()),
    "ics": Form("iCalendar", "text/calendar; charset=utf-8", _text("BEGIN:VCALENDAR")),
    "vcf": Form("vCard", "text/vcard; charset=utf-8", _text("BEGIN:VCARD")),
    "mp3": Form("MP3", "audio/mpeg", _begins(b"ID3", b"\xff\xfb", b"\xff\xf3", b"\xff\xf2")),
    "jpg": Form("JPEG", "image/jpeg", _begins(b"\xff\xd8\xff")),
    "png": Form("PNG", "image/png", _begins(b"\x89PNG\r\n\x1a\n")),
}


def attached(name: str, data: bytes, sha256: str, taken: list[str]) -> AttachedFile:
    """A file to hand out, by an id that is not taken. Raises ValueError with what is wrong, in a sentence for people."""
    shown = re.sub(r"[\x00-\x1f<>/\\]", "", name)[-120:].strip() or "file"
    stem, _, ending = shown.rpartition(".")
    ending = {"jpeg": "jpg"}.get(ending.lower(), ending.lower())
    form = FORMS.get(ending)
    if form is None:
        raise ValueError(f"{shown}: this kind of file cannot be handed out. Take one of {', '.join(FORMS)}.")
    if not data:
        raise ValueError(f"{shown}: the file is empty.")
    if len(data) > MOST_BYTES:
        raise ValueError(
            f"{shown} has {len(data) / 1e6:,.0f} MB; {MOST_BYTES // 1_000_000} MB is the most. Make it smaller first."
        )
    if not form.told(data):
        raise ValueError(f"{shown} is not what its ending says: it is no {form.label}. Save it anew, and add it again.")
    return AttachedFile(id=free_id(slug(stem, "file"), taken, 60), name=shown, ending=ending, size=len(data), sha256=sha256)


def file_of(identity: Identity, to: str) -> AttachedFile | None:
    """The file that a destination names; None where it names none that there is."""
    return next((one for one in identity.files if to == f"{_FILE}{one.id}"), None) if to.startswith(_FILE) else None


def is_file(to: str) -> bool:
    """Whether a destination names a file, be it there or not."""
    return to.startswith(_FILE)


def file_path(one: AttachedFile) -> str:
    """Where it lies in the published site."""
    return f"files/{one.id}.{one.ending}"


def noted(identity: Identity, to: str, language: str) -> str:
    """What stands after the label of a link to a file, so that nobody is surprised by what comes (common practice): its form and size."""
    one = file_of(identity, to)
    return f" ({FORMS[one.ending].label},\u00a0{size_text(one.size, language)})" if one else ""


def action_note(site: "Site", section: "Section", path: str, to: str) -> str:
    """The note of a button or link, but for one in an item that says its size itself."""
    slot, _, rest = path.partition("/")
    number = rest.partition("/")[0]
    if number.isdigit() and section.content[slot][int(number)].get("size"):
        return ""
    return noted(site.identity, to, site.identity.language)


@lru_cache(maxsize=512)
def size_text(size: int, language: str) -> str:
    """A number of bytes in kB or MB, decimal (IEC 80000-13), as a language writes it (CLDR), kept on one line."""
    kilo = size < 999_500
    unit = icu.MeasureUnit.createKilobyte() if kilo else icu.MeasureUnit.createMegabyte()
    value = max(1, round(size / 1000)) if kilo else round(size / 1e6, 1)
    written = icu.NumberFormatter.withLocale(icu.Locale.forLanguageTag(language)).unit(unit).formatDouble(value)
    return re.sub(r"\s", "\u00a0", str(written))
