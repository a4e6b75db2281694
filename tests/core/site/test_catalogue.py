"""The catalogue as data: every kind has its folder, and what a layout declares holds together."""

import re
from collections.abc import Callable
from dataclasses import replace
from pathlib import Path
from typing import Any

import pytest

from formulon.core.site.catalogue import CATALOGUE, FOLDER, DeclarationError, kind_css, take_in
from formulon.core.site.declaration import every_slot, faults
from formulon.core.site.kind import Kind, Slot, card_ground
from formulon.core.site.layout import CLASSES, COLUMNS, Collection, Layout, Place, Region, Tracks, parts
from formulon.core.site.sheets import site_css
from formulon.core.system.documents.choices import GROUNDS, STEPS

LAYOUTS = [(kind, layout) for kind in CATALOGUE for layout in CATALOGUE[kind].layouts]
MOVES = {"grid-column", "grid-row", "grid-area", "grid-template-columns", "grid-template-rows", "column-gap", "row-gap"}


def slots(kind: str) -> dict[str, Slot]:
    """The slots of a kind by path, those of items included."""
    return every_slot(CATALOGUE[kind].slots)


def test_every_folder_is_a_kind_and_every_kind_a_folder() -> None:
    folders = {file.parent.name for file in FOLDER.glob("*/kind.py")}
    assert folders == set(CATALOGUE) and len(folders) >= 6
    for name in folders:
        own = {file.name for file in (FOLDER / name).iterdir() if file.is_file()}
        known = {"__init__.py", "kind.py", "section.html", "section.css", "rows.css"}
        assert own <= known | {f"{layout}.css" for layout in CATALOGUE[name].layouts}, name


@pytest.mark.parametrize("kind", CATALOGUE)
def test_a_kind_has_its_slots_its_ground_and_words_for_people(kind: str) -> None:
    one = CATALOGUE[kind]
    assert one.label and one.slots and len(one.layouts) >= 2 and one.ground in GROUNDS
    assert len({layout.label for layout in one.layouts.values()}) == len(one.layouts)
    for path, slot in slots(kind).items():
        assert slot.label and slot.most > 0, path
        if slot.type == "text":
            assert slot.step in (*STEPS, "intro", "body", "fine", "label"), path
        assert bool(slot.items) == (slot.type == "items"), path


@pytest.mark.parametrize(("kind", "layout"), LAYOUTS)
def test_what_stands_on_cards_and_pictures_is_shown(kind: str, layout: str) -> None:
    one, known = CATALOGUE[kind].layouts[layout], slots(kind)
    solid = {slot for region in one.regions.values() if region.card for slot in region.slots}
    assert solid | set(one.item_slots) | set(one.on_picture) <= one.drawn
    assert not solid & set(one.on_picture)
    spare = {name for name, slot in CATALOGUE[kind].slots.items() if slot.spare}
    texts = {path for path, slot in known.items() if slot.type == "text" and path.split("/")[0] not in spare}
    assert texts <= one.drawn, "a text that a layout does not show would be lost to sight"


@pytest.mark.parametrize("kind", CATALOGUE)
def test_what_lies_beside_a_layout_moves_no_box(kind: str) -> None:
    """Curves, clips and shadows; where things stand is declared. The header's rows, and a motif in columns of its own, are
    measured."""
    css = re.sub(r"[^{}]*\.(links|motif--accent|wrap|header[\w-]*|menu[\w-]*)[^{}]*{[^{}]*}", "", kind_css(kind))
    assert not MOVES & set(re.findall(r"([\w-]+)\s*:", css))


def test_a_style_sheet_names_only_layouts_that_there_are() -> None:
    known = {f"{kind.replace('_', '-')}--{layout}" for kind, layout in LAYOUTS}
    kinds = "|".join(kind.replace("_", "-") for kind in CATALOGUE)
    found = set(re.findall(rf"\.((?:{kinds})--[a-z]+)\b", site_css()))
    assert {one for one in known if not one.startswith("header")} <= found <= known


@pytest.mark.parametrize("ground", GROUNDS)
def test_an_inset_card_never_stands_on_its_own_ground(ground: str) -> None:
    assert card_ground(ground) in GROUNDS and card_ground(ground) != ground


# What a declaration may not say, each told of by name.

HEADING, BODY, PICTURE = Slot("Headline", step="h2"), Slot("Text", step="body"), Slot("Picture", "picture")
ITEMS = Slot("Collection", "items", most=7, items={"title": Slot("Title", step="h3")})


def kind_of(regions: dict[str, Region], **slots: Slot) -> Kind:
    own = {"heading": HEADING} | slots
    return Kind("Kind", own, {"one": Layout("One", "As it is.", {"lead": Region(("heading",))} | regions)})


def collection(tracks: Tracks, **more: Any) -> Kind:
    form = {"card": {"words": Region(("title",))}}
    return kind_of({"items": Region(("items",), items=Collection(form | more.pop("forms", {}), tracks, **more))}, items=ITEMS)


WRONG: dict[str, tuple[Callable[[], Kind], str]] = {
    "a slot that is none": (lambda: kind_of({"more": Region(("other",))}), "no slot of the kind"),
    "a slot twice": (lambda: kind_of({"more": Region(("heading",))}), "two regions"),
    "a slot that nothing shows": (lambda: kind_of({}, text=BODY), "No layout shows the slot text"),
    "columns outside": (lambda: kind_of({"text": Region(("text",), Place((4, 14)))}, text=BODY), "none of the grid's"),
    "columns back to front": (lambda: kind_of({"text": Region(("text",), Place((8, 4)))}, text=BODY), "none of the grid's"),
    "running text too narrow": (lambda: kind_of({"text": Region(("text",), Place((1, 2)))}, text=BODY), "in 2 columns"),
    "a slot wider than its region": (
        lambda: kind_of({"text": Region(("text",), Place((1, 4), spans={"text": 5}))}, text=BODY),
        "more than its region's",
    ),
    "a cap that is none": (lambda: kind_of({"text": Region(("text",), caps={"text": 90})}, text=BODY), "cap of text"),
    "columns on phones": (lambda: kind_of({"text": Region(("text",), phone=Place((1, 6)))}, text=BODY), "On phones"),
    "a picture without a kind": (
        lambda: kind_of({"picture": Region(("picture",), phone=Place(ratio=(1, 1)))}, picture=PICTURE),
        "of which kind",
    ),
    "a picture without proportions on phones": (
        lambda: kind_of({"picture": Region(("picture",), picture="text")}, picture=PICTURE),
        "proportions on phones",
    ),
    "an overlap that nobody meant": (
        lambda: kind_of({"a": Region(("text",), Place((1, 7), row=2)), "b": Region(("more",), Place((6, 12), row=2))}, text=BODY, more=BODY),
        "a and b overlap",
    ),
    "read otherwise than it stands": (
        lambda: kind_of({"a": Region(("text",), Place((7, 12), row=2)), "b": Region(("more",), Place((1, 6), row=2))}, text=BODY, more=BODY),
        "b stands before a",
    ),
    "a hole in a row": (lambda: collection(Tracks(5)), "leave a hole"),
    "an item wider than its region": (lambda: collection(Tracks(13)), "leave a hole"),
    "a form that there is not": (lambda: collection(Tracks(4, of=3, lead={1: "wide"})), "a form wide"),
    "a form with other parts": (lambda: collection(Tracks(4), forms={"wide": {"other": Region(("title",))}}), "other parts"),
    "an item's slot that is none": (lambda: collection(Tracks(4), forms={"x": {"words": Region(("text",))}}), "no slot of an item"),
    "a layout without words": (lambda: replace_layout(label=""), "needs a label"),
    "a layout without its headline": (lambda: replace_layout(regions={}), "shows no headline"),
    "a step of what is no text": (lambda: replace_layout(steps={"picture": "h1"}), "which is no text"),
}  # fmt: skip


def replace_layout(**parts: Any) -> Kind:
    one = kind_of({})
    return replace(one, layouts={"one": replace(one.layouts["one"], **parts)})


@pytest.mark.parametrize("name", WRONG)
def test_a_declaration_that_does_not_hold_together_is_told_of_and_not_taken_in(name: str, tmp_path: Path) -> None:
    make, told = WRONG[name]
    assert any(told in one for one in faults(make())), faults(make())
    with pytest.raises(DeclarationError, match=r"does not hold together"):
        take_in("kind", make(), tmp_path)


def test_what_holds_together_is_taken_in() -> None:
    assert faults(kind_of({})) == [] == faults(collection(Tracks(4, of=3, first={1: (12,), 2: (6, 6)})))
    assert not any(faults(one, frozenset({"mark", "links", "contact", "arcs"})) for one in CATALOGUE.values())


@pytest.mark.parametrize(("kind", "layout"), LAYOUTS)
def test_every_number_of_items_fills_its_rows(kind: str, layout: str) -> None:
    """But for the last row of items that all have the same span, which may end early."""
    one = CATALOGUE[kind].layouts[layout]
    if one.collection is None:
        return
    name, region, items = one.collection
    for width in CLASSES:
        columns = COLUMNS if width == "phone" else region.place(width).columns()
        for count in range(1, CATALOGUE[kind].slots[name].most + 1):
            spans = items.tracks(width).spans(count)
            assert len(spans) == count and all(1 <= span <= columns for span in spans)
            steps = items.tracks(width).steps(count, columns)
            assert len(steps) == count and (not any(steps) or sum(spans) % columns == 0)


def test_the_regions_of_a_layout_are_all_found() -> None:
    found = list(parts(CATALOGUE["cards"].layouts["lead"]))
    assert {prefix for prefix, _ in found} == {"", "items/"} and len(found) == 2 + 3 * 2
