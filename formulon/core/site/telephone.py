"""Telephone numbers as links: what can be dialled, by the phonenumbers library (Google's libphonenumber and its metadata)."""

import re
from functools import lru_cache

import icu
import phonenumbers

_IN_WORDS = re.compile(r"[\d\s()+./-]+[A-Z]{3,}[\dA-Z -]*")  # 0800 FLOWERS: letters stand for the digits of their keys


def region_of(language: str) -> str:
    """The region that a language code names, else the likeliest one (CLDR, likely subtags): "GB" for en-GB, "DE" for de."""
    locale = icu.Locale.forLanguageTag(language)
    return str(locale.getCountry() or locale.addLikelySubtags().getCountry())


@lru_cache(maxsize=1024)
def dialled(number: str, language: str) -> str:
    """The number as RFC 3966 writes it, with "tel:": whole where it names its country, as it is dialled within the country
    where it does not. Empty where it cannot be dialled, or where there are two of them: then it is text."""
    read = _read(number, region_of(language))
    if read is None:
        return ""
    if read.country_code_source != phonenumbers.CountryCodeSource.FROM_DEFAULT_COUNTRY:
        return str(phonenumbers.format_number(read, phonenumbers.PhoneNumberFormat.RFC3966))
    # Which country is meant is only guessed, so the number is left as it is dialled within it.
    extension, read.extension = read.extension, None
    digits = phonenumbers.normalize_digits_only(phonenumbers.format_number(read, phonenumbers.PhoneNumberFormat.NATIONAL))
    return f"tel:{digits};ext={extension}" if extension else f"tel:{digits}"


def _read(text: str, region: str) -> phonenumbers.PhoneNumber | None:
    """The one number that a text holds."""
    if any(char.isalpha() for char in text) and not _IN_WORDS.fullmatch(text):
        found = list(phonenumbers.PhoneNumberMatcher(text, region, leniency=phonenumbers.Leniency.POSSIBLE))
        if found:
            rest = text[: found[0].start] + text[found[0].end :]
            if len(found) > 1 or any(char.isdigit() for char in rest):
                return None
            text = found[0].raw_string
    try:
        read = phonenumbers.parse(text, region, keep_raw_input=True)
    except phonenumbers.NumberParseException:
        return None
    return read if phonenumbers.is_possible_number(read) else None
