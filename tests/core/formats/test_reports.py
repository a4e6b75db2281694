"""Reports for other programs: SARIF by its published schema (OASIS, SARIF 2.1.0) and by what it says beside it (sections 3.13 to 3.28, from
memory), JUnit's XML by the schema of the build servers that read it (Boissinot 2014, MIT licence) and by its counts, and a page that holds
any text. Both schemas are in tests/data as their authors publish them. That of SARIF is an edition before the last, in which a suppression's
`status` (3.35.3 of the standard) was called `state`; this one name is put right here."""

import json
from dataclasses import replace
from pathlib import Path
from xml.etree import ElementTree

from hypothesis import given
from hypothesis import strategies as st
from jsonschema import Draft7Validator, FormatChecker
from lxml import etree

from formulon.core.checks.findings import Finding, Report, Waived
from formulon.core.checks.rule import rules
from formulon.core.formats.reports import junit, page, sarif

DATA = Path(__file__).parents[2] / "data"
_SARIF = json.loads((DATA / "sarif-schema-2.1.0.json").read_text(encoding="utf-8"))
_SUPPRESSION = _SARIF["definitions"]["suppression"]["properties"]
_SUPPRESSION["status"] = _SUPPRESSION.pop("state")
SARIF = Draft7Validator(_SARIF, format_checker=FormatChecker())
JUNIT = etree.XMLSchema(etree.parse(DATA / "junit-10.xsd"))

STOP = Finding(
    "contrast/text-minimum",
    "too-low",
    "fail",
    "stop",
    "shop/a b.html",
    "main",
    360,
    "main > p",
    2.8,
    4.5,
    ":1",
    "“Faint” is 2.8:1.",
    key="a1",
)
NOTE = Finding(
    "publishing/titles-apart", "alike", "fail", "note", "", "", None, "", None, None, "", "2 pages are titled alike.", key="b2"
)
OPEN = replace(STOP, outcome="cannot-tell", key="c3")
WAIVED = replace(NOTE, waived=Waived("It is <meant> & known", "Ada", "2026-11-30"), key="d4")
COUNTS = {"pass": 3, "fail": 2, "cannot-tell": 1, "does-not-apply": 0, "stop": 1, "note": 1}


def test_sarif_names_rules_places_and_levels() -> None:
    made = json.loads(sarif(Report(COUNTS, [STOP, NOTE, OPEN])))
    assert made["version"] == "2.1.0" and len(made["runs"]) == 1
    run = made["runs"][0]
    driver = run["tool"]["driver"]
    assert driver["name"] == "Formulon"
    levels = {"none", "note", "warning", "error"}
    for result in run["results"]:
        assert result["message"]["text"] and result["level"] in levels
        assert driver["rules"][result["ruleIndex"]]["id"] == result["ruleId"]
        assert (result["kind"] == "fail") == (result["level"] != "none")  # 3.27.10: level is none where kind is not fail
    first = run["results"][0]["locations"][0]
    assert first["physicalLocation"]["artifactLocation"]["uri"] == "shop/a%20b.html"
    assert first["logicalLocations"] == [{"fullyQualifiedName": "main > p", "kind": "element"}]
    assert [one["level"] for one in run["results"]] == ["error", "warning", "none"]


def test_junit_has_a_suite_for_each_page_and_counts_that_add_up() -> None:
    root = ElementTree.fromstring(junit(Report(COUNTS, [STOP, NOTE, OPEN]), ["fine.html"]))
    suites = {suite.get("name"): suite for suite in root}
    assert set(suites) == {"fine.html", "shop/a b.html", "the whole site"}
    for suite in root:
        assert int(suite.get("tests", "")) == len(suite.findall("testcase"))
        assert int(suite.get("failures", "")) == len(suite.findall("testcase/failure"))
    assert (root.get("tests"), root.get("failures")) == ("3", "1")
    assert "2.8:1" in (suites["shop/a b.html"].findtext("testcase/failure") or "")


def valid(report: Report, pages: list[str]) -> bool:
    """Whether both forms of a report are what their schemas ask for."""
    SARIF.validate(json.loads(sarif(report)))
    JUNIT.assertValid(etree.fromstring(junit(report, pages).encode()))
    return True


def test_both_forms_are_valid_by_their_published_schemas() -> None:
    assert valid(Report(COUNTS, [STOP, NOTE, OPEN, WAIVED]), ["fine.html", ""])
    assert valid(Report(COUNTS, []), [])
    every = [replace(STOP, rule=name, key=name) for name in rules()]
    assert valid(Report(COUNTS, every), []) and len(every) > 70
    broken = json.loads(sarif(Report(COUNTS, [STOP])))
    del broken["runs"][0]["results"][0]["message"]
    assert not SARIF.is_valid(broken)
    tree = etree.fromstring(junit(Report(COUNTS, [STOP])).encode())
    del tree[0][0].attrib["name"]
    assert not JUNIT.validate(tree)


@given(
    st.lists(
        st.builds(
            replace, st.sampled_from([STOP, NOTE, OPEN, WAIVED]), message=st.text(max_size=40), page=st.text(max_size=20),
            target=st.text(max_size=20), width=st.none() | st.integers(1, 4000), rule=st.sampled_from(sorted(rules())),
        ), max_size=6,
    )
)  # fmt: skip
def test_whatever_was_found_both_forms_are_valid(findings: list[Finding]) -> None:
    assert valid(Report(COUNTS, findings), [])


@given(st.text(max_size=60), st.text(max_size=30))
def test_any_text_is_held_by_every_form(message: str, target: str) -> None:
    report = Report(COUNTS, [replace(STOP, message=message, target=target, page=target or "a")])
    assert json.loads(sarif(report))["runs"][0]["results"][0]["message"]["text"] == message
    ElementTree.fromstring(junit(report))
    written = page(report, message)
    assert "<script" not in written.replace("&lt;script", "") and written.endswith("</html>\n")
