"""Effect: what a change reaches, from one site to another: tokens, sections, verdicts, conflicts and stops."""

from collections import Counter
from collections.abc import Iterator
from dataclasses import dataclass

from formulon.core.checks.page_facts import Fact, TextRun
from formulon.core.checks.predict import predict
from formulon.core.checks.profiles import profile_of
from formulon.core.checks.reach import Use, places_of, reach
from formulon.core.checks.runner import check
from formulon.core.site.backdrop import OpenBlob
from formulon.core.site.site import Page, Section, Site
from formulon.core.system.system import System


@dataclass(frozen=True, slots=True)
class TokenChange:
    """A token whose value changed; empty where it did not exist, and `uses` as counted where it is now."""

    path: str
    scheme: str
    before: str
    after: str
    uses: int


@dataclass(frozen=True, slots=True)
class Turned:
    """A pair that passed and fails, or failed and passes, where it is used."""

    ground: str
    ink: str
    scheme: str
    before: float
    after: float
    required: float
    passes: bool
    uses: int


@dataclass(frozen=True, slots=True)
class Effect:
    """What a change reached. `sections` are those that use a changed token, or whose own content changed."""

    tokens: list[TokenChange]
    sections: list[Use]
    pages: int
    turned: list[Turned]
    conflicts_before: int
    conflicts_after: int
    stops_before: int
    stops_after: int


def effect(before: Site, after: Site, open_blob: OpenBlob | None = None) -> Effect:
    """The effect of going from one site to the other. `open_blob`: see `predict`."""
    old, new = (site.system() for site in (before, after))
    was, now = predict(before, old, open_blob=open_blob), predict(after, new, open_blob=open_blob)
    reached = reach(after, new, now)
    tokens = _tokens(old, new, {path: sum(use.count for use in uses) for path, uses in reached.items()})
    counts = Counter[tuple[str, str]]()
    for place in places_of(reached, {change.path for change in tokens}):
        counts[place.page, place.section] += 1
    for page, section in _edited(before, after):
        counts[page, section] += 1
    order = [(page.id, section.id) for page, section in _sections(after)]
    sections = [Use(*key, counts[key]) for key in order if key in counts]
    return Effect(
        tokens,
        sections,
        len({use.page for use in sections}),
        _turned(old, new, now),
        sum(not one.cause for one in old.conflicts),
        sum(not one.cause for one in new.conflicts),
        _stops(before, old, was),
        _stops(after, new, now),
    )


def _stops(site: Site, system: System, facts: list[Fact]) -> int:
    profile = profile_of(site.choices, site.checks)
    return check(facts, system, frame=site.frame.ids, profile=profile, waivers=site.checks.waivers).counts["stop"]


def _tokens(old: System, new: System, uses: dict[str, int]) -> list[TokenChange]:
    made = []
    for scheme in dict.fromkeys((*old.schemes, *new.schemes)):
        for path in dict.fromkeys((*old.tokens, *new.tokens)):
            values = [
                system.token(path, scheme).css if path in system.tokens and scheme in system.schemes else ""
                for system in (old, new)
            ]
            same_in_both = scheme != new.schemes[0] and path in new.tokens and path not in new.dark
            if values[0] != values[1] and not same_in_both:
                made.append(TokenChange(path, scheme, values[0], values[1], uses.get(path, 0)))
    return sorted(made, key=lambda one: one.uses == 0)  # used ones first, otherwise in the order of the system


def _turned(old: System, new: System, facts: list[Fact]) -> list[Turned]:
    """Pairs whose verdict turned, those in use first."""
    uses = Counter((fact.ground, fact.ink, fact.scheme) for fact in facts if isinstance(fact, TextRun))
    was = {(pair.ground, pair.ink, pair.scheme): pair for pair in old.pairs}
    made = []
    for pair in new.pairs:
        key = (pair.ground, pair.ink, pair.scheme)
        if key in was and was[key].passes != pair.passes:
            made.append(Turned(*key, was[key].ratio, pair.ratio, pair.required, pair.passes, uses[key]))
    return sorted(made, key=lambda one: (one.uses == 0, one.passes))


def _edited(before: Site, after: Site) -> list[tuple[str, str]]:
    """Sections whose content, layout or ground is another; header and footer on every page."""
    old = {(page.id, section.id): section for page, section in _sections(before)}
    return [(page.id, section.id) for page, section in _sections(after) if old.get((page.id, section.id)) != section]


def _sections(site: Site) -> Iterator[tuple[Page, Section]]:
    """Every section of every page, from the top."""
    for page in site.drawn:
        for section in (site.frame.header, *page.sections, site.frame.footer):
            yield page, section
