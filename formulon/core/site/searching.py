"""Words searched over all documents of a site, with each place shown, and put in the place of others.

Letters match whatever their accents and their case, as ICU's collation for the site's language has it (UTS #10, searching), unless case
is asked for. Addresses, sources of pictures and own code are no words.
"""

from collections.abc import Collection, Iterator
from dataclasses import dataclass
from typing import Any

import icu

from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.changes import Change, pointer
from formulon.core.site.documents import Body, documents, page_of
from formulon.core.site.site import FRAME, Site

_NO_WORDS = frozenset({"to", "source", "focus", "overlay", "html", "css", "kind", "sort"})
_AROUND = 36  # characters before and after
MOST_PLACES = 500


@dataclass(frozen=True, slots=True)
class Occurrence:
    """A text in which the words stand: its document and its place there, where that is for people, and the first match with what stands
    around it; and how often the words stand in it."""

    document: str
    path: str
    page: str
    section: str
    label: str
    before: str
    match: str
    after: str
    count: int


def search(site: Site, words: str, cases: bool = False, whole: bool = False) -> list[Occurrence]:
    """The texts of a site that hold the words, in the order of the pages. `cases` tells capitals and accents apart, `whole` takes
    whole words alone."""
    made: list[Occurrence] = []
    finder = _Finder(words, site.identity.language, cases, whole)
    for place in _texts(site) if words.strip() else ():
        spans = finder.spans(place.text)
        if spans:
            start, end = spans[0]
            before, after = place.text[:start], place.text[end:]
            made.append(
                Occurrence(
                    place.document, pointer(*place.path), place.page, place.section, place.label,
                    ("…" if len(before) > _AROUND else "") + before[-_AROUND:], place.text[start:end],
                    after[:_AROUND] + ("…" if len(after) > _AROUND else ""), len(spans),
                )
            )  # fmt: skip
        if len(made) == MOST_PLACES:
            break
    return made


def replaced(
    site: Site, words: str, by: str, only: Collection[tuple[str, str]] | None = None, cases: bool = False, whole: bool = False
) -> list[Change]:
    """The changes that put other words in their place everywhere, or only in some texts (by document and path). Where what was found
    begins with a capital and was found whatever its case, what takes its place does, too."""
    finder, patches = _Finder(words, site.identity.language, cases, whole), dict[str, list[dict[str, Any]]]()
    for place in _texts(site) if words.strip() else ():
        path = pointer(*place.path)
        spans = finder.spans(place.text) if only is None or (place.document, path) in only else []
        if not spans:
            continue
        text, at = "", 0
        for start, end in spans:
            found = place.text[start:end]
            put = by[:1].upper() + by[1:] if not cases and found[:1].isupper() and not words[:1].isupper() else by
            text += place.text[at:start] + put
            at = end
        patches.setdefault(place.document, []).append({"op": "replace", "path": path, "value": text + place.text[at:]})
    return [Change(document=name, patch=patch) for name, patch in patches.items()]


class _Finder:
    """Finds words in texts by ICU's search, which knows what letters are alike in a language."""

    def __init__(self, words: str, language: str, cases: bool, whole: bool) -> None:
        locale = icu.Locale.forLanguageTag(language)
        self.words, self.collator = words, icu.Collator.createInstance(locale)
        self.collator.setStrength(icu.Collator.TERTIARY if cases else icu.Collator.PRIMARY)
        self.breaks = icu.BreakIterator.createWordInstance(locale) if whole else None

    def spans(self, text: str) -> list[tuple[int, int]]:
        """Where the words stand in a text, from left to right."""
        if not text.strip():
            return []
        search, edges = icu.StringSearch(self.words, text, self.collator), self._edges(text)
        found, made = search.first(), list[tuple[int, int]]()
        while found != -1:
            length = search.getMatchedLength()
            if length <= 0:
                break
            start, end = _in_python(text, found), _in_python(text, found + length)
            if (not made or start >= made[-1][1]) and (edges is None or {found, found + length} <= edges):
                made.append((start, end))
            found = search.nextMatch()
        return made

    def _edges(self, text: str) -> set[int] | None:
        """Where words begin and end, in UTF-16 units (UAX #29, by ICU); None where that does not matter."""
        if self.breaks is None:
            return None
        self.breaks.setText(text)
        return {0, *self.breaks}


def _in_python(text: str, units: int) -> int:
    """A place in a text in characters, for one in UTF-16 units as ICU counts."""
    if text.isascii():
        return units
    return len(text.encode("utf-16-le")[: 2 * units].decode("utf-16-le", "ignore"))


@dataclass(frozen=True, slots=True)
class _Text:
    document: str
    path: tuple[str | int, ...]
    page: str
    section: str
    label: str
    text: str


def _texts(site: Site) -> Iterator[_Text]:
    """Every text of a site that people read, with its place."""
    bodies = documents(site)
    yield from _frame(bodies["frame"])
    for page in site.pages:
        name = f"page:{page.id}"
        body = bodies[name]
        for key, label in (("name", "Name"), ("title", "Title"), ("description", "Description")):
            yield _Text(name, (key,), page.id, "", label, body[key])
        for index, section in enumerate(body["sections"]):
            yield from _section(name, ("sections", index), section)


def _frame(body: Body) -> Iterator[_Text]:
    for part in FRAME:
        yield from _section("frame", (part,), body[part])
    for index, item in enumerate(body["menu"]):
        yield _Text("frame", ("menu", index, "label"), "", "", "Menu", item["label"])
        for under, one in enumerate(item["items"]):
            yield _Text("frame", ("menu", index, "items", under, "label"), "", "", "Menu", one["label"])


def _section(document: str, base: tuple[str | int, ...], section: Body) -> Iterator[_Text]:
    kind = CATALOGUE[section["kind"]]
    for slot, value in section["content"].items():
        for path, text in _strings(value):
            inner = kind.slots[slot].items.get(str(path[1])) if len(path) > 1 and kind.slots[slot].items else None
            label = f"{kind.label}, {inner.label if inner else kind.slots[slot].label}{', in words' * (path[-1:] == ('alt',))}"
            yield _Text(document, (*base, "content", slot, *path), page_of(document) or "", section["id"], label, text)


def _strings(value: Any) -> Iterator[tuple[tuple[str | int, ...], str]]:
    if isinstance(value, str):
        yield (), value
    elif isinstance(value, dict):
        for key, one in value.items():
            if key not in _NO_WORDS:
                yield from (((key, *path), text) for path, text in _strings(one))
    elif isinstance(value, list):
        for index, one in enumerate(value):
            yield from (((index, *path), text) for path, text in _strings(one))
