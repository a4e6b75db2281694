"""Decisions at random: whatever is accepted, corrected, locked, unlocked, rejected and opened again, in any order, is undone by
opening all again, and what is locked stays."""

from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from formulon.core.errors import IdentityError
from formulon.core.identity.decide import Request, broken_lock, decide, suggested
from formulon.core.identity.evidence import Fact
from formulon.core.identity.facts import facts_of
from formulon.core.identity.sightings import (
    ColorSeen,
    GradientSeen,
    MeasureSeen,
    OtherSeen,
    Reading,
    RuleSeen,
    TextSeen,
    TypefaceSeen,
    WordSeen,
)
from formulon.core.system.documents.decisions import Decisions
from formulon.core.system.documents.identity import Identity
from formulon.core.type.alike import defaults, writes
from formulon.core.type.library import SHIPPED


def color(value: str, name: str = "") -> ColorSeen:
    return ColorSeen(hex=value, value=value, name=name, use="swatch")


def folder() -> list[Fact]:
    """The facts of a made-up willow workshop's folder: a guideline, a style sheet and a letter that differ a little."""
    guideline = Reading(
        file="guide.pdf",
        sightings=[
            color("#4B5A3C", "Weide"),
            color("#C8A36A", "Bast"),
            color("#8A3A1A"),
            TypefaceSeen(family="Young Serif", use="headings"),
            TypefaceSeen(family="Nirgendwo Grotesk", use="running text"),
            RuleSeen(rule="clear space", text="Keep the height of the W free around the mark.", values={}),
            GradientSeen(css="linear-gradient(90deg, #4B5A3C 0%, #C8A36A 100%)", stops=["#4B5A3C", "#C8A36A"]),
            OtherSeen(name="shadow", type="shadow", value="0 2px 4px #0003"),
        ],
    )
    sheet = Reading(
        file="site.css",
        sightings=[
            color("#4C5B3D"),
            color("#C8A36A", "Straw"),
            MeasureSeen(measure="radius", px=6, value="6px", name="radius"),
            MeasureSeen(measure="spacing", px=24, value="1.5rem", name="gap"),
        ],
    )
    words = [WordSeen(field=field, text=text) for field, text in WORDS]
    texts = [
        TextSeen(heading="Our story", text="Three generations have cut willow here, and none in a hurry.\nThe shop is open.")
    ]
    return facts_of([guideline, sheet, Reading(file="letter.txt", sightings=[*words, *texts])], Decisions())


WORDS: list[tuple[Any, str]] = [
    ("name", "Korbflechterei Weidling"),
    ("strapline", "Körbe aus eigener Weide"),
    ("phone", "+43 1 234 56 78"),
    ("email", "korb@weidling.example"),
    ("place", "Weidling"),
    ("hours", "Montag bis Freitag 9–17 Uhr"),
    ("social", "https://pictures.example/weidling"),
    ("season", "im August geschlossen"),
    ("season", "Im Winter nur samstags 9–12 Uhr"),
    ("offer", "Reparaturen"),
    ("offer", "Flechtkurse: Zwei Tage an der Weide, mit Essen."),
    ("proof", "240 Körbe im Jahr"),
    ("proof", "3 Lehrlinge"),
]
FACTS = folder()
USABLE = [fact for fact in FACTS if fact.usable and fact.group != "other"]
START = Identity.model_validate({"name": "Neue Marke", "colors": [{"name": "Papier", "value": "#FDFBF5"}]})

STEPS = st.lists(
    st.tuples(
        st.integers(0, len(FACTS) - 1),
        st.sampled_from(["accept", "lock", "unlock", "reject", "reopen"]),
        st.sampled_from(["", "", "Rinde", "x" * 60]),
        st.booleans(),
    ),
    max_size=14,
)


def asked(fact: Fact, action: Any, name: str, other: bool) -> Request:
    taking = action in ("accept", "lock")
    values = [fact.variants[-1].value] if other and taking and fact.variants else []
    return Request(fact=fact.id, action=action, name=name if taking and fact.group == "colors" else "", values=values)


def walked(steps: list[tuple[int, str, str, bool]]) -> tuple[Identity, Decisions]:
    """Identity and decisions after the steps that could be taken; what cannot be is told in a sentence and changes nothing."""
    identity, decisions = START, Decisions()
    for index, action, name, other in steps:
        before = identity.model_dump(), decisions.model_dump()
        try:
            identity, decisions = decide(identity, decisions, FACTS, [asked(FACTS[index], action, name, other)])
        except IdentityError as error:
            assert str(error).endswith(".") and (identity.model_dump(), decisions.model_dump()) == before
    return identity, decisions


@settings(max_examples=200)
@given(STEPS)
def test_opening_all_again_leaves_what_was_there_before(steps: list[tuple[int, str, str, bool]]) -> None:
    identity, decisions = walked(steps)
    for fact in FACTS:
        for action in ("unlock", "reopen"):
            identity, decisions = decide(identity, decisions, FACTS, [Request(fact=fact.id, action=action)])  # type: ignore[arg-type]
    assert decisions.facts == {}
    # What a name or a typeface was before is not known any more; the rest is as it came.
    kept = {"colors", "gradients", "marks", "rules", "measures", "texts", "pictures", "social", "offers", "proof", "contact"}
    assert {key: value for key, value in identity.model_dump().items() if key in kept} == {
        key: value for key, value in START.model_dump().items() if key in kept
    }


@settings(max_examples=200)
@given(STEPS)
def test_what_is_decided_stands_in_the_identity_once(steps: list[tuple[int, str, str, bool]]) -> None:
    identity, decisions = walked(steps)
    ids = [one.id for one in identity.colors]
    for several in ([one.name for one in identity.offers], identity.proof, identity.contact.hours.split("; ")):
        assert len(set(several)) == len(several)
    assert len(set(ids)) == len(ids) and Identity.model_validate(identity.model_dump()) == identity
    for key, decision in decisions.facts.items():
        fact = next(one for one in FACTS if one.id == key)
        if decision.state == "rejected":
            assert not decision.targets
        elif fact.group == "colors":
            own = [one for one in identity.colors if one.id in decision.targets]
            assert len(own) == len(decision.targets) and all(one.locked == (decision.state == "locked") for one in own)
        elif fact.group in ("gradients", "rules"):
            held = [*identity.gradients, *(rule.text for rule in identity.rules)]
            assert [held.count(value) for value in decision.values] == [1] * len(decision.values)


@pytest.mark.parametrize("fact", USABLE, ids=[f"{fact.group} {fact.label[:30]}" for fact in USABLE])
def test_a_locked_fact_is_changed_and_taken_out_by_nothing_but_its_key(fact: Fact) -> None:
    identity, decisions = decide(START, Decisions(), FACTS, [Request(fact=fact.id, action="lock")])
    for request in (
        Request(fact=fact.id, action="reject"),
        Request(fact=fact.id, action="reopen"),
        Request(fact=fact.id, action="accept", values=["something else"], name="Other"),
    ):
        with pytest.raises(IdentityError, match="is locked"):
            decide(identity, decisions, FACTS, [request])
    assert broken_lock(identity, identity, decisions, decisions) == ""
    if fact.group == "colors":
        bare = identity.model_copy(update={"colors": [one for one in identity.colors if not one.locked]})
        assert "is locked" in broken_lock(identity, bare, decisions, decisions)
    opened, freed = decide(identity, decisions, FACTS, [Request(fact=fact.id, action="unlock")])
    assert freed.facts[fact.id].state == "accepted"
    decide(opened, freed, FACTS, [Request(fact=fact.id, action="reject")])


@pytest.mark.parametrize("fact", [fact for fact in FACTS if not fact.usable or fact.group == "other"])
def test_what_is_listed_only_says_so(fact: Fact) -> None:
    with pytest.raises(IdentityError) as raised:
        decide(START, Decisions(), FACTS, [Request(fact=fact.id, action="accept")])
    assert fact.label in str(raised.value)


def test_what_nobody_decides_on_is_taken_by_how_sure_it_is() -> None:
    identity = suggested(FACTS)
    assert (identity.name, identity.strapline) == ("Korbflechterei Weidling", "Körbe aus eigener Weide")
    assert {"Weide", "Bast"} <= {one.name for one in identity.colors} and identity.contact.email == "korb@weidling.example"
    assert identity.typefaces.heading == "young-serif"


def test_hours_stand_before_those_of_seasons_in_whatever_order_they_are_taken() -> None:
    hours, summer, winter = (
        next(one for one in FACTS if one.variants[0].value == value) for field, value in WORDS if field in ("hours", "season")
    )
    for order in ([hours, summer, winter], [summer, winter, hours], [summer, hours, winter]):
        identity, decisions = decide(START, Decisions(), FACTS, [Request(fact=one.id, action="accept") for one in order])
        assert identity.contact.hours == "Montag bis Freitag 9–17 Uhr; im August geschlossen; Im Winter nur samstags 9–12 Uhr"
        assert broken_lock(identity, identity, decisions, decisions) == ""
        left, _ = decide(
            identity, decisions, FACTS, [Request(fact=summer.id, action="reject"), Request(fact=hours.id, action="reopen")]
        )
        assert left.contact.hours == "Im Winter nur samstags 9–12 Uhr"


def test_an_offer_that_was_written_over_is_kept_when_its_fact_goes() -> None:
    offer = next(one for one in FACTS if one.variants[0].value == "Reparaturen")
    identity, decisions = decide(START, Decisions(), FACTS, [Request(fact=offer.id, action="accept")])
    identity.offers[0].text = "Stühle, Körbe, Wiegen: was geflochten war, flechten wir wieder."
    left, _ = decide(identity, decisions, FACTS, [Request(fact=offer.id, action="reopen")])
    assert [one.name for one in left.offers] == ["Reparaturen"]


@pytest.mark.parametrize(("name", "follows"), [("Ξύλο & Καλάθι", True), ("Weidling", False)])
def test_a_name_that_is_taken_brings_its_letters_unless_typefaces_were_chosen(name: str, follows: bool) -> None:
    facts = facts_of([Reading(file="a.txt", sightings=[WordSeen(field="name", text=name)])], Decisions())
    taken, _ = decide(START, Decisions(), facts, [Request(fact=facts[0].id, action="accept")])
    assert (taken.typefaces.heading, taken.typefaces.body) == defaults("en-GB", name)
    assert writes(SHIPPED[taken.typefaces.heading], "en-GB", name) and (taken.typefaces != START.typefaces) is follows
    chosen = Identity.model_validate({"name": "Neu", "typefaces": {"heading": "unbounded", "body": "figtree"}})
    kept, _ = decide(chosen, Decisions(), facts, [Request(fact=facts[0].id, action="accept")])
    assert kept.typefaces == chosen.typefaces
