"""A longer text edited where it stands: lists, links and emphasis stay, lists are written by keys, and what is pasted arrives clean."""

from typing import Any

import pytest
from playwright.sync_api import FrameLocator, Page, expect

from formulon.core.site.changes import checked
from formulon.core.site.slot_types.rich_text import blocks
from formulon.studio.models import Brand
from tests.browser.conftest import open_demo, saved, stage

TEXT = """Come *early*, and bring **gloves**.

- Park at the [mill](page:contact)
- Walk up, red torch in hand

1. Ring
2. Wait

Write to [us](mailto:hello@quillmoor.example)."""
PASTE = """([data]) => {
  const frame = document.querySelector('.edit-paper iframe').contentDocument;
  const transfer = new DataTransfer();
  for (const [kind, text] of Object.entries(data)) transfer.setData(kind, text);
  frame.activeElement.dispatchEvent(new ClipboardEvent('paste', {bubbles: true, cancelable: true, clipboardData: transfer}));
}"""


@pytest.fixture
def long(demo: str) -> Brand:
    """The demo with a long text, a table and a form on its start page."""
    brand = Brand.objects.get(pk=demo)
    first = brand.documents.get(name="page:home")
    new: list[dict[str, Any]] = [
        {"id": "long", "kind": "long_text", "layout": "essay", "content": {"heading": "Before you come", "body": TEXT}},
        {"id": "hours", "kind": "programme", "layout": "board", "content": {"heading": "Times", "table": {"head": ["Day", "From"], "rows": [["Fri", "21:00"]]}}},
    ]  # fmt: skip
    first.body = checked("page:home", first.body | {"sections": [*new, *first.body["sections"]]})
    first.save()
    return brand


def body(brand: Brand) -> str:
    sections = brand.documents.get(name="page:home").body["sections"]
    return str(next(one for one in sections if one["id"] == "long")["content"]["body"])


def paper(page: Page) -> FrameLocator:
    return page.frame_locator(".edit-paper iframe")


def test_a_long_text_is_edited_where_it_stands_and_nothing_of_it_is_lost(page: Page, long: Brand) -> None:
    open_demo(page)
    stage(page, "Pages")
    prose = paper(page).locator(".prose[data-slot=body]")
    expect(prose).to_have_attribute("contenteditable", "true")  # it can be written on some ms after it shows
    prose.locator("li").nth(1).click()
    page.keyboard.press("End")
    page.keyboard.press("Enter")
    page.keyboard.type("Close the gate")
    page.keyboard.press("Control+Enter")
    saved(page)
    assert body(long) == TEXT.replace("torch in hand", "torch in hand\n- Close the gate")
    expect(prose.locator("ul li")).to_have_count(3)
    expect(prose.locator("a")).to_have_count(2)

    # A new paragraph, a list out of its mark, and out of the list again by an empty item.
    prose.locator("p").last.click()
    page.keyboard.press("End")
    page.keyboard.press("Enter")
    page.keyboard.type("- Cocoa")
    page.keyboard.press("Enter")
    page.keyboard.type("Blankets")
    page.keyboard.press("Enter")
    page.keyboard.press("Enter")
    page.keyboard.type("See you there")
    page.keyboard.press("Control+Enter")
    saved(page)
    assert body(long).endswith("hello@quillmoor.example).\n\n- Cocoa\n- Blankets\n\nSee you there")
    assert [one.kind for one in blocks(body(long))] == ["p", "ul", "ol", "p", "ul", "p"]

    page.get_by_role("button", name="Undo").click()
    expect(prose.locator("ul")).to_have_count(1)
    page.get_by_role("button", name="Undo").click()
    expect(prose.locator("ul li")).to_have_count(2)
    saved(page)
    assert body(long) == TEXT

    # Escape puts it back, with its elements.
    prose.locator("p").first.click()
    page.keyboard.type("no ")
    page.keyboard.press("Escape")
    expect(prose.locator("em")).to_have_text("early")
    assert body(long) == TEXT


def test_what_is_pasted_into_a_long_text_arrives_clean(page: Page, long: Brand) -> None:
    open_demo(page)
    stage(page, "Pages")
    prose = paper(page).locator(".prose[data-slot=body]")
    prose.locator("p").last.click()
    page.keyboard.press("End")
    page.keyboard.press("Enter")
    html = "<p style='color:red'>Wear <b>boots</b></p><ul><li>dry</li><li><a href='https://a.example/'>warm</a></li></ul><script>x()</script>"
    page.evaluate(PASTE, [{"text/html": html, "text/plain": "Wear boots"}])
    page.keyboard.press("Control+Enter")
    saved(page)
    assert body(long).endswith("Wear **boots**\n\n- dry\n- [warm](https://a.example/)")
    assert body(long).startswith(TEXT)


def test_tables_and_forms_are_not_written_over_on_the_page(page: Page, long: Brand) -> None:
    open_demo(page)
    stage(page, "Pages")
    box = paper(page).locator(".table-box[data-slot=table]")
    expect(box).to_be_visible()
    assert box.get_attribute("contenteditable") is None
    expect(paper(page).locator(".prose[data-slot=body]")).to_have_attribute("contenteditable", "true")
    box.click()
    expect(page.get_by_text("Programme and hours").first).to_be_visible()
