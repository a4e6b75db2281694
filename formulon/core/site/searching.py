"""Words searched over all documents of a site, with each place shown, and put in the place of others.

Letters match whatever their accents and their case, as ICU's collation for the site's language has it (UTS #10, searching), unless case
is asked for. Addresses, sources of pictures and own code are no words.
"""

from collections.abc import Collection
from dataclasses import dataclass
from typing import Any

import icu

from formulon.core.site.changes import Change, pointer
from formulon.core.site.documents import documents
from formulon.core.site.site import Site
from formulon.core.site.texts import texts

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
    for place in texts(documents(site)) if words.strip() else ():
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
    for place in texts(documents(site)) if words.strip() else ():
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
