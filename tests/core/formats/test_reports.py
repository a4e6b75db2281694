"""Reports for other programs: SARIF's required properties and references (SARIF 2.1.0, sections 3.13 to 3.28, from memory: the schema is not
at hand here), JUnit's counts, and a page that holds any text."""

import json
from dataclasses import replace
from xml.etree import ElementTree

from hypothesis import given
from hypothesis import strategies as st

from formulon.core.checks.findings import Finding, Report
from formulon.core.formats.reports import junit, page, sarif

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


@given(st.text(max_size=60), st.text(max_size=30))
def test_any_text_is_held_by_every_form(message: str, target: str) -> None:
    report = Report(COUNTS, [replace(STOP, message=message, target=target, page=target or "a")])
    assert json.loads(sarif(report))["runs"][0]["results"][0]["message"]["text"] == message
    ElementTree.fromstring(junit(report))
    written = page(report, message)
    assert "<script" not in written.replace("&lt;script", "") and written.endswith("</html>\n")
