"""Every layout of the catalogue in Chromium, against what its declaration says: with few contents, many, long ones and hardly any,
at the edges of every class of widths and between, in three brands, one of them from right to left. All layouts of a case stand on
one page, which the Nu HTML checker and axe-core judge as well."""

import json
from collections.abc import Iterator, Sequence
from functools import cache, partial
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from playwright.sync_api import Browser, Page

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.predict import predict
from formulon.core.site import sheets
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.geometry import box_of, box_start, box_width, content_width, general
from formulon.core.site.kind import Slot
from formulon.core.site.layout import class_of
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.setting import set_in, step_of
from formulon.core.site.site import FRAME, Section, Site
from formulon.core.site.slots import slot_values
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve
from tests.browser.blocks import GERMAN, GREEK, HEBREW, Brand, blocks
from tests.browser.conftest import violations
from tests.browser.faults import FAULTS
from tests.browser.nu import Nu
from tests.browser.test_published import show

WIDTHS = (320, 360, 767, 768, 1023, 1024, 1280, 1920)
FEWER = (320, 767, 1024, 1920)  # each class of widths once: for other brands, and for long contents
COUNTS = (1, 2, 3, 4, 5, 6, 8, 11)  # items: every rest of the rules by number, and numbers that stand apart
CASES = ("few", "many", "long", "missing")
TURNED = ("own:heading@1-7.1;text@1-6.2;picture@8-13.1-2", "own:picture@0-5.1,3x2;heading@6-12.1,down-end;text@6-12.2")


def filled(slot: Slot, case: str, number: int = 0, brand: Brand = GERMAN) -> Any:
    """What a slot holds in a case; None for nothing."""
    if slot.type == "items":
        if case == "missing":
            return [{name: filled(inner, "few", 0, brand) for name, inner in slot.items.items() if inner.type == "text"}][:1]
        count = {"few": 2, "many": min(slot.most, 12), "long": 5}[case]
        return [{name: filled(inner, case, index, brand) for name, inner in slot.items.items()} for index in range(count)]
    if slot.type == "picture":
        return None if case == "missing" else {"source": f"drawn:arcs/{number + 3}", "alt": "", "decorative": True}
    if (block := blocks(brand).get(slot.type)) is not None:
        return None if case == "missing" else block(brand.long if case == "long" else brand.word, 6 if case == "many" else 2)
    if slot.type == "action":
        label = {"few": brand.label, "many": brand.act, "long": f"{brand.long} {brand.label}"}.get(case)
        return label and {"label": label, "to": "page:home"}
    running = slot.step not in ("display", "h1", "h2", "h3")
    if case == "missing":
        return None if running else brand.word
    if case == "long":
        return f"{brand.long} {brand.words if running else ''}{brand.long}"[: slot.most]
    words = brand.words * (4 if case == "many" else 1) if running else brand.headline + brand.more * (case == "many")
    return words[: slot.most]


def every_layout(case: str, brand: Brand = GERMAN) -> list[Section]:
    """A section of every layout that stands on pages."""
    made = []
    for kind, one in CATALOGUE.items():
        for name in one.layouts if kind not in FRAME else ():
            content = {slot: value for slot, own in one.slots.items() if (value := filled(own, case, 0, brand))}
            ground = ("paper", "tint", "deep", "brand", "accent")[len(made) % 5]
            made.append(Section.model_validate({"id": f"{kind}-{name}".replace("_", "-"), "kind": kind, "layout": name, "ground": ground, "content": content}))  # fmt: skip
    return made


@cache
def site(case: str, footer: str, brand: Brand = GERMAN) -> Site:
    identity = Identity.model_validate({
        "name": brand.long if case == "long" else brand.name, "language": brand.language,
        "colors": [{"name": "Moor", "value": "#3a5a40"}],
        "contact": {} if case == "missing" else {"email": "korb@moorweide.example", "phone": brand.phone},
    })  # fmt: skip
    made = plan(identity, Choices.model_validate({"cards": {"many": "lined", "long": "solid"}.get(case, "plain")}))
    content = {slot: value for slot, own in CATALOGUE["footer"].slots.items() if (value := filled(own, case, 0, brand))}
    foot = Section(id="footer", kind="footer", layout=footer, ground="footer", content=content)
    # More sections than a page may have: all of a case are looked at together.
    sections = every_layout(case, brand)[
        : None if footer == "columns" else 1
    ]  # another footer is looked at without the whole again
    home = made.pages[0].model_copy(update={"sections": sections})
    frame = made.frame.model_copy(update={"footer": foot})
    return made.model_copy(update={"pages": [home, *made.pages[1:]], "frame": frame})


def write(made: Site, folder: Path) -> None:
    for name, data in render(made, resolve(made.identity, made.choices)).items():
        (folder / name).parent.mkdir(parents=True, exist_ok=True)
        (folder / name).write_bytes(data)


@pytest.fixture(scope="module")
def tab(chromium: Browser) -> Iterator[Page]:
    context = chromium.new_context(java_script_enabled=True)
    yield context.new_page()
    context.close()


def shown(tab: Page, folder: Path, widths: Sequence[int]) -> Iterator[int]:
    """Shows the start page at one width after another. It is read once, since all layouts stand on it."""
    show(tab, folder, "index.html", widths[0])
    for width in widths:
        tab.set_viewport_size({"width": width, "height": 900})
        yield width


# By section: every text with its slot's path, its left edge and width, and its lines; every region and every item with its box. As JSON:
# ten thousand numbers come one by one otherwise.
READ = """() => JSON.stringify([...document.querySelectorAll('main > section, body > footer')].map(section => {
  const box = e => { const r = e.getBoundingClientRect(); return [r.left, r.top, r.right, r.bottom]; };
  const list = section.querySelector('.items'), items = list ? [...list.children] : [];
  section.querySelectorAll('details').forEach(e => { e.open = true; });
  const texts = [...section.querySelectorAll('[class^="t-"][class*="slot--"]')].map(e => {
    const name = /slot--([\\w-]+)/.exec(e.className)[1], item = items.findIndex(i => i.contains(e));
    const range = document.createRange(); range.selectNodeContents(e);
    const tops = new Set([...range.getClientRects()].filter(r => r.width > 0).map(r => Math.round(r.top)));
    return {path: item < 0 ? name : `items/${item}/${name}`, box: box(e), lines: tops.size};
  });
  const inner = section.querySelector('.grid');
  const regions = [...inner.children].filter(e => e.matches('.region')).map(e =>
    ({name: /region--([\\w-]+)/.exec(e.className)[1], box: box(e)}));
  return {texts, regions, items: items.map(box), box: box(section)};
}))"""


def read_of(tab: Page) -> list[dict[str, Any]]:
    return list(json.loads(tab.evaluate(READ)))


@pytest.mark.parametrize("case", CASES)
@pytest.mark.parametrize("brand", [GERMAN, GREEK, HEBREW], ids=lambda brand: brand.language)
def test_every_layout_stands_as_it_is_declared(tab: Page, tmp_path: Path, nu: Nu, brand: Brand, case: str) -> None:
    lines = wrong = 0
    both = brand is GERMAN and case in ("many", "missing")
    for footer in CATALOGUE["footer"].layouts if both else ("columns",):
        made = with_own(site(case, footer, brand)) if brand is HEBREW else site(case, footer, brand)
        system = resolve(made.identity, made.choices)
        write(made, tmp_path)
        sections = [(one, slot_values(one)) for one in (*made.pages[0].sections, made.frame.footer)]
        widths = WIDTHS if brand is GERMAN and case != "long" else FEWER
        runs = {
            (fact.place.section, fact.place.slot): fact
            for fact in predict(made, system, [made.pages[0]], widths=widths) if isinstance(fact, TextRun) and "/label/" not in fact.ink
        }  # fmt: skip
        for width in shown(tab, tmp_path, widths):
            assert tab.evaluate("document.documentElement.scrollWidth") == width, (case, width)
            assert tab.evaluate("document.documentElement.dir") == ("rtl" if brand is HEBREW else "")
            assert tab.evaluate(FAULTS) == [], (case, width)
            for (section, values), seen in zip(sections, map(partial(facing, brand, width), read_of(tab)), strict=True):
                told = (section.kind, section.layout, width, case)
                drawn = section.declared.drawn
                texts = {path for path, (slot, _) in values.items() if slot.type == "text" and general(path) in drawn}
                assert {one["path"] for one in seen["texts"]} == texts, told
                for text in seen["texts"]:
                    step = system.steps[step_of(section, text["path"])]
                    value = values[text["path"]][1]
                    size = step.size(width) * set_in(system, section, text["path"], value, brand.language)[1]
                    box = box_of(section, text["path"], width)
                    assert box is not None, told
                    assert text["box"][0] == pytest.approx(box_start(system, box, width, size), abs=1), (told, text)
                    wide = text["box"][2] - text["box"][0]
                    assert wide == pytest.approx(box_width(system, box, width, size), abs=1), (told, text)
                    fit = runs[section.id, text["path"]].fits[width]
                    assert fit.widest <= fit.box, (told, text, "a word is broken")
                    lines, wrong = lines + 1, wrong + (fit.lines != text["lines"])
                regions(section, seen, width, content_width(system, width))
    assert lines > 150 and wrong <= lines // 200, f"{wrong} of {lines} texts have other lines than predicted"
    if brand is not GREEK:  # whose pages are the German ones in other letters
        judged(tab, tmp_path, nu)


def test_nothing_but_a_headline_stands_in_every_layout(tab: Page, tmp_path: Path) -> None:
    """Layouts without any of their other contents, their items among them."""
    made = site("few", "columns")
    bare = [
        one.model_copy(update={"content": {"heading": GERMAN.long} if "heading" in one.catalogue.slots else {}})
        for one in made.pages[0].sections
    ]
    home = made.pages[0].model_copy(update={"sections": bare})
    write(made.model_copy(update={"pages": [home, *made.pages[1:]]}), tmp_path)
    for width in shown(tab, tmp_path, WIDTHS):
        assert tab.evaluate(FAULTS) == [], width


def with_own(made: Site) -> Site:
    """A site with two compositions after its own sections."""
    content = {
        "heading": HEBREW.word,
        "text": HEBREW.words,
        "picture": {"source": "drawn:boat/3", "alt": "", "decorative": True},
    }
    own = [
        Section.model_validate({"id": f"own-{number}", "kind": "picture_text", "layout": layout, "content": content})
        for number, layout in enumerate(TURNED)
    ]
    home = made.pages[0].model_copy(update={"sections": [*made.pages[0].sections, *own]})
    return made.model_copy(update={"pages": [home, *made.pages[1:]]})


def facing(brand: Brand, width: int, seen: dict[str, Any]) -> dict[str, Any]:
    """What was read of a section, as it would stand on a page from left to right."""
    if brand is not HEBREW:
        return seen

    def turned(box: list[float]) -> list[float]:
        left, top, right, bottom = box
        return [width - right, top, width - left, bottom]

    return {
        "texts": [one | {"box": turned(one["box"])} for one in seen["texts"]],
        "regions": [one | {"box": turned(one["box"])} for one in seen["regions"]],
        "items": [turned(one) for one in seen["items"]],
        "box": turned(seen["box"]),
    }


def judged(tab: Page, folder: Path, nu: Nu) -> None:
    """What the Nu HTML checker and axe-core say of the page with all layouts. That a page has one headline, and sections other
    headings than one another, is no matter of layouts."""
    assert nu.errors(folder / "index.html") == []
    assert violations(tab, tags=("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa")) == []


def regions(section: Section, seen: dict[str, Any], width: int, content: float) -> None:
    """No region runs over an edge that it was not declared to run to, and none stands over another that it was not to overlap."""
    layout, told = section.declared, (section.kind, section.layout, width)
    start, end = (width - content) / 2, (width + content) / 2
    boxes = {one["name"]: one["box"] for one in seen["regions"] if not layout.regions[one["name"]].behind}
    for name, (left, _, right, bottom) in boxes.items():
        to_start, to_end = layout.regions[name].place(class_of(width)).edges
        assert left >= (0 if to_start else start) - 1 and right <= (width if to_end else end) + 1, (told, name)
        assert ((abs(left) <= 1) == to_start and (abs(right - width) <= 1) == to_end) or content == width, (told, name)
        hangs = layout.regions[name].place(class_of(width)).drop
        assert bottom <= seen["box"][3] + 1 or hangs, (told, name)
    names = [name for name in boxes if not (layout.regions[name].card or layout.regions[name].free)]
    for index, one in enumerate(names):
        assert not any(meet(boxes[one], boxes[other]) for other in names[index + 1 :]), (told, one)
    for index, item in enumerate(seen["items"]):
        assert not any(meet(item, other) for other in seen["items"][index + 1 :]), (told, index)


def meet(one: list[float], two: list[float]) -> bool:
    return one[0] < two[2] - 1 and two[0] < one[2] - 1 and one[1] < two[3] - 1 and two[1] < one[3] - 1


def test_a_style_sheet_beside_a_layout_moves_no_box(tab: Page, tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    """Curves and clips are drawn; where things stand is declared. A free drawing is left out: it has no box to be told."""
    read, own = [], sheets.kind_css
    made = site("many", "columns")
    told = [not any(one.free for one in section.declared.regions.values()) for section in made.pages[0].sections]
    for without in (False, True):
        if without:
            monkeypatch.setattr(sheets, "kind_css", lambda kind, *layout: own(kind, *layout) if kind in FRAME else "")
            sheets.layouts_css.cache_clear()
        folder = tmp_path / str(without)
        write(made, folder)
        read.append([])
        for _ in shown(tab, folder, (360, 768, 1280)):
            for free, one in zip(told, read_of(tab)[:-1], strict=True):
                boxes = [*(region["box"] for region in one["regions"]), *one["items"], one["box"]]
                read[-1] += [(x, y - one["box"][1], to, end - one["box"][1]) for x, y, to, end in boxes] if free else []
    sheets.layouts_css.cache_clear()
    assert len(read[0]) > 60 and np.abs(np.array(read[0]) - np.array(read[1])).max() < 0.1


@pytest.mark.parametrize("style", ["plain", "lined", "solid"])
def test_boxes_of_items_are_as_wide_as_predicted_at_every_number(tab: Page, tmp_path: Path, style: str) -> None:
    """Numbers of items of every collection in the catalogue by each of its rules; where the site's cards
    stand, in each style of those."""
    sections = []
    for kind, one in CATALOGUE.items():
        for name, layout in one.layouts.items():
            if style != "plain" and not layout.styled:
                continue
            for count in COUNTS if layout.collection else ():
                if count > one.slots["items"].most:
                    continue
                slot = one.slots["items"]
                items = [{key: filled(inner, "few", index) for key, inner in slot.items.items()} for index in range(count)]
                sections.append(
                    Section(id=f"{kind}-{name}-{count}".replace("_", "-"), kind=kind, layout=name, content={"items": items})
                )
    made = site("few", "columns").with_choices(Choices.model_validate({"cards": style}))
    made = made.model_copy(update={"pages": [made.pages[0].model_copy(update={"sections": sections})]})
    system = resolve(made.identity, made.choices)
    write(made, tmp_path)
    for width in shown(tab, tmp_path, (360, 768, 1024, 1280)):
        for section, seen in zip(sections, read_of(tab)[:-1], strict=True):
            for text in seen["texts"]:
                step, box = system.steps[step_of(section, text["path"])], box_of(section, text["path"], width)
                assert box is not None
                size = step.size(width) * set_in(system, section, text["path"], slot_values(section)[text["path"]][1], "de")[1]
                wide = text["box"][2] - text["box"][0]
                assert wide == pytest.approx(box_width(system, box, width, size), abs=0.6), (section.id, text, width)
                assert text["box"][0] == pytest.approx(box_start(system, box, width, size), abs=0.6), (section.id, text, width)
