"""Shares of colours. The phrasings were collected before the grammar; what must not match comes after."""

import pytest

from formulon.core.identity.statements.proportions import proportions_stated

SIX = {"Chalk": 60.0, "Night": 30.0, "Lamp": 10.0}
STATED = [
    ("60 % Chalk, 30 % Night and 10 % Lamp.", SIX),
    ("Chalk 60 %, Night 30 %, Lamp 10 %", SIX),
    ("Chalk: 60%\nNight: 30%\nLamp: 10%", SIX),
    ("Chalk takes 60 per cent, Night 30 per cent and Lamp 10 per cent of a surface.", SIX),
    ("About 60 percent of every page is Chalk, 30 percent Night, 10 percent Lamp.", SIX),
    ("Chalk, Night and Lamp stand in the ratio 60 : 30 : 10.", SIX),
    ("We use Chalk, Night and Lamp at 60:30:10.", SIX),
    ("The ratio of Chalk to Night to Lamp is 6 : 3 : 1.", SIX),
    ("60 / 30 / 10 for Chalk, Night and Lamp", SIX),
    ("Half of every surface is Chalk, a third is Night and the rest is Lamp.", {"Chalk": 50.0, "Night": 33.3, "Lamp": 16.7}),
    ("Half the page is Deep Sea, the other half Sand.", {"Deep Sea": 50.0, "Sand": 50.0}),
    ("Two thirds Chalk, one third Night.", {"Chalk": 66.7, "Night": 33.3}),
    ("Chalk covers three quarters, Night a quarter.", {"Chalk": 75.0, "Night": 25.0}),
    ("Chalk has 70 %, Night 25 %; Lamp is for accents, 5 % at most.", {"Chalk": 70.0, "Night": 25.0, "Lamp": 5.0}),
    ("Chalk (60 %), Night (30 %), Lamp (10 %)", SIX),
    ("Chalk – 60 %, Night – 30 %, Lamp – 10 %", SIX),
    ("Colour: Share\nChalk: 60 %\nNight: 30 %\nLamp: 10 %", SIX),
    ("60 % Kreide, 30 % Nacht, 10 % Lampe.", {"Kreide": 60.0, "Nacht": 30.0, "Lampe": 10.0}),
    ("60 Prozent Kreide, 30 Prozent Nacht und 10 Prozent Lampe", {"Kreide": 60.0, "Nacht": 30.0, "Lampe": 10.0}),
    ("Kreide nimmt 60 Prozent ein, Nacht 30 Prozent, Lampe 10 Prozent.", {"Kreide": 60.0, "Nacht": 30.0, "Lampe": 10.0}),
    ("Kreide, Nacht und Lampe stehen im Verhältnis 60 : 30 : 10.", {"Kreide": 60.0, "Nacht": 30.0, "Lampe": 10.0}),
    ("Die Hälfte jeder Fläche ist Kreide, ein Drittel Nacht, der Rest Lampe.", {"Kreide": 50.0, "Nacht": 33.3, "Lampe": 16.7}),
    ("Zwei Drittel Kreide, ein Drittel Nacht", {"Kreide": 66.7, "Nacht": 33.3}),
    ("Kreide deckt drei Viertel, Nacht ein Viertel der Seite.", {"Kreide": 75.0, "Nacht": 25.0}),
    (
        "Etwa 70 % einer Seite sind Kreide, rund 20 % Nacht, höchstens 10 % Lampe.",
        {"Kreide": 70.0, "Nacht": 20.0, "Lampe": 10.0},
    ),
    ("Anteile: Kreide 60 %, Nacht 30 %, Lampe 10 %", {"Kreide": 60.0, "Nacht": 30.0, "Lampe": 10.0}),
]
NOTHING = [
    "We give 10 % off in May and 20 % in June.",
    "Half of our guests come from Vienna, a third from Graz.",
    "80 % wool, 20 % silk",
    "Night 30 %",
    "Open from 9 : 30 to 10 : 30.",
    "A third of the Garden is open.",
    "60 % of our makers are women.",
    "Chalk 60 %, Night 10 %",
    "Ein Drittel der Plätze ist frei, die Hälfte vergeben.",
    "Der Rest ist Schweigen.",
    "100 % Linen",
    "Mix 1 : 2 : 3 with water.",
]


@pytest.mark.parametrize(("said", "shares"), STATED)
def test_proportions_are_understood(said: str, shares: dict[str, float]) -> None:
    found = proportions_stated(f"Our colours.\n{said}\nThank you.")
    assert [one.shares for one in found] == [shares]


@pytest.mark.parametrize("said", NOTHING)
def test_what_is_no_proportion_of_colours(said: str) -> None:
    known = frozenset(["Chalk", "Night", "Lamp", "Kreide", "Nacht", "Lampe"])
    assert proportions_stated(said, known) == []
