"""Rules for corners and buttons. The phrasings were collected before the grammar; what must not match comes after."""

import pytest

from formulon.core.identity.statements.shape import shapes_stated

STATED: list[tuple[str, dict[str, str | float]]] = [
    ("Corners are rounded by 2 px.", {"radius": 2}),
    ("Corner radius: 4 px", {"radius": 4}),
    ("All corners have a radius of 8 px.", {"radius": 8}),
    ("We round corners by 2 mm.", {"radius": 7.56}),
    ("Our corners are square.", {"radius": 0}),
    ("Nothing on our pages has rounded corners.", {"radius": 0}),
    ("No rounded corners.", {"radius": 0}),
    ("Corners are always sharp.", {"radius": 0}),
    ("Buttons are fully rounded.", {"button radius": 40}),
    ("Buttons have square corners.", {"button radius": 0}),
    ("Buttons are round at the ends, like pebbles.", {"button radius": 40}),
    ("Buttons have a corner radius of 6 px.", {"button radius": 6}),
    ("Rounding of buttons: 3 px", {"button radius": 3}),
    ("Buttons are outlined, never filled.", {"button": "outlined"}),
    ("Buttons are filled.", {"button": "filled"}),
    ("Main buttons are filled, second buttons outlined.", {"button": "filled", "second button": "outlined"}),
    ("Button labels are never in capitals.", {"button capitals": "no"}),
    ("Button text is set in capitals.", {"button capitals": "yes"}),
    ("No capitals on buttons.", {"button capitals": "no"}),
    ("Links are underlined.", {"links": "underlined"}),
    ("We never underline links.", {"links": "plain"}),
    ("Die Ecken sind mit 2 px gerundet.", {"radius": 2}),
    ("Eckenradius: 4 px", {"radius": 4}),
    ("Ecken sind immer eckig.", {"radius": 0}),
    ("Keine runden Ecken.", {"radius": 0}),
    ("Alle Ecken haben einen Radius von 8 px.", {"radius": 8}),
    ("Schaltflächen sind ganz rund.", {"button radius": 40}),
    ("Schaltflächen haben einen Eckenradius von 6 px.", {"button radius": 6}),
    ("Knöpfe sind eckig.", {"button radius": 0}),
    ("Schaltflächen sind umrandet, nie gefüllt.", {"button": "outlined"}),
    ("Schaltflächen sind gefüllt.", {"button": "filled"}),
    ("Beschriftungen von Schaltflächen stehen nie in Versalien.", {"button capitals": "no"}),
    ("Links sind unterstrichen.", {"links": "underlined"}),
]
NOTHING = [
    "We are round the corner from the station.",
    "The shop is at the corner of two lanes.",
    "Buttons of horn and wood, 2 € each.",
    "We sew buttons on coats.",
    "Round baskets with a radius of 20 cm.",
    "The corners of the field are mown in May.",
    "Our links with the village are old.",
    "A square of linen costs 9 €.",
    "Knöpfe aus Horn, 2 € das Stück.",
    "Wir sitzen gleich um die Ecke.",
    "Die Ecke am Fenster ist frei.",
    "Runde Körbe sind unsere Stärke.",
]


@pytest.mark.parametrize(("said", "values"), STATED)
def test_rules_are_understood(said: str, values: dict[str, str | float]) -> None:
    found = shapes_stated(f"How things look.\n{said}\nThat is all.")
    assert {key: value for one in found for key, value in one.values.items()} == values
    assert {one.text for one in found} == {said}


@pytest.mark.parametrize("said", NOTHING)
def test_what_tells_of_something_else(said: str) -> None:
    assert shapes_stated(said) == []
