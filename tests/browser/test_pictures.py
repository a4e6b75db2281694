"""A photograph is dropped on its place on the page, worked on, and taken back."""

import base64
import re

from playwright.sync_api import Page, expect

from formulon.studio.models import Picture
from tests.browser.conftest import open_demo, stage, violations
from tests.studio.test_pictures import photograph

DROP = """([selector, data, name]) => {
  const frame = document.querySelector('.edit-paper iframe').contentDocument;
  const transfer = new DataTransfer();
  transfer.items.add(new File([Uint8Array.from(atob(data), c => c.charCodeAt(0))], name, {type: 'image/jpeg'}));
  const target = frame.querySelector(selector);
  for (const kind of ['dragover', 'drop'])
    target.dispatchEvent(new DragEvent(kind, {bubbles: true, cancelable: true, dataTransfer: transfer}));
}"""


def test_a_photograph_is_dropped_on_its_place_worked_on_and_taken_back(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "Pages")
    frame = page.frame_locator(".edit-paper iframe")
    place = frame.locator(".hero .picture[data-slot]").first
    expect(place).to_be_visible()
    data = base64.b64encode(photograph()).decode()
    page.evaluate(DROP, [".hero .picture[data-slot]", data, "2-bowl-on-a-sill.jpg"])
    image = frame.locator(".hero .picture img")
    expect(image).to_have_attribute("alt", "Bowl on a sill")
    expect(page.get_by_text("All saved")).to_be_visible()
    first = Picture.objects.get(key="2-bowl-on-a-sill")
    # The section is open; the picture is worked on there.
    page.get_by_role("button", name="Work on it…").first.click()
    dialog = page.get_by_role("dialog")
    seen = dialog.get_by_alt_text("Bowl on a sill, as it would be")
    expect(seen).to_be_visible()
    page.wait_for_timeout(400)  # the dialog fades in
    assert violations(page) == []
    dialog.get_by_role("button", name="Turn right").click()
    dialog.get_by_label(re.compile("^Straighten")).press("ArrowRight")
    dialog.get_by_label(re.compile("^Light")).press("ArrowRight")
    expect(dialog.get_by_text(re.compile(r"^\+0\.5"))).to_be_visible()
    for _ in range(100):  # until what is tried is drawn
        if seen.evaluate("one => one.complete && one.naturalHeight > one.naturalWidth"):
            break
        page.wait_for_timeout(100)
    assert seen.evaluate("one => one.naturalHeight > one.naturalWidth")
    # It is cut by its frame with the pointer, and seen so.
    dialog.get_by_role("button", name="Cut…").click()
    dialog.get_by_role("slider", name="Off the foot").press("Shift+ArrowUp")
    side = dialog.get_by_role("slider", name="Off the right").bounding_box()
    assert side
    page.mouse.move(side["x"] + side["width"] / 2, side["y"] + 40)
    page.mouse.down()
    page.mouse.move(side["x"] - 30, side["y"] + 60, steps=3)
    page.mouse.up()
    assert float(str(dialog.get_by_role("slider", name="Off the right").get_attribute("aria-valuenow"))) > 5
    assert dialog.get_by_role("slider", name="Off the foot").get_attribute("aria-valuenow") == "5"
    assert violations(page) == []
    dialog.get_by_role("button", name="See it cut").click()
    dialog.get_by_role("button", name="Put it there").click()
    expect(dialog).to_be_hidden()
    expect(image).to_have_attribute("src", re.compile("2-bowl-on-a-sill-2-"))
    made = Picture.objects.get(key="2-bowl-on-a-sill-2")
    assert made.height > made.width and first.width > first.height
    page.get_by_role("button", name="Undo").click()
    expect(image).to_have_attribute("src", re.compile(r"2-bowl-on-a-sill-\d+\.webp"))
    page.get_by_role("button", name="Undo").click()
    expect(frame.locator(".hero .picture img[alt='Bowl on a sill']")).to_have_count(0)
