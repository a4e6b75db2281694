"""From a brand's folder to a released site of five pages with a form, quotes, prices and hours, through the interface as a person takes
it: how many actions, and how many seconds of waiting. An action is a click, a text that is written, a key, or a folder that is dropped;
waiting is what passes between it and what it leads to."""

import os
import re
import subprocess
import sys
import time
import urllib.request
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from playwright.sync_api import Locator, Page, expect

ROOT = Path(__file__).resolve().parent.parent
FOLDER = ROOT / "demo" / "sallowbeck"
MOST_ACTIONS, MOST_WAITING = 40, 20.0
_FIXES = 8  # that are taken in preflight at most
_HERE = 200  # ms: what a person does not notice as waiting for the next


expect.set_options(timeout=60_000)


class Person:
    """Acts, and waits for what comes of it."""

    def __init__(self, page: Page) -> None:
        self.page, self.actions, self.waited = page, 0, 0.0

    def click(self, what: Locator) -> None:
        self._waits(what)
        self.actions += 1
        what.click()

    def write(self, what: Locator, text: str, end: str = "") -> None:
        self._waits(what)
        self.actions += 1
        what.fill(text)
        if end:
            self.actions += 1
            what.press(end)

    def drop(self, what: Locator, files: list[Path]) -> None:
        self.actions += 1
        what.set_input_files(files)

    def waits(self, what: Locator, gone: bool = False) -> None:
        self._waits(what, gone)

    def _waits(self, what: Locator, gone: bool = False) -> None:
        start = time.perf_counter()
        expect(what).to_have_count(0) if gone else expect(what.first).to_be_visible()
        self.waited += time.perf_counter() - start


@contextmanager
def worker() -> Iterator[None]:
    process = subprocess.Popen(
        [sys.executable, "manage.py", "procrastinate", "worker", "--queues", "reading", "--concurrency", "1"],
        cwd=ROOT, env=dict(os.environ), stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL,
    )  # fmt: skip
    try:
        time.sleep(4)  # its readers start once, with the server
        yield
    finally:
        process.terminate()
        process.wait(30)


def taken(page: Page, address: str, password: str) -> tuple[int, float, str]:
    """Takes the journey; gives the actions, the seconds of waiting, and the address of the released site."""
    person = Person(page)
    stages = page.get_by_role("navigation", name="Stages")
    page.goto(address)
    person.write(page.get_by_label("Name"), "designer")
    person.write(page.get_by_label("Password"), password, "Enter")
    person.waits(page.get_by_role("heading", name="Brands"))
    person.write(page.get_by_label("Name", exact=True), "Sallowbeck by the water", "Enter")
    person.click(page.get_by_role("tab", name="Files"))
    files = [file for file in sorted(FOLDER.rglob("*")) if file.is_file()]
    page.locator(".file-list input[multiple]").wait_for(state="attached")
    person.drop(page.locator(".file-list input[multiple]"), files)
    person.waits(page.get_by_role("heading", name="Colours"))
    person.waits(page.get_by_role("progressbar", name="Files read"), gone=True)
    person.click(page.get_by_role("button", name=re.compile("^Mark the \\d+ surest")))
    person.click(page.get_by_role("button", name="Accept", exact=True).first)
    person.waits(page.get_by_text("All saved"))
    person.click(page.get_by_role("tab", name=re.compile("^Brief")))
    person.click(page.get_by_role("radio", name=re.compile("^A workshop")))
    question = page.get_by_label(re.compile("^Answer: What does Sallowbeck"))
    person.write(
        question,
        "We grow willow beside the beck and weave it into baskets that are mended, not thrown away.", "Control+Enter",
    )  # fmt: skip
    person.click(stages.get_by_role("link", name=re.compile("^Pages")))
    person.click(page.get_by_role("button", name="Pages and menu…"))
    person.write(page.get_by_label("Add a page"), "About us", "Enter")
    person.waits(page.get_by_label("Name of About us"))
    page.keyboard.press("Escape")
    person.actions += 1
    person.click(page.get_by_role("button", name="Contact", exact=True))
    person.click(page.get_by_role("button", name="Add a section"))
    dialog = page.get_by_role("dialog")
    person.write(dialog.get_by_label("What is it needed for?"), "form")
    person.click(dialog.locator(".add-offer").first)
    person.waits(dialog, gone=True)
    for _ in range(_FIXES):
        page.wait_for_timeout(_HERE)
        if not page.get_by_role("link", name="See what stops it").count():
            break
        person.click(stages.get_by_role("link", name=re.compile("^Preflight")))
        person.click(page.locator(".finding").filter(has=page.locator(".mark-stop")).first.locator(".fixes button").first)
        person.waits(page.get_by_text("All saved"))
    person.click(stages.get_by_role("link", name=re.compile("^Release")))
    person.click(page.get_by_role("button", name=re.compile("^Release r")))
    person.waits(page.get_by_role("heading", name="r1 is live"))
    site = str(page.get_by_role("link", name="http://127.0.0.1").get_attribute("href"))
    return person.actions, person.waited, site


def lacking(site: str) -> list[str]:
    """What a released site lacks of what was wanted."""
    pages = {"index.html": ""}
    while any(not text for text in pages.values()):
        name = next(name for name, text in pages.items() if not text)
        with urllib.request.urlopen(f"{site}{name}") as answer:
            pages[name] = answer.read().decode()
        for found in re.findall(r'href="([a-z0-9-]+\.html)"', pages[name]):
            pages.setdefault(found, "")
    whole = "".join(pages.values())
    wanted = {
        "five pages": len(pages) >= 5,
        "a form": "<form" in whole,
        "quotes": "Edith Marran" in whole,
        "prices": "£38" in whole,
        "hours": "10 to 4" in whole,
    }
    return [what for what, there in wanted.items() if not there]
