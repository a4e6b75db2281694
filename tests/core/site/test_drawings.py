"""The library of drawings: how many there are, how they are found, and that each is seen in any brand's colours."""

import re
from collections import Counter

import pytest

from formulon.core.color.difference import difference
from formulon.core.color.srgb import from_hex
from formulon.core.site.drawings import SCHEMES, SUBJECTS, suited
from formulon.core.site.pictures import ABSTRACT, KINDS, TOKENS, draw, sample, shares, with_mark
from formulon.core.site.planning.planner import plan
from formulon.core.site.sheets import preview_tokens, shared_css
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.documents.organisations import ORGANISATIONS


def test_there_are_sixty_of_every_trade_and_season() -> None:
    assert len(KINDS) >= 60 and len(SUBJECTS) >= 24
    trades = Counter(one for subject in SUBJECTS.values() for one in subject.organisations)
    assert trades.keys() == ORGANISATIONS.keys() - {"other"} and min(trades.values()) >= 6
    seasons = Counter(subject.season for subject in SUBJECTS.values())
    assert all(seasons[one] >= 4 for one in ("spring", "summer", "autumn", "winter"))
    assert all(len(one.words) == 3 and one.words["en"] for one in SUBJECTS.values())


@pytest.mark.parametrize("kind", sorted(KINDS))
def test_every_drawing_has_several_tones_that_are_seen(kind: str) -> None:
    """What is drawn takes up some of the board, in at least three tones, none of which is a hairline."""
    for seed in (1, 2, 3, 4, 5, 6):
        found = shares(f"drawn:{kind}/{seed}")
        assert set(found) <= set(range(1, TOKENS + 1)) and sum(found.values()) == pytest.approx(1, abs=0.01), (kind, seed)
        assert sum(share > 0.004 for share in found.values()) >= 3, (kind, seed, found)
        assert max(found.values()) < 0.95, (kind, seed)
    assert len({draw(f"drawn:{kind}/{seed}") for seed in range(12)}) > 3
    assert re.fullmatch(r"(<(?:rect|circle|path|g)[^>]*>|</g>)+", sample(kind))


def test_what_a_scheme_sets_on_its_ground_is_another_colour_in_any_brand() -> None:
    """The first tone, of which a subject is mostly made, against its ground, over brands of one colour to five."""
    for colors in (["#1b2147", "#f2a93b"], ["#c8102e"], ["#ffd100", "#000000"], ["#3a5a40", "#a3b18a", "#dad7cd"], []):
        brand = Identity.model_validate(
            {"name": "Reed", "colors": [{"name": f"C{n}", "value": value} for n, value in enumerate(colors)]}
        )
        system = plan(brand).system()
        for ground, _, first, *_ in SCHEMES:
            one, other = (from_hex(system.css(f"picture/{number}")) for number in (ground, first))
            assert difference(one, other) > 10, (colors, ground, first)


@pytest.mark.parametrize(
    ("organisation", "words", "first"),
    [
        ("workshop", "Baskets from willow that we cut ourselves", "basket"),
        ("table", "Frisches Brot aus eigener Bäckerei", "loaf"),
        ("counsel", "Un cabinet d’architectes, plans et mesures", "compasses"),
        ("event", "Concerts on the sand", "note"),
    ],
)
def test_what_a_brand_says_decides_what_is_drawn_for_it(organisation: str, words: str, first: str) -> None:
    assert suited(organisation, words)[0] == first


def test_no_moon_stands_for_a_law_firm_and_a_trade_is_enough() -> None:
    made = suited("counsel", "Adwokaci w Łodzi")
    assert made and all("counsel" in SUBJECTS[one].organisations for one in made)
    assert suited("", "Nothing that is known") == []
    wrona = Identity(name="Wrona", organisation="counsel", language="pl", does="Prawo rodzinne.")
    sites = [plan(wrona, Choices(arrangement=number)).model_dump_json() for number in range(12)]
    drawn = [re.findall(r"drawn:(\w+)/", site) for site in sites]
    firsts = {one[0] for one in drawn if one}
    assert firsts and all("counsel" in SUBJECTS[one].organisations for one in firsts)


@pytest.mark.parametrize(
    ("svg", "has", "not_"),
    [
        ('<svg><circle cx="5" cy="5" r="4"/><path d="M0 0C1 1 2 2 3 3s1 1 2 2"/></svg>', "arcs", "facets"),
        ('<svg><path d="M0 0H10V10H0zM2 2L8 8"/></svg>', "facets", "arcs"),
        ("", "arcs", ""),
    ],
)
def test_abstract_drawings_go_with_the_mark(svg: str, has: str, not_: str) -> None:
    assert has in with_mark(svg) and not_ not in with_mark(svg) and set(with_mark(svg)) <= ABSTRACT.keys()


def test_every_tone_has_its_color_on_pages_and_in_previews() -> None:
    """A class without a rule would be drawn in black."""
    css = shared_css("drawings")
    assert set(re.findall(r"\.f(\d) {\s+fill: var\(--picture-(\d)\)", css)) == {(str(n), str(n)) for n in range(1, TOKENS + 1)}
    system = plan(Identity(name="Reed")).system()
    assert all(f".f{number} {{" in preview_tokens(system, "light") for number in range(1, TOKENS + 1))
