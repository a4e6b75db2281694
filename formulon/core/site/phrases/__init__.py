"""Formulon's own words on pages, as data: one file a language. Those of `whole()` have every phrase; of the others there are the
names of pages and parts alone. A phrase that a language lacks is empty, and what it would have said stays out.

A phrase may have several forms, so that sites do not all say the same; which one a site has is told by its name. Places, names and
hours stand where no grammar bends them: after a colon, or as they are.
"""

import hashlib
import json
from collections.abc import Mapping
from functools import cache
from pathlib import Path
from typing import NamedTuple

import icu

from formulon.core.type.languages import LANGUAGES

_FOLDER = Path(__file__).parent
MODEL = "en"  # the language whose table the others are compared with
USUAL = ("home", "about", "offer", "contact")
# Pages that kinds of organisation have besides (planning/plans.py).
TRADE = (
    "visit", "programme", "making", "courses", "dishes", "bookings", "treatments", "first_visit", "work", "how_we_work", "area",
    "range", "delivery", "fees", "teachers", "take_part", "rooms", "around_us", "getting_here", "tickets", "prices", "questions",
    "team", "pictures", "history",
)  # fmt: skip


@cache
def tables() -> Mapping[str, Mapping[str, Mapping[str, str | list[str]]]]:
    """Every table by its language."""
    return {file.stem: json.loads(file.read_text(encoding="utf-8")) for file in sorted(_FOLDER.glob("*.json"))}


@cache
def whole() -> frozenset[str]:
    """The languages whose tables have every phrase."""
    asked = set(tables()[MODEL]["words"])
    return frozenset(language for language, table in tables().items() if asked <= set(table["words"]))


def base(language: str) -> str:
    """The language of a code without its region: "en" for en-GB; Norwegian is one language here."""
    made = language.partition("-")[0].lower()
    return "nb" if made in ("no", "nn") else made


class Phrases:
    """The words of one language."""

    def __init__(self, language: str) -> None:
        self.language = base(language)
        self.known = self.language in tables()
        self._words = tables()[self.language if self.known else MODEL]["words"]

    def say(self, key: str, told_by: str = "", **parts: object) -> str:
        """A phrase with its parts filled in; empty where the language has none. Of several forms, the one that a name tells. Of a
        language without a table, the names of pages and parts are English, which a rule notes."""
        if not self.known and key not in _names():
            return ""
        found = self._words.get(key, "")
        if not isinstance(found, str):
            digest = hashlib.blake2b(f"{key}\n{told_by}".encode(), digest_size=2).digest()
            found = found[int.from_bytes(digest, "big") % len(found)]
        return found.format(**parts)

    def has(self, text: str) -> bool:
        """Whether a text is one of these words as they stand."""
        return any(text == one or text in one for one in self._words.values() if text == one or not isinstance(one, str))


class Offered(NamedTuple):
    """A language in which a site can be written: its code, its name in English and in itself, and whether Formulon has words,
    and whole sentences, in it."""

    code: str
    name: str
    own: str
    words: bool
    sentences: bool


@cache
def offered() -> tuple[Offered, ...]:
    """Languages to choose from, by name: those with words of Formulon's own or with letters in the library. English comes with
    its regions, which spell apart. The names are CLDR's, by ICU."""
    codes = {*tables(), *LANGUAGES} - {MODEL} | {f"{MODEL}-GB", f"{MODEL}-US"}
    made = []
    for code in codes:
        locale, words = icu.Locale.forLanguageTag(code), phrases(code)
        own = str(locale.getDisplayName(locale))
        name = str(locale.getDisplayName(icu.Locale("en")))
        made.append(Offered(code, name, own[:1].upper() + own[1:], words.known, words.language in whole()))
    return tuple(sorted(made, key=lambda one: one.name))


@cache
def phrases(language: str) -> Phrases:
    """The words of a language by its code."""
    return Phrases(language)


@cache
def _names() -> frozenset[str]:
    """The phrases that are names and no sentences: those that every table has."""
    return frozenset.intersection(*(frozenset(table["words"]) for table in tables().values()))


@cache
def _pages() -> dict[str, str]:
    """The page for each name that it has in any language."""
    made: dict[str, str] = {}
    for page in (*USUAL, *TRADE):
        for table in tables().values():
            name = table["words"].get(page)
            for one in (*([str(name)] if name else []), *table["also"].get(page, [])):
                made.setdefault(_plain(one), page)
    return made


def page_named(name: str) -> str:
    """Which page of those that Formulon has names for a name means, in any language; empty where it means none."""
    return _pages().get(_plain(name), "")


def _plain(name: str) -> str:
    return " ".join(name.casefold().split())


def only_english(text: str) -> bool:
    """Whether a text is a phrase as the English table has it and no other: “About”, but not “Menu”, which may be right elsewhere."""
    return phrases(MODEL).has(text) and not any(phrases(one).has(text) for one in tables() if one != MODEL)
