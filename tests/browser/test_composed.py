"""Compositions of one's own in Chromium, as they are told: for the contents of every kind in three amounts of words, at four or eight widths."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.predict import predict
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.composing.composer import Composer
from formulon.core.site.extents import Extents
from formulon.core.site.geometry import box_of, box_start, box_width, content_width, general
from formulon.core.site.setting import set_in, step_of
from formulon.core.site.site import FRAME, Section, Site
from formulon.core.site.slots import slot_values
from formulon.core.system.resolve import resolve
from tests.browser.test_layouts import WIDTHS, filled, read_of, regions, shown, site, write

GROUNDS = ("paper", "tint", "deep", "brand", "accent")


@pytest.fixture(scope="module")
def tab(chromium: Browser) -> Iterator[Page]:
    context = chromium.new_context(java_script_enabled=True)
    yield context.new_page()
    context.close()


def composed(made: Site, case: str) -> Site:
    """The site with three compositions of every kind's contents on its start page."""
    composer, sections = Composer(resolve(made.identity, made.choices), made.choices, made.identity), list[Section]()
    for kind, one in CATALOGUE.items():
        content = {name: value for name, slot in one.slots.items() if not slot.spare and (value := filled(slot, case))}
        for number, found in enumerate(composer.compose(kind, content) if kind not in FRAME else ()):
            sections.append(Section.model_validate({
                "id": f"{kind}-{number}".replace("_", "-"), "kind": kind, "layout": found.layout, "content": content,
                "ground": GROUNDS[len(sections) % 5],
            }))  # fmt: skip
    return made.model_copy(update={"pages": [made.pages[0].model_copy(update={"sections": sections}), *made.pages[1:]]})


@pytest.mark.parametrize("case", ["few", "many", "long"])
def test_compositions_stand_as_they_are_told(tab: Page, tmp_path: Path, case: str) -> None:
    widths = WIDTHS if case == "many" else WIDTHS[::2]
    made = composed(site(case, "columns"), case)
    system = resolve(made.identity, made.choices)
    extents, sections = Extents(system, made.choices, "de"), made.pages[0].sections
    assert len({one.layout for one in sections}) > 40
    write(made, tmp_path)
    runs = {
        (fact.place.section, fact.place.slot): fact
        for fact in predict(made, system, [made.pages[0]], widths=widths) if isinstance(fact, TextRun) and "/label/" not in fact.ink
    }  # fmt: skip
    lines = wrong = told = 0
    off = []
    values = [slot_values(one) for one in sections]
    for width in shown(tab, tmp_path, widths):
        assert tab.evaluate("document.documentElement.scrollWidth") == width, (case, width)
        for section, held, seen in zip(sections, values, read_of(tab)[:-1], strict=True):
            where = (section.id, section.layout, width)
            texts = {
                path for path, (slot, _) in held.items() if slot.type == "text" and general(path) in section.declared.drawn
            }
            assert {one["path"] for one in seen["texts"]} == texts, where
            misread = False  # whether a text has other lines than told, so that its region is higher or lower, too
            for text in seen["texts"]:
                value = held[text["path"]][1]
                size = system.steps[step_of(section, text["path"])].size(width)
                size *= set_in(system, section, text["path"], value, "de")[1]
                box = box_of(section, text["path"], width)
                assert box is not None, where
                assert text["box"][0] == pytest.approx(box_start(system, box, width, size), abs=1), (where, text)
                wide = text["box"][2] - text["box"][0]
                assert wide == pytest.approx(box_width(system, box, width, size), abs=1), (where, text)
                other = runs[section.id, text["path"]].fits[width].lines != text["lines"]
                lines, wrong, misread = lines + 1, wrong + other, misread or other
            regions(section, seen, width, content_width(system, width))
            heights = {name: extents.region(section, region, width) for name, region in section.declared.regions.items()}
            if not misread and all(one is None or one.told for one in heights.values()):
                boxes, _ = extents.of(section, width)
                for name, box_ in ((one["name"], one["box"]) for one in seen["regions"]):
                    told += 1
                    is_ = (box_[1] - seen["box"][1], box_[3] - box_[1])
                    if any(abs(a - b) > 2 + 0.001 * b for a, b in zip(is_, (boxes[name].top, boxes[name].height), strict=True)):
                        off.append((where, name, is_, boxes[name].top, boxes[name].height))
    assert lines > 1000 and wrong <= lines // 200, f"{wrong} of {lines} texts have other lines than told"
    assert told > 300 and len(off) <= told // 100, off
