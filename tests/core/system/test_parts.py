"""The table of parts: everything that stands on a ground is stated in it once, solved, drawn, checked and led out of trouble."""

import jsonpatch
import pytest

from formulon.core.system.css import drawn_css
from formulon.core.system.documents.choices import GROUNDS, Choices
from formulon.core.system.documents.identity import BrandColor, Identity
from formulon.core.system.parts import CHECKS, GROUND, INKS, PARTS, ROLES, WIRED_INKS, drawn_with, of_group
from formulon.core.system.resolve import resolve
from formulon.core.system.solving.groups import GROUPS

BRAND = Identity(
    name="Any",
    colors=[BrandColor(name=n, value=v) for n, v in (("Moss", "#4a6b35"), ("Oat", "#f4efe2"), ("Rust", "#b4532a"))],
)
DERIVED = resolve(BRAND)


def test_every_part_is_solved_by_one_group_and_is_a_token_of_every_ground() -> None:
    solved = [path for group in GROUPS for path in group.parts]
    assert sorted(solved) == sorted(PARTS)
    assert {part.group for part in PARTS.values()} == {name for name in {p.group for p in PARTS.values()} if of_group(name)}
    for ground in GROUNDS:
        assert {f"ground/{ground}/{path}" for path in PARTS} <= DERIVED.tokens.keys()


def test_every_pair_is_of_parts_and_is_measured_on_every_ground() -> None:
    for check in CHECKS.values():
        assert check.front in PARTS and (check.behind == GROUND or check.behind in PARTS)
        assert set(check.by_hand) <= PARTS.keys()
        assert not check.follows or check.follows in CHECKS
    measured = {(pair.ground, pair.ink) for pair in DERIVED.pairs}
    assert measured == {(ground, ink) for ground in GROUNDS for ink in CHECKS}


def test_what_a_part_stands_on_is_a_part_or_the_ground() -> None:
    assert all(part.under == GROUND or part.under in PARTS for part in PARTS.values())
    assert PARTS["primary/label/hover"].under == "primary/fill/hover"
    assert PARTS["selection-ink"].under == "selection"
    assert PARTS["field/hint/invalid"].under == "field/fill/invalid"


def test_a_failure_that_follows_from_another_ends_at_one_that_stands_by_itself() -> None:
    for check in CHECKS.values():
        seen = [check.ink]
        while CHECKS[seen[-1]].follows:
            seen.append(CHECKS[seen[-1]].follows)
            assert len(seen) < 4, seen
        assert not CHECKS[seen[-1]].follows


def test_roles_are_the_wired_inks_and_the_two_buttons() -> None:
    assert set(ROLES) == {*WIRED_INKS, "primary", "secondary"}
    assert set(WIRED_INKS) < set(INKS)


def test_a_text_button_is_drawn_without_border_and_without_fill_at_rest() -> None:
    assert drawn_with(PARTS["text/label/rest"]) == ("text/label/rest",)
    assert drawn_with(PARTS["text/label/hover"]) == ("text/fill/hover", "text/label/hover")
    assert drawn_with(PARTS["primary/label/rest"]) == ("primary/fill/rest", "primary/label/rest", "primary/border/rest")


def test_every_part_has_a_name_for_style_sheets() -> None:
    names = frozenset(f"--{path.replace('/', '-')}" for path in PARTS)
    css = drawn_css(DERIVED, "light", names)
    assert all(f"{name}:" in css for name in names)


@pytest.mark.parametrize("path", PARTS)
def test_a_part_that_was_set_by_hand_is_what_was_set_and_nothing_else_ground_by_ground(path: str) -> None:
    system = resolve(BRAND, Choices(pins={f"ground/tint/{path}": "#123456"}))
    token = system.tokens[f"ground/tint/{path}"]
    assert (token.css, token.origin) == ("#123456", "pinned")
    assert not [one for one in system.conflicts if one.code == "pin-lost"]
    other = [name for name in system.tokens if not name.startswith("ground/tint/")]
    assert [name for name in other if system.tokens[name] != DERIVED.tokens[name]] == []


@pytest.mark.parametrize("ink", [check.ink for check in CHECKS.values() if check.needs != "none"])
def test_a_part_in_the_colour_of_what_it_stands_on_is_a_conflict_that_every_way_out_ends(ink: str) -> None:
    check = CHECKS[ink]
    behind = DERIVED.css(f"ground/deep/{check.behind}")
    pins = {f"ground/deep/{check.front}": behind}
    if check.behind != GROUND:  # else another fill is found for it
        pins[f"ground/deep/{check.behind}"] = behind
    choices = Choices(pins=pins)
    (found,) = (one for one in resolve(BRAND, choices).conflicts if one.path == f"ground/deep/{ink}")
    assert found.code == "contrast-unmet" and found.cause == ""
    assert found.measured is not None and found.measured < found.required
    assert found.alternatives
    for way in found.alternatives:
        after = Choices.model_validate(jsonpatch.apply_patch(choices.model_dump(), list(way.patch)))
        assert not [one for one in resolve(BRAND, after).conflicts if one.path == found.path], way.label
