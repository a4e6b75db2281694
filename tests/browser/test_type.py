"""Type in the studio: a font of the brand's own, the three-line click, pairs, and a step of its own."""

import io
import re
from pathlib import Path

from fontTools.ttLib import TTFont
from playwright.sync_api import Page, expect

from formulon.core.type.features import plain
from formulon.core.type.library import SHIPPED
from tests.browser.conftest import open_demo, stage, violations


def own_font(tmp_path: Path, bits: int = 0) -> Path:
    """A font file of a family that nobody has: one of the library under another name, with embedding bits."""
    font = TTFont(io.BytesIO(plain(SHIPPED.family("spectral").faces[0].open())))
    for number in (1, 4, 16):
        font["name"].setName("Quill Roman", number, 3, 1, 0x409)
    font["OS/2"].fsType = bits
    file = tmp_path / "quill-roman.ttf"
    font.save(file)
    return file


def type_facet(page: Page, view: str) -> None:
    stage(page, "System")
    page.get_by_role("tab", name="Type").click()
    page.get_by_role("button", name=view, exact=True).click()


def heading_font(page: Page) -> str:
    frame = page.frame_locator("iframe[title='Home, desktop 1280']")
    return str(frame.locator("h1").first.evaluate("e => getComputedStyle(e).fontFamily"))


def test_an_own_font_reaches_every_heading(page: Page, demo: str, tmp_path: Path) -> None:
    open_demo(page)
    type_facet(page, "Library")
    page.get_by_label("Add font files").set_input_files(own_font(tmp_path, bits=0x100))
    own = page.get_by_role("region", name="The brand’s own")
    expect(own).to_contain_text("Quill Roman")
    expect(own).to_contain_text("served whole")
    page.get_by_role("radio", name="Quill Roman").click(force=True)
    heading = page.frame_locator("iframe[title='Contact, phone 360']").locator("h1")
    expect(heading).to_have_css("font-family", re.compile("Quill Roman"))
    # The face that is drawn is the file's own, and every heading of every page has it.
    frame = page.frame_locator("iframe[title='Home, desktop 1280']")
    loaded = "e => document.fonts.ready.then(() => [...e.ownerDocument.fonts].some(f => f.family.includes('Quill') && f.status === 'loaded'))"
    expect(frame.locator("h1").first).to_be_visible()
    page.wait_for_timeout(500)
    assert frame.locator("h1").first.evaluate(loaded)
    fonts = frame.locator("h1,h2,h3").evaluate_all("all => [...new Set(all.map(e => getComputedStyle(e).fontFamily))]")
    assert len(fonts) == 1 and "Quill Roman" in fonts[0]
    page.get_by_role("button", name="Undo").click()
    expect(heading).to_have_css("font-family", re.compile("Young Serif"))
    assert violations(page) == []


def test_a_restricted_font_needs_a_licence(page: Page, demo: str, tmp_path: Path) -> None:
    open_demo(page)
    type_facet(page, "Library")
    page.get_by_label("Add font files").set_input_files(own_font(tmp_path, bits=0x2))
    expect(page.get_by_role("radio", name="Quill Roman")).to_be_disabled()
    page.get_by_label("We hold a licence for its use on websites").click()
    expect(page.get_by_role("radio", name="Quill Roman")).to_be_enabled()


def test_a_broken_font_says_so(loud_page: Page, demo: str, tmp_path: Path) -> None:
    open_demo(loud_page)
    type_facet(loud_page, "Library")
    file = tmp_path / "torn.ttf"
    file.write_bytes(own_font(tmp_path).read_bytes()[:900])
    loud_page.get_by_label("Add font files").set_input_files(file)
    expect(loud_page.get_by_role("alert").filter(has_text="torn.ttf")).to_contain_text("Ask for the file again")


def test_the_largest_headline_of_three_lines_in_one_click(page: Page, demo: str) -> None:
    open_demo(page)
    type_facet(page, "Staircase")
    page.get_by_role("button", name="display", exact=True).click()
    button = page.get_by_role("button", name=re.compile("^Largest with three lines"))
    size = float(re.search(r"([\d.]+) px", button.inner_text())[1])  # type: ignore[index]
    button.click()
    heading = page.frame_locator("iframe[title='Home, phone 360']").locator("h1")
    expect(heading).to_have_css("font-size", f"{size:g}px")
    lines = "e => Math.round(e.getBoundingClientRect().height / parseFloat(getComputedStyle(e).lineHeight))"
    assert heading.evaluate(lines) == 3
    expect(page.get_by_role("button", name=re.compile("is the largest with three lines"))).to_be_disabled()
    page.get_by_role("button", name="Follow the scale").click()
    expect(heading).not_to_have_css("font-size", f"{size:g}px")


def test_a_step_of_its_own_and_a_pair(page: Page, demo: str) -> None:
    open_demo(page)
    type_facet(page, "Staircase")
    page.get_by_role("button", name="label", exact=True).click()
    page.get_by_label("Case").select_option(label="Capitals")
    button = page.frame_locator("iframe[title='Home, desktop 1280']").locator(".button--primary").first
    expect(button).to_have_css("text-transform", "uppercase")
    tracking = page.get_by_label("Tracking, em of label")
    tracking.fill("0.08")
    tracking.press("Enter")
    expect(button).to_have_css("letter-spacing", re.compile(r"1\.\d+px"))
    page.get_by_role("button", name="Pairs", exact=True).click()
    first = page.get_by_role("button", name=re.compile("^Use ")).first
    name = str(first.get_attribute("aria-label")).removeprefix("Use ").split(" with ")[0]
    first.click()
    heading = page.frame_locator("iframe[title='Home, desktop 1280']").locator("h1")
    expect(heading).to_have_css("font-family", re.compile(re.escape(name)))
    assert violations(page) == []


def test_the_library_is_searched_and_filtered(page: Page, demo: str) -> None:
    open_demo(page)
    type_facet(page, "Library")
    page.get_by_role("button", name="Hand", exact=True).click()
    expect(page.get_by_role("radio")).to_have_count(1)
    page.get_by_role("button", name="Soft", exact=True).click()
    page.get_by_label("Search typefaces").fill("zzz")
    expect(page.get_by_text("No typeface has all of that.")).to_be_visible()
    page.get_by_role("button", name=re.compile("^Show all")).click()
    assert page.get_by_role("radio").count() >= 40


def test_words_are_stressed_on_the_page_and_stay_so(page: Page, demo: str) -> None:
    """Ctrl I and Ctrl B as any editor has them; what is stored is what was written, not what the style sheet makes of it."""
    open_demo(page)
    stage(page, "Pages")
    frame = page.frame_locator("iframe")
    title = frame.get_by_role("textbox", name="heading", exact=True).first
    title.click()
    page.keyboard.press("Control+Home")
    page.keyboard.press("Control+ArrowRight")
    page.keyboard.press("Control+Shift+ArrowRight")
    page.keyboard.press("Control+b")
    expect(title.locator("strong")).to_have_text(re.compile("dark"))
    page.keyboard.press("Enter")
    expect(page.get_by_text("All saved")).to_be_visible()
    text = frame.get_by_role("textbox", name="text", exact=True).first
    text.click()
    page.keyboard.press("Control+Home")
    page.keyboard.press("Control+Shift+ArrowRight")
    page.keyboard.press("Control+i")
    page.keyboard.press("Enter")
    expect(text.locator("em")).to_have_text(re.compile("Evenings"))
    expect(page.get_by_text("All saved")).to_be_visible()
    page.reload()
    expect(text.locator("em")).to_have_css("font-style", "italic")
    expect(title.locator("strong")).to_have_text("dark")
    # The same keys take it out; Escape puts it back as it was.
    title.locator("strong").dblclick()
    page.keyboard.press("Control+b")
    expect(title.locator("strong")).to_have_count(0)
    page.keyboard.press("Escape")
    expect(title.locator("strong")).to_have_text("dark")
    # Young Serif has one weight: preflight says so, and how to go on.
    stage(page, "Preflight")
    expect(page.get_by_text("has nothing bolder than 400").first).to_be_visible()
