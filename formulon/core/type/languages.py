"""Which languages a font can write: for all of whose letters it has a glyph."""

from collections.abc import Iterable
from functools import cache, lru_cache

import icu

# Languages of Europe and of its neighbours to the south and east by their codes; the letters that each needs come with ICU, from CLDR's exemplar sets.
LANGUAGES = {
    "en": "English", "fr": "French", "de": "German", "es": "Spanish", "pt": "Portuguese", "it": "Italian", "nl": "Dutch",
    "da": "Danish", "sv": "Swedish", "nb": "Norwegian", "fi": "Finnish", "is": "Icelandic", "ga": "Irish", "cy": "Welsh",
    "pl": "Polish", "cs": "Czech", "sk": "Slovak", "sl": "Slovenian", "hr": "Croatian", "hu": "Hungarian", "ro": "Romanian",
    "et": "Estonian", "lv": "Latvian", "lt": "Lithuanian", "tr": "Turkish", "el": "Greek", "ru": "Russian", "uk": "Ukrainian",
    "bg": "Bulgarian", "vi": "Vietnamese", "he": "Hebrew", "ar": "Arabic", "fa": "Persian",
}  # fmt: skip


_JOINED = frozenset({"Arab", "Syrc", "Mong", "Nkoo", "Adlm"})  # scripts whose letters join (Unicode 15, 9.2 and others)


def joined(code: str) -> bool:
    """Whether the letters of a language join, so that no space may be set between them. Source: CSS Text 3, 8.2.1."""
    locale = icu.Locale.forLanguageTag(code)
    return str(locale.getScript() or locale.addLikelySubtags().getScript()) in _JOINED


@cache
def letters(code: str) -> frozenset[int]:
    """The code points of a language's letters, in both cases. Of a regional code ("en-GB") the language counts."""
    found = icu.LocaleData(code.partition("-")[0]).getExemplarSet(0, 0)
    return frozenset(ord(one) for text in found for form in (str(text), str(text).upper()) for one in form)


def languages(codes: Iterable[int]) -> list[str]:
    """The codes of the languages that a font with these code points can write."""
    known = frozenset(codes)
    return [code for code in LANGUAGES if letters(code) <= known]


_RIGHT_TO_LEFT = frozenset({"Adlm", "Arab", "Hebr", "Mand", "Nkoo", "Rohg", "Samr", "Syrc", "Thaa"})


@lru_cache(maxsize=512)
def right_to_left(language: str) -> bool:
    """Whether a language is written from right to left: by its likeliest script (CLDR, by ICU)."""
    locale = icu.Locale.forLanguageTag(language)
    return str(locale.getScript() or locale.addLikelySubtags().getScript()) in _RIGHT_TO_LEFT
