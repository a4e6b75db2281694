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

from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.kind import Slot
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import FRAME, Section, Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve
from tests.browser.blocks import BLOCKS
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

# What a page shows wrong: see the module. A wide table scrolls in a box of its own. A word is broken where a line ends between two of its letters and no hyphen, soft or
# hard, and no place to break (<wbr>) stands there. Scripts that divide words anywhere are left out.
FAULTS = r"""() => {
  const wide = document.documentElement.clientWidth, found = [];
  if (document.documentElement.scrollWidth > wide) found.push(`scrolls sideways by ${document.documentElement.scrollWidth - wide}`);
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const node = walker.currentNode;
    if (!node.parentElement.checkVisibility() || node.parentElement.closest('script,style,svg,.skip,.table-box')) continue;
    const whole = document.createRange(); whole.selectNodeContents(node);
    for (const box of whole.getClientRects())
      if (box.width > 1 && (box.right > wide + 0.5 || box.left < -0.5)) found.push(`off the screen: ${node.data.slice(0, 40)}`);
    if (whole.getClientRects().length < 2) continue;
    // Lines are found by bisection: to measure every letter takes most of the time of these tests.
    const end = node.length, range = document.createRange();
    const box = i => {
      range.setStart(node, i); range.setEnd(node, i + 1);
      return [...range.getClientRects()].filter(r => r.width > 0).pop();
    };
    const letter = i => /[\p{L}]/u.test(node.data[i]) && !/[\p{scx=Han}\p{scx=Thai}\p{scx=Hira}\p{scx=Kana}]/u.test(node.data[i]);
    const boxed = (i, most) => { while (i < most && !box(i)) i++; return i; };
    for (let i = boxed(0, end); i < end; ) {
      const top = box(i).top;
      let low = i, high = end;
      while (high - low > 1) {
        const middle = (low + high) >> 1, at = boxed(middle, high);
        if (at === high || box(at).top - top > 3) high = middle; else low = at;
      }
      const next = boxed(high, end);
      if (next < end && letter(next) && letter(next - 1) && box(next - 1))
        found.push(`broken: ${node.data.slice(Math.max(0, next - 12), next)}|${node.data.slice(next, next + 8)}`);
      i = next;
    }
  }
  const header = document.querySelector('header').getBoundingClientRect().height;
  if (header > innerHeight / 5) found.push(`header of ${Math.round(header)} px`);
  return [...new Set(found)];
}"""


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


def filled(slot: Slot, how: str, count: int) -> Any:
    """Content of a slot: `how` is "few", "many" or "long"."""
    long = "Natursteinrestaurierungsarbeiten an denkmalgeschützten Gebäuden"
    if slot.of.collection:
        return [{name: filled(inner, how, 0) for name, inner in slot.items.items()} for _ in range(min(count, slot.most))]
    if slot.type == "action":
        return {"label": long[:60] if how == "long" else "Mehr", "to": "page:home"}
    if slot.type in BLOCKS:
        return BLOCKS[slot.type](long if how == "long" else "Kurz", min(count, 6) or 1)
    if slot.of.picture:
        return {"source": "drawn:hills/3", "alt": "", "decorative": True}
    text = {"few": "Kurz", "many": "Wir sehen nach. " * 12, "long": long}[how]
    return text[: slot.most].strip()


@pytest.mark.parametrize("how", ["few", "many", "long", "missing"])
def test_every_layout_holds_what_it_is_given(tab: Page, static: tuple[Path, str], how: str) -> None:
    """All layouts of a kind on one page, with one item or the most, long words, or nothing but a headline."""
    site = plan(Identity.model_validate(BRANDS["german stonemasons"]), Choices())
    pages = []
    for kind, one in CATALOGUE.items():
        if kind in FRAME:
            continue
        sections = []
        for layout in one.layouts:
            count = {"few": 1, "many": 12, "long": 5, "missing": 0}[how]
            content = {name: filled(slot, how if how != "missing" else "few", count) for name, slot in one.slots.items()}
            if how == "missing":
                content = {name: value for name, value in content.items() if name == "heading"}
            sections.append(Section(id=layout, kind=kind, layout=layout, content=content))
        pages.append(site.pages[0].model_copy(update={"id": f"kind-{kind.replace('_', '-')}", "sections": sections}))
    site = Site.model_validate(site.model_dump() | {"pages": [page.model_dump() for page in pages]})
    names = write(site, static[0] / how)
    assert [fault for page in names for fault in faults(tab, f"{static[1]}/{how}/{page}", WIDTHS)] == []


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
