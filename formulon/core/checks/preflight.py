"""The checks of a site, and the fixes of findings, each recomputed before it is offered.

Checks are made page by page, and what a page had is kept by its content: after a change only what it touches is checked again.
Fixes are worked out for the findings that somebody looks at, and the work ends when nobody waits for it any more.
"""

import hashlib
import json
from collections import Counter, OrderedDict
from collections.abc import Callable, Iterable, MutableMapping, Sequence
from dataclasses import replace
from functools import cached_property

from formulon.core.checks.findings import Cause, Finding, Fix, Looked, PageChecks, Report, report_of
from formulon.core.checks.glance import Glance, glance
from formulon.core.checks.page_facts import Fact
from formulon.core.checks.predict import Prediction, predict, predict_section
from formulon.core.checks.profiles import profile_of
from formulon.core.checks.rule import Remedy, Rule
from formulon.core.checks.runner import SiteChecks, checked, checked_site
from formulon.core.checks.views import Held, PageView
from formulon.core.errors import FormulonError
from formulon.core.site.backdrop import OpenBlob
from formulon.core.site.changes import Change, apply, pointer
from formulon.core.site.documents import located, page_document
from formulon.core.site.site import Page, Site
from formulon.core.system.system import System

MOST_FIXES = 4
_STATES_KEPT = 12  # of a site after a proposal; many findings share one
Gone = Callable[[], bool]


class Abandoned(FormulonError):
    """Nobody waits for the answer any more."""

    code = "abandoned"


def check_site(site: Site, system: System | None = None, open_blob: OpenBlob | None = None, most: int | None = None) -> Report:
    """Predicts, checks, and offers for the first findings, by default for all, the fixes that were recomputed and pass.
    `open_blob`: see `predict`."""
    work = Preflight(site, system, open_blob)
    report = work.report()
    findings = [
        replace(finding, fixes=work.fixes(finding)) if most is None or index < most else finding
        for index, finding in enumerate(report.findings)
    ]
    return Report(report.counts, findings)


class Preflight:
    """The checks of a site. `kept` holds what pages had by their content, over several sites; `gone` tells whether the asker
    has left, upon which the work ends with Abandoned."""

    def __init__(
        self, site: Site, system: System | None = None, open_blob: OpenBlob | None = None,
        kept: MutableMapping[str, PageChecks] | None = None, gone: Gone = lambda: False,
    ) -> None:  # fmt: skip
        self.site, self.open_blob, self.gone = site, open_blob, gone
        self.system = system or site.system()
        self.kept: MutableMapping[str, PageChecks] = {} if kept is None else kept
        self.shared = _shared(site)
        self.of: dict[str, tuple[Page, PageChecks]] = {}
        self.rules = list(profile_of(site.choices, site.checks).rules())
        self.tried: OrderedDict[str, tuple[Site, System] | None] = OrderedDict()
        self.left: dict[tuple[str, str, str], Counter[str]] = {}

    @cached_property
    def prediction(self) -> Prediction:
        """What predicts the pages; what they share is worked out once."""
        return Prediction(self.site, self.system, self.open_blob)

    def report(self) -> Report:
        """What the rules find on all pages, without fixes. Header and footer are checked once."""
        parts = [self.frame(), *(self.page(page) for page in self.site.drawn), self.whole()]
        return report_of(parts, waivers=self.site.checks.waivers)

    def glances(self) -> list[Glance]:
        """Every page at a glance, with its header and footer."""
        return [self.frame().glance + self.page(page).glance for page in self.site.drawn]

    def whole(self) -> PageChecks:
        """What the rules find that look at the site as a whole."""
        return self._whole

    @cached_property
    def _whole(self) -> PageChecks:
        """What was found before is taken over, rule by rule, where nothing has changed that they ask for."""
        key = f"{self.shared} whole"
        last = self.kept.get(key)
        made = checked_site(self.held(), self.system, self.rules, last if isinstance(last, SiteChecks) else None)
        self.kept[key] = made
        return made

    def held(self) -> list[Held]:
        """What is kept of all pages for the rules that look at the whole site."""
        return [self.page(page).kept for page in self.site.drawn]

    def page(self, page: Page) -> PageChecks:
        """What the rules find on a page but for its header and footer. Its content is read once."""
        known = self.of.get(page.id)
        if known is None or known[0] is not page:
            known = self.of[page.id] = page, self._checks(page.model_dump_json(), lambda: self.prediction.own(page))
        return known[1]

    def frame(self) -> PageChecks:
        """What the rules find in header and footer, told of the first page."""
        return self._checks("frame", lambda: self.prediction.frame(self.site.drawn[0]))

    def _checks(self, content: str, facts_of: Callable[[], Iterable[Fact]]) -> PageChecks:
        """The checks of facts, kept by the content that they are of."""
        key = hashlib.blake2b((self.shared + content).encode(), digest_size=16).hexdigest()
        found = self.kept.get(key)
        if found is None:
            self.go_on()
            facts = list(facts_of())
            seen = glance(facts, self.system.schemes[0])
            found = self.kept[key] = replace(checked(facts, self.system, self.rules), kept=Held.of(facts), glance=seen)
        return found

    def finding(self, page_id: str, key: str) -> Finding | None:
        """A finding of a page by its key."""
        found = self._found(page_id, key)
        return found[0] if found else None

    def _found(self, page_id: str, key: str) -> tuple[Finding, Cause] | None:
        """A finding of a page with what it is about."""
        page = self.site.page(page_id)
        if page is None:
            return None
        everywhere = (*self.frame().found, *self.page(page).found, *self.whole().found)
        return next((one for one in everywhere if one[0].key == key and one[0].page == page_id), None)

    def fixes(self, finding: Finding) -> list[Fix]:
        """The proposals after which the rule finds less on the page than it did."""
        page = self.site.page(finding.page)
        found = self._found(finding.page, finding.key)
        if page is None or found is None:
            return []
        one, fact, verdict = found[1]
        offered: list[Fix] = []
        for proposal in one.mend(self.site, self.system, fact, verdict, one.options):
            self.go_on()
            changes = [change.model_dump() for change in proposal.changes]
            if any(other.changes == changes for other in offered):  # two ways to the same
                continue
            after = self._after(json.dumps(changes, sort_keys=True), proposal, page, finding.section, one)
            if after is None:
                continue
            less, facts = after
            if less:
                offered.append(Fix(proposal.label, changes, _predicted(one, fact, facts), proposal.asks))
            if len(offered) == MOST_FIXES:
                break
        return offered

    def untried(self, cause: Cause) -> list[Fix]:
        """The first thing that the rule of something which only a browser sees proposes, where it can be taken. What it comes to is told by
        the browser, once it looks again; so nothing that is farther off is offered."""
        one, fact, verdict = cause
        place = verdict.place or fact.place
        section = self.site.section(place.page, place.section)
        # A browser names by a selector what has no slot of its own; nothing can be put there. The site as a whole has no place.
        if not (one.whole and not place.section) and (
            section is None or place.slot.partition("/")[0] not in section.catalogue.slots
        ):
            return []
        for proposal in one.mend(self.site, self.system, fact, verdict, one.options):
            self.go_on()
            if _changed(self.site, self.system, proposal.changes) is not None:
                return [Fix(proposal.label, [change.model_dump() for change in proposal.changes], None, proposal.asks)]
        return []

    def cause(self, finding: Finding) -> Cause | None:
        """What a finding is about; None where there is no such finding any more."""
        found = self._found(finding.page, finding.key)
        return found[1] if found else None

    def go_on(self) -> None:
        """Raises Abandoned where nobody waits any more."""
        if self.gone():
            raise Abandoned("The work was ended, since nobody waits for it.")

    def _after(self, key: str, proposal: Remedy, page: Page, section: str, one: Rule) -> tuple[bool, list[Fact]] | None:
        """Whether the rule finds less on the page after a proposal, and the facts of the section it is about; None where the
        proposal does not fit. A change of one section is checked on that section alone."""
        if key not in self.tried:
            self.tried[key] = _changed(self.site, self.system, proposal.changes)
            while len(self.tried) > _STATES_KEPT:
                self.tried.popitem(last=False)
        after = self.tried[key]
        if after is None:
            return None
        site, system = after
        changed = site.page(page.id)
        if one.whole:
            had = sum(finding.rule == one.id for finding, _ in self.whole().found)
            return len(checked_site(self._held_after(site, system), system, [one]).found) < had, []
        if changed is None:
            return True, []
        kept = [one for one in changed.sections if one.id == section]
        whole = section in site.frame.ids or not kept
        facts = [] if whole else predict_section(site, system, changed, kept[0], self.open_blob)
        before = (*self.frame().found, *self.page(page).found)
        if one.looks_at is not PageView and _one_section(proposal.changes, self.site, page, section):
            had = sum(finding.rule == one.id and finding.section == section for finding, _ in before)
            return len(checked(facts, system, [one]).found) < had, facts
        name = (key, page.id, one.id)
        if name not in self.left:
            everything = predict(site, system, [changed], self.open_blob)
            self.left[name] = Counter(finding.rule for finding, _ in checked(everything, system, [one]).found)
            if whole:
                facts = [fact for fact in everything if fact.place.section == section]
        return self.left[name][one.id] < sum(finding.rule == one.id for finding, _ in before), facts

    def _held_after(self, site: Site, system: System) -> list[Held]:
        """What rules for the whole site look at after a proposal: pages that it does not touch are as they are kept."""
        after = Preflight(site, system, self.open_blob, self.kept, self.gone)
        if after.shared == self.shared:
            return after.held()
        if _shared(site, menus=False) == _shared(
            self.site, menus=False
        ):  # what the menu leads to is told of the page itself alone
            same = ((page, self.site.page(page.id)) for page in site.drawn)
            return [
                self.page(old).kept if old and (old is page or old == page) else Held.of(after.prediction.own(page))
                for page, old in same
            ]
        return [Held.of(after.prediction.own(page)) for page in site.drawn]


def _shared(site: Site, menus: bool = True) -> str:
    """What the checks of every page rest on besides the page: all but its corners, which move no box and colour nothing."""
    pages = [(page.id, page.name, page.menu and menus) for page in site.drawn]
    assets = [asset.model_dump_json(exclude={"svg"}) for asset in site.assets]
    choices = site.choices.model_dump_json(exclude={"radius", "corners"})
    weighed = site.checks.model_dump_json(exclude={"waivers", "measured"})
    parts = [site.identity.model_dump_json(), choices, site.frame.model_dump_json(), pages, assets, weighed]
    return hashlib.blake2b(repr(parts).encode(), digest_size=16).hexdigest()


def _one_section(changes: Sequence[Change], site: Site, page: Page, section: str) -> bool:
    """Whether changes touch nothing but one section of a page, which stays on it."""
    found = located(site, page.id, section)
    return found is not None and all(
        change.document == found[0] == page_document(page.id)
        and all(str(operation.get("path", "")).startswith(f"{pointer(*found[1])}/") for operation in change.patch)
        for change in changes
    )


def _changed(site: Site, system: System, changes: Sequence[Change]) -> tuple[Site, System] | None:
    """Site and system after changes; None where they do not fit."""
    try:
        changed = apply(site, changes)
    except FormulonError:
        return None
    if changed.identity == site.identity and changed.choices == site.choices:
        return changed, system
    return changed, changed.system()


def _predicted(one: Rule, fact: Looked, facts: Sequence[Fact]) -> float | None:
    """The measured figure of the same place after the fix, where the rule measures one."""
    probe = next((f for f in facts if type(f) is type(fact) and f.place == fact.place and _twin(f, fact)), None)
    return None if probe is None or one.measure is None else float(one.measure(probe))


def _twin(a: Looked, b: Fact) -> bool:
    return getattr(a, "ink", None) == getattr(b, "ink", None) and getattr(a, "scheme", None) == getattr(b, "scheme", None)
