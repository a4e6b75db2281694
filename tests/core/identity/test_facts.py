"""Facts out of readings: merged by difference, disagreements side by side, decisions kept whatever comes later."""

import pytest

from formulon.core.color.difference import difference
from formulon.core.color.srgb import from_hex
from formulon.core.errors import IdentityError
from formulon.core.identity.colors import TOLERANCE
from formulon.core.identity.decide import Request, broken_lock, decide, suggested
from formulon.core.identity.evidence import Evidence, Fact, certainty
from formulon.core.identity.facts import facts_of
from formulon.core.identity.reading import read_file
from formulon.core.identity.sightings import ColorSeen, MarkSeen, Reading, RuleSeen, TextSeen, TypefaceSeen, WordSeen
from formulon.core.system.documents.decisions import Decisions
from formulon.core.system.documents.identity import Identity


def stated(file: str, hexa: str, name: str = "", **more: object) -> Reading:
    return Reading(file=file, sightings=[ColorSeen(hex=hexa, value=hexa, name=name, use="swatch", **more)])  # type: ignore[arg-type]


def drawn(file: str, hexa: str, share: float = 1.0) -> Reading:
    return Reading(file=file, sightings=[ColorSeen(hex=hexa, value=hexa, use="drawn", share=share)])


def colors(*readings: Reading, decisions: Decisions | None = None) -> list[Fact]:
    return [fact for fact in facts_of(readings, decisions) if fact.group == "colors"]


def test_one_color_in_three_sources_is_one_fact_with_three_pieces_of_evidence() -> None:
    (fact,) = colors(stated("g.pdf", "#1B2147", "Night"), drawn("logo.svg", "#1B2147"), drawn("s.css", "#1B2147"))
    assert not fact.disputed and [one.file for one in fact.variants[0].evidence] == ["g.pdf", "logo.svg", "s.css"]
    assert fact.label == "Night"


def test_sources_that_differ_a_little_stand_side_by_side() -> None:
    assert difference(from_hex("#1B2147"), from_hex("#1C2248")) < TOLERANCE
    (fact,) = colors(drawn("s.css", "#1C2248"), stated("g.pdf", "#1B2147", "Night"))
    assert fact.disputed and [one.value for one in fact.variants] == ["#1B2147", "#1C2248"]  # the stated one first
    assert "ΔE 0.3" in fact.note


def test_what_lies_further_apart_is_two_colors() -> None:
    assert difference(from_hex("#1B2147"), from_hex("#2B3157")) > TOLERANCE
    assert len(colors(stated("g.pdf", "#1B2147"), drawn("s.css", "#2B3157"))) == 2


def test_a_source_that_names_two_near_colors_means_two() -> None:
    both = Reading(
        file="p.gpl",
        sightings=[ColorSeen(hex=h, value=h, name=n, use="swatch") for h, n in (("#F6F1E7", "Chalk"), ("#F7F2E9", "Milk"))],
    )
    assert {fact.label for fact in colors(both)} == {"Chalk", "Milk"}


def test_a_print_value_joins_the_color_of_its_name_and_is_cross_checked() -> None:
    (fact,) = colors(
        stated("g.pdf", "#F2A93B", "Lamp"), stated("p.ase", "#F0B030", "Lamp", indicative=True, print=["CMYK 3 38 85 0"])
    )
    assert [one.value for one in fact.variants] == ["#F2A93B"] and fact.data["print"] == ["CMYK 3 38 85 0"]
    assert "the screen value is kept" in fact.note


def test_a_print_value_alone_is_marked_indicative() -> None:
    (fact,) = colors(stated("p.ase", "#F0B030", "Lamp", indicative=True))
    assert fact.data["indicative"] and "Indicative" in fact.note


def test_certainty_grows_with_files_and_not_with_mentions() -> None:
    def one(file: str) -> Evidence:
        return Evidence(file=file, place="", value="", sure=0.6)

    assert certainty([one("a")]) == certainty([one("a"), one("a")]) == 0.6
    assert 0.6 < certainty([one("a"), one("b")]) < certainty([one("a"), one("b"), one("c")]) < 1


def test_faces_of_one_family_are_put_together_and_what_lacks_is_said() -> None:
    def face(style: str, weight: int, italic: bool = False) -> TypefaceSeen:
        return TypefaceSeen(family="Quill Sans", style=style, weights=[weight], italic=italic, source="font file", sure=0.98)

    upright = Reading(file="QuillSans-Regular.ttf", sightings=[face("Regular", 400)])
    used = Reading(file="s.css", sightings=[TypefaceSeen(family="QuillSans", use="headings", source="style sheet")])
    (fact,) = (one for one in facts_of([upright, used]) if one.group == "typefaces")
    assert fact.role == "headings" and "No real italic" in fact.note and "No real bold" in fact.note
    whole = [
        upright,
        *(Reading(file=f"{s}.ttf", sightings=[face(s, w, i)]) for s, w, i in (("Bold", 700, False), ("Italic", 400, True))),
    ]
    (fact,) = facts_of(whole)
    assert len(fact.variants[0].evidence) == 3 and "No real" not in fact.note


def test_words_that_say_the_same_agree_and_others_stand_side_by_side() -> None:
    def word(file: str, text: str) -> Reading:
        return Reading(file=file, sightings=[WordSeen(field="phone", text=text)])

    (fact,) = facts_of([word("a.txt", "01632 960174"), word("b.html", "+44 1632 960174"), word("c.html", "01632 960147")])
    assert [(one.value, len(one.evidence)) for one in fact.variants] == [("01632 960174", 2), ("01632 960147", 1)]


SVG = b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><circle cx="4" cy="4" r="3" fill="#1B2147"/></svg>'


def readings() -> list[Reading]:
    return [
        stated("g.pdf", "#1B2147", "Night", print=["CMYK 95 88 35 42"]),
        drawn("s.css", "#1C2248"),
        read_file("symbol.svg", SVG),
        Reading(
            file="t.md",
            sightings=[
                TextSeen(heading="About", text="We look up."),
                WordSeen(field="strapline", text="Look up."),
                RuleSeen(rule="forbidden pair", text="Never set Lamp on Chalk.", values={"ink": "Lamp", "ground": "Chalk"}),
                TypefaceSeen(family="Figtree", use="running text"),
            ],
        ),
    ]


def by_group(facts: list[Fact], group: str) -> Fact:
    return next(fact for fact in facts if fact.group == group)


def test_accepting_fills_the_identity() -> None:
    facts = facts_of(readings())
    identity, decisions = decide(
        Identity(name="Q"), Decisions(), facts, [Request(fact=fact.id, action="accept") for fact in facts]
    )
    assert [(c.name, c.value, c.print) for c in identity.colors] == [("Night", "#1B2147", ["CMYK 95 88 35 42"])]
    assert (identity.strapline, identity.typefaces.body, identity.texts[0].text) == ("Look up.", "figtree", "We look up.")
    assert identity.rules[0].values == {"ink": "Lamp", "ground": "Chalk"} and identity.marks[0].kind == "symbol"
    assert {decision.state for decision in decisions.facts.values()} == {"accepted"}
    # And taken back, everything is as it was.
    back, none = decide(identity, decisions, facts, [Request(fact=fact.id, action="reopen") for fact in facts])
    assert none.facts == {} and back.model_dump(exclude={"typefaces"}) == Identity(name="Q").model_dump(exclude={"typefaces"})


def test_picking_and_keeping_both() -> None:
    facts = facts_of(readings())
    night = by_group(facts, "colors").id
    identity, decisions = decide(
        Identity(name="Q"), Decisions(), facts, [Request(fact=night, action="accept", values=["#1C2248"])]
    )
    assert [c.value for c in identity.colors] == ["#1C2248"]
    identity, decisions = decide(
        identity, decisions, facts, [Request(fact=night, action="accept", values=["#1B2147", "#1C2248"])]
    )
    assert [(c.id, c.name, c.value) for c in identity.colors] == [
        ("night", "Night", "#1B2147"),
        ("night-2", "Night 2", "#1C2248"),
    ]
    identity, _ = decide(
        identity, decisions, facts, [Request(fact=night, action="accept", values=["#1B2147"], name="Midnight")]
    )
    assert [(c.id, c.name, c.value) for c in identity.colors] == [("night", "Midnight", "#1B2147")]


def test_a_later_file_adds_evidence_and_overwrites_no_decision() -> None:
    first = readings()
    facts = facts_of(first)
    night = by_group(facts, "colors").id
    identity, decisions = decide(
        Identity(name="Q"), Decisions(), facts, [Request(fact=night, action="lock", values=["#1C2248"], name="Deep")]
    )
    later = colors(
        *first, stated("new-guideline.pdf", "#1A2046", "Night"), stated("again.gpl", "#1B2147", "Night"), decisions=decisions
    )
    (fact,) = later
    assert (fact.id, fact.label, fact.state, fact.taken) == (night, "Deep", "locked", ["#1C2248"])
    assert {one.value for one in fact.variants} == {"#1B2147", "#1C2248", "#1A2046"}
    assert [(c.name, c.value, c.locked) for c in identity.colors] == [("Deep", "#1C2248", True)]


def test_a_locked_fact_must_be_unlocked_first() -> None:
    facts = facts_of(readings())
    night = by_group(facts, "colors").id
    identity, decisions = decide(Identity(name="Q"), Decisions(), facts, [Request(fact=night, action="lock")])
    for request in (Request(fact=night, action="reject"), Request(fact=night, action="accept", values=["#1C2248"])):
        with pytest.raises(IdentityError, match="locked"):
            decide(identity, decisions, facts, [request])
    changed = identity.model_copy(deep=True)
    changed.colors[0].value = "#000000"
    assert "Night is locked" in broken_lock(identity, changed)
    changed.colors[0].locked = False
    assert broken_lock(identity, changed) == ""
    assert "Night is locked" in broken_lock(identity, identity.model_copy(update={"colors": []}))


def test_whatever_kind_of_fact_is_locked_is_kept() -> None:
    facts = facts_of(readings())
    identity, decisions = decide(
        Identity(name="Q"), Decisions(), facts, [Request(fact=fact.id, action="lock") for fact in facts]
    )
    for change in ({"strapline": "Else"}, {"marks": []}, {"rules": []}, {"faces": []}):
        changed = identity.model_copy(update=change)
        assert "is locked" in broken_lock(identity, changed, decisions, decisions), change
        assert broken_lock(identity, changed, decisions, Decisions()) == ""  # unlocked in the same change
    assert broken_lock(identity, identity, decisions, decisions) == ""
    assert broken_lock(identity, identity.model_copy(update={"does": "Else"}), decisions, decisions) == ""


def test_what_cannot_be_taken_over_says_why() -> None:
    pixels = Reading(
        file="logo.png", sightings=[MarkSeen(name="logo.png", width=9, height=9, note="This logo is made of pixels.")]
    )
    facts = facts_of([pixels])
    with pytest.raises(IdentityError, match="pixels"):
        decide(Identity(name="Q"), Decisions(), facts, [Request(fact=facts[0].id, action="accept")])
    with pytest.raises(IdentityError, match="no longer"):
        decide(Identity(name="Q"), Decisions(), [], [Request(fact="color-000000", action="accept")])
    facts = facts_of(readings())
    with pytest.raises(IdentityError, match="is not a colour"):
        decide(
            Identity(name="Q"),
            Decisions(),
            facts,
            [Request(fact=by_group(facts, "colors").id, action="accept", values=["blurp"])],
        )


def test_a_typed_color_is_the_same_fact() -> None:
    identity = Identity.model_validate({"name": "Q", "colors": [{"name": "My night", "value": "rgb(27 33 71)"}]})
    facts = facts_of(readings())
    identity, _ = decide(identity, Decisions(), facts, [Request(fact=by_group(facts, "colors").id, action="accept")])
    assert [(c.name, c.value) for c in identity.colors] == [("My night", "rgb(27 33 71)")]


def test_the_suggested_identity_takes_what_is_stated() -> None:
    identity = suggested(facts_of(readings()))
    assert [c.value for c in identity.colors] == ["#1B2147"] and identity.strapline == "Look up."
