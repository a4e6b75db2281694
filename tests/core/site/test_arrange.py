"""Which composition a section gets: by what it holds, by the brand's character, by what stands before it."""

from itertools import combinations
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.planning.arrange import Arrangement, chance, every, holds, suited
from formulon.core.site.planning.planner import plan
from formulon.core.site.signature import likeness, signature
from formulon.core.system.documents.identity import Character, Identity

AXES = tuple(Character.model_fields)
WORDS = {"heading": "Baskets", "text": "Of willow.", "primary": {"label": "Go", "to": "page:home"}}
NAMES = ("Osier Lane", "Voltcellar", "Kancelaria Wąs", "Tumblehouse", "Mallow & Fern", "Φούρνος", "Larkrise", "Kestrel & Daw",
         "Steinmetz Weßling", "Offcut", "Tidewater", "Xưởng gốm Mây")  # fmt: skip


def brand(name: str, **more: Any) -> Identity:
    offers = [{"name": f"Offer {n}", "text": f"What number {n} is."} for n in range(3)]
    colors = [{"name": "Ink", "value": "#225577"}, {"name": "Sand", "value": "#E3C28A"}]
    return Identity.model_validate({"name": name, "does": "We do it by hand.", "colors": colors, "offers": offers} | more)


def opening(name: str) -> list[tuple[str, str]]:
    return [(one.kind, one.layout) for one in plan(brand(name)).pages[0].sections]


def test_brands_that_say_nothing_of_themselves_do_not_get_one_site() -> None:
    pages = [opening(name) for name in NAMES]
    alike = [sum(one in there for one in here) / len(here) for here, there in combinations(pages, 2)]
    assert sum(alike) / len(alike) <= 0.4 and len({tuple(page) for page in pages}) == len(NAMES)
    assert len({layout for page in pages for layout in page}) >= 14


def test_the_same_brand_gets_the_same() -> None:
    assert opening("Osier Lane") == opening("Osier Lane")
    assert 0 <= chance("a", "b") <= 1 and chance("a", "b") == chance("a", "b") != chance("b", "a")


@pytest.mark.parametrize(("axis", "low", "high"), [
    ("quiet_loud", "monument", "type"),
    ("classical_modern", "monument", "window"),
    ("plain_ornate", "type", "object"),
    ("calm_lively", "object", "mosaic"),
])  # fmt: skip
def test_character_decides_over_chance_where_it_is_strong(axis: str, low: str, high: str) -> None:
    """Over many names, what leans to an end is placed before what leans to the other more often the stronger the character is."""
    won = []
    for lean in (-2, 0, 2):
        arrangements = [Arrangement(Character.model_validate({axis: lean}), f"Name {n}") for n in range(60)]
        won.append(sum(one.score(("hero", high)) > one.score(("hero", low)) for one in arrangements))
    assert won[0] < won[1] < won[2], won


def test_a_layout_holds_what_it_shows_all_of() -> None:
    hero = CATALOGUE["hero"]
    with_figure = WORDS | {"figure": "34", "label": "years"}
    assert holds(hero, hero.layouts["type"], WORDS) and not holds(hero, hero.layouts["number"], WORDS)
    assert holds(hero, hero.layouts["number"], with_figure) and not holds(hero, hero.layouts["type"], with_figure)
    picture = {"picture": {"source": "drawn:arcs/1", "alt": "", "decorative": True}}
    assert holds(hero, hero.layouts["type"], WORDS | picture), "a picture is kept for a layout that shows it"
    assert not holds(CATALOGUE["text"], CATALOGUE["text"].layouts["aside"], {"heading": "a", "form": {"fields": []}})
    with pytest.raises(ValueError, match="empty"):
        Arrangement(Character(), "a").pick(every("strip"), {"heading": "a"})


def test_a_kind_takes_what_it_has_a_place_for() -> None:
    items = [{"title": "One", "picture": {"source": "drawn:arcs/1", "alt": "", "decorative": True}}]
    assert suited("features", {"heading": "Ours", "items": items, "form": 1}) == {
        "heading": "Ours",
        "items": [{"title": "One"}],
    }
    assert suited("cards", {"items": items})["items"] == items


@given(st.fixed_dictionaries({axis: st.none() | st.integers(-2, 2) for axis in AXES}), st.text(min_size=1, max_size=20))
def test_a_pick_is_one_of_those_offered_and_no_composition_follows_its_like(
    character: dict[str, int | None], name: str
) -> None:
    made = Arrangement(Character.model_validate(character), name)
    among = every("cards", "features", "offers", but=("inset",))
    content = {"heading": "Ours", "items": [{"title": "One", "text": "Two"}]}
    first = made.pick(among, content)
    second = made.pick(among, content, [first])
    assert first in among and second in among and first != second
    one, two = (signature(CATALOGUE[kind], layout) for kind, layout in (first, second))
    assert likeness(one, two) < 1
