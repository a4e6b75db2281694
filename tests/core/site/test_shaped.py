"""Layouts shaped by hand: every pull gives a layout that holds together, or a sentence; what was read in an order is read in it."""

import pytest
from hypothesis import assume, given, settings
from hypothesis import strategies as st

from formulon.core.errors import ChangeError
from formulon.core.site.catalogue import CATALOGUE, layout_of
from formulon.core.site.composing.shaped import parts_of, proportioned, shaped
from formulon.core.site.composing.turned import as_composition
from formulon.core.site.composition import read
from formulon.core.site.layout import CLASSES, Class
from formulon.core.site.site import FRAME

SHAPED = [
    (kind, layout) for kind, one in CATALOGUE.items() if kind not in FRAME for layout in one.layouts if parts_of(one, layout)
]
TEXT = CATALOGUE["picture_text"]


def test_most_layouts_of_the_catalogue_can_be_shaped() -> None:
    every = [(kind, layout) for kind, one in CATALOGUE.items() if kind not in FRAME for layout in one.layouts]
    assert len(SHAPED) >= 0.7 * len(every)
    for kind, name in SHAPED:
        found = as_composition(CATALOGUE[kind], name)
        assert found is not None and len(found.parts) == len(layout_of(CATALOGUE[kind], name).regions)


def test_an_edge_is_pulled_to_another_column_and_the_rest_stays() -> None:
    name = "own:picture@0-6.1-2;heading@7-12.1;text+link@7-12.2"
    made = shaped(TEXT, name, 2, "desktop", (8, 12))
    assert made == "own:picture@0-6.1-2;heading@7-12.1;text+link@8-12.2"
    assert [one.at.cols for one in layout_of(TEXT, made).regions.values()] == [(0, 6), (7, 12), (8, 12)]


def test_words_over_a_picture_stand_on_a_card_and_what_is_in_the_way_goes_a_row_down() -> None:
    name = "own:picture@0-9.1,16x9;heading+text@1-6.2"
    over = read(shaped(TEXT, name, 1, "desktop", (7, 12), 1))
    assert [(one.slots[0], one.card, one.row) for one in over.parts] == [("picture", False, 1), ("heading", True, 1)]
    down = read(shaped(TEXT, "own:heading@1-6.1;text@1-6.2;link@1-6.3", 2, "desktop", row=2))
    assert [(one.slots[0], one.row) for one in down.parts] == [("heading", 1), ("link", 2), ("text", 3)]


@pytest.mark.parametrize(
    ("part", "width", "cols", "row", "said"),
    [
        (2, "desktop", None, 1, "read before"),
        (2, "desktop", (11, 12), None, "three columns"),
        (2, "desktop", (9, 8), None, "one column wide"),
        (7, "desktop", None, None, "not there"),
        (1, "phone", None, None, "one column"),
        (0, "tablet", (1, 12), None, "on one another"),
    ],
)
def test_what_cannot_stand_so_is_refused_in_a_sentence(
    part: int, width: Class, cols: tuple[int, int] | None, row: int | None, said: str
) -> None:
    with pytest.raises(ChangeError, match=said) as refused:
        shaped(TEXT, "own:picture@0-6.1-2;heading@7-12.1;text@7-12.2", part, width, cols, row)
    assert str(refused.value).endswith(".")


def test_tablets_and_phones_are_shaped_apart_from_desktops() -> None:
    name = "own:picture@0-6.1-2;heading@7-12.1;text@7-12.2"
    wide = shaped(TEXT, name, 0, "tablet", (0, 13), 3)
    assert [one.at for one in layout_of(TEXT, wide).regions.values()][1].cols == (7, 12)
    assert [one.place("tablet").cols for one in layout_of(TEXT, wide).regions.values()] == [(0, 13), (7, 12), (7, 12)]
    assert [one.tablet for one in read(wide).parts] == [(0, 13, 3), (7, 12, 1), (7, 12, 2)]
    inset = shaped(TEXT, name, 0, "phone", phone="inset")
    assert [layout_of(TEXT, one).regions["r1"].phone.cols for one in (name, inset)] == [(0, 13), None]
    assert shaped(TEXT, inset, 0, "phone", phone="edge").endswith("text@7-12.2")


def test_items_in_fewer_columns_stand_so_many_in_a_row_as_go() -> None:
    cards = CATALOGUE["cards"]
    name = next(layout for kind, layout in SHAPED if kind == "cards")
    at = next(index for index, one in enumerate(parts_of(cards, name)) if one.region == "items")
    made = read(shaped(cards, name, at, "desktop", (7, 12)))
    held = next(one for one in made.parts if one.slots == ("items",))
    assert held.cols == (7, 12) and held.by in (1, 2)


@settings(max_examples=300, deadline=None)
@given(st.data())
def test_every_pull_holds_together_or_is_refused(data: st.DataObject) -> None:
    kind_name, name = data.draw(st.sampled_from(SHAPED))
    kind = CATALOGUE[kind_name]
    for _ in range(data.draw(st.integers(1, 4))):
        parts = parts_of(kind, name)
        assume(parts)
        part = data.draw(st.integers(0, len(parts) - 1))
        width: Class = data.draw(st.sampled_from(CLASSES))
        cols = data.draw(st.none() | st.tuples(st.integers(0, 13), st.integers(0, 13)))
        row, phone = data.draw(st.none() | st.integers(1, 6)), data.draw(st.sampled_from(["edge", "inset"]))
        try:
            made = shaped(kind, name, part, width, cols, row, phone)
        except ChangeError as refused:
            assert str(refused).endswith(".")
            continue
        layout = layout_of(kind, made)
        assert layout.drawn >= layout_of(kind, name).drawn, "nothing is lost"
        held = [one for one in read(made).parts if not kind.slots[one.slots[0]].of.picture]
        assert "heading" not in kind.slots or any("heading" in one.slots for one in held[:2]), "the headline comes first"
        name = made


@given(st.sampled_from(SHAPED), st.sampled_from(["fills", "1x1", "4x3", "16x9", "2x3", "3x2"]))
def test_a_picture_takes_any_proportions_and_nothing_else_moves(at: tuple[str, str], ratio: str) -> None:
    kind = CATALOGUE[at[0]]
    for part, one in enumerate(parts_of(kind, at[1])):
        if not one.picture:
            with pytest.raises(ChangeError, match="Only pictures"):
                proportioned(kind, at[1], part, ratio)
            continue
        try:
            made = proportioned(kind, at[1], part, ratio)
        except ChangeError as refused:  # a picture that stands in one region with words is none of what can be composed
            assert str(refused).endswith(".") and len(next(iter(as_composition(kind, at[1]).parts[part : part + 1])).slots) > 1  # type: ignore[union-attr]
            continue
        after = parts_of(kind, made)
        assert after[part].ratio == ratio
        assert [(part.cols, part.row, part.rows) for part in after] == [
            (part.cols, part.row, part.rows) for part in parts_of(kind, at[1])
        ]
        assert proportioned(kind, made, part, ratio) == made
