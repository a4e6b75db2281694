"""Least sizes and clear space of marks. The phrasings were collected before the grammar; what must not match comes after."""

import pytest

from formulon.core.identity.statements.marks import sizes_stated, spaces_stated

# px at 96 an inch, as CSS has it: 1 mm is 3.78 px, 1 pt is 1.33 px.
SIZES = [
    ("The logo is never smaller than 24 mm wide.", 90.71, "width", "full"),
    ("Minimum width: 24 mm", 90.71, "width", "full"),
    ("Minimum size of the symbol: 16 px", 16, "width", "symbol"),
    ("The symbol must be at least 16 px high.", 16, "height", "symbol"),
    ("Never use the logo below 20 mm.", 75.59, "width", "full"),
    ("On screens the logo needs at least 120 px.", 120, "width", "full"),
    ("The wordmark should not be narrower than 3 cm.", 113.39, "width", "full"),
    ("Smallest size of the mark: 10 mm in height", 37.8, "height", "full"),
    ("The lock-up keeps a width of no less than 30 mm.", 113.39, "width", "full"),
    ("Do not print the logo smaller than 18 mm.", 68.03, "width", "full"),
    ("The symbol may shrink to 8 mm and no further.", 30.24, "width", "symbol"),
    ("Our mark is at least 72 pt wide.", 96, "width", "full"),
    ("Logo, minimum height 40 px", 40, "height", "full"),
    ("The emblem is never less than 12 mm tall.", 45.35, "height", "symbol"),
    ("Das Logo ist nie kleiner als 24 mm.", 90.71, "width", "full"),
    ("Mindestbreite des Logos: 24 mm", 90.71, "width", "full"),
    ("Mindestgröße des Zeichens: 16 px", 16, "width", "symbol"),
    ("Das Logo ist mindestens 120 px breit.", 120, "width", "full"),
    ("Das Signet darf nicht kleiner als 8 mm gedruckt werden.", 30.24, "width", "symbol"),
    ("Die Wortmarke ist wenigstens 3 cm breit.", 113.39, "width", "full"),
    ("Unter 20 mm Breite verwenden wir das Logo nicht.", 75.59, "width", "full"),
    ("Kleinste Größe des Logos: 18 mm", 68.03, "width", "full"),
    ("Das Zeichen ist nicht unter 10 mm hoch.", 37.8, "height", "symbol"),
    ("Mindesthöhe der Marke 12 mm", 45.35, "height", "full"),
    ("Das Logo steht nie schmaler als 30 mm.", 113.39, "width", "full"),
]
SPACES = [
    ("Keep a clear space of half the height of the dome.", {"share": 0.5, "of": "height"}),
    ("Clear space: 10 mm on all sides", {"px": 37.8}),
    ("Leave at least 24 px of free space around the logo.", {"px": 24}),
    ("The exclusion zone is the height of the symbol.", {"share": 1.0, "of": "height"}),
    ("Around the logo there is clear space as wide as the letter o.", {"share": 0.25, "of": "height"}),
    ("The clear space equals the width of the s.", {"share": 0.25, "of": "height"}),
    ("Protected area: a quarter of its width", {"share": 0.25, "of": "width"}),
    ("The logo wants room: one third of its height on every side.", {"share": 0.333, "of": "height"}),
    ("Nothing comes nearer to the logo than 12 mm.", {"px": 45.35}),
    ("Keep everything 20 px away from the mark.", {"px": 20}),
    ("A margin of twice the height of the symbol stays empty.", {"share": 2.0, "of": "height"}),
    ("Clear space is 25 % of the height.", {"share": 0.25, "of": "height"}),
    ("Safety zone around the logo: 5 mm", {"px": 18.9}),
    ("Let the logo breathe: half its height on all sides.", {"share": 0.5, "of": "height"}),
    ("Schutzraum: halbe Höhe des Zeichens", {"share": 0.5, "of": "height"}),
    ("Der Schutzraum beträgt 10 mm.", {"px": 37.8}),
    ("Um das Logo bleiben ringsum 24 px frei.", {"px": 24}),
    ("Freiraum: ein Viertel der Breite", {"share": 0.25, "of": "width"}),
    ("Die Schutzzone ist so hoch wie das Zeichen.", {"share": 1.0, "of": "height"}),
    ("Der Schutzraum entspricht der Breite des o.", {"share": 0.25, "of": "height"}),
    ("Nichts steht näher am Logo als 12 mm.", {"px": 45.35}),
    ("Halten Sie 20 px Abstand zum Logo.", {"px": 20}),
    ("Abstand rund um die Marke: ein Drittel ihrer Höhe", {"share": 0.333, "of": "height"}),
    ("Der Freiraum ist doppelt so hoch wie das Signet.", {"share": 2.0, "of": "height"}),
    ("Das Logo braucht Luft, mindestens die halbe Höhe.", {"share": 0.5, "of": "height"}),
]
NOTHING = [
    "The room is at least 24 m long.",
    "Children must be at least 120 cm tall.",
    "Our logo was drawn in 1998.",
    "The telescope is 80 cm wide.",
    "Body text is set at 12 pt.",
    "The table needs at least 2 m.",
    "We keep the space clear in winter.",
    "Free parking space for 20 cars.",
    "Das Zimmer ist mindestens 24 m² groß.",
    "Halten Sie Abstand.",
    "Der Schutzraum ist im Keller.",
    "Das Museum ist mindestens 100 Jahre alt.",
]


@pytest.mark.parametrize(("said", "px", "side", "mark"), SIZES)
def test_least_sizes_are_understood(said: str, px: float, side: str, mark: str) -> None:
    found = sizes_stated(f"Our mark.\n{said}\nThat is all.")
    assert [(one.px, one.side, one.mark) for one in found] == [(pytest.approx(px, abs=0.02), side, mark)]
    assert found[0].text == said


@pytest.mark.parametrize(("said", "space"), SPACES)
def test_clear_space_is_understood(said: str, space: dict[str, float | str]) -> None:
    found = spaces_stated(f"Our mark.\n{said}\nThat is all.")
    assert [one.space for one in found] == [space]
    assert found[0].text == said


@pytest.mark.parametrize("said", NOTHING)
def test_what_tells_of_something_else(said: str) -> None:
    assert sizes_stated(said) == [] and spaces_stated(said) == []
