"""Shares of colours: in per cent, in words, as a ratio, in sentences and in tables."""

import re
from collections.abc import Iterator
from dataclasses import dataclass
from functools import cache

from formulon.core.identity.statements import phrases
from formulon.core.identity.statements.forms import NAME, bare

_LEAST, _MOST = 90.0, 110.0  # per cent that shares come to together
_RUN = 8  # lines of a table at most
_LONGEST = 600  # characters that are looked at together
# Colour values and what parts them from the rest of a row.
_VALUES = re.compile(
    r"(?:,\s*)?(?:#[0-9a-fA-F]{3,8}\b|\b(?:CMYK|RGB|HSL|Lab)\s*[:(]?\s*[\d%.,/ ]*\d\b\)?(?!\s?%))(?:,(?=\s*\d))?"
)
_RATIO = re.compile(r"(?<![\d:/])\d{1,3}(?:\s?[:/]\s?\d{1,3}){1,5}(?![\d:/])")
_NAMES = re.compile(rf"{NAME}(?:(?:,\s*|\s+(?:and|to|und|zu)\s+|,\s*(?:and|und)\s+){NAME}){{1,5}}", re.IGNORECASE)


@dataclass(frozen=True, slots=True)
class ProportionsStated:
    """The share of each colour in per cent, by its name, and what says so."""

    shares: dict[str, float]
    text: str


def proportions_stated(text: str, known: frozenset[str] | None = None) -> list[ProportionsStated]:
    """The proportions of a text: of a sentence, or of the lines of a table. With `known` names of colours, only of those."""
    made: list[ProportionsStated] = []
    for passage in _passages(_VALUES.sub("", text)):
        shares = _ratio(passage) or _shares(passage)
        if known is not None and not set(shares) <= known:
            continue
        if len(shares) >= 2 and _LEAST <= sum(shares.values()) <= _MOST and shares not in [one.shares for one in made]:
            made.append(ProportionsStated(shares, " ".join(passage.split())[:300]))
    return made


def _passages(text: str) -> Iterator[str]:
    """Sentences that hold a share or a ratio; lines that hold one each, together."""
    run: list[str] = []
    for line in [*text.split("\n"), ""]:
        pairs = list(_pairs(line)) if len(line) <= _LONGEST else []
        if len(pairs) == 1 and len(line) <= 120 and len(run) < _RUN:
            run.append(line)
            continue
        if len(run) > 1:
            yield "\n".join(run)
        elif run and not pairs:
            yield run[0]
        run = []
        for one in re.split(r"(?<=[.!?])\s+(?=\S)", line):
            if len(one) <= _LONGEST and re.search(r"\d|\w{4}", one):
                yield one


@cache
def _grammar() -> tuple[re.Pattern[str], re.Pattern[str], dict[str, float]]:
    """Shares before a name, shares after one, and what words for shares come to."""
    tables = phrases("proportions")
    words = {word: share for table in tables for word, share in table["words"].items()}
    spoken = "|".join(sorted((re.escape(one) for one in words), key=len, reverse=True))
    rest = "|".join(re.escape(one) for table in tables for one in table["rest"])
    about = "|".join(re.escape(one) for table in tables for one in table["about"])
    between = "|".join(one for table in tables for one in table["between"])
    after = "|".join(one for table in tables for one in table["after"])
    share = rf"(?:(?P<number>\d{{1,3}}(?:[.,]\d)?)\s*(?:%|per ?cent\b|Prozent\b)|\b(?P<word>{spoken})\b|\b(?P<rest>{rest})\b)"
    before = rf"(?:(?:{about})\s+)?{share}(?:\s+(?:{between}))?\s+(?P<name>{NAME})"
    behind = rf"(?P<name>{NAME})\s*(?:(?:{after})\s*)?[:(–=,-]?\s*(?:(?:{about})\s+)?{share}"
    return re.compile(before, re.IGNORECASE), re.compile(behind, re.IGNORECASE), words


def _pairs(passage: str) -> Iterator[tuple[str, float | None]]:
    """Names with their shares, by the order that gives more of them; None is the rest."""
    before, behind, words = _grammar()
    found = [[(_name(m["name"]), _value(m, words)) for m in pattern.finditer(passage)] for pattern in (before, behind)]
    found = [[(name, share) for name, share in one if name] for one in found]
    yield from max(found, key=len)


def _shares(passage: str) -> dict[str, float]:
    made: dict[str, float] = {}
    pairs = list(_pairs(passage))
    if len({name for name, _ in pairs}) != len(pairs):
        return {}
    for name, share in pairs:
        left = 100 - sum(made.values())
        made[name] = round(left if share is None else share, 1)
    return made if all(share > 0 for share in made.values()) else {}


def _ratio(passage: str) -> dict[str, float]:
    ratio, names = _RATIO.search(passage), _NAMES.search(passage)
    if not ratio or not names:
        return {}
    parts = [float(one) for one in re.findall(r"\d+", ratio[0])]
    named = [_name(one) for one in re.split(r",\s*(?:and\s+|und\s+)?|\s+(?:and|to|und|zu)\s+", names[0])]
    whole = sum(parts)
    if len(parts) != len(named) or not all(named) or whole <= 0:
        return {}
    return {name: round(part / whole * 100, 1) for name, part in zip(named, parts, strict=True)}


def _value(match: re.Match[str], words: dict[str, float]) -> float | None:
    if match["number"]:
        return float(match["number"].replace(",", "."))
    return words[" ".join(match["word"].casefold().split())] if match["word"] else None


def _name(words: str) -> str:
    return " ".join(bare(words, "proportions"))
