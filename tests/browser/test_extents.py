"""How high regions are and where they stand, as told by shaping, against Chromium: every layout of the catalogue that can be told."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page

from formulon.core.checks.page_facts import SectionHead
from formulon.core.checks.predict import predict
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.extents import Extents
from formulon.core.site.layout import class_of
from formulon.core.site.site import Section
from formulon.core.system.resolve import resolve
from tests.browser.test_layouts import filled, read_of, shown, site, write
from tests.browser.test_published import show

WIDTHS = (360, 768, 1280)


@pytest.fixture(scope="module")
def tab(chromium: Browser) -> Iterator[Page]:
    context = chromium.new_context(java_script_enabled=True)
    yield context.new_page()
    context.close()


def can_be_told(extents: Extents, section: Section, width: int) -> bool:
    """Whether all that stands in a section is known: no table, form, map, prose, free drawing or picture behind words, and no
    least height of the whole or baseline that would move a part."""
    layout = section.declared
    place = [one.place(class_of(width)) for one in layout.regions.values()]
    if any(one.free or one.behind or one.slots[0] not in section.catalogue.slots for one in layout.regions.values()):
        return False
    if layout.frame_at(class_of(width)).least or any(
        one.down == "baseline" or one.bleed or one.drop or one.uncover for one in place
    ):
        return False
    inner = [part.place(class_of(width)) for one in layout.regions.values() if one.items for part in one.items.usual.values()]
    if class_of(width) != "phone" and any(one.down == "baseline" for one in inner):
        return False
    return all(one.told for region in layout.regions.values() if (one := extents.region(section, region, width)))


@pytest.mark.parametrize("case", ["few", "many"])
def test_regions_stand_where_they_are_told_to(tab: Page, tmp_path: Path, case: str) -> None:
    made = site(case, "columns")
    system = resolve(made.identity, made.choices)
    extents = Extents(system, made.choices, made.identity.language)
    write(made, tmp_path)
    told, off = 0, []
    for width in shown(tab, tmp_path, WIDTHS):
        for section, seen in zip(made.pages[0].sections, read_of(tab)[:-1], strict=True):
            if not can_be_told(extents, section, width):
                continue
            regions, high = extents.of(section, width)
            top = seen["box"][1]
            there = {one["name"]: one["box"] for one in seen["regions"]}
            assert there.keys() == regions.keys(), section.id
            told += len(regions) + 1
            for name, one in regions.items():
                is_ = [there[name][0], there[name][1] - top, there[name][2] - there[name][0], there[name][3] - there[name][1]]
                said = [one.start, one.top, one.width, one.height]
                if any(abs(a - b) > 1.5 + 0.001 * b for a, b in zip(is_, said, strict=True)):
                    off.append((width, section.id, name, [round(v, 1) for v in is_], [round(v, 1) for v in said]))
            if abs(seen["box"][3] - top - high) > 2 + 0.001 * high:
                off.append((width, section.id, "", [round(seen["box"][3] - top, 1)], [round(high, 1)]))
    assert told > 100
    # Browsers round every line's height to a 64th of a pixel, which comes to 1 in 3,000 (see Chromium's LayoutUnit).
    assert len(off) <= told // 200, off


def test_the_foot_of_an_opening_on_a_phone_is_where_it_is_told(tab: Page, tmp_path: Path) -> None:
    """Every opening with few and many contents, under the header, on a phone: where the words end, within 2 px."""
    told = 0
    for case in ("few", "many"):
        made = site(case, "columns")
        kind = CATALOGUE["hero"]
        content = {name: value for name, slot in kind.slots.items() if (value := filled(slot, case))}
        for layout in kind.layouts:
            opening = Section.model_validate({"id": "hero", "kind": "hero", "layout": layout, "content": content})
            home = made.pages[0].model_copy(update={"sections": [opening]})
            one = made.model_copy(update={"pages": [home, *made.pages[1:]]})
            head = next(
                fact for fact in predict(one, one.system(), [home]) if isinstance(fact, SectionHead) and fact.kind == "hero"
            )
            write(one, tmp_path)
            show(tab, tmp_path, "index.html", 360)
            seen = tab.evaluate(
                "Math.max(...[...document.querySelectorAll('.hero .slot--heading, .hero .slot--text')]"
                ".filter(e => !e.closest('.items')).map(e => e.getBoundingClientRect().bottom))"
            )
            assert head.foot in (0.0, pytest.approx(seen, abs=2)), (case, layout, head.foot, seen)
            told += head.foot > 0
    assert told >= 20
