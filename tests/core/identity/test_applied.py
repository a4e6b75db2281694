"""What accepted facts decide beyond the identity: corners, buttons and links in the choices; tone in the character."""

import pytest

from formulon.core.identity.applied import applied
from formulon.core.identity.decide import Request, decide
from formulon.core.identity.facts import facts_of
from formulon.core.identity.reading import read_file
from formulon.core.identity.sightings import Reading, RuleSeen
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.decisions import Decisions
from formulon.core.system.documents.identity import BrandColor, BrandMeasure, BrandRule, Identity
from formulon.core.system.resolve import resolve

SAID = (
    "# How we look\n\nCorners are rounded by 2 px. Buttons are fully rounded. Links are not underlined. Our tone is plain and quiet.\n\n"
    "Morning Grey #BFC5C9\n\nDeep Sea #12304A\n\nSand #EADFC8\n\n"
    "Never set Grey on Sand. Never set Coral on Sand. 60 % Sand, 30 % Deep Sea, 10 % Morning Grey.\n"
)


def test_accepted_rules_stand_in_the_choices_and_the_character() -> None:
    facts = facts_of([read_file("guide.md", SAID.encode())])
    before = Identity(name="Reed")
    wanted = [Request(fact=one.id, action="accept") for one in facts if one.group in ("rules", "measures")]
    after, decisions = decide(before, Decisions(), facts, wanted)
    choices = applied(Choices(), before, after)
    assert (choices.radius, choices.corners.button, choices.links.underlined) == (2, 40, False)
    assert (after.character.plain_ornate, after.character.quiet_loud) == (-2, -2)
    # What is rejected afterwards goes again; what was chosen since stays.
    rejected = [Request(fact=one.fact, action="reject") for one in wanted]
    gone, _ = decide(after, decisions, facts, rejected)
    assert applied(choices, after, gone) == Choices()
    chosen = choices.model_copy(update={"radius": 9.0})
    assert applied(chosen, after, gone).radius == 9


def test_rules_call_colors_as_the_palette_does_and_know_no_others() -> None:
    facts = facts_of([read_file("guide.md", SAID.encode())])
    rules = [(one.data["rule"], one.data["values"]) for one in facts if one.group == "rules"]
    assert ("forbidden pair", {"ink": "Morning Grey", "ground": "Sand"}) in rules
    assert not any("Coral" in str(values) for _, values in rules)
    assert ("proportions", {"Sand": 60.0, "Deep Sea": 30.0, "Morning Grey": 10.0}) in rules


def test_a_sentence_may_state_several_rules() -> None:
    facts = facts_of([read_file("guide.md", "# Words\n\nSay “basket”, never “hamper”.\n".encode())])
    wanted = [Request(fact=one.id, action="accept") for one in facts if one.group == "rules"]
    assert len(wanted) == 2
    identity, decisions = decide(Identity(name="Reed"), Decisions(), facts, wanted)
    assert {one.rule for one in identity.rules} == {"words to use", "words to avoid"}
    left, _ = decide(identity, decisions, facts, [Request(fact=wanted[0].fact, action="reject")])
    assert len(left.rules) == 1


def test_no_choice_is_touched_where_nothing_of_it_is_stated() -> None:
    chosen = Choices(radius=12)
    assert applied(chosen, Identity(name="Reed"), Identity(name="Reed", strapline="Woven")) == chosen
    stated = Identity(name="Reed", measures=[BrandMeasure(measure="radius", px=0)])
    assert applied(chosen, Identity(name="Reed"), stated).radius == 0
    other = Identity(name="Reed", rules=[BrandRule(rule="buttons and links", text="…", values={"second button": "outlined"})])
    assert applied(chosen, Identity(name="Reed"), other) == chosen


@pytest.mark.parametrize(
    ("said", "main", "case"),
    [
        ("Buttons are outlined, never filled.", "outlined", None),
        ("Labels of buttons are set in capitals.", "filled", "uppercase"),
        ("Knöpfe sind umrandet. Beschriftungen von Knöpfen stehen nie in Versalien.", "outlined", "none"),
    ],
)
def test_outlined_buttons_and_capitals_are_drawn_and_go_with_their_rule(said: str, main: str, case: str | None) -> None:
    facts = facts_of([read_file("guide.md", f"# Form\n\n{said}\n".encode())])
    before = Identity(name="Reed", colors=[BrandColor(name="Reed", value="#1F5A48")])
    wanted = [Request(fact=one.id, action="accept") for one in facts if one.group == "rules"]
    after, decisions = decide(before, Decisions(), facts, wanted)
    choices = applied(Choices(radius=3), before, after)
    system = resolve(after, choices)
    assert choices.buttons.main == main and system.css("type/label/case") == (case or "none")
    open_fill = system.css("ground/paper/primary/fill/rest") == system.css("ground/paper/background")
    assert open_fill == (main == "outlined")
    gone, _ = decide(after, decisions, facts, [Request(fact=one.fact, action="reject") for one in wanted])
    assert applied(choices, after, gone) == Choices(radius=3)
    # A step that was set otherwise keeps what it has besides.
    own = Choices.model_validate({"scale": {"steps": {"label": {"weight": 700}}}})
    assert applied(applied(own, before, after), after, before) == own


def test_a_fact_says_what_was_understood_of_its_sentence() -> None:
    said = (
        "# Marks\n\nThe symbol is never smaller than 6 mm, the whole logo at least 24 mm wide. Keep a clear space of 10 mm around the logo. "
        "Say “basket”, never “hamper”. We sound warm, never loud. Buttons are fully rounded. Never tilt the logo.\n"
    )
    facts = [one for one in facts_of([read_file("guide.md", said.encode())]) if one.group == "rules"]
    assert {one.note for one in facts} == {
        "Symbol: 22.68 px wide.", "Whole mark: 90.71 px wide.", "37.8 px.", "basket.", "hamper.", "warm, not loud.", "button radius: 40 px.",
        "Not understood further: kept as it is said.",
    }  # fmt: skip
    odd = Reading(
        file="old.json",
        sightings=[RuleSeen(rule="clear space", text="Room.", values={}), RuleSeen(rule="tone", text="Warm.", values={})],
    )
    assert [one.note for one in facts_of([odd])] == ["", ""]  # as another version may have kept it
