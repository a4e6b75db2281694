"""How wide photographs are drawn, against Chromium: every layout with a picture, on one page, at three widths."""

import io
from pathlib import Path
from typing import Any

import pytest
from PIL import Image
from playwright.sync_api import Browser

from formulon.core.checks.page_facts import PictureFact
from formulon.core.checks.predict import predict
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.kind import Slot
from formulon.core.site.layout import class_of
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import FRAME, Asset, Rendition, Site
from formulon.core.system.documents.identity import Identity
from tests.browser.test_layouts import filled
from tests.browser.test_published import show

WIDTHS = (360, 900, 1280)
WIDE, HIGH = 600, 400
DIGEST = "a" * 64


def photographed(slot: Slot, number: int = 0) -> Any:
    if slot.type == "picture":
        return {"source": "asset:photo", "alt": "", "decorative": True}
    if slot.type == "items":
        return [{name: photographed(one, index) for name, one in slot.items.items()} for index in range(3)]
    return filled(slot, "few", number)


def everywhere() -> Site:
    site = plan(
        Identity.model_validate({"name": "Weidling", "language": "en-GB", "colors": [{"name": "Bast", "value": "#a07a3a"}]})
    )
    sections = []
    for kind, declared in CATALOGUE.items():
        for layout in declared.layouts if kind not in FRAME else ():
            content = {
                name: photographed(slot) for name, slot in declared.slots.items() if slot.type not in ("code", "form", "map")
            }
            if "asset:photo" in str(content):
                sections.append({"id": f"s{len(sections)}", "kind": kind, "layout": layout, "content": content})
    body = site.model_dump(exclude={"assets"})
    body["pages"] = [
        {"id": f"p{n}", "name": f"P{n}", "sections": sections[n * 40 : n * 40 + 40]} for n in range(-(-len(sections) // 40))
    ]
    body["frame"]["order"] = [one["id"] for one in body["pages"]]
    photo = Asset(id="photo", name="Photo", width=WIDE, height=HIGH, renditions=[Rendition(width=WIDE, sha256=DIGEST)])
    return Site.model_validate(body | {"assets": [photo.model_dump()]})


MEASURE = """() => [...document.querySelectorAll('main > section')].map(section => [...section.querySelectorAll('.picture img')]
  .filter(one => !one.closest('dialog, [popover]')).map(one => { const box = one.getBoundingClientRect(); return [box.width, box.height]; }))"""


def test_photographs_are_drawn_as_wide_as_is_told(chromium: Browser, tmp_path: Path) -> None:
    site = everywhere()
    file = io.BytesIO()
    Image.new("RGB", (WIDE, HIGH), "#884422").save(file, "WEBP")
    for name, data in render(site, site.system(), lambda _: file.getvalue()).items():
        (tmp_path / name).parent.mkdir(parents=True, exist_ok=True)
        (tmp_path / name).write_bytes(data)
    told = [one for one in predict(site, site.system(), widths=WIDTHS) if isinstance(one, PictureFact) and one.drawn]
    compared, exact, tab = 0, 0, chromium.new_page()
    for page in site.drawn:
        for width in WIDTHS:
            show(tab, tmp_path, site.file_name(page), width)
            measured = tab.evaluate(MEASURE)
            for section, seen in zip(page.sections, measured, strict=True):
                facts = [one for one in told if one.place.page == page.id and one.place.section == section.id]
                boxes = [max(wide, high * WIDE / HIGH) for wide, high in seen if wide]
                region = next((one for one in section.declared.regions.values() if "picture" in one.slots), None)
                for fact, drawn in zip(facts, boxes, strict=False):
                    said = fact.drawn.get(width)
                    if said is None:  # a layout that cannot tell
                        continue
                    compared += 1
                    # What fills its rows is as high as the words beside it: there no more is told than its box is wide.
                    assert said <= drawn * 1.03 + 4, (section.kind, section.layout, width, said, drawn)
                    if region and region.place(class_of(width)).ratio:
                        exact += 1
                        assert said == pytest.approx(drawn, rel=0.03, abs=4), (section.kind, section.layout, width, said, drawn)
    assert compared > 150 and exact > 30, (compared, exact)
    tab.close()
