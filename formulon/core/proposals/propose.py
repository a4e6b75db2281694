"""propose(): whole styles for a brand, one after the other, each unlike the last ones. Deterministic.

Of a few aims the one is taken whose style differs most from the last proposals, by the parts that are seen most. What is decided is in
no proposal. Each is resolved; a conflict that the site does not have already changes the rhythm or is left out of the proposal.
"""

from collections.abc import Iterator, Sequence
from dataclasses import replace
from itertools import islice, pairwise
from typing import Any

from formulon.core.proposals import making
from formulon.core.proposals.aims import Aim, aims
from formulon.core.proposals.style import PARTS, Proposed, StyleProposal, decided
from formulon.core.site.documents import CHOICES, IDENTITY, Bodies, Body, documents, planned
from formulon.core.site.planning.arrange import chance
from formulon.core.site.planning.planner import plan
from formulon.core.site.planning.rhythms import QUIETEST, STRONG, unreadable
from formulon.core.site.replan import replanned
from formulon.core.site.site import Asset, Site
from formulon.core.system.documents.choices import Choices, Rhythm, StylePart
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve
from formulon.core.type.library import SHIPPED, Library

LAST = 8  # proposals that the next one is unlike
_LOOKED_AT = 3  # aims of which the least alike is taken
_TURNS, _APART = 4, 100  # arrangements that are tried, and how far their numbers are apart


def proposals(site: Site, first: int = 1) -> Iterator[StyleProposal]:
    """Proposals from a number on, without end. The same site, and the same number, give the same."""
    free = [part for part in PARTS if not decided(site, part)]
    seed = int(chance(site.identity.name) * 997)
    stream = aims(site.identity.character, seed)
    known = {conflict.path for conflict in site.system().conflicts}
    last: list[tuple[Proposed, ...]] = []
    pages: list[Composed] = []
    number = 0
    while True:
        number += 1
        candidates = list(islice(stream, _LOOKED_AT))
        asked = [making.Asked(site, aim, number, last[-LAST:]) for aim in candidates]
        made = [(one, tuple(making.made(part, one) for part in free)) for one in asked]
        chosen, parts = max(made, key=lambda one: min((unlike(one[1], other) for other in last[-LAST:]), default=1.0))
        parts = _in_rhythm(site, parts, chosen)
        if "layouts" in free:
            arrangement, composed = _arranged(site, number, pages[-LAST:])
            parts = tuple(replace(one, values={"arrangement": arrangement}) if one.part == "layouts" else one for one in parts)
            pages.append(composed)
        last.append(parts)
        if number >= first:
            solved = _solved(site, parts, known)
            yield StyleProposal(number, _name(chosen.aim, solved, site), solved)


Composed = tuple[tuple[str, str], ...]


def _arranged(site: Site, number: int, last: Sequence[Composed]) -> tuple[int, Composed]:
    """The arrangement, of a few, whose start page is the least like those of the last proposals, and the compositions of that page. The
    opening counts for as much as all the rest."""

    def met(page: Composed) -> float:
        shared = [sum(one in other for one in page[1:]) / max(1, len(page) - 1) + (page[:1] == other[:1]) for other in last]
        return sum(share / age for age, share in enumerate(reversed(shared), 1)) + 9 * (page in last)

    tried: list[tuple[int, Composed]] = []
    for turn in range(_TURNS):
        arrangement = number + turn * _APART
        made = plan(
            site.identity, site.choices.model_copy(update={"arrangement": arrangement}), site.assets,
            library=site.library, composed=False,
        )  # fmt: skip
        tried.append((arrangement, tuple((one.kind, one.layout) for one in made.pages[0].sections)))
    return min(tried, key=lambda one: (met(one[1]), one[0]))


def unlike(one: Sequence[Proposed], other: Sequence[Proposed]) -> float:
    """How far two styles differ, 0–1: the share of what is seen in the parts that are not the same."""
    by_part = {made.part: made.values for made in other}
    whole = sum(PARTS[made.part].tells for made in one)
    apart = sum(PARTS[made.part].tells for made in one if by_part.get(made.part) != made.values)
    return apart / whole if whole else 0.0


def applied(
    bodies: Bodies,
    base: Body,
    proposal: StyleProposal,
    parts: Sequence[StylePart],
    assets: list[Asset],
    library: Library = SHIPPED,
) -> tuple[dict[str, Body], dict[str, Body]]:
    """The documents of a brand once some parts of a proposal are taken, planned anew around decisions, and the bare new plan. `base` is
    what was planned last."""
    identity, choices = dict(bodies[IDENTITY]), dict(bodies[CHOICES])
    taken = dict(choices.get("taken", {}))
    for one in proposal.parts:
        if one.part not in parts:
            continue
        target = identity if PARTS[one.part].document == IDENTITY else choices
        target.update(one.values)
        taken[one.part] = dict(one.values)
    choices["taken"] = taken
    made = plan(Identity.model_validate(identity), Choices.model_validate(choices), assets, library=library)
    new = planned(documents(made))
    merged = replanned(base, planned(bodies), new)
    rest = {name: body for name, body in bodies.items() if name not in planned(bodies)}
    return {**rest, IDENTITY: identity, CHOICES: choices, **merged}, new


def _in_rhythm(site: Site, parts: tuple[Proposed, ...], asked: making.Asked) -> tuple[Proposed, ...]:
    """The parts with a rhythm in which no two strong grounds meet on the pages as they are, and which stands on no ground where
    something cannot be read."""
    counts = [len(page.sections) for page in site.pages]
    known = unreadable(site.system())
    fitting = (beat for beat in making.beats(asked) if apart(beat.rhythm, counts) and not beat.stands_on() & known)
    return tuple(making.rhythm(next(fitting, QUIETEST)) if one.part == "rhythm" else one for one in parts)


def _solved(site: Site, parts: tuple[Proposed, ...], known: set[str]) -> tuple[Proposed, ...]:
    """The parts without those that bring a conflict which the site does not have already."""

    def brought(some: Sequence[Proposed]) -> int:
        system = resolve(*_with(site, some), site.library)
        return sum(conflict.path not in known for conflict in system.conflicts)

    made, left = list(parts), brought(parts)
    while left:
        without = [[one for one in made if one is not other] for other in made]
        left, made = min(((brought(some), some) for some in without), key=lambda pair: pair[0])
    return tuple(made)


def apart(rhythm: Rhythm, counts: Sequence[int]) -> bool:
    """Whether no two strong grounds meet on pages of so many sections, the start page first."""
    for number, count in enumerate(counts):
        found = [rhythm.ground(index, count, number == 0) in STRONG for index in range(count)]
        if any(one and other for one, other in pairwise(found)):
            return False
    return True


def _with(site: Site, parts: Sequence[Proposed]) -> tuple[Identity, Choices]:
    """Identity and choices with some parts."""
    identity: dict[str, Any] = {}
    choices: dict[str, Any] = {}
    for one in parts:
        (identity if PARTS[one.part].document == IDENTITY else choices).update(one.values)
    return (
        Identity.model_validate(site.identity.model_dump() | identity),
        Choices.model_validate(site.choices.model_dump() | choices),
    )


def _name(aim: Aim, parts: Sequence[Proposed], site: Site) -> str:
    """A few words by which a proposal is told from others: what it is, the ground that it opens on, and its headline's typeface."""
    by_part = {one.part: one.values for one in parts}
    words = ", ".join(aim.words()) or "Even"
    opening = f", on {by_part['rhythm']['rhythm']['opening']}" if "rhythm" in by_part else ""
    face = f", in {site.library[by_part['type']['typefaces']['heading']].name}" if "type" in by_part else ""
    return f"{words[:1].upper()}{words[1:]}{opening}{face}"
