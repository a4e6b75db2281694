"""Numbers and names that keep their order in languages from right to left, held against the bidirectional algorithm (UAX #9) as ICU has
it."""

import icu
import pytest

from formulon.core.type.hyphens import APART, TOGETHER, hyphenated, in_order

LEFT, RIGHT, LOGICAL, VISUAL = 0, 1, 0, 1  # ICU: levels of paragraphs, and orders


def drawn(text: str) -> str:
    """A text of one line in the order in which it is drawn, from left to right, in a paragraph from right to left."""
    seen = str(icu.BidiTransform().transform(text, RIGHT, LOGICAL, LEFT, VISUAL, 0, 0))
    return seen.replace(APART, "").replace(TOGETHER, "")


@pytest.mark.parametrize("language", ["ar", "he", "fa"])
@pytest.mark.parametrize("number", ["0539 55 01 23", "+212 539 55 01 23", "03 555 01 01", "@daralwaraq"])
def test_numbers_in_groups_and_names_keep_their_order(language: str, number: str) -> None:
    for text in (number, f"هاتف {number}", f"הטלפון {number}."):
        kept = in_order(text, language)
        assert f"{APART}{number}{TOGETHER}" in kept
        assert number in drawn(kept), (text, drawn(kept))
        assert in_order(kept, language) == kept, "once is enough"
    assert number not in drawn(f"هاتف {number}") or number.startswith("@"), "the algorithm would not have kept it"


@pytest.mark.parametrize("text", ["9:00–17:00", "2 3", "12 كتاب", "٣ زقاق", "a@b.example", "2026-11-29"])
def test_nothing_else_is_set_apart(text: str) -> None:
    assert in_order(text, "ar") == text


def test_in_languages_from_left_to_right_nothing_is_set_apart() -> None:
    assert hyphenated("020 7946 0018", "en-GB") == "020 7946 0018"
