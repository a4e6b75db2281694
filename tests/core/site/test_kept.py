"""What is kept over changes of the style is what would be worked out anew: how the header measures itself, and what checks find."""

from collections.abc import Iterator, MutableMapping
from functools import cache

import pytest

from formulon.core.checks.findings import PageChecks
from formulon.core.checks.predict import predict
from formulon.core.checks.preflight import Preflight
from formulon.core.site import header
from formulon.core.site.planning.planner import plan
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity

BRANDS = {
    "dyers": {
        "name": "Krapp & Waid", "language": "de", "does": "Wir färben Wolle mit Pflanzen.", "place": "Niederlausitz",
        "offers": [{"name": f"Färbekurs {n}", "text": "Zwei Tage am Kessel."} for n in "ABC"],
        "contact": {"phone": "035 5123456", "email": "hallo@krapp.example", "hours": "Mo bis Fr 9 bis 16"},
    },
    "press": {"name": "Οδός Χαρτιού", "language": "el", "does": "Τυπώνουμε στο χέρι.", "contact": {"email": "a@odos.example"}},
    "bare": {"name": "Ox"},
}  # fmt: skip
# A change of each sort of choice, after another.
CHANGES: tuple[dict[str, object], ...] = (
    {"radius": 0}, {"radius": 40}, {"corners": {"button": 0, "card": 24}}, {"scale": {"size": 1.4}}, {"density": 1.5},
    {"scale": {"steps": {"label": {"weight": 900, "case": "uppercase"}}}}, {"buttons": {"arrow": "after"}},
    {"buttons": {"small_in_header": True}}, {"buttons": {"padding_inline": 3, "border": 4}}, {"buttons": {"least": 44}},
    {"logo": {"header_large": 160}}, {"logo": {"name_beside": True}}, {"header_strip": True}, {"cards": "solid"},
    {"elevation": "soft"}, {"policy": "AAA"}, {"scheme": "dark"}, {"pins": {"space/4": "40"}}, {},
)  # fmt: skip


@cache
def planned(name: str) -> Site:
    return plan(Identity.model_validate(BRANDS[name]), composed=False)


def changed(name: str) -> Iterator[Site]:
    site = planned(name)
    for change in CHANGES:
        held = site.choices.model_dump()
        asked = {key: held[key] | value if isinstance(value, dict) else value for key, value in change.items()}
        choices = Choices.model_validate(held | asked)
        yield site.model_copy(update={"choices": choices})


@pytest.mark.parametrize("name", BRANDS)
def test_the_header_is_measured_as_though_it_had_not_been_before(name: str) -> None:
    found = set()
    for site in changed(name):
        system = site.system()
        anew = header._rows.__wrapped__(header._Asked(site, system))
        assert header.rows(site, system) == anew
        found.add(tuple(anew.items()))
    assert name == "bare" or len(found) > 1, "the changes move something"


@pytest.mark.parametrize("name", BRANDS)
def test_pages_keep_what_was_found_only_where_nothing_else_would_be(name: str) -> None:
    kept: MutableMapping[str, PageChecks] = {}
    for site in changed(name):
        assert Preflight(site, kept=kept).report() == Preflight(site).report()


@pytest.mark.parametrize("name", BRANDS)
def test_corners_move_no_box_and_colour_nothing(name: str) -> None:
    """So what was found holds whatever the radius is."""
    site = planned(name)
    round_one = site.model_copy(update={"choices": site.choices.model_copy(update={"radius": 40})})
    assert predict(site, site.system()) == predict(round_one, round_one.system())
