"""A form from the studio to a visitor and back: composed, released, filled in without a script, read, taken out, erased."""

import csv
import io
import re
from pathlib import Path

import pytest
from django.test import override_settings
from playwright.sync_api import Browser, Page, expect

from formulon.studio.models import Enquiry
from formulon.studio.tasks import mail_enquiry
from tests.browser.conftest import open_demo, stage, violations


@pytest.fixture(autouse=True)
def folder(tmp_path: Path):  # type: ignore[no-untyped-def]
    with override_settings(MAIL_FOLDER=tmp_path, EMAIL_BACKEND="formulon.studio.mail.FolderBackend"):
        yield tmp_path


def settled(page: Page) -> None:
    expect(page.get_by_text("All saved")).to_be_visible()


def test_a_form_is_made_filled_in_read_taken_out_and_erased(page: Page, demo: str, chromium: Browser, folder: Path) -> None:
    open_demo(page)
    page.get_by_role("link", name="Inbox").click()
    expect(page.get_by_text("No page has a form yet.")).to_be_visible()
    assert violations(page) == []
    page.get_by_role("link", name="Add a section").click()
    page.get_by_role("button", name="Contact", exact=True).click()
    page.get_by_role("button", name="Add a section").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("What is it needed for?").fill("write to us")
    dialog.locator(".add-offer").first.click()
    settled(page)
    # A booking request, with a field more, which is moved by keyboard alone.
    page.get_by_role("button", name="Booking request").click()
    expect(page.get_by_label("Label of field 4")).to_have_value("How many people")
    page.get_by_role("button", name="+ Field").click()
    page.get_by_label("Label of field 6").fill("Which evening")
    page.get_by_label("Label of field 6").press("Enter")
    page.get_by_label("What “Which evening” asks for").select_option("choice")
    options = page.get_by_label("What “Which evening” offers, a line each")
    options.fill("New moon\nFirst quarter")
    options.press("Control+Enter")
    page.get_by_role("button", name="Move Which evening up").focus()
    page.keyboard.press("Enter")
    expect(page.get_by_label("Label of field 5")).to_have_value("Which evening")
    settled(page)
    assert violations(page) == []
    stage(page, "Release")
    page.get_by_role("button", name=re.compile("^Release r")).click()
    address = page.get_by_role("link", name="http://127.0.0.1").get_attribute("href")

    visit(chromium, f"{address}contact.html")

    for one in Enquiry.objects.all():
        mail_enquiry(str(one.pk))
    assert len(list(folder.glob("*.eml"))) == 1
    page.get_by_role("link", name=re.compile("Inbox")).click()
    page.reload()
    expect(page.get_by_role("link", name="Inbox 1")).to_be_visible()
    assert violations(page) == []
    page.get_by_role("button", name=re.compile("Runa Åkervind")).press("Enter")
    read = page.get_by_role("region", name="The enquiry")
    expect(read).to_contain_text("We are a choir.")
    expect(read).to_contain_text("New moon")
    expect(page.get_by_role("link", name="Inbox 1")).to_have_count(0)
    assert violations(page) == []
    with page.expect_download() as waiting:
        page.get_by_role("link", name="Take out as CSV").click()
    rows = list(csv.reader(io.StringIO(Path(waiting.value.path()).read_text("utf-8-sig"))))
    assert rows[1][4:] == [
        "Runa Åkervind",
        "runa@akervind.example",
        "2026-12-05",
        "14",
        "New moon",
        "We are a choir.\nMay we sing?",
    ]
    page.get_by_role("button", name=re.compile("^Erase all from runa@akervind.example")).click()
    expect(page.get_by_role("button", name="Erase for good")).to_be_visible()
    page.wait_for_timeout(400)  # the dialog fades in, which axe would take for poor contrast
    assert violations(page) == []
    page.get_by_role("button", name="Erase for good").click()
    expect(page.get_by_text("Nobody has written yet.")).to_be_visible()
    assert not Enquiry.objects.exists() and not list(folder.glob("*.eml"))


def visit(chromium: Browser, address: str) -> None:
    """Without a script, on a phone: what is wrong is told on the page, what is right is thanked for."""
    context = chromium.new_context(viewport={"width": 360, "height": 740}, java_script_enabled=False)
    visitor = context.new_page()
    form = visitor.locator("form")
    # What browsers see to by themselves is taken away, as by one that does not.
    visitor.route("**/contact.html", lambda route: lenient(route))
    visitor.goto(address)
    form.get_by_label("Name").fill("Runa Åkervind")
    form.get_by_label("Your email address").fill("runa@")
    form.get_by_label("When").fill("2026-12-05")
    form.get_by_label("How many people").fill("14")
    form.get_by_label("Message").fill("We are a choir.\nMay we sing?")
    form.get_by_role("button", name="Send").click()
    email = form.get_by_label("Your email address")
    expect(email).to_have_value("runa@")
    expect(email).to_be_focused()
    expect(email).to_have_accessible_description("This is not an email address.")
    expect(form.get_by_label("Name")).to_have_value("Runa Åkervind")
    expect(form.get_by_label("Message")).to_have_value("We are a choir.\nMay we sing?")
    expect(form.get_by_role("alert")).to_contain_text("Not sent yet")
    assert visitor.title().startswith("Not sent yet: please look at what is marked – ")
    corrected, style = visitor.content(), visitor.locator("main").bounding_box()
    assert style and style["width"] == 360, "the style sheets are found from where the page answers"
    email.fill("runa@akervind.example")
    form.get_by_label("Which evening").select_option("New moon")
    form.get_by_role("button", name="Send").click()
    expect(visitor.get_by_role("heading", name="Thank you")).to_be_visible()
    assert visitor.url.endswith("/thanks.html")
    visitor.go_back()
    context.close()
    # The corrected page is as accessible as any, which a script looks at.
    context = chromium.new_context(viewport={"width": 360, "height": 740})
    seen = context.new_page()
    seen.goto(address)
    seen.route(f"{address}?corrected", lambda route: route.fulfill(body=corrected, content_type="text/html"))
    seen.goto(f"{address}?corrected")
    assert violations(seen) == []
    assert seen.evaluate("document.documentElement.scrollWidth") == 360
    context.close()


def lenient(route) -> None:  # type: ignore[no-untyped-def]
    answer = route.fetch()
    route.fulfill(response=answer, body=answer.text().replace('type="email"', 'type="text"').replace(" required", ""))
