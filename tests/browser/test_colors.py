"""The colour system in the studio: wiring into a conflict and out of it, reach, pins, both schemes, kinds of vision,
shares of painted area and the rhythm of grounds."""

import json
import re
from io import BytesIO
from pathlib import Path

import numpy as np
import pytest
from PIL import Image
from playwright.sync_api import Locator, Page, expect

from formulon.core.color.vision import seen_color
from formulon.studio.models import Brand, Entry
from tests.browser.conftest import drag, open_demo, saved, stage, violations

FRAME = "iframe[title='Home, desktop 1280']"


def call_heading(page: Page) -> Locator:
    """A heading on the accent ground, as a page draws it."""
    return page.frame_locator(FRAME).locator("section.call-to-action h2")


def test_a_wire_into_a_conflict_and_out_of_it_with_its_reach_and_all_undone(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    heading = call_heading(page)
    expect(heading).to_have_css("color", "rgb(246, 241, 231)")  # Chalk
    # Lamp led to the heading on accent, by mouse: kept, seen on the page at once, and told with numbers.
    drag(
        page,
        page.get_by_role("button", name="Lamp #F2A93B"),
        page.get_by_role("button", name=re.compile("^Heading on accent:")),
    )
    expect(heading).to_have_css("color", "rgb(242, 169, 59)")
    reasons = page.get_by_role("region", name="Reasons")
    expect(reasons).to_contain_text("Lamp as heading on accent is 2.57:1; it needs 4.5:1.")
    expect(page.get_by_role("navigation", name="Stages")).to_contain_text("1 conflict")
    reached = page.locator(".reached summary")
    expect(reached).to_contain_text("Lamp for heading on accent reached")
    expect(reached).to_contain_text("1 pair in use fails now")
    # Each way out says what it reaches; pointing at one shows it on the pages before it is taken.
    way = reasons.locator(".way").filter(has_text="Lamp 100")
    expect(way).to_contain_text("1 pair in use passes now")
    expect(way).to_contain_text("conflict fewer")
    way.hover()
    expect(heading).to_have_css("color", "rgb(255, 241, 224)")
    page.mouse.move(5, 5)
    expect(heading).to_have_css("color", "rgb(242, 169, 59)")
    saved(page)
    assert Entry.objects.count() == 1
    way.click()
    expect(heading).to_have_css("color", "rgb(255, 241, 224)")
    expect(page.get_by_role("navigation", name="Stages")).to_contain_text("no conflict")
    # What it reached, in full: the value, the verdict that turned, the sections.
    expect(reached).to_contain_text("1 pair in use passes now")
    reached.click()
    expect(page.get_by_role("list", name="Values that changed")).to_contain_text("ground/accent/heading")
    expect(page.get_by_role("list", name="Verdicts that turned")).to_contain_text("2.57:1 → 4.62:1, passes")
    expect(page.get_by_role("list", name="Sections reached").get_by_role("listitem")).to_have_count(3)
    # What was said goes with the next change: its “Undo” would take that one back.
    expect(page.locator(".notice")).to_contain_text("Lamp 100 is used now.")
    page.get_by_label("links underlined").click()
    expect(page.locator(".notice")).to_have_count(0)
    page.keyboard.press("Control+z")
    expect(page.get_by_label("links underlined")).to_be_checked()
    expect(reached).to_contain_text("Taken back: Links without underline reached")
    page.keyboard.press("Control+z")
    expect(heading).to_have_css("color", "rgb(242, 169, 59)")
    page.keyboard.press("Control+z")
    expect(heading).to_have_css("color", "rgb(246, 241, 231)")
    expect(page.get_by_role("navigation", name="Stages")).to_contain_text("no conflict")
    saved(page)
    assert Brand.objects.get().documents.get(name="choices").body["wires"] == {}


def test_wiring_by_keyboard(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    expect(call_heading(page)).to_be_visible()
    page.get_by_role("button", name="Night #1B2147").focus()
    page.keyboard.press("Enter")
    page.get_by_role("button", name=re.compile("^Navigation ground")).focus()
    page.keyboard.press("Enter")
    header = page.frame_locator(FRAME).locator("header")
    expect(header).to_have_css("background-color", "rgb(27, 33, 71)")
    # Only the navigation took it; its links follow and can be read, and the mark is the reversed one.
    expect(page.frame_locator(FRAME).locator("section.cards")).to_have_css("background-color", "rgb(246, 241, 231)")
    expect(page.frame_locator(FRAME).locator("header nav a").first).to_have_css("color", "rgb(246, 241, 231)")


def test_a_pin_is_kept_and_released(loud_page: Page, demo: str) -> None:
    page = loud_page  # a refused value stands in the console on purpose
    open_demo(page)
    stage(page, "System")
    page.get_by_role("button", name=re.compile("^Heading on accent:")).click()
    reasons = page.get_by_role("region", name="Reasons")
    reasons.get_by_role("button", name="Pin…").click()
    field = reasons.get_by_label("Value of heading on accent")
    field.fill("not a colour")
    field.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("is not a colour")
    field.fill("oklch(98% 0.02 90)")
    field.press("Enter")
    expect(reasons).to_contain_text("pinned")
    saved(page)
    pins = Brand.objects.get().documents.get(name="choices").body["pins"]
    assert pins == {"ground/accent/heading": "oklch(98% 0.02 90)"}
    shown = reasons.locator(".mono").first.inner_text()
    rgb = tuple(int(shown[i : i + 2], 16) for i in (1, 3, 5))
    expect(call_heading(page)).to_have_css("color", f"rgb{rgb}")
    reasons.get_by_role("button", name="Release the pin").click()
    expect(call_heading(page)).to_have_css("color", "rgb(246, 241, 231)")


def test_picking_by_slider_step_words_picture_and_sample(page: Page, demo: str, tmp_path: Path) -> None:
    open_demo(page)
    stage(page, "System")
    page.get_by_role("button", name=re.compile("^Heading on accent:")).click()
    reasons = page.get_by_role("region", name="Reasons")
    reasons.get_by_role("button", name="Pin…").click()
    field = reasons.get_by_label("Value of heading on accent")
    verdict = reasons.get_by_role("status").first
    expect(verdict).to_have_text("4.56:1, passes")
    # The slider's end is black; it is seen on the page, and nothing is stored.
    slider = reasons.get_by_label("Lightness")
    slider.focus()
    slider.press("Home")
    expect(call_heading(page)).to_have_css("color", "rgb(0, 0, 0)")
    expect(verdict).to_have_text("4.08:1, fails, needs 4.5:1")
    slider.press("Alt+ArrowUp")
    expect(call_heading(page)).not_to_have_css("color", "rgb(0, 0, 0)")
    reasons.get_by_role("button", name="Another that passes").click()
    expect(verdict).to_contain_text("passes")
    reasons.get_by_label("Words for colours").fill("stormy and blorpy")
    reasons.get_by_role("button", name="Propose").click()
    proposed = reasons.get_by_role("group", name="Proposed colours")
    expect(proposed.get_by_role("button")).to_have_count(5)
    expect(proposed).to_contain_text("“blorpy” says nothing to it.")
    picture = tmp_path / "sea.png"
    Image.effect_noise((300, 200), 40).convert("RGB").save(picture)
    reasons.get_by_label("A reference picture").set_input_files(picture)
    expect(proposed.get_by_role("button", name=re.compile(r"% of the picture")).first).to_be_visible()
    reasons.get_by_role("group", name="The brand’s own colours").get_by_role("button", name=re.compile("^Lamp")).click()
    expect(field).to_have_value("#F2A93B")
    expect(call_heading(page)).to_have_css("color", "rgb(242, 169, 59)")
    # A place in a picture: the middle of the demo's telescope drawing has one of its exact colours.
    reasons.get_by_role("button", name="Sample…").click()
    reasons.locator(".sampler img").last.click(position={"x": 4, "y": 4})
    expect(field).to_have_value(re.compile("^#[0-9a-f]{6}$"))
    assert Entry.objects.count() == 0
    reasons.get_by_role("button", name="Cancel").click()
    expect(call_heading(page)).to_have_css("color", "rgb(246, 241, 231)")
    assert violations(page) == []


def test_both_schemes_and_each_kind_of_vision(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    hero = page.frame_locator(FRAME).locator("section.cards")
    expect(hero).to_have_css("background-color", "rgb(246, 241, 231)")
    page.locator(".policy-bar select").select_option("both")
    page.get_by_role("button", name="dark", exact=True).click()
    expect(hero).to_have_css("background-color", "rgb(27, 33, 71)")
    expect(page.frame_locator(FRAME).locator("header img.mark")).to_have_attribute("src", re.compile("F6F1E7|f6f1e7"))
    expect(page.get_by_text("AA · dark")).to_be_visible()
    page.get_by_role("button", name="light", exact=True).click()
    expect(hero).to_have_css("background-color", "rgb(246, 241, 231)")
    # The filter of the browser draws what core computes: the accent ground, as each kind of vision sees Heather.
    strip = page.frame_locator(FRAME).locator("section.call-to-action")
    for vision in ("protanopia", "deuteranopia", "tritanopia", "greyscale"):
        page.get_by_label("Seen with").select_option(vision)
        strip.scroll_into_view_if_needed()
        expect(page.locator(".page-frame").first).to_have_css("filter", re.compile(vision))
        box = strip.bounding_box()
        assert box
        png = page.screenshot(clip={"x": box["x"] + 4, "y": box["y"] + 4, "width": 4, "height": 4})
        drawn = np.asarray(Image.open(BytesIO(png)).convert("RGB")).reshape(-1, 3)[0].astype(int)
        wanted = np.array(seen_color((0x8E, 0x5A, 0x9B), vision))  # type: ignore[arg-type]
        assert np.abs(drawn - wanted).max() <= 3, (vision, drawn, wanted)


def test_inks_reach_shares_and_rhythm(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    expect(call_heading(page)).to_be_visible()
    page.get_by_role("button", name="Inks on grounds").click()
    cell = page.get_by_role("button", name="Heading on accent: 4.5 to 1, needs 4.5:1, passes, 3 uses")
    cell.click()
    expect(page.frame_locator(FRAME).locator("section.call-to-action h2")).to_have_attribute("data-lit", "")
    expect(page.get_by_text("Lit: Heading on accent")).to_contain_text("3 uses")
    page.get_by_role("button", name="Reach", exact=True).click()
    row = page.get_by_role("button", name=re.compile("^ground.accent.heading"))
    row.click()
    expect(page.locator(".reach-places")).to_contain_text("Home · call-to-action")
    expect(page.get_by_role("heading", name=re.compile("colours are used nowhere yet"))).to_be_visible()
    page.get_by_role("button", name="List them").click()
    expect(page.locator(".reach-unused")).to_contain_text("ground/paper/field/fill/rest")
    # Shares add up to the whole, and the guideline's own proportions stand beside them.
    page.get_by_role("button", name="Shares").click()
    painted = page.get_by_role("img", name=re.compile("^Painted on all pages"))
    expect(painted).to_be_visible()
    label = painted.get_attribute("aria-label") or ""
    whole = sum(int(one) for one in re.findall(r"(\d+) %", label.replace("under 1 %", "")))
    assert 96 <= whole <= 103, label
    expect(page.get_by_text("60 % Chalk")).to_be_visible()
    page.get_by_role("button", name="Set one rhythm for all pages").click()
    hero = page.frame_locator("iframe[title='About, desktop 1280']").locator("section.hero")
    expect(hero).to_have_attribute("data-ground", "deep")
    page.get_by_label("First").select_option("brand")
    expect(hero).to_have_css("background-color", "rgb(242, 169, 59)")
    stage(page, "Pages")
    expect(page.locator("main.stage-pages iframe").first).to_be_visible()
    page.locator(".section-row").filter(has_text="Hero").click()
    page.get_by_role("group", name="Ground").get_by_role("button", name="tint").click()
    expect(page.get_by_text("departs from the rhythm")).to_be_visible()


@pytest.mark.parametrize("form", ["tokens", "css", "scss", "gpl", "ase", "json"])
def test_the_system_is_taken_out_in_every_form(page: Page, demo: str, form: str) -> None:
    open_demo(page)
    answer = page.request.get(f"{page.url.split('/brands/')[0]}/api/brands/{demo}/system/{form}")
    assert answer.ok and "attachment" in answer.headers["content-disposition"]
    if form in ("tokens", "json"):
        assert json.loads(answer.body())
    assert len(answer.body()) > 2000


def test_axe_finds_no_violation_in_the_views_of_colour(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    expect(call_heading(page)).to_be_visible()
    page.get_by_role("button", name=re.compile("^Heading on accent:")).click()
    found = violations(page)
    for view in ("Inks on grounds", "Shares", "Reach"):
        page.get_by_role("button", name=view, exact=True).click()
        found += violations(page)
    page.get_by_role("tab", name="All values").click()
    found += violations(page)
    assert found == []


def test_ratios_of_ones_own_are_solved_for_and_a_line_tells_its_reason(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    page.get_by_role("group", name="Held to").get_by_role("button", name="own").click()
    own = page.get_by_role("group", name="Ratios of your own")
    own.get_by_label("Text").fill("6,5")
    own.get_by_label("Text").press("Enter")
    expect(page.locator(".reached summary")).to_contain_text("Text held to 6.5:1")
    expect(page.locator("footer.strip")).to_contain_text("own")
    saved(page)
    choices = Brand.objects.get().documents.get(name="choices").body
    assert choices["policy"] == "own" and choices["thresholds"] == {"text": 6.5, "large": 4, "boundary": 3}
    # What is out of bounds comes to their edge.
    own.get_by_label("Large").fill("9")
    own.get_by_label("Large").press("Enter")
    expect(own.get_by_label("Large")).to_have_value("4.5")
    assert violations(page) == []
    # Pointing at a line tells why it is there; pressing it chooses its role.
    line = page.locator("[data-wire='paper/heading']")
    line.dispatch_event("pointerover")
    expect(page.locator(".wire-reason")).to_contain_text("heading on paper")
    expect(page.locator(".wire-reason")).to_contain_text("6.5:1")
    line.dispatch_event("click")
    expect(page.get_by_role("region", name="Reasons")).to_contain_text("Heading on paper")
