"""Reports of a check in forms for other programs: SARIF 2.1.0 (OASIS), JUnit's XML as continuous integration reads it (common practice:
there is no standard of it), and a page for people."""

import json
from collections.abc import Mapping, Sequence
from html import escape
from typing import Any
from urllib.parse import quote
from xml.etree import ElementTree

from formulon.core.checks.findings import Finding, Report, Waived
from formulon.core.checks.rule import Ref, Rule, rules

_LEVELS = {"stop": "error", "note": "warning"}
_SCHEMA = "https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json"


def _said(ref: Ref) -> str:
    return " ".join(filter(None, (ref.name, ref.clause, ref.level and f"level {ref.level}")))


def _where(finding: Finding) -> str:
    width = f"{finding.width} px" if finding.width else ""
    return " · ".join(filter(None, (finding.page, finding.target or finding.section, width)))


def sarif(report: Report) -> str:
    """The findings as one run (SARIF 2.1.0, 3.14). Paths are relative to the folder that was checked; a place within a page is a logical
    location (3.33), since a browser knows no line. What cannot be told is open (3.27.9)."""
    named = sorted({finding.rule for finding in report.findings})
    known = rules()
    results = [
        {
            "ruleId": finding.rule,
            "ruleIndex": named.index(finding.rule),
            "kind": "fail" if finding.outcome == "fail" else "open",
            "level": _LEVELS[finding.severity] if finding.outcome == "fail" else "none",
            "message": {"text": finding.message},
            "locations": [_location(finding)],
            "partialFingerprints": {"formulon/v1": finding.key},
            "suppressions": [_suppression(finding.waived)] if finding.waived else [],
        }
        for finding in report.findings
    ]
    driver = {"name": "Formulon", "semanticVersion": "0.1.0", "rules": [_descriptor(known[name]) for name in named]}
    run = {"tool": {"driver": driver}, "columnKind": "unicodeCodePoints", "results": results}
    return json.dumps({"$schema": _SCHEMA, "version": "2.1.0", "runs": [run]}, ensure_ascii=False, indent=2) + "\n"


def _suppression(waived: Waived) -> dict[str, Any]:
    """SARIF 2.1.0, 3.35: accepted by somebody, and kept outside of what was checked."""
    return {"kind": "external", "status": "accepted", "justification": f"{waived.reason} ({waived.by}, {waived.on})"}


def _descriptor(rule: Rule) -> dict[str, Any]:
    return {
        "id": rule.id,
        "shortDescription": {"text": rule.title},
        "fullDescription": {"text": rule.rationale},
        "help": {"text": f"{rule.rationale} {_said(rule.standard)}."},
        "defaultConfiguration": {"level": _LEVELS[rule.severity]},
        "properties": {"tags": [rule.family]},
    }


def _location(finding: Finding) -> dict[str, Any]:
    place = finding.target or finding.section
    made: dict[str, Any] = {"physicalLocation": {"artifactLocation": {"uri": quote(finding.page or ".")}}}
    if place:
        made["logicalLocations"] = [{"fullyQualifiedName": place, "kind": "element"}]
    return made


def junit(report: Report, pages: Sequence[str] = ()) -> str:
    """A suite for each page, and one for the whole site; a case for each rule that found something there, and one for a page without
    findings. What stops a release is a failure, a note is told in the output, and a rule of which all findings there are waived is skipped."""
    suites: dict[str, list[Finding]] = {page: [] for page in pages}
    for finding in report.findings:
        suites.setdefault(finding.page or "the whole site", []).append(finding)
    root = ElementTree.Element("testsuites", name="Formulon")
    total = failed = 0
    for page, findings in suites.items():
        suite = ElementTree.SubElement(root, "testsuite", name=_clean(page))
        by_rule: dict[str, list[Finding]] = {}
        for finding in findings:
            by_rule.setdefault(finding.rule, []).append(finding)
        cases = failures = skipped = 0
        for rule, held in (by_rule or {"no findings": []}).items():
            case = ElementTree.SubElement(suite, "testcase", name=rule, classname=_clean(page))
            cases += 1
            stops, notes = [one for one in held if one.stops], [one for one in held if not one.stops and not one.waived]
            waived = [one.waived for one in held if one.waived]
            if stops:
                failures += 1
                failure = ElementTree.SubElement(case, "failure", message=_clean(stops[0].message), type=rule)
                failure.text = _clean("\n".join(f"{_where(one)}: {one.message}" for one in stops))
            if notes:
                ElementTree.SubElement(case, "system-out").text = _clean(
                    "\n".join(f"{_where(one)}: {one.message}" for one in notes)
                )
            if waived and not stops and not notes:
                skipped += 1
                ElementTree.SubElement(
                    case, "skipped", message=_clean("; ".join(f"{one.reason} ({one.by}, {one.on})" for one in waived))
                )
        for name, value in (("tests", cases), ("failures", failures), ("errors", 0), ("skipped", skipped)):
            suite.set(name, str(value))
        total, failed = total + cases, failed + failures
    root.set("tests", str(total))
    root.set("failures", str(failed))
    ElementTree.indent(root)
    return '<?xml version="1.0" encoding="UTF-8"?>\n' + ElementTree.tostring(root, encoding="unicode") + "\n"


def _clean(text: str) -> str:
    """A text without what XML cannot hold (XML 1.0, 2.2)."""
    return "".join(
        one
        for one in text
        if one in "\t\n\r" or (ord(one) >= 0x20 and not 0xD800 <= ord(one) <= 0xDFFF and one not in "\ufffe\uffff")
    )


_STYLE = """
body { font: 16px/1.5 system-ui, sans-serif; color: #1c1c1c; background: #fff; max-width: 52rem; margin: 3rem auto; padding: 0 1.5rem; }
h1 { font-size: 1.75rem; line-height: 1.2; margin: 0 0 .5rem; } h2 { font-size: 1.125rem; margin: 2.5rem 0 .5rem; }
ul { list-style: none; padding: 0; margin: 0; } li { border-top: 1px solid #ccc; padding: .75rem 0; }
b.stop { color: #9c1414; } small { display: block; color: #555; font-size: .875rem; overflow-wrap: anywhere; }
@media print { body { margin: 0; } li { break-inside: avoid; } }
"""


def page(report: Report, name: str, failed: Sequence[str] = ()) -> str:
    """The report as a page by itself that can be read, sent and printed: what stops a release first, page by page."""
    known: Mapping[str, Rule] = rules()
    by_page: dict[str, list[Finding]] = {}
    for finding in report.findings:
        by_page.setdefault(finding.page or "The whole site", []).append(finding)
    counts = report.counts
    parts = [
        f"<h1>{escape(name)}</h1>",
        f"<p>{counts['pass']} checks pass, {counts['stop']} stop a release, {counts['note']} are notes, {counts['cannot-tell']} cannot be told.</p>",
        *(f"<p>{escape(one)}</p>" for one in failed),
    ]
    for path, findings in by_page.items():
        items = "".join(
            f'<li><b class="{"stop" if one.stops else "note"}">{"Stops" if one.stops else "Note"}</b> {escape(one.message)}'
            f"<small>{escape(_where(one))}</small><small>{escape(known[one.rule].title)}. {escape(known[one.rule].rationale)} "
            f"{escape(_said(known[one.rule].reference(one.code)))}.</small></li>"
            for one in findings
        )
        parts.append(f"<h2>{escape(path)}</h2><ul>{items}</ul>")
    if not report.findings:
        parts.append("<p>Nothing was found.</p>")
    return (
        '<!doctype html>\n<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">'
        f"<title>{escape(name)}: what was checked</title><style>{_STYLE}</style></head><body><main>{''.join(parts)}</main></body></html>\n"
    )
