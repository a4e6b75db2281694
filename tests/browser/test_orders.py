"""Sections in other orders at some widths, as Chromium draws them; the keyboard goes through them as they are written."""

from pathlib import Path

from playwright.sync_api import Browser
from pydantic import TypeAdapter

from formulon.core.site.changes import apply
from formulon.core.site.layout import class_of
from formulon.core.site.orders import ordered
from formulon.core.site.render import render
from formulon.core.site.structure import Operation, arranged
from tests.browser.test_published import show
from tests.core.site.test_structure import planned

SEEN = """() => [...document.querySelectorAll('main > section')].filter(one => one.offsetHeight)
  .sort((one, other) => one.getBoundingClientRect().top - other.getBoundingClientRect().top).map(one => one.className)"""


def test_chromium_draws_every_width_in_its_order(chromium: Browser, tmp_path: Path) -> None:
    for name in ("bakery", "clinic"):
        site = planned(name)
        page = site.pages[0]
        ids = [one.id for one in page.sections]
        asked = [
            {"do": "reorder", "page": page.id, "section": ids[-1], "width": "phone", "by": -60},
            {"do": "reorder", "page": page.id, "section": ids[0], "width": "tablet", "by": 1},
            {"do": "reorder", "page": page.id, "section": ids[1], "width": "desktop", "by": 2},
        ]
        made = apply(site, arranged(site, TypeAdapter(list[Operation]).validate_python(asked)).changes)
        folder = tmp_path / name
        for path, data in render(made, made.system()).items():
            (folder / path).parent.mkdir(parents=True, exist_ok=True)
            (folder / path).write_bytes(data)
        tab = chromium.new_page()
        for width in (360, 767, 768, 1023, 1024, 1280):
            show(tab, folder, "index.html", width)
            seen = [one.split()[1] for one in tab.evaluate(SEEN)]
            wanted = [f"{one.kind.replace('_', '-')}--" for one in ordered(made.drawn[0], class_of(width))]
            assert len(seen) == len(wanted) and all(one.startswith(kind) for one, kind in zip(seen, wanted, strict=True)), (
                name,
                width,
            )
            assert tab.evaluate("document.documentElement.scrollWidth") <= width
        tab.close()
