"""check(facts, system): rules over facts; and the fixes, each recomputed before it is offered."""

import json
from collections import Counter
from collections.abc import Sequence
from dataclasses import asdict, dataclass, field, replace
from typing import Any

from formulon.core.checks.facts import Fact, Place
from formulon.core.checks.predict import predict
from formulon.core.checks.rule import Outcome, Rule, Severity, Verdict, rules
from formulon.core.errors import FormulonError
from formulon.core.site.backdrop import OpenBlob
from formulon.core.site.changes import apply
from formulon.core.site.model import Site
from formulon.core.system.model import System
from formulon.core.system.resolve import resolve

MOST_FIXES = 4


@dataclass(frozen=True, slots=True)
class Fix:
    """A change that was recomputed and passes its rule. `predicted` is what it then measures, where it has a figure."""

    label: str
    changes: list[dict[str, Any]]
    predicted: float | None


@dataclass(frozen=True, slots=True)
class Finding:
    """A rule's result at one place."""

    rule: str
    code: str
    outcome: Outcome
    severity: Severity
    page: str
    section: str
    width: int | None
    target: str
    measured: float | None
    required: float | None
    unit: str
    message: str
    fixes: list[Fix] = field(default_factory=list)

    @property
    def stops(self) -> bool:
        return self.severity == "stop" and self.outcome == "fail"


@dataclass(frozen=True, slots=True)
class Report:
    """The findings, and how many checks had which outcome."""

    counts: dict[str, int]
    findings: list[Finding]

    @property
    def stopped(self) -> bool:
        return any(finding.stops for finding in self.findings)

    def to_json(self) -> dict[str, Any]:
        """The form of docs/formats.md."""
        return {"counts": self.counts, "findings": [asdict(finding) for finding in self.findings]}


def check(facts: Sequence[Fact], system: System, only: Sequence[str] | None = None) -> Report:
    """The findings of all rules, or of those named, over facts. Without fixes: see `check_site`."""
    report, _ = _run(facts, only)
    return report


def check_site(site: Site, system: System | None = None, open_blob: OpenBlob | None = None) -> Report:
    """Predicts, checks, and offers for every finding the fixes that were recomputed and pass. `open_blob`: see `predict`."""
    system = system or resolve(site.identity, site.choices)
    report, causes = _run(predict(site, system, open_blob=open_blob), None)
    tried: dict[str, tuple[Site, System] | None] = {}
    before = Counter((finding.rule, finding.page) for finding in report.findings)
    findings = [
        replace(finding, fixes=_fixes(site, system, *cause, before[cause[0].id, finding.page], tried, open_blob))
        for finding, cause in zip(report.findings, causes, strict=True)
    ]
    return Report(report.counts, findings)


Cause = tuple[Rule, Fact, Verdict]


def _run(facts: Sequence[Fact], only: Sequence[str] | None) -> tuple[Report, list[Cause]]:
    counts: Counter[str] = Counter({"pass": 0, "fail": 0, "cannot-tell": 0, "does-not-apply": 0, "stop": 0, "note": 0})
    findings, causes = [], []
    chosen = [one for name, one in rules().items() if only is None or name in only]
    by_type: dict[type, list[Rule]] = {}
    for one in chosen:
        by_type.setdefault(one.looks_at, []).append(one)
    for fact in facts:
        for one in by_type.get(type(fact), []):
            outcome, verdicts = one.verdicts(fact)
            counts[outcome] += 1
            for verdict in verdicts:
                finding = _finding(one, fact, verdict)
                findings.append(finding)
                causes.append((one, fact, verdict))
                if finding.outcome == "fail":
                    counts[one.severity] += 1
    order = sorted(range(len(findings)), key=lambda i: (not findings[i].stops, i))
    return Report(dict(counts), [findings[i] for i in order]), [causes[i] for i in order]


def _finding(one: Rule, fact: Fact, verdict: Verdict) -> Finding:
    values = {**verdict.values, "measured": _figure(verdict.measured), "required": _figure(verdict.required)}
    place: Place = fact.place
    return Finding(
        one.id, verdict.code, verdict.outcome, one.severity, place.page, place.section, verdict.width, place.slot,
        verdict.measured, verdict.required, verdict.unit, one.messages[verdict.code].format(**values),
    )  # fmt: skip


def _figure(value: float | None) -> str:
    """A measured figure floored to two places, so that a failure never reads as a pass."""
    if value is None:
        return ""
    return f"{int(value * 100 + 1e-9) / 100:g}"


def _fixes(
    site: Site,
    system: System,
    one: Rule,
    fact: Fact,
    verdict: Verdict,
    before: int,
    tried: dict[str, Any],
    open_blob: OpenBlob | None,
) -> list[Fix]:
    """The proposals after which the rule finds less on the page than the `before` that it found."""
    offered: list[Fix] = []
    for proposal in one.mend(site, system, fact, verdict, one.options):
        changes = [change.model_dump() for change in proposal.changes]
        key = json.dumps(changes, sort_keys=True)
        if key not in tried:
            tried[key] = _after(site, system, proposal.changes)
        after = tried[key]
        if after is None:
            continue
        page = after[0].page(fact.place.page)
        facts = predict(after[0], after[1], [page], open_blob) if page else []
        left = check(facts, after[1], only=[one.id]).findings
        if len(left) >= before:
            continue
        offered.append(Fix(proposal.label, changes, _predicted(one, fact, facts)))
        if len(offered) == MOST_FIXES:
            break
    return offered


def _after(site: Site, system: System, changes: Any) -> tuple[Site, System] | None:
    try:
        changed = apply(site, changes)
    except FormulonError:
        return None
    if changed.identity == site.identity and changed.choices == site.choices:
        return changed, system
    return changed, resolve(changed.identity, changed.choices)


def _predicted(one: Rule, fact: Fact, facts: Sequence[Fact]) -> float | None:
    """The measured figure of the same place after the fix, where the rule measures one."""
    probe = next((f for f in facts if type(f) is type(fact) and f.place == fact.place and _twin(f, fact)), None)
    measure = getattr(one.look, "measure", None)
    return None if probe is None or measure is None else float(measure(probe))


def _twin(a: Fact, b: Fact) -> bool:
    return getattr(a, "ink", None) == getattr(b, "ink", None)
