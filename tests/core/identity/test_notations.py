"""Values for print in the spellings of guidelines (common practice), beside a colour's name and its screen value."""

import pytest

from formulon.core.identity.notations import notations
from formulon.core.identity.reading import read_file
from formulon.core.identity.sightings import ColorSeen

SPELLED = [
    "C70 M67 Y64 K74", "CMYK: 70/67/64/74", "70C 67M 64Y 74K", "cmyk(70%, 67%, 64%, 74%)", "Cyan 70 Magenta 67 Yellow 64 Black 74",
    "C=70 M=67 Y=64 K=74", "C 70, M 67, Y 64, K 74", "CMYK 70 67 64 74", "CMYK 70|67|64|74", "CMYK 70-67-64-74", "CMYK 70, 67, 64, 74",
    "C:70 M:67 Y:64 K:74", "c70m67y64k74", "CMYK (70, 67, 64, 74)", "70/67/64/74 CMYK", "70 / 67 / 64 / 74 (CMYK)", "C 70 % M 67 % Y 64 % K 74 %",
    "CMYK 70% 67% 64% 74%", "CMYK=70,67,64,74", "Print: 70 C, 67 M, 64 Y, 74 K", "4c: 70/67/64/74", "Druck (CMYK): 70 · 67 · 64 · 74",
    "Cyan 70 %, Magenta 67 %, Gelb 64 %, Schwarz 74 %", "C70/M67/Y64/K74", "CMYK 70.0 67.0 64.0 74.0", "CMYK\n70 67 64 74",
    "C70 M67 J64 N74", "Cyan 70, Magenta 67, Jaune 64, Noir 74",
]  # fmt: skip


@pytest.mark.parametrize("spelled", SPELLED)
def test_print_values_are_read_and_leave_the_name_alone(spelled: str) -> None:
    reading = read_file("colours.md", f"# Colours\n\nSoot #1F1B1A {spelled}\n".encode())
    (color,) = (one for one in reading.sightings if isinstance(one, ColorSeen))
    assert (color.name, color.hex, color.print) == ("Soot", "#1F1B1A", ["CMYK 70 67 64 74"])


@pytest.mark.parametrize(
    "said",
    [
        "C 40 and M 2 are trains, Y 3 is a bus, K 1 a boat", "CMYK 170 67 64 74", "version 4c: 12", "70/67/64/74", "12 C at noon, 9 C at night",
        "4 colours 10 20 30 40", "Key 4, Magenta",
    ],
)  # fmt: skip
def test_what_is_no_print_value(said: str) -> None:
    assert [one for one in notations(said) if one.print.startswith("CMYK")] == []


@pytest.mark.parametrize(
    ("said", "inks"),
    [("CMYK 7,5 0 12,5 0", "CMYK 7.5 0 12.5 0"), ("CMYK 0,0,0,100", "CMYK 0 0 0 100"), ("CMYK 0 0 0 7.25", "CMYK 0 0 0 7.25")],
)
def test_decimal_commas_and_commas_between(said: str, inks: str) -> None:
    assert [one.print for one in notations(said)] == [inks]
