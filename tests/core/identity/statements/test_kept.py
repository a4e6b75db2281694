"""Rules that no grammar understands are kept as they are said: sentences that ask or forbid, about what a brand looks like."""

import pytest

from formulon.core.identity.statements.kept import rules_kept

KEPT = [
    ("Photographs are always taken in daylight.", "pictures"),
    ("Never crop faces in photographs.", "pictures"),
    ("Illustrations must be drawn with one line weight.", "pictures"),
    ("Icons are never filled.", "pictures"),
    ("Do not tilt the logo.", "mark"),
    ("The symbol always stands left of the name.", "mark"),
    ("Never put the logo on a busy photograph.", "mark"),
    ("The wordmark must not be redrawn.", "mark"),
    ("Headlines should never run over three lines.", "type"),
    ("Text is always flush left.", "type"),
    ("Avoid italics in headlines.", "type"),
    ("Gradients are forbidden.", "color"),
    ("Colours must never be mixed.", "color"),
    ("Shadows are not allowed.", "shape"),
    ("Fotos zeigen immer Hände bei der Arbeit.", "pictures"),
    ("Bilder niemals beschneiden.", "pictures"),
    ("Illustrationen dürfen nicht farbig sein.", "pictures"),
    ("Das Logo darf nicht gedreht werden.", "mark"),
    ("Das Zeichen steht immer links vom Namen.", "mark"),
    ("Setzen Sie das Logo nie auf unruhige Bilder.", "mark"),
    ("Überschriften laufen nie über drei Zeilen.", "type"),
    ("Texte stehen immer linksbündig.", "type"),
    ("Verläufe sind verboten.", "color"),
    ("Farben dürfen nie gemischt werden.", "color"),
    ("Schatten sind nicht erlaubt.", "shape"),
]
NOTHING = [
    "We always bake before dawn.", "Never mind the weather.", "The logo was drawn in 1998.", "Photographs by Ada Fenn.",
    "Our text books are old.", "Dogs must be on a lead.", "Please do not smoke.", "You must book a place.", "Das Logo stammt von 1998.",
    "Fotos: Ada Fenn", "Hunde sind nicht erlaubt.", "Wir backen immer vor Sonnenaufgang.", "Bitte nicht rauchen.", "Lesen Sie den Text.",
]  # fmt: skip


@pytest.mark.parametrize(("said", "about"), KEPT)
def test_what_asks_or_forbids_is_kept(said: str, about: str) -> None:
    assert [(one.text, one.about) for one in rules_kept(f"How we look.\n{said}\nThat is all.", [])] == [(said, about)]


@pytest.mark.parametrize("said", NOTHING)
def test_what_is_no_rule_of_a_look(said: str) -> None:
    assert rules_kept(said, []) == []


def test_what_is_understood_is_not_kept_again() -> None:
    text = "The logo is never smaller than 24 mm. Do not tilt the logo."
    assert [one.text for one in rules_kept(text, ["The logo is never smaller than 24 mm."])] == ["Do not tilt the logo."]
