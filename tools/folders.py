"""Three folders of invented brands, unlike the demo and each other, in English and German, with what a careful person finds in them; and
how much of that is read, lands where it is used, and is wrong. `./bench folders` prints it by kind."""

import io
import zipfile
from collections import Counter
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

import docx
from reportlab.lib.pagesizes import A4  # type: ignore[import-untyped]
from reportlab.pdfgen.canvas import Canvas  # type: ignore[import-untyped]

from formulon.core.identity.decide import suggested
from formulon.core.identity.facts import facts_of
from formulon.core.identity.reading import beside, read_file
from formulon.core.identity.sightings import Reading
from formulon.core.system.documents.identity import ClientText, Identity
from formulon.core.system.documents.passages import passages

Expected = tuple[str, Any]


@dataclass(frozen=True, slots=True)
class Folder:
    """The files of a brand by name, and what they state: kinds with their values."""

    name: str
    language: str
    files: dict[str, bytes]
    expected: list[Expected]


@dataclass(frozen=True, slots=True)
class Score:
    """Of a kind: how many facts there are, how many were found, and how many stand where they are used."""

    there: Counter[str]
    found: Counter[str]
    placed: Counter[str]
    taken: int
    wrong: list[str]


def pdf(lines: list[tuple[float, float, float, str]]) -> bytes:
    """A page of lines: left and top in points, size, words."""
    file = io.BytesIO()
    canvas = Canvas(file, pagesize=A4)
    for left, top, size, words in lines:
        canvas.setFont("Helvetica-Bold" if size > 14 else "Helvetica", size)
        canvas.drawString(left, A4[1] - top, words)
    canvas.save()
    return file.getvalue()


def word(parts: list[Any]) -> bytes:
    """A DOCX: "# " begins a heading, "- " an item, a list of rows is a table."""
    document = docx.Document()
    for part in parts:
        if isinstance(part, list):
            table = document.add_table(0, len(part[0]))
            for cells in part:
                for cell, words in zip(table.add_row().cells, cells, strict=True):
                    cell.text = words
        elif part.startswith("# "):
            document.add_heading(part[2:], 1)
        else:
            document.add_paragraph(part.removeprefix("- "), style="List Bullet" if part.startswith("- ") else None)
    file = io.BytesIO()
    document.save(file)
    return file.getvalue()


def odt(parts: list[Any]) -> bytes:
    """An ODT of the same parts."""

    def text(words: str) -> str:
        return words.replace("&", "&amp;").replace("<", "&lt;")

    body = ""
    for part in parts:
        if isinstance(part, list):
            rows = "".join(
                "<table:table-row>" + "".join(f"<table:table-cell><text:p>{text(one)}</text:p></table:table-cell>" for one in cells) + "</table:table-row>"
                for cells in part
            )  # fmt: skip
            body += f"<table:table>{rows}</table:table>"
        elif part.startswith("# "):
            body += f'<text:h text:outline-level="1">{text(part[2:])}</text:h>'
        elif part.startswith("- "):
            body += f"<text:list><text:list-item><text:p>{text(part[2:])}</text:p></text:list-item></text:list>"
        else:
            body += f"<text:p>{text(part)}</text:p>"
    names = "urn:oasis:names:tc:opendocument:xmlns:"
    content = (
        f'<?xml version="1.0" encoding="UTF-8"?><office:document-content xmlns:office="{names}office:1.0" xmlns:text="{names}text:1.0"'
        f' xmlns:table="{names}table:1.0"><office:body><office:text>{body}</office:text></office:body></office:document-content>'
    )
    file = io.BytesIO()
    with zipfile.ZipFile(file, "w") as package:
        package.writestr(zipfile.ZipInfo("mimetype"), "application/vnd.oasis.opendocument.text")
        package.writestr("content.xml", content)
    return file.getvalue()


def read(files: dict[str, bytes]) -> list[Reading]:
    return [read_file(name, data, beside(name, files)) for name, data in files.items()]


def score(folder: Folder) -> Score:
    """What of a folder is found and stands where it is used, and what was taken that nobody stated."""
    readings = read(folder.files)
    facts = facts_of(readings)
    identity = suggested(facts, folder.name)
    held = [item for text in identity.texts for item in _items(text, folder.language)]
    said = "\n".join(one.model_dump_json() for reading in readings for one in reading.sightings).casefold()
    there, found, placed = Counter[str](), Counter[str](), Counter[str]()
    for kind, value in folder.expected:
        there[kind] += 1
        inside = _PLACES[kind](identity, held, value)
        placed[kind] += inside
        found[kind] += inside or _FOUND.get(kind, _said)(facts, said, value)
    wanted = {kind: [value for one, value in folder.expected if one == kind] for kind, _ in folder.expected}
    taken = _taken(identity)
    wrong = [f"{kind}: {value}" for kind, value in taken if not any(_same(kind, value, one) for one in wanted.get(kind, ()))]
    return Score(there, found, placed, len(taken), wrong)


def _items(text: ClientText, language: str) -> list[tuple[str, dict[str, str]]]:
    return [(one.kind, item) for one in passages(text, language) for item in one.items]


def _fold(value: Any) -> str:
    return " ".join(str(value).casefold().replace("\u00a0", " ").split())


def _said(facts: Any, said: str, value: Any) -> bool:
    parts = value if isinstance(value, tuple) else (value,)
    return all(_fold(part) in said for part in parts if isinstance(part, str) and part)


def _rule_found(rule: str) -> Callable[[Any, str, Any], bool]:
    return lambda facts, said, value: any(
        fact.group == "rules" and fact.data["rule"] == rule and _same(rule, fact.data["values"], value) for fact in facts
    )


def _rule_placed(rule: str) -> Callable[[Identity, Any, Any], bool]:
    return lambda identity, held, value: any(one.rule == rule and _same(rule, one.values, value) for one in identity.rules)


def _same(kind: str, made: Any, value: Any) -> bool:
    """Whether what was read is what is expected: of words one of them, of numbers within rounding."""
    if kind in ("words to use", "words to avoid"):
        return _fold(value) in [_fold(one) for one in made["words"]]
    if kind == "tone":
        return _fold(value) in [_fold(one) for one in made["wanted"]]
    if kind in ("color", "typeface", "network", "radius", "word", "as said", "figure", "offer"):
        return bool(_fold(made) == _fold(value))
    if isinstance(value, dict):
        return all(
            abs(float(made.get(key, -99)) - one) <= 0.6 if isinstance(one, (int, float)) else made.get(key) == one
            for key, one in value.items()
        )
    return bool(made == value)


def _passage(kind: str, *keys: str) -> Callable[[Identity, Any, Any], bool]:
    def holds(identity: Identity, held: Any, value: Any) -> bool:
        parts = value if isinstance(value, tuple) else (value,)
        return any(
            of == kind and all(_fold(part) in _fold(item.get(key, "")) for key, part in zip(keys, parts, strict=False))
            for of, item in held
        )

    return holds


def _hours(identity: Identity, held: Any, value: tuple[str, str]) -> bool:
    return _passage("hours", "when", "what")(identity, held, value) or all(
        _fold(one) in _fold(identity.contact.hours) for one in value
    )


_PLACES: dict[str, Callable[[Identity, Any, Any], bool]] = {
    **{kind: _rule_placed(kind) for kind in (
        "proportions", "forbidden pair", "wanted pair", "least size", "clear space", "words to use", "words to avoid", "tone",
        "buttons and links",
    )},
    "radius": lambda identity, held, value: any(one.measure == "radius" and abs(one.px - value) < 0.1 for one in identity.measures),
    "color": lambda identity, held, value: any((_fold(one.name), one.parsed.hex.casefold()) == (_fold(value[0]), value[1]) for one in identity.colors),
    "typeface": lambda identity, held, value: any((_fold(one.family), one.role) == (_fold(value[0]), value[1]) for one in identity.faces),
    "network": lambda identity, held, value: value in identity.social,
    "word": lambda identity, held, value: _fold(getattr(identity.contact, value[0], getattr(identity, value[0], ""))) == _fold(value[1]),
    "hours": _hours,
    "price": _passage("prices", "title", "price"),
    "date": _passage("dates", "when", "what"),
    "quote": _passage("quotes", "text", "name", "role"),
    "person": _passage("people", "name", "role"),
    "year": lambda identity, held, value: any(
        of == "moments" and _fold(value[0]) in _fold(item["when"]) and _fold(value[1]) in _fold(f"{item['title']} {item.get('text', '')}") for of, item in held
    ),
    "figure": lambda identity, held, value: _fold(value) in [_fold(one) for one in identity.proof],
    "season": lambda identity, held, value: _fold(value) in [_fold(one) for one in identity.contact.hours.split("; ")],
    "step": _passage("steps", "title"),
    "as said": lambda identity, held, value: any((one.rule, one.text) == ("as said", value) for one in identity.rules),
    "offer": lambda identity, held, value: any(_fold(value) == _fold(one.name) for one in identity.offers) or any(_fold(value) == _fold(text.heading) for text in identity.texts),
}  # fmt: skip
_FOUND: dict[str, Callable[[Any, str, Any], bool]] = {
    kind: _rule_found(kind)
    for kind in (
        "proportions", "forbidden pair", "wanted pair", "least size", "clear space", "words to use", "words to avoid", "tone",
        "buttons and links",
    )
}  # fmt: skip


def _taken(identity: Identity) -> list[tuple[str, Any]]:
    """What was taken of the kinds of which every single one can be told right or wrong."""
    words = ("words to use", "words to avoid", "tone")
    made: list[tuple[str, Any]] = [
        (one.rule, one.text if one.rule == "as said" else one.values) for one in identity.rules if one.rule not in words
    ]
    made += [
        (one.rule, {"words": [word], "wanted": [word]})
        for one in identity.rules
        if one.rule in words
        for word in _listed(one.values)
    ]
    made += [("typeface", (one.family, one.role)) for one in identity.faces if one.role != "other"]
    made += [("figure", one) for one in identity.proof]
    made += [("offer", one.name) for one in identity.offers]
    made += [("network", one) for one in identity.social]
    made += [("color", (one.name, one.parsed.hex)) for one in identity.colors]
    made += [("radius", one.px) for one in identity.measures if one.measure == "radius"]
    return made


def _listed(values: dict[str, Any]) -> list[str]:
    return list(values.get("words", values.get("wanted", [])))
