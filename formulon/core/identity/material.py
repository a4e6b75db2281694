"""What a document holds for the brand's pages: its texts by heading, line by line, and what its sentences tell as lines of a kind."""

import re
from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass

from formulon.core.identity.documents import Block, Section, sections
from formulon.core.identity.documents.written import LANGUAGES, typed
from formulon.core.identity.sightings import RuleSeen, TextSeen, WordField, WordSeen
from formulon.core.identity.statements import phrases, readable
from formulon.core.identity.statements.offers import OfferTold, offers_listed
from formulon.core.identity.statements.shape import shapes_stated
from formulon.core.identity.statements.told import MOST_HOURS, Told, dates_told, people_told, prices_told, quotes_told
from formulon.core.identity.statements.typefaces import typefaces_stated
from formulon.core.identity.statements.years import years_told
from formulon.core.identity.words import is_labelled, rules
from formulon.core.system.documents.identity import CONTROLS, ClientText
from formulon.core.system.documents.passages import Passage, figure_in, passages

MOST_TEXTS = 120
_ASIDE = 0.3  # how sure it is that a text is for the brand's pages where it rules how they look, or is a letter to whoever makes them
_FEW_WORDS = 40  # of a text that does not stand by itself among rules
_VALUE = re.compile(r"#[0-9A-Fa-f]{6}\b|\b(?:CMYK|RGB|RAL|HSL)\b")
# What sentences tell, how many lines of it are worth a text, and the heading by which they are read as people.
_TOLD: tuple[tuple[str, Callable[[str], list[Told]], int, str], ...] = (
    ("quotes", quotes_told, 1, ""), ("prices", prices_told, 2, ""), ("people", people_told, 2, "Team"), ("dates", dates_told, 2, ""),
    ("years", years_told, 3, ""),
)  # fmt: skip


def material(blocks: Iterable[Block], most: int = MOST_TEXTS) -> list[TextSeen | WordSeen]:
    """The texts of a document, one for each heading, line by line, without lines that only hold a labelled fact; opening hours of tables
    and lists as a fact; and what sentences tell, one text a kind."""
    held = [_held(section) for section in sections(blocks)]
    mostly = 2 * sum(one.rules for one in held) >= len(held)
    return [
        *[text for one in held if (text := _text(one, mostly))][:most],
        *(hours for one in held if one.kinds for hours in _hours(one.section)),
        *(
            _word(one, "offer", f"{offer.value}: {offer.about}" if offer.about else offer.value)
            for one in held
            for offer in one.offers
        ),
        *(_word(one, "proof", figure) for one in held for figure in one.figures),
        *_told(held),
    ]


@dataclass(frozen=True, slots=True)
class _Held:
    """A section, the lines of it that are of a kind by how they are written, its items that are offers or figures, and whether it says how
    the brand looks and speaks."""

    section: Section
    kinds: set[str]
    offers: list[OfferTold]
    figures: list[str]
    rules: bool


def _held(section: Section) -> _Held:
    kinds = typed(section.lines)
    return _Held(section, kinds, offers_listed(section, kinds), _figures(section, kinds), _is_ruling(section))


def _word(one: _Held, field: WordField, text: str) -> WordSeen:
    return WordSeen(field=field, text=text[:600], place=_place(one.section, "list"), sure=0.75)


def _is_ruling(section: Section) -> bool:
    """Whether a section says how the brand looks and speaks, and not what its pages tell: at least half of it is rules and values."""
    text = readable("\n".join(section.lines))
    ruled = {one.text for one in rules(text, "") if isinstance(one, RuleSeen)} | {one.text for one in typefaces_stated(text)}
    ruled |= {one.text for one in shapes_stated(text)} | {line for line in section.lines if _VALUE.search(line)}
    return 2 * sum(map(len, ruled)) >= len(text) > 0


def _is_letter(heading: str) -> bool:
    words = "|".join(one for table in phrases("letters") for one in table["salutations"])
    return re.match(rf"(?:{words})\s+[^\W\d_]", heading, re.IGNORECASE) is not None


def _figures(section: Section, kinds: set[str]) -> list[str]:
    """The items of a list that are figures with what they count, all of them and several."""
    lines = [one.line for one in section.blocks if one.kind == "item"]
    return lines if len(lines) > 1 and not kinds & {*lines} and all(figure_in(line) for line in lines) else []


def _text(one: _Held, mostly: bool) -> TextSeen | None:
    """What a section says but for lines that are facts: labelled ones, and items that are offers or figures. What rules how the brand
    looks, hardly says anything among rules (`mostly`), or is a letter, is hardly meant for pages."""
    named = {*one.figures, *(offer.text for offer in one.offers)}
    lines = (line for line in one.section.lines if line not in named)
    body = "\n".join(line for line in lines if line in one.kinds or not is_labelled(line))[:4000]
    if not body.strip():
        return None
    made = TextSeen(heading=one.section.heading, text=body, place=_place(one.section, "beginning"))
    aside = one.rules or (mostly and len(body.split()) < _FEW_WORDS) or _is_letter(one.section.heading)
    return made.model_copy(update={"sure": _ASIDE}) if aside else made


def _place(section: Section, where: str) -> str:
    return f"“{section.heading}”" if section.heading else where


def _told(held: list[_Held]) -> Iterator[TextSeen]:
    """What lines tell that are of no kind by themselves."""
    loose = [readable("\n".join(line for line in one.section.lines if line not in one.kinds)) for one in held]
    for kind, grammar, fewest, heading in _TOLD:
        lines = list(dict.fromkeys(one.value for text in loose for one in grammar(text)))
        if len(lines) >= fewest:
            yield TextSeen(heading=heading, text="\n".join(lines)[:4000], place=f"{kind} in sentences", sure=0.7)


def _hours(section: Section) -> Iterator[WordSeen]:
    for passage in _passages(section.lines):
        text = "; ".join(f"{item['when']} {item['what']}" for item in passage.items)
        if passage.kind == "hours" and len(text) <= MOST_HOURS:
            yield WordSeen(field="hours", text=text, place=_place(section, "text"), sure=0.75)


def _passages(lines: list[str]) -> list[Passage]:
    """The passages of lines in the first language in which they hold hours."""
    text = CONTROLS.sub("", "\n".join(lines))[:4000].strip()
    for language in LANGUAGES if text else ():
        found = passages(ClientText(text=text), language)
        if any(one.kind == "hours" for one in found):
            return found
    return []
