"""Headings of a language that does not ask for it begin their words in one way (common practice)."""

import re
from collections.abc import Iterator, Mapping
from functools import lru_cache

from formulon.core.checks.page_facts import Heading
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_text
from formulon.core.checks.views import SiteView
from formulon.core.site.site import Site
from formulon.core.system.system import System

_SMALL = 4  # letters up to which a word stays small in titles as well
_LANGUAGES = ("en", "fr", "es", "it", "pt", "nl", "cy")  # which have small nouns


def _in_small(site: Site, _: System, __: SiteView, verdict: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    """A heading with one capital, but for what the brand is called by and what is in capitals throughout."""
    text = str(verdict.values["text"])
    names = set(re.findall(r"\w+", f"{site.identity.name} {site.identity.place}"))
    first, *rest = text.split(" ")
    small = [word if word.isupper() or set(re.findall(r"\w+", word)) & names else word.lower() for word in rest]
    new = " ".join((first, *small))
    if verdict.code == "title" and verdict.place and new != text and (changes := change_text(site, verdict.place, text, new)):
        yield Remedy(f"Write “{new[:60]}”", changes)


@rule(
    id="consistency/capitals-of-words",
    title="Headings begin their words in one way",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    options={"least": 4, "most": 0.25},
    rationale="Capitals For Every Word, or only for the first: both can be read, the two together look like two authors.",
    messages={
        "title": "“{words}” begins its words with capitals; {count} of {all} headings do not.",
        "sentence": "“{words}” begins with one capital; {count} of {all} headings begin every word with one.",
    },
    mend=_in_small,
)
def capitals_of_words(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    if site.heads[0].language.split("-")[0].lower() not in _LANGUAGES:
        return
    held = [one for one in site.all_of(Heading) if one.level and one.place.section not in site.frames]
    told = [(one, kind) for one in held if (kind := _kind(one.bare or one.text))]
    for code in ("title", "sentence"):
        few = [one for one, kind in told if kind == code]
        rest = len(told) - len(few)
        if few and rest >= options["least"] and len(few) <= options["most"] * len(told):
            for one in few:
                values = {"words": one.text[:60], "count": rest, "all": len(told), "text": one.text}
                yield Verdict(code, values=values, place=one.place)


@lru_cache(maxsize=8192)
def _kind(text: str) -> str:
    """How a heading begins its longer words after the first; empty where that is not told."""
    words = [word for word in text.split()[1:] if len(word) > _SMALL and word[0].isalpha() and not word.isupper()]
    if len(words) < 2:
        return ""
    large = sum(word[0].isupper() for word in words)
    # Two words with capitals may be the name of a place.
    return "title" if large == len(words) > 2 else "sentence" if large == 0 else ""
