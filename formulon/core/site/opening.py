"""Opening hours: what a brand says in a line, as rows of days, and as times that machines can read (schema.org,
OpeningHoursSpecification). Only what is understood to the last word is told to machines; the rest stays a text for people."""

import re
from dataclasses import dataclass
from functools import cache
from itertools import pairwise

import icu

from formulon.core.system.documents.identity import ClientText
from formulon.core.system.documents.passages import Item, passages

DAYS = ("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday")
_PARTS = re.compile(r"\s*[;\n]\s*|[,、]\s*(?=[^\W\d_]{2,})|(?<=[\dm])\s+(?=(?:and|und|et|y|e)\s+[^\W\d_]{3,})")
_CLOCK = re.compile(r"(\d{1,2})(?:[:.h](\d{2}))?\s?(?:(a\.?m\.?|p\.?m\.?)|uhr\b|h\b)?", re.IGNORECASE)


def _words(several: str) -> frozenset[str]:
    return frozenset(several.split())


# Words between days and between times, in the languages that have phrases; from memory of their use on signs.
_UNTIL = _words("– — - ~ 〜 ～ to till until through bis au à a al tot t/m do il až έως до по đến ate até إلى الى עד から")
_AND = _words(", ; & + and und et y e en och og ja i a και и و ו")
_FROM = _words(
    "from on von vom ab du de le del dal od v z от с من every each jeden chaque : open opening offen geöffnet ouvert"
)
_AFTER = _words("へ まで")
_DAILY = ("daily", "every day", "täglich", "tous les jours", "todos los días", "ogni giorno", "codziennie", "dagelijks")


@dataclass(frozen=True, slots=True)
class Opening:
    """Days, by their English names, and the times between which it is open on them, as hh:mm."""

    days: tuple[str, ...]
    opens: str
    closes: str


def rows_of(hours: str, language: str) -> list[Item]:
    """Opening hours by day, where a line can be read so."""
    lines = "\n".join(part for part in re.split(r"\s*[;\n]\s*|,\s+(?=[^\W\d_]{2,})", hours.rstrip(".")) if part)
    found = passages(ClientText(text=lines), language) if lines else []
    return list(found[0].items) if len(found) == 1 and found[0].kind == "hours" else []


def openings(hours: str, language: str) -> list[Opening]:
    """The times of opening that a text says; none where any of it is not understood."""
    made: list[Opening] = []
    for part in filter(None, (one.strip(" .") for one in _PARTS.split(hours))):
        told = _opening(part, language)
        if told is None:
            return []
        made += told
    return made


def _opening(part: str, language: str) -> list[Opening] | None:
    """The times of one part, none for days on which it is closed; None where it is not understood."""
    text = part.casefold()
    for word in _DAILY:
        if text.startswith(word):
            times = _times(text[len(word) :])
            return [Opening(DAYS, *one) for one in times] if times else None
    named = _names(language)
    found = list(named[0].finditer(text))
    if not found or _left(text[: found[0].start()], _FROM | _AND):
        return None
    days = [named[1][found[0][0].rstrip(".")]]
    for before, one in pairwise(found):
        between, day = text[before.end() : one.start()].strip(" ."), named[1][one[0].rstrip(".")]
        if between in _UNTIL:
            at = days[-1]
            while at != day:
                at = (at + 1) % 7
                days.append(at)
        elif between in _AND or not between.strip(","):
            days.append(day)
        else:
            return None
    rest = text[found[-1].end() :]
    if not any(char.isdigit() for char in rest):
        return []  # closed, or by arrangement: no time to tell
    times = _times(rest)
    names = tuple(DAYS[day] for day in dict.fromkeys(days))
    return [Opening(names, *one) for one in times] if times else None


def _times(text: str) -> list[tuple[str, str]]:
    """Pairs of times, opened and closed, in a text that says nothing else; none where it does."""
    found = list(_CLOCK.finditer(text))
    if not found or len(found) % 2 or _left(text[: found[0].start()], _FROM) or _left(text[found[-1].end() :], _AFTER):
        return []
    made = []
    for number in range(0, len(found), 2):
        first, second = found[number], found[number + 1]
        if text[first.end() : second.start()].strip(" .") not in _UNTIL:
            return []
        if number and _left(text[found[number - 1].end() : first.start()], _AND | _FROM):
            return []
        if bool(first[3]) != bool(second[3]):
            return []  # "9–5 pm" leaves open what the first is
        opened, closed = _of_day(first), _of_day(second)
        if opened is None or closed is None:
            return []
        made.append((opened, closed))
    return made


def _of_day(clock: re.Match[str]) -> str | None:
    """A time of day as hh:mm; None where there is no such time."""
    hour, minute, half = int(clock[1]), int(clock[2] or 0), (clock[3] or "").replace(".", "").casefold()
    if half and not 1 <= hour <= 12:
        return None
    if half:
        hour = hour % 12 + (12 if half == "pm" else 0)
    if (hour, minute) == (24, 0):
        return "23:59"
    return f"{hour:02}:{minute:02}" if hour < 24 and minute < 60 else None


def _left(text: str, known: frozenset[str]) -> bool:
    """Whether a text says more than some words and marks."""
    return any(word and word not in known and word.strip(",:.()") not in known | {""} for word in text.split())


@cache
def _names(language: str) -> tuple[re.Pattern[str], dict[str, int]]:
    """What the days of a week are called in a language, whole and short (CLDR), as an expression, and by name the day from Monday."""
    symbols, made = icu.DateFormatSymbols(icu.Locale.forLanguageTag(language)), dict[str, int]()
    for context in (icu.DateFormatSymbols.FORMAT, icu.DateFormatSymbols.STANDALONE):
        for width in (icu.DateFormatSymbols.WIDE, icu.DateFormatSymbols.ABBREVIATED):
            for number, name in enumerate(symbols.getWeekdays(context, width)[1:]):
                made.setdefault(name.casefold().rstrip("."), (number - 1) % 7)
    for name, day in list(made.items()):
        if len(name) > 4:
            made.setdefault(f"{name}s", day)  # "Mondays", "montags"
    spaced = r"(?<![^\W_])(?:%s)(?![^\W_])\.?" if not re.search(r"[぀-ヿ一-鿿฀-๿]", "".join(made)) else r"(?:%s)"
    return re.compile(spaced % "|".join(map(re.escape, sorted(made, key=len, reverse=True)))), made
