"""Pairs of typefaces: who is proposed for which character and for which letters. What describes type (contrast, serifs, weight) is
common practice; the measures themselves are held by the tests of the library."""

from itertools import product

import pytest

from formulon.core.system.documents.identity import Character
from formulon.core.system.facets.type_pairs import AXES, MOST, places, proposals
from formulon.core.type.alike import lacking, writes
from formulon.core.type.library import SHIPPED
from formulon.core.type.shaping import known

NAMES = ["Osier & Reed", "Παρατηρητήριο", "Обсерватория", "Nguyễn & Con", "Łódź", ""]


def test_a_family_stands_where_its_drawing_says() -> None:
    at = {font.id: places(font) for font in SHIPPED.values()}
    serifs = [at[font.id]["classical_modern"] for font in SHIPPED.values() if font.category == "serif"]
    sans = [at[font.id]["classical_modern"] for font in SHIPPED.values() if font.category == "sans-serif"]
    assert max(serifs) < 0.6 and sum(serifs) / len(serifs) + 1.5 < sum(sans) / len(sans)
    hand = [one for one in SHIPPED.values() if one.category == "handwriting"]
    calm = sorted(at[font.id]["calm_lively"] for font in SHIPPED.values() if font not in hand)
    assert hand and all(at[one.id]["calm_lively"] > calm[len(calm) // 2] for one in hand)
    assert all(-2 <= value <= 2 for one in at.values() for value in one.values())
    assert all(set(one) == set(AXES) for one in at.values())


@pytest.mark.parametrize("axis", AXES)
@pytest.mark.parametrize("name", NAMES)
def test_a_character_moves_the_proposals_its_way(axis: str, name: str) -> None:
    """The headings that lead for one end of an axis stand nearer to it than those for the other end."""
    ends = [proposals(Character(**{axis: value}), words=name)[:3] for value in (-2, 2)]
    low, high = (sum(places(SHIPPED[pair.heading])[axis] for pair in pairs) / 3 for pairs in ends)
    assert low < high - 0.3


@pytest.mark.parametrize("name", NAMES)
@pytest.mark.parametrize("language", ["en", "el", "ru", "vi", "pl", "tr"])
def test_each_proposal_has_the_letters_of_the_language_and_of_the_name(language: str, name: str) -> None:
    pairs = proposals(Character(), [language, "en-GB"], words=name)
    assert 1 <= len(pairs) <= MOST
    assert all(writes(SHIPPED[one], language, name) for pair in pairs for one in (pair.heading, pair.body))


@pytest.mark.parametrize("name", ["青木", "ჰ", "ქ"])
def test_a_name_that_no_family_has_bars_none(name: str) -> None:
    assert proposals(Character(), ["de"], words=name) == proposals(Character(), ["de"])


def test_a_language_that_no_family_has_gets_no_proposal() -> None:
    assert proposals(Character(), ["ja"]) == [] and proposals(Character(), ["en", "ja"]) == []


@pytest.mark.parametrize(("language", "least"), [("he", 5), ("ar", 6), ("fa-IR", 5)])
def test_languages_from_right_to_left_have_families_drawn_for_them(language: str, least: int) -> None:
    pairs = proposals(Character(), [language])
    assert len(pairs) >= least and all(writes(SHIPPED[one], language) for pair in pairs for one in (pair.heading, pair.body))
    assert {SHIPPED[pair.heading].category for pair in pairs} == {"serif", "sans-serif"}


@pytest.mark.parametrize("language", ["", "en-GB", "de", "el", "ru", "vi"])
def test_a_family_drawn_for_another_script_is_proposed_to_no_one_else(language: str) -> None:
    asked = [language] if language else []
    for calm, classical in product((-2, 0, 2), (-2, 0, 2)):
        pairs = proposals(Character(calm_lively=calm, classical_modern=classical), asked)
        assert not any(SHIPPED[one].script for pair in pairs for one in (pair.heading, pair.body))


@pytest.mark.parametrize(("calm", "loud"), list(product((None, -2, 2), (None, -2, 2))))
def test_proposals_are_readable_reasoned_and_each_heading_comes_once(calm: int | None, loud: int | None) -> None:
    pairs = proposals(Character(calm_lively=calm, quiet_loud=loud))
    assert len({pair.heading for pair in pairs}) == len(pairs) == MOST
    assert [pair.score for pair in pairs] == sorted((pair.score for pair in pairs), reverse=True)
    for pair in pairs:
        heading, body = SHIPPED[pair.heading], SHIPPED[pair.body]
        assert body.category in ("serif", "sans-serif") and heading.category != "monospace"
        assert heading.category != "handwriting" or (calm or 0) >= 1
        assert len(pair.reasons) >= 2 and all(reason.endswith(".") for reason in pair.reasons)
        told = f"{heading.measured.x_height:.2f} and {body.measured.x_height:.2f} em"
        assert any(told in reason for reason in pair.reasons)


@pytest.mark.parametrize("family_id", sorted(SHIPPED))
def test_letters_that_a_family_lacks_are_told_each_once(family_id: str) -> None:
    words = "Ξύλο Ξύλο & Holz 青 24/7 — „…“"
    told = lacking(SHIPPED[family_id], words)
    assert len(set(told)) == len(told) and "青" in told and not set(told) & set("Holz&24/7—„…“ ")
    assert all(ord(one) not in known(SHIPPED[family_id]) for one in told)
    assert ("Ξ" in told) == (ord("Ξ") not in known(SHIPPED[family_id]))
