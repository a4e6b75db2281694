"""Pairs of colours that a guideline forbids or asks for. The phrasings were collected before the grammar; what must not match comes after."""

import pytest

from formulon.core.identity.statements.pairs import pairs_stated

FORBIDDEN = [
    ("Never set Lamp on Chalk.", "Lamp", "Chalk"),
    ("Never set text in Lamp on Chalk.", "Lamp", "Chalk"),
    ("Do not place Moss on Night.", "Moss", "Night"),
    ("Don’t use Ochre over Sand.", "Ochre", "Sand"),
    ("Avoid Ochre text on Sand.", "Ochre", "Sand"),
    ("Lamp on Chalk is not allowed.", "Lamp", "Chalk"),
    ("Lamp on Chalk is too weak to read.", "Lamp", "Chalk"),
    ("Lamp must never stand on Chalk.", "Lamp", "Chalk"),
    ("Morning Grey does not go on Deep Sea.", "Morning Grey", "Deep Sea"),
    ("No Lamp on Chalk, please.", "Lamp", "Chalk"),
    ("We never print Morning Grey on Sand.", "Morning Grey", "Sand"),
    ("Words in Lamp may not stand on Chalk.", "Lamp", "Chalk"),
    ("Not permitted: Lamp on Chalk.", "Lamp", "Chalk"),
    ("Forbidden: Moss on Night", "Moss", "Night"),
    ("Lamp is never used on Chalk.", "Lamp", "Chalk"),
    ("Lamp should not be used against Chalk.", "Lamp", "Chalk"),
    ("Please keep Moss off Night.", "Moss", "Night"),
    ("Lamp on Chalk fails and is ruled out.", "Lamp", "Chalk"),
    ("Lampe nie auf Kreide setzen.", "Lampe", "Kreide"),
    ("Setzen Sie Lampe niemals auf Kreide.", "Lampe", "Kreide"),
    ("Schrift in Lampe steht nie auf Kreide.", "Lampe", "Kreide"),
    ("Lampe auf Kreide ist nicht erlaubt.", "Lampe", "Kreide"),
    ("Kein Moos auf Nacht!", "Moos", "Nacht"),
    ("Nicht erlaubt: Lampe auf Kreide", "Lampe", "Kreide"),
    ("Moos darf nicht auf Nacht stehen.", "Moos", "Nacht"),
    ("Text in Moos auf Nacht ist verboten.", "Moos", "Nacht"),
    ("Lampe auf Kreide vermeiden wir.", "Lampe", "Kreide"),
    ("Verzichten Sie auf Lampe auf Kreide.", "Lampe", "Kreide"),
    ("Moos wird nicht auf Nacht gesetzt.", "Moos", "Nacht"),
]
WANTED = [
    ("Night on Chalk is our first choice.", "Night", "Chalk"),
    ("Set text in Night on Chalk.", "Night", "Chalk"),
    ("Text is always Night on Chalk.", "Night", "Chalk"),
    ("We like Chalk on Night best.", "Chalk", "Night"),
    ("Prefer Chalk on Deep Sea.", "Chalk", "Deep Sea"),
    ("Headlines stand in Night on Chalk.", "Night", "Chalk"),
    ("Night on Chalk works best.", "Night", "Chalk"),
    ("Allowed: Chalk on Night", "Chalk", "Night"),
    ("Our standard pairing is Night on Chalk.", "Night", "Chalk"),
    ("Chalk on Night is always allowed.", "Chalk", "Night"),
    ("Nacht auf Kreide ist unsere erste Wahl.", "Nacht", "Kreide"),
    ("Text steht in Nacht auf Kreide.", "Nacht", "Kreide"),
    ("Am liebsten Kreide auf Nacht.", "Kreide", "Nacht"),
    ("Erlaubt: Kreide auf Nacht", "Kreide", "Nacht"),
    ("Wir setzen Nacht auf Kreide.", "Nacht", "Kreide"),
    ("Bevorzugt wird Kreide auf Nacht.", "Kreide", "Nacht"),
    ("Always set Night on Chalk.", "Night", "Chalk"),
    ("Use Night on Chalk for everything that is read.", "Night", "Chalk"),
    ("Night reads best on Chalk.", "Night", "Chalk"),
    ("For long texts we recommend Night on Chalk.", "Night", "Chalk"),
    ("Place Chalk on Deep Sea for headlines.", "Chalk", "Deep Sea"),
    ("Headlines may be set in Chalk on Night.", "Chalk", "Night"),
    ("Recommended: Night on Chalk", "Night", "Chalk"),
    ("Kreide steht immer auf Nacht.", "Kreide", "Nacht"),
    ("Verwenden Sie Nacht auf Kreide.", "Nacht", "Kreide"),
    ("Am besten liest sich Nacht auf Kreide.", "Nacht", "Kreide"),
    ("Für lange Texte empfehlen wir Nacht auf Kreide.", "Nacht", "Kreide"),
    ("Empfohlen: Kreide auf Tiefsee", "Kreide", "Tiefsee"),
]
NOTHING = [
    "We met on Monday in Chalk Street.",
    "The lamp stands on the table.",
    "Never park on Chalk Street.",
    "Our studio is on River Lane.",
    "Never place the logo on photographs.",
    "Do not run on wet floors.",
    "We work on Saturdays.",
    "Talks on Astronomy are free.",
    "No dogs on Sundays.",
    "Avoid the road on Fridays.",
    "Wir sind nie am Montag da.",
    "Das Museum liegt auf der Insel.",
    "Kein Eintritt auf Rechnung.",
    "Setzen Sie sich auf die Bank.",
    "Please do not smoke.",
]


@pytest.mark.parametrize(("said", "ink", "ground"), FORBIDDEN)
def test_forbidden_pairs_are_understood(said: str, ink: str, ground: str) -> None:
    assert [(one.wanted, one.ink, one.ground) for one in pairs_stated(f"Colour.\n{said}\nThat is all.")] == [
        (False, ink, ground)
    ]


@pytest.mark.parametrize(("said", "ink", "ground"), WANTED)
def test_wanted_pairs_are_understood(said: str, ink: str, ground: str) -> None:
    assert [(one.wanted, one.ink, one.ground) for one in pairs_stated(f"Colour.\n{said}\nThat is all.")] == [
        (True, ink, ground)
    ]


@pytest.mark.parametrize("said", NOTHING)
def test_what_names_no_colours_states_no_pair(said: str) -> None:
    assert pairs_stated(said, known=frozenset(["Lamp", "Chalk", "Night", "Moss", "Kreide", "Nacht"])) == []


def test_evidence_is_the_sentence() -> None:
    text = "We have five colours. Never set Lamp on Chalk, since it cannot be read. The rest is free."
    assert [one.text for one in pairs_stated(text)] == ["Never set Lamp on Chalk, since it cannot be read."]
