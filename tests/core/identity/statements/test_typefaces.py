"""Typefaces with their use, in sentences. The phrasings were collected before the grammar; families and brands are made up."""

import pytest

from formulon.core.identity.statements.typefaces import typefaces_stated

HEAD, TEXT = "headings", "running text"
STATED = [
    ("Headlines are set in Harbour Serif, text in Quay Sans.", {"Harbour Serif": HEAD, "Quay Sans": TEXT}),
    ("Headlines: Harbour Serif. Body: Quay Sans.", {"Harbour Serif": HEAD, "Quay Sans": TEXT}),
    ("We use Harbour Serif for headings and Quay Sans for text.", {"Harbour Serif": HEAD, "Quay Sans": TEXT}),
    ("Harbour Serif is our typeface for headlines.", {"Harbour Serif": HEAD}),
    ("Our body typeface is Quay Sans.", {"Quay Sans": TEXT}),
    ("Body copy is always in Quay Sans.", {"Quay Sans": TEXT}),
    ("Titles stand in Harbour Serif.", {"Harbour Serif": HEAD}),
    ("Text is set in Quay Sans Regular.", {"Quay Sans": TEXT}),
    ("Use Harbour Serif Bold for headlines.", {"Harbour Serif": HEAD}),
    ("Heading font: Harbour Serif", {"Harbour Serif": HEAD}),
    ("Text font: Quay Sans", {"Quay Sans": TEXT}),
    ("Running text – Quay Sans", {"Quay Sans": TEXT}),
    ("Everything else is written in Quay Sans.", {"Quay Sans": TEXT}),
    ("For headings we set Harbour Serif.", {"Harbour Serif": HEAD}),
    ("Display: Harbour Serif", {"Harbour Serif": HEAD}),
    ("Paragraphs use Quay Sans.", {"Quay Sans": TEXT}),
    ("Überschriften stehen in Hafen Serif, Text in Kai Grotesk.", {"Hafen Serif": HEAD, "Kai Grotesk": TEXT}),
    ("Überschriften: Hafen Serif", {"Hafen Serif": HEAD}),
    ("Fließtext: Kai Grotesk", {"Kai Grotesk": TEXT}),
    ("Wir setzen Überschriften in Hafen Serif und Texte in Kai Grotesk.", {"Hafen Serif": HEAD, "Kai Grotesk": TEXT}),
    ("Hafen Serif ist unsere Schrift für Überschriften.", {"Hafen Serif": HEAD}),
    ("Die Schrift für Fließtext ist Kai Grotesk.", {"Kai Grotesk": TEXT}),
    ("Für Titel verwenden wir Hafen Serif.", {"Hafen Serif": HEAD}),
    ("Texte sind in Kai Grotesk gesetzt.", {"Kai Grotesk": TEXT}),
    ("Hausschrift für Texte: Kai Grotesk", {"Kai Grotesk": TEXT}),
    ("Kai Grotesk für Text, Hafen Serif für Überschriften.", {"Kai Grotesk": TEXT, "Hafen Serif": HEAD}),
]
NOTHING = [
    "Headlines are short.",
    "We use River Clay for bowls.",
    "Text: Anna Berg",
    "Our body is strong.",
    "Titles of talks stand in the Programme.",
    "The text is in German.",
    "Headings are never longer than two lines.",
    "Use the Side Door for deliveries.",
    "Display: Monday to Friday",
    "Texte von Anna Berg.",
    "Wir setzen auf Handarbeit.",
    "Für Kinder verwenden wir Ton.",
    "Text in Moss on Night is forbidden.",
    "Überschriften sind kurz.",
]


@pytest.mark.parametrize(("said", "faces"), STATED)
def test_typefaces_are_understood(said: str, faces: dict[str, str]) -> None:
    found = typefaces_stated(f"Type.\n{said}\nThat is all.")
    assert {one.family: one.use for one in found} == faces


@pytest.mark.parametrize("said", NOTHING)
def test_what_names_no_typeface(said: str) -> None:
    assert typefaces_stated(said) == []
