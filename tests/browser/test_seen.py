"""How much is seen of the parts of a style, against the areas that Chromium paints."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page

from formulon.core.proposals.seen import FIRST, SCREENS, shares
from tests.browser.test_layouts import write
from tests.browser.test_published import show
from tools.variety import sites

# The areas of pictures and of words in px², what stands on the first screen counted `first` times, by the area of the page.
PAINTED = """first => {
  const high = innerHeight, seen = (top, bottom) =>
    (bottom - top) + (first - 1) * Math.max(0, Math.min(bottom, high) - Math.min(top, high));
  const area = boxes => boxes.reduce((sum, r) => sum + r.width * seen(r.top, r.bottom), 0);
  const boxes = selector => [...document.querySelectorAll(selector)].map(e => e.getBoundingClientRect());
  return {
    whole: innerWidth * seen(0, document.documentElement.scrollHeight),
    pictures: area(boxes('main .picture')),
    header: area(boxes('header')), footer: area(boxes('footer')),
  };
}"""


@pytest.fixture(scope="module")
def tab(chromium: Browser) -> Iterator[Page]:
    context = chromium.new_context(java_script_enabled=True)
    yield context.new_page()
    context.close()


def test_shares_are_about_those_that_are_painted(tab: Page, tmp_path: Path) -> None:
    """Six of the brands of the variety bench: within eight hundredths of the page for each, and within three on average."""
    apart = []
    for number, made in enumerate(sites()[::4]):
        told = shares(made, made.system())
        write(made, tmp_path / str(number))
        painted = dict.fromkeys(("pictures", "header", "footer"), 0.0)
        for width, height in SCREENS:
            found = dict.fromkeys(("whole", *painted), 0.0)
            for page in made.drawn:
                show(tab, tmp_path / str(number), made.file_name(page), width)
                tab.set_viewport_size({"width": width, "height": height})
                for name, area in tab.evaluate(PAINTED, FIRST).items():
                    found[name] += area
            for name in painted:
                painted[name] += found[name] / found["whole"] / len(SCREENS)
        for name, share in painted.items():
            apart.append((abs(told[name] - share), made.identity.name, name, told[name], share))
    assert max(apart)[0] < 0.08 and sum(one[0] for one in apart) / len(apart) < 0.03, sorted(apart, reverse=True)[:6]
