"""Figures with what they count, in sentences: the number as it stands, and the words that say of what."""

import re
from functools import cache

from formulon.core.identity.statements import phrases, sentence
from formulon.core.identity.statements.told import Told

_NUMBER = r"\d{1,3}(?:[.,’'\u00a0\u202f ]\d{3})+|\d{1,6}"
_WORD = r"[^\W\d_][\w’'-]{0,30}"
_MOST = 12


def figures_told(text: str) -> list[Told]:
    """The figures of a text, in its order: "240 founts of type"."""
    made: dict[str, Told] = {}
    for match in _pattern().finditer(text):
        said = sentence(text, *match.span())
        if _spoilt(said):
            continue
        for number, words in re.findall(rf"(?<![\w.,])({_NUMBER})\s((?:{_WORD}\s?){{1,6}})", match["all"]):
            counted = _counted(words.split())
            if counted:
                made.setdefault(f"{number} {counted}", Told(f"{number} {counted}", said))
    return list(made.values())[:_MOST]


@cache
def _pattern() -> re.Pattern[str]:
    leads = "|".join(one for table in phrases("figures") for one in table["leads"])
    joins = "|".join(one for table in phrases("figures") for one in table["joins"])
    one = rf"(?:{_NUMBER})\s{_WORD}(?:\s(?!(?:{joins})\b){_WORD}){{0,5}}"
    return re.compile(rf"(?<![\w-])(?:{leads})\s(?P<all>{one}(?:,? (?:{joins}) {one})?)", re.IGNORECASE)


def _counted(words: list[str]) -> str:
    """What is counted, of the words after a number: a noun in the plural with what stands before it, and "of …" or "a day" after it."""
    for table in phrases("figures"):
        for count in range(1, 4):
            held = words[:count]
            if len(held) < count or held[-1].casefold() in table["ends"] or held[0].casefold() in table["not_counted"]:
                break
            if re.fullmatch(table["noun"], held[-1]):
                after = re.match(rf"(?:{table['tail']})(?!\w)", " ".join(words[count:]), re.IGNORECASE)
                return " ".join([*held, *([after[0]] if after else [])])
    return ""


def _spoilt(said: str) -> bool:
    words = "|".join(one for table in phrases("figures") for one in table["not"])
    return re.search(rf"(?<!\w)(?:{words})(?!\w)", said, re.IGNORECASE) is not None
