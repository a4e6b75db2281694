"""The facts of a brand that its pages state: its name, what it does, how it is reached. Where each stands, and how texts and links follow
when one changes, so that a fact is written once and changed in one place.

A fact is known by itself and not by a mark in the text, so that one that somebody typed, pasted or took over from a file follows like
one that was planned. Words are matched whole and with their capitals; addresses whatever breaks their lines; telephone numbers by what is
dialled, however they are written (phonenumbers); email and web addresses whatever their case (RFC 1035, 2.3.3, for the domain; by common
practice for the rest).
"""

import difflib
import re
import unicodedata
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from functools import lru_cache
from typing import Any, Literal, NamedTuple

import phonenumbers

from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.changes import pointer
from formulon.core.site.documents import FRAME_DOCUMENT, IDENTITY, LANGUAGES, Bodies, Body, page_of
from formulon.core.site.opening import rows_of
from formulon.core.site.site import FRAME, MenuItem, Page
from formulon.core.site.telephone import dialled, region_of
from formulon.core.site.texts import Text, texts
from formulon.core.site.translations import key_of
from formulon.core.system.documents.identity import Contact

Sort = Literal["words", "address", "phone", "email", "web"]
_FACTS: tuple[tuple[tuple[str, ...], str, Sort], ...] = (
    (("name",), "Name", "words"),
    (("strapline",), "Strapline", "words"),
    (("does",), "What it does", "words"),
    (("place",), "Where", "words"),
    (("contact", "address"), "Address", "address"),
    (("contact", "hours"), "Hours", "words"),
    (("contact", "email"), "Email", "email"),
    (("contact", "phone"), "Telephone", "phone"),
)
# Facts that are sentences: where one is a single word ("closed"), that word means something else within another text.
_SAID_WHOLE = ("strapline", "does", "hours")
_FEWEST = 3  # characters: what is shorter stands in too many words that mean something else
_UNTOUCHED = frozenset({"source", "css", "after", "kind", "sort", "side", "how", "drawn_as", "reason", "focus", "overlay"})
# Letters of scripts that write words without spaces between them (UAX #29): no edge of a word can be told there.
_UNSPACED = re.compile(r"[\u0e00-\u0eff\u1000-\u109f\u1780-\u17ff\u3040-\u30ff\u3400-\u9fff\uf900-\ufaff]")
_TEL = re.compile(r"tel:(?:\+?[0-9(./-][0-9 ()./-]*[0-9])(?:;ext=\d+)?")
_FEWEST_DIGITS = 5
_AROUND = 36


@dataclass(frozen=True, slots=True)
class Fact:
    """A fact of the identity that pages state: its path there, its name, its sort and its value."""

    path: tuple[str, ...]
    label: str
    sort: Sort
    value: str


@dataclass(frozen=True, slots=True)
class Statement:
    """A text in which a fact stands, with what stands around it."""

    fact: Fact
    at: Text
    before: str
    match: str
    after: str


def facts_of(identity: Body) -> Iterator[Fact]:
    """The facts of an identity that pages can state, as far as they are known."""
    for path, label, sort in _FACTS:
        value: Any = identity
        for part in path:
            value = value.get(part, "") if isinstance(value, dict) else ""
        if value:
            yield Fact(path, label, sort, value)
    for number, address in enumerate(identity.get("social", ())):
        yield Fact(("social", str(number)), "Elsewhere on the web", "web", address)


def statements(bodies: Bodies) -> list[Statement]:
    """Where the facts of a brand stand on its pages, by text, in the order of the pages."""
    facts, language = list(facts_of(bodies[IDENTITY])), bodies[IDENTITY]["language"]
    made = []
    for at in texts(bodies):
        for fact in facts:
            spans = _spans(fact, language, at.text)
            if spans:
                start, end = spans[0]
                before, after = at.text[:start], at.text[end:]
                before = ("…" if len(before) > _AROUND else "") + before[-_AROUND:]
                after = after[:_AROUND] + ("…" if len(after) > _AROUND else "")
                made.append(Statement(fact, at, before, at.text[start:end], after))
    return made


def followed(before: Bodies, after: Bodies) -> dict[str, Body]:
    """The documents after a change of the identity, with what pages, frame and translations stated before in its new words. What was
    known and is not any more stays as it is written, since nothing can take its place."""
    pairs = _changed(before[IDENTITY], after[IDENTITY])
    if not pairs:
        return dict(after)
    told = _Telling(pairs, before[IDENTITY]["language"], after[IDENTITY]["language"])
    made = dict(after)
    for name, body in after.items():
        if page_of(name) is not None:
            made[name] = told.page(body)
        elif name == FRAME_DOCUMENT:
            made[name] = told.frame(body)
        elif name == LANGUAGES:
            made[name] = told.languages(body)
    return {name: after[name] if body == after[name] else body for name, body in made.items()}


def _changed(before: Body, after: Body) -> list[tuple[Fact, str]]:
    """The facts that have another value now, with it. Of addresses on the web, those at the same place of a list as long as before."""
    now = {fact.path: fact.value for fact in facts_of(after)}
    lists_alike = len(before.get("social", ())) == len(after.get("social", ()))
    return [
        (fact, now[fact.path])
        for fact in facts_of(before)
        if now.get(fact.path, fact.value) != fact.value
        and len(fact.value) >= (1 if _UNSPACED.search(fact.value) else _FEWEST)
        and (fact.path[0] != "social" or lists_alike)
    ]


class _Telling:
    """Puts facts in the place of what they were, in all parts of a site."""

    def __init__(self, pairs: list[tuple[Fact, str]], was: str, now: str) -> None:
        self.pairs, self.was, self.now = pairs, was, now
        hours = next(((fact.value, put) for fact, put in pairs if fact.path == ("contact", "hours")), None)
        self.rows = (_rows(hours[0], was), _rows(hours[1], now)) if hours else ([], [])

    def page(self, body: Body) -> Body:
        made = body | {key: self.text(body.get(key, "")) for key in ("title", "description")}
        bare = made | {"sections": []}  # which are looked at by slot
        heads = made if _holds(lambda: Page.model_validate(bare)) else body
        return heads | {"sections": [self.section(one) for one in body["sections"]]}

    def frame(self, body: Body) -> Body:
        menu = [self.entry(one) for one in body.get("menu", [])]
        return body | {part: self.section(body[part]) for part in FRAME} | {"menu": menu}

    def entry(self, item: Body) -> Body:
        """An entry of the menu."""
        made = item | {"label": self.text(item["label"]), "to": self.text(item.get("to", ""))}
        made = made if _holds(lambda: MenuItem.model_validate(made | {"items": []})) else item
        return made | {"items": [self.entry(one) for one in item.get("items", [])]}

    def section(self, body: Body) -> Body:
        aside = {
            kind: one | {part: self.content(kind, one[part]) for part in ("content", "became") if part in one}
            for kind, one in body.get("aside", {}).items()
        }
        made = body | {"content": self.content(body["kind"], body["content"])}
        return made | ({"aside": aside} if aside else {})

    def content(self, kind: str, content: Body) -> Body:
        """The content of a section, or what it was as another kind. A slot that has no room for the new words keeps the old."""
        slots = CATALOGUE[kind].slots if kind in CATALOGUE else {}
        made = {}
        for name, value in content.items():
            put, slot = self.value(value), slots.get(name)
            fits = put == value or slot is None or _holds(lambda slot=slot, put=put: slot.of.validate(slot, put))  # type: ignore[misc]
            made[name] = put if fits else value
        return made

    def languages(self, body: Body) -> Body:
        """Translations whose text was stated in the old words as well, of what the text is now. Others are left to whoever translates:
        they are told to be older than what they are of."""
        made = {}
        for code, one in body.get("further", {}).items():
            kept: dict[str, Body] = {}
            for key, translation in one["texts"].items():
                source, text = self.text(translation["source"]), self.text(translation["text"])
                at = {place: self.text(told) for place, told in translation.get("at", {}).items()}
                moved = source != translation["source"] and (text != translation["text"] or translation["text"] == "")
                kept |= (
                    {key_of(source): translation | {"source": source, "text": text, "at": at}} if moved else {key: translation}
                )
            made[code] = one | {"texts": kept}
        return body | {"further": made}

    def value(self, value: Any) -> Any:
        if isinstance(value, dict):
            made = {key: one if key in _UNTOUCHED else self.value(one) for key, one in value.items()}
            return made | {"rows": self.timed(value["rows"], made["rows"])} if {"head", "rows"} <= set(made) else made
        if isinstance(value, list):
            return [self.value(one) for one in value]
        return self.text(value) if isinstance(value, str) else value

    def timed(self, rows: list[list[str]], told: list[list[str]]) -> list[list[str]]:
        """The rows of a table, with those of today's hours in the place of the hours that they were."""
        was, now = self.rows
        for at in range(len(rows) - len(was) + 1):
            if was and now and rows[at : at + len(was)] == was:
                return [*told[:at], *now, *told[at + len(was) :]]
        return told

    def text(self, text: str) -> str:
        """A text with every fact that it states in its new words, each place once: what is put in is not looked at again."""
        found: list[tuple[int, int, str]] = []
        for fact, now in self.pairs:
            if text == fact.value:
                return now
            for start, end in _spans(fact, self.was, text):
                found.append((start, end, self._put(fact, text[start:end], text[end : end + 1], now)))
        made, at = "", 0
        for start, end, put in sorted(found, key=lambda one: (one[0], -one[1])):
            if start >= at:
                made += text[at:start] + put
                at = end
        return made + text[at:]

    def _put(self, fact: Fact, found: str, after: str, now: str) -> str:
        """What takes the place of what was found, before what stands after it. A full stop is the sentence's and not the fact's."""
        if fact.sort == "words" and now.endswith(".") and (fact.value.endswith(".") or after == "."):
            now = now.removesuffix(".")
        if fact.sort == "phone" and found.startswith("tel:"):
            return dialled(now, self.now) or found
        if fact.sort == "address" and "\n" in found:
            return re.sub(r",\s*", "\n", now)
        return now


def _holds(made: Callable[[], Any]) -> bool:
    """Whether something can be made of what it is made of."""
    try:
        made()
    except ValueError:
        return False
    return True


def _rows(hours: str, language: str) -> list[list[str]]:
    """Hours as the rows of a table, as pages are planned with them."""
    return [[one["when"], one["what"]] for one in rows_of(hours, language)]


def _spans(fact: Fact, language: str, text: str) -> list[tuple[int, int]]:
    """Where a fact stands in a text, from left to right."""
    if not text or not any(map(str.isalnum, fact.value)):
        return []
    if fact.path[-1] in _SAID_WHOLE and len(fact.value.split()) == 1 and not _UNSPACED.search(fact.value):
        return [(0, len(text))] if text.strip().rstrip(".") == fact.value.rstrip(".") else []
    if fact.sort == "phone":
        return _phones(fact.value, language, text)
    found = [one.span() for one in _pattern(fact.sort, fact.value).finditer(text)]
    return [span for span in found if _whole(fact.sort, text, span)]


@lru_cache(maxsize=512)
def _pattern(sort: Sort, value: str) -> re.Pattern[str]:
    if sort == "address":
        return re.compile(r"[\s,]+".join(re.escape(part) for part in re.split(r"[\s,]+", value) if part))
    if sort in ("email", "web"):
        return re.compile(re.escape(value.rstrip("/")) + ("/?" if sort == "web" else ""), re.IGNORECASE)
    return re.compile(r"\s+".join(re.escape(part) for part in value.rstrip(".").split()))


def _whole(sort: Sort, text: str, span: tuple[int, int]) -> bool:
    """Whether a match is no part of a longer word, number or address."""
    start, end = span
    more = "._%+-" if sort == "email" else "/-_.?#@" if sort == "web" else ""
    before, after = text[start - 1 : start], text[end : end + 1]
    if sort == "web" and after == "." and not text[end + 1 : end + 2].strip():
        after = ""  # the end of a sentence
    if sort == "email" and (after == "." and not text[end + 1 : end + 2].isalnum()):
        after = ""
    if sort == "web" and (after.isalnum() or (after and after in more)):
        return False  # a page of it
    return not _joins(before, text[start], more) and not _joins(after, text[end - 1], more)


def _joins(near: str, own: str, more: str) -> bool:
    """Whether a character goes on a word that ends in another."""
    if not near or _UNSPACED.match(near) or _UNSPACED.match(own):
        return False
    if near in more:
        return True
    return unicodedata.category(near)[0] in "LN" and unicodedata.category(own)[0] in "LN"


def _phones(value: str, language: str, text: str) -> list[tuple[int, int]]:
    """Where a number stands that is dialled like another, with its "tel:" where it is a link."""
    if sum(char.isdigit() for char in text) < _FEWEST_DIGITS:
        return []
    region, made = region_of(language), list[tuple[int, int]]()
    wanted = dialled(value, language)
    for one in _TEL.finditer(text):
        if (wanted and one[0] == wanted) or _same(value, one[0].removeprefix("tel:"), region):
            made.append(one.span())
    for found in phonenumbers.PhoneNumberMatcher(text, region, leniency=phonenumbers.Leniency.POSSIBLE):
        if _same(value, found.raw_string, region) and not any(start <= found.start < end for start, end in made):
            made.append((found.start, found.end))
    if not made:
        digits = r"[\s()./–-]*".join(map(re.escape, re.sub(r"\D", "", value)))
        if sum(char.isdigit() for char in value) >= _FEWEST_DIGITS:
            made = [one.span() for one in re.finditer(rf"(?<!\d)\+?{digits}(?!\d)", text)]
    return sorted(made)


@lru_cache(maxsize=4096)
def _same(first: str, second: str, region: str) -> bool:
    """Whether two numbers are dialled alike, in a region for those that do not name their country."""
    try:
        one, two = (phonenumbers.parse(number.partition(";")[0], region) for number in (first, second))
    except phonenumbers.NumberParseException:
        return False
    return bool(phonenumbers.is_number_match(one, two) == phonenumbers.MatchType.EXACT_MATCH)


_MAIL = re.compile(r"[^@\s<>\"()\[\],;:]+@[^@\s<>\"()\[\],;:]+\.[^@\s<>\"()\[\],;:.]+")
_SLIP = 2  # letters or digits by which a slip of the pen differs at most


def slips(contact: Contact, language: str, text: str) -> tuple[tuple[str, str], ...]:
    """Numbers and mail addresses in a text that differ from the brand's own by a letter or two, each with what was probably meant."""
    return _slips(contact.email, contact.phone, language, text)


@lru_cache(maxsize=16384)
def _slips(email: str, phone: str, language: str, text: str) -> tuple[tuple[str, str], ...]:
    made = []
    if email and "@" in text:
        for one in _MAIL.finditer(text):
            if 0 < _apart(one[0].casefold(), email.casefold()) <= _SLIP:
                made.append((one[0], email))
    own = re.sub(r"\D", "", phone)
    if len(own) >= _FEWEST_DIGITS and sum(char.isdigit() for char in text) >= _FEWEST_DIGITS:
        region = region_of(language)
        for found in phonenumbers.PhoneNumberMatcher(text, region, leniency=phonenumbers.Leniency.POSSIBLE):
            same = _same(phone, found.raw_string, region)
            if not same and 0 < _apart(re.sub(r"\D", "", found.raw_string), own) <= _SLIP:
                made.append((found.raw_string, phone))
    return tuple(made)


def _apart(first: str, second: str) -> int:
    """By how many letters two texts differ: what has to be put in, left out or put in another's place (difflib's matching blocks)."""
    if abs(len(first) - len(second)) > _SLIP:
        return _SLIP + 1
    blocks = difflib.SequenceMatcher(None, first, second, autojunk=False).get_opcodes()
    return sum(max(one.i2 - one.i1, one.j2 - one.j1) for one in map(_Block._make, blocks) if one.tag != "equal")


class _Block(NamedTuple):
    tag: str
    i1: int
    i2: int
    j1: int
    j2: int


def path_of(fact: Fact) -> str:
    """The place of a fact in the identity, as a JSON Pointer (RFC 6901)."""
    return pointer(*fact.path)
