"""The old site beside the new one at the same scroll, and the site on a phone."""

from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, expect

from formulon.config import phones
from formulon.studio.models import Brand, SourceFile
from formulon.studio.services import sources
from tests.browser.conftest import ROOT, open_demo, stage, violations

SHARE = "one => one.scrollTop / (one.scrollHeight - one.clientHeight)"


def handed_in(demo: str) -> None:
    brand = Brand.objects.get(pk=demo)
    for file in sorted((ROOT / "demo" / "quillmoor" / "website").iterdir()):
        data = file.read_bytes()
        stored = sources.store(brand.workspace_id, data)
        values = {"stored": stored, "size": len(data), "state": SourceFile.State.READ}
        SourceFile.objects.update_or_create(brand=brand, name=f"website/{file.name}", defaults=values)


def test_the_old_site_lies_beside_the_new_one_at_the_same_scroll(page: Page, demo: str) -> None:
    handed_in(demo)
    open_demo(page)
    stage(page, "Pages")
    page.get_by_role("button", name="Old site").click()
    old = page.frame_locator("iframe[title='The old page']")
    expect(old.get_by_text("Quillmoor").first).to_be_visible()
    assert old.locator("script").count() == 0
    new, pane = page.locator(".edit-scroll"), page.locator(".old-page-pane")
    page.wait_for_function("document.querySelector('.old-page-pane').scrollHeight > 1500")
    for mover, moved, share in ((new, pane, 0.5), (pane, new, 0.2)):
        mover.evaluate("(one, share) => { one.scrollTop = share * (one.scrollHeight - one.clientHeight); }", share)
        page.wait_for_timeout(300)
        assert moved.evaluate(SHARE) == pytest.approx(share, abs=0.02) == mover.evaluate(SHARE)
    page.get_by_label("Page of the old site").select_option("website/visit.html")
    expect(old.locator("body")).to_be_visible()
    assert violations(page) == []
    page.get_by_role("button", name="Old site").press("Enter")
    expect(pane).to_be_hidden()


def test_the_site_is_looked_at_on_a_phone_when_that_is_allowed(
    page: Page, demo: str, chromium: Browser, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    """The socket is opened by another process, which tests/tools/test_serve.py looks at; here, what a designer sees."""
    monkeypatch.setattr(phones, "FOLDER", tmp_path)
    monkeypatch.setenv("FORMULON_PHONES_HOST", "192.0.2.7")
    phones.opened(8123)
    open_demo(page)
    stage(page, "Pages")
    page.get_by_role("button", name="On a phone…").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_role("button", name="Allow it for an hour").click()
    expect(dialog.get_by_alt_text("Code that leads to the preview")).to_be_visible()
    expect(dialog.get_by_text("http://192.0.2.7:8123/")).to_be_visible()
    page.wait_for_timeout(400)  # the dialog fades in
    assert violations(page) == []
    assert phones.wanted() > 0
    dialog.get_by_role("button", name="Close it now").click()
    expect(dialog.get_by_role("button", name="Allow it for an hour")).to_be_visible()
    assert phones.wanted() == 0
