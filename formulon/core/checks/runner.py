"""check(facts, system): rules over facts, predicted or measured, at once or page by page."""

from collections import Counter, OrderedDict
from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace

from formulon.core.checks.findings import (
    Cause,
    Finding,
    Looked,
    PageChecks,
    Report,
    both,
    finding_of,
    report_of,
    reported,
    told_in,
)
from formulon.core.checks.page_facts import Fact, SectionHead
from formulon.core.checks.profiles import ALL, Profile
from formulon.core.checks.rule import Outcome, Rule
from formulon.core.checks.views import Held, PageView, SectionView, SiteView, pages_of, site_of
from formulon.core.system.documents.checks import Waiver
from formulon.core.system.system import System


def check(
    facts: Iterable[Fact],
    system: System,
    only: Sequence[str] | None = None,
    frame: Sequence[str] = (),
    profile: Profile = ALL,
    waivers: Sequence[Waiver] = (),
) -> Report:
    """The findings of a profile's rules, or of those named, over facts. Those of the sections named by `frame`, which stand on
    every page, are told once. Without fixes: see `Preflight`."""
    facts, those = list(facts), those_of(profile, only)
    return report_of([checked(facts, system, those), checked_site([Held.of(facts)], system, those)], frame, waivers)


class Pagewise:
    """The same over pages that come one after another, of which no more is kept than what is asked by rules for the whole site."""

    def __init__(self, system: System, profile: Profile) -> None:
        self.system, self.rules = system, those_of(profile, None)
        self.made: list[tuple[Counter[str], list[Finding]]] = []
        self.kept: list[Held] = []

    def checks_of(self, facts: Iterable[Fact]) -> PageChecks:
        """What the rules find on a page, to be added now or later."""
        held = list(facts)
        return replace(checked(held, self.system, self.rules), kept=Held.of(held))

    def add(self, checks: PageChecks) -> None:
        """Adds what a page had; of its findings what they are about is let go."""
        self.made.append((checks.counts, [finding for finding, _ in checks.found]))
        self.kept.append(checks.kept)

    def whole(self) -> "SiteChecks":
        """What the rules find that look at all the pages that were added."""
        return checked_site(self.kept, self.system, self.rules)

    def report(self, frame: Sequence[str], waivers: Sequence[Waiver] = ()) -> Report:
        """What was found. `frame`: see `check`."""
        whole = self.whole()
        return reported([*self.made, (whole.counts, [finding for finding, _ in whole.found])], frame, waivers)


def those_of(profile: Profile, only: Sequence[str] | None) -> list[Rule]:
    return [one for one in profile.rules() if only is None or one.id in only]


def checked(facts: Iterable[Fact], system: System, those: Sequence[Rule]) -> PageChecks:
    counts: Counter[str] = Counter()
    found: OrderedDict[str, tuple[Finding, Cause]] = OrderedDict()
    facts = list(facts)
    by_type: dict[type, list[Rule]] = {}
    for one in those:
        by_type.setdefault(one.looks_at, []).append(one)
    pages = list(pages_of(facts)) if PageView in by_type else []
    sections: list[SectionView] = [one for page in pages for one in page.sections] or (
        list(_alone(facts)) if SectionView in by_type else []
    )
    looked: tuple[Looked, ...] = (*facts, *sections, *pages)
    return _looked(looked, by_type, system, counts, found)


def _alone(facts: Sequence[Fact]) -> Iterator[SectionView]:
    """The sections of facts without their page."""
    for head in facts:
        if isinstance(head, SectionHead):
            own = (one for one in facts if (one.place.page, one.place.section) == (head.place.page, head.place.section))
            yield SectionView(head.place, head, tuple(own))


@dataclass(frozen=True)
class _Ruled:
    """What one rule found on the whole site, and the kinds of facts that it asked for."""

    rule: Rule
    asked: frozenset[type]
    checks: PageChecks


@dataclass(frozen=True)
class SiteChecks(PageChecks):
    """What the rules found that look at the whole site, by rule, and what they looked at."""

    parts: tuple[Held, ...] = ()
    ruled: Mapping[str, _Ruled] = field(default_factory=dict)


def checked_site(parts: Iterable[Held], system: System, those: Sequence[Rule], last: SiteChecks | None = None) -> SiteChecks:
    """The rules that look at the whole site. Where `last` is what they found before, under the same system, a rule is asked again only
    where facts of a kind that it asks for are others."""
    parts, ruled = tuple(parts), dict[str, _Ruled]()
    site = site_of(parts)
    known = last.ruled if last and len(last.parts) == len(parts) else {}
    moved = [(old, new) for old, new in zip(last.parts, parts, strict=True) if old is not new] if last and known else []
    for one in those:
        if not one.whole or site is None:
            continue
        had = known.get(one.id)
        if had and had.rule == one and all(old.same(new, had.asked) for old, new in moved):
            found: list[tuple[Finding, Cause]] = [
                (finding, (one, site, verdict)) for finding, (_, _, verdict) in had.checks.found
            ]
            ruled[one.id] = replace(had, checks=replace(had.checks, found=found))
            continue
        site.asked.clear()
        checks = _looked((site,), {SiteView: [one]}, system, Counter(), OrderedDict())
        ruled[one.id] = _Ruled(one, frozenset(site.asked), checks)
    counts: Counter[str] = Counter()
    for had in ruled.values():
        counts.update(had.checks.counts)
    return SiteChecks(counts, [pair for had in ruled.values() for pair in had.checks.found], parts=parts, ruled=ruled)


def _looked(
    looked: Iterable[Looked],
    by_type: Mapping[type, list[Rule]],
    system: System,
    counts: Counter[str],
    found: OrderedDict[str, tuple[Finding, Cause]],
) -> PageChecks:
    outcomes: list[Outcome] = []
    for fact in looked:
        for one in by_type.get(type(fact), ()):
            outcome, verdicts = one.verdicts(fact)
            outcomes.append(outcome)
            for verdict in verdicts:
                finding = finding_of(one, fact, verdict)
                known = found.get(finding.key)
                if known is None:
                    found[finding.key] = finding, (one, fact, verdict)
                else:
                    found[finding.key] = both(known, finding, (one, fact, verdict))
    counts.update(outcomes)
    told = [(told_in(finding, system), cause) for finding, cause in found.values()]
    return PageChecks(counts, told)
