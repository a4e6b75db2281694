"""Sentences: where they end, where they can be cut, which of a brand's are known, and how near they are to what is told."""

import re
from collections.abc import Iterator
from functools import lru_cache

import icu

from formulon.core.site.site import Page, Section
from formulon.core.site.values import PLACEHOLDER
from formulon.core.system.documents.identity import Identity
from formulon.core.system.documents.passages import passages
from formulon.core.type.emphasis import plain
from formulon.core.writing import Known

ENDING = re.compile(r"(?<=[.!?…])[)”»“\"']*\s+|(?<=[。！？])[)」』）]*\s*")  # ideographs are written without spaces
ENDED = re.compile(r"[.!?…。！？][)”»“\"'」』）]*$")
_JOINT = re.compile(r"[,;:]\s|\s[–—-]\s")
_LEAST, _MOST = 3, 45  # words of a sentence that stands by itself
_SHARED = 4  # letters by which words that carry meaning begin alike: most languages inflect at their end


def sentences(text: str) -> list[str]:
    """The sentences of a text, in their order."""
    return [one.strip() for line in text.split("\n") for one in ENDING.split(line) if one.strip()]


def shorter(text: str) -> Iterator[str]:
    """A text cut at its own joints, the longest first: without its last paragraph, its last sentence, what stands in brackets, its last
    clause. What is left stands by itself: two words at least, and no emphasis that opens and does not close."""
    paragraphs = text.split("\n\n")
    for count in range(len(paragraphs) - 1, 0, -1):
        yield "\n\n".join(paragraphs[:count])
    first = paragraphs[0]
    cuts = {found.start(): found.start() for found in ENDING.finditer(first)}
    bare = re.sub(r"\s*\([^()]*\)", "", first)
    made = [first[:cut].rstrip() for cut in sorted(cuts, reverse=True)]
    made += [bare] if bare != first else []
    made += [first[: found.start()].rstrip(" ,;:–—-") for found in reversed(list(_JOINT.finditer(first)))]
    seen = {text}
    for one in sorted(made, key=len, reverse=True):
        if _words(one) >= 2 and one.count("*") % 2 == 0 and one not in seen:
            seen.add(one)
            yield one


def known(identity: Identity) -> list[Known]:
    """Every sentence that the brief and the client's texts have, each once, without prices, hours and lists, which are told as such, and
    without those with words that the guideline avoids."""
    told: list[tuple[str, str]] = [
        (identity.does, "the brief, what you do"),
        (identity.audience, "the brief, whom it is for"),
        *((one, "the brief, what shows that it is good") for one in identity.proof),
        *((one.text, f"the brief, {one.name}") for one in identity.offers),
    ]
    for text in identity.texts:
        for one in passages(text, identity.language):
            if one.kind == "words":
                told.append((one.text, text.source or text.heading or "the client's texts"))
    avoided = words_of_rule(identity, "words to avoid")
    made: dict[str, Known] = {}
    for text_, where in told:
        for sentence in sentences(text_):
            if _stands(sentence) and not says(sentence, avoided):
                made.setdefault(plain(sentence), Known(sentence, where))
    return list(made.values())


def words_of_rule(identity: Identity, rule: str) -> list[str]:
    """The words of the guideline's rules of a kind."""
    made: list[str] = []
    for one in identity.rules:
        words = one.values.get("words") if one.rule == rule else None
        made += words if isinstance(words, list) else []
    return made


def says(text: str, words: list[str]) -> list[str]:
    """Which of some words a text has, as whole words, whatever their case."""
    return [word for word in words if word and _whole(word).search(text)]


@lru_cache(maxsize=1024)
def _whole(word: str) -> re.Pattern[str]:
    return re.compile(rf"(?<!\w){re.escape(word)}(?!\w)", re.IGNORECASE)


def _stands(sentence: str) -> bool:
    """Whether a sentence stands by itself anywhere: it ends, it is neither a fragment nor a list, and nothing is still to be written."""
    return bool(ENDED.search(sentence)) and _LEAST <= _words(sentence) <= _MOST and not PLACEHOLDER.search(sentence)


def _words(text: str) -> int:
    """About how many words a text has; ideographs are written without spaces, two or so to a word."""
    ideographs = sum(ord(char) > 0x2E7F for char in text)
    return len(text.split()) + ideographs // 2


def stems(text: str, language: str) -> set[str]:
    """The words of a text that carry meaning, by their beginnings: as Unicode parts words (UAX #29), four letters or more."""
    breaks = icu.BreakIterator.createWordInstance(icu.Locale.forLanguageTag(language))
    put = plain(text).casefold()
    made, start = set[str](), 0
    whole = icu.UnicodeString(put)
    breaks.setText(whole)
    for end in breaks:
        word = str(whole[start:end])
        if len(word) >= _SHARED and any(char.isalpha() for char in word):
            made.add(word[: max(_SHARED, len(word) - 3)])
        elif len(word) >= 2 and ord(word[0]) > 0x2E7F:  # ideographs and syllables carry meaning by themselves
            made.add(word)
        start = end
    return made


def texts_of(section: Section) -> Iterator[str]:
    """Every text that a section says."""

    def walk(value: object, key: str = "") -> Iterator[str]:
        if isinstance(value, str) and key not in ("to", "source", "drawn_as", "reason", "html", "css", "kind"):
            yield value
        elif isinstance(value, dict):
            for name, one in value.items():
                yield from walk(one, str(name))
        elif isinstance(value, list):
            for one in value:
                yield from walk(one, key)

    yield from walk(section.content)


def said_on(page: Page) -> set[str]:
    """The sentences that a page has already."""
    return {plain(one) for section in page.sections for text in texts_of(section) for one in sentences(text)}
