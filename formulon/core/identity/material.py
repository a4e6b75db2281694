"""What a document holds for the brand's pages: its texts by heading, line by line, and what its sentences tell as lines of a kind."""

from collections.abc import Callable, Iterable

from formulon.core.identity.documents import Block, Section, sections
from formulon.core.identity.documents.written import LANGUAGES, typed
from formulon.core.identity.sightings import TextSeen, WordSeen
from formulon.core.identity.statements import readable
from formulon.core.identity.statements.told import Told, dates_told, people_told, prices_told, quotes_told
from formulon.core.identity.words import is_labelled
from formulon.core.system.documents.identity import CONTROLS, ClientText
from formulon.core.system.documents.passages import Passage, passages

MOST_TEXTS = 120
_MOST_HOURS = 200  # characters
# What sentences tell, how many lines of it are worth a text, and the heading by which they are read as people.
_TOLD: tuple[tuple[str, Callable[[str], list[Told]], int, str], ...] = (
    ("quotes", quotes_told, 1, ""), ("prices", prices_told, 2, ""), ("people", people_told, 2, "Team"), ("dates", dates_told, 2, ""),
)  # fmt: skip


def material(blocks: Iterable[Block], most: int = MOST_TEXTS) -> list[TextSeen]:
    """The texts of a document, one for each heading, line by line; lines that only hold a labelled fact are none."""
    made = []
    for section in sections(blocks):
        lines = section.lines
        kinds = typed(lines)
        body = "\n".join(line for line in lines if line in kinds or not is_labelled(line))[:4000]
        if body.strip():
            place = f"“{section.heading}”" if section.heading else "beginning"
            made.append(TextSeen(heading=section.heading, text=body, place=place))
        if len(made) == most:
            break
    return made


def told(blocks: Iterable[Block]) -> list[TextSeen | WordSeen]:
    """Opening hours of tables and lists as a fact; and what sentences tell, one text a kind, under the heading of the first."""
    held = list(sections(blocks))
    made: list[TextSeen | WordSeen] = [*_hours(held)]
    loose = [(section, _loose(section.lines)) for section in held]
    for kind, grammar, fewest, heading in _TOLD:
        found = [(section, grammar(readable("\n".join(lines)))) for section, lines in loose]
        lines = list(dict.fromkeys(one.value for _, several in found for one in several))
        if len(lines) >= fewest:
            above = next((section.heading for section, several in found if several), "")
            made.append(
                TextSeen(heading=heading or above, text="\n".join(lines)[:4000], place=f"{kind} in sentences", sure=0.7)
            )
    return made


def _loose(lines: list[str]) -> list[str]:
    """The lines that are of no kind by themselves: sentences."""
    kinds = typed(lines)
    return [line for line in lines if line not in kinds]


def _hours(held: Iterable[Section]) -> Iterable[WordSeen]:
    for section in held:
        for passage in _passages(section.lines):
            text = "; ".join(f"{item['when']} {item['what']}" for item in passage.items)
            if passage.kind == "hours" and len(text) <= _MOST_HOURS:
                yield WordSeen(field="hours", text=text, place=f"“{section.heading}”" if section.heading else "text", sure=0.75)


def _passages(lines: list[str]) -> list[Passage]:
    """The passages of lines in the first language in which they hold hours."""
    text = CONTROLS.sub("", "\n".join(lines))[:4000].strip()
    for language in LANGUAGES if text else ():
        found = passages(ClientText(text=text), language)
        if any(one.kind == "hours" for one in found):
            return found
    return []
