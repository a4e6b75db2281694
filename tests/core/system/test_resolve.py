"""resolve(): exact colours kept, every pair passes or is a conflict, deterministic, explained."""

import json

import jsonpatch
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.srgb import from_hex, to_hex
from formulon.core.system.documents.choices import GROUNDS, Choices
from formulon.core.system.documents.identity import BrandColor, Identity
from formulon.core.system.resolve import resolve
from formulon.core.system.system import System

RGB = st.tuples(*[st.integers(0, 255)] * 3)
BRANDS = st.lists(RGB, min_size=0, max_size=8)


def identity_of(colors: list[tuple[int, int, int]]) -> Identity:
    named = [BrandColor(id=f"c{i}", name=f"Colour {i}", value=to_hex(rgb)) for i, rgb in enumerate(colors)]
    return Identity(name="Any", colors=named)


def conflicted(system: System) -> set[tuple[str, str]]:
    return {(conflict.ground, conflict.ink) for conflict in system.conflicts}


@settings(max_examples=120)
@given(BRANDS, st.sampled_from(["AA", "AAA"]))
def test_any_brand(colors: list[tuple[int, int, int]], policy: str) -> None:
    identity = identity_of(colors)
    system = resolve(identity, Choices(policy=policy))
    # Exact colours are never altered.
    for color in identity.colors:
        assert system.tokens[f"brand/{color.id}"].css == color.value
    # Every pair that is not in a conflict meets the policy, on the colours that it names.
    unmet = conflicted(system)
    for pair in system.pairs:
        assert pair.ratio == contrast_ratio(from_hex(pair.foreground), from_hex(pair.background))
        assert pair.passes == ((pair.ground, pair.ink) not in unmet), pair
    # Text buttons are drawn in the link ink and stand or fall with it.
    for ground in GROUNDS:
        link = system.css(f"ground/{ground}/link")
        assert system.css(f"ground/{ground}/text/label/rest") == link
    # What it derives is deterministic.
    assert system.to_json() == resolve(identity, Choices(policy=policy)).to_json()


@settings(max_examples=80)
@given(BRANDS)
def test_at_aa_nothing_is_unmet_without_choices(colors: list[tuple[int, int, int]]) -> None:
    """Black or white reaches 4.58:1 on every ground, so AA can always be met."""
    system = resolve(identity_of(colors))
    assert [c for c in system.conflicts if c.code == "contrast-unmet"] == []
    assert all(pair.passes for pair in system.pairs)


@settings(max_examples=80)
@given(BRANDS)
def test_black_and_white_only_where_no_step_passes(colors: list[tuple[int, int, int]]) -> None:
    """An ink is pure black or white only where no step meets all that it needs, on everything that it stands on."""
    system = resolve(identity_of(colors))
    steps = [rgb for reference, rgb in system.palette.items() if reference not in ("white", "black")]
    exact, pure = {to_hex(rgb) for rgb in colors}, {"#000000", "#ffffff"}
    needs: dict[tuple[str, str], list[tuple[tuple[int, int, int], float]]] = {}
    for pair in system.pairs:
        if not pair.exempt and not pair.ink.endswith(("/hover", "/pressed")):  # a label stays the same in all states
            assert pair.background not in pure - exact, pair
            name = pair.ink.replace("-inside", "")
            needs.setdefault((pair.ground, name), []).append((from_hex(pair.background), pair.required))
    for (ground, ink), on in needs.items():
        if ink.startswith("focus"):
            continue  # its two tones are chosen together, see test_exhaustive
        if system.css(f"ground/{ground}/{ink}") in pure - exact:
            assert not any(all(contrast_ratio(step, back) >= required for back, required in on) for step in steps), ink


def test_demo_grounds_and_reasons(quillmoor: Identity) -> None:
    """What docs/architecture.md promises of the demo brand."""
    system = resolve(quillmoor)
    ground = {name: system.css(f"ground/{name}/background") for name in GROUNDS}
    assert ground["paper"] == "#f6f1e7" and ground["deep"] == "#1b2147"
    assert ground["brand"] == "#f2a93b" and ground["accent"] == "#8e5a9b"
    link = system.tokens["ground/paper/link"]
    assert link.css == "#8e5a9b" and link.origin == "exact"
    assert "Lamp #f2a93b on Chalk is 1.77:1" in link.reason and "4.5:1" in link.reason
    assert system.tokens["ground/paper/primary/fill/rest"].css == "#f2a93b"
    assert system.tokens["brand/night"].css == "#1B2147"  # as it was written


def test_every_token_has_origin_and_reason(quillmoor: Identity) -> None:
    for token in resolve(quillmoor, Choices(wires={"accent/link": "lamp"})).tokens.values():
        assert token.origin in ("exact", "derived", "chosen", "pinned")
        assert token.reason.endswith("."), token.path
        assert token.css


def test_a_wire_that_cannot_be_read_is_kept_and_told(quillmoor: Identity) -> None:
    system = resolve(quillmoor, Choices(wires={"accent/link": "lamp"}))
    assert system.tokens["ground/accent/link"].css == "#f2a93b"
    assert system.tokens["ground/accent/link"].origin == "chosen"
    (conflict,) = (one for one in system.conflicts if not one.cause)
    assert (conflict.code, conflict.ground, conflict.ink) == ("contrast-unmet", "accent", "link")
    assert all(one.cause == "ground/accent/link" for one in system.conflicts if one is not conflict)
    assert conflict.measured == pytest.approx(2.573, abs=0.001) and conflict.required == 4.5
    assert 2 <= len(conflict.alternatives) <= 3
    for way in conflict.alternatives:
        before = Choices(wires={"accent/link": "lamp"}).model_dump()
        after = resolve(quillmoor, Choices.model_validate(jsonpatch.apply_patch(before, way.patch)))
        assert after.conflicts == ()
        assert after.css("ground/accent/link") == way.color


def test_a_wire_that_can_be_read_is_taken(quillmoor: Identity) -> None:
    system = resolve(quillmoor, Choices(wires={"accent": "night", "paper/primary": "heather"}))
    assert system.css("ground/accent/background") == "#1b2147"
    assert system.css("ground/paper/primary/fill/rest") == "#8e5a9b"
    assert system.conflicts == ()


def test_a_wire_to_a_color_that_is_gone_is_told(quillmoor: Identity) -> None:
    system = resolve(quillmoor, Choices(wires={"paper/link": "moss"}))
    (conflict,) = system.conflicts
    assert conflict.code == "wire-lost"
    assert system.css("ground/paper/link") == "#8e5a9b"


def test_neighbouring_states_differ(quillmoor: Identity) -> None:
    system = resolve(quillmoor)
    for ground in GROUNDS:
        fills = [system.css(f"ground/{ground}/primary/fill/{state}") for state in ("rest", "hover", "pressed")]
        assert len(set(fills)) == 3, (ground, fills)


def test_marks_are_chosen_by_what_is_seen(quillmoor: Identity) -> None:
    system = resolve(quillmoor)
    assert system.marks["paper"].mark == "quillmoor-full"
    assert system.marks["deep"].mark == "quillmoor-full-reversed"
    assert system.marks["deep"].visibility > 0.9


def test_a_brand_color_called_white_is_not_pure_white() -> None:
    identity = Identity.model_validate(
        {"name": "X", "colors": [{"name": "White", "value": "#FDFBF7"}, {"name": "Neutral", "value": "#8A6"}]}
    )
    system = resolve(identity, Choices(wires={"deep/heading": "brand-white"}))
    assert [color.id for color in identity.colors] == ["brand-white", "brand-neutral"]
    assert system.css("ground/deep/heading") == "#fdfbf7" and system.palette["white"] == (255, 255, 255)
    with pytest.raises(ValueError, match="stands for a colour of the system"):
        BrandColor(id="black", name="Ink", value="#111")


def test_a_brand_without_colors_or_marks_still_resolves() -> None:
    system = resolve(Identity(name="Bare"))
    assert system.conflicts == ()
    assert all(chosen.mark is None for chosen in system.marks.values())


def test_json_holds_no_nan(quillmoor: Identity) -> None:
    json.dumps(resolve(quillmoor).to_json(), allow_nan=False)


def test_letters_that_join_are_set_without_tracking() -> None:
    """CSS Text 3, 8.2.1: cursive scripts are not spaced between letters."""
    identity = Identity.model_validate(
        {"name": "دار الصفصاف", "language": "ar", "colors": [{"name": "Moor", "value": "#3a5a40"}]}
    )
    choices = Choices.model_validate({"scale": {"steps": {"label": {"tracking": 0.1}}}})
    system = resolve(identity, choices)
    assert {step.tracking for step in system.steps.values()} == {0.0}
    assert system.tokens["type/label/tracking"].reason == "No space is set between letters that join."
    other = resolve(identity.model_copy(update={"language": "he"}), choices)
    assert other.steps["label"].tracking == 0.1 and other.steps["display"].tracking < 0
