"""The bench's rows of measuring: pages and widths a second, against axe-core alone in a browser of the same kind, and seeded defects."""

import tempfile
import time
from pathlib import Path

import seeded
from playwright.sync_api import sync_playwright

from formulon.core.measure.chromium import CHROMIUM
from formulon.core.measure.edges import SHEET, edges
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.foreign import check_files
from formulon.core.measure.looking import WIDTHS
from formulon.core.site.editions import rendered_all
from formulon.core.site.fonts import lean
from formulon.core.site.languages import published
from formulon.core.site.site import Site
from formulon.core.site.versions import versioned

Row = tuple[str, str, str, bool]
_TRIES = 2  # of which the quicker one counts, of both
_AXE = Path(__file__).resolve().parent.parent / "web" / "node_modules" / "axe-core" / "axe.min.js"


def rows(site: Site) -> list[Row]:
    """A site of Formulon's own, and the pages with seeded defects."""
    in_all = published(site)
    files = versioned(lean(in_all, rendered_all(in_all)))
    first = min(name for name in files if name.endswith("index.html"))
    files["again.html"] = files[first]  # the first page has the browser warm, and does not count
    held = SiteFiles(None, {name: len(one) for name, one in files.items()}, files)
    # Each page is looked at beside the widths at which its layout changes, and on paper, as well.
    widths = {path: sorted({*WIDTHS, *edges(held, path), SHEET}) for path in held.pages}
    count = sum(map(len, list(widths.values())[1:]))
    tries = [(_ours(held), _axe(files, widths)) for _ in range(_TRIES)]
    ours, axe = (min(one) for one in zip(*tries, strict=True))
    one = seeded.measured()
    kinds = len({defect.name for defect in seeded.DEFECTS})
    recall = 1 - len(one.missed) / one.defects
    return [
        (f"measure {len(held.pages) - 1} pages at {count} widths in all", f"{count / ours:.1f} a second", "8 a second", count / ours >= 8),
        ("the same against axe-core alone, in browsers that run", f"{axe / ours:.1f} × faster", "3 ×", axe / ours >= 3),
        (f"seeded defects of {kinds} kinds", f"{recall:.1%} of {one.defects} found", "99 %", recall >= 0.99),
        ("false alarms on clean pages", f"{len(one.alarms)} on {one.clean} pages", "1 in 100 pages", len(one.alarms) <= one.clean // 100),
    ]  # fmt: skip


def _ours(files: SiteFiles) -> float:
    """Seconds from the first page to the last, looked at and checked."""
    moments = list[float]()
    check_files(files, WIDTHS, lambda done, all_: moments.append(time.perf_counter()))
    return moments[-1] - moments[0]


def _axe(files: dict[str, bytes], pages: dict[str, list[int]]) -> float:
    """Seconds that axe-core takes from the first page to the last, at the same widths."""
    source = _AXE.read_text(encoding="utf-8")
    with tempfile.TemporaryDirectory() as name, sync_playwright() as playwright:
        for path, data in files.items():
            target = Path(name) / path
            target.parent.mkdir(parents=True, exist_ok=True)
            target.write_bytes(data)
        browser = playwright.chromium.launch(executable_path=str(CHROMIUM), args=["--no-sandbox", "--disable-gpu"])
        tab = browser.new_page()

        def asked(path: str) -> None:
            tab.goto((Path(name) / path).as_uri())
            tab.evaluate(source)
            for width in pages[path]:
                tab.set_viewport_size({"width": width, "height": 900})
                tab.evaluate("axe.run().then(r => r.violations.length)")

        moments = list[float]()
        for path in pages:
            asked(path)
            moments.append(time.perf_counter())
        browser.close()
    return moments[-1] - moments[0]
