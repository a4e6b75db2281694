"""A thousand random palettes of 1 to 12 colours: exact values kept, every unconflicted pair passes, deterministic, and
every way out does what it says."""

import random
from itertools import pairwise

import jsonpatch
import pytest

from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.difference import difference
from formulon.core.color.oklab_scalar import oklab, oklch
from formulon.core.color.parse import parse_color
from formulon.core.color.srgb import from_hex, to_hex
from formulon.core.system.documents.choices import GROUNDS, Choices, Links, Thresholds
from formulon.core.system.documents.identity import BrandColor, Identity
from formulon.core.system.parts import ROLES, VARIANTS
from formulon.core.system.policy import policy_of
from formulon.core.system.resolve import resolve
from formulon.core.system.solving.groups.texts import LINK_FROM_TEXT
from formulon.core.system.system import System

COUNT = 1008


def some_hex(dice: random.Random) -> str:
    return f"#{dice.randrange(1 << 24):06X}"


def grey(dice: random.Random) -> str:
    value = dice.randrange(256)
    return f"#{value:02x}{value:02x}{value:02x}"


def near(dice: random.Random, value: str) -> str:
    r, g, b = (min(255, max(0, part + dice.randint(-3, 3))) for part in from_hex(value.lower()))
    return f"#{r:02x}{g:02x}{b:02x}"


def middling(dice: random.Random) -> str:
    """A colour of relative luminance 0.10 to 0.30, on which nothing reaches 7:1."""
    while True:
        value = some_hex(dice)
        if 0.1 <= (contrast_ratio(from_hex(value.lower()), (0, 0, 0)) * 0.05 - 0.05) <= 0.3:
            return value


def outside(dice: random.Random) -> str:
    """A colour of a wider space than sRGB."""
    if dice.random() < 0.5:
        return f"oklch({dice.uniform(0.3, 0.9):.3f} {dice.uniform(0.25, 0.4):.3f} {dice.uniform(0, 360):.1f})"
    return f"color(display-p3 {dice.choice((0, 1))} {dice.random():.3f} {dice.choice((0, 1))})"


def palette(number: int) -> list[str]:
    dice = random.Random(number)
    size = 1 + number % 12
    kind = number // 12 % 7
    if kind == 0:
        return [grey(dice) for _ in range(size)]
    if kind == 1:
        return [some_hex(dice)]
    if kind == 2:
        first = some_hex(dice)
        return [first, *(near(dice, first) for _ in range(size - 1))]
    if kind == 3:
        return [middling(dice) for _ in range(size)]
    if kind == 4:
        return [outside(dice) for _ in range(size)]
    return [some_hex(dice) for _ in range(size)]


def identity_of(values: list[str]) -> Identity:
    return Identity(name="Any", colors=[BrandColor(id=f"c{i}", name=f"C{i}", value=v) for i, v in enumerate(values)])


def told(system: System) -> set[tuple[str, str, str]]:
    return {(c.scheme, c.ground, c.ink) for c in system.conflicts if c.code in ("contrast-unmet", "forbidden-pair")}


def everything_holds(identity: Identity, choices: Choices, system: System) -> None:
    policy = policy_of(choices)
    for color in identity.colors:
        token = system.tokens[f"brand/{color.id}"]
        parsed = parse_color(color.value)
        assert token.css.lower() == parsed.hex  # kept exactly; outside sRGB its fallback
        assert token.wide == (color.value if parsed.mapped else "")
        ramp = [from_hex(system.tokens[f"ramp/{color.id}/{step}"].css) for step in range(100, 1000, 100)]
        assert parsed.rgb in ramp
        assert all(oklab(a)[0] >= oklab(b)[0] - 0.004 for a, b in pairwise(ramp))
    unmet = told(system)
    needed = {0.0, policy.text, policy.large, policy.boundary, LINK_FROM_TEXT}
    for pair in system.pairs:
        assert pair.ratio == contrast_ratio(from_hex(pair.foreground), from_hex(pair.background))
        assert pair.required in needed
        assert pair.passes == ((pair.scheme, pair.ground, pair.ink) not in unmet), pair
    assert all(token.reason.endswith(".") for token in system.tokens.values())


@pytest.mark.parametrize("part", range(12))
def test_a_thousand_palettes(part: int) -> None:
    for number in range(part * 84, part * 84 + 84):
        values = palette(number)
        dice = random.Random(-number - 1)
        own = Thresholds(
            text=round(dice.uniform(4.5, 9), 2), large=round(dice.uniform(3, 4.5), 2), boundary=round(dice.uniform(3, 4.5), 2)
        )
        policy, scheme = ("AA", "AA", "AA", "own", "AAA")[number % 5], ("light", "dark", "both")[number // 84 % 3]
        choices = Choices.model_validate({"policy": policy, "scheme": scheme, "thresholds": own})
        identity = identity_of(values)
        system = resolve(identity, choices)
        everything_holds(identity, choices, system)
        if choices.policy == "AA":
            assert not told(system), number  # black or white reaches 4.58:1 everywhere
        if number % 9 == 0:
            again = resolve(identity_of([*values, "#123456"]), choices)  # out of the cache's way
            assert again.to_json() != system.to_json()
            assert resolve(identity_of(values), choices).to_json() == system.to_json()
        if number % 11 == 0:
            every_way_out_does_what_it_says(identity, wired(choices, identity, dice))


def wired(choices: Choices, identity: Identity, dice: random.Random) -> Choices:
    """Choices with a few wires and pins at random, most of which cannot be read."""
    references = [*(c.id for c in identity.colors), "neutral/500", "white", "black"]
    prefix = "dark:" if choices.scheme == "dark" else ""
    roles = [f"{prefix}{dice.choice(GROUNDS)}/{dice.choice(list(ROLES))}" for _ in range(2)]
    pins = {f"{prefix}ground/{dice.choice(GROUNDS)}/{dice.choice(VARIANTS)}/label/rest": some_hex(dice)}
    pins |= {f"{prefix}ground/{dice.choice(GROUNDS)}/link-hover": some_hex(dice)}
    fills = ("primary/fill/rest", "primary/fill/hover", "field/fill/rest", "secondary/fill/pressed", "selection")
    pins |= {f"{prefix}ground/{dice.choice(GROUNDS)}/{dice.choice(fills)}": some_hex(dice)}
    wires, links = {role: dice.choice(references) for role in roles}, Links(underlined=dice.random() < 0.6)
    return choices.model_copy(update={"wires": wires, "pins": pins, "links": links})


def every_way_out_does_what_it_says(identity: Identity, choices: Choices) -> None:
    system = resolve(identity, choices)
    everything_holds(identity, choices, system)
    for path, value in choices.pins.items():
        token = system.tokens[path.removeprefix("dark:")]
        assert (token.css, token.origin) == (value.lower(), "pinned")
    for conflict in system.conflicts:
        for way in conflict.alternatives:
            patched = jsonpatch.apply_patch(choices.model_dump(), list(way.patch))
            after = resolve(identity, Choices.model_validate(patched))
            left = {(c.code, c.scheme, c.path) for c in after.conflicts}
            assert (conflict.code, conflict.scheme, conflict.path) not in left, (conflict.message, way.label)
            if way.color and conflict.code == "contrast-unmet":
                pair = next(
                    p for p in after.pairs if (p.scheme, p.ground, p.ink) == (conflict.scheme, conflict.ground, conflict.ink)
                )
                other_fill = " under " in way.label
                before, now = (conflict.background, pair.background) if other_fill else (conflict.foreground, pair.foreground)
                assert now == way.color and pair.ratio == pytest.approx(way.ratio, abs=1e-9)
                assert way.delta_e == pytest.approx(difference(from_hex(before), from_hex(way.color)), abs=1e-9)


def test_a_conflict_that_stands_by_itself_has_ways_out() -> None:
    for number in range(0, 120, 7):
        identity = identity_of(palette(number))
        system = resolve(identity, wired(Choices(), identity, random.Random(number)))
        for conflict in (c for c in system.conflicts if not c.cause and c.code != "mark-unseen"):
            assert 1 <= len(conflict.alternatives) <= 3, conflict
            if conflict.code == "contrast-unmet" and len(conflict.alternatives) == 1:
                # No other colour of the palette is read there, or two were set by hand that cannot go together.
                on, given = from_hex(conflict.background), conflict.alternatives[0].color
                read = [rgb for rgb in system.palette.values() if contrast_ratio(rgb, on) >= conflict.required]
                assert len({rgb for rgb in read if to_hex(rgb) != given}) == 0 or "/border" in conflict.path, conflict


def test_a_label_that_cannot_be_read_on_a_chosen_fill_is_given_other_fills() -> None:
    """Heather under AAA: neither black nor white reaches 7:1 on it."""
    identity = identity_of(["#1B2147", "#8E5A9B", "#F6F1E7"])
    choices = Choices(policy="AAA", wires={"paper/primary": "c1"})
    (conflict,) = (c for c in resolve(identity, choices).conflicts if c.path == "ground/paper/primary/label/rest")
    derived, *others = conflict.alternatives
    assert derived.label == "As derived"
    assert [way.patch[0]["value"].split("/")[0] for way in others] == ["c1", "neutral"]
    assert all(way.ratio >= 7 for way in others)
    assert others[0].delta_e < others[1].delta_e


def test_what_follows_from_a_conflict_is_told_under_it() -> None:
    identity = identity_of(["#1B2147", "#F2A93B", "#F6F1E7"])
    pins = {
        "ground/paper/link": "#f0e0c0",
        "ground/paper/secondary/label/rest": "#f0e0c0",
        "ground/paper/field/border/rest": "#f0e0c0",
    }
    causes = {c.path: c.cause for c in resolve(identity, Choices(pins=pins)).conflicts}
    assert causes["ground/paper/link"] == "" and causes["ground/paper/link-hover"] == "ground/paper/link"
    assert causes["ground/paper/secondary/border/rest"] == "ground/paper/secondary/label/rest"
    assert causes["ground/paper/field/border/focus"] == "ground/paper/field/border/rest"


def test_hue_of_a_ramp_is_kept_straight() -> None:
    """Within what eight bits allow: steps with enough chroma to have a hue stay within a few degrees of the anchor."""
    dice = random.Random(5)
    for _ in range(60):
        value = some_hex(dice)
        system = resolve(identity_of([value]))
        hue = oklch(from_hex(value.lower()))[2]
        if oklch(from_hex(value.lower()))[1] < 0.05:
            continue
        for step in range(100, 1000, 100):
            _, chroma, own = oklch(from_hex(system.tokens[f"ramp/c0/{step}"].css))
            if chroma > 0.04:
                assert abs((own - hue + 180) % 360 - 180) < 4, (value, step)
