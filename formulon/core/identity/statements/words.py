"""Words to use and to avoid: in sentences that quote them, in lists after a label ("Words we avoid: …"), under a heading, and in tables
of two columns. Words without quotation marks are taken from lists alone, so that “Never set it on Clay” states none."""

import re
from dataclasses import dataclass
from functools import cache
from itertools import islice
from typing import Literal

from formulon.core.identity.statements import phrases, sentence

Side = Literal["use", "avoid"]
_QUOTED = "|".join((
    "“[^“”\n]{1,60}”", "„[^“”„\n]{1,60}[“”]", "»[^«»\n]{1,60}«", "«[^«»\n]{1,60}»", r'"[^"\n]{1,60}"', "‘[^‘’\n]{1,60}’",
    r"(?<![\w’'])'[^'\s][^'\n]{0,58}'(?!\w)",
))  # fmt: skip
_MARKS = " \t“”„»«\"‘’'.;,:!"
_BULLET = re.compile(r"^[\s#>*•·–-]+|[\s*#]+$")
_MOST_WORDS, _MOST_ITEMS = 4, 40  # of one item of a list, and items; what is longer is a sentence
_MOST = 200  # statements of one text by one form


@dataclass(frozen=True, slots=True)
class WordsStated:
    """Words that a document asks for and words that it avoids, with the sentence or the lines that say so."""

    use: tuple[str, ...]
    avoid: tuple[str, ...]
    text: str


def words_stated(text: str) -> list[WordsStated]:
    """The statements of a text, in its order."""
    found = [*_lists(text), *_sentences(text)]
    kept: list[tuple[int, int, WordsStated]] = []
    for start, end, one in found:
        if not any(start < other_end and other < end for other, other_end, _ in kept):
            kept.append((start, end, one))
    return [one for _, _, one in sorted(kept, key=lambda each: each[0])]


@cache
def _patterns() -> list[re.Pattern[str]]:
    """Sentences of all languages; those that state both sides come first in each."""
    made = []
    for table in phrases("words"):
        joined = "|".join(map(re.escape, table["and"]))
        item, between = rf"(?>{_QUOTED})", rf"(?:\s*[,;/](?:\s+(?:{joined}))?|\s+(?:{joined}))\s*"
        listed = rf"{item}(?>(?:{between}{item}){{0,15}})"  # nothing is given back, so that no text takes long
        after = rf"(?!\s+(?:{'|'.join(map(re.escape, table['after']))})\b)"
        for one in table["sentences"]:
            body = one.replace(" ", r"\s+").replace("?\\s+", "?\\s*")
            body = body.replace("{use}", f"(?P<use>{listed})").replace("{avoid}", f"(?P<avoid>{listed})")
            made.append(re.compile(rf"(?<!\w){body}{after}(?!\w)", re.IGNORECASE))
    return made


@cache
def _labels() -> list[tuple[Side, re.Pattern[str]]]:
    made: list[tuple[Side, re.Pattern[str]]] = []
    for side in ("avoid", "use"):  # “we do not say” before “we say”
        for table in phrases("words"):
            made.append((side, re.compile("|".join(table[f"{side}_labels"]), re.IGNORECASE)))
    return made


def _sentences(text: str) -> list[tuple[int, int, WordsStated]]:
    made = []
    for pattern in _patterns():
        for match in islice(pattern.finditer(text), _MOST):
            sides = match.groupdict()
            use, avoid = (_quoted(sides.get(side) or "") for side in ("use", "avoid"))
            made.append((*match.span(), WordsStated(use, avoid, sentence(text, *match.span()))))
    return made


def _quoted(listed: str) -> tuple[str, ...]:
    return tuple(one.strip(_MARKS) for one in re.findall(_QUOTED, listed) if one.strip(_MARKS))


def _lists(text: str) -> list[tuple[int, int, WordsStated]]:
    """Lists after a label, under one, and in two columns."""
    lines = [(match.start(), match[0]) for match in re.finditer(r"[^\n]*(?:\n|$)", text) if match[0]]
    made = list[tuple[int, int, WordsStated]]()
    index = 0
    while index < len(lines) and len(made) < _MOST:
        start, line = lines[index]
        index += 1
        side, rest = _labelled(line)
        if side is None:
            continue
        other = _side(rest)
        took = index
        columns: dict[Side, list[str]] = {"use": [], "avoid": []}
        if other not in (None, side):  # the heads of two columns
            while (
                took < len(lines)
                and _labelled(lines[took][1])[0] is None
                and len(pair := [part.strip(_MARKS) for part in re.split(r"[:|\t]", _bare(lines[took][1]))]) == 2
            ):
                columns[side].append(pair[0])
                columns[other].append(pair[1])
                took += 1
        elif rest:
            columns[side] = _items(rest.removesuffix("."))
        else:
            took += took < len(lines) and not lines[took][1].strip()
            while took < len(lines) and (items := _items(_bare(lines[took][1]))) and _labelled(lines[took][1])[0] is None:
                columns[side] += items[: _MOST_ITEMS - len(columns[side])]
                took += 1
        if any(columns.values()):
            end = lines[took][0] if took < len(lines) else len(text)
            shown = " · ".join(filter(None, map(_bare, text[start:end].splitlines())))
            said = WordsStated(tuple(columns["use"]), tuple(columns["avoid"]), shown[:300])
            made.append((start, end, said))
            index = took
    return made


def _labelled(line: str) -> tuple[Side | None, str]:
    """Which words a line announces, and what follows on it."""
    bare = _bare(line)
    found = re.search(r":|\s[–—]\s", bare)
    head, rest = (bare[: found.start()], bare[found.end() :]) if found else (bare, "")
    return _side(head), rest.strip()


def _side(head: str) -> Side | None:
    return next((side for side, pattern in _labels() if pattern.fullmatch(head.strip(' :“”"'))), None)


def _bare(line: str) -> str:
    return _BULLET.sub("", line).strip()


def _items(listed: str) -> list[str]:
    """The words of a list; none where it is no list but a sentence."""
    if re.search(r"[.!?](?:[\s”“«»\"’]|$)", listed):
        return []
    joined = "|".join(word for table in phrases("words") for word in table["and"])
    parts = [part.strip(_MARKS) for part in re.split(rf",|;|/|\s(?:{joined})\s", listed)]
    parts = [part for part in parts if part]
    return parts[:_MOST_ITEMS] if parts and all(len(part.split()) <= _MOST_WORDS for part in parts) else []
