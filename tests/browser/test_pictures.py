"""A photograph is dropped on its place on the page, worked on, and taken back."""

import base64
import io
import re
from typing import Any

from PIL import Image, ImageDraw
from playwright.sync_api import Browser, Page, expect

from formulon.studio.models import Picture
from formulon.studio.services.sites import blob_of
from tests.browser.conftest import enter, open_demo, stage, violations
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
    expect(page.locator(".edit-paper .page-frame[data-ready=true]")).to_be_visible()  # it takes what is dropped from then on
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


def test_a_picture_is_cut_and_its_edge_mended_by_finger(chromium: Browser, studio: str, designer: Any, demo: str) -> None:
    context = chromium.new_context(viewport={"width": 1180, "height": 820}, has_touch=True, locale="en-GB")
    page = context.new_page()
    enter(page, studio, designer)
    open_demo(page)
    stage(page, "Pages")
    touch = context.new_cdp_session(page)

    def drag(*points: tuple[float, float]) -> None:
        for kind, point in zip(["touchStart", *["touchMove"] * (len(points) - 1)], points, strict=True):
            touch.send("Input.dispatchTouchEvent", {"type": kind, "touchPoints": [{"x": point[0], "y": point[1]}]})
        touch.send("Input.dispatchTouchEvent", {"type": "touchEnd", "touchPoints": []})

    # A dark disc before a plain light wall, dropped on its place.
    wall, file = Image.new("RGB", (900, 600), "#f4f1ea"), io.BytesIO()
    ImageDraw.Draw(wall).ellipse((300, 150, 600, 450), fill="#20304a")
    wall.save(file, "PNG")
    frame = page.frame_locator(".edit-paper iframe")
    expect(page.locator(".edit-paper .page-frame[data-ready=true]")).to_be_visible()  # it takes what is dropped from then on
    page.evaluate(DROP, [".hero .picture[data-slot]", base64.b64encode(file.getvalue()).decode(), "disc.png"])
    expect(frame.locator(".hero .picture img")).to_have_attribute("alt", "Disc")
    expect(page.get_by_text("All saved")).to_be_visible()
    page.get_by_role("button", name="Work on it…").first.tap()
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_alt_text("Disc, as it would be")).to_be_visible()
    page.wait_for_timeout(400)  # the dialog fades in
    dialog.get_by_role("button", name="Cut…").tap()
    side = dialog.get_by_role("slider", name="Off the right")
    box = side.bounding_box()
    assert box
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    drag((x, y), (x - 20, y), (x - 60, y + 5))
    cut = float(str(side.get_attribute("aria-valuenow")))
    assert 4 < cut < 25
    dialog.get_by_role("button", name="See it cut").tap()
    dialog.get_by_label("take a plain background away").tap()
    dialog.get_by_role("button", name="Paint away").tap()
    brush = dialog.get_by_role("application")
    box = brush.bounding_box()
    assert box
    tried = dialog.get_by_alt_text("Disc, as it would be")
    before = str(tried.get_attribute("src"))
    # Across the middle of the disc, which lies at half the width of the whole picture.
    middle = box["x"] + box["width"] * 0.5 / (1 - cut / 100)
    drag(
        (middle - 20, box["y"] + box["height"] / 2),
        (middle, box["y"] + box["height"] / 2),
        (middle + 20, box["y"] + box["height"] / 2),
    )
    expect(dialog.get_by_role("button", name="Last stroke back")).to_be_visible()
    # What is tried is drawn, and stands; only then can a button beside it be hit by its place.
    expect(tried).not_to_have_attribute("src", before)
    for _ in range(100):
        if tried.evaluate("one => one.complete && one.naturalWidth > 0"):
            break
        page.wait_for_timeout(50)
    page.wait_for_timeout(300)
    dialog.get_by_role("button", name="Put it there").tap()
    expect(dialog).to_be_hidden()
    made = Picture.objects.get(key="disc-2")
    largest = max(made.renditions, key=lambda one: one["width"])
    seen = Image.open(io.BytesIO(blob_of(made.brand)(largest["sha256"]))).convert("RGBA")
    assert abs(seen.width - 900 * (1 - cut / 100)) <= 2 and seen.height == 600
    clear = lambda at: seen.getpixel(at)[3]  # type: ignore[index]  # noqa: E731
    assert (clear((450, 300)), clear((20, 20))) == (0, 0) and clear((450, 190)) == 255
    context.close()
