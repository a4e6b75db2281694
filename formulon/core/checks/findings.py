"""What checks find: findings, each with what it is about, and the reports that they make."""

import hashlib
from collections import Counter
from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import asdict, dataclass, field, fields, replace
from functools import cache
from typing import Any, Literal

from formulon.core.checks.glance import NOTHING_SEEN, Glance
from formulon.core.checks.page_facts import Fact, PagePlace, TextRun
from formulon.core.checks.rule import Outcome, Rule, Severity, Verdict
from formulon.core.checks.views import NOTHING_HELD, Held, View
from formulon.core.system.documents.checks import Waiver
from formulon.core.system.system import System


@dataclass(frozen=True, slots=True)
class Fix:
    """A change that was recomputed and passes its rule. `predicted` is what it then measures, where it has a figure; `asks` is what is asked
    of the person who takes it, whose answer stands for each “…” in the changes."""

    label: str
    changes: list[dict[str, Any]]
    predicted: float | None
    asks: str = ""


@dataclass(frozen=True, slots=True)
class Waived:
    """Who accepts a finding, since when, and why."""

    reason: str
    by: str
    on: str


Basis = Literal["predicted", "measured", "both"]


@dataclass(frozen=True, slots=True)
class Finding:
    """A rule's result at one place. One that holds in both schemes is told once; `schemes` names those that it holds in. `key` names it
    among those of its page, `mark` tells what exactly was found: it is another one when that changes. `basis`
    says whether it was predicted, measured in a browser, or both."""

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
    schemes: list[str] = field(default_factory=list)
    key: str = ""
    mark: str = ""
    waived: Waived | None = None
    basis: Basis = "predicted"

    @property
    def stops(self) -> bool:
        return self.severity == "stop" and self.outcome == "fail" and self.waived is None


@dataclass(frozen=True, slots=True)
class Report:
    """The findings, and how many checks had which outcome; "stop", "note" and "waived" count findings."""

    counts: dict[str, int]
    findings: list[Finding]

    @property
    def stopped(self) -> bool:
        return any(finding.stops for finding in self.findings)

    def to_json(self) -> dict[str, Any]:
        """The form of docs/formats.md."""
        return {"counts": self.counts, "findings": [asdict(finding) for finding in self.findings]}


Looked = Fact | View
Cause = tuple[Rule, Looked, Verdict]


@dataclass(frozen=True, slots=True)
class PageChecks:
    """What the checks of one page, or of any facts, found: each finding with the fact that it is about."""

    counts: Counter[str]
    found: list[tuple[Finding, Cause]]
    kept: Held = NOTHING_HELD  # of a page, for the rules that look at the whole site
    glance: Glance = NOTHING_SEEN


def finding_of(one: Rule, fact: Looked, verdict: Verdict) -> Finding:
    """What a rule says of a fact, for people."""
    required = "" if verdict.required is None else f"{verdict.required:g}"
    values = {**verdict.values, "measured": one.figure(verdict.measured, verdict.unit), "required": required}
    place: PagePlace = verdict.place or fact.place
    scheme = getattr(fact, "scheme", "") if isinstance(fact, TextRun) else verdict.values.get("scheme", "")
    named = (
        one.id,
        verdict.code,
        place.page,
        place.section,
        place.slot,
        getattr(fact, "ink", ""),
        verdict.values.get("text", ""),
    )
    return Finding(
        one.id, verdict.code, verdict.outcome, one.severity, place.page, place.section, verdict.width, place.slot,
        verdict.measured, verdict.required, verdict.unit, one.messages[verdict.code].format(**values), [],
        [str(scheme)] if scheme else [], short(named), short((named, verdict.required, values["measured"], *_shown(fact))),
    )  # fmt: skip


def short(of: object) -> str:
    """Sixteen hexadecimal digits that stand for something."""
    return hashlib.blake2b(repr(of).encode(), digest_size=8).hexdigest()


# What a fact shows of what it is about: another value is another thing to find.
_SHOWN = (
    "text",
    "label",
    "foreground",
    "background",
    "ink",
    "ground",
    "source",
    "alt",
    "to",
    "title",
    "description",
    "fields",
    "left_out",
)


def _shown(fact: Looked) -> Iterator[object]:
    kind: type = type(fact)
    return (getattr(fact, name) for name in _shown_by(kind))


@cache
def _shown_by(kind: type) -> tuple[str, ...]:
    known = {one.name for one in fields(kind)} | set(dir(kind))
    return tuple(name for name in _SHOWN if name in known)


def both(known: tuple[Finding, Cause], finding: Finding, cause: Cause) -> tuple[Finding, Cause]:
    """A finding that was made before in another scheme: the worse of the two, naming both."""
    old, why = known
    made = merged(old, finding)
    return made, cause if made.measured != old.measured else why


def merged(old: Finding, new: Finding) -> Finding:
    """One finding of two in different schemes: the worse of them, naming both."""
    schemes = list(dict.fromkeys((*old.schemes, *new.schemes)))
    worse = new.unit == ":1" and (new.measured or 0.0) < (old.measured or 0.0)
    return replace(new if worse else old, schemes=schemes)


def told_in(finding: Finding, system: System) -> Finding:
    """The finding with the schemes in its words, where the site has two and they are told apart."""
    if len(system.schemes) < 2 or not finding.schemes or not finding.rule.startswith("contrast/"):
        return finding
    where = "In both schemes" if len(finding.schemes) > 1 else f"In the {finding.schemes[0]} scheme"
    return replace(finding, message=f"{finding.message} {where}.")


def report_of(parts: Iterable[PageChecks], frame: Sequence[str] = (), waivers: Sequence[Waiver] = ()) -> Report:
    return reported(((part.counts, [finding for finding, _ in part.found]) for part in parts), frame, waivers)


def reported(
    parts: Iterable[tuple[Counter[str], list[Finding]]], frame: Sequence[str], waivers: Sequence[Waiver] = ()
) -> Report:
    """All findings, those that stop the release first; and the counts. What is found in header or footer is told once, and not
    for every page that it stands on. What is waived counts as that alone."""
    named = ("pass", "fail", "cannot-tell", "does-not-apply", "stop", "note", "waived")
    counts: Counter[str] = Counter(dict.fromkeys(named, 0))
    accepted = {one.mark: Waived(one.reason, one.by, one.on) for one in waivers}
    findings: list[Finding] = []
    seen: set[tuple[str, ...]] = set()
    for counted, those in parts:
        counts.update(counted)
        for finding in those:
            everywhere = (finding.rule, finding.code, finding.section, finding.target, finding.message)
            if finding.section in frame:
                if everywhere in seen:
                    continue
                seen.add(everywhere)
            waived = accepted.get(finding.mark)
            findings.append(replace(finding, waived=waived) if waived else finding)
    return recounted(findings, counts)


def recounted(findings: Iterable[Finding], counts: Mapping[str, int]) -> Report:
    """A report of findings, those that stop the release first, with them counted anew."""
    ordered = sorted(findings, key=lambda finding: not finding.stops)
    made = {**counts, "stop": 0, "note": 0, "waived": 0}
    for finding in ordered:
        made["waived" if finding.waived else finding.severity] += finding.outcome == "fail"
    return Report(made, ordered)
