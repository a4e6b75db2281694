"""Sentences as forms: what a phrase table says with places in braces, as expressions. A form holds for whole words, whatever their case;
a place says itself what may stand there."""

import re
from collections.abc import Iterator, Mapping
from functools import cache
from itertools import islice

from formulon.core.identity.statements import phrases

MOST = 200  # statements of one text by one form
# A name as guidelines give colours and typefaces: one to three words that begin with a capital letter.
_WORD = r"(?-i:[^\W\d_a-zß-öø-ÿ][\w’'-]{0,28})"
_NUMBERED = r"(?-i:\d\w{0,3}(?![\w%]|\s?(?:%|per ?cent|Prozent)))"  # “Grey 40”, and not “Grey 40 %”
NAME = rf"(?:{_WORD}(?: (?:{_WORD}|{_NUMBERED})){{0,2}})"
_UNITS = {
    "mm": 96 / 25.4,
    "cm": 960 / 25.4,
    "px": 1.0,
    "pt": 4 / 3,
    "in": 96.0,
    "inch": 96.0,
}  # in CSS px (CSS Values 4, section 6.2)
NUMBER = r"\d{1,4}(?:[.,]\d{1,2})?"
LENGTH = rf"{NUMBER}\s*(?:mm|cm|px|pt|inch|in|pixels?|Pixel|points?|Punkt|millimet(?:re|er)s?|Millimeter)\b"


@cache
def forms(kind: str, part: str, places: tuple[tuple[str, str], ...]) -> tuple[re.Pattern[str], ...]:
    """The forms of one part of a kind's tables, those of all languages. `places` gives the expression of each place by its name."""
    return tuple(_compiled(one, dict(places)) for table in phrases(kind) for one in table.get(part, ()))


def _compiled(form: str, places: Mapping[str, str]) -> re.Pattern[str]:
    body = form.replace(" ", r"[^\S\n]+").replace(r"?[^\S\n]+", r"?[^\S\n]*")
    for name, expression in places.items():
        for number in range(body.count(f"{{{name}}}")):  # a place may stand in one alternative or another
            body = body.replace(f"{{{name}}}", f"(?P<{name}{'_' * number}>{expression})", 1)
    return re.compile(rf"(?<![\w-]){body}(?![\w-])", re.IGNORECASE | re.MULTILINE)


def said(match: re.Match[str]) -> dict[str, str]:
    """What stands at the places of a match; those that it does not have are left out."""
    return {name.rstrip("_"): words for name, words in match.groupdict().items() if words}


def bare(words: str, kind: str) -> list[str]:
    """Words without those at their start that no name of a kind begins with ("Never set Lamp" is Lamp)."""
    skip = {word for table in phrases(kind) for word in table["no_names"]}
    held = words.split()
    while held and held[0].casefold() in skip:
        held = held[1:]
    return held


def matches(text: str, patterns: tuple[re.Pattern[str], ...]) -> Iterator[re.Match[str]]:
    """What forms match, in the order of the forms: of two that take the same words the first one counts."""
    taken: list[tuple[int, int]] = []
    for pattern in patterns:
        for match in islice(pattern.finditer(text), MOST):
            if not any(match.start() < end and start < match.end() for start, end in taken):
                taken.append(match.span())
                yield match


def pixels(length: str) -> float:
    """A length as written, in CSS px."""
    number = re.match(NUMBER, length)
    unit = re.sub(r"[^a-z]", "", length.casefold())
    unit = next((one for one in ("mm", "cm", "px", "pt", "inch", "in") if unit.startswith(one)), "")
    unit = unit or ("px" if "pix" in length.casefold() else "pt" if re.search(r"(?i)point|punkt", length) else "mm")
    return round(float(number[0].replace(",", ".")) * _UNITS[unit], 2) if number else 0.0
