"""Preflight to the end, as a designer goes: fixes tried and taken, one finding waived, the pages seen by a browser in a worker, and a release
that waits for it. And the site that the brand has had, checked by the same means."""

import re
from collections.abc import Iterator
from typing import Any

import pytest
from playwright.sync_api import Page, expect

from formulon.core.site.documents import CHOICES
from formulon.studio.models import Brand, Document, Measurement, Release, SourceFile
from formulon.studio.services import sources
from tests.browser.conftest import open_demo, saved, stage, violations, working

SEEN = 180_000  # ms in which a worker starts, its browser too, and all pages are seen, on a slow machine


@pytest.fixture
def measurer(transactional_db: None) -> Iterator[None]:
    """The worker that measures."""
    yield from working("measuring", "--concurrency", "1")


def damage(brand: Brand) -> None:
    """A heading that cannot be read anywhere on paper, and two buttons that lead nowhere."""
    choices = Document.objects.get(brand=brand, name=CHOICES)
    choices.body["pins"] = {"ground/paper/heading": "#f2a93b"}
    choices.save()
    hurt = 0
    for page in Document.objects.filter(brand=brand, name__startswith="page:").order_by("pk"):
        for section in page.body["sections"]:
            if section["content"].get("primary") and hurt < 2:
                section["content"]["primary"]["to"] = ""
                hurt += 1
        page.save()
    assert hurt == 2


def test_from_findings_to_none_by_fixes_and_one_waiver_and_a_release(
    page: Page, demo: str, measurer: None, settings: Any
) -> None:
    settings.MEASURED_RELEASES = True
    brand = Brand.objects.get(pk=demo)
    damage(brand)
    open_demo(page)
    stage(page, "Preflight")
    expect(page.get_by_text("Not ready to release")).to_be_visible()
    # What mends most, with what it comes to; by keys.
    most = page.get_by_role("region", name="One change would mend most")
    expect(most.get_by_text(re.compile(r"^Ends \d+ findings on \d+ pages, makes none; 2 stops left then"))).to_be_visible()
    most.get_by_role("button", name="Take it").first.focus()
    page.keyboard.press("Enter")
    saved(page)
    expect(page.get_by_role("status").filter(has_text="2 findings")).to_be_visible()
    assert violations(page) == []
    # A fix is tried where the keyboard rests on it, and nothing is stored by that.
    entries = brand.entries.count()
    first = page.locator("li.finding").first
    fix = first.locator(".fixes button.best")
    fix.focus()
    expect(first.get_by_text("with the fix")).to_be_visible()
    expect(first.get_by_text(re.compile("^Ends 1 finding on 1 page, makes none; 1 stop left then"))).to_be_visible()
    assert brand.entries.count() == entries
    page.keyboard.press("Enter")
    saved(page)
    expect(page.get_by_role("status").filter(has_text="1 finding")).to_be_visible()
    # What is left is accepted, with a reason; it is told apart from then on.
    page.get_by_role("button", name="Waive…").click()
    page.get_by_label("Why it may stay as it is").fill("The ticket shop opens in May.")
    page.keyboard.press("Enter")
    saved(page)
    expect(page.get_by_text("Ready to release")).to_be_visible()
    page.get_by_role("button", name=re.compile("^Waived")).click()
    expect(page.get_by_text("“The ticket shop opens in May.”")).to_be_visible()
    # The release waits for a browser, and is made by itself once that has seen every page.
    stage(page, "Release")
    page.get_by_role("button", name="Release r1").click()
    expect(page.get_by_role("progressbar", name="Pages seen in the browser")).to_be_visible()
    expect(page.get_by_role("heading", name="r1 is live")).to_be_visible(timeout=SEEN)
    expect(page.get_by_role("cell", name="yes, 1 waived")).to_be_visible()
    made = Release.objects.get(brand=brand)
    assert made.measured and [one["waived"]["reason"] for one in made.report["findings"] if one["waived"]] == [
        "The ticket shop opens in May."
    ]
    assert {row.state for row in Measurement.objects.filter(brand=brand)} == {"done"}
    # What draws the eye first, on pages that were seen; by keys.
    stage(page, "Preflight")
    page.get_by_role("tab", name="First seen").click()
    panel = page.get_by_role("tabpanel")
    expect(panel.get_by_role("listitem").first).to_contain_text("The dark is worth the drive.")
    expect(panel.locator(".glance")).to_have_count(panel.get_by_role("listitem").count())
    panel.get_by_role("button", name="Phone").press("Enter")
    expect(panel.get_by_role("listitem").first).to_contain_text("The dark is worth the drive.")
    assert violations(page) == []
    # Undone, the waiver holds nothing up any more: the stop is back.
    page.get_by_title(re.compile("^Undo")).click()
    stage(page, "Preflight")
    expect(page.get_by_text("Not ready to release")).to_be_visible()
    # The report for a client, as a page and on paper.
    with page.context.expect_page() as opened:
        page.get_by_role("link", name="page", exact=True).click()
    expect(opened.value.get_by_text("1 finding holds a release back.")).to_be_visible()
    expect(opened.value.get_by_text(re.compile("A browser has seen all of them"))).to_be_visible()
    opened.value.close()
    with page.expect_download() as download:
        page.get_by_role("link", name="PDF").click()
    assert download.value.path().read_bytes().startswith(b"%PDF-")


OLD = """<!doctype html><html lang="en"><head><title>Observatory</title><link rel="stylesheet" href="look.css"></head>
<body><main><h1>Welcome</h1><p>Pale words on white.</p><img src="dome.svg"><a href="prices.html">The prices</a></main></body></html>"""


def test_the_old_site_stands_beside_what_there_is_now(page: Page, demo: str, measurer: None) -> None:
    brand = Brand.objects.get(pk=demo)
    for name, data in (("old/index.html", OLD), ("old/look.css", "p { color: #bbb } body { background: #fff; margin: 0 }")):
        stored = sources.store(brand.workspace, data.encode())
        SourceFile.objects.create(
            brand=brand, name=name, stored=stored, size=len(data), state="read", reading={"file": name, "format": "html"}
        )
    open_demo(page)
    stage(page, "Preflight")
    page.get_by_role("tab", name="Old site").click()
    page.get_by_role("button", name="Look at the old site").click()
    panel = page.get_by_role("tabpanel")
    expect(panel.get_by_text("3 pages of the old site among the files, 3 seen in the browser.")).to_be_visible(timeout=SEEN)
    for said in (
        "“Pale words on white.” is 1.9",
        "The prices” leads to the page “prices.html”",
        "a viewport as wide as the device",
    ):
        expect(panel.get_by_text(re.compile(said)).first).to_be_visible()
    assert violations(page) == []
