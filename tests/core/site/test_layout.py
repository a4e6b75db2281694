"""What follows from a declaration: rules by number, lengths, style sheets, sketches and signatures."""

import re
from dataclasses import replace

import pytest
import tinycss2
from hypothesis import given
from hypothesis import strategies as st

from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.geometry import (
    CONTENT,
    MARGIN,
    Length,
    before,
    box_in,
    box_start,
    box_width,
    content_width,
    px,
    span,
    token,
)
from formulon.core.site.kind import Kind, Slot
from formulon.core.site.layout import CLASSES, Layout, Place, Region, Room, Tracks, class_of
from formulon.core.site.layout_css import layout_css, touched
from formulon.core.site.planning.planner import plan
from formulon.core.site.sheets import every_layout, layouts_css, minified, parts_of, site_css, style_css, used
from formulon.core.site.signature import likeness, signature
from formulon.core.site.sketch import HEIGHT, WIDTH, picture_share, sketch
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve
from formulon.core.system.system import System

LAYOUTS = [(kind, layout) for kind in CATALOGUE for layout in CATALOGUE[kind].layouts]


@pytest.fixture(scope="module")
def system() -> System:
    return resolve(Identity(name="Willow"), Choices())


def test_a_viewport_belongs_to_a_class_of_widths() -> None:
    assert [class_of(width) for width in (320, 767, 767.9, 768, 1023.9, 1024, 1920)] == [
        "phone", "phone", "phone", "tablet", "tablet", "desktop", "desktop",
    ]  # fmt: skip


def test_a_rule_by_number() -> None:
    rule = Tracks(4, of=3, first={1: (12,), 2: (6, 6)}, only={1: (8,)}, lead={0: "wide"}, step="5", stepped=(3, 4, 6))
    assert [rule.spans(count) for count in (1, 2, 3, 4, 5)] == [(8,), (6, 6), (4, 4, 4), (12, 4, 4, 4), (6, 6, 4, 4, 4)]
    assert rule.steps(3, 12) == (0, 1, 2) and rule.steps(6, 12) == (0, 1, 2, 0, 1, 2)
    assert rule.steps(4, 12) == (0,) * 4 and rule.steps(9, 12) == (0,) * 9  # a row of its own; a number that does not step
    assert [rule.form(index, 6) for index in (0, 1)] == ["wide", ""] and rule.form(0, 5) == ""


@given(
    st.integers(1, 12), st.integers(1, 4), st.dictionaries(st.integers(0, 3), st.lists(st.integers(1, 12), max_size=4)), st.integers(1, 40)
)  # fmt: skip
def test_every_item_has_a_span_whatever_the_rule(of_all: int, of: int, first: dict[int, list[int]], count: int) -> None:
    rule = Tracks(of_all, of=of, first={rest: tuple(spans) for rest, spans in first.items()})
    assert len(rule.spans(count)) == count == len(rule.steps(count, 12))
    assert rule.spans(count)[len(first.get(count % of, ())) :] == (of_all,) * max(0, count - len(first.get(count % of, ())))


# Lengths, against the formula written out (Formulon's own grid; see docs/architecture.md).


@pytest.mark.parametrize("viewport", [768, 1024, 1280, 1920, 2560])
@pytest.mark.parametrize(("first", "last"), [(1, 12), (1, 7), (8, 12), (5, 5)])
def test_a_span_is_as_wide_as_its_columns_and_the_gaps_between(system: System, viewport: int, first: int, last: int) -> None:
    content, gap = content_width(system, viewport), px(system, "space/4", viewport)
    column = (content - 11 * gap) / 12
    assert span(CONTENT, last - first + 1, 12).px(system, viewport) == pytest.approx(
        (last - first + 1) * column + (last - first) * gap
    )
    assert MARGIN.plus(before(CONTENT, first, 12)).px(system, viewport) == pytest.approx(
        (viewport - content) / 2 + (first - 1) * (column + gap)
    )


@given(st.integers(1, 11), st.floats(-3, 3))
def test_lengths_add_up(columns: int, factor: float) -> None:
    system = resolve(Identity(name="Willow"), Choices())
    one, two = span(CONTENT, columns, 12), span(CONTENT, 12 - columns, 12)
    assert one.plus(two).plus(token("4")).px(system, 1280) == pytest.approx(CONTENT.px(system, 1280))
    assert one.times(factor).px(system, 1280) == pytest.approx(factor * one.px(system, 1280))
    assert one.plus(one, -1.0) == Length(tokens={})


def test_what_runs_to_an_edge_ends_there(system: System) -> None:
    def of(cols: tuple[int, int], inset: str = "") -> tuple[float, float]:
        one = Layout("One", "One.", {"words": Region(("heading",), Place(cols, inset=inset))})
        box = box_in(one, "heading", "desktop")
        assert box is not None
        return box_start(system, box, 1280, 40), box_width(system, box, 1280, 40)

    start, wide = of((0, 13))
    assert (start, wide) == pytest.approx((0, 1280))
    start, wide = of((0, 6))
    assert start == 0 and start + wide == pytest.approx(640 - px(system, "space/4", 1280) / 2)
    # A card at an edge keeps its words in line with the grid.
    start, wide = of((0, 6), "5")
    assert start == pytest.approx((1280 - content_width(system, 1280)) / 2)
    assert start + wide == pytest.approx(640 - px(system, "space/4", 1280) / 2 - px(system, "space/5", 1280))


def test_a_text_that_stands_in_the_middle_or_at_the_end(system: System) -> None:
    for across, share in (("start", 0.0), ("center", 0.5), ("end", 1.0)):
        region = Region(("heading",), Place((1, 6), across=across), caps={"heading": 5})  # type: ignore[arg-type]
        box = box_in(Layout("One", "One.", {"words": region}), "heading", "desktop")
        assert box is not None and box_width(system, box, 1280, 40) == 200
        left = (1280 - content_width(system, 1280)) / 2
        room = span(CONTENT, 6, 12).px(system, 1280)
        assert box_start(system, box, 1280, 40) == pytest.approx(left + share * (room - 200))
        assert (f"text-align: {across}" in layout_css("k", "one", Layout("One", "One.", {"words": region}))) == (
            across != "start"
        )


def test_a_free_part_has_no_box_and_neither_has_what_is_not_shown() -> None:
    one = Layout("One", "One.", {"turned": Region(("heading",), free=True)})
    assert box_in(one, "heading", "desktop") is None and box_in(one, "text", "desktop") is None


# Style sheets


@pytest.mark.parametrize(("kind", "name"), LAYOUTS)
def test_a_style_sheet_parses_and_is_of_its_layout_alone(kind: str, name: str) -> None:
    layout = CATALOGUE[kind].layouts[name]
    css = layout_css(kind, name, layout, range(1, 13))
    rules = tinycss2.parse_stylesheet(css, skip_whitespace=True, skip_comments=True)
    assert not [rule for rule in rules if rule.type == "error"] and bool(rules) != layout.measured
    for rule in rules:
        inner = tinycss2.parse_rule_list(rule.content, skip_whitespace=True) if rule.type == "at-rule" else [rule]
        for one in inner:
            assert all(
                part.strip().startswith(f".{kind.replace('_', '-')}--{name}")
                for part in tinycss2.serialize(one.prelude).split(",")
            )
    assert css == layout_css(kind, name, layout, [*range(12, 0, -1), 3]), "the order of the numbers does not matter"
    assert all(line == line.rstrip() and len(line) < 200 for line in css.splitlines())


def test_what_a_wider_class_does_not_say_again_is_taken_back() -> None:
    region = Region(("heading",), Place((1, 6)), tablet=Place((1, 12), rise="5"), phone=Place((0, 13), inset="4", drop="6"))
    css = layout_css("k", "one", Layout("One", "One.", {"lead": region}))
    phone, tablet, desktop = re.split(r"@media [^{]+{", css)
    assert "margin-block-end: calc(-1 * var(--space-6))" in phone and "margin-block-end: 0" in tablet
    assert "margin-block-start: calc(-1 * var(--space-5))" in tablet and "margin-block-start: 0" in desktop
    assert "padding-block: var(--space-4)" in phone and "padding-block: 0" in tablet and "padding" not in desktop


def test_corners_are_square_along_edges() -> None:
    picture = Region(("picture",), picture="opening")
    assert touched(picture, Place((0, 7), row=1, ratio=(1, 1)), Room("")) == ("start", "top")
    assert touched(picture, Place((1, 13)), Room(bottom="")) == ("end", "bottom")
    assert touched(replace(picture, card=True, picture=""), Place((2, 7), row=1), Room("")) == ()


def test_a_site_carries_what_it_uses_and_nothing_else() -> None:
    site = plan(Identity(name="Willow"))
    system = resolve(site.identity, site.choices)
    css, whole = style_css(site, system), style_css(site, system, whole=True)
    assert len(css) < 0.9 * len(whole) and len(minified(css)) < 0.85 * len(css)
    for kind, layout, _ in every_layout():
        told = f".{kind.replace('_', '-')}--{layout} "
        assert (told in css) == ((kind, layout) in {one[:2] for one in used(site)}) or CATALOGUE[kind].layouts[layout].measured
    assert "photographs" not in parts_of(site) and ".picture--photo" not in css and ".picture--photo" in whole
    styled = any(section.declared.styled for page in site.pages for section in page.sections)
    assert ("cards" in parts_of(site)) == styled and "motif" not in parts_of(site)
    assert set(re.findall(r"\.t-([\w-]+) {", css)) < set(re.findall(r"\.t-([\w-]+) {", site_css()))


def test_the_sheet_of_a_collection_holds_the_numbers_that_there_are() -> None:
    css = layouts_css(frozenset({("cards", "lead", 3)}))
    assert "items--3" in css and "items--4" not in css


# Sketches and signatures


@pytest.mark.parametrize(("kind", "name"), LAYOUTS)
def test_a_sketch_stands_on_its_board_and_shows_what_the_layout_has(kind: str, name: str) -> None:
    one, layout = CATALOGUE[kind], CATALOGUE[kind].layouts[name]
    pieces = sketch(one, layout)
    assert pieces and all(piece.x >= 0 and piece.x + piece.width <= WIDTH + 0.1 and piece.width > 0 for piece in pieces)
    assert all(piece.y >= -0.1 and piece.y + piece.height <= HEIGHT + 0.5 for piece in pieces), pieces
    what = {piece.what for piece in pieces}
    assert ("picture" in what) == any(slot.endswith("picture") for slot in layout.drawn)
    solid = layout.collection is not None and layout.collection[2].card == "solid"
    blocks = any(
        slot in one.slots and one.slots[slot].of.drawn_as == "block" and not one.slots[slot].items for slot in layout.drawn
    )
    assert ("card" in what) == (solid or blocks or any(region.card for region in layout.regions.values()))
    assert ("heading" in what) == ("heading" in layout.drawn or layout.measured or kind == "footer")
    assert 0 <= picture_share(one, layout) <= 1


def test_no_two_sketches_are_alike() -> None:
    assert len({sketch(CATALOGUE[kind], CATALOGUE[kind].layouts[name]) for kind, name in LAYOUTS}) == len(LAYOUTS)


def test_pictures_fill_a_share_of_the_sketch() -> None:
    hero = CATALOGUE["hero"]
    assert picture_share(hero, hero.layouts["words"]) == 0 < picture_share(hero, hero.layouts["horizon"])
    assert picture_share(hero, hero.layouts["backcloth"]) > 0.6


def side_by_side(cols: tuple[int, int], other: tuple[int, int]) -> Kind:
    slots = {"heading": Slot("Headline", step="h2"), "picture": Slot("Picture", "picture")}
    regions = {
        "words": Region(("heading",), Place(cols, row=1)),
        "picture": Region(("picture",), Place(other, row=1, ratio=(1, 1)), phone=Place(ratio=(1, 1)), picture="text"),
    }
    return Kind("Kind", slots, {"one": Layout("One", "One.", regions)})


def test_a_mirror_image_is_the_same_layout() -> None:
    one, two = side_by_side((1, 5), (7, 13)), side_by_side((8, 12), (0, 6))
    assert signature(one, "one") == signature(two, "one") and likeness(signature(one, "one"), signature(two, "one")) == 1


def test_layouts_of_a_kind_differ_in_structure() -> None:
    for kind, one in CATALOGUE.items():
        made = [signature(one, name) for name in one.layouts]
        assert all(likeness(found, found) == pytest.approx(1) for found in made), kind
        assert all(likeness(a, b) < 0.9 for index, a in enumerate(made) for b in made[index + 1 :]), kind
        assert all(likeness(a, b) == pytest.approx(likeness(b, a), abs=0.12) for a in made for b in made)


def test_classes_are_three() -> None:
    assert CLASSES == ("phone", "tablet", "desktop")
