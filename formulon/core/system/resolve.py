"""resolve(identity, choices): the style system, a pure and deterministic function of the two."""

import math
from functools import lru_cache

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.difference import difference
from formulon.core.color.oklab_scalar import mixed, oklab
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.system import buttons, logo, shape, typography
from formulon.core.system.choices import Choices
from formulon.core.system.grounds import INK_SPECS, Ground, InkSpec, assign, explain, far_from, signature
from formulon.core.system.identity import BrandColor, Identity, Mark
from formulon.core.system.model import Alternative, Conflict, MarkOnGround, Origin, Pair, System, Token
from formulon.core.system.palette import EXACT, NEUTRAL, PURE, RAMP, SIGNALS, Palette, Swatch

# Ratios by policy. Sources: WCAG 2.2, 1.4.3 and 1.4.6 for text, 1.4.11 for boundaries and focus.
POLICIES = {
    "AA": {"text": 4.5, "boundary": 3.0, "none": 0.0},
    "AAA": {"text": 7.0, "boundary": 3.0, "none": 0.0},
}
INK_LABELS = {"heading": "Heading", "body": "Text", "quiet": "Quiet text", "link": "Link", "boundary": "Boundary"}


def resolve(identity: Identity, choices: Choices | None = None) -> System:
    """The system of an identity under choices. An exact colour is never altered; what cannot be met is a conflict."""
    choices = choices or Choices()
    colors = tuple((c.id, c.name, c.value) for c in identity.colors)
    marks = tuple((m.id, m.kind, m.meant_for, m.svg) for m in identity.marks)
    run = _colored(colors, marks, choices.policy, tuple(choices.wires.items()))
    steps = typography.steps(identity.typefaces, choices.scale)
    tokens = dict(run.tokens)
    for token in typography.tokens(identity.typefaces, choices.scale, steps):
        tokens[token.path] = token
    for token in shape.tokens(choices):
        tokens[token.path] = token
    return System(tokens, tuple(run.pairs), tuple(run.conflicts), steps, run.marks, run.palette.references)


@lru_cache(maxsize=32)
def _colored(
    colors: tuple[tuple[str, str, str], ...],
    marks: tuple[tuple[str, str, str, str], ...],
    policy: str,
    wires: tuple[tuple[str, str], ...],
) -> "_Run":
    """The part of a system that follows from colours and marks. Kept, since a drag of the radius leaves it as it is."""
    run = _Run(
        [BrandColor(id=i, name=name, value=value) for i, name, value in colors],
        [
            Mark.model_validate({"id": i, "name": "", "kind": kind, "meant_for": meant, "svg": svg})
            for i, kind, meant, svg in marks
        ],
        policy,
        dict(wires),
        _palette(colors),
    )
    run.resolve()
    return run


@lru_cache(maxsize=64)
def _palette(colors: tuple[tuple[str, str, str], ...]) -> Palette:
    return Palette([BrandColor(id=i, name=name, value=value) for i, name, value in colors])


class _Run:
    """One resolution: collects tokens, pairs and conflicts ground by ground."""

    def __init__(
        self, brand: list[BrandColor], marks: list[Mark], policy: str, wires: dict[str, str], palette: Palette
    ) -> None:
        self.brand, self.given_marks, self.wires, self.palette = brand, marks, wires, palette
        self.policy = POLICIES[policy]
        self.tokens: dict[str, Token] = {}
        self.pairs: list[Pair] = []
        self.conflicts: list[Conflict] = []
        self.marks: dict[str, MarkOnGround] = {}

    def add(self, path: str, rgb: RGB, origin: Origin, reason: str) -> None:
        text = to_hex(rgb)
        self.tokens[path] = Token(path, "color", text, text, origin, reason)

    def pair(self, ground: str, ink: str, foreground: RGB, background: RGB, required: float) -> Pair:
        ratio = contrast_ratio(foreground, background)
        made = Pair(ground, ink, to_hex(foreground), to_hex(background), ratio, required, required == 0)
        self.pairs.append(made)
        return made

    def resolve(self) -> None:
        for color, swatch in zip(self.brand, self.palette.brand, strict=True):
            parsed = color.parsed
            exact = color.value if len(color.value) == 7 and color.value.startswith("#") else parsed.hex
            mapped = f" It lies outside sRGB: {color.value} is drawn as {parsed.hex}." if parsed.mapped else ""
            reason = f"{color.name} is the brand's own colour, kept exactly.{mapped}"
            self.tokens[f"brand/{color.id}"] = Token(f"brand/{color.id}", "color", exact, exact, "exact", reason)
            for step, rgb in self.palette.ramps[swatch.reference].items():
                own = rgb == swatch.rgb
                why = f"{color.name} itself stands here." if own else f"Step {step} of the ramp of {color.name} (OKLCH)."
                self.add(f"ramp/{color.id}/{step}", rgb, "exact" if own else "derived", why)
        for step, rgb in self.palette.neutral.items():
            self.add(f"neutral/{step}", rgb, "derived", f"Step {step} of the near-greys in the brand's tint.")
        wires = {role: ref for role, ref in self.wires.items() if self.palette.get(ref)}
        for role, reference in self.wires.items():
            if role not in wires:
                self.lost_wire(role, reference)
        self.grounds = assign(self.palette, wires)
        for ground in self.grounds.values():
            self.add(f"ground/{ground.name}/background", ground.rgb, ground.origin, ground.reason)
            self.on_ground(ground, wires)
        self.pictures()

    def pictures(self) -> None:
        """The five colours in which the picture library draws."""
        deep, accent, brand = (self.grounds[name] for name in ("deep", "accent", "brand"))
        for number, rgb, what in (
            (
                1,
                mixed(deep.rgb, accent.rgb, 0.28),
                f"{deep.swatch.label} with some {accent.swatch.label}: the back of a picture.",
            ),
            (2, accent.rgb, f"{accent.swatch.label}, the accent ground's colour."),
            (3, brand.rgb, f"{brand.swatch.label}, the brand ground's colour."),
            (4, mixed(deep.rgb, accent.rgb, 0.6), f"Between {deep.swatch.label} and {accent.swatch.label}."),
            (5, deep.rgb, f"{deep.swatch.label}, the deep ground's colour."),
        ):
            self.add(f"picture/{number}", rgb, "derived", what)

    def lost_wire(self, role: str, reference: str) -> None:
        ground, _, ink = role.partition("/")
        self.conflicts.append(
            Conflict(
                "wire-lost", f"ground/{role}", ground, ink, "", "", 0, 0,
                f"{role} was led to “{reference}”, which the identity no longer holds; the derived colour is used.",
                (Alternative("Take the wire off", role, None, "", 0, 0),),
            )
        )  # fmt: skip

    def on_ground(self, ground: Ground, wires: dict[str, str]) -> None:
        far = far_from(ground.rgb, self.grounds)
        action = signature(self.palette, self.grounds)
        ratios = self.palette.ratios(ground.rgb)
        inks: dict[str, Swatch] = {}
        for spec in INK_SPECS:
            base = far if spec.wish == "far" else action.rgb
            wish = mixed(base, ground.rgb, spec.mix) if spec.mix else base
            required = self.policy[spec.required]
            derived = self.palette.solve(ratios, required, oklab(wish), spec.order, spec.calm)
            best = derived or max(self.palette.swatches, key=lambda s: contrast_ratio(s.rgb, ground.rgb))
            wanted = self.palette.get(wires.get(f"{ground.name}/{spec.name}", ""))
            inks[spec.name] = found = wanted or best
            made = self.pair(ground.name, spec.name, found.rgb, ground.rgb, required)
            asked = action if spec.wish == "signature" else None
            reason = explain(found, None if wanted else asked, ground, made.ratio, required)
            origin: Origin = "chosen" if wanted else "exact" if found.kind == EXACT else "derived"
            self.add(f"ground/{ground.name}/{spec.name}", found.rgb, origin, reason)
            if not made.passes:
                self.unmet(spec, ground, made, found, best if wanted else None, wanted)
        for name in SIGNALS:
            self.signal(name, ground)
        for item in buttons.states(self.palette, ground, self.grounds, inks, wires, self.policy["text"]):
            self.button(item, ground, inks)
        self.mark(ground)

    def signal(self, name: str, ground: Ground) -> None:
        """Success, warning, error: the step of the signal's own ramp nearest to its middle that passes."""
        required = self.policy["text"]
        steps = self.palette.signals[name]
        passing = [s for s, rgb in steps.items() if contrast_ratio(rgb, ground.rgb) >= required]
        if passing:
            step = min(passing, key=lambda s: (abs(s - 600), s))
            rgb, label = steps[step], f"{name.capitalize()} {step}"
        else:
            found = self.palette.solve(
                self.palette.ratios(ground.rgb), required, oklab(steps[600]), (RAMP, NEUTRAL, EXACT, PURE)
            )
            best = found or max(self.palette.swatches, key=lambda s: contrast_ratio(s.rgb, ground.rgb))
            rgb, label = best.rgb, best.label
        made = self.pair(ground.name, name, rgb, ground.rgb, required)
        self.add(f"ground/{ground.name}/{name}", rgb, "derived", f"{label} on {ground.swatch.label} is {shown(made.ratio)}.")
        if not made.passes:
            self.conflict(f"ground/{ground.name}/{name}", made, name.capitalize(), ground, ())

    def unmet(
        self, spec: InkSpec, ground: Ground, made: Pair, found: Swatch, derived: Swatch | None, wanted: Swatch | None
    ) -> None:
        role = f"{ground.name}/{spec.name}"
        ways = self.ways_out(role, found, ground.rgb, made.required, derived) if wanted else ()
        self.conflict(f"ground/{role}", made, INK_LABELS.get(spec.name, spec.name.capitalize()), ground, ways, found)

    def conflict(
        self,
        path: str,
        made: Pair,
        what: str,
        ground: Ground,
        ways: tuple[Alternative, ...],
        found: Swatch | None = None,
        cause: str = "",
    ) -> None:
        who = f"{found.label} as {what.lower()}" if found else what
        message = f"{who} on {ground.name} is {shown(made.ratio)}; it needs {made.required:g}:1."
        self.conflicts.append(
            Conflict(
                "contrast-unmet", path, made.ground, made.ink, made.foreground, made.background,
                made.ratio, made.required, message, ways, cause,
            )
        )  # fmt: skip

    def ways_out(
        self, role: str, wanted: Swatch, background: RGB, required: float, derived: Swatch | None
    ) -> tuple[Alternative, ...]:
        """The smallest ways out for a wire: the nearest passing step, what the solver would take, white or black."""
        ratios = self.palette.ratios(background)
        ways: list[Alternative] = []
        if derived and contrast_ratio(derived.rgb, background) >= required:
            ways.append(self.way(derived, role, None, wanted, background))
        for kinds in ((RAMP,), (NEUTRAL,), (PURE,)):
            near = self.palette.solve(ratios, required, oklab(wanted.rgb), kinds)
            if near and all(way.color != to_hex(near.rgb) for way in ways):
                ways.append(self.way(near, role, near.reference, wanted, background))
        return tuple(ways[:3])

    @staticmethod
    def way(swatch: Swatch, role: str, reference: str | None, wanted: Swatch, background: RGB) -> Alternative:
        ratio = contrast_ratio(swatch.rgb, background)
        label = swatch.label if reference else f"{swatch.label}, as derived"
        return Alternative(label, role, reference, to_hex(swatch.rgb), ratio, difference(swatch.rgb, wanted.rgb))

    def button(self, item: buttons.ButtonState, ground: Ground, inks: dict[str, Swatch]) -> None:
        base = f"ground/{ground.name}/{item.variant}"
        for part in buttons.PARTS:
            self.add(f"{base}/{part}/{item.state}", getattr(item, part), item.origin, item.reason)
        required = 0.0 if item.state == "disabled" else self.policy["text"]
        made = [self.pair(ground.name, f"{item.variant}/label/{item.state}", item.label, item.fill, required)]
        if item.variant == "secondary" and required:
            edge = self.policy["boundary"]
            made.append(self.pair(ground.name, f"secondary/border/{item.state}", item.border, ground.rgb, edge))
        if item.variant == "primary" and item.state == "rest":
            self.pair(ground.name, "primary/fill", item.fill, ground.rgb, 0.0)
        wanted = self.palette.get(self.wires.get(f"{ground.name}/{item.variant}", ""))
        # A variant without a colour of its own stands or falls with the ink that it is drawn in.
        follows = {"text": "link", "secondary": None if wanted else "heading"}.get(item.variant)
        root = f"ground/{ground.name}/{follows}" if follows else f"{base}/label/rest"
        for pair in (pair for pair in made if not pair.passes):
            path = f"ground/{ground.name}/{pair.ink}"
            what = f"{item.variant} button, {item.state}"
            role = f"{ground.name}/{item.variant}"
            ways: tuple[Alternative, ...] = ()
            if wanted and item.variant == "secondary" and path == root:
                ways = self.ways_out(role, wanted, ground.rgb, pair.required, inks["heading"])
            self.conflict(path, pair, what, ground, ways, cause="" if path == root else root)

    def mark(self, ground: Ground) -> None:
        chosen = logo.choose(self.given_marks, ground.name, ground.rgb)
        self.marks[ground.name] = chosen
        if chosen.mark is None:
            reason = "The brand has no mark yet; its name is set in the heading ink."
        else:
            reason = (
                f"{math.floor(chosen.visibility * 100)} % of its drawn area has at least {logo.VISIBLE:g}:1 here, "
                "the most of all marks."
            )
            if chosen.visibility < logo.GOOD:
                self.conflicts.append(
                    Conflict(
                        "mark-unseen", f"logo/{ground.name}", ground.name, "mark", "", to_hex(ground.rgb),
                        chosen.visibility, logo.GOOD,
                        f"No mark is seen well on {ground.name}: {math.floor(chosen.visibility * 100)} % of the best has "
                        f"3:1, {logo.GOOD * 100:g} % should. Add a mark for {'dark' if sum(ground.rgb) < 384 else 'light'} "
                        "grounds.",
                    )
                )  # fmt: skip
        value = chosen.mark or ""
        self.tokens[f"logo/{ground.name}"] = Token(f"logo/{ground.name}", "asset", value, value or "none", "derived", reason)
