"""The whole path from a client's folder to the system: dropped, read in the worker, decided on, asked, resolved."""

import base64
import re
from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Page, expect

from formulon.studio.models import Brand, SourceFile
from tests.browser.conftest import ROOT, stage, violations, working

FOLDER = ROOT / "demo" / "quillmoor"


@pytest.fixture
def worker(transactional_db: None) -> Iterator[None]:
    """The worker that reads."""
    yield from working("reading")


def drop(page: Page, files: list[Path]) -> None:
    """Drops files as a person would, from outside the browser."""
    items = [{"name": file.name, "data": base64.b64encode(file.read_bytes()).decode()} for file in files]
    transfer = page.evaluate_handle(
        """items => { const transfer = new DataTransfer();
        for (const one of items) transfer.items.add(new File([Uint8Array.from(atob(one.data), c => c.charCodeAt(0))], one.name));
        return transfer; }""",
        items,
    )
    target = page.locator(".identity-stage")
    target.dispatch_event("dragover", {"dataTransfer": transfer})
    expect(target).to_have_class(re.compile("is-over"))
    target.dispatch_event("drop", {"dataTransfer": transfer})


def new_brand(page: Page, name: str) -> None:
    page.get_by_label("Name").fill(name)
    page.get_by_label("Name").press("Enter")
    expect(page.get_by_label("Strapline")).to_be_visible()


def fact(page: Page, name: str) -> object:
    return page.locator("li.fact").filter(has=page.get_by_role("checkbox", name=re.compile(f"^{name}, ")))


def test_from_a_dropped_folder_to_the_system(page: Page, worker: None) -> None:
    new_brand(page, "Hilltop")
    files = [file for file in sorted(FOLDER.rglob("*")) if file.is_file() and "pictures" not in file.parts]
    drop(page, [*files, FOLDER / "pictures" / "7-road-to-the-hill-in-october.jpg"])
    expect(page.get_by_role("heading", name="Colours")).to_be_visible()
    expect(page.get_by_role("progressbar", name="Files read")).to_have_count(0)
    assert not SourceFile.objects.exclude(state="read").exists()
    # A disagreement, side by side: settled by a click.
    night = fact(page, "Night")
    expect(night).to_contain_text("#1C2248")
    expect(night).to_contain_text("The sources differ by up to ΔE 0.3")
    night.get_by_role("button", name="#1B2147").click()
    expect(night.get_by_role("button", name="#1B2147")).to_have_attribute("aria-pressed", "true")
    expect(night).to_contain_text("accepted")
    # The others by keyboard: mark, and lock together.
    for name in ("Night", "Lamp", "Heather", "Chalk"):
        box = page.get_by_role("checkbox", name=re.compile(f"^{name}, "))
        box.focus()
        box.press("Space")
    expect(page.get_by_text("4 marked")).to_be_visible()
    box.press("l")
    expect(page.get_by_role("checkbox", name=re.compile("^Chalk, .*locked"))).to_be_visible()
    # Everything that is sure, at once.
    page.get_by_role("button", name=re.compile("^Mark the \\d+ surest")).click()
    page.get_by_role("button", name="Accept", exact=True).first.click()
    expect(page.get_by_role("tab", name=re.compile("^Files, [1-9] to decide|^Files, 1\\d to decide|^Files$"))).to_be_visible()
    assert "\n".join(violations(page)) == ""
    page.get_by_role("tab", name="Brand").click()
    expect(page.get_by_label("Strapline")).to_have_value("The dark is worth the drive.")
    expect(page.get_by_label("Value of Night")).to_have_value("#1B2147")
    expect(page.get_by_label("Value of Night")).to_be_disabled()
    assert "\n".join(violations(page)) == ""
    # An open question.
    page.get_by_role("tab", name=re.compile("^Brief")).click()
    question = page.get_by_label("Answer: Who is it for, and what brings them?")
    question.fill("Families and school classes who want to see the rings of Saturn")
    question.press("Control+Enter")
    expect(question).to_have_count(0)
    page.get_by_role("radio", name=re.compile("^A place to visit")).click()
    expect(page.get_by_role("radio", name=re.compile("^A place to visit"))).to_be_checked()
    page.get_by_role("button", name="very calm").click()
    expect(page.get_by_text("In words: very calm.")).to_be_visible()
    page.get_by_role("button", name="Schools", exact=True).click()
    assert "\n".join(violations(page)) == ""
    # And on to the system, solved from the brand's own colours; the page that was wanted is there.
    stage(page, "System")
    expect(page.get_by_role("button", name="Night #1B2147")).to_be_visible()
    expect(page.locator("iframe[title='Schools, phone 360']")).to_be_attached()
    body = Brand.objects.get(slug="hilltop").documents.get(name="identity").body
    assert [color["locked"] for color in body["colors"]][:4] == [True] * 4
    assert body["audience"].startswith("Families") and len(body["marks"]) >= 3
    page.keyboard.press("Control+z")
    expect(page.locator("iframe[title='Schools, phone 360']")).to_have_count(0)


def test_a_bad_file_stops_no_other_and_is_told(page: Page, worker: None, tmp_path: Path) -> None:
    new_brand(page, "Hilltop")
    page.get_by_role("tab", name="Files").click()
    expect(page.get_by_role("heading", name="Bring the brand’s folder")).to_be_visible()
    (tmp_path / "broken.png").write_bytes(b"\x89PNG\r\n\x1a\nxx")
    (tmp_path / "empty.svg").write_bytes(b"")
    (tmp_path / "good.gpl").write_text("GIMP Palette\n 27  33  71 Night\n")
    page.locator(".file-list input[multiple]").set_input_files(sorted(tmp_path.iterdir()))
    expect(page.get_by_text("broken.png: the picture is broken or cut short")).to_be_visible()
    expect(page.get_by_text("empty.svg: the file is empty")).to_be_visible()
    expect(page.get_by_role("checkbox", name=re.compile("^Night, "))).to_be_visible()
    assert "\n".join(violations(page)) == ""
    # A folder, picked whole: its files keep their paths.
    folder = tmp_path / "handed over"
    (folder / "palette").mkdir(parents=True)
    (folder / "palette" / "second.gpl").write_text("GIMP Palette\n242 169  59 Lamp\n")
    page.get_by_label("Add a folder").set_input_files(folder)
    expect(page.get_by_role("checkbox", name=re.compile("^Lamp, "))).to_be_visible()
    assert SourceFile.objects.filter(name="handed over/palette/second.gpl", state="read").exists()
    page.get_by_role("button", name="Take out empty.svg").click()
    expect(page.get_by_text("empty.svg: the file is empty")).to_have_count(0)


def test_reading_is_cancelled_and_taken_up_again(page: Page, transactional_db: None) -> None:
    """Without a worker, files wait; cancelled, they are offered again."""
    new_brand(page, "Hilltop")
    page.get_by_role("tab", name="Files").click()
    page.locator(".file-list input[multiple]").set_input_files([FOLDER / "palette" / "quillmoor.gpl"])
    expect(page.get_by_text("Waiting for the reader")).to_be_visible()
    page.get_by_role("button", name="Cancel reading").click()
    expect(page.get_by_role("button", name="Read the 1 left")).to_be_visible()
    page.get_by_role("button", name="Read the 1 left").click()
    expect(page.get_by_text("Waiting for the reader")).to_be_visible()
