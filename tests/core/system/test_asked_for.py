"""What a guideline asks for in the system: wanted pairs of ink and ground, and main buttons that are outlined."""

import jsonpatch
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.srgb import from_hex, to_hex
from formulon.core.system.documents.choices import GROUNDS, Choices
from formulon.core.system.documents.identity import BrandColor, BrandRule, Identity
from formulon.core.system.resolve import resolve
from formulon.core.system.system import Conflict, System

OUTLINED = {"buttons": {"main": "outlined"}}


def conflicts_of(system: System, ground: str) -> list[str]:
    return [one.code for one in system.conflicts if one.ground == ground]


def patched(choices: Choices, conflict: Conflict, index: int) -> Choices:
    return Choices.model_validate(jsonpatch.apply_patch(choices.model_dump(), list(conflict.alternatives[index].patch)))


@pytest.mark.parametrize("underlined", [True, False])
def test_wanted_pairs_of_the_guideline_are_set_where_they_are_read(quillmoor: Identity, underlined: bool) -> None:
    """Heather on Chalk is 4.6:1: read, and still not what would be derived for headings and running text."""
    links = Choices(links={"underlined": underlined})
    rule = BrandRule(rule="wanted pair", text="Set text in Heather on Chalk.", values={"ink": "Heather", "ground": "chalk"})
    identity = quillmoor.model_copy(update={"rules": [rule]})
    plain, system = resolve(quillmoor, links), resolve(identity, links)
    for ink in ("heading", "body"):
        assert plain.css(f"ground/paper/{ink}") != "#8e5a9b"
        if ink == "heading" or underlined:  # a text beside links that are not underlined has to be told from them, too
            assert system.css(f"ground/paper/{ink}") == "#8e5a9b"
    assert "the guideline asks for it" in system.tokens["ground/paper/heading"].reason
    assert system.css("ground/deep/heading") == plain.css("ground/deep/heading")
    assert all(pair.passes for pair in system.pairs)
    # What is not read is never set, and what is also ruled out neither.
    strict = links.model_copy(update={"policy": "AAA"})
    assert resolve(identity, strict).css("ground/paper/heading") == resolve(quillmoor, strict).css("ground/paper/heading")
    banned = rule.model_copy(update={"rule": "forbidden pair"})
    both = quillmoor.model_copy(update={"rules": [rule, banned]})
    assert resolve(both, links).css("ground/paper/heading") != "#8e5a9b"
    # What was wired goes before it.
    wired = links.model_copy(update={"wires": {"paper/heading": "neutral/900"}})
    assert resolve(identity, wired).css("ground/paper/heading") == resolve(quillmoor, wired).css("ground/paper/heading")


def test_a_label_that_the_guideline_asks_for_stands_on_its_fill(quillmoor: Identity) -> None:
    """The main button of the demo is Lamp; on Lamp, Heather is not read and Night is what is derived; so another brand is asked."""
    colors = [
        BrandColor(name=name, value=value)
        for name, value in (("Coal", "#16202A"), ("Fern", "#1F5A48"), ("Milk", "#F4F7EE"), ("Sun", "#FFE08A"))
    ]
    brand = Identity(name="Fernery", colors=colors)
    rule = BrandRule(rule="wanted pair", text="Sun on Fern works best.", values={"ink": "Sun", "ground": "Fern"})
    asked = brand.model_copy(update={"rules": [rule]})
    grounds = [g for g in GROUNDS if resolve(brand).css(f"ground/{g}/primary/fill/rest") == "#1f5a48"]
    assert grounds
    for ground in grounds:
        assert resolve(brand).css(f"ground/{ground}/primary/label/rest") != "#ffe08a"
        assert resolve(asked).css(f"ground/{ground}/primary/label/rest") == "#ffe08a"
    assert all(pair.passes for pair in resolve(asked).pairs)


@settings(max_examples=60)
@given(
    st.lists(st.tuples(*[st.integers(0, 255)] * 3), min_size=0, max_size=6),
    st.sampled_from(["AA", "AAA"]),
    st.sampled_from(["light", "both"]),
)
def test_outlined_main_buttons_are_read_and_seen_on_every_ground(
    colors: list[tuple[int, int, int]], policy: str, scheme: str
) -> None:
    named = [BrandColor(id=f"c{i}", name=f"Colour {i}", value=to_hex(rgb)) for i, rgb in enumerate(colors)]
    system = resolve(
        Identity(name="Any", colors=named), Choices.model_validate({"policy": policy, "scheme": scheme} | OUTLINED)
    )
    unmet = {(one.scheme, one.ground, one.ink) for one in system.conflicts}
    for pair in system.pairs:
        assert pair.passes == ((pair.scheme, pair.ground, pair.ink) not in unmet), pair
    for ground in GROUNDS:
        back, fill, label, border = (
            system.css(f"ground/{ground}/{part}")
            for part in ("background", "primary/fill/rest", "primary/label/rest", "primary/border/rest")
        )
        assert fill == back
        if not conflicts_of(system, ground):
            assert (
                contrast_ratio(from_hex(label), from_hex(back)) >= 4.5 and contrast_ratio(from_hex(border), from_hex(back)) >= 3
            )


def test_what_leads_to_an_outlined_main_button_is_its_ink_and_a_pinned_fill_stays(quillmoor: Identity) -> None:
    wired = Choices.model_validate(OUTLINED | {"wires": {"paper/primary": "heather"}})
    assert resolve(quillmoor, wired).css("ground/paper/primary/label/rest") == "#8e5a9b"
    assert resolve(quillmoor, wired).css("ground/paper/primary/border/rest") == "#8e5a9b"
    pinned = Choices.model_validate(OUTLINED | {"pins": {"ground/paper/primary/fill/rest": "#FFFFFF"}})
    assert resolve(quillmoor, pinned).css("ground/paper/primary/fill/rest") == "#ffffff"
    # One that is led to a colour that is not read there has ways out that hold.
    unread = Choices.model_validate(OUTLINED | {"wires": {"paper/primary": "lamp"}})
    (conflict,) = (c for c in resolve(quillmoor, unread).conflicts if c.ink == "primary/label/rest" and c.ground == "paper")
    assert conflict.alternatives
    for number in range(len(conflict.alternatives)):
        assert not [c for c in resolve(quillmoor, patched(unread, conflict, number)).conflicts if c.ground == "paper"]


def test_an_outlined_main_button_is_told_from_the_second_where_both_have_one_ink() -> None:
    brand = Identity(name="Reed", colors=[BrandColor(name="Reed", value="#4B5A3C"), BrandColor(name="Straw", value="#E9DDBE")])
    system = resolve(brand, Choices.model_validate(OUTLINED))
    met = 0
    for ground in GROUNDS:
        main, second = (system.css(f"ground/{ground}/{variant}/label/rest") for variant in ("primary", "secondary"))
        border = system.css(f"ground/{ground}/secondary/border/rest")
        if main == second:
            met += 1
            assert border != system.css(f"ground/{ground}/primary/border/rest")
            assert contrast_ratio(from_hex(border), from_hex(system.css(f"ground/{ground}/background"))) >= 3
    assert met and all(pair.passes for pair in system.pairs)
