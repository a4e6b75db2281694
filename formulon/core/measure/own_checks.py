"""What rules find on pages of ours as a browser sees them, laid over what they find on pages as predicted."""

import hashlib
from collections.abc import Iterator, MutableMapping
from dataclasses import replace
from functools import cached_property

from formulon.core.checks.drawn_facts import FontDrawn
from formulon.core.checks.findings import Cause, Finding, PageChecks, Report, merged, recounted
from formulon.core.checks.guideline import forbidden_pairs
from formulon.core.checks.page_facts import MEASURED, Fact, PageHead, Style, TextRun
from formulon.core.checks.predict import Prediction
from formulon.core.checks.profiles import Profile, profile_of
from formulon.core.checks.rule import Rule, rules
from formulon.core.checks.runner import Pagewise
from formulon.core.measure.agreement import disagreements
from formulon.core.measure.facts import Page as Seen
from formulon.core.measure.foreign import HELD, allowed_of
from formulon.core.measure.own import OwnPage, OwnSite
from formulon.core.measure.own_marks import areas, mark_facts
from formulon.core.site.site import Site
from formulon.core.system.policy import policy_of

# What is told better where all is known that the browser does not see: destinations by page and section, photographs by their largest size,
# grounds that are meant to be near each other, and a sitemap, which is written once the site has an address.
_PREDICTED_BETTER = frozenset(
    (
        "links/dead-destination",
        "pictures/too-small",
        "publishing/other-hosts",
        "consistency/near-colors",
        "links/orphan-page",
        "publishing/sitemap",
    )
)
# What asks for the brand, which any other site is not known to have.
_OF_BRAND = frozenset(
    (
        "brand/forbidden-pair",
        "brand/mark-clear",
        "brand/mark-size",
        "brand/mark-unaltered",
        "brand/mark-variant",
        "brand/proportions",
        "contrast/main-button",
    )
)
MEASURED_RULES = (HELD | _OF_BRAND | {"layout/as-predicted", "contrast/text-enhanced"}) - _PREDICTED_BETTER


# Rules over the whole site that ask for facts which a browser alone tells.
_OF_STYLES = frozenset((
    "brand/proportions", "brand/typefaces", "consistency/spaces",
    "consistency/buttons", "consistency/corners", "consistency/frame", "consistency/heading-styles", "consistency/many-fonts", "consistency/mark",
    "consistency/many-sizes", "consistency/navigation", "consistency/near-colors", "consistency/shadows", "consistency/stray-colors",
    "consistency/stray-fonts", "consistency/weights", "publishing/canonical", "publishing/other-hosts",
))  # fmt: skip


def needs_browser(rule: Rule) -> bool:
    """Whether a rule says nothing of pages that no browser has seen."""
    return rule.looks_at in MEASURED or rule.id in _OF_STYLES


def profile(site: Site) -> Profile:
    """The rules that look at a site of ours as it is seen, as its people weigh them."""
    basis = profile_of(site.choices, site.checks)
    without = basis.without | (rules().keys() - MEASURED_RULES)
    return replace(
        basis, without=without, severities={name: one for name, one in basis.severities.items() if name not in without}
    )


class OwnChecks:
    """The checks of what was seen of a site in one language. `kept` has what pages had, by what they are drawn from."""

    def __init__(self, site: Site, own: OwnSite, kept: MutableMapping[str, PageChecks] | None = None) -> None:
        self.site, self.own = site, own
        self.system = site.system()
        self.kept: MutableMapping[str, PageChecks] = {} if kept is None else kept
        self.rules = profile(site)
        self.pagewise = Pagewise(self.system, self.rules)
        self.allowed = allowed_of(site.identity, self.system)
        self.pages = 0
        weighed = (site.choices.policy, site.choices.thresholds.model_dump_json(), self.rules)
        self.weighed = hashlib.blake2b(repr(weighed).encode(), digest_size=8).hexdigest()

    @cached_property
    def prediction(self) -> Prediction:
        return Prediction(self.site, self.system, None)

    def knows(self, page: OwnPage) -> bool:
        """Whether what a page had is kept, so that what was seen of it is not needed."""
        return self._key(page) in self.kept

    def _first(self, page: OwnPage) -> bool:
        return page.page == self.site.drawn[0].id and page.scheme == self.system.schemes[0]

    def _departing(self, page: OwnPage) -> frozenset[str]:
        """Sections in own code that depart from the system for a reason, by id: their colours are no strays."""
        drawn = self.site.page(page.page)
        sections = drawn.sections if drawn else []
        return frozenset(one.id for one in sections if one.kind == "own_code" and one.reason.strip())

    def _key(self, page: OwnPage) -> str:
        made = f"{self.weighed} {page.folder} {page.page} {page.key} {sorted(self._departing(page))}"
        if not self._first(page):
            return made
        return f"{made} {hashlib.blake2b(repr(self.allowed).encode(), digest_size=8).hexdigest()}"

    def add(self, page: OwnPage, seen: Seen | None) -> None:
        """Checks a page; `seen` may be left out where it is known."""
        key = self._key(page)
        checks = self.kept.get(key)
        if checks is None:
            assert seen is not None
            checks = self.kept[key] = self.pagewise.checks_of(self._facts(page, seen))
        self.pagewise.add(checks)
        self.pages += 1

    def _facts(self, page: OwnPage, seen: Seen) -> Iterator[Fact]:
        identity, forbidden = self.site.identity, forbidden_pairs(self.site.identity)
        departing = self._departing(page)
        policy, drawn = policy_of(self.site.choices), next(one for one in self.site.drawn if one.id == page.page)
        predicted = list(self.prediction.page(drawn))
        # Of these texts it is known which letters their typeface lacks.
        lacking = {(one.place.section, one.text) for one in predicted if isinstance(one, TextRun) and one.unknown_glyphs}
        for fact in seen.facts(self.own.files, self._first(page), identity.name):
            if isinstance(fact, TextRun):
                yield replace(fact, policy=policy)
            elif isinstance(fact, Style) and fact.place.section in departing:
                yield replace(fact, ink="", ground="")
            elif isinstance(fact, FontDrawn) and (fact.place.section, fact.text) in lacking:
                continue
            elif isinstance(fact, PageHead):
                yield replace(fact, name=drawn.name, forbidden=forbidden)
            else:
                yield fact
        yield from mark_facts(identity, seen)
        if page.scheme == self.system.schemes[0]:
            yield from areas(identity, seen, seen.place(), self._first(page))
        if self._first(page):
            yield self.allowed

        def beside(width: int) -> list[Fact]:
            return list(Prediction(self.site, self.system, None, (width - 1, width + 1)).page(drawn))

        yield from disagreements(predicted, seen, beside)

    def cause(self, page: OwnPage, key: str) -> Cause | None:
        """What a finding of a page is about; None where the page is not known, or has no such finding."""
        checks = self.kept.get(self._key(page))
        return next((cause for finding, cause in checks.found if finding.key == key), None) if checks else None

    def whole_cause(self, key: str) -> Cause | None:
        """What a finding of all pages together is about; None where there is none."""
        return next((cause for finding, cause in self.pagewise.whole().found if finding.key == key), None)

    def report(self) -> Report:
        """What was found on the pages that were added."""
        report = self.pagewise.report(self.site.frame.ids, self.site.checks.waivers)
        once: dict[tuple[str, str], Finding] = {}
        for one in report.findings:
            known = once.get((one.page, one.key))
            once[one.page, one.key] = one if known is None else merged(known, one)
        return recounted(once.values(), report.counts)


def laid_over(predicted: Report, measured: Report) -> Report:
    """One report of both: what both find is told once, as predicted, and what a browser alone sees is added."""
    places: dict[tuple[str, str, str, str], list[int]] = {}
    for index, one in enumerate(predicted.findings):
        places.setdefault(_place(one), []).append(index)
    findings = list(predicted.findings)
    for seen in measured.findings:
        told = [index for index in places.get(_place(seen), ()) if _says(predicted.findings[index], seen)]
        for index in told:
            findings[index] = replace(findings[index], basis="both")
        if not told:
            findings.append(replace(seen, basis="measured"))
    counts = {name: count + measured.counts.get(name, 0) for name, count in predicted.counts.items()}
    return recounted(findings, counts)


_NEAR = 0.05  # of a ratio that is measured otherwise than predicted, which is rounded differently


def _says(predicted: Finding, seen: Finding) -> bool:
    """Whether a prediction tells all that was seen: what it cannot tell, or takes for better than it is, is no word on it."""
    if predicted.outcome != "fail":
        return seen.outcome != "fail"
    better = predicted.unit == ":1" and (predicted.measured or 0.0) - (seen.measured or 0.0) > _NEAR
    return not better


def _place(finding: Finding) -> tuple[str, str, str, str]:
    return finding.rule, finding.page, finding.section, finding.target.removesuffix("/label")
