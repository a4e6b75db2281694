"""Headers in Chromium: every layout with few pages and many, with and without ways to reach the brand over it, at many widths."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page

from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.header import entries, rows
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import Page as SitePage
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from tests.browser.conftest import violations
from tests.browser.test_published import show

WIDTHS = (320, 360, 480, 640, 767, 768, 900, 1023, 1024, 1280, 1920)
BRANDS = {
    "long": {"name": "Natursteinrestaurierung Überwasser & Söhne", "language": "de"},
    "greek": {"name": "Ταβέρνα Μελτέμι", "language": "el", "strapline": "Ό,τι έφερε το καΐκι"},
    "hebrew": {"name": "נגריית הזית", "language": "he"},
}
CONTACT = {"email": "korb@moorweide.example", "phone": "+49 30 901820", "address": "Am Moor 4, Überwasser"}
# What stands in the header, by name: its box where it is seen.
SEEN = """() => Object.fromEntries([['home', '.header-home > *'], ['links', '.header nav .links'], ['action', '.header-action .button'],
  ['menu', '.header-menu'], ['strip', '.header-strip .links > :first-child']].map(([name, path]) => {
    const e = document.querySelector(path);
    if (!e || !e.checkVisibility()) return [name, null];
    const parts = name === 'links' ? [...e.children] : [e];
    return [name, parts.map(one => { const r = one.getBoundingClientRect(); return [r.left, r.top, r.right, r.bottom]; })];
  }))"""


@pytest.fixture(scope="module")
def tab(chromium: Browser) -> Iterator[Page]:
    context = chromium.new_context(java_script_enabled=True)
    yield context.new_page()
    context.close()


def site(brand: str, layout: str, further: int) -> Site:
    choices = Choices(header=layout, header_strip=True, header_stays=True)
    made = plan(Identity.model_validate(BRANDS[brand] | {"contact": CONTACT}), choices)
    more = [SitePage(id=f"further-{number}", name=f"Weidenkorb {number}", title="x") for number in range(further)]
    return Site.model_validate(
        made.model_dump() | {"pages": [*(one.model_dump() for one in made.pages), *(one.model_dump() for one in more)]}
    )


def meet(one: list[float], two: list[float]) -> bool:
    return one[0] < two[2] - 1 and two[0] < one[2] - 1 and one[1] < two[3] - 1 and two[1] < one[3] - 1


@pytest.mark.parametrize("brand", BRANDS)
@pytest.mark.parametrize("layout", CATALOGUE["header"].layouts)
def test_nothing_in_a_header_meets_or_runs_over(tab: Page, tmp_path: Path, layout: str, brand: str) -> None:
    for further in (0, 9):
        made = site(brand, layout, further)
        at = rows(made, made.system())
        folder = tmp_path / str(further)
        for name, data in render(made, made.system()).items():
            (folder / name).parent.mkdir(parents=True, exist_ok=True)
            (folder / name).write_bytes(data)
        show(tab, folder, "index.html", WIDTHS[0])
        for width in WIDTHS:
            tab.set_viewport_size({"width": width, "height": 800})
            told = (layout, brand, further, width)
            assert tab.evaluate("document.documentElement.scrollWidth") == width, told
            seen = tab.evaluate(SEEN)
            boxes = [(name, box) for name, several in seen.items() if several for box in several]
            for index, (name, box) in enumerate(boxes):
                assert box[0] >= -0.5 and box[2] <= width + 0.5, (*told, name)
                for other, two in boxes[index + 1 :]:
                    assert not meet(box, two), (*told, name, other)
            assert bool(seen["links"]) == (width >= at["rows"]) != bool(seen["menu"]), told
            assert tab.evaluate("document.querySelector('header').getBoundingClientRect().height") <= 160, told


def test_what_is_too_much_for_a_row_unfolds_from_the_keyboard(tab: Page, tmp_path: Path) -> None:
    made = site("long", "tiers", 9)
    shown, folded = ([one.name for one in part] for part in entries(made))
    assert len(shown) == 6 and len(shown) + len(folded) == len(made.header_menu())
    for name, data in render(made, made.system()).items():
        (tmp_path / name).parent.mkdir(parents=True, exist_ok=True)
        (tmp_path / name).write_bytes(data)
    show(tab, tmp_path, "index.html", 1280)
    last = tab.locator("header").get_by_role("link", name=folded[-1]).first
    assert not last.is_visible()
    tab.locator(".menu-more summary").focus()
    tab.keyboard.press("Enter")
    assert last.is_visible()
    box = last.bounding_box()
    assert box is not None and box["x"] >= 0 and box["x"] + box["width"] <= 1280
    assert violations(tab) == []


@pytest.mark.parametrize("brand", BRANDS)
def test_entries_of_ones_own_unfold_within_the_window_one_at_a_time(tab: Page, tmp_path: Path, brand: str) -> None:
    for layout in CATALOGUE["header"].layouts:
        made = site(brand, layout, 0)
        to, mail = f"page:{made.pages[-1].id}", "mailto:korb@moorweide.example"
        under = [
            {"label": label, "to": mail} for label in ("Bestandsaufnahme und Schadenskartierung", "Preise", "Öffnungszeiten")
        ]
        menu = [{"label": f"Eintrag {number}", "to": to, "items": under if number % 2 else []} for number in range(1, 6)]
        made = Site.model_validate(made.model_dump() | {"frame": made.frame.model_dump() | {"menu": menu}})
        folder = tmp_path / layout
        for name, data in render(made, made.system()).items():
            (folder / name).parent.mkdir(parents=True, exist_ok=True)
            (folder / name).write_bytes(data)
        show(tab, folder, "index.html", 1280)
        at = rows(made, made.system())
        for width in (360, 1024, 1280):
            tab.set_viewport_size({"width": width, "height": 800})
            if width < at["rows"]:
                tab.locator(".header-menu").click()
            entries_of = tab.locator("header .menu-more summary")
            for number in range(entries_of.count()):
                entries_of.nth(number).click()
                told = (brand, layout, width, number)
                opened = tab.locator("header details[open]")
                assert opened.count() == 1, told
                # The first leads where the entry itself does.
                assert opened.locator("a").first.inner_text() == entries_of.nth(number).inner_text(), told
                for box in (opened.locator("a").nth(one).bounding_box() for one in range(4)):
                    assert box and box["x"] >= 0 and box["x"] + box["width"] <= width + 0.5, told
                assert tab.evaluate("document.documentElement.scrollWidth") == width, told
                entries_of.nth(number).click()
            if width < at["rows"]:
                tab.locator(".menu-close").click()


def test_a_header_that_stays_is_at_the_top_after_scrolling_and_covers_no_target(tab: Page, tmp_path: Path) -> None:
    made = site("greek", "centre", 0)
    for name, data in render(made, made.system()).items():
        (tmp_path / name).parent.mkdir(parents=True, exist_ok=True)
        (tmp_path / name).write_bytes(data)
    show(tab, tmp_path, "index.html", 1280)
    tab.evaluate("scrollTo(0, 900)")
    assert tab.evaluate("document.querySelector('header').getBoundingClientRect().top") == 0
    tab.locator("main .button").first.focus()
    head, target = (
        tab.evaluate(
            f"(() => {{ const r = document.querySelector('{one}').getBoundingClientRect(); return [r.top, r.bottom]; }})()"
        )
        for one in ("header", "main .button")
    )
    assert target[0] >= head[1] - 1, "what is focused is not under the header (WCAG 2.2, 2.4.11)"
