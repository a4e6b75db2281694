"""Every layout of the catalogue, and compositions, on a page that runs from right to left: mirrored, with nothing over an edge."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page

from formulon.core.site.geometry import box_of, box_start, box_width, content_width
from formulon.core.site.planning.planner import plan
from formulon.core.site.setting import set_in, step_of
from formulon.core.site.site import Section, Site
from formulon.core.site.slots import slot_values
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve
from tests.browser.conftest import AXE
from tests.browser.test_layouts import READ, every_layout, regions, write
from tests.browser.test_published import show

WIDTHS = (320, 768, 1024, 1280, 1920)
OWN = ("own:heading@1-7.1;text@1-6.2;picture@8-13.1-2", "own:picture@0-5.1,3x2;heading@6-12.1,down-end;text@6-12.2")


@pytest.fixture(scope="module")
def tab(chromium: Browser) -> Iterator[Page]:
    context = chromium.new_context(java_script_enabled=True)
    yield context.new_page()
    context.close()


def site(case: str) -> Site:
    identity = Identity.model_validate({
        "name": "נגריית הזית", "language": "he", "colors": [{"name": "Moor", "value": "#3a5a40"}],
        "contact": {"email": "korb@moorweide.example", "phone": "+972 2 555 0199"},
    })  # fmt: skip
    made = plan(identity)
    picture = {"source": "drawn:boat/3", "alt": "", "decorative": True}
    own = [
        Section.model_validate({
            "id": f"own-{number}", "kind": "picture_text", "layout": layout,
            "content": {"heading": "כסא", "text": "אנחנו בונים רהיטים מעץ זית.", "picture": picture},
        })
        for number, layout in enumerate(OWN)
    ]  # fmt: skip
    home = made.pages[0].model_copy(update={"sections": [*every_layout(case), *own]})
    return made.model_copy(update={"pages": [home, *made.pages[1:]]})


@pytest.mark.parametrize("case", ["few", "many"])
def test_every_layout_is_mirrored(tab: Page, tmp_path: Path, case: str) -> None:
    made = site(case)
    system = resolve(made.identity, made.choices)
    write(made, tmp_path)
    seen_texts = 0
    for width in WIDTHS:
        show(tab, tmp_path, "index.html", width)
        assert tab.evaluate("document.documentElement.dir") == "rtl"
        assert tab.evaluate("document.documentElement.scrollWidth") == width, (case, width)
        for section, seen in zip(made.pages[0].sections, tab.evaluate(READ)[:-1], strict=True):
            mirrored = {
                **seen,
                "texts": [one | {"box": turned(one["box"], width)} for one in seen["texts"]],
                "regions": [one | {"box": turned(one["box"], width)} for one in seen["regions"]],
                "items": [turned(one, width) for one in seen["items"]],
            }
            regions(section, mirrored, width, content_width(system, width))
            for text in mirrored["texts"]:
                step = system.steps[step_of(section, text["path"])]
                size = step.size(width) * set_in(system, section, text["path"], slot_values(section)[text["path"]][1], "he")[1]
                box = box_of(section, text["path"], width)
                assert box is not None
                told = (section.id, text["path"], width)
                assert text["box"][0] == pytest.approx(box_start(system, box, width, size), abs=1), told
                assert text["box"][2] - text["box"][0] == pytest.approx(box_width(system, box, width, size), abs=1), told
                seen_texts += 1
    assert seen_texts > 2000
    tab.evaluate(AXE)
    found = tab.evaluate(
        "axe.run({runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']}).then(r => r.violations.map(v => v.id))"
    )
    assert set(found) <= {"duplicate-id"}, found


def turned(box: list[float], width: int) -> list[float]:
    """A box as it would stand on a page from left to right."""
    left, top, right, bottom = box
    return [width - right, top, width - left, bottom]
