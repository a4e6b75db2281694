"""Whole palettes: for every trade, for words, for a reference; solved, unlike one another, and the same for the same asking."""

import json
from itertools import islice, pairwise
from pathlib import Path

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.difference import difference
from formulon.core.color.moods import MOODS
from formulon.core.color.oklab_scalar import oklch
from formulon.core.color.srgb import from_hex
from formulon.core.proposals.palettes import TRADES, PaletteProposal, Reference, named, palettes
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Site
from formulon.core.system.documents.identity import Identity
from formulon.core.system.documents.organisations import ORGANISATIONS
from formulon.core.system.resolve import resolve

NAMES = {"workshop": "Reed & Rush", "counsel": "Wrona i Dąb", "event": "Φεστιβάλ Λυχνάρι"}
TIDE = [
    Reference(from_hex(value), share)
    for value, share in (("#0d3b66", 0.4), ("#faf0ca", 0.3), ("#f4d35e", 0.2), ("#ee964b", 0.1))
]


def site(organisation: str = "workshop", name: str = "Reed & Rush") -> Site:
    return plan(Identity(name=name, organisation=organisation), composed=False)


def eight(made: Site, *asked: object) -> list[PaletteProposal]:
    return list(islice(palettes(made, *asked), 8))  # type: ignore[arg-type]


def solved(made: Site, one: PaletteProposal) -> None:
    """Nothing in conflict, and the dark colour is read on the paper as text is (WCAG 2.2, 1.4.3)."""
    identity = made.identity.model_copy(update={"colors": list(one.colors)})
    system = resolve(identity, made.choices.model_copy(update={"rhythm": one.beat.rhythm}))
    assert not system.conflicts
    paper, dark = (from_hex(one.colors[index].value) for index in (0, 1))
    assert contrast_ratio(paper, dark) >= 7
    assert len({color.id for color in one.colors}) == len({color.name for color in one.colors}) == 5


@pytest.mark.parametrize("organisation", sorted(ORGANISATIONS))
def test_every_trade_gets_eight_that_are_solved_and_unlike(organisation: str) -> None:
    made = site(organisation, NAMES.get(organisation, "Osier Lane"))
    found = eight(made, "trade")
    assert [one.number for one in found] == list(range(1, 9))
    for one in found:
        solved(made, one)
    for index, one in enumerate(found):
        for other in found[index + 1 :]:
            apart = [difference(from_hex(one.colors[at].value), from_hex(other.colors[at].value)) for at in (2, 3)]
            assert max(apart) >= 16, (one.name, other.name)
    assert len({one.beat.id for one in found}) >= 4 and found == eight(made, "trade")


def test_every_kind_of_organisation_has_moods_that_there_are() -> None:
    assert TRADES.keys() == ORGANISATIONS.keys() - {"other"} and all(
        word in MOODS for several in TRADES.values() for word in several
    )


def test_another_name_gets_another_palette() -> None:
    one, other = (eight(site("table", name), "trade") for name in ("Bistro Pod Lipą", "Taverna Meltemi"))
    assert {color.value for color in one[0].colors} != {color.value for color in other[0].colors}


def test_words_are_followed_and_unknown_ones_give_nothing() -> None:
    made = site()
    for word in ("sunny", "mossy", "icy"):
        mood = MOODS[word]
        for one in eight(made, "words", word):
            hue = oklch(from_hex(one.colors[2].value))[2]
            assert mood.hue is not None and mood.hue[0] - 12 <= hue <= mood.hue[1] + 12, (word, one.name, hue)
            solved(made, one)
    assert eight(made, "words", "zebra xyz") == [] and eight(made, "words", "") == []
    assert list(palettes(made, "colors")) == []


def test_a_reference_gives_its_own_colors_in_the_parts_of_their_shares() -> None:
    made = site()
    found = eight(made, "colors", "", TIDE)
    assert len(found) >= 5
    own = {one.rgb for one in TIDE}
    for one in found:
        solved(made, one)
        assert from_hex(one.colors[2].value) in own and from_hex(one.colors[3].value) in own
    assert any("40 %" in one.says for one in found)


@settings(max_examples=15, deadline=None)
@given(st.lists(st.tuples(st.tuples(*[st.integers(0, 255)] * 3), st.floats(0, 1)), min_size=1, max_size=12))
def test_any_reference_gives_solved_palettes_or_none(colors: list[tuple[tuple[int, int, int], float]]) -> None:
    made = site()
    for one in islice(palettes(made, "colors", "", [Reference(rgb, share) for rgb, share in colors]), 2):
        solved(made, one)


def test_further_ones_go_on_where_the_last_stopped() -> None:
    made = site("event", "Low Tide")
    first = list(islice(palettes(made, "trade"), 12))
    assert [one.number for one in islice(palettes(made, "trade", first=9), 4)] == [9, 10, 11, 12]
    assert list(islice(palettes(made, "trade", first=9), 4)) == first[8:]
    assert all(one != other for one, other in pairwise(first))


@pytest.mark.parametrize(
    ("value", "name"),
    [("#ffffff", "Paper"), ("#000000", "Black"), ("#1b2147", "Dark blue"), ("#6b4423", "Deep brown"), ("#ffd100", "Pale yellow"), ("#2e8b57", "Green")],
)  # fmt: skip
def test_colors_have_plain_names(value: str, name: str) -> None:
    assert named(from_hex(value)) == name


def test_names_of_the_bench_brands_give_no_palette_with_a_conflict() -> None:
    brands = json.loads((Path(__file__).parents[3] / "tools/data/brands.json").read_text(encoding="utf-8"))
    for body in brands[::4]:
        made = plan(Identity.model_validate(body | {"colors": []}), composed=False)
        for one in islice(palettes(made, "trade"), 2):
            solved(made, one)
