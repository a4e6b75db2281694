"""A new brand from nothing to a published page, as a person would take it."""

import re
from pathlib import Path

from playwright.sync_api import Browser, Page, expect

from tests.browser.conftest import open_page, stage, violations

# An invented willow basket workshop. White on its green is 2.3:1, far below 4.5:1.
COLORS = "Willow #9DB63C\nBark: rgb(74 52 38)\nReed hsl(42 60% 88%)"
MARK = (
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 60"><path d="M8 24h44l-6 30H14z" fill="#4A3426"/>'
    '<path d="M14 24a16 16 0 0 1 32 0" fill="none" stroke="#9DB63C" stroke-width="5"/></svg>'
)


def write(page: Page, label: str, text: str) -> None:
    field = page.get_by_label(label, exact=True)
    field.fill(text)
    field.press("Control+Enter")
    expect(page.get_by_text("All saved")).to_be_visible()


def test_from_nothing_to_a_published_page(page: Page, studio: str, tmp_path: Path, chromium: Browser) -> None:
    # A brand of its own.
    page.get_by_label("Name").fill("Osier Lane Baskets")
    page.get_by_role("button", name="Make the brand").click()

    # 1 Identity: words, several colours pasted at once, a typeface, a logo.
    expect(page.get_by_label("Name", exact=True)).to_have_value("Osier Lane Baskets")
    write(page, "Strapline", "Woven by hand, for years.")
    write(page, "What it does", "We grow willow and weave it into baskets that last. You can watch, and learn it.")
    write(page, "For whom", "Cooks, gardeners and people who carry things")
    write(page, "Where", "Osier Lane")
    for name, text in (("Market baskets", "Round and oval, with a handle."), ("Weekend courses", "Two days, six people.")):
        write(page, "Name of a new offer", name)
        number = page.get_by_label("Name of offer").count()
        write(page, f"Text of offer {number}", text)
    write(page, "Address", "2 Osier Lane")
    write(page, "Email", "hello@osierlane.example")
    write(page, "Telephone", "01632 960188")
    page.get_by_label("Paste the brand’s colours").fill(COLORS)
    page.get_by_role("button", name="Add colours").click()
    expect(page.get_by_label("Value of Willow")).to_have_value("#9DB63C")
    expect(page.get_by_label("Value of Bark")).to_have_value("rgb(74 52 38)")
    headings = page.get_by_role("group", name="Typeface for headings")
    headings.get_by_text("Lora", exact=True).click()
    expect(headings.locator("input[value=lora]")).to_be_checked()
    logo = tmp_path / "osier.svg"
    logo.write_text(MARK)
    page.get_by_label("Add the logo as SVG").set_input_files(logo)
    expect(page.get_by_alt_text("osier.svg on paper")).to_be_visible()

    # 2 System: exact colours are kept; the reason is told with numbers; a wire that cannot be read is a conflict.
    stage(page, "System")
    expect(page.get_by_role("button", name="Willow #9DB63C")).to_be_visible()
    # The logo has no version for the dark ground: that much is told from the start.
    expect(page.get_by_role("navigation", name="Stages")).to_contain_text("1 conflict")
    frame = page.frame_locator("iframe[title='Home, desktop 1280']")
    heading = frame.get_by_role("heading", name="What we offer")
    ground = heading.locator("xpath=ancestor::*[@data-ground][1]").get_attribute("data-ground")
    page.get_by_role("button", name="Willow #9DB63C").press("Enter")
    page.get_by_role("button", name=f"Heading on {ground}: Woven").press("Enter")
    expect(page.get_by_role("region", name="Reasons")).to_contain_text(f"Willow as heading on {ground}")
    expect(page.get_by_role("navigation", name="Stages")).to_contain_text("2 conflicts")
    expect(heading).to_have_css("color", "rgb(157, 182, 60)")
    expect(
        page.get_by_role("button", name=re.compile(rf"Heading on {ground}, [12]\.\d to 1, needs 4.5, fails"))
    ).to_be_visible()

    # 3 Pages: planned, with the brief's words; edited in place.
    stage(page, "Pages")
    frame = page.frame_locator("iframe[title='Home, desktop 1280']")
    title = frame.get_by_role("textbox", name="heading", exact=True).first
    expect(title).to_have_text("Woven by hand, for years.")
    title.click()
    title.press("Control+a")
    title.press_sequentially("Baskets that outlive the car")
    title.press("Enter")
    expect(page.get_by_role("button", name="Undo")).to_have_attribute(
        "title", "Undo: “Baskets that outlive the car” written (Ctrl+Z)"
    )
    # Writing in the section has opened it.
    expect(page.get_by_role("button", name="Hero")).to_have_attribute("aria-expanded", "true")
    page.get_by_role("button", name="Frieze").click()
    expect(frame.locator("section.hero--frieze")).to_be_visible()
    page.get_by_role("group", name="Ground").get_by_role("button", name="brand").click()
    expect(frame.locator("section.hero")).to_have_attribute("data-ground", "brand")

    # 4 Preflight: the stop is met, and its fix taken.
    stage(page, "Preflight")
    finding = page.locator("li.finding").filter(has_text="“What we offer” is").first
    expect(finding).to_contain_text("it needs 3:1")
    expect(page.get_by_text("Not ready to release")).to_be_visible()
    stage(page, "Release")
    expect(page.get_by_role("heading", name="Held back by preflight")).to_be_visible()
    expect(page.get_by_role("button", name="Release r1")).to_have_count(0)
    stage(page, "Preflight")
    finding.get_by_role("button", name="as derived").click()
    expect(page.get_by_text("Ready to release", exact=True)).to_be_visible()
    # Undone and taken again.
    page.get_by_role("status").get_by_role("button", name="Undo").click()
    expect(page.get_by_text("Not ready to release")).to_be_visible()
    page.get_by_role("button", name="Redo").click()
    expect(page.get_by_text("Ready to release", exact=True)).to_be_visible()

    # 5 Release: published to another host, and the published page passes.
    stage(page, "Release")
    page.get_by_role("button", name="Release r1").click()
    expect(page.get_by_role("heading", name="r1 is live")).to_be_visible()
    address = page.get_by_role("link", name="http://127.0.0.1").get_attribute("href")
    assert address and "localhost" not in address
    with page.expect_download() as download:
        page.get_by_role("link", name="Download ZIP").click()
    assert download.value.suggested_filename == "osier-lane-baskets-r1.zip"

    visitor, said = open_page(chromium)
    visitor.goto(address)
    expect(visitor.get_by_role("heading", level=1)).to_have_text("Baskets that outlive the car")
    assert violations(visitor) == []
    visitor.get_by_role("navigation", name="Pages", exact=True).get_by_role("link", name="Contact").click()
    expect(visitor.get_by_role("heading", level=1)).to_have_text("Contact")
    assert visitor.context.cookies() == [] and said == []
    visitor.context.close()

    # Again after a change.
    stage(page, "Pages")
    stage(page, "System")
    page.get_by_role("tab", name="Shape and buttons").click()
    page.get_by_role("button", name="Pages", exact=True).click()
    slider = page.get_by_label("Corner radius")
    slider.focus()
    for _ in range(6):
        slider.press("ArrowRight")
    # Fast keys lose no step, and what is released is what was set last.
    expect(slider).to_have_value("12")
    expect(page.get_by_text("r1 live, changed since")).to_be_visible()
    stage(page, "Release")
    page.get_by_role("button", name="Release r2").click()
    expect(page.get_by_role("heading", name="r2 is live")).to_be_visible()
    expect(page.get_by_role("rowheader", name="r1", exact=True)).to_be_visible()
    published = page.request.get(f"{address}tokens.css").text()
    assert "--shape-radius:12px" in published
