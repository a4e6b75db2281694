"""Words that were asked to take so many lines take them in Chromium; a page is pulled to any width; lines are told while one types."""

import re
from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, expect

from formulon.core.asking import answered
from formulon.core.asking.reader import READER
from formulon.core.site.changes import apply
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Site
from formulon.core.system.documents.identity import Identity
from formulon.core.type.emphasis import plain
from tests.browser.conftest import open_demo, stage, violations
from tests.browser.test_layouts import write
from tests.browser.test_published import READ, show
from tests.core.asking.test_instructions import FERRY
from tests.core.writing.test_rewriter import AVIARY, texts

WIDTHS = {"phone": 360, "tablet": 768, "desktop": 1280}
GREEK = {
    "name": "Καλάθια Δέλτα", "language": "el", "does": "Πλέκουμε καλάθια από ιτιές του δέλτα. Τα παραδίδουμε μέσα σε μία εβδομάδα.",
    "offers": [{"name": f"Καλάθι {n}", "text": "Στρογγυλό και γερό. Αντέχει χρόνια, και στη βροχή. Το επισκευάζουμε."} for n in range(1, 5)],
    "contact": {"email": "kalathia@delta.example"},
}  # fmt: skip


@pytest.fixture(scope="module")
def tab(chromium: Browser) -> Iterator[Page]:
    context = chromium.new_context()
    yield context.new_page()
    context.close()


@pytest.mark.parametrize("name", WIDTHS)
def test_what_is_asked_to_take_so_many_lines_takes_them(tab: Page, tmp_path: Path, name: str) -> None:
    asked_of = seen_of = 0
    for number, brand in enumerate((FERRY, AVIARY, GREEK)):
        made, wanted = fitted(plan(Identity.model_validate(brand), composed=False), name)
        write(made, tmp_path / str(number))
        asked_of += len(wanted)
        for page in made.drawn:
            show(tab, tmp_path / str(number), made.file_name(page), WIDTHS[name])
            for run in tab.evaluate(READ):
                for text, count in wanted.get(page.id, []):
                    if run["text"] == text:
                        seen_of += 1
                        assert run["lines"] == count, (text, run["lines"], count)
    assert asked_of > 3 and seen_of > 8


def fitted(made: Site, name: str) -> tuple[Site, dict[str, list[tuple[str, int]]]]:
    """A site in which every text that can has another number of lines than it had, with these texts and their lines by page."""
    wanted: dict[str, list[tuple[str, int]]] = {}
    for page, section, path, _ in texts(made):
        for count in (3, 2, 1, 4):
            found = answered(READER, f"fill {count} lines on {name}s", made, page.id, section.id, path)
            if found.changes:
                made = apply(made, found.changes)
                now = next(
                    value for one, two, slot, value in texts(made) if (one.id, two.id, slot) == (page.id, section.id, path)
                )
                if "\n" not in now:
                    wanted.setdefault(page.id, []).append((plain(now), count))
                break
    return made, wanted


def test_a_page_is_pulled_to_any_width_and_lines_are_told_while_one_types(loud_page: Page, demo: str) -> None:
    page = loud_page  # a frame in which no script runs says so when it is measured
    open_demo(page)
    stage(page, "Pages")
    edge = page.get_by_role("slider", name="Width of the page in px")
    frame = page.locator(".edit-paper iframe")
    expect(frame).to_have_attribute("title", re.compile("1280"))
    edge.press("Home")
    expect(edge).to_have_attribute("aria-valuenow", "320")
    paper = page.frame_locator(".edit-paper iframe")
    assert paper.locator("html").evaluate("e => [innerWidth, e.scrollWidth]") == [320, 320]
    box = edge.bounding_box()
    assert box
    page.mouse.move(box["x"] + 8, 400)
    page.mouse.down()
    page.mouse.move(box["x"] + 8 + 150, 400, steps=5)
    page.mouse.up()
    expect(edge).to_have_attribute("aria-valuenow", "620")
    expect(page.locator(".edit-width")).to_have_text("620 px")
    assert paper.locator("html").evaluate("e => [innerWidth, e.scrollWidth]") == [620, 620]
    assert violations(page) == []
    page.get_by_role("button", name="desktop", exact=True).click()
    text = paper.locator("[data-slot=heading]").first
    text.click()
    told = page.locator(".edit-widths [role=status]")
    expect(told).to_have_text(re.compile(r"^\d lines? on a phone, \d on a tablet, \d on a desktop$"))
    before = str(told.inner_text())
    page.keyboard.press("End")
    page.keyboard.type(" and the night is long, and longer still in the north where nobody sleeps")
    expect(told).not_to_have_text(before)
    page.keyboard.press("Escape")
    expect(page.get_by_text("Ctrl I stresses")).to_be_visible()
