"""What people must be able to rely on: what is taken out comes back, what is shown is stored, what cannot open says why."""

import re

from django.contrib.auth.models import User
from playwright.sync_api import Browser, Page, expect

from formulon.studio.models import Brand, Document

from .conftest import PASSWORD, open_demo, open_page, sign_in, stage


def test_a_section_is_taken_out_and_comes_back(page: Page, demo: str) -> None:
    open_demo(page)
    stage(page, "Pages")
    hero = page.frame_locator("iframe").locator("main > .hero")
    expect(hero).to_have_count(1)
    before = Document.objects.get(brand=demo, name="page:home").body["sections"]
    page.get_by_role("button", name="Hero").click()
    page.get_by_role("button", name="Take out", exact=True).click()
    expect(hero).to_have_count(0)
    expect(page.get_by_text("All saved")).to_be_visible()
    assert Document.objects.get(brand=demo, name="page:home").body["sections"] == before[1:]
    page.get_by_role("button", name="Undo", exact=True).first.click()
    expect(hero).to_have_count(1)
    expect(page.get_by_text("All saved")).to_be_visible()
    assert Document.objects.get(brand=demo, name="page:home").body["sections"] == before


def test_the_other_scheme_is_asked_about(page: Page, demo: str) -> None:
    document = Document.objects.get(brand=demo, name="choices")
    document.body |= {"scheme": "both"}
    document.save()
    open_demo(page)
    stage(page, "System")
    page.get_by_role("button", name=re.compile("^Heather #")).first.press("Enter")
    page.get_by_role("button", name="Link on paper: Link").press("Enter")
    asked = page.get_by_role("group", name="The dark scheme")
    expect(asked).to_contain_text("Is Heather meant there, too?")
    asked.get_by_role("button", name="Heather there, too").click()
    expect(asked).to_have_count(0)
    expect(page.get_by_text("All saved")).to_be_visible()
    wires = Document.objects.get(brand=demo, name="choices").body["wires"]
    assert wires["paper/link"] == wires["dark:paper/link"] == "heather"


def test_a_gap_that_is_written_over_is_no_gap_any_more(page: Page, demo: str) -> None:
    document = Document.objects.get(brand=demo, name="page:home")
    document.body["sections"][0]["content"]["heading"] = "[[A headline]]"
    document.save()
    open_demo(page)
    stage(page, "Pages")
    heading = page.frame_locator("iframe").get_by_role("textbox", name="heading", exact=True).first
    expect(heading).to_have_text("A headline")
    heading.click()
    page.keyboard.press("Control+a")
    page.keyboard.type("Under a dark sky")
    page.keyboard.press("Enter")
    expect(page.get_by_text("All saved")).to_be_visible()
    expect(heading.locator(".placeholder")).to_have_count(0)
    assert Document.objects.get(brand=demo, name="page:home").body["sections"][0]["content"]["heading"] == "Under a dark sky"


def test_a_brand_that_cannot_be_drawn_says_why_and_takes_the_change_back(
    chromium: Browser, studio: str, designer: User, demo: str
) -> None:
    page, _ = open_page(chromium)
    sign_in(page, studio)
    open_demo(page)
    strapline = page.get_by_label("Strapline")
    strapline.fill("Dark by choice")
    strapline.press("Enter")
    expect(page.get_by_text("All saved")).to_be_visible()
    Document.objects.filter(brand=demo, name="page:visit").update(
        body={"id": "visit", "name": "Visit", "sections": [{"kind": "gone"}]}
    )
    page.reload()
    expect(page.get_by_role("heading", name="This brand does not open")).to_be_visible()
    expect(page.get_by_role("alert")).not_to_be_empty()
    expect(page.get_by_text("Your newest change is")).to_contain_text("Strapline")
    page.context.close()


def test_a_brand_is_deleted_by_its_name(page: Page, demo: str) -> None:
    page.goto(page.url)
    page.get_by_role("button", name="Delete Quillmoor Observatory…").click()
    dialog = page.get_by_role("dialog", name="Delete Quillmoor Observatory?")
    remove = dialog.get_by_role("button", name="Delete the brand")
    dialog.get_by_label("Type the name to go on").fill("Quillmoor")
    expect(remove).to_be_disabled()
    dialog.get_by_label("Type the name to go on").fill("Quillmoor Observatory")
    remove.click()
    expect(page.get_by_role("link", name="Quillmoor Observatory")).to_have_count(0)
    expect(dialog).to_have_count(0)
    assert not Brand.objects.exists()


def test_people_change_their_password(page: Page, designer: User) -> None:
    page.get_by_role("button", name="Change password").click()
    page.get_by_label("The password that you have now").fill(PASSWORD)
    page.get_by_label("The new one").fill("quite another long one")
    page.get_by_role("button", name="Change it").click()
    expect(page.get_by_text("Your password is changed.")).to_be_visible()
    designer.refresh_from_db()
    assert designer.check_password("quite another long one")
    page.get_by_role("button", name="Close").click()
    expect(page.get_by_role("heading", name="Brands")).to_be_visible()  # this browser stays signed in
    page.reload()
    expect(page.get_by_role("heading", name="Brands")).to_be_visible()
