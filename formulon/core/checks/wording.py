"""What is asked of all words of a site together, page by page: headings, longer passages, how dates, times, telephone numbers, quotations and
the brand's name are written, and the colours that are drawn. Made of other facts, predicted or measured."""

import re
from collections.abc import Iterable, Iterator
from functools import lru_cache

import icu

from formulon.core.checks.page_facts import (
    ColorsDrawn,
    Destination,
    Fact,
    Heading,
    PagePlace,
    Passage,
    SectionHead,
    Spelling,
    TextRun,
)
from formulon.core.system.documents.choices import GROUNDS

LONG = 80  # characters from which a text is a passage
_SAMPLE = 60
_TIME = re.compile(r"\b([01]?\d|2[0-3]):[0-5]\d\b(?!\s*[ap]\.?m)|\b(1[0-2]|[1-9])(?:[:.][0-5]\d)?\s?[ap]\.?m\b", re.IGNORECASE)
_NUMERIC = re.compile(r"\b\d{4}-\d{2}-\d{2}\b|\b[0-3]?\d\.[01]?\d\.(?:\d{4}|\d{2})\b|\b[0-3]?\d/[0-3]?\d/(?:\d{4}|\d{2})\b")
_PHONE = re.compile(r"(?<![\w.,-])\+?\(?\d[\d\s()/–-]{6,20}\d(?![\w-])")
_DIGIT, _QUOTE = re.compile(r"\d"), re.compile(r"[\"“„«»]")
_QUOTES = re.compile(r"(?<!\w)(\"[^\"]{2,200}\"|“[^”]{2,200}”|„[^“”]{2,200}[“”]|«[^»]{2,200}»|»[^«]{2,200}«)(?!\w)")


def with_wording(facts: Iterable[Fact], language: str, name: str = "") -> Iterator[Fact]:
    """Facts of a page, and what is made of their words. `name` is that of the brand, where it is known."""
    seen: set[PagePlace] = set()
    framed: set[str] = set()
    colors: dict[str, set[str]] = {}
    tokens: dict[str, set[str]] = {}
    made: list[Fact] = []
    for fact in facts:
        yield fact
        if isinstance(fact, SectionHead) and fact.frame:
            framed.add(fact.place.section)
        elif isinstance(fact, TextRun):
            if not fact.on_picture:
                colors.setdefault(fact.place.page, set()).update((fact.foreground, fact.background))
            if fact.ground in GROUNDS:
                tokens.setdefault(fact.place.page, set()).add(f"{fact.ground}/{fact.ink}")
            if fact.place not in seen and not fact.placeholder:
                seen.add(fact.place)
                made += _of_run(fact, fact.place.section in framed, name)
                made += _spelled(fact.place, fact.text, language, name)
        elif isinstance(fact, Destination) and fact.variant != "text" and fact.label:
            made.append(Heading(fact.place, fact.label, 0))
    yield from made
    for page, drawn in colors.items():
        yield ColorsDrawn(PagePlace(page, "", ""), frozenset(drawn), tokens=frozenset(tokens.get(page, ())))


def _of_run(run: TextRun, framed: bool, name: str) -> Iterator[Fact]:
    if run.level:
        yield Heading(run.place, run.text, run.level, _named(name).sub("", run.text) if name else run.text)
    elif len(run.text) >= LONG and not framed:
        yield Passage(run.place, " ".join(run.text.split()))


def _spelled(place: PagePlace, text: str, language: str, name: str) -> Iterator[Spelling]:
    if _DIGIT.search(text):
        yield from _numbers(place, text, language)
    if _QUOTE.search(text):
        for found in _QUOTES.finditer(text):
            yield Spelling(place, "quotation", found[0][0] + found[0][-1], found[0][:_SAMPLE])
    if name and name.casefold() in text.casefold():
        for found in _named(name).finditer(text):
            if found[0] != name and not found[0].isupper() and not found[0].islower():
                yield Spelling(place, "name", found[0], found[0])


def _numbers(place: PagePlace, text: str, language: str) -> Iterator[Spelling]:
    for found in _TIME.finditer(text):
        yield Spelling(place, "time", "24 hours" if found[1] else "12 hours", found[0])
    for found in _NUMERIC.finditer(text):
        form = "year first" if "-" in found[0] else "with points" if "." in found[0] else "with slashes"
        yield Spelling(place, "date", form, found[0])
    months = _months(language)
    if months:
        for found in months.finditer(text):
            yield Spelling(place, "date", "day first" if found["before"] else "month first", found[0])
    for found in _PHONE.finditer(text):
        digits = re.sub(r"\D", "", found[0])
        if 7 <= len(digits) <= 15 and not _NUMERIC.search(found[0]) and not re.fullmatch(r"\d{4}\s?[–-]\s?\d{4}", found[0]):
            yield Spelling(place, "telephone", " ".join(found[0].split()), digits[-7:])


@lru_cache(maxsize=64)
def _named(name: str) -> re.Pattern[str]:
    return re.compile(rf"(?<!\w){re.escape(name)}(?!\w)", re.IGNORECASE)


@lru_cache(maxsize=32)
def _months(language: str) -> re.Pattern[str] | None:
    """Days beside the names of months in a language (CLDR, by ICU)."""
    try:
        symbols = icu.DateFormatSymbols(icu.Locale.forLanguageTag(language))
    except icu.ICUError:  # what a page says may be no language
        return None
    names = [re.escape(one) for one in symbols.getMonths() if len(one) > 2 and one.isalpha()]
    if len(names) < 12:
        return None
    month = "|".join(sorted(names, key=len, reverse=True))
    return re.compile(
        rf"(?:(?P<before>\b[0-3]?\d(?:st|nd|rd|th|\.|º|er)?)\s(?:de\s|of\s)?(?:{month})\b)|(?:\b(?:{month})\s[0-3]?\d(?:st|nd|rd|th)?\b(?!\d))"
    )
