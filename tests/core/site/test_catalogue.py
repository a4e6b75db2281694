"""The catalogue as data: every kind has its folder, and what a layout says of its slots holds together."""

import re
from collections.abc import Iterator
from pathlib import Path

import pytest

from formulon.core.site.catalogue import CATALOGUE, FOLDER, kind_css
from formulon.core.site.kind import Among, Box, Layout, Slot, card_ground
from formulon.core.site.sheets import site_css
from formulon.core.system.choices import GROUNDS, STEPS

ROOT = Path(__file__).resolve().parent.parent.parent.parent
LAYOUTS = [(kind, layout) for kind in CATALOGUE for layout in CATALOGUE[kind].layouts]


def boxes(layout: Layout) -> Iterator[tuple[str, Box]]:
    """Every box of a layout, with the slot that it is for; those of items by the item's slot."""
    yield from layout.boxes.items()
    yield from layout.phone_boxes.items()
    yield from layout.tablet_boxes.items()
    for one in (*layout.among, *layout.tablet):
        yield from ((f"items/{slot}", box) for slot, box in one.boxes.items())


def slots(kind: str) -> dict[str, Slot]:
    """The slots of a kind by path, those of items included."""
    own = CATALOGUE[kind].slots
    return own | {f"{name}/{inner}": slot for name, outer in own.items() for inner, slot in outer.items.items()}


def test_every_folder_is_a_kind_and_every_kind_a_folder() -> None:
    folders = {file.parent.name for file in FOLDER.glob("*/kind.py")}
    assert folders == set(CATALOGUE) and len(folders) >= 6
    for name in folders:
        assert {file.name for file in (FOLDER / name).iterdir() if file.is_file()} >= {"kind.py", "section.html", "section.css"}


@pytest.mark.parametrize("kind", CATALOGUE)
def test_a_kind_has_its_slots_its_ground_and_words_for_people(kind: str) -> None:
    one = CATALOGUE[kind]
    assert one.label and one.slots and len(one.layouts) >= 2 and one.ground in GROUNDS
    assert all(layout.label and layout.about.endswith(".") for layout in one.layouts.values()) or kind == "header"
    assert len({layout.label for layout in one.layouts.values()}) == len(one.layouts)
    for path, slot in slots(kind).items():
        assert slot.label and slot.most > 0, path
        if slot.type == "text":
            assert slot.step in (*STEPS, "intro", "body", "fine", "label"), path
        assert bool(slot.items) == (slot.type == "items"), path


@pytest.mark.parametrize(("kind", "layout"), LAYOUTS)
def test_boxes_are_of_slots_and_within_the_grid(kind: str, layout: str) -> None:
    one, known = CATALOGUE[kind].layouts[layout], slots(kind)
    for path, box in boxes(one):
        # The footer's own parts, which are no slots: the brand's name, links and contact.
        assert path in known or (kind == "footer" and path in ("mark", "links", "contact")), path
        assert 1 <= box.columns <= 12 and (box.most_em is None or 20 <= box.most_em <= 60), path
    texts = {path for path, slot in known.items() if slot.type == "text" and kind not in ("header", "footer")}
    assert texts <= set(one.boxes), texts - set(one.boxes)
    assert set(one.steps) <= known.keys() and set(one.card) <= known.keys() and set(one.on_picture) <= known.keys()
    assert not set(one.card) & set(one.on_picture)


@pytest.mark.parametrize(("kind", "layout"), LAYOUTS)
def test_items_by_number_are_items_that_there_can_be(kind: str, layout: str) -> None:
    one = CATALOGUE[kind].layouts[layout]
    most = CATALOGUE[kind].slots["items"].most if "items" in CATALOGUE[kind].slots else 0
    for among in (*one.among, *one.tablet):
        assert isinstance(among, Among) and all(1 <= count <= most for count in among.counts)
        assert among.index is None or 0 <= among.index < most
        assert among.index is None or not among.counts or any(among.index < count for count in among.counts)


@pytest.mark.parametrize(("kind", "layout"), LAYOUTS)
def test_a_layout_is_styled_where_it_is_declared_and_sketched_in_the_interface(kind: str, layout: str) -> None:
    css, name = kind_css(kind), kind.replace("_", "-")
    assert re.search(rf"\.{name}--{layout}\b", css) or layout in ("bar", "columns"), "no rule of its own"
    others = "".join(kind_css(other) for other in CATALOGUE if other != kind)
    assert f".{name}--{layout}" not in others
    sketches = (ROOT / "web" / "src" / "stages" / "pages" / "LayoutSketch.tsx").read_text(encoding="utf-8")
    assert re.search(rf"\b{layout}\b", sketches), "no sketch"


def test_a_style_sheet_names_only_layouts_that_there_are() -> None:
    known = {f"{kind.replace('_', '-')}--{layout}" for kind, layout in LAYOUTS}
    kinds = "|".join(kind.replace("_", "-") for kind in CATALOGUE)
    assert set(re.findall(rf"\.((?:{kinds})--[a-z]+)\b", site_css())) <= known


@pytest.mark.parametrize("ground", GROUNDS)
def test_an_inset_card_never_stands_on_its_own_ground(ground: str) -> None:
    assert card_ground(ground) in GROUNDS and card_ground(ground) != ground
