"""What was in a year, in sentences: lines of a history. A sentence that goes on without its year is told without it, any other whole."""

import re
from functools import cache

from formulon.core.identity.statements import phrases
from formulon.core.identity.statements.forms import forms
from formulon.core.identity.statements.told import Told, sentences

_YEAR = r"(?<!\d )(?:1\d\d\d|20[0-4]\d)"
_PLACES = (("year", _YEAR), ("till", _YEAR), ("before", r"\S.{2,160}?"), ("rest", r"\S.{1,200}"))
_LONGEST = 260


def years_told(text: str) -> list[Told]:
    """The years of a text with what was then, in its order."""
    made: dict[str, Told] = {}
    for one in sentences(text):
        if len(one) <= _LONGEST and re.search(rf"(?<![\w.,]){_YEAR}(?![\w%])", one) and not _spoilt(one):
            value = _line(one.rstrip(" .!"))
            if value:
                made.setdefault(value, Told(value, one[:300]))
    return list(made.values())


def _line(said: str) -> str:
    for part in ("whole", "cut"):
        for form in forms("years", part, _PLACES):
            match = form.fullmatch(said)
            if match:
                held = {key.rstrip("_"): words for key, words in match.groupdict().items() if words}
                when = f"{held['year']}–{held['till']}" if "till" in held else held["year"]
                what = said if part == "whole" else " ".join(filter(None, (held.get("before", ""), held.get("rest", ""))))
                return f"{when} – {what[:1].upper()}{what[1:].rstrip(' ,')}" if len(what) <= 240 else ""
    return ""


@cache
def _unwanted() -> re.Pattern[str]:
    words = "|".join(one for table in phrases("years") for one in table["not"])
    months = "|".join(one for table in phrases("dates") for one in table["months"])
    return re.compile(rf"(?<!\w)(?:{words})(?!\w)|\d\.? (?:{months})|(?:{months}) \d", re.IGNORECASE)


def _spoilt(said: str) -> bool:
    """Whether a sentence speaks of something else, or of a day."""
    return _unwanted().search(said) is not None
