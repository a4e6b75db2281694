"""Ways out of conflicts: for each the two or three smallest changes of the choices after which it is gone."""

from collections.abc import Iterator, Mapping
from dataclasses import replace
from functools import partial
from itertools import islice
from typing import NamedTuple, Protocol

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.difference import difference
from formulon.core.color.oklab_scalar import oklab
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.system.documents.choices import DARK
from formulon.core.system.parts import GROUND, PARTS, Check, Part
from formulon.core.system.policy import AA
from formulon.core.system.solving.scene import Made, Scene, Solved, passes
from formulon.core.system.solving.search import NEUTRAL, PURE, RAMP, Swatch, best, ranked
from formulon.core.system.solving.settings import ColorSettings
from formulon.core.system.system import Alternative, Conflict, Operation, Pair, Scheme

_MOST = 3
_LOOKED_AT = 24  # so many fills of a class, the nearest first


class Solves(Protocol):
    """A role group, as ways out ask it."""

    def solve(self, scene: Scene, made: Solved) -> Iterator[tuple[str, Made]]: ...

    def together(self, scene: Scene) -> Mapping[str, Swatch]: ...


class Failed(NamedTuple):
    """A pair that fails, and the part of it that was set by hand."""

    check: Check
    pair: Pair
    hand: str


def pointer(*parts: str) -> str:
    """A JSON Pointer (RFC 6901)."""
    return "".join("/" + part.replace("~", "~0").replace("/", "~1") for part in parts)


def keyed(name: str, scheme: Scheme) -> str:
    """A role or path as the choices write it for a scheme."""
    return f"{DARK}{name}" if scheme == "dark" else name


def lost_wire(role: str, reference: str, scheme: Scheme) -> Conflict:
    """A wire to a colour that the identity no longer holds."""
    ground, _, ink = role.partition("/")
    return Conflict(
        "wire-lost", f"ground/{role}", ground, ink, "", "", None, None,
        f"{role} was led to “{reference}”, which the identity no longer holds; the derived colour is used.",
        (Alternative("Take the wire off", (_remove("wires", keyed(role, scheme)),)),), scheme=scheme, unit="",
    )  # fmt: skip


def lost_pin(path: str, value: str, scheme: Scheme = "light") -> Conflict:
    """A pin that no token takes."""
    return Conflict(
        "pin-lost", path, "", "", "", "", None, None,
        f"{path} was pinned at {value}, which no token of the system takes; the derived value is used.",
        (Alternative("Release the pin", (_remove("pins", keyed(path, scheme)),)),), scheme=scheme, unit="",
    )  # fmt: skip


def out(group: Solves, scene: Scene, made: Solved, failed: Failed, settings: ColorSettings) -> tuple[Alternative, ...]:
    """Ways out of a failed pair: another colour in the place of the one that was set by hand, or another under it."""
    check, _, hand = failed
    if hand != check.front:
        return _other_fill(group, scene, made, failed, settings)
    found = _other_ink(group, scene, made, failed, settings)
    under = PARTS[hand].under
    if not found and under in scene.by_hand:  # an ink for which the fill leaves nothing
        return _other_fill(group, scene, made, failed._replace(hand=under), settings)
    return found


def _other_ink(group: Solves, scene: Scene, made: Solved, failed: Failed, settings: ColorSettings) -> tuple[Alternative, ...]:
    """As derived, the nearest passing step, a neutral, black or white."""
    check, pair, hand = failed
    part, found, on = PARTS[hand], made[hand].swatch, scene.behind(check.behind, made)
    pinned = scene.by_hand[hand].origin == "pinned"
    release = _release(scene, part, settings)
    ways: list[Alternative] = []
    free = dict(group.solve(scene.without(hand), made))
    if part.ink:
        own = free[hand].swatch
        if passes(own.rgb, on, pair.required):
            ways.append(_way(f"{own.label}, as derived", tuple(release), own, found, on))
    elif _read(scene, made | free, failed):
        ways.append(Alternative("Release the pin" if pinned else "As derived", tuple(release)))
    for kinds in ((RAMP,), (NEUTRAL,), (PURE,)):
        options = scene.costs.options(oklab(found.rgb), kinds)
        near = best(options, scene.on(options, on, pair.required))
        if near is None or any(way.color == to_hex(near.rgb) for way in ways) or near.rgb == found.rgb:
            continue
        patch = _put_in(scene, part, near, settings, as_pin=pinned or not part.role)
        ways.append(_way(near.label, (patch,), near, found, on))
    return tuple(ways[:_MOST])


def _other_fill(group: Solves, scene: Scene, made: Solved, failed: Failed, settings: ColorSettings) -> tuple[Alternative, ...]:
    """As derived, or the nearest ramp step, neutral, black or white on which what stands there can be read."""
    check, pair, hand = failed
    part, found = PARTS[hand], made[check.front].swatch
    fill, origin = scene.by_hand[hand]
    ways = []
    if _read(scene, made | dict(group.solve(scene.without(hand), made)), failed):
        ways.append(
            Alternative("Release the pin" if origin == "pinned" else "As derived", tuple(_release(scene, part, settings)))
        )
    on_it = partial(_on_fill, group, scene, part, found, check)
    for kinds in ((RAMP,), (NEUTRAL,), (PURE,)):
        options = scene.costs.options(oklab(fill.rgb), kinds)
        tried = islice(ranked(options, options.cost), _LOOKED_AT)
        near = next((one for one in tried if _carried(scene, one, on_it(one), check, pair)), None)
        if near is None or near.rgb == fill.rgb:
            continue
        ink = on_it(near)
        patch, label = _put_in(scene, part, near, settings, as_pin=origin == "pinned"), f"{near.label} under {ink.label}"
        if check.behind == GROUND:  # what was asked is the border on the ground, not on the fill
            ways.append(Alternative(label, (patch,)))
            continue
        ratio = contrast_ratio(ink.rgb, near.rgb)
        ways.append(Alternative(label, (patch,), to_hex(near.rgb), ratio, difference(near.rgb, fill.rgb)))
    return tuple(ways[:_MOST])


def _carried(scene: Scene, fill: Swatch, ink: Swatch, check: Check, pair: Pair) -> bool:
    on = scene.back if check.behind == GROUND else fill.rgb
    return passes(ink.rgb, on, pair.required) and (ink.rgb, fill.rgb) not in scene.forbidden


def _read(scene: Scene, made: Solved, failed: Failed) -> bool:
    """Whether a pair passes as it is solved anew."""
    check, pair, _ = failed
    return passes(made[check.front].rgb, scene.behind(check.behind, made), pair.required)


def _on_fill(group: Solves, scene: Scene, part: Part, found: Swatch, check: Check, fill: Swatch) -> Swatch:
    """What would stand on another fill in the place of `found`: solved again for a fill at rest, the same for other states."""
    if part.state not in ("", "rest"):
        return found
    return group.together(scene.with_part(part.path, fill)).get(check.front, found)


def like_text(group: Solves, scene: Scene, made: Solved, ratios: tuple[float, float], settings: ColorSettings) -> Conflict:
    """Links that look like text where they are not underlined (WCAG 2.2, 1.4.1 with technique G183). `ratios` are the one that
    link and text have, and the one that they need."""
    ground, (ratio, required) = scene.ground.name, ratios
    body, link = made["body"].swatch, made["link"].swatch

    def told_apart(free: Scene) -> bool:
        """Whether a link is told from the text around it and read, as the scene would be solved."""
        own = made | dict(group.solve(free, made))
        read = all(passes(own[name].rgb, free.back, free.text) for name in ("body", "link"))
        return read and passes(own["link"].rgb, own["body"].rgb, required)

    ways = [Alternative("Underline links in running text", ({"op": "replace", "path": "/links/underlined", "value": True},))]
    for part in (PARTS["link"], PARTS["body"]):
        if part.path in scene.by_hand and told_apart(scene.without(part.path)):
            ways.append(Alternative(f"{part.path.capitalize()} as derived", tuple(_release(scene, part, settings))))
    if settings.policy != AA and told_apart(replace(scene, text=AA.text)):
        ways.append(Alternative("Hold the site to AA", ({"op": "replace", "path": "/policy", "value": "AA"},)))
    return Conflict(
        "link-like-text", f"ground/{ground}/link", ground, "link", to_hex(link.rgb), to_hex(body.rgb), ratio, required,
        f"{link.label} as link beside {body.label} as text on {ground} is {shown(ratio)}; without an underline links need "
        f"{required:g}:1.",
        tuple(ways[:_MOST]), scheme=settings.scheme,
    )  # fmt: skip


def _put_in(scene: Scene, part: Part, swatch: Swatch, settings: ColorSettings, as_pin: bool) -> Operation:
    """Sets a part by hand."""
    if as_pin:
        return _put("pins", keyed(f"ground/{scene.ground.name}/{part.path}", settings.scheme), to_hex(swatch.rgb))
    return _put("wires", keyed(_role(scene, part), settings.scheme), swatch.reference)


def _role(scene: Scene, part: Part) -> str:
    return f"{scene.ground.name}/{part.role or part.path}"


def _release(scene: Scene, part: Part, settings: ColorSettings) -> list[Operation]:
    """What takes off the wire and the pin that set a part by hand; a pin may lie over a wire."""
    made = []
    if scene.by_hand[part.path].origin == "pinned":
        made.append(_remove("pins", keyed(f"ground/{scene.ground.name}/{part.path}", settings.scheme)))
    if _role(scene, part) in dict(settings.wires):
        made.append(_remove("wires", keyed(_role(scene, part), settings.scheme)))
    return made


def mid_ground(scene: Scene, settings: ColorSettings) -> Conflict:
    """A ground on which nothing reaches the ratio for text: large text only, a near step as the ground, or AA."""
    ground = scene.ground
    name, rgb = keyed(ground.name, settings.scheme), ground.rgb
    top = max(contrast_ratio(rgb, (0, 0, 0)), contrast_ratio(rgb, (255, 255, 255)))
    ways = [
        Alternative(
            f"Large text only on {ground.name}, from {settings.policy.large:g}:1",
            ({"op": "add", "path": "/large_only/-", "value": name},),
            to_hex(rgb), top,
        )
    ]  # fmt: skip
    steps = [s for s in scene.costs.swatches if s.kind == RAMP and _carries(s.rgb, scene.text)]
    own = [s for s in steps if s.reference.split("/")[0] == ground.swatch.reference.split("/")[0]] or steps
    if own:
        near = min(own, key=lambda s: difference(s.rgb, rgb))
        most = max(contrast_ratio(near.rgb, (0, 0, 0)), contrast_ratio(near.rgb, (255, 255, 255)))
        label = f"{near.label} as the ground; {ground.swatch.label} stays in shapes"
        ways.append(
            Alternative(label, (_put("wires", name, near.reference),), to_hex(near.rgb), most, difference(near.rgb, rgb))
        )
    ways.append(Alternative("Hold the site to AA", ({"op": "replace", "path": "/policy", "value": "AA"},)))
    return Conflict(
        "ground-too-mid", f"ground/{ground.name}/background", ground.name, "background", "", to_hex(rgb), top, scene.text,
        f"Nothing reaches {scene.text:g}:1 on {ground.swatch.label} as {ground.name}; black or white has {shown(top)}.",
        tuple(ways), scheme=settings.scheme,
    )  # fmt: skip


def _carries(rgb: RGB, required: float) -> bool:
    """Whether a colour leaves room above the ratio, so that tinted near-blacks and near-whites pass as well."""
    return max(contrast_ratio(rgb, (0, 0, 0)), contrast_ratio(rgb, (255, 255, 255))) >= required * 1.12


def _way(label: str, patch: tuple[Operation, ...], swatch: Swatch, wanted: Swatch, on: RGB) -> Alternative:
    return Alternative(label, patch, to_hex(swatch.rgb), contrast_ratio(swatch.rgb, on), difference(swatch.rgb, wanted.rgb))


def _remove(*parts: str) -> Operation:
    return {"op": "remove", "path": pointer(*parts)}


def _put(group: str, key: str, value: str) -> Operation:
    return {"op": "add", "path": pointer(group, key), "value": value}
