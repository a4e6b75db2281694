"""Which languages a font can write: for all of whose letters it has a glyph."""

from collections.abc import Iterable
from functools import cache

import icu

# Languages of Europe by their codes; the letters that each needs come with ICU, from CLDR's exemplar sets.
LANGUAGES = {
    "en": "English", "fr": "French", "de": "German", "es": "Spanish", "pt": "Portuguese", "it": "Italian", "nl": "Dutch",
    "da": "Danish", "sv": "Swedish", "nb": "Norwegian", "fi": "Finnish", "is": "Icelandic", "ga": "Irish", "cy": "Welsh",
    "pl": "Polish", "cs": "Czech", "sk": "Slovak", "sl": "Slovenian", "hr": "Croatian", "hu": "Hungarian", "ro": "Romanian",
    "et": "Estonian", "lv": "Latvian", "lt": "Lithuanian", "tr": "Turkish", "el": "Greek", "ru": "Russian", "uk": "Ukrainian",
    "bg": "Bulgarian", "vi": "Vietnamese",
}  # fmt: skip


@cache
def letters(code: str) -> frozenset[int]:
    """The code points of a language's letters, in both cases. Of a regional code ("en-GB") the language counts."""
    found = icu.LocaleData(code.partition("-")[0]).getExemplarSet(0, 0)
    return frozenset(ord(one) for text in found for form in (str(text), str(text).upper()) for one in form)


def languages(codes: Iterable[int]) -> list[str]:
    """The codes of the languages that a font with these code points can write."""
    known = frozenset(codes)
    return [code for code in LANGUAGES if letters(code) <= known]
