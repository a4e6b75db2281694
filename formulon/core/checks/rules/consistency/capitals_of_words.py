"""Headings of a language that does not ask for it begin their words in one way (common practice)."""

from collections.abc import Iterator, Mapping
from functools import lru_cache

from formulon.core.checks.page_facts import Heading
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView

_SMALL = 4  # letters up to which a word stays small in titles as well
_LANGUAGES = ("en", "fr", "es", "it", "pt", "nl", "cy")  # which have small nouns


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
