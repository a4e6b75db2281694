"""Shape, buttons, logo and style guide in the studio, as a designer would use them."""

import re
import zipfile
from datetime import UTC, datetime
from pathlib import Path

import pypdf
import pytest
from playwright.sync_api import Page, expect

from tests.browser.conftest import drag, open_demo, stage, violations


def shape_facet(page: Page) -> None:
    stage(page, "System")
    page.get_by_role("tab", name="Shape and buttons").click()


def corner(page: Page, title: str, selector: str) -> str:
    found = page.frame_locator(f"iframe[title='{title}']").locator(selector).first
    expect(found).to_be_attached()
    return str(found.evaluate("e => getComputedStyle(e).borderTopRightRadius"))


def test_one_radius_reaches_buttons_fields_cards_and_pictures(page: Page, demo: str) -> None:
    open_demo(page)
    shape_facet(page)
    slider = page.get_by_label("Corner radius")
    slider.focus()
    for _ in range(8):
        page.keyboard.press("ArrowRight")
    matrix = "Buttons, fields and cards"
    expect(page.frame_locator(f"iframe[title='{matrix}']").locator(".button--primary").first).to_have_css(
        "border-top-right-radius", "14px"
    )
    for selector in (".button--secondary", "input.control", "textarea", ".sample-card"):
        assert corner(page, matrix, selector) == "14px", selector
    page.get_by_role("button", name="Pages", exact=True).click()
    title = "Home, desktop 1280"
    for selector in (".button--primary", ".cards .picture", ".cards .card"):
        assert corner(page, title, selector) == "14px", selector
    # One part of its own, and back.
    page.get_by_label("Pictures", exact=True).fill("0")
    expect(page.frame_locator(f"iframe[title='{title}']").locator(".cards .picture").first).to_have_css(
        "border-top-right-radius", "0px"
    )
    assert corner(page, title, ".button--primary") == "14px"
    page.get_by_role("button", name="Pictures follow the radius").click()
    expect(page.frame_locator(f"iframe[title='{title}']").locator(".cards .picture").first).to_have_css(
        "border-top-right-radius", "14px"
    )
    assert violations(page) == []


def test_cards_arrows_and_motion_are_choices(page: Page, demo: str) -> None:
    open_demo(page)
    shape_facet(page)
    page.get_by_role("group", name="Cards").get_by_role("button", name="lined").click()
    page.get_by_role("group", name="Arrow in buttons").get_by_role("button", name="after").click()
    page.get_by_role("group", name="Motion").get_by_role("button", name="calm").click()
    page.get_by_role("button", name="Pages", exact=True).click()
    frame = page.frame_locator("iframe[title='Home, desktop 1280']")
    expect(frame.locator(".hero .button--primary .icon")).to_be_visible()
    expect(frame.locator(".cards--lead .card").first).to_have_css("border-top-width", "1px")
    expect(frame.locator(".hero .button--primary")).to_have_css("transition-duration", re.compile("^0.18s"))
    for _ in range(3):
        page.get_by_role("button", name="Undo").click()
    expect(frame.locator(".hero .button--primary .icon")).to_have_count(0)
    expect(frame.locator(".hero .button--primary")).to_have_css("transition-duration", re.compile("^0s"))


def test_the_logo_turns_reversed_with_the_ground_of_the_header(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    mark = page.frame_locator("iframe[title='Home, desktop 1280']").locator(".header .mark")
    before = mark.get_attribute("src")
    drag(
        page,
        page.get_by_role("button", name="Night #1B2147"),
        page.get_by_role("button", name=re.compile("^Navigation ground")),
    )
    header = page.frame_locator("iframe[title='Home, desktop 1280']").locator("header.header")
    expect(header).to_have_css("background-color", "rgb(27, 33, 71)")
    expect(mark).not_to_have_attribute("src", str(before))
    page.get_by_role("tab", name="Logo").click()
    expect(page.get_by_role("img", name=re.compile("reversed.* on navigation"))).to_be_visible()


def test_a_variant_is_taken_and_a_mark_trimmed(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    page.get_by_role("tab", name="Logo").click()
    page.get_by_role("button", name=re.compile("^Take quillmoor-symbol.* reversed")).click()
    expect(page.get_by_role("button", name=re.compile("^Trim quillmoor-symbol.*reversed"))).to_be_visible()
    page.get_by_role("button", name="Trim quillmoor-symbol.svg", exact=True).click()
    expect(page.get_by_role("button", name="Trim quillmoor-symbol.svg", exact=True)).to_be_disabled()
    slider = page.get_by_label("In the header, desktops")
    slider.focus()
    for _ in range(6):
        page.keyboard.press("ArrowRight")
    mark = page.frame_locator("iframe[title='Home, desktop 1280']").locator(".header .mark")
    expect(mark).to_have_css("height", re.compile(r"^(50|49\.9\d*)px"))  # clamp() is written to six digits
    assert violations(page) == []


def test_the_style_guide_copies_downloads_and_prints(page: Page, demo: str, tmp_path: Path) -> None:
    open_demo(page)
    stage(page, "System")
    page.get_by_role("button", name="Style guide").click()
    guide = page.frame_locator("iframe[title='Style guide']")
    guide.get_by_text("rgb(27 33 71)").click()
    expect(page.get_by_text("rgb(27 33 71) copied")).to_be_visible()
    assert page.evaluate("navigator.clipboard.readText()") == "rgb(27 33 71)"
    with page.expect_download() as started:
        page.get_by_role("link", name="Download page").click()
    file = tmp_path / "guide.zip"
    started.value.save_as(file)
    with zipfile.ZipFile(file) as package:
        package.extractall(tmp_path / "guide")
    assert violations(page) == []
    # It stands by itself, and prints with its colours.
    tab = page.context.new_page()
    tab.goto((tmp_path / "guide" / "style-guide.html").as_uri())
    assert tab.evaluate("[...document.images].every(image => image.complete && image.naturalWidth > 0)")
    assert tab.evaluate("document.documentElement.scrollWidth <= innerWidth")
    tab.close()
    with page.expect_download() as started:
        page.get_by_role("button", name="Download PDF").click()
    file = tmp_path / "guide.pdf"
    started.value.save_as(file)
    print_out = pypdf.PdfReader(file)
    words = " ".join(leaf.extract_text() for leaf in print_out.pages)
    assert print_out.pages[0].mediabox.width == pytest.approx(595, abs=1)  # A4 (ISO 216): 210 mm are 595 pt
    assert all(value in words for value in ("#1B2147", "rgb(27 33 71)", "Night", "primary", "least", "space 4"))
    # Every page says whose it is, when it was printed and which of how many it is; none is a leaf with a line or two.
    count = len(print_out.pages)
    for number, leaf in enumerate(print_out.pages, 1):
        text = leaf.extract_text()
        assert "Quillmoor Observatory" in text and f"{number} / {count}" in text and str(datetime.now(UTC).year) in text
        assert len(text) > 200, number
    assert count <= 12
    fonts = {name for leaf in print_out.pages for name in leaf["/Resources"].get("/Font", {})}
    assert fonts
    page.get_by_label("Publish with the site").click()
    page.get_by_role("button", name="Close", exact=True).last.click()
    expect(page.get_by_role("tab", name="Colour")).to_be_visible()


def test_a_mark_is_cropped_and_turned_before_it_is_taken(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    page.get_by_role("tab", name="Logo").click()
    page.get_by_role("button", name="Crop and turn… quillmoor-full-reversed.svg").click()
    group = page.get_by_role("group", name="Crop and turn quillmoor-full-reversed.svg")
    shown = group.get_by_role("img")
    whole = str(shown.get_attribute("src"))
    expect(group.get_by_role("button", name="Take it so")).to_be_disabled()
    group.get_by_label("Off the right").focus()
    for _ in range(5):
        page.keyboard.press("ArrowRight")
    group.get_by_label("Turn").focus()
    page.keyboard.press("ArrowLeft")
    expect(shown).not_to_have_attribute("src", whole)
    expect(shown).to_have_attribute("src", re.compile("rotate"))
    footer = page.frame_locator("iframe[title='Home, desktop 1280']").locator(".mark--footer")
    before = str(footer.get_attribute("src"))
    group.get_by_role("button", name="Take it so").click()
    expect(footer).not_to_have_attribute("src", before)
    expect(group).to_have_count(0)
    page.get_by_role("button", name="Undo").click()
    expect(footer).to_have_attribute("src", before)
