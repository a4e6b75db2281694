"""What stands on one ground, as tokens, pairs and conflicts."""

from collections.abc import Mapping
from dataclasses import dataclass, field

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.system.parts import GROUND, PARTS, Check
from formulon.core.system.solving import ways
from formulon.core.system.solving.groups import GROUPS
from formulon.core.system.solving.groups.group import Group
from formulon.core.system.solving.scene import Scene, Solved
from formulon.core.system.solving.search import Swatch
from formulon.core.system.solving.settings import ColorSettings
from formulon.core.system.system import Alternative, Conflict, Origin, Pair, Token

APART = {"motif"}  # solved once the grounds are


def token_of(path: str, swatch: Swatch, origin: Origin, reason: str) -> Token:
    """The token of a colour that stands at a place."""
    text = to_hex(swatch.rgb)
    return Token(path, "color", text, text, origin, reason, swatch.alias)


@dataclass
class OnGround:
    """The tokens, pairs and conflicts of what stands on a ground."""

    tokens: dict[str, Token] = field(default_factory=dict)
    pairs: list[Pair] = field(default_factory=list)
    conflicts: list[Conflict] = field(default_factory=list)


def on_ground(scene: Scene, settings: ColorSettings) -> OnGround:
    """Everything that stands on the ground of a scene, solved group by group."""
    made: Solved = {}
    for group in GROUPS:
        made |= group.solve(scene, made)
    start = f"ground/{scene.ground.name}/"
    found = OnGround({start + path: token_of(start + path, *made[path]) for path in PARTS})
    drawn = {path: found.tokens[start + path].css for path in PARTS} | {GROUND: to_hex(scene.back)}
    for group in GROUPS:
        for check in group.checks:
            pair = _pair(scene, check, made, drawn, settings)
            found.pairs.append(pair)
            if not pair.passes or scene.forbidden:
                found.conflicts += _told(scene, group, made, check, pair, settings)
        found.conflicts += group.conflicts(scene, made, settings)
    for path in sorted(scene.by_hand.keys() - PARTS.keys() - APART):
        value = to_hex(scene.by_hand[path].swatch.rgb)
        found.conflicts.append(ways.lost_pin(start + path, value, settings.scheme))
    if _mid(scene):  # under AAA nothing reaches 7:1 there: one conflict for the ground, with ways out
        found.conflicts.append(ways.mid_ground(scene, settings))
    return found


def _pair(scene: Scene, check: Check, made: Solved, drawn: Mapping[str, str], settings: ColorSettings) -> Pair:
    """`drawn` has every part as CSS writes it."""
    ratio = contrast_ratio(made[check.front].swatch.rgb, scene.behind(check.behind, made))
    front, behind, required = drawn[check.front], drawn[check.behind], scene.needs[check.needs]
    return Pair(scene.ground.name, check.ink, front, behind, ratio, required, required == 0, settings.scheme)


def _told(scene: Scene, group: Group, made: Solved, check: Check, pair: Pair, settings: ColorSettings) -> list[Conflict]:
    """A conflict for a pair that fails, or that the guideline rules out, with its ways out."""
    front, ground = made[check.front].swatch, scene.ground.name
    banned = pair.required > 0 and (front.rgb, scene.behind(check.behind, made)) in scene.forbidden
    if pair.passes and not banned:
        return []
    message = f"{front.label} as {check.label.lower()} on {ground} is {shown(pair.ratio)}; it needs {pair.required:g}:1."
    if banned:
        message = f"The guideline rules out {front.label} as {check.label.lower()} on {ground}."
    hand = next((path for path in check.by_hand if path in scene.by_hand), "")
    cause = f"ground/{ground}/{check.follows}" if check.follows and not hand else ""
    out: tuple[Alternative, ...] = ()
    if _mid(scene) and pair.required == scene.text:
        cause = f"ground/{ground}/background"  # nothing could be read, whatever is set by hand
    elif hand:
        out = group.ways_out(scene, made, check, pair, hand, settings)
    return [
        Conflict(
            "forbidden-pair" if pair.passes else "contrast-unmet", f"ground/{ground}/{check.ink}", ground, pair.ink,
            pair.foreground, pair.background, pair.ratio, pair.required, message, out, cause, settings.scheme,
        )
    ]  # fmt: skip


def _mid(scene: Scene) -> bool:
    """Whether not even black or white reaches the ratio for text on this ground."""
    return max_ratio(scene.back) < scene.text


def max_ratio(rgb: RGB) -> float:
    """The most contrast that anything has with a colour: that of black or white."""
    return max(contrast_ratio(rgb, (0, 0, 0)), contrast_ratio(rgb, (255, 255, 255)))
