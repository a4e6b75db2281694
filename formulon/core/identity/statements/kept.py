"""Rules that no grammar understands, kept as they are said, so that a person can hold pages against them: sentences that ask or forbid,
about what the brand looks like."""

import re
from collections.abc import Iterable
from dataclasses import dataclass
from functools import cache

from formulon.core.identity.statements import phrases

_MOST = 40
_LONGEST = 240  # characters of a sentence


@dataclass(frozen=True, slots=True)
class RuleKept:
    """A sentence, and what it is about: "mark", "pictures", "type", "color" or "shape"."""

    text: str
    about: str


def rules_kept(text: str, understood: Iterable[str]) -> list[RuleKept]:
    """The rules of a text besides those that were understood, in its order."""
    known = set(understood)
    made: dict[str, RuleKept] = {}
    for line in text.split("\n"):
        for one in re.split(r"(?<=[.!?])\s+", line):
            said = " ".join(one.split())
            about = _about(said) if 8 < len(said) <= _LONGEST and said not in known and _asks(said) else ""
            if about:
                made.setdefault(said, RuleKept(said, about))
    return list(made.values())[:_MOST]


@cache
def _words() -> tuple[re.Pattern[str], dict[str, re.Pattern[str]]]:
    tables = phrases("kept")
    asks = "|".join(one for table in tables for one in table["asks"])
    topics = list(dict.fromkeys(topic for table in tables for topic in table["about"]))
    about = {topic: "|".join(one for table in tables for one in table["about"].get(topic, ())) for topic in topics}
    return (
        re.compile(rf"\b(?:{asks})\b", re.IGNORECASE),
        {topic: re.compile(rf"\b(?:{words})\b", re.IGNORECASE) for topic, words in about.items()},
    )


def _asks(said: str) -> bool:
    return _words()[0].search(said) is not None


def _about(said: str) -> str:
    """The topic whose word comes first, a mark before all others."""
    found = {topic: match.start() for topic, pattern in _words()[1].items() if (match := pattern.search(said))}
    return "mark" if "mark" in found else min(found, key=lambda topic: found[topic], default="")
