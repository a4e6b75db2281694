"""Addresses and telephone numbers wherever they stand. An address is a street with a number, or names of a house and a street, and a
town with a postcode in one of the forms of the Universal Postal Union's members; a telephone number is one that can be dialled
by the phonenumbers library (libphonenumber's metadata)."""

import re
from functools import cache

import phonenumbers

from formulon.core.identity.statements import phrases, sentence
from formulon.core.identity.statements.told import Told

_CAPITAL = r"[^\W\d_a-zß-öø-ÿ]"
_NAME = rf"{_CAPITAL}[\w.'’-]*"
_LINK = r"(?:an der|an dem|am|an|auf der|auf dem|auf|bei|im|in der|in|zum|zur|von|der|des|de la|de|du|da|do|del|della|di|la|le|les|van|het|the|of|sur|sous|ob der)"
_NAMES = rf"{_NAME}(?:[ -](?:{_LINK} )?{_NAME}){{0,4}}"
_HOUSE = r"\d{1,4}\s?[a-zA-Z]?(?:\s?[-–/]\s?\d{1,4}[a-zA-Z]?)?"
_STREET_FIRST = rf"(?:(?:ul|av|al|pl)\. )?{_NAMES}\.? {_HOUSE}(?![\w.])"
_NUMBER_FIRST = rf"\d{{1,5}}[a-zA-Z]?(?:\s?[-–]\s?\d{{1,5}})?,? (?:(?:rue|avenue|place|quai|chemin|allée|boulevard|impasse|route|cours)(?: (?:{_LINK} |d['’]|l['’])?{_NAME}){{1,3}}|{_NAMES})"
_SEPARATOR = r"(?:,\s*|\s*[·•|]\s*|\s*\n\s*|\s[–—-]\s)"
_BRITISH = r"[A-Z]{1,2}\d[A-Z\d]? ?\d[A-Z]{2}"  # BS 7666
_TOWN = rf"{_NAMES}(?: (?:am|an der|bei|im|ob|sur|upon) {_NAME})?"
_CODE_FIRST = r"(?:[A-Z]{1,2}[-–])?(?:\d{4} ?[A-Z]{2}(?= )|\d{2}-\d{3}|\d{4}-\d{3}|\d{3} \d{2}(?!\d)|\d{4,5}(?!\d))"
_AMERICAN = r"[A-Z]{2} \d{5}(?:-\d{4})?"
_FORMS = (
    rf"(?P<street>{_STREET_FIRST}|{_NUMBER_FIRST}){_SEPARATOR}(?P<town>(?P<code>{_CODE_FIRST}) {_TOWN})",
    rf"(?P<street>{_NUMBER_FIRST}){_SEPARATOR}(?P<town>{_NAMES}(?:,? |{_SEPARATOR})(?:{_BRITISH}|{_AMERICAN}))(?!\w)",
    rf"(?P<street>(?:{_NAMES}{_SEPARATOR}){{1,2}}{_NAMES}) (?P<town>{_BRITISH})(?!\w)",
)
_MOST = 8
_DIGITS = re.compile(r"(?<![\w#.,/=-])(?:\+|\(?\d)[\d ().\u00a0/–-]{6,22}\d(?![\w.,–-]*\d)")
_REGIONS = ("GB", "DE", "US", "FR", "CH", "AT", "SE", "IT", "ES", "NL", "PL")


def addresses_told(text: str) -> list[Told]:
    """The addresses of a text, in its order, each on one line."""
    made: dict[str, tuple[int, Told]] = {}
    taken: list[tuple[int, int]] = []
    for form in _forms():
        for match in form.finditer(text):
            value = " ".join(re.sub(r"\s*(?:\n|[·•|]|\s[–—-]\s)\s*", ", ", match[0]).replace(",,", ",").split()).rstrip(".,")
            if any(match.start() < end and start < match.end() for start, end in taken) or not _is_place(match):
                continue
            taken.append(match.span())
            made.setdefault(value, (match.start(), Told(value, sentence(text, *match.span()))))
    return [told for _, told in sorted(made.values(), key=lambda one: one[0])][:_MOST]


@cache
def _forms() -> tuple[re.Pattern[str], ...]:
    return tuple(re.compile(rf"(?<![\w-]){form}", re.MULTILINE) for form in _FORMS)


def _is_place(match: re.Match[str]) -> bool:
    """Whether a match is an address: its town ends a part of the text, and a postcode that could be a year has a street beside it."""
    follows = match.string[match.end() : match.end() + 2]
    year = re.fullmatch(r"(?:19|20)\d\d", match.groupdict().get("code") or "")
    words = "|".join(one for table in phrases("reaching") for one in table["streets"])
    strange = "|".join(one for table in phrases("reaching") for one in table["no_streets"])
    return (
        (not follows or follows[0] in ",.;:)\n|·" or bool(re.match(r" [–—(-]", follows)))
        and (not year or re.search(rf"(?:{words})", match["street"], re.IGNORECASE) is not None)
        and re.search(rf"\b(?:{strange})\b", match[0], re.IGNORECASE) is None
    )


def phones_told(text: str) -> list[Told]:
    """The telephone numbers of a text, in its order: what begins with + or 0, or stands after a word for a telephone, and can be
    dialled somewhere. Numbers of fax machines, of accounts and of registers are none."""
    made: dict[str, Told] = {}
    for match in _DIGITS.finditer(text):
        before = text[max(0, match.start() - 30) : match.start()].rpartition("\n")[2]
        number = match[0].strip()
        if _after("no_phones", before) or not (number.lstrip("(")[0] in "+0" or _after("phones", before)):
            continue
        if _can_be_dialled(number):
            made.setdefault(re.sub(r"\D", "", number), Told(number, sentence(text, *match.span())))
    return list(made.values())[:_MOST]


def _after(part: str, before: str) -> bool:
    words = "|".join(one for table in phrases("reaching") for one in table[part])
    return re.search(rf"(?<!\w)(?:{words})[\s.:]*\(?$", before, re.IGNORECASE) is not None


def _can_be_dialled(number: str) -> bool:
    parts = re.split(r"[ ./\u00a0–-]+", re.sub(r"[()]", " ", number).strip())
    digits = re.sub(r"\D", "", number)
    if not 7 <= len(digits) <= 15 or re.match(r"\d{1,2}\.\d{1,2}\.(?:19|20)\d\d", number) or re.match(r"0\.\d", number):
        return False
    if sum(len(one) == 1 for one in parts) > 2 or (len(parts) > 5 and len(parts[0]) < 2):  # a row of figures
        return False
    for region in (None,) if number.startswith(("+", "00")) else _REGIONS:
        try:
            read = phonenumbers.parse(re.sub(r"^00", "+", number), region)
        except phonenumbers.NumberParseException:
            continue
        if phonenumbers.is_possible_number(read):
            return True
    return False
