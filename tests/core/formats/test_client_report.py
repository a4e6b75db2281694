"""The report that a client is shown: what it says of what was found, waived, looked at and not; any words in it; and on paper."""

import re

import pytest
from hypothesis import given
from hypothesis import strategies as st
from lxml import html as lxml_html

from formulon.core.browser import printed
from formulon.core.checks.findings import Finding, Report, Waived
from formulon.core.checks.rule import rules
from formulon.core.formats.client_report import About, client_report

COUNTS = {"pass": 1200, "fail": 2, "cannot-tell": 0, "does-not-apply": 5, "stop": 1, "note": 0, "waived": 1}
STOP = Finding(
    "contrast/text-minimum",
    "too-low",
    "fail",
    "stop",
    "home",
    "hero-1",
    360,
    "heading",
    2.8,
    4.5,
    ":1",
    "“Faint” is 2.8:1.",
    key="a",
)
WAIVED = Finding(
    "links/dead-destination", "nowhere", "fail", "stop", "home", "", None, "primary", None, None, "", "“Shop” leads nowhere.", key="b",
    waived=Waived("Opens in May.", "Anna", "2026-03-01"),
)  # fmt: skip


def about(**more: object) -> About:
    made: dict[str, object] = {
        "brand": "Weidling & Töchter", "day": "1 March 2026", "policy": "AA", "pages": 1, "schemes": ["light"], "widths": [360, 1280],
        "measured": 1, "views": 1, "mark": "", "names": {"home": "Start"}, "seen_alone": frozenset(("layout/reflow",)),
    }  # fmt: skip
    return About(**(made | more))  # type: ignore[arg-type]


def text(page: str) -> str:
    return re.sub(r"\s+", " ", lxml_html.document_fromstring(page).text_content())


def test_it_says_what_holds_a_release_what_was_waived_and_by_whom() -> None:
    said = text(client_report(Report(COUNTS, [STOP, WAIVED]), rules().values(), about()))
    assert (
        "1 finding holds a release back." in said and "1,200 checks pass" in said and "A browser has seen all of them" in said
    )
    assert "“Faint” is 2.8:1." in said and "WCAG 2.2 1.4.3 AA" in said and "hero 1 · at 360 px" in said
    assert "Accepted by Anna on 2026-03-01: “Opens in May.”" in said
    assert f"{len(rules())} rules looked at every page" in said and "wait for a browser" not in said
    clean = text(client_report(Report({**COUNTS, "stop": 0, "waived": 0}, []), rules().values(), about()))
    assert "Nothing holds a release back." in clean and "What was foundNothing." in clean.replace("> ", "")


@pytest.mark.parametrize(("measured", "said"), [(0, "no browser has seen the pages"), (1, "has seen 1 of 3")])
def test_it_never_says_that_a_rule_looked_which_waits_for_a_browser(measured: int, said: str) -> None:
    page = text(client_report(Report(COUNTS, [STOP]), rules().values(), about(measured=measured, views=3)))
    assert said in page and "1 rule waits for a browser" in page and f"{len(rules()) - 1} rules looked at every page" in page


@given(st.text(max_size=60), st.text(max_size=60), st.text(max_size=60))
def test_any_words_stand_in_it_as_words(brand: str, message: str, reason: str) -> None:
    from dataclasses import replace

    finding = replace(WAIVED, message=message, waived=Waived(reason, "<b>", "2026-03-01"))
    page = client_report(Report(COUNTS, [finding]), rules().values(), about(brand=brand))
    tree = lxml_html.document_fromstring(page.encode("utf-8", "replace"))
    assert (
        not tree.xpath("//script") and not tree.xpath("//b") and not tree.xpath("//@onerror") and len(tree.xpath("//h1")) == 1
    )


@pytest.mark.browser
def test_it_prints() -> None:
    page = client_report(Report(COUNTS, [STOP, WAIVED]), rules().values(), about())
    assert printed({"report.html": page.encode()}, "report.html").startswith(b"%PDF-")
