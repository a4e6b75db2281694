"""What a brand offers: named in a sentence that lists several things, or in a list under a heading that announces it."""

import re
from collections.abc import Iterable
from dataclasses import dataclass
from functools import cache

from formulon.core.identity.documents import Section
from formulon.core.identity.statements import phrases, sentence
from formulon.core.identity.statements.forms import forms, matches
from formulon.core.system.documents.passages import MONEY

_PLACES = (("list", r"[^.:!?;\n]{3,240}?"),)
_LONGEST, _MOST_WORDS, _MOST = 60, 5, 12
_TITLED = re.compile(r"^(?P<name>[^:–—.!?\n]{2,60}?)(?::|\s[–—-])\s+(?P<text>\S.{8,500})$")


@dataclass(frozen=True, slots=True)
class OfferTold:
    """An offer by its name, what is said of it, and the sentence or line."""

    value: str
    text: str
    about: str = ""


def offers_told(text: str) -> list[OfferTold]:
    """The offers that sentences name, in their order; only where there are several."""
    made: dict[str, OfferTold] = {}
    for match in matches(text, forms("offers", "forms", _PLACES)):
        said = sentence(text, *match.span())
        for name in _names(match["list"]) if not _spoilt(said) else ():
            made.setdefault(name.casefold(), OfferTold(name, said))
    return list(made.values())[:_MOST]


def offers_listed(section: Section, others: Iterable[str]) -> list[OfferTold]:
    """The offers of a list under a heading that announces them, and of no `others`: lines that are of another kind."""
    if not announces(section.heading):
        return []
    lines, known = [one.line for one in section.blocks if one.kind == "item"], set(others)
    if len(lines) < 2 or any(one in known or MONEY.search(one) or re.match(r"[\d“„\"]", one) for one in lines):
        return []
    made = [_listed(one) for one in lines]
    return made[:_MOST] if all(one.value for one in made) else []


def announces(heading: str) -> bool:
    """Whether a heading says that what is offered follows."""
    words = "|".join(one for table in phrases("offers") for one in table["headings"])
    return re.fullmatch(rf"(?:{words})", " ".join(heading.split()).rstrip(" :!"), re.IGNORECASE) is not None


def _listed(line: str) -> OfferTold:
    titled = _TITLED.match(line)
    if titled:
        return OfferTold(titled["name"].strip(), line, titled["text"].strip())
    bare = line.rstrip(" .;,")
    return OfferTold(bare if len(bare) <= _LONGEST and not re.search(r"[.!?;]", bare) else "", line)


def _names(words: str) -> list[str]:
    """The parts of an enumeration; none where one of them is no name of a thing."""
    parts = [_bare(one) for one in re.split(rf",\s*(?:{_joins()})?\s*|\s+(?:{_joins()})\s+", words, flags=re.IGNORECASE) if one]
    small, refused = _small()
    wrong = any(
        not one or len(one) > _LONGEST or len(one.split()) > _MOST_WORDS or {*one.casefold().split()} & refused for one in parts
    )
    nouns = [one for one in parts if one[:1].isupper() or not any(word in f" {words.casefold()} " for word in small)]
    return [] if wrong or len(parts) < 2 or len(nouns) < len(parts) else [one[:1].upper() + one[1:] for one in parts]


@cache
def _joins() -> str:
    return "|".join(one for table in phrases("offers") for one in table["joins"])


@cache
def _small() -> tuple[tuple[str, ...], frozenset[str]]:
    """Words that tell a language in which things are written with capitals, and words that no name of an offer holds."""
    tables = phrases("offers")
    capital = tuple(f" {one} " for table in tables if table["capitals"] for one in table["joins"])
    return capital, frozenset(one for table in tables for one in table["no_names"])


def _bare(words: str) -> str:
    lead = "|".join(one for table in phrases("offers") for one in table["lead"])
    return re.sub(rf"^(?:(?:{lead})\s+)+", "", words.strip(), flags=re.IGNORECASE).strip(" –—-")


def _spoilt(said: str) -> bool:
    words = "|".join(one for table in phrases("offers") for one in table["not"])
    return re.search(rf"(?<!\w)(?:{words})(?!\w)", said, re.IGNORECASE) is not None
