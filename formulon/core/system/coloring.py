"""The colours of one scheme: every ground with what stands on it, as tokens, pairs and conflicts."""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from functools import lru_cache

from formulon.core.color.contrast import contrast_ratio, relative_luminance, shown
from formulon.core.color.oklab_scalar import mixed
from formulon.core.color.parse import parse_color
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.system import buttons, fields, inks, logo, ways
from formulon.core.system.grounds import Fixed, Ground, assign, ends
from formulon.core.system.identity import Mark
from formulon.core.system.model import Alternative, Conflict, MarkOnGround, Origin, Pair, Scheme, Token
from formulon.core.system.palette import Exact, Palette
from formulon.core.system.policy import AA, Policy
from formulon.core.system.scene import Made, Scene, made_for_here
from formulon.core.system.search import Swatch

INK_LABELS = {
    "heading": "Heading", "body": "Text", "quiet": "Quiet text", "link": "Link", "link-hover": "Link, hover",
    "link-visited": "Link, visited", "boundary": "Boundary", "focus": "Focus ring", "focus-inner": "Focus ring, inner tone",
    "selection-ink": "Selected text", "success": "Success", "warning": "Warning", "error": "Error",
}  # fmt: skip
APART = {"motif"}  # solved once the grounds are
# Where a wire to a role lands among the tokens of a ground.
WIRED = {"primary": "primary/fill/rest", "secondary": "secondary/label/rest"}


@dataclass(frozen=True, slots=True)
class Rules:
    """What the choices and the guideline say of the colours of one scheme."""

    scheme: Scheme = "light"
    policy: Policy = AA
    wires: tuple[tuple[str, str], ...] = ()
    pins: tuple[tuple[str, str], ...] = ()
    large_only: tuple[str, ...] = ()
    underlined: bool = True
    forbidden: tuple[tuple[str, str], ...] = ()
    plates: tuple[str, ...] = ()


@dataclass
class Coloring:
    """One resolution of colours: collects tokens, pairs and conflicts ground by ground."""

    brand: tuple[Exact, ...]
    given_marks: list[Mark]
    rules: Rules
    palette: Palette
    tokens: dict[str, Token] = field(default_factory=dict)
    pairs: list[Pair] = field(default_factory=list)
    conflicts: list[Conflict] = field(default_factory=list)
    marks: dict[str, MarkOnGround] = field(default_factory=dict)

    def resolve(self) -> None:
        policy = self.rules.policy
        self.bare = replace(self.rules, wires=(), pins=(), large_only=(), forbidden=(), plates=())
        self.exact_colors()
        grounds, by_ground = self.fixed()
        self.grounds = assign(self.palette, grounds, self.rules.scheme)
        both = ends(self.palette, self.grounds, self.rules.scheme)
        names = {color.id: swatch.rgb for color, swatch in zip(self.brand, self.palette.brand, strict=True)}
        forbidden = frozenset((names[ink], names[ground]) for ink, ground in self.rules.forbidden)
        backs = [ground.rgb for ground in self.grounds.values()]
        inks.prepare(self.palette, backs, both, self.grounds["brand"].rgb)
        solved: dict[str, Coloring] = {}
        problems: list[_Problem] = []
        for ground in self.grounds.values():
            large = policy != AA and ground.name in self.rules.large_only
            problem = _Problem(
                self.palette, ground, self.grounds["paper"], self.grounds["brand"].swatch, both,
                policy.large if large else policy.text, policy.boundary,
                tuple(by_ground.get(ground.name, {}).items()), forbidden, self.of_ground(ground.name),
            )  # fmt: skip
            self.add(f"ground/{ground.name}/background", ground.swatch, ground.origin, ground.reason)
            twin = next((other.ground.name for other in problems if _alike(other, problem)), None)
            if twin:
                self.copy(solved[twin], twin, ground.name)
            else:
                problems.append(problem)
                part = solved[ground.name] = _solved(problem)
                self.tokens |= part.tokens
                self.pairs += part.pairs
                self.conflicts += part.conflicts
            self.mark(ground, twin)
        self.pictures()
        for path, value in self.rules.pins:
            if path.split("/")[0] in ("ramp", "neutral", "picture") and path not in self.tokens:
                self.conflicts.append(ways.lost_pin(path, value, self.rules.scheme))

    def of_ground(self, name: str) -> Rules:
        """The rules as far as they bear on one ground, so that its solution is kept while others are changed."""
        wires = tuple(wire for wire in self.rules.wires if wire[0].partition("/")[0] == name)
        return replace(self.bare, wires=wires) if wires else self.bare

    def add(self, path: str, swatch: Swatch, origin: Origin, reason: str) -> None:
        text = to_hex(swatch.rgb)
        self.tokens[path] = Token(path, "color", text, text, origin, reason, swatch.alias if swatch.reference else "")

    def pair(self, ground: str, ink: str, foreground: RGB, background: RGB, required: float) -> Pair:
        ratio = contrast_ratio(foreground, background)
        made = Pair(ground, ink, to_hex(foreground), to_hex(background), ratio, required, required == 0, self.rules.scheme)
        self.pairs.append(made)
        return made

    def exact_colors(self) -> None:
        """The brand's own colours, their ramps, and the neutral."""
        pins = dict(self.rules.pins)
        for color, swatch in zip(self.brand, self.palette.brand, strict=True):
            parsed = color.parsed
            exact = color.value if len(color.value) == 7 and color.value.startswith("#") else parsed.hex
            mapped = (
                f" It lies outside sRGB: {color.value} is drawn as {parsed.hex}, which was checked; mapped by chroma "
                "reduction in OKLCH (CSS Color 4, 13.2)."
                if parsed.mapped
                else ""
            )
            reason = f"{color.name} is the brand's own colour, kept exactly.{mapped}"
            path = f"brand/{color.id}"
            wide = color.value if parsed.mapped else ""
            self.tokens[path] = Token(path, "color", exact, exact, "exact", reason, "", wide)
            for step, rgb in self.palette.ramps[swatch.reference].items():
                name, own = f"ramp/{color.id}/{step}", rgb == swatch.rgb
                if own and name not in pins:
                    self.add(name, swatch, "exact", f"{color.name} itself stands here.")
                else:
                    self.step(name, rgb, f"Step {step} of the ramp of {color.name} (OKLCH).", pins)
        for step, rgb in self.palette.neutral.items():
            self.step(f"neutral/{step}", rgb, f"Step {step} of the near-greys in the brand's tint.", pins)

    def step(self, path: str, rgb: RGB, reason: str, pins: Mapping[str, str]) -> None:
        """A step of a ramp or of the neutral, as derived or pinned."""
        text = to_hex(rgb)
        made: tuple[Origin, str] = ("pinned", f"Pinned at {text}.") if path in pins else ("derived", reason)
        self.tokens[path] = Token(path, "color", text, text, *made)

    def fixed(self) -> tuple[Fixed, dict[str, Fixed]]:
        """What wires and pins set: the grounds' own colours, and by ground what stands on them. A pin goes before a
        wire. What leads nowhere becomes a conflict."""
        grounds: dict[str, tuple[Swatch, Origin]] = {}
        inks: dict[str, dict[str, tuple[Swatch, Origin]]] = {}
        for role, reference in self.rules.wires:
            swatch = self.palette.get(reference)
            ground, _, rest = role.partition("/")
            if swatch is None:
                self.conflicts.append(ways.lost_wire(role, reference, self.rules.scheme))
            elif rest:
                inks.setdefault(ground, {})[WIRED.get(rest, rest)] = swatch, "chosen"
            else:
                grounds[ground] = swatch, "chosen"
        for path, value in self.rules.pins:
            family, _, rest = path.partition("/")
            if family != "ground":
                continue
            ground, _, part = rest.partition("/")
            swatch = made_for_here(parse_color(value).rgb, value)
            if part == "background":
                grounds[ground] = swatch, "pinned"
            else:
                inks.setdefault(ground, {})[part] = swatch, "pinned"
        return grounds, dict(inks)

    def on_ground(self, scene: Scene) -> None:
        ground = scene.ground
        main = buttons.primary(scene)
        made = {one.name: one for one in inks.solve(scene, main.fill)}
        for one in made.values():
            self.ink(scene, one)
        self.like_text(scene, made["body"].swatch, made["link"].swatch)
        heading, link, hover = (made[name].swatch for name in ("heading", "link", "link-hover"))
        for state in buttons.states(scene, main, heading, link, hover):
            self.button(scene, state)
        for item in fields.states(scene, made["focus"].swatch, made["error"].swatch):
            self.field(scene, item)
        for name in sorted(scene.fixed.keys() - self.known(ground) - APART) if scene.fixed else ():
            path, value = f"ground/{ground.name}/{name}", to_hex(scene.fixed[name][0].rgb)
            self.conflicts.append(ways.lost_pin(path, value, self.rules.scheme))
        self.too_mid(scene)

    def copy(self, part: "Coloring", twin: str, name: str) -> None:
        """What stands on a ground that has the colour of another, with nothing set by hand on either."""
        start, own = len(f"ground/{twin}/"), f"ground/{name}/"
        for token in part.tokens.values():
            path = own + token.path[start:]
            self.tokens[path] = Token(path, "color", token.value, token.css, token.origin, token.reason, token.alias)
        self.pairs += [
            Pair(name, p.ink, p.foreground, p.background, p.ratio, p.required, p.exempt, p.scheme) for p in part.pairs
        ]

    def known(self, ground: Ground) -> set[str]:
        start = f"ground/{ground.name}/"
        return {path[len(start) :] for path in self.tokens if path.startswith(start)}

    def ink(self, scene: Scene, one: Made) -> None:
        ground = scene.ground
        self.add(f"ground/{ground.name}/{one.name}", one.swatch, one.origin, one.reason)
        made = self.pair(ground.name, one.name, one.swatch.rgb, one.on, one.required)
        if not made.passes or scene.forbidden:
            label = INK_LABELS.get(one.name, one.name.capitalize())
            part, cause = one.name, ""
            if one.name == "selection-ink" and one.name not in scene.fixed:
                part = "selection"
            elif one.name in ("link-hover", "link-visited") and one.name not in scene.fixed:
                cause = f"ground/{ground.name}/link"  # a state that cannot be read is the link itself
            self.told(scene, f"ground/{ground.name}/{one.name}", made, one.swatch, label, part, one.on, cause)

    def told(self, scene: Scene, path: str, made: Pair, found: Swatch, label: str, part: str, on: RGB, cause: str = "") -> None:
        """A conflict for a pair that fails, or that the guideline rules out, with its ways out."""
        banned = made.required > 0 and (found.rgb, on) in scene.forbidden
        if made.passes and not banned:
            return
        code = "forbidden-pair" if made.passes else "contrast-unmet"
        message = (
            f"{found.label} as {label.lower()} on {scene.ground.name} is {shown(made.ratio)}; it needs {made.required:g}:1."
        )
        if banned:
            message = f"The guideline rules out {found.label} as {label.lower()} on {scene.ground.name}."
        out: tuple[Alternative, ...] = ()
        if self.mid(scene) and made.required == scene.text:
            cause = f"ground/{scene.ground.name}/background"  # nothing could be read, whatever is set by hand
        elif part in scene.fixed and not cause:
            out = ()
            if part != "selection" and "/fill/" not in part:
                out = ways.for_ink(scene, part, found, made, on, self.rules)
                part = "selection" if part == "selection-ink" else part.replace("/label/", "/fill/")
            if not out and part in scene.fixed:  # an ink for which the fill leaves nothing, or the fill alone was set
                out = ways.for_fill(scene, part, found, made, self.rules)
        self.conflicts.append(
            Conflict(
                code, path, made.ground, made.ink, made.foreground, made.background, made.ratio, made.required,
                message, out, cause, self.rules.scheme,
            )
        )  # fmt: skip

    def like_text(self, scene: Scene, body: Swatch, link: Swatch) -> None:
        """A link that is not underlined and cannot be told from the text around it."""
        ratio = contrast_ratio(link.rgb, body.rgb)
        if not scene.underlined and ratio < inks.LINK_FROM_TEXT:
            self.conflicts.append(ways.like_text(scene, body, link, ratio, self.rules))

    def mid(self, scene: Scene) -> bool:
        """Whether not even black or white reaches the ratio for text on this ground."""
        return max_ratio(scene.ground.rgb) < scene.text

    def too_mid(self, scene: Scene) -> None:
        """Under AAA nothing reaches 7:1 on a ground of middling luminance: one conflict for the ground, with ways out."""
        if self.mid(scene):
            self.conflicts.append(ways.mid_ground(scene, self.rules))

    def button(self, scene: Scene, item: buttons.ButtonState) -> None:
        variant, state, fill, label, border, origins, reason = item
        name, back = scene.ground.name, scene.back
        self.add(f"ground/{name}/{variant}/fill/{state}", fill, origins[0], reason)
        self.add(f"ground/{name}/{variant}/label/{state}", label, origins[1], reason)
        self.add(f"ground/{name}/{variant}/border/{state}", border, origins[2], reason)
        required = 0.0 if state == "disabled" else scene.text
        pair = self.pair(name, f"{variant}/label/{state}", label.rgb, fill.rgb, required)
        if not pair.passes or scene.forbidden:
            self.told_of_button(scene, item, pair, label, fill.rgb)
        if variant == "secondary" and required:
            pair = self.pair(name, f"secondary/border/{state}", border.rgb, back, scene.boundary)
            if not pair.passes or scene.forbidden:
                self.told_of_button(scene, item, pair, border, back)
        elif variant == "primary" and state == "rest":
            self.pair(name, "primary/fill", fill.rgb, back, 0.0)

    def told_of_button(self, scene: Scene, item: buttons.ButtonState, pair: Pair, swatch: Swatch, on: RGB) -> None:
        """A variant without a colour of its own stands or falls with the ink that it is drawn in."""
        own_label, own_fill = f"{item.variant}/label/{item.state}", f"{item.variant}/fill/{item.state}"
        root = {"primary": "primary/label/rest", "secondary": "secondary/label/rest", "text": "link"}[item.variant]
        if pair.ink.startswith("secondary/border/"):
            own_label = own_fill = pair.ink  # a border is drawn in the label's ink, which fails first
        hand = next((name for name in (own_label, own_fill) if name in scene.fixed), "")
        own = hand or (_by_hand(scene, item.variant) if pair.ink == root or item.state == "rest" else "")
        cause = "" if hand or pair.ink == root else f"ground/{scene.ground.name}/{root}"
        path, label = f"ground/{scene.ground.name}/{pair.ink}", f"{item.variant} button, {item.state}"
        self.told(scene, path, pair, swatch, label, own, on, cause)

    def field(self, scene: Scene, item: fields.FieldState) -> None:
        ground, back = scene.ground, scene.back
        for part, swatch, origin in zip(fields.PARTS, item.colors, item.origins, strict=True):
            self.add(f"ground/{ground.name}/field/{part}/{item.state}", swatch, origin, item.reason)
        if item.state == "disabled":
            return
        fill, label, hint, border = item.colors
        made = []
        if item.state == "rest":
            made += [("label", label, fill.rgb, scene.text), ("hint", hint, fill.rgb, scene.text)]
        made += [("border", border, back, scene.boundary), ("border-inside", border, fill.rgb, scene.boundary)]
        for part, swatch, on, required in made:
            name = f"field/{part}/{item.state}"
            pair = self.pair(ground.name, name, swatch.rgb, on, required)
            if not pair.passes or scene.forbidden:
                own = f"field/{part.removesuffix('-inside')}/{item.state}"
                by_hand = own if own in scene.fixed else f"field/fill/{item.state}"
                # What no state has of its own is that of rest.
                cause = "" if by_hand in scene.fixed or item.state == "rest" else f"ground/{ground.name}/field/{part}/rest"
                self.told(scene, f"ground/{ground.name}/{name}", pair, swatch, f"field, {part}", by_hand, on, cause)

    def pictures(self) -> None:
        """The five colours in which the picture library draws, and those with which photographs are treated."""
        deep, accent, brand = (self.grounds[name] for name in ("deep", "accent", "brand"))
        pins = dict(self.rules.pins)
        light, dark = sorted((self.grounds["paper"], deep), key=lambda ground: relative_luminance(ground.rgb), reverse=True)
        for name, swatch, what in (
            (
                "1",
                made_for_here(mixed(deep.rgb, accent.rgb, 0.28), ""),
                f"{deep.swatch.label} with some {accent.swatch.label}: the back of a picture.",
            ),
            ("2", accent.swatch, f"{accent.swatch.label}, the accent ground's colour."),
            ("3", brand.swatch, f"{brand.swatch.label}, the brand ground's colour."),
            (
                "4",
                made_for_here(mixed(deep.rgb, accent.rgb, 0.6), ""),
                f"Between {deep.swatch.label} and {accent.swatch.label}.",
            ),
            ("5", deep.swatch, f"{deep.swatch.label}, the deep ground's colour."),
            ("shadow", dark.swatch, f"{dark.swatch.label}: the darks of a photograph in two colours."),
            ("highlight", light.swatch, f"{light.swatch.label}: the lights of a photograph in two colours."),
            ("tint", brand.swatch, f"{brand.swatch.label}: what photographs are tinted with."),
        ):
            path = f"picture/{name}"
            if path in pins:
                swatch, what = made_for_here(parse_color(pins[path]).rgb, ""), f"Pinned at {pins[path]}."
            self.add(path, swatch, "pinned" if path in pins else "derived", what)

    def elsewhere(self, marks: list[Mark], ground: Ground) -> logo.Elsewhere | None:
        """The colour of another ground that header or footer could stand on, where a mark is seen well; logos stand there."""
        if ground.name not in ("navigation", "footer"):
            return None
        seen = [
            logo.Elsewhere(one.swatch.reference, one.swatch.label, logo.choose(marks, one.name, one.rgb).visibility)
            for one in self.grounds.values()
            if one.swatch.reference and one.rgb != ground.rgb
        ]
        best = max(seen, key=lambda one: one.visibility, default=None)
        return best if best and best.visibility >= logo.GOOD else None

    def mark(self, ground: Ground, twin: str | None) -> None:
        path = f"logo/{ground.name}"
        pinned = next((value for key, value in self.rules.pins if key == path), None)
        marks = [m for m in self.given_marks if m.id == pinned] or self.given_marks
        chosen = logo.choose(marks, ground.name, ground.rgb)
        plated: MarkOnGround | None = None
        if chosen.mark:
            plated = logo.on_plate(marks, ground.name, {name: one.rgb for name, one in self.grounds.items()})
        if ground.name in self.rules.plates and plated:
            chosen, plated = plated, None
        origin: Origin = "derived"
        if pinned is not None and chosen.mark == pinned:
            origin = "pinned"
        elif pinned is not None:
            self.conflicts.append(ways.lost_pin(path, pinned, self.rules.scheme))
        self.marks[ground.name] = chosen
        other = self.elsewhere(marks, ground) if chosen.mark and chosen.visibility < logo.GOOD else None
        told, conflict = logo.told(chosen, ground.name, ground.rgb, self.rules.scheme, plated, other)
        if conflict:
            # The same colour has the same conflict: it is told once.
            self.conflicts.append(replace(conflict, cause=f"logo/{twin}") if twin else conflict)
        value = chosen.mark or ""
        reason = f"Pinned. {told}" if origin == "pinned" else told
        self.tokens[path] = Token(path, "asset", value, value or "none", origin, reason)


@dataclass(frozen=True)
class _Problem:
    """All that the solution of one ground follows from."""

    palette: Palette
    ground: Ground
    paper: Ground
    action: Swatch
    both: tuple[RGB, RGB]
    text: float
    boundary: float
    fixed: tuple[tuple[str, tuple[Swatch, Origin]], ...]
    forbidden: frozenset[tuple[RGB, RGB]]
    rules: Rules


@lru_cache(maxsize=256)
def _solved(problem: _Problem) -> Coloring:
    """What stands on one ground. Kept: a wire to one ground solves no other again."""
    part = Coloring((), [], problem.rules, problem.palette)
    grounds = {"paper": problem.paper, problem.ground.name: problem.ground}
    part.on_ground(
        Scene(
            problem.palette, problem.ground, grounds, problem.both, problem.action, problem.text, problem.boundary,
            dict(problem.fixed), problem.forbidden, problem.rules.underlined,
        )
    )  # fmt: skip
    return part


def _alike(one: _Problem, other: _Problem) -> bool:
    """Whether two grounds have the same solution, and none a conflict that would have to be told for each."""
    same = one.ground.swatch == other.ground.swatch and one.text == other.text
    return same and not (one.fixed or other.fixed or one.forbidden) and max_ratio(one.ground.rgb) >= one.text


def max_ratio(rgb: RGB) -> float:
    """The most contrast that anything has with a colour: that of black or white."""
    return max(contrast_ratio(rgb, (0, 0, 0)), contrast_ratio(rgb, (255, 255, 255)))


def _by_hand(scene: Scene, variant: str) -> str:
    """The part of a button at rest that was set by hand, from which a conflict of it follows."""
    parts = (f"{variant}/label/rest", f"{variant}/fill/rest", "link" if variant == "text" else "")
    return next((part for part in parts if part in scene.fixed), "")
