"""What a text is in another language at one of its places stays with that text: where its section is moved to another page, its item to
another row, and where either is duplicated. On documents, as they were and as they are after a change."""

from collections import defaultdict
from collections.abc import Iterator, Mapping
from typing import Any, NamedTuple

from formulon.core.site.documents import LANGUAGES, Bodies, Body
from formulon.core.site.texts import Text, texts
from formulon.core.site.translations import MOST_PLACES


class _Place(NamedTuple):
    """A text, what its section holds, and the section that stands before that; None outside of the sections of pages."""

    text: Text
    held: Body | None = None
    follows: str | None = None


_Places = dict[str, _Place]


def kept_at_places(before: Bodies, after: Bodies) -> dict[str, Body]:
    """The documents after a change, with what texts are at single places where these texts stand now."""
    held = after.get(LANGUAGES, {}).get("further", {})
    told = [one for language in held.values() for one in language["texts"].values() if one["at"]]
    if not told:
        return dict(after)
    sources = {one["source"] for one in told}
    was, now = _places(before, sources), _places(after, sources)
    further = {code: one | {"texts": dict(_moved(one["texts"], was, now))} for code, one in held.items()}
    return dict(after) if further == held else {**after, LANGUAGES: after[LANGUAGES] | {"further": further}}


def _places(bodies: Bodies, sources: set[str]) -> dict[str, _Places]:
    made: dict[str, _Places] = defaultdict(dict)
    for one in texts(bodies):
        if one.text in sources and one.path[0] == "sections":
            index, sections = int(one.path[1]), bodies[one.document]["sections"]
            made[one.text][one.place] = _Place(one, sections[index]["content"], sections[index - 1]["id"] if index else None)
        elif one.text in sources:
            made[one.text][one.place] = _Place(one)
    return made


def _moved(
    held: Mapping[str, dict[str, Any]], was: Mapping[str, _Places], now: Mapping[str, _Places]
) -> Iterator[tuple[str, dict[str, Any]]]:
    for key, one in held.items():
        source = one["source"]
        yield key, (one | {"at": _at(one["at"], was.get(source, {}), now.get(source, {}))} if one["at"] else one)


def _at(at: Mapping[str, str], was: _Places, now: _Places) -> dict[str, str]:
    """What a text is at its places now. A place that it left leads to the one most like it that it came to; one that it came to besides
    has what all that were like it have. What leads nowhere is kept: it holds again where the text comes back."""
    made, come = dict(at), [place for place in now if place not in was]
    for place in [one for one in was if one not in now]:
        if come:
            to = max(come, key=lambda other: _alike(was[place], now[other]))
            come.remove(to)
            if place in made:
                made[to] = made.pop(place)
    for place in come:
        new = now[place]
        like = [one for one, old in was.items() if old.held == new.held and old.text.inner == new.text.inner]
        like = [one for one in like if was[one].text.section == new.follows] or like  # a duplicate stands after its like
        like = like or [one for one, old in was.items() if _unnumbered(old.text) == _unnumbered(new.text)]
        said = {at.get(one, "") for one in like}
        if len(said) == 1 and "" not in said:
            made[place] = said.pop()
    return dict(list(made.items())[:MOST_PLACES])


def _alike(one: _Place, other: _Place) -> tuple[bool, bool, bool]:
    """How alike two places are: in one section, at one path within it, with one name there."""
    old, new = one.text, other.text
    return old.section == new.section, old.inner == new.inner, old.path[-1] == new.path[-1]


def _unnumbered(text: Text) -> tuple[str, ...]:
    """Its path without the numbers of items: every card's title."""
    return tuple("" if isinstance(part, int) else part for part in text.inner or text.path)
