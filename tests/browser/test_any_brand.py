"""Pages of brands that are nothing like the demo, in Chromium at six widths: nothing scrolls sideways, no word is broken without a
hyphen, headers stay low, and the menu opens without a script. Every layout stands with few, many, long and missing contents."""

import functools
import http.server
import threading
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from hypothesis import HealthCheck, Phase, given, settings
from playwright.sync_api import Browser, Page, expect

from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import Site
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve
from tests.browser.faults import FAULTS
from tests.core.site.test_every_identity import identities, made

WIDTHS = (320, 360, 767, 768, 1023, 1024, 1280, 1920)
BRANDS: dict[str, dict[str, Any]] = {
    "german stonemasons": {
        "name": "Steinmetzwerkstätten-Genossenschaft Oberpfaffenhofen-Weßling eG", "language": "de",
        "strapline": "Natursteinrestaurierung und Grabmalgestaltung aus Überzeugung.",
        "does": "Wir restaurieren denkmalgeschützte Natursteinfassaden und bauen Treppen in handwerklicher Einzelanfertigung.",
        "offers": [{"name": "Natursteinrestaurierung"}, {"name": "Küchenarbeitsplattenverlegung"}],
        "pages": ["Denkmalpflege", "Ausbildungsmöglichkeiten", "Neubau/Sanierung/Umbau", "Küchenarbeitsplatten", "Kontakt", "Über uns"],
        "contact": {"phone": "+49 (0)221 / 12 34-0", "email": "werkstatt@steinmetzwerkstaetten-oberpfaffenhofen.example"},
    },
    "greek bakery": {
        "name": "Φούρνος Αμυγδαλιά", "language": "el", "strapline": "Ψωμί με προζύμι, κάθε πρωί.", "place": "Βόλος",
        "typefaces": {"heading": "literata", "body": "source-sans-3"},
    },
    "vietnamese pottery": {
        "name": "Xưởng Gốm Bình Minh", "language": "vi", "strapline": "Gốm nung bằng củi, từng chiếc một.",
        "typefaces": {"heading": "lora", "body": "work-sans"},
    },
    "hebrew bakery": {"name": "מאפיית האורן", "language": "he", "strapline": "לחם מחמצת, כל בוקר."},
    "a very long name": {
        "name": "The Very Reverend Bartholomew Featherstonehaugh-Cholmondeley Memorial Institute",
        "place": "Llanfairpwllgwyngyllgogerychwyrndrobwllllantysiliogogogoch",
        "does": "See https://www.a-very-long-address.example/with/many/parts/and/more",
        "pages": ["Publications", "Governance and accountability", "History", "Fellowships", "Appointments", "Accessibility"],
    },
    "one letter": {"name": "O"},
}  # fmt: skip


class Quiet(http.server.SimpleHTTPRequestHandler):
    def log_message(self, *_: Any) -> None:
        pass


@pytest.fixture(scope="module")
def static(tmp_path_factory: pytest.TempPathFactory) -> Iterator[tuple[Path, str]]:
    """A folder and the address at which a static server shows it."""
    folder = tmp_path_factory.mktemp("brands")
    server = http.server.ThreadingHTTPServer(("127.0.0.1", 0), functools.partial(Quiet, directory=str(folder)))
    threading.Thread(target=server.serve_forever, daemon=True).start()
    yield folder, f"http://127.0.0.1:{server.server_port}"
    server.shutdown()
    server.server_close()


@pytest.fixture(scope="module")
def tab(chromium: Browser) -> Iterator[Page]:
    context = chromium.new_context()
    yield context.new_page()
    context.close()


def write(site: Site, folder: Path) -> list[str]:
    """The pages of a site in a folder; returns their names."""
    files = render(site, resolve(site.identity, site.choices))
    for name, data in files.items():
        (folder / name).parent.mkdir(parents=True, exist_ok=True)
        (folder / name).write_bytes(data)
    return [site.file_name(page) for page in site.pages]


def faults(tab: Page, address: str, widths: tuple[int, ...]) -> list[str]:
    """What a page shows wrong at widths, on screens of the usual proportions."""
    found = []
    tab.goto(address)
    tab.evaluate("Promise.all([...document.fonts].map(f => f.load().catch(() => 0)))")
    for width in widths:
        tab.set_viewport_size({"width": width, "height": 640 if width < 600 else 1024 if width < 1024 else 800})
        found += [f"{address.rsplit('/', 1)[-1]} at {width}: {one}" for one in tab.evaluate(FAULTS)]
    return found


@pytest.mark.parametrize("brand", BRANDS)
@pytest.mark.parametrize("header", ["bar", "masthead", "wings"])
def test_no_brand_breaks_its_pages(tab: Page, static: tuple[Path, str], brand: str, header: str) -> None:
    site = plan(Identity.model_validate(BRANDS[brand]))
    site.frame.header.layout = header
    name = f"{brand}-{header}".replace(" ", "-")
    pages = write(site, static[0] / name)
    # Below another header the pages are the same; headers of every layout are looked at in test_header.py.
    pages = pages if header == "bar" else pages[:1]
    assert [fault for page in pages for fault in faults(tab, f"{static[1]}/{name}/{page}", WIDTHS)] == []


def test_nor_does_any_that_the_schema_accepts(tab: Page, static: tuple[Path, str]) -> None:
    seen: list[str] = []
    count = 0

    @settings(
        max_examples=24, phases=[Phase.generate], deadline=None, database=None, derandomize=True,
        suppress_health_check=list(HealthCheck),
    )  # fmt: skip
    @given(identities())
    def look(body: dict[str, Any]) -> None:
        nonlocal count
        site = made(body)
        if site is None:
            return
        count += 1
        for page in write(site, static[0] / f"any-{count}")[:4]:
            seen.extend(f"any-{count}: {one}" for one in faults(tab, f"{static[1]}/any-{count}/{page}", (320, 768, 1280)))

    look()
    assert count >= 12 and seen == []


def test_the_menu_opens_and_closes_without_a_script(chromium: Browser, static: tuple[Path, str]) -> None:
    site = plan(Identity.model_validate(BRANDS["german stonemasons"]))
    write(site, static[0] / "menu")
    context = chromium.new_context(java_script_enabled=False, viewport={"width": 360, "height": 640})
    page = context.new_page()
    page.goto(f"{static[1]}/menu/index.html")
    link = page.locator("header").get_by_role("link", name="Denkmalpflege")
    expect(link).to_be_hidden()
    page.get_by_role("button", name="Menü", exact=True).press("Enter")
    expect(link).to_be_visible()
    page.get_by_role("button", name="Menü schließen").click()
    expect(link).to_be_hidden()
    page.get_by_role("button", name="Menü", exact=True).click()
    link.click()
    expect(page.get_by_role("heading", level=1)).to_have_text("Denkmalpflege")
    # On a wide screen the same links stand in the bar, and no menu.
    page.set_viewport_size({"width": 1920, "height": 900})
    expect(page.locator("header").get_by_role("link", name="Kontakt").first).to_be_visible()
    expect(page.get_by_role("button", name="Menü", exact=True)).to_be_hidden()
    context.close()
