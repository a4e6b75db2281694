"""Pages and sections are worked on: by mouse, by finger and by keyboard alone."""

import re
from collections.abc import Callable
from itertools import pairwise
from typing import Any

import pytest
from playwright.sync_api import Browser, Locator, Page, expect

from tests.browser.conftest import enter, open_demo, open_page, stage, violations

NEEDS = ("prices", "opening hours", "common questions", "who we are", "what others say", "how it works", "map")


def rows(page: Page) -> list[str]:
    """The sections of the open page, from the top, with what is said of their state, once the catalogue is there that names them."""
    expect(page.locator("[data-row] .section-row b").filter(has_text=re.compile("^[A-Z]")).first).to_be_visible()
    return page.locator("[data-row] .section-row b").all_inner_texts()


def settled(page: Page) -> None:
    expect(page.get_by_text("All saved")).to_be_visible()


def drawn(page: Page) -> list[str]:
    """The sections of the page as it is drawn."""
    frame = page.frame_locator(".edit-paper iframe")
    found = frame.locator("main > [data-section]").evaluate_all("all => all.map(one => one.dataset.section)")
    return [str(one) for one in found]


def add(page: Page, need: str, press: Callable[[Locator], None] = Locator.click) -> None:
    """Adds the first composition of what a need finds first."""
    press(page.get_by_role("button", name="Add a section"))
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("What is it needed for?").fill(need)
    press(dialog.locator(".add-offer").first)
    expect(dialog).to_be_hidden()
    settled(page)


def box_of(page: Page, what: Locator) -> dict[str, float]:
    """Where something is, once it is anywhere: what is being drawn anew may be gone for a frame."""
    for _ in range(200):
        box = what.bounding_box()
        if box:
            return dict(box)
        page.wait_for_timeout(50)
    raise AssertionError("it is not drawn")


@pytest.mark.parametrize("hand", ["mouse", "finger", "keyboard"])
def test_a_page_of_eight_sections_is_composed_from_nothing(
    chromium: Browser, studio: str, designer: Any, demo: str, hand: str
) -> None:
    page, said = open_page(chromium, touch=hand == "finger")
    enter(page, studio, designer)
    open_demo(page)

    def press(what: Locator) -> None:
        """Presses something as the hand does."""
        if hand == "keyboard":
            what.focus()
            page.keyboard.press("Enter")
        elif hand == "finger":
            what.tap()
        else:
            what.click()

    press(page.get_by_role("navigation", name="Stages").get_by_role("link", name=re.compile("^Pages")))
    press(page.get_by_role("button", name="Pages and menu…"))
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Add a page").fill("Workshops")
    press(dialog.get_by_role("button", name="Add", exact=True))
    expect(dialog.get_by_label("Name of Workshops")).to_be_visible()
    if hand == "mouse":
        assert violations(page) == []
        dialog.get_by_role("tab", name="Menu").click()
        assert violations(page) == []
    if hand == "finger":
        dialog.get_by_role("button", name="Close").first.tap()
    else:
        page.keyboard.press("Escape")
    expect(page.get_by_role("button", name="Workshops", exact=True)).to_have_attribute("aria-pressed", "true")
    for left in range(len(rows(page)) - 1, 0, -1):
        press(page.locator("[data-row] .section-row").last)
        press(page.get_by_role("button", name="Take out", exact=True))
        expect(page.locator("[data-row]")).to_have_count(left)
    for number, need in enumerate(NEEDS, start=2):
        add(page, need, press)
        expect(page.locator("[data-row]")).to_have_count(number)
    kinds = ["Hero", "Price list", "Programme and hours", "Questions", "Team", "Quotes", "Steps", "Place and directions"]
    assert sorted(rows(page)) == sorted(kinds) and rows(page)[0] == "Hero"
    frame = page.frame_locator(".edit-paper iframe")
    expect(frame.locator("main > [data-section]")).to_have_count(8)
    # New parts take the style by themselves: every text of theirs is in an ink of its ground, and none is set in its own colour.
    assert frame.locator("main [style*=color]").count() == 0
    grounds = frame.locator("main > [data-section]").evaluate_all("all => all.map(one => one.dataset.ground)")
    assert all(one != other for one, other in pairwise(grounds)), "no two neighbours stand on one ground"
    # Everything leads somewhere, and only what nothing is known of is still to be written.
    press(page.get_by_role("navigation", name="Stages").get_by_role("link", name=re.compile("^Preflight")))
    stops = page.locator(".finding").filter(has=page.locator(".mark-stop"))
    expect(stops.first).to_be_visible()
    told = stops.locator("h3").all_inner_texts()
    unwritten = re.compile("is still to be written|has no description")
    assert told and not [one for one in told if not unwritten.search(one)]
    page.context.close()
    assert said == []


def test_sections_are_dragged_by_mouse_and_parked_and_brought_back(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "Pages")
    expect(page.locator("[data-row]").first).to_be_visible()
    before = rows(page)
    first, last = page.locator("[data-row]").nth(1), page.locator("[data-row]").last
    first.hover()
    grip, foot = first.locator(".section-grip").bounding_box(), last.bounding_box()
    assert grip and foot
    page.mouse.move(grip["x"] + 5, grip["y"] + 20)
    page.mouse.down()
    page.mouse.move(foot["x"] + 5, foot["y"] + foot["height"] - 4, steps=6)
    expect(page.locator(".drop-after")).to_have_count(1)
    page.mouse.up()
    settled(page)
    moved = [before[0], *before[2:], before[1]]
    expect(page.locator("[data-row] .section-row b").last).to_have_text(before[1])
    assert rows(page) == moved
    page.get_by_role("button", name="Undo").click()
    expect(page.locator("[data-row] .section-row b").nth(1)).to_have_text(before[1])
    assert rows(page) == before

    page.locator("[data-row] .section-row").nth(1).click()
    page.get_by_role("button", name="Park, go on with a copy").click()
    expect(page.locator(".out")).to_have_count(1)
    settled(page)
    assert rows(page) == [before[0], before[1], f"{before[1]}parked", *before[2:]]
    frame = page.frame_locator(".edit-paper iframe")
    expect(frame.locator("main > [data-section]")).to_have_count(len(before))
    shown = drawn(page)
    page.locator(".out .section-row").click()
    page.get_by_role("button", name="Bring back").click()
    expect(frame.locator(f"main > [data-section='{shown[1]}']")).to_have_count(0)
    assert len(drawn(page)) == len(before) and rows(page).count(f"{before[1]}parked") == 1


def test_a_page_that_is_taken_out_says_what_led_there_and_its_address_leads_on(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "Pages")
    page.get_by_role("button", name="Pages and menu…").click()
    dialog = page.get_by_role("dialog").first
    address = dialog.get_by_label("Address of About")
    address.fill("who-we-are")
    address.press("Enter")
    expect(dialog.get_by_role("region", name="Old addresses")).to_contain_text("about.html → About")
    dialog.get_by_role("button", name="Take out What we offer").click()
    asked = page.get_by_role("dialog", name=re.compile("links? to What we offer"))
    expect(asked.get_by_role("listitem").first).to_be_visible()
    assert violations(page) == []
    asked.get_by_label("These then lead to").select_option(label="About")
    asked.get_by_role("button", name="Take it out").click()
    expect(dialog.get_by_role("region", name="Old addresses")).to_contain_text("offer.html → About")
    dialog.get_by_role("tab", name="Menu").click()
    dialog.get_by_label("entries of one’s own").check()
    dialog.get_by_role("button", name="Put Contact under the entry before it").click()
    settled(page)
    page.keyboard.press("Escape")
    expect(dialog).to_be_hidden()
    stage(page, "Release")
    page.get_by_role("button", name=re.compile("^Publish|^Release")).last.click()
    link = page.get_by_role("link", name=re.compile("127.0.0.1")).first
    expect(link).to_be_visible()
    site = page.context.new_page()
    root = str(link.get_attribute("href"))
    for old in ("about.html", "offer.html"):
        site.goto(root + old)
        site.wait_for_url(re.compile(r"who-we-are\.html$"))
    unfolds = site.get_by_role("navigation", name="Pages", exact=True).locator("details").first
    expect(unfolds.get_by_role("link", name="Contact")).to_be_hidden()
    unfolds.locator("summary").click()
    unfolds.get_by_role("link", name="Contact").click()
    site.wait_for_url(re.compile(r"contact\.html$"))
    site.close()


def test_sections_are_moved_by_finger(chromium: Browser, studio: str, designer: Any, demo: str) -> None:
    context = chromium.new_context(viewport={"width": 1180, "height": 820}, has_touch=True, locale="en-GB")
    page = context.new_page()
    enter(page, studio, designer)
    open_demo(page)
    stage(page, "Pages")
    page.locator("[data-row]").first.wait_for()
    before = rows(page)
    grip = page.locator("[data-row] .section-grip").nth(2).bounding_box()
    first = page.locator("[data-row]").first.bounding_box()
    assert grip and first
    touch = context.new_cdp_session(page)
    x, y = grip["x"] + 8, grip["y"] + 20
    steps = [y + (first["y"] + 2 - y) * part / 5 for part in range(6)]
    touch.send("Input.dispatchTouchEvent", {"type": "touchStart", "touchPoints": [{"x": x, "y": y}]})
    for at in steps:
        touch.send("Input.dispatchTouchEvent", {"type": "touchMove", "touchPoints": [{"x": x, "y": at}]})
    expect(page.locator(".drop-before")).to_have_count(1)
    touch.send("Input.dispatchTouchEvent", {"type": "touchEnd", "touchPoints": []})
    expect(page.locator("[data-row] .section-row b").first).to_have_text(before[2])
    assert rows(page) == [before[2], before[0], before[1], *before[3:]]
    context.close()


def test_sections_are_worked_on_by_keyboard_alone(chromium: Browser, studio: str, designer: Any, demo: str) -> None:
    page, said = open_page(chromium)
    enter(page, studio, designer)
    open_demo(page)
    stage(page, "Pages")
    page.locator("[data-row]").first.wait_for()
    before = rows(page)
    page.keyboard.press("?")
    expect(page.get_by_role("dialog", name="Keys")).to_contain_text("Alt+↑, Alt+↓")
    assert violations(page) == []
    page.keyboard.press("Escape")
    page.locator("[data-row] .section-row").nth(2).focus()
    page.keyboard.press("Alt+ArrowUp")
    expect(page.locator("[data-row] .section-row b").nth(1)).to_have_text(before[2])
    settled(page)
    page.keyboard.press("h")  # what has the focus is moved along
    expect(page.locator("[data-row] .section-row b").nth(1)).to_contain_text("hidden")
    settled(page)
    page.keyboard.press("a")
    dialog = page.get_by_role("dialog", name=re.compile("^Add a section"))
    expect(dialog.get_by_label("What is it needed for?")).to_be_focused()
    page.keyboard.type("newsletter")
    expect(dialog.locator(".add-offer").first).to_be_visible()
    page.keyboard.press("Tab")
    page.keyboard.press("Tab")
    for _ in range(4):
        if page.evaluate("document.activeElement.className") == "add-offer":
            break
        page.keyboard.press("Tab")
    page.keyboard.press("Enter")
    expect(dialog).to_be_hidden()
    expect(page.locator("[data-row] .section-row b").nth(2)).to_have_text("Sign-up")
    settled(page)
    for _ in range(3):
        page.keyboard.press("Control+z")
        settled(page)
    expect(page.locator("[data-row]")).to_have_count(len(before))
    expect(page.locator("[data-row] .section-row b").nth(2)).to_have_text(before[2])
    assert rows(page) == before
    page.context.close()
    assert said == []


def test_a_change_is_asked_for_in_words_looked_at_taken_and_undone(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "Pages")
    page.locator("[data-row] .section-row").nth(1).click()
    frame = page.frame_locator(".edit-paper iframe")
    before = frame.locator("main > [data-section]").nth(1).get_attribute("class")
    asked = page.locator("li.open").get_by_label("Ask for a change")
    asked.fill("on deep and another layout")
    asked.press("Enter")
    answer = page.locator("li.open").get_by_role("status")
    expect(answer).to_contain_text("stands on deep.")
    expect(answer.get_by_role("listitem").first).to_be_visible()
    assert frame.locator("main > [data-section]").nth(1).get_attribute("class") == before, "nothing is changed yet"
    assert violations(page) == []
    asked.press("Enter")
    expect(frame.locator("main > [data-section]").nth(1)).to_have_attribute("data-ground", "deep")
    assert frame.locator("main > [data-section]").nth(1).get_attribute("class") != before
    page.get_by_role("button", name="Undo").click()
    expect(frame.locator("main > [data-section]").nth(1)).to_have_attribute("class", str(before))
    # What is about a text is about the one that was worked on.
    frame.locator(".hero [data-slot=text]").click()
    about = page.locator("li.open").get_by_label("What it is about")
    expect(about).to_have_value("text")
    page.locator("li.open").get_by_label("Ask for a change").fill("wormer")
    page.keyboard.press("Enter")
    expect(page.locator("li.open").get_by_role("status")).to_contain_text("is not understood")
    page.locator("li.open").get_by_role("status").get_by_role("button", name="shorter").click()
    expect(page.locator("li.open").get_by_role("status")).not_to_contain_text("not understood")


def test_what_is_asked_to_fit_so_many_lines_fits_when_chromium_lays_it_out(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "Pages")
    frame = page.frame_locator(".edit-paper iframe")
    text = frame.locator(".hero [data-slot=text]")
    text.click()
    asked = page.locator("li.open").get_by_label("Ask for a change")
    for count in (4, 3, 2):
        asked.fill(f"in {count} lines")
        asked.press("Enter")
        answer = page.locator("li.open").get_by_role("status")
        expect(answer).not_to_be_empty()
        if not answer.get_by_role("button", name="Do it").count():
            continue
        words = str(text.inner_text())
        asked.press("Enter")
        expect(text).not_to_have_text(words)
        lines = text.evaluate("e => Math.round(e.getBoundingClientRect().height / parseFloat(getComputedStyle(e).lineHeight))")
        assert lines <= count


def test_a_composition_of_ones_own_is_shaped_at_three_widths_kept_and_used_again(loud_page: Page, demo: str) -> None:
    page = loud_page  # a pull that is refused is a request that is
    open_demo(page)
    stage(page, "Pages")
    add(page, "text with picture")
    expect(page.locator("li.open .section-row b")).to_have_text("Text with picture")
    page.get_by_role("button", name="Shape the section").click()
    parts = page.locator(".shape-part")
    expect(parts.first).to_be_visible()
    assert violations(page) == []
    picture = page.get_by_role("button", name=re.compile("^Picture: columns"))
    before = str(picture.get_attribute("aria-label"))
    edge = page.locator(".shape-part", has=picture).locator(".shape-edge")
    column = page.locator(".shape-columns i").nth(1).bounding_box()
    assert column
    for handle, by in (("end", -1), ("start", 1)):
        box = box_of(page, edge.and_(page.locator(f".{handle}")))
        y = box["y"] + box["height"] / 2
        page.mouse.move(box["x"] + 6, y)
        page.mouse.down()
        page.mouse.move(box["x"] + 6 + by * column["width"] * 1.3, y, steps=4)
        page.mouse.up()
        settled(page)
    frame = page.frame_locator(".edit-paper iframe")
    expect(picture).not_to_have_attribute("aria-label", before)
    first, last = (int(one) for one in re.findall(r"columns (\d+) to (\d+)", str(picture.get_attribute("aria-label")))[0])
    # The part stands where the label says, to the pixel.
    section = page.locator("li.open").get_attribute("data-row")
    tracks = (
        "e => { const grid = e.querySelector('.grid'), s = getComputedStyle(grid), g = parseFloat(s.columnGap);"
        " let at = grid.getBoundingClientRect().left;"
        " const all = s.gridTemplateColumns.split(' ').map(parseFloat).map(one => { const r = [at, at + one]; at += one + g; return r; });"
        " const r = e.querySelector('.picture').closest('.region').getBoundingClientRect(); return [all, [r.left, r.right]]; }"
    )
    off = [99.0]
    for _ in range(200):  # until the page is drawn anew
        grid, (left, right) = frame.locator(f"[data-section='{section}']").evaluate(tracks)
        if len(grid) == 14:
            start, end = (0 if first == 0 else grid[first][0]), (1280 if last == 13 else grid[last][1])
            off = [abs(left - start), abs(right - end)]
        if max(off) <= 1:
            break
        page.wait_for_timeout(100)
    assert max(off) <= 1, (first, last, off)

    page.get_by_role("group", name="Width of the page").get_by_role("button", name="tablet").click()
    head = page.get_by_role("button", name=re.compile("^Headline: columns"))
    before = str(head.get_attribute("aria-label"))
    head.focus()
    page.keyboard.press("Shift+ArrowLeft")
    expect(head).not_to_have_attribute("aria-label", before)
    page.get_by_role("group", name="Width of the page").get_by_role("button", name="phone", exact=True).click()
    small = page.get_by_role("button", name=re.compile("^Picture: (to the edges|within the margins)"))
    before = str(small.get_attribute("aria-label"))
    small.focus()
    page.keyboard.press("ArrowRight")
    expect(page.get_by_role("button", name=re.compile("^Picture: "))).not_to_have_attribute("aria-label", before)
    # What cannot stand so is refused in a sentence.
    page.get_by_role("group", name="Width of the page").get_by_role("button", name="desktop").click()
    head.focus()
    for _ in range(12):
        page.keyboard.press("Shift+ArrowLeft")
        page.wait_for_timeout(150)
        settled(page)
        if page.locator(".notices").inner_text():
            break
    expect(page.locator(".notices")).to_contain_text(re.compile("three columns|one column wide"))

    page.locator("li.open").get_by_label("Name of this composition").fill("Window seat")
    page.locator("li.open").get_by_role("button", name="Keep for other pages").click()
    settled(page)
    page.get_by_role("button", name="About", exact=True).click()
    page.get_by_role("button", name="Add a section").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("What is it needed for?").fill("text with picture")
    dialog.locator(".add-offer").last.click()
    expect(dialog).to_be_hidden()
    used = page.locator("li.open").get_by_role("group", name="Layout").get_by_role("button", name="Window seat")
    expect(used).to_have_attribute("aria-pressed", "true")


def test_words_are_searched_over_the_site_and_replaced_where_that_is_wanted(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "Pages")
    page.get_by_role("button", name="Search…").click()
    dialog = page.get_by_role("dialog", name="Search and replace")
    dialog.get_by_label("Search for").fill("QUILLMOOR")
    expect(dialog.get_by_role("listitem").first).to_be_visible()
    texts = dialog.get_by_role("listitem").count()
    assert texts > 3 and violations(page) == []
    dialog.get_by_label("Put in its place").fill("Fennmoor")
    dialog.get_by_role("checkbox", name=re.compile("^Replace in")).first.uncheck()
    dialog.get_by_role("button", name=re.compile("^Replace")).click()
    expect(dialog.get_by_role("listitem")).to_have_count(1)
    settled(page)
    dialog.get_by_label("Search for").fill("fennmoor")
    expect(dialog.get_by_role("listitem")).to_have_count(texts - 1)
    dialog.get_by_role("listitem").last.get_by_role("button").click()
    expect(dialog).to_be_hidden()
    page.get_by_role("button", name="Undo", exact=True).first.click()
    settled(page)
    page.get_by_role("button", name="Search…").click()
    dialog.get_by_label("Search for").fill("fennmoor")
    expect(dialog.get_by_role("status")).to_contain_text("stands nowhere")
