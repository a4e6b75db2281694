"""Hours, prices, quotes, people and dated events that sentences tell, as lines of their kind: what texts in lines and tables have of
themselves (see `core/system/documents/passages.py`). What is said is kept to the letter; only what leads up to it is left away.
"""

import re
from collections.abc import Callable
from dataclasses import dataclass
from functools import cache

from formulon.core.identity.statements import phrases, sentence
from formulon.core.identity.statements.forms import forms, matches, said
from formulon.core.system.documents.passages import MONEY

_QUOTE = (
    r"(?:“[^“”\n]{12,400}”|„[^“”„\n]{12,400}[“”]|»[^«»\n]{12,400}«|«[^«»\n]{12,400}»|\"[^\"\n]{12,400}\"|‘[^‘’\n]{12,400}’)"
)
_PART = r"(?-i:[^\W\d_a-zß-öø-ÿ][^\W\d_]*(?:[-’'][^\W\d_]+)?)"
_PERSON = rf"{_PART}(?: (?:(?:von|van|de|der|den|du|del) )?{_PART}){{1,2}}"
_TITLE = r"[^\s.,;:!?\n][^.,;:!?\n]{1,59}?"
_ROLE = r"[^\s.,;:!?()“”„»«\"\n][^.,;:!?()“”„»«\"\n]{1,60}"
_REST = r"[^.!?\n]{2,140}"
_EDGE = ' ,;:–—-.“”„»«"‘’'
MOST_HOURS = 200  # characters, as many as a brand's hours may have


@dataclass(frozen=True, slots=True)
class Told:
    """A line of a kind, and the sentence that tells it."""

    value: str
    text: str


def hours_told(text: str) -> list[Told]:
    """Opening hours of a sentence: days, seasons and times where it speaks of being open, when there is closed, or that one comes by
    appointment; with hardly anything besides."""
    made = []
    for one in sentences(text):
        left, opens = one.rstrip(" .!"), False
        for table in phrases("hours"):
            for cut in table["cut"]:
                shorter = re.sub(rf"(?<!\w){cut}(?!\w)", " ", left, flags=re.IGNORECASE)
                opens, left = opens or shorter != left, shorter
        left = re.sub(r"\s+([,;:])", r"\1", " ".join(left.split())).strip(_EDGE)
        if len(left) <= MOST_HOURS and _are_hours(left, opens):
            made.append(Told(left, one[:300]))
    return made


def is_seasonal(hours: str) -> bool:
    """Whether hours are those of a part of the year, or of closing: they stand beside others and do not contradict them."""
    words = {*re.findall(r"[^\W\d_]+", hours.casefold())}
    return bool(words & _hour_words()["seasons"]) or not re.search(r"\d", hours)


@cache
def _hour_words() -> dict[str, frozenset[str]]:
    """Words for days, for parts of the year, for being closed, and what may stand beside them."""
    return {
        part: frozenset(word for table in phrases("hours") for word in table[part])
        for part in ("days", "seasons", "closing", "beside")
    }


def _are_hours(left: str, opens: bool) -> bool:
    known = _hour_words()
    words = re.findall(r"[^\W\d_]+", re.sub(r"\d(?:[ap]\.?m\.?|h)\b", "0", left.lower()))
    if {*words} - frozenset().union(*known.values()):
        return False
    day, season, closing = (any(word in known[part] for word in words) for part in ("days", "seasons", "closing"))
    if closing and not re.search(r"\d", left):
        return len(words) > 1
    months = "|".join(one for table in phrases("dates") for one in table["months"])
    dated = re.search(rf"(?i)\d\.?\s+(?:{months})\b|(?:{months})\s+\d", left) is not None
    if (re.search(r"(?:19|20)\d\d(?!\d)", left) and dated) or (dated and not closing and not (opens and day)):
        return False  # what is on a day
    span = re.search(r"\d\s?(?:[–—-]|to|bis|[ap]\.?m\.?\s?[–—-])\s?\d", left)
    return bool(re.search(r"\d", left)) and (
        (opens and (day or season)) or (closing and season) or bool(day and season and span)
    )


def quotes_told(text: str) -> list[Told]:
    """What somebody is quoted with, with their name and what they are."""
    return _lines(text, "quotes", _quote_line)


def _quote_line(match: re.Match[str]) -> str:
    held = said(match)
    words = held["quote"][1:-1].strip().rstrip(",.")
    role = _tidy(held.get("role", ""))
    return f"“{words}” — {', '.join(filter(None, (held['name'], role)))}" if len(words.split()) >= 3 else ""


def prices_told(text: str) -> list[Told]:
    """What something costs, in sentences: a line of it and its price."""
    return _lines(text, "prices", _price_line)


def _price_line(match: re.Match[str]) -> str:
    if _spoils(match, "prices"):
        return ""
    held = said(match)
    how = "from" if "begins" in held else next((one for one in ("from", "ab") if held.get("how", "").casefold() == one), "")
    title = _titled(held["title"])
    price = " ".join(filter(None, (how, f"{held['money']}{held.get('per', '')}".strip())))
    return f"{title}: {price}" if title else ""


def people_told(text: str) -> list[Told]:
    """People with what they are: only where a role is one of a person, or somebody leads something."""
    return _lines(text, "people", _person_line)


def _person_line(match: re.Match[str]) -> str:
    held = said(match)
    if "does" in held:
        role = held["does"].strip(_EDGE)
    elif "led" in held:
        role = _tidy(held["led"])
    elif "founded" in held:
        role = next(table["founder"] for table in phrases("people") if held["founded"].casefold() in table["founded"])
    else:
        role = _tidy(held["role"])
        if not _is_role(role):
            return ""
    return "" if held["name"].split()[0].casefold() in _articles() else f"{held['name']}, {role}"


def _is_role(role: str) -> bool:
    """Whether words are what a person is: one of them ends as such words do."""
    ends = "|".join(one for table in phrases("people") for one in table["ends"])
    return any(re.search(rf"(?:{ends})$", word, re.IGNORECASE) for word in role.split()[:3])


def dates_told(text: str) -> list[Told]:
    """What is on a day of a year, in sentences: a line of the day and what is then."""
    return _lines(text, "dates", _date_line)


def _date_line(match: re.Match[str]) -> str:
    if _spoils(match, "dates"):
        return ""
    held = said(match)
    what = _titled(held.get("title") or "")
    if held.get("verb"):
        what = f"{what} {held['verb']}"
    if held.get("clause"):
        what = held["clause"].strip(_EDGE)
    if held.get("does"):  # “Am 5. Juni feiern wir …”
        what = f"{held['who']} {held['does']} {held['rest']}"
    return f"{' '.join(held['date'].split())}: {what[:1].upper() + what[1:].strip(_EDGE)}" if what else ""


def _lines(text: str, kind: str, line: Callable[[re.Match[str]], str]) -> list[Told]:
    made: dict[str, tuple[int, Told]] = {}
    for match in matches(text, forms(kind, "forms", _places())):
        value = line(match)
        if value:
            made.setdefault(value, (match.start(), Told(value, sentence(text, *match.span()))))
    return [told for _, told in sorted(made.values(), key=lambda one: one[0])]


@cache
def _places() -> tuple[tuple[str, str], ...]:
    months = "|".join(one for table in phrases("dates") for one in table["months"])
    days = "|".join(one for table in phrases("dates") for one in table["days"])
    day = rf"(?:(?:{days}),?\s+)?(?:\d{{1,2}}(?:\.|st|nd|rd|th)?\s+(?:{months})|(?:{months})\s+\d{{1,2}},)\s+(?:19|20)\d\d"
    date = rf"{day}(?:\s+(?:to|bis|–|-)\s+{day})?"
    per = r"(?:\s(?:an|a|per|each|pro|je|die|den|das|der)\s[^\W\d_]+)?"
    return (
        ("quote", _QUOTE), ("name", _PERSON), ("title", _TITLE), ("role", _ROLE), ("rest", _REST), ("clause", _REST), ("does", _REST),
        ("led", _ROLE), ("date", date), ("money", MONEY.pattern), ("per", per),
    )  # fmt: skip


def sentences(text: str) -> list[str]:
    """The sentences of a text; the full stop of a day before its month ends none."""
    return [one.strip() for line in text.split("\n") for one in _ends().split(line) if one.strip()]


@cache
def _ends() -> re.Pattern[str]:
    months = "|".join(one for table in phrases("dates") for one in table["months"])
    return re.compile(rf"(?:(?<=[!?])|(?<=\.)(?!\s+(?:{months})\b)|(?<=\D\.))\s+(?=[^\W\d_a-z])")


def _spoils(match: re.Match[str], kind: str) -> bool:
    """Whether a sentence speaks of something else, by words that say so."""
    around = sentence(match.string, *match.span())
    return any(re.search(rf"(?<!\w)(?:{one})(?!\w)", around, re.IGNORECASE) for table in phrases(kind) for one in table["not"])


@cache
def _articles() -> frozenset[str]:
    return frozenset(word for table in phrases("prices") for word in table["articles"])


def _tidy(words: str) -> str:
    """Words without the article before them and the marks around."""
    held = words.strip(_EDGE).split()
    while len(held) > 1 and held[0].casefold() in _articles() and held[0].casefold() not in ("a", "an"):
        held = held[1:]
    return " ".join(held)


def _titled(words: str) -> str:
    held = words.strip(_EDGE).split()
    while held and held[0].casefold() in _articles():
        held = held[1:]
    made = " ".join(held)
    return made[:1].upper() + made[1:]
