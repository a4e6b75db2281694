"""The font files of a site: which are served, cut down to what, and the style rules that name them."""

import re
from collections.abc import Iterator, Mapping
from functools import lru_cache
from typing import Any

from formulon.core.site.site import Site
from formulon.core.site.slots import slot_values
from formulon.core.system.documents.identity import Identity, OwnFont
from formulon.core.system.system import System
from formulon.core.type.delivery import cut, stand_in, wanted, weights_in
from formulon.core.type.emphasis import styles
from formulon.core.type.library import Face, Family
from formulon.core.type.shaping import coverage

FOLDER = "fonts/"
_BEYOND_ASCII = re.compile(r"[^\x00-\x7f]")
_ESCAPED = re.compile(r"\\([0-9A-Fa-f]{2,6})")  # a character as a style sheet may write it: CSS Syntax 3, 4.3.7


def codes_of(site: Site) -> frozenset[int]:
    """The code points that the site needs, in both cases, since a step may be set in capitals."""
    identity = site.identity
    texts = site.model_dump_json(exclude={"assets": True, "choices": True, "identity": {"marks", "fonts"}})
    return _wanted(
        tuple(dict.fromkeys((identity.language, *identity.languages))), frozenset(texts + texts.upper() + texts.lower())
    )


@lru_cache(maxsize=64)
def _wanted(languages: tuple[str, ...], chars: frozenset[str]) -> frozenset[int]:
    return wanted(list(languages), "".join(chars))


def slanted(site: Site) -> bool:
    """Whether a text of the site is stressed, so that italics are served."""
    sections = [site.frame.header, site.frame.footer, *(section for page in site.drawn for section in page.sections)]
    return any("em" in styles(text) for section in sections for text in _texts(section.content))


def _texts(value: Any) -> Iterator[str]:
    if isinstance(value, str):
        yield value
    elif isinstance(value, dict | list):
        for part in value.values() if isinstance(value, dict) else value:
            yield from _texts(part)


def served(font: Family, need: frozenset[int], italics: bool = False) -> list[Face]:
    """The faces of a family that hold something of what a site needs; the first always. Italics where they are used."""
    return [*_needed(font, font.faces, need), *(_needed(font, font.italics, need) if italics else ())]


def _needed(font: Family, faces: tuple[Face, ...], need: frozenset[int]) -> list[Face]:
    seen: set[int] = set()
    made: list[Face] = []
    for face in faces:
        codes = coverage(font)[face.key]
        if not made or need & (codes - seen) or not face.ranges:
            made.append(face)
        seen |= codes if face.ranges else set()
    return made


def own_font(identity: Identity, font: Family) -> OwnFont | None:
    return next((one for one in identity.fonts if one.id == font.id), None)


def whole(identity: Identity, font: Family) -> bool:
    """Whether the files are served as they are: the library's are cut by alphabet already, and further when a site is published; of a
    brand's own, those whose licence forbids subsetting, and those whose name is reserved by it, which a changed file may not carry."""
    own = own_font(identity, font)
    return own is None or own.no_subsetting or own.reserved_name


def files(site: Site) -> dict[str, bytes]:
    """The font files by path, each with the text of its licence beside it."""
    made: dict[str, bytes] = {}
    need, italics = codes_of(site), slanted(site)
    for font in site.families():
        own = own_font(site.identity, font)
        for face in served(font, need, italics):
            data = face.open()
            made[f"{FOLDER}{font.id}/{face.key}.woff2"] = data if whole(site.identity, font) else cut(data, need)
        if own is None:
            made[f"{FOLDER}{font.id}/OFL.txt"] = font.open_licence()
        else:
            said = own.licence or "The font file states no licence. It is used under the licence that the brand holds."
            made[f"{FOLDER}{font.id}/LICENCE.txt"] = f"{own.name}\n\n{said}\n".encode()
    return made


def lean(in_all: Mapping[str, Site], made: Mapping[str, bytes]) -> dict[str, bytes]:
    """A published site's files, the library's typefaces among them cut down to the letters and weights that its pages may ask for. Files
    whose licence reserves their name stay whole. The site is given in all its languages, by their folders."""
    sheets = "".join(data.decode() for path, data in made.items() if path.endswith(".css"))
    pages = (data.decode() for path, data in made.items() if path.endswith(".html") and not data.isascii())
    shown = {char for text in (sheets, *pages) for char in _BEYOND_ASCII.findall(text)}  # what is ASCII is there in any case
    drawn = {ord(char) for char in shown} | {int(code, 16) for code in _ESCAPED.findall(sheets)}
    own = (
        value["html"]
        for one in in_all.values() for page in one.pages for section in page.sections
        for slot, value in slot_values(section).values() if slot.type == "code"
    )  # fmt: skip
    weights = weights_in("".join((sheets, *own)))
    found = dict(made)
    for folder, one in in_all.items():
        need = codes_of(one) | drawn
        for font in one.families():
            if font.own or font.reserved_name:
                continue
            for face in (*font.faces, *font.italics):
                path = f"{folder}{FOLDER}{font.id}/{face.key}.woff2"
                if path in made:
                    found[path] = cut(face.open(), need & coverage(font)[face.key], weights)
    return found


def face_rules(site: Site, system: System) -> str:
    """@font-face rules of the published site: the files, and for every weight in use a stand-in with the same measures."""
    rules, need, italics = [], codes_of(site), slanted(site)
    for font in site.families():
        rules += [_rule(font, face, f"{FOLDER}{font.id}/{face.key}.woff2") for face in served(font, need, italics)]
        weights = sorted({step.weight for step in system.steps.values() if step.family == font})
        rules += [stand_in(font, weight) for weight in weights]
    return "".join(rules)


def preview_rules(site: Site, path: str, own_path: str) -> str:
    """The same for a preview: whole families, the library's under one path and the brand's own under another."""
    rules = []
    for font in site.families():
        for face in (*font.faces, *font.italics):
            rules.append(_rule(font, face, f"{own_path}{face.key}.woff2" if font.own else f"{path}{font.id}/{face.key}.woff2"))
    return "".join(rules)


def preloads(site: Site, system: System) -> list[str]:
    """The files that a page's first screen needs: of each family the first face at the weight of its largest step."""
    made = []
    for font in site.families():
        used = [step for step in system.steps.values() if step.family == font]
        if used:
            face = font.at(max(used, key=lambda step: step.large).weight)[0]
            made.append(f"{FOLDER}{font.id}/{face.key}.woff2")
    return made


def _rule(font: Family, face: Face, address: str) -> str:
    low, high = face.weights
    weight = f"{low} {high}" if low != high else str(low)
    ranges = f";unicode-range:{face.ranges}" if face.ranges else ""
    style = "font-style:italic;" if face in font.italics else ""
    return (
        f"@font-face{{font-family:'{font.name}';src:url({address}) format('woff2');"
        f"{style}font-weight:{weight};font-display:swap{ranges}}}\n"
    )
