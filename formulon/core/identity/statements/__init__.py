"""What a client's documents state in words, by grammars: one module a kind of statement, and the phrases of each language as data
(phrases/<language>.json). A document may be in any of them, so all are tried; of two that take the same words, the first one counts.
Every statement keeps its sentence as evidence.
"""

import json
import re
from functools import cache
from pathlib import Path
from typing import Any

_FOLDER = Path(__file__).parent / "phrases"


@cache
def _tables() -> tuple[dict[str, Any], ...]:
    return tuple(json.loads(file.read_text(encoding="utf-8")) for file in sorted(_FOLDER.glob("*.json")))


@cache
def phrases(kind: str) -> tuple[dict[str, Any], ...]:
    """What each language says for a kind of statement, by the names of the languages; those that say nothing are left out."""
    return tuple(table[kind] for table in _tables() if kind in table)


_RUNS = re.compile(r"[^\S\n]{2,}")
_LONG = re.compile(r"[^\n]{1500,3000}?[.!?](?=\s)|[^\n]{3000}")


def readable(text: str) -> str:
    """A text that expressions can go over: no runs of spaces, and no line of more than some thousand characters; those are parted after a
    sentence, or where they must."""
    return _LONG.sub(lambda part: part[0] + "\n", _RUNS.sub(lambda run: run[0][0], text))


def sentence(text: str, start: int, end: int) -> str:
    """The sentence around a place of a text, or the line where that has none; at most 300 characters."""
    first = max(text.rfind(". ", 0, start) + 1, text.rfind("\n", 0, start) + 1, 0)
    ends = [at for at in (text.find(". ", max(start, end - 1)), text.find("\n", end)) if at >= 0]
    return " ".join(text[first : min(ends) + 1 if ends else len(text)].split())[:300]
