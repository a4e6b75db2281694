"""Languages of passages, held to the sentences that Formulon has of each of its languages."""

import re

import pytest

from formulon.core.site.phrases import phrases, whole
from formulon.core.type.tongues import LEAST, alike, written_in


def words(value: object) -> list[str]:
    if isinstance(value, str):
        return [value]
    parts = value.values() if isinstance(value, dict) else value if isinstance(value, list | tuple) else ()
    return [one for part in parts for one in words(part)]


@pytest.mark.parametrize("language", sorted(whole()))
def test_passages_of_a_language_are_told_to_be_in_it(language: str) -> None:
    texts = [re.sub(r"\{[^}]*\}", "", one) for one in words(phrases(language)._words) if " " in one or language in ("ja", "zh")]
    passages = [" ".join(texts[at : at + 6]) for at in range(0, len(texts) - 6, 6)]
    told = [written_in(one) for one in passages if len(one) >= LEAST]
    assert told and all(alike(found, language) for found, sure in told if sure >= 0.99), told


def test_short_texts_and_near_languages_are_not_told() -> None:
    assert written_in("Guten Morgen") == ("", 0.0)
    assert alike("nb", "da") and alike("pt-BR", "pt") and alike("en_GB", "en") and not alike("de", "en")
