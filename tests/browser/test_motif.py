"""The motif on pages as Chromium lays them out, and chosen in the studio."""

import io
import re
from pathlib import Path

import pytest
from PIL import Image
from playwright.sync_api import Browser, Page, expect

from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.system.documents.choices import Choices
from formulon.core.system.resolve import resolve
from tests.browser.conftest import open_demo, stage, violations
from tests.conftest import quillmoor_identity

# Of every motif: the space in px to the nearest words in its section, its height as drawn, and its largest height.
SPACES = """() => [...document.querySelectorAll('.motif')].map(motif => {
  const band = motif.classList.contains('motif--band'), own = motif.getBoundingClientRect();
  const style = getComputedStyle(motif), pad = parseFloat(style.paddingTop);
  const box = {left: own.left, right: own.right, top: own.top + pad, bottom: own.bottom - pad};
  const words = [...motif.parentElement.querySelectorAll('h1,h2,h3,p,a')].filter(e => e.textContent.trim());
  const gaps = words.map(e => { const range = document.createRange(); range.selectNodeContents(e);
    const r = range.getBoundingClientRect();
    const across = Math.max(r.left - box.right, box.left - r.right), down = Math.max(r.top - box.bottom, box.top - r.bottom);
    return Math.max(across, down); });
  return {band, gap: Math.min(...gaps), high: box.bottom - box.top, masked: style.maskImage.startsWith('url("data:image/svg')};
})"""


@pytest.mark.parametrize("width", [360, 768, 1280, 1920])
@pytest.mark.parametrize("size", [24, 48, 120])
def test_words_stay_out_of_its_clear_space(chromium: Browser, tmp_path: Path, width: int, size: int) -> None:
    every = {"opening": "accent", "middle": "band", "closing": "accent", "footer": "band"}
    choices = Choices.model_validate({"motif": {"shape": "ring", "places": every, "size": size}})
    site = plan(quillmoor_identity(), choices)
    system = resolve(site.identity, choices)
    for name, data in render(site, system).items():
        (tmp_path / name).parent.mkdir(parents=True, exist_ok=True)
        (tmp_path / name).write_bytes(data)
    context = chromium.new_context(viewport={"width": width, "height": 900})
    page, seen = context.new_page(), 0
    for one in site.pages:
        page.goto((tmp_path / site.file_name(one)).as_uri())
        for motif in page.evaluate(SPACES):
            seen += 1
            assert motif["masked"]
            assert motif["high"] >= size
            room = system.tokens["motif/room"].value * (size if motif["band"] else motif["high"])
            assert motif["gap"] >= room - 1, (one.id, width, motif)
    context.close()
    assert seen >= 3 * len(site.pages)


def test_it_is_chosen_sized_and_reordered(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    page.get_by_role("tab", name="Shape and buttons").click()
    page.get_by_role("button", name="Pages", exact=True).click()
    frame = page.frame_locator("iframe[title='Home, desktop 1280']")
    page.get_by_role("group", name="Its shape").get_by_role("button", name="symbol").click()
    band = frame.locator(".footer .motif--band")
    expect(band).to_have_css("height", "48px")
    expect(frame.locator(".call-to-action .motif--accent")).to_be_attached()
    page.get_by_role("group", name="Sections between").get_by_role("button", name="a band").click()
    expect(frame.locator(".cards .motif--band")).to_have_css("height", "48px")
    before = band.evaluate("e => getComputedStyle(e).maskImage")
    for number in range(2, 6):
        page.get_by_role("button", name="Another order").click()
        expect(page.get_by_text(f"Order {number}.")).to_be_visible()
    expect(band).not_to_have_css("mask-image", before)
    slider = page.get_by_label("Height in a band")
    slider.focus()
    page.keyboard.press("ArrowRight")
    expect(band).to_have_css("height", "49px")
    page.get_by_role("group", name="Its shape").get_by_role("button", name="none").click()
    expect(band).to_have_count(0)
    page.get_by_role("button", name="Undo").click()
    expect(band).to_have_css("height", "49px")
    assert violations(page) == []


def test_it_is_drawn_on_the_published_page(page: Page, demo: str) -> None:
    """Under the policy of the host, which a file opened from a disk does not have."""
    open_demo(page)
    stage(page, "System")
    page.get_by_role("tab", name="Shape and buttons").click()
    page.get_by_role("group", name="Its shape").get_by_role("button", name="ring").click()
    page.get_by_label("Grain of photographs").focus()
    page.keyboard.press("ArrowRight")
    expect(page.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("Grain"))
    expect(page.get_by_text("All saved")).to_be_visible()
    stage(page, "Release")
    page.get_by_role("button", name="Release r1").last.click()
    address = page.get_by_role("link", name="http://127.0.0.1").get_attribute("href")
    visitor = page.context.new_page()
    said: list[str] = []
    visitor.on("console", lambda message: said.append(message.text))
    visitor.goto(str(address))
    # What the policy holds back is said on the console; what is drawn differs from its ground.
    band = visitor.locator(".footer .motif--band")
    band.scroll_into_view_if_needed()
    drawn = Image.open(io.BytesIO(band.screenshot())).convert("RGB")
    assert len(drawn.getcolors(100_000) or []) > 20  # the ground, the ring, and its smoothed edges
    visitor.evaluate("document.body.insertAdjacentHTML('beforeend', '<div class=\"picture picture--photo\"><img alt></div>')")
    visitor.wait_for_timeout(300)
    assert said == []
    visitor.close()


def test_pictures_by_place_have_their_own_proportions_and_corners(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "System")
    page.get_by_role("tab", name="Shape and buttons").click()
    page.get_by_role("button", name="Pages", exact=True).click()
    picture = page.frame_locator("iframe[title='Home, desktop 1280']").locator(".cards .picture").first
    page.get_by_role("group", name="On cards").get_by_role("button", name="1:1").click()
    expect(picture).to_have_css("aspect-ratio", "1 / 1")
    page.get_by_label("Corners of pictures on cards").fill("20")
    expect(picture).to_have_css("border-top-right-radius", "20px")
    page.get_by_role("button", name="Pictures on cards follow the radius").click()
    expect(picture).to_have_css("border-top-right-radius", "6px")
    page.get_by_role("group", name="On cards").get_by_role("button", name="as laid out").click()
    expect(picture).to_have_css("aspect-ratio", "16 / 10")
