"""What a client's own text is made of: plain words, and lines that are of a kind by how they are written.

A run of lines that name a price each is a price list, lines that begin with days are a programme, numbered lines are steps, and
so on. What a run says is kept to the letter; it is only cut into parts. How such lines are written is common practice; names of
days and months are CLDR's, by ICU; currency signs and codes are those of ISO 4217 and of common practice.
"""

import json
import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from functools import cache
from pathlib import Path
from typing import Literal, get_args

import icu

from formulon.core.system.documents.identity import ClientText

PassageKind = Literal[
    "words", "quotes", "prices", "hours", "dates", "moments", "steps", "questions", "people", "ways", "figures"
]
KINDS: tuple[PassageKind, ...] = get_args(PassageKind)
Item = dict[str, str]
Day = tuple[int, int, int]  # year, month and day

# As many lines of a kind as make it one; fewer are words.
_FEWEST = {"prices": 2, "hours": 2, "dates": 2, "moments": 3, "steps": 2, "people": 2, "ways": 2, "quotes": 1, "questions": 2}
_CURRENCY = r"(?:[€£$¥₴₫₪₺₽]|zł|Kč|kr\.?|đ|руб\.?|грн\.?|CHF|Fr\.|EUR|GBP|USD|PLN|CZK|SEK|NOK|DKK|UAH|VND|ILS|TRY|HUF|Ft|RON|lei|Euro|euros?|Franken|pounds|dollars)"
_AMOUNT = r"\d{1,3}(?:[.,’'\u00a0\u202f ]?\d{3})*(?:[.,]\d{1,2}|[.,][–-]{1,2})?"
_FROM = r"(?:from|ab|à partir de|dès|desde|da|a partir de|vanaf|od|från|fra|από|від|от|từ)"
MONEY = re.compile(rf"(?:{_CURRENCY}\s?{_AMOUNT}|{_AMOUNT}\s?{_CURRENCY})(?!\w)")
# What costs nothing, in the languages that have phrases.
_FREE = frozenset(
    [
        "free",
        "free of charge",
        "kostenlos",
        "gratis",
        "frei",
        "gratuit",
        "gratuito",
        "gratuita",
        "grátis",
        "bezpłatnie",
        "bezpłatny",
        "zdarma",
        "δωρεάν",
        "безкоштовно",
        "miễn phí",
        "fri",
        "kostenfrei",
    ]
)
_PRICE = re.compile(rf"^(?P<title>\S.*?)[\s:.…·|–—-]*(?<=[\s:.…·|–—-])(?P<price>(?:{_FROM}\s)?{MONEY.pattern}[^|]{{0,40}})$")
_MOMENT = re.compile(r"^(?P<when>(?:1[0-9]|20)\d\d(?:\s?[–-]\s?(?:1[0-9]|20)?\d\d)?)\s?[:.,–—-]?\s+(?P<what>\S.+)$")
_STEP = re.compile(r"^(?P<number>\d{1,2})[.)]\s+(?P<text>\S.+)$")
_QUOTE = re.compile(r"^[“„«»\"「‚‘](?P<text>[^“„«»\"「」]{15,1200}?)[”“»«\"」’‘]\s*(?P<by>.{0,120})$")
_STARS = r"(?P<given>[★⭐]{1,5})(?P<half>½?)(?P<open>☆{0,4})"
_STARS_FIRST, _STARS_LAST = re.compile(rf"^{_STARS}\s*"), re.compile(rf"\s*{_STARS}$")
_BY = re.compile(r"^\s*[,(]?\s*[—–-]?\s*(?P<name>[^,()]{2,60})(?:[,(]\s*(?P<role>[^()]{2,80})\)?)?$")
_PERSON = re.compile(r"^(?P<name>[^,:–—(\d]{3,50}?)\s?(?:,|:|\s[–—-])\s+(?P<rest>\S.{1,300})$")
_WAY = re.compile(r"^(?P<title>[^:.]{2,40}):\s+(?P<text>\S.{5,400})$")
_CLOCK = r"\d{1,2}(?:[:.h]\d{2})?(?:\s?(?:a\.?m\.?|p\.?m\.?|Uhr|h|ч|год))?"
_TIME = re.compile(rf"{_CLOCK}(?:\s?(?:–|-|—|to|bis|à|a|do|tot|till|έως|до|đến)\s?{_CLOCK})?", re.IGNORECASE)
_QUESTION_MARKS = ("?", "？", "؟")
_FIGURE = re.compile(
    r"^(?P<figure>(?:[<>~≈±]\s?)?\d(?:[\d.,’'\u00a0\u202f]|\x20(?=\d{3}(?![\d-])))*\d?(?:\s?(?:%|°C|°|km²|km|m²|m|ha|t|kg))?\+?)(?![\w])\s*(?P<label>.*)$"
)
# Read when the module is: files of a client are read in a process that may open nothing.
_HEADINGS: dict[str, list[str]] = json.loads(Path(__file__).with_name("headings.json").read_text(encoding="utf-8"))
_SHORT = 70  # characters of a title
_LONGEST = 320  # characters of a line that can be an item; expressions are tried on no longer one


@dataclass(frozen=True, slots=True)
class Passage:
    """A run of a text that is of one kind, in parts, with the heading that it stands under and where it came from."""

    kind: PassageKind
    heading: str
    text: str
    items: tuple[Item, ...] = ()
    source: str = ""


def passages(text: ClientText, language: str) -> list[Passage]:
    """The passages of a text, in its order: runs of one kind, and what is between them as words."""
    lines = [line.strip() for line in text.text.split("\n") if line.strip()]
    made: list[Passage] = []
    loose: list[str] = []

    def words() -> None:
        if loose:
            made.append(Passage("words", text.heading, "\n".join(loose), (), text.source))
            loose.clear()

    at = 0
    while at < len(lines):
        kind, items, taken = _run(lines[at:], text.heading, language)
        if kind == "words":
            loose.append(lines[at])
            at += 1
            continue
        words()
        made.append(Passage(kind, text.heading, "\n".join(lines[at : at + taken]), tuple(items), text.source))
        at += taken
    words()
    return made


def figure_in(line: str) -> tuple[str, str] | None:
    """A number that a short line is about, and what it counts: "42 rooms". None where it begins with none, or has
    several."""
    found = _FIGURE.match(line.strip().rstrip("."))
    if not found or len(line) > 90:
        return None
    label = found["label"].strip(" ,:–—-")
    # A date and a time of day count nothing, and a label with a second number says two things.
    if not label or re.search(r"\d", label) or re.match(r"[:./]\d", found["label"]):
        return None
    return found["figure"].strip(), label[:1].upper() + label[1:]


def said_of(heading: str) -> str:
    """What a heading in any language is about, where it decides how lines are read: "people", "ways" or ""."""
    plain = " " + " ".join(re.findall(r"[^\W\d_]+", heading.casefold())) + " "
    return next((about for about, words in _HEADINGS.items() if any(f" {word} " in plain for word in words)), "")


def _run(lines: list[str], heading: str, language: str) -> tuple[PassageKind, list[Item], int]:
    """The kind of the run that lines begin with, its parts, and of how many lines it is."""
    about = said_of(heading)
    for kind, read in (
        ("quotes", _quotes(lines)),
        ("questions", _questions(lines, language)),
        ("steps", _each(lines, _step)),
        ("moments", _each(lines, _moment)),
        ("prices", _prices(lines)),
        ("dates", _each(lines, lambda line: _dated(line, language))),
        ("people", _each(lines, _person) if about == "people" or _are_people(lines) else iter(())),
        ("ways", _each(lines, _way) if about == "ways" else iter(())),
    ):
        found = list(read)
        if len(found) >= _FEWEST[kind]:
            items, taken = [item for item, _ in found], sum(count for _, count in found)
            if kind == "steps" and [item["number"] for item in items] != [str(n) for n in range(1, len(items) + 1)]:
                continue
            named: PassageKind = "hours" if kind == "dates" and _only_hours(items, language) else kind  # type: ignore[assignment]
            return named, items, taken
    return "words", [], 1


def _each(lines: list[str], read: Callable[[str], Item | None]) -> Iterator[tuple[Item, int]]:
    """Lines from the first as long as each of them reads as an item."""
    for line in lines:
        item = read(line) if len(line) <= _LONGEST else None
        if item is None:
            return
        yield item, 1


def _prices(lines: list[str]) -> Iterator[tuple[Item, int]]:
    """A line each; one that costs nothing belongs to those before it."""
    for number, line in enumerate(lines):
        item = (_price(line) or (_free(line) if number else None)) if len(line) <= _LONGEST else None
        if item is None:
            return
        yield item, 1


def _free(line: str) -> Item | None:
    title, mark, price = line.rpartition(":")
    said = price.strip().casefold().rstrip(".")
    return {"title": title.strip(), "price": price.strip()} if mark and title.strip() and said in _FREE else None


def _price(line: str) -> Item | None:
    found = _PRICE.match(line) if MONEY.search(line) else None
    if not found or len(found["title"]) > 160 or len(MONEY.findall(found["title"])) > 0:
        return None
    title = re.sub(r"[\s:.…·|–—-]+$", "", found["title"])
    inner = re.match(r"^(?P<title>[^(]{2,80})\((?P<text>[^)]{2,120})\)$", title) or re.match(
        r"^(?P<title>[^,–—]{2,60})(?:,|\s[–—])\s(?P<text>.{2,160})$", title
    )
    if inner:
        return {"title": inner["title"].strip(), "text": inner["text"].strip(), "price": found["price"].strip()}
    return {"title": title, "price": found["price"].strip()} if title else None


def _moment(line: str) -> Item | None:
    found = _MOMENT.match(line)
    if not found:
        return None
    return {"when": found["when"], **_titled(found["what"])}


def _step(line: str) -> Item | None:
    found = _STEP.match(line)
    return {"number": found["number"], **_titled(found["text"])} if found else None


def _person(line: str) -> Item | None:
    found = _PERSON.match(line)
    if not found or len(found["name"].split()) > 5:
        return None
    if any(word[:1].islower() and len(word) > 3 for word in found["name"].split()):
        return None
    role, _, more = found["rest"].partition(". ")
    if len(role) > 120:
        return None
    return {"name": found["name"].strip(), "role": role.rstrip("."), **({"text": more} if more else {})}


def _are_people(lines: list[str]) -> bool:
    """Whether three lines and more are names with roles, whatever they stand under: two or three words with a capital each, then a
    few without a number."""
    named = re.compile(
        r"^(?:[^\W\d_a-z][^\W\d_]*[-’']?[^\W\d_]*\s){1,2}[^\W\d_a-z][^\W\d_]*[-’']?[^\W\d_]*,\s(?:[^\W\d_]+[\s-]?){1,4}$"
    )
    return len(lines) >= 3 and all(len(line) <= 90 and named.match(line) for line in lines[:3])


def _way(line: str) -> Item | None:
    found = _WAY.match(line)
    return {"title": found["title"], "text": found["text"]} if found else None


def _titled(text: str) -> Item:
    """What an item is called and what is said of it: up to a colon or dash, or a short first sentence."""
    found = re.match(rf"^(?P<title>.{{2,{_SHORT}}}?)(?::|\s[–—-])\s+(?P<text>\S.+)$", text) or re.match(
        rf"^(?P<title>[^.!?]{{2,{_SHORT}}})[.!]\s+(?P<text>\S.+)$", text
    )
    return {"title": found["title"].strip(), "text": found["text"].strip()} if found else {"title": text.rstrip(".")}


def _quotes(lines: list[str]) -> Iterator[tuple[Item, int]]:
    at = 0
    while at < len(lines):
        line, stars = _starred(lines[at])
        found = _QUOTE.match(line) if len(line) <= 4 * _LONGEST else None
        if not found:
            return
        taken, by = 1, found["by"].strip()
        if not by and at + 1 < len(lines) and re.match(r"^[—–-]\s*\S", lines[at + 1]):
            taken, by = 2, lines[at + 1]
        told = _BY.match(by) if by else None
        if by and (not told or re.match(r"[a-zß-öø-ÿ]+\s", told["name"])):  # “…”, says Ada Fenn
            return  # a sentence that goes on after words in quotation marks
        item = {"text": found["text"].strip()} | stars
        if told:
            item["name"] = told["name"].strip()
            if told["role"]:
                item["role"] = told["role"].strip()
        yield item, taken
        at += taken


def _starred(line: str) -> tuple[str, Item]:
    """A line without the stars at its start or its end, and how many of five they give: "★★★★½", "★★★★☆"."""
    for pattern in (_STARS_FIRST, _STARS_LAST):
        found = pattern.search(line)
        if found and len(found["given"]) + len(found["half"]) + len(found["open"]) <= 5:
            given = len(found["given"]) + 0.5 * bool(found["half"])
            return (line[: found.start()] + line[found.end() :]).strip(), {"rating": f"{given:g}"}
    return line, {}


def _questions(lines: list[str], language: str) -> Iterator[tuple[Item, int]]:
    marks = (*_QUESTION_MARKS, ";", "\u037e") if language.partition("-")[0] == "el" else _QUESTION_MARKS
    at = 0
    while at + 1 < len(lines) and lines[at].endswith(marks) and len(lines[at]) <= 200:
        answer = []
        for line in lines[at + 1 :]:
            if line.endswith(marks):
                break
            answer.append(line)
        if not answer:
            return
        yield {"title": lines[at], "text": "\n".join(answer)}, 1 + len(answer)
        at += 1 + len(answer)


@cache
def _calendar(language: str) -> tuple[frozenset[str], frozenset[str]]:
    """The names of days and of months of a language and of English, long and short, in small letters."""
    days: set[str] = set()
    months: set[str] = set()
    for code in (language, "en"):
        symbols = icu.DateFormatSymbols(icu.Locale.forLanguageTag(code))
        for context in (icu.DateFormatSymbols.FORMAT, icu.DateFormatSymbols.STANDALONE):
            for width in (icu.DateFormatSymbols.WIDE, icu.DateFormatSymbols.ABBREVIATED):
                days |= {name.casefold().rstrip(".") for name in symbols.getWeekdays(context, width) if name}
                months |= {name.casefold().rstrip(".") for name in symbols.getMonths(context, width) if name}
    return frozenset(days), frozenset(months)


def day_of(when: str, language: str) -> Day | None:
    """Year, month and day of what is written of a date with its year, the first where there are two; None where one of them is missing."""
    year = re.search(r"\b(?:19|20)\d\d\b", when)
    numbers = re.search(r"\b(\d{1,2})[./](\d{1,2})[./](?:19|20)\d\d\b", when)
    if year and numbers:
        return int(year[0]), int(numbers[2]), int(numbers[1])
    day = re.search(r"(?<![\d.])\d{1,2}(?!\d)", when)
    months = _months(language)
    month = next((months[word] for word in re.findall(r"[^\W\d_]+", when.casefold()) if word in months), 0)
    return (int(year[0]), month, int(day[0])) if year and day and month else None


@cache
def _months(language: str) -> dict[str, int]:
    """The numbers of the months of a language and of English, by their names."""
    made: dict[str, int] = {}
    for code in ("en", language):
        symbols = icu.DateFormatSymbols(icu.Locale.forLanguageTag(code))
        for context in (icu.DateFormatSymbols.FORMAT, icu.DateFormatSymbols.STANDALONE):
            for width in (icu.DateFormatSymbols.WIDE, icu.DateFormatSymbols.ABBREVIATED):
                made |= {
                    name.casefold().rstrip("."): number
                    for number, name in enumerate(symbols.getMonths(context, width), 1)
                    if name
                }
    return made


def _is_day(word: str, language: str) -> bool:
    days, _ = _calendar(language)
    return word in days or (len(word) > 4 and word.removesuffix("s") in days)  # "Mondays", "montags"


def _dated(line: str, language: str) -> Item | None:
    """A line that begins with days, a date or a time: when, and what is then. Of a line that holds days and times alone, the
    times are what is then."""
    end = _when(line, language)
    if end and not line[end:].strip(_BETWEEN):
        timed = re.search(r"(?<!\w)(?=\d{1,2}(?:[:.h]\d{2}|\s?[–-]\s?\d|\s?[ap]\.?m))", line)
        end = timed.start() if timed else 0
    when, between, what = line[:end].strip(_BETWEEN), line[end - 1 : end + 3], line[end:].strip(_BETWEEN)
    if not when or not what or len(when) > 60 or len(what) > 200:
        return None
    # "Mondays are quiet" is a sentence: days alone need something that parts them from what is then.
    parted = re.search(r"\d", when) or re.search(r"[:,–—|]|\s-\s", between) or what[0].isdigit() or len(what.split()) == 1
    return {"when": when, "what": what} if parted else None


def _when(line: str, language: str) -> int:
    """How many characters of a line tell when: names of days and months, numbers of dates and years, times, and what joins
    them. 0 where it begins with none of them."""
    _, months = _calendar(language)
    end, certain, at = 0, False, 0
    for word in re.finditer(r"\S+", line):
        bare = re.sub(r"^[(]|[,.:;)|]+$", "", word[0]).casefold()
        parts = [part for part in re.split(r"[–—/+&-]", bare) if part] or [bare]
        if all(_is_day(part.rstrip("."), language) or part.rstrip(".") in months for part in parts) or (
            _TIME.fullmatch(word[0].rstrip(",:;")) and re.search(r"[:.h]|m$", word[0].rstrip(",:;."))
        ):
            certain, known = True, True
        elif re.fullmatch(
            r"\d{1,2}(?:\.|st|nd|rd|th)?|\d{1,2}[./]\d{1,2}[./]?(?:\d{2,4})?|(?:19|20)\d\d",
            bare + word[0][len(bare) :][:1].replace(",", "").replace(":", ""),
        ):
            certain, known = certain or bool(re.search(r"[./]\d", word[0])), True
        else:
            known = at > 0 and bare in (_JOINS | _AFTER)
            if not known:
                break
            if bare not in _AFTER:
                at += 1
                continue
        end, at = word.end(), at + 1
        if word[0].endswith(":"):
            break
    return end if certain else 0


_JOINS = frozenset(("–", "—", "-", "to", "and", "until", "from", "on", "at", "bis", "und", "ab", "um", "au", "à", "et", "de", "du", "le",
    "y", "a", "al", "e", "do", "i", "od", "o", "v", "ve", "tot", "en", "van", "till", "och", "kl", "klo", "vom", "έως", "και", "до", "і", "з", "đến", ""))  # fmt: skip
_AFTER = frozenset(("am", "pm", "a.m", "p.m", "uhr", "h", "ч", "год"))  # times of day
_BETWEEN = " ,:–—-|"


def _only_hours(items: list[Item], language: str) -> bool:
    """Whether all that stands beside days are times, or a word that stands for none ("closed")."""

    def bare(item: Item) -> bool:
        left = _TIME.sub(" ", item["what"])
        return not re.search(r"\d", left) and len(re.findall(r"[^\W\d_]{2,}", left)) <= 3 and not re.search(r"[.!?]\s", left)

    timed = sum(bool(_TIME.search(item["what"])) for item in items)
    named = all(
        any(_is_day(re.sub(r"[,.:]", "", part), language) for part in re.split(r"[\s–—/-]+", item["when"].casefold()))
        for item in items
    )
    return named and timed * 2 >= len(items) and all(bare(item) for item in items)
