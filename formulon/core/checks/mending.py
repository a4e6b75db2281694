"""What changes would come to on the whole site: which findings they end, and which they make."""

import json
from collections import Counter
from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from typing import Any

from formulon.core.checks.findings import Finding, Report
from formulon.core.checks.preflight import Preflight
from formulon.core.errors import FormulonError
from formulon.core.site.changes import Change, apply
from formulon.core.site.site import Site

MOST = 8  # changes that are offered
_LOOKED_AT = 24  # of those that are proposed, those that most findings propose first
_PROPOSALS = 3  # of a finding
_MOST_AT_ONCE = 200  # findings that are mended together
_MOST_OPERATIONS = 300  # on one document


@dataclass(frozen=True, slots=True)
class Place:
    """A finding as it is named: its page and its key."""

    page: str
    key: str


@dataclass(frozen=True, slots=True)
class Mending:
    """A change with what it comes to: the findings that it ends and those that it makes, and how many stops there are then."""

    label: str
    changes: list[dict[str, Any]]
    ends: list[Place]
    makes: list[Finding]
    stops: int
    left: int = 0  # findings of the kind that it does not end


def weighed(work: Preflight, label: str, changes: Sequence[Change]) -> Mending | None:
    """What changes would come to; None where they do not fit."""
    return _weighed(work, work.report(), label, changes)


def _weighed(work: Preflight, before: Report, label: str, changes: Sequence[Change]) -> Mending | None:
    try:
        site = apply(work.site, changes)
    except FormulonError:
        return None
    return _between(work, before, label, [change.model_dump() for change in changes], site)


def _between(work: Preflight, before: Report, label: str, changes: list[dict[str, Any]], site: Site) -> Mending:
    after = Preflight(site, open_blob=work.open_blob, kept=work.kept, gone=work.gone).report()
    had, has = _open(before), _open(after)
    ended = [Place(one.page, one.key) for place, one in had.items() if place not in has]
    return Mending(label, changes, ended, [one for place, one in has.items() if place not in had], after.counts["stop"])


def _open(report: Report) -> dict[tuple[str, str], Finding]:
    """The findings that nobody has waived, by page and key."""
    return {(one.page, one.key): one for one in report.findings if one.outcome == "fail" and not one.waived}


def mendings(work: Preflight) -> list[Mending]:
    """The changes that would mend most, those that end the most stops first; none that would make a stop, and none that ends what an
    earlier one has ended already."""
    report = work.report()
    votes: Counter[str] = Counter()
    proposed: dict[str, tuple[str, list[Change]]] = {}
    for finding in _open(report).values():
        for label, changes in _proposals(work, finding):
            key = json.dumps([change.model_dump() for change in changes], sort_keys=True)
            votes[key] += 3 if finding.stops else 1
            proposed.setdefault(key, (label, changes))
    made = []
    for key, _ in votes.most_common(_LOOKED_AT):
        work.go_on()
        mending = _weighed(work, report, *proposed[key])
        if mending and mending.ends and not any(one.stops for one in mending.makes) and len(mending.ends) > len(mending.makes):
            made.append(mending)
    return _first(made, {(one.page, one.key) for one in report.findings if one.stops})


def _proposals(work: Preflight, finding: Finding) -> Iterator[tuple[str, list[Change]]]:
    """What a finding's rule proposes, before any of it is tried."""
    found = work.cause(finding)
    if found is None:
        return
    one, fact, verdict = found
    for index, remedy in enumerate(one.mend(work.site, work.system, fact, verdict, one.options)):
        if index == _PROPOSALS:
            return
        if not remedy.asks:  # what only a person can say is nothing to be taken for many at once
            yield remedy.label, list(remedy.changes)


def _first(made: Sequence[Mending], stops: set[tuple[str, str]]) -> list[Mending]:
    """Greedily those that end the most of what is left."""
    left, chosen, ended = list(made), list[Mending](), set[tuple[str, str]]()

    def worth(one: Mending) -> tuple[int, int]:
        places = {(place.page, place.key) for place in one.ends} - ended
        return len(places & stops), len(places) - len(one.makes)

    while left and len(chosen) < MOST:
        best = max(left, key=worth)
        if worth(best) <= (0, 0):
            break
        left.remove(best)
        chosen.append(best)
        ended |= {(place.page, place.key) for place in best.ends}
    return chosen


def all_of(work: Preflight, rule: str) -> Mending:
    """The first fix of every finding of a rule that has one, each worked out on what those before it leave. As one change."""
    site, before, changes, skipped = work.site, work.report(), list[Change](), set[str]()
    for _ in range(_MOST_AT_ONCE):
        if len(changes) and max(len(one["patch"]) for one in _together(changes)) > _MOST_OPERATIONS:
            break
        now = Preflight(site, open_blob=work.open_blob, kept=work.kept, gone=work.gone)
        left = (one for one in _open(now.report()).values() if one.rule == rule and f"{one.page} {one.key}" not in skipped)
        finding = next(left, None)
        if finding is None:
            break
        fixes = [fix for fix in now.fixes(finding) if not fix.asks]
        if not fixes:
            skipped.add(f"{finding.page} {finding.key}")
            continue
        fixed = [Change.model_validate(change) for change in fixes[0].changes]
        site = apply(site, fixed)
        changes += fixed
    mended = _between(work, before, "", _together(changes), site)
    places = {(one.page, one.key) for one in before.findings if one.rule == rule}
    count = sum((place.page, place.key) in places for place in mended.ends)
    what = "finding" if count == 1 else "findings"
    return replace(mended, label=f"{count} {what} mended", left=len(skipped))


def _together(changes: Sequence[Change]) -> list[dict[str, Any]]:
    """One patch for each document, with the operations in their order."""
    made: dict[str, list[dict[str, Any]]] = {}
    for change in changes:
        made.setdefault(change.document, []).extend(change.patch)
    return [{"document": document, "patch": patch} for document, patch in made.items()]
