"""Families that stand in for one that lacks letters: they have them, look alike, and are found the same way each time."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from formulon.core.type.alike import distance, for_language, lacking, nearest, writes
from formulon.core.type.languages import joined, letters
from formulon.core.type.library import SHIPPED

FAMILIES, LANGUAGES = sorted(SHIPPED), ["en", "de", "el", "ru", "vi", "tr", "he", "ja"]
NAMES = st.text(st.sampled_from("Osier Ξύλο Чай Đất Łódź 木 א 24 &"), max_size=12)


@given(st.sampled_from(FAMILIES), st.sampled_from(LANGUAGES), NAMES)
def test_what_stands_in_has_the_letters_wherever_any_family_has_them(own: str, language: str, name: str) -> None:
    found = for_language(own, language, name)
    any_has = any(writes(SHIPPED[one], language, name) for one in FAMILIES)
    assert writes(SHIPPED[found], language, name) if any_has else found == for_language(own, language)
    assert for_language(found, language, name) == found  # it needs no other in its turn
    assert found == own if writes(SHIPPED[own], language, name) else True
    assert not lacking(SHIPPED[found], name) or not any_has


@pytest.mark.parametrize("language", ["el", "ru", "vi"])
def test_of_those_that_have_them_the_one_that_looks_most_alike_stands_in(language: str) -> None:
    for font in (one for one in SHIPPED.values() if not writes(one, language)):
        found = SHIPPED[for_language(font.id, language)]
        have = [one for one in SHIPPED.values() if writes(one, language) and not one.script]
        kin = [one for one in have if one.category == font.category] or have
        assert found in kin and distance(found.measured, font.measured) == min(
            distance(one.measured, font.measured) for one in kin
        )


def test_nothing_stands_in_for_letters_that_no_family_has() -> None:
    look = SHIPPED["figtree"].measured
    assert nearest(look, letters("ja")) is None and nearest(look, [ord("青")]) is None and nearest(look, []) is not None


@pytest.mark.parametrize("language", ["en", "cs", "el", "uk", "vi"])
def test_a_family_drawn_for_another_script_stands_in_for_no_one(language: str) -> None:
    assert not any(SHIPPED[for_language(one.id, language)].script for one in SHIPPED.values() if not one.script)


@pytest.mark.parametrize(("code", "join"), [("ar", True), ("fa-IR", True), ("ur", True), ("uz-Arab", True), ("uz", False), ("he", False), ("en", False)])  # fmt: skip
def test_letters_that_join_are_known_by_their_script(code: str, join: bool) -> None:
    assert joined(code) == join
