"""Figures with what they count, in sentences. The phrasings were collected before the grammar."""

import pytest

from formulon.core.identity.statements.figures import figures_told
from formulon.core.system.documents.passages import figure_in

FIGURES = [
    ("We look after 240 founts of type.", ["240 founts of type"]),
    ("There are 42 rooms and 3 halls in the house.", ["42 rooms", "3 halls"]),
    ("The library holds 12,000 books.", ["12,000 books"]),
    ("More than 1,200 baskets leave the workshop every year.", ["1,200 baskets"]),
    ("We have planted over 900 trees since 1998.", ["900 trees"]),
    ("Our garden has 65 varieties of apple.", ["65 varieties of apple"]),
    ("In all, 31 apprentices have learned here.", ["31 apprentices"]),
    ("We employ 18 people.", ["18 people"]),
    ("About 4,500 visitors come every summer.", ["4,500 visitors"]),
    ("The choir counts 64 voices.", ["64 voices"]),
    ("With 20 years of experience we know the coast.", ["20 years of experience"]),
    ("We serve 150 meals a day.", ["150 meals a day"]),
    ("Nearly 300 households are members.", ["300 households"]),
    ("The orchard covers 7 hectares.", ["7 hectares"]),
    ("We keep 11 boats.", ["11 boats"]),
    ("Das Haus hat 42 Zimmer.", ["42 Zimmer"]),
    ("Wir pflegen 240 Bäume und 12 Gärten.", ["240 Bäume", "12 Gärten"]),
    ("Es gibt 65 Apfelsorten im Garten.", ["65 Apfelsorten"]),
    ("Mehr als 1.200 Körbe verlassen jedes Jahr die Werkstatt.", ["1.200 Körbe"]),
    ("Rund 4.500 Gäste kommen jeden Sommer.", ["4.500 Gäste"]),
    ("Der Chor zählt 64 Stimmen.", ["64 Stimmen"]),
    ("Bei uns arbeiten 18 Menschen.", ["18 Menschen"]),
    ("Über 900 Bäume haben wir gepflanzt.", ["900 Bäume"]),
    ("Die Bibliothek umfasst 12 000 Bände.", ["12 000 Bände"]),
    ("Wir kochen 150 Essen am Tag.", ["150 Essen am Tag"]),
    ("Fast 300 Haushalte sind Mitglied.", ["300 Haushalte"]),
    ("Insgesamt 31 Lehrlinge haben hier gelernt.", ["31 Lehrlinge"]),
]
NONE = [
    "We have 12 % more.", "Set text in 12 px.", "Keep 8 mm clear.", "A day ticket costs 12 pounds.", "We open at 10 am.", "There are 5 minutes left.",
    "We have 2027 in mind.", "Chapter 4 tells more.", "On 5 June we celebrate.", "There are 3 of them.", "We charge 60 € for a visit.",
    "Das Haus hat am 5. Juni geöffnet.", "Wir haben 10 Uhr.", "Die Kammer hat 78 € gekostet.", "Es gibt 3 davon.", "Der Text hat 12 Punkt.",
    "Wir haben von 9 bis 17 Uhr geöffnet.", "Der Rand hat 12 Millimeter.", "The corner has 6 pixels.", "Never use more than 3 colours.",
    "Nie mehr als 2 Schriften auf einer Seite.",
]  # fmt: skip


@pytest.mark.parametrize(("said", "lines"), FIGURES)
def test_figures_are_told_as_lines_that_show_them(said: str, lines: list[str]) -> None:
    told = [one.value for one in figures_told(f"Before it.\n{said}\nAfter it.")]
    assert told == lines
    assert all(figure_in(line) for line in told)


@pytest.mark.parametrize("said", NONE)
def test_what_is_no_figure(said: str) -> None:
    assert figures_told(said) == []
