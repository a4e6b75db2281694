"""Links that colour alone tells, as they are seen without one kind of cones, against colour-science's own simulation and difference."""

import random

import colour
import numpy as np
import pytest

from formulon.core.checks.page_facts import LinkInText, PagePlace
from formulon.core.checks.rule import Verdict, rules

# What colour-science says of the paper's own approximation of tritanopia.
pytestmark = pytest.mark.filterwarnings("ignore:[^!]*shift paradigm:Warning")
PLACE = PagePlace("index.html", "#text", "a")
DEFICIENCIES = {"protanopia": "Protanomaly", "deuteranopia": "Deuteranomaly", "tritanopia": "Tritanomaly"}


def verdicts(ink: str, around: str) -> list[Verdict]:
    one = rules()["contrast/dichromacy"]
    return list(one.look(LinkInText(PLACE, "The link", ink, around, False), one.options))


def reference(ink: str, around: str) -> dict[str, float]:
    """ΔE2000 by kind of vision: Machado, Oliveira and Fernandes (2009) at severity 1, in linear sRGB."""
    made = {}
    for vision, name in DEFICIENCIES.items():
        matrix = colour.matrix_cvd_Machado2009(name, 1.0)
        labs = []
        for code in (ink, around):
            linear = colour.models.eotf_sRGB(np.array([int(code[at : at + 2], 16) / 255 for at in (1, 3, 5)]))
            seen = np.clip(matrix @ linear, 0, 1)
            labs.append(colour.XYZ_to_Lab(colour.RGB_to_XYZ(seen, "sRGB"), colour.CCS_ILLUMINANTS["CIE 1931 2 Degree Standard Observer"]["D65"]))  # fmt: skip
        made[vision] = float(colour.delta_E(*labs, method="CIE 2000"))
    return made


def test_what_is_told_is_what_the_reference_sees() -> None:
    dice = random.Random(7)
    told = 0
    for _ in range(300):
        ink, around = (f"#{dice.randrange(1 << 24) & 0x7F7F7F:06x}" for _ in range(2))
        expected = reference(ink, around)
        vision, least = min(expected.items(), key=lambda one: one[1])
        if abs(least - 10) < 0.1:
            continue
        found = verdicts(ink, around)
        assert bool(found) == (least < 10), (ink, around, expected)
        for one in found:
            told += 1
            assert one.measured == pytest.approx(least, abs=0.1) and expected[one.values["vision"]] == pytest.approx(
                least, abs=0.1
            ), vision
    assert 30 < told < 270


@pytest.mark.parametrize(
    ("ink", "around", "alike"),
    [("#0072aa", "#222222", False), ("#0000ee", "#000000", False), ("#8a2b0e", "#4f6410", True), ("#006600", "#663300", True)],
)
def test_blue_is_told_from_black_and_a_green_not_from_a_red_as_dark(ink: str, around: str, alike: bool) -> None:
    """Common practice: red and green of one lightness are what red-green blindness confuses; blue beside black is not."""
    assert bool(verdicts(ink, around)) == alike
