"""Text on a picture in the studio: a layout chosen, the overlay moved by keys, what each width has, the least that passes,
the point that stays in sight, preflight, and everything undone."""

import re

from playwright.sync_api import Page, expect

from formulon.studio.models import Brand, Entry
from tests.browser.conftest import open_demo, saved, stage, violations

FRAME = "iframe[title^='Home, desktop']"


def expect_overlay(page: Page, opacity: str) -> None:
    """What the page paints between picture and words, once the stored one is drawn."""
    picture = page.frame_locator(FRAME).locator(".hero .picture")
    expect(picture).to_have_attribute("data-overlay", opacity)
    assert picture.evaluate("e => getComputedStyle(e, '::after').opacity") == opacity


def test_an_overlay_from_too_little_to_the_least_that_passes(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "Pages")
    page.get_by_role("button", name=re.compile("^Hero")).click()
    page.get_by_role("group", name="Layout").get_by_role("button", name="Backcloth").click()
    panel = page.get_by_role("region", name="Text on the picture")
    widths = panel.get_by_role("list", name="What the texts have at each width")
    expect(widths.get_by_role("listitem")).to_have_count(4)
    expect(panel.locator(".worst-spot img")).to_have_attribute("src", re.compile("^data:image/png"))
    # Keys move it; what is drawn follows every press, and they are one change together.
    slider = panel.get_by_label("deep over it")
    slider.focus()
    for _ in range(59):
        page.keyboard.press("ArrowLeft")
    expect(slider).to_have_value("16")
    expect(widths.locator(".bad")).to_have_count(2)
    expect_overlay(page, "0.16")
    phone = widths.get_by_role("listitem").first
    expect(phone).to_contain_text("2.35:1")
    expect(phone).to_contain_text("words, needs 4.5")
    expect(page.get_by_role("navigation", name="Stages")).to_contain_text("2 stop the release")
    assert Entry.objects.order_by("pk").last().label == "Overlay at 16 %"  # type: ignore[union-attr]
    assert Entry.objects.count() < 10  # not one for each of 59 keys
    # The least that passes is one click, for each shape; where none does, it says so.
    expect(panel.get_by_role("button", name="none passes, from the left")).to_be_disabled()
    panel.get_by_role("button", name="least 49 %, even").click()
    expect(page.get_by_role("navigation", name="Stages")).to_contain_text("nothing stops it")
    expect(widths.locator(".bad")).to_have_count(0)
    expect(slider).to_have_value("49")
    expect_overlay(page, "0.49")
    assert violations(page) == []
    # The point that stays in sight: the arrow keys move the crop.
    point = panel.get_by_role("button", name=re.compile("^Point that stays in sight: 50 % across"))
    point.focus()
    for _ in range(5):
        page.keyboard.press("ArrowLeft")
    expect(panel.get_by_role("button", name=re.compile("40 % across"))).to_be_focused()
    image = page.frame_locator(FRAME).locator(".hero .picture img")
    expect(image).to_have_css("object-position", "40% 50%")
    expect(page.frame_locator(FRAME).locator(".hero .picture")).to_have_attribute("data-focus", "0.40 0.50")
    saved(page)  # what shows is ahead of what is stored
    stored = Brand.objects.get().documents.get(name="page:home").body["sections"][0]["content"]["picture"]
    assert stored["focus"] == {"x": 0.4, "y": 0.5} and stored["overlay"] == {"opacity": 0.49, "shape": "even"}
    # All of it back, however many entries a slow machine made of the keys.
    page.get_by_role("button", name=re.compile("^Hero")).focus()
    saved(page)
    for _ in range(Entry.objects.count()):
        page.keyboard.press("Control+z")
    expect(page.get_by_role("button", name="Undo", exact=True)).to_be_disabled()
    expect(panel).to_have_count(0)
    expect(page.get_by_role("navigation", name="Stages")).to_contain_text("nothing stops it")
    saved(page)
    assert "backcloth" not in Brand.objects.get().documents.get(name="page:home").body["sections"][0]["layout"]


def test_preflight_tells_it_and_its_fix_is_taken(page: Page, demo: str) -> None:
    document = Brand.objects.get().documents.get(name="page:home")
    hero = document.body["sections"][0]
    hero["layout"] = "backcloth"
    hero["content"]["picture"]["overlay"] = {"opacity": 0.1, "shape": "even"}
    document.save()
    open_demo(page)
    stage(page, "Preflight")
    most = page.get_by_role("region", name="One change would mend most").get_by_role("listitem").first
    expect(most).to_contain_text("Ends 2 findings on 1 page, makes none; nothing stops the release then.")
    finding = page.locator("li.finding").filter(has_text="on its picture").first
    expect(finding).to_contain_text("is below 3:1")
    expect(finding).to_contain_text("1.4.3")
    finding.get_by_role("button", name="Lay deep over it evenly at 49%").click()
    expect(page.get_by_text("Nothing found")).to_be_visible()
    stage(page, "Pages")
    expect(page.frame_locator(FRAME).locator(".hero--backcloth")).to_be_visible()
    expect_overlay(page, "0.49")
