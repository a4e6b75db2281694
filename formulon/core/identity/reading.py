"""Reading one file of a brand: told by its content, handed to its reader."""

import re
from collections.abc import Callable, Mapping

from formulon.core.errors import FormulonError, ReadError
from formulon.core.identity.readers import archive, font, page, pdf, raster, styles, svg, text, tokens
from formulon.core.identity.readers import swatches as palette
from formulon.core.identity.sightings import Reading

MOST_BYTES = 60_000_000
_PICTURES = {"png", "jpg", "jpeg", "webp", "avif"}
_ALIKE = {
    "jpeg": "jpg",
    "htm": "html",
    "markdown": "md",
    "tokens": "json",
    "otf": "ttf",
    "woff2": "wof2",
    "txt": "md",
    "csv": "md",
}


def detect(name: str, data: bytes) -> str:
    """The format of a file by its content; the name decides only between kinds of text. Empty where it is not known."""
    head = data[:1024]
    if head.startswith(b"\x89PNG\r\n\x1a\n"):
        return "png"
    if head.startswith(b"\xff\xd8\xff"):
        return "jpg"
    if head[:4] == b"RIFF" and head[8:12] == b"WEBP":
        return "webp"
    if head[4:8] == b"ftyp" and (b"avif" in head[8:64] or b"avis" in head[8:64]):
        return "avif"
    if b"%PDF-" in head:
        return "pdf"
    if head[:4] in (b"\x00\x01\x00\x00", b"true", b"OTTO", b"ttcf"):
        return "ttf"
    if head[:4] in (b"wOFF", b"wOF2"):
        return head[:4].decode().lower()
    if head.startswith(b"ASEF"):
        return "ase"
    if head.startswith((b"PK\x03\x04", b"PK\x05\x06")):
        if b"mimetypeapplication/vnd.oasis.opendocument.text" in data[:200]:
            return "odt"
        return "docx" if b"word/" in data and b"[Content_Types].xml" in data else "zip"
    return _text_format(name, data)


def _text_format(name: str, data: bytes) -> str:
    sample = decode(data[:6000])
    if sample is None:
        return ""
    start = sample.lstrip("\ufeff \t\r\n")
    extension = _extension(name)
    if re.match(
        r"(?:<\?xml[^>]*>\s*)?(?:<!--.*?-->\s*)*(?:<!DOCTYPE svg[^>]*(?:\[[^\]]*\])?\s*>\s*)?<(?:\w+:)?svg\b", start, re.DOTALL
    ):
        return "svg"
    if re.match(r"(?i)<!doctype html|<html|<head|<body", start) or (extension in ("html", "htm") and "<" in start):
        return "html"
    if start.startswith("GIMP Palette"):
        return "gpl"
    if start.startswith(("{", "[")) and extension not in ("css", "txt", "md"):
        return "json"
    if extension in ("css", "csv", "md", "markdown", "gpl", "svg"):
        return extension.replace("markdown", "md")
    return (
        "txt" if extension in ("txt", "text", "") or sample.isprintable() or extension == "list" else ("txt" if start else "")
    )


def decode(data: bytes) -> str | None:
    """The text of bytes in UTF-8, UTF-16 or, as a last resort, Windows Latin; None for what is no text."""
    if data[:2] in (b"\xff\xfe", b"\xfe\xff"):
        try:
            return data[: len(data) // 2 * 2].decode("utf-16")
        except UnicodeDecodeError:
            return None
    if b"\x00" in data:
        return None
    try:
        return data.decode("utf-8-sig")
    except UnicodeDecodeError as error:
        if error.start >= len(data) - 4:
            return data[: error.start].decode("utf-8-sig", "ignore")
    made = data.decode("cp1252", "replace")
    odd = sum(not (one.isprintable() or one in "\r\n\t\f") for one in made[:4000])
    return made if odd <= 0.02 * min(len(made), 4000) else None


def _extension(name: str) -> str:
    return name.rsplit(".", 1)[-1].lower() if "." in name.rsplit("/", 1)[-1] else ""


# What files are read together with, by their endings: pages with style sheets, tokens with those that they refer to.
_TOGETHER = {"html": (".css",), "htm": (".css",), "json": (".json", ".tokens"), "tokens": (".json", ".tokens")}
MOST_BESIDE, MOST_BYTES_BESIDE = 40, 8_000_000


def read_with(name: str) -> tuple[str, ...]:
    """The endings of the files that one of this name is read together with; none for most."""
    return _TOGETHER.get(_extension(name), ())


def beside(name: str, data: Mapping[str, bytes]) -> dict[str, str]:
    """The texts of those files that one of this name is read together with, as far as they are not too many or too large."""
    made, left, endings = dict[str, str](), MOST_BYTES_BESIDE, read_with(name)
    for other in data if endings else ():
        if other != name and other.lower().endswith(endings) and len(made) < MOST_BESIDE and len(data[other]) <= left:
            made[other] = decode(data[other]) or ""
            left -= len(data[other])
    return made


# Raised whenever readers find more in a file that they could read before: what was read by earlier ones can be read again.
READERS = 3


def read_file(name: str, data: bytes, others: dict[str, str] | None = None) -> Reading:
    """Everything seen in a file. `others` are the texts that it is read together with (see `beside`). Never raises for a bad file:
    its reading says what is wrong, in one sentence that names file, cause and remedy."""
    try:
        return _read(name, data, others).model_copy(update={"readers": READERS})
    except FormulonError as error:
        return Reading(file=name, problem=str(error))
    except MemoryError:
        return Reading(file=name, problem=f"{name}: the file takes more memory than a reader may have. Make it smaller.")
    except RecursionError:
        return Reading(file=name, problem=f"{name}: the file is nested too deeply. Save it in a plainer form.")
    except Exception as error:
        # A reader meets files that no author has foreseen; one of them never stops the others.
        cause = type(error).__name__
        return Reading(
            file=name, problem=f"{name}: the file does not have the form of its kind ({cause}). Save or export it again."
        )


def _read(name: str, data: bytes, others: dict[str, str] | None) -> Reading:
    if not data:
        raise ReadError(f"{name}: the file is empty. Add it again.")
    if len(data) > MOST_BYTES:
        raise ReadError(
            f"{name}: the file has {len(data) // 1_000_000} MB; {MOST_BYTES // 1_000_000} is the most. Make it smaller."
        )
    form = detect(name, data)
    if not form:
        raise ReadError(f"{name}: Formulon cannot tell what kind of file this is. Save it as one of the kinds that it reads.")
    reading = _binary(form)(name, data) if form in _BINARY else _of_text(form, name, data, others)
    extension = _extension(name)
    told, found = _ALIKE.get(extension, extension), _ALIKE.get(form, form)
    if extension and told != found and told in {*_KNOWN, *_PICTURES}:
        reading.notes.append(f"The file is called .{extension}, but it is {reading.format}.")
    if not reading.sightings and not reading.parts and not reading.notes and not reading.problem:
        reading.notes.append(_NOTHING.get(form, "It holds no colour, typeface, mark, picture or words that a reader knows."))
    return reading


# Why a file of a kind gives nothing, where its reader has not said it.
_NOTHING = {
    "css": "The style sheet sets no colour, typeface or measure.",
    "html": "The page shows no words, colours or addresses of its own; what a script would draw is not seen.",
    "json": "The tokens hold no colour, typeface or measure.",
    "pdf": "The pages hold no text and no drawn colours; a scanned page is a picture. Export it from the program that made it.",
    "zip": "The archive holds no file that can be read.",
    "svg": "The drawing paints nothing.",
    "txt": "The text holds no fact in a form that is known, such as “Phone: …” or a heading with its paragraph.",
    "md": "The text holds no fact in a form that is known, such as “Phone: …” or a heading with its paragraph.",
    "docx": "The document holds no paragraphs.",
    "odt": "The document holds no paragraphs.",
}


_BINARY: dict[str, Callable[[str, bytes], Reading]] = {
    "png": raster.read, "jpg": raster.read, "webp": raster.read, "avif": raster.read, "pdf": pdf.read, "ttf": font.read,
    "woff": font.read, "wof2": font.read, "ase": palette.read_ase, "zip": archive.read, "docx": text.read_docx, "odt": text.read_odt, "svg": svg.read,
}  # fmt: skip
_KNOWN = {*_BINARY, "html", "css", "json", "gpl", "md", "woff2"}


def _binary(form: str) -> Callable[[str, bytes], Reading]:
    return _BINARY[form]


def _of_text(form: str, name: str, data: bytes, others: dict[str, str] | None) -> Reading:
    words = decode(data)
    if words is None or not words.strip():
        raise ReadError(f"{name}: the file holds no readable text. Save it as UTF-8.")
    if form == "html":
        return page.read(name, words, others)
    if form == "css":
        return styles.read(name, words)
    if form == "json":
        return tokens.read(name, words, others or {})
    if form == "gpl":
        return palette.read_gpl(name, words)
    if form == "csv":
        found = palette.read_csv(name, words)
        if found:
            return found
    else:
        listed = palette.read_list(name, words)
        if listed:
            return listed
    return text.read(name, words, form == "md")
