"""Ways out of conflicts: for each the two or three smallest changes of the choices after which it is gone."""

from dataclasses import replace
from itertools import islice

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.difference import difference
from formulon.core.color.oklab_scalar import oklab
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.system.documents.choices import DARK, INKS, WIRED_INKS
from formulon.core.system.policy import AA
from formulon.core.system.solving import buttons, fields, inks
from formulon.core.system.solving.scene import Scene, passes
from formulon.core.system.solving.search import NEUTRAL, PURE, RAMP, Swatch, best, ranked
from formulon.core.system.solving.settings import ColorSettings
from formulon.core.system.system import Alternative, Conflict, Operation, Pair, Scheme

_MOST = 3
_LOOKED_AT = 24  # so many fills of a class, the nearest first
_ROLES = {"primary/fill/rest": "primary", "secondary/label/rest": "secondary"}


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


def for_ink(scene: Scene, part: str, found: Swatch, made: Pair, on: RGB, rules: ColorSettings) -> tuple[Alternative, ...]:
    """For a colour set by hand that cannot be read: as derived, the nearest passing step, a neutral, black or white."""
    role = f"{scene.ground.name}/{_ROLES.get(part, part)}"
    pinned = scene.fixed[part][1] == "pinned"
    release = _release(scene, part, role, rules)
    wired = not pinned and (part in WIRED_INKS or part in _ROLES)
    ways: list[Alternative] = []
    follows = made.ink.removesuffix("-inside") == part or part in WIRED_INKS
    own = derived(scene, part) if follows else None
    if own and passes(own.rgb, on, made.required):
        ways.append(_way(f"{own.label}, as derived", tuple(release), own, found, on))
    elif own is None and _reads_without(scene, part, made):
        ways.append(Alternative("Release the pin" if pinned else "As derived", tuple(release)))
    if not follows:
        return tuple(ways)
    for kinds in ((RAMP,), (NEUTRAL,), (PURE,)):
        options = scene.palette.options(oklab(found.rgb), kinds)
        near = best(options, scene.on(options, on, made.required))
        if near is None or any(way.color == to_hex(near.rgb) for way in ways) or near.rgb == found.rgb:
            continue
        if wired:
            patch = _put("wires", keyed(role, rules.scheme), near.reference)
        else:
            patch = _put("pins", keyed(f"ground/{scene.ground.name}/{part}", rules.scheme), to_hex(near.rgb))
        ways.append(_way(near.label, (patch,), near, found, on))
    return tuple(ways[:_MOST])


def for_fill(scene: Scene, part: str, found: Swatch, made: Pair, rules: ColorSettings) -> tuple[Alternative, ...]:
    """For a fill set by hand on which what stands there cannot be read: as derived, or the nearest ramp step, neutral, black
    or white on which it can. `found` is what stands there."""
    role = f"{scene.ground.name}/{_ROLES.get(part, part)}"
    fill, origin = scene.fixed[part]
    pin = keyed(f"ground/{scene.ground.name}/{part}", rules.scheme)
    release = _release(scene, part, role, rules)
    ways = []
    if _reads_without(scene, part, made):
        ways.append(Alternative("Release the pin" if origin == "pinned" else "As derived", tuple(release)))
    for kinds in ((RAMP,), (NEUTRAL,), (PURE,)):
        options = scene.palette.options(oklab(fill.rgb), kinds)
        near = next(
            (s for s in islice(ranked(options, options.cost), _LOOKED_AT) if _carried(scene, part, s, found, made)), None
        )
        if near is None or near.rgb == fill.rgb:
            continue
        on_it = _on_fill(scene, part, near, found, made)
        patch = (
            _put("pins", pin, to_hex(near.rgb))
            if origin == "pinned"
            else _put("wires", keyed(role, rules.scheme), near.reference)
        )
        label = f"{near.label} under {on_it.label}"
        if made.ink.startswith("field/border/"):  # what was asked is the border on the ground, not on the fill
            ways.append(Alternative(label, (patch,)))
            continue
        ways.append(
            Alternative(label, (patch,), to_hex(near.rgb), contrast_ratio(on_it.rgb, near.rgb), difference(near.rgb, fill.rgb))
        )
    return tuple(ways[:_MOST])


def _carried(scene: Scene, part: str, fill: Swatch, found: Swatch, made: Pair) -> bool:
    on_it = _on_fill(scene, part, fill, found, made)
    on = scene.back if made.ink.startswith("field/border/") else fill.rgb
    return passes(on_it.rgb, on, made.required) and (on_it.rgb, fill.rgb) not in scene.forbidden


def _reads_without(scene: Scene, part: str, made: Pair) -> bool:
    """Whether what stands on a fill is read once one of the two is no longer set by hand; the other may still be."""
    free = scene.without(part)
    variant, _, name = made.ink.partition("/label/")
    if variant in buttons.VARIANTS:
        one = _button(free, variant, name)
        return passes(one.label.rgb, one.fill.rgb, made.required)
    if part == "selection":
        fill, ink = inks.selection(free)
        return passes(ink.rgb, fill.rgb, made.required)
    if part.startswith("field/") and part.endswith("/rest") and made.ink.endswith("/rest"):
        colors = dict(zip(fields.PARTS, fields.rest(free), strict=True))
        name = made.ink.split("/")[1]
        on = scene.back if name == "border" else colors["fill"].rgb
        return passes(colors[name.removesuffix("-inside")].rgb, on, made.required)
    return True


def _button(scene: Scene, variant: str, state: str) -> buttons.ButtonState:
    main = buttons.primary(scene)
    made = {one.name: one.swatch for one in inks.solve(scene, main.fill)}
    every = buttons.states(scene, main, made["heading"], made["link"], made["link-hover"])
    return next(one for one in every if (one.variant, one.state) == (variant, state))


def _on_fill(scene: Scene, part: str, fill: Swatch, found: Swatch, made: Pair) -> Swatch:
    """What would stand on another fill in the place of `found`: solved again for a fill at rest, the same for other states."""
    free = replace(scene, fixed={**scene.fixed, part: (fill, "chosen")})
    if part == "primary/fill/rest":
        return buttons.primary(free).label
    if part == "selection":
        return inks.selection(free)[1]
    if part == "field/fill/rest":
        colors = dict(zip(fields.PARTS, fields.rest(free), strict=True))
        return colors[made.ink.split("/")[1].removesuffix("-inside")]
    return found


def like_text(scene: Scene, body: Swatch, link: Swatch, ratio: float, rules: ColorSettings) -> Conflict:
    """Links that look like text where they are not underlined (WCAG 2.2, 1.4.1 with technique G183)."""
    ground = scene.ground.name
    ways = [Alternative("Underline links in running text", ({"op": "replace", "path": "/links/underlined", "value": True},))]
    for part in ("link", "body"):
        free = scene.without(part)
        if part in scene.fixed and _told_apart(free):
            ways.append(Alternative(f"{part.capitalize()} as derived", tuple(_release(scene, part, f"{ground}/{part}", rules))))
    if rules.policy != AA and _told_apart(replace(scene, text=AA.text)):
        ways.append(Alternative("Hold the site to AA", ({"op": "replace", "path": "/policy", "value": "AA"},)))
    return Conflict(
        "link-like-text", f"ground/{ground}/link", ground, "link", to_hex(link.rgb), to_hex(body.rgb), ratio,
        inks.LINK_FROM_TEXT,
        f"{link.label} as link beside {body.label} as text on {ground} is {shown(ratio)}; without an underline links need "
        f"{inks.LINK_FROM_TEXT:g}:1.",
        tuple(ways[:_MOST]), scheme=rules.scheme,
    )  # fmt: skip


def _told_apart(scene: Scene) -> bool:
    """Whether a link is told from the text around it and read, as the scene would be solved."""
    made = {one.name: one.swatch.rgb for one in inks.solve(scene, scene.action)}
    read = all(passes(made[name], scene.back, scene.text) for name in ("body", "link"))
    return read and passes(made["link"], made["body"], inks.LINK_FROM_TEXT)


def _release(scene: Scene, part: str, role: str, rules: ColorSettings) -> list[Operation]:
    """What takes off the wire and the pin that set a part by hand; a pin may lie over a wire."""
    made = []
    if scene.fixed[part][1] == "pinned":
        made.append(_remove("pins", keyed(f"ground/{scene.ground.name}/{part}", rules.scheme)))
    if role in dict(rules.wires):
        made.append(_remove("wires", keyed(role, rules.scheme)))
    return made


def derived(scene: Scene, part: str) -> Swatch | None:
    """What the solver would take for a part, were it not set by hand; None for parts that are no ink."""
    free = scene.without(part)
    if part in INKS:
        made = inks.solve(free, buttons.primary(free).fill)
        return next((one.swatch for one in made if one.name == part), None)
    return None


def mid_ground(scene: Scene, rules: ColorSettings) -> Conflict:
    """A ground on which nothing reaches the ratio for text: large text only, a near step as the ground, or AA."""
    ground = scene.ground
    name, rgb = keyed(ground.name, rules.scheme), ground.rgb
    top = max(contrast_ratio(rgb, (0, 0, 0)), contrast_ratio(rgb, (255, 255, 255)))
    ways = [
        Alternative(
            f"Large text only on {ground.name}, from {rules.policy.large:g}:1",
            ({"op": "add", "path": "/large_only/-", "value": name},),
            to_hex(rgb), top,
        )
    ]  # fmt: skip
    steps = [s for s in scene.palette.swatches if s.kind == RAMP and _carries(s.rgb, scene.text)]
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
        tuple(ways), scheme=rules.scheme,
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
