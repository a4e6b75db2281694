"""The colours of one scheme: every ground with what stands on it, as tokens, pairs and conflicts."""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from functools import lru_cache
from typing import NamedTuple

from formulon.core.color.contrast import relative_luminance
from formulon.core.color.oklab_scalar import mixed
from formulon.core.color.parse import parse_color
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.system.documents.identity import Mark
from formulon.core.system.parts import GROUND, ROLES
from formulon.core.system.policy import AA
from formulon.core.system.solving import logo, ways
from formulon.core.system.solving.costs import Costs
from formulon.core.system.solving.grounds import ByHand, Ground, Set, assign, ends
from formulon.core.system.solving.groups.texts import prepare
from formulon.core.system.solving.on_ground import OnGround, on_ground, token_of
from formulon.core.system.solving.palette import Exact
from formulon.core.system.solving.scene import Scene, made_for_here
from formulon.core.system.solving.search import Swatch
from formulon.core.system.solving.settings import ColorSettings
from formulon.core.system.solving.texts import Pairs
from formulon.core.system.system import Conflict, MarkOnGround, Origin, Pair, Token


@dataclass
class Coloring:
    """One resolution of colours: collects tokens, pairs and conflicts ground by ground."""

    brand: tuple[Exact, ...]
    given_marks: list[Mark]
    settings: ColorSettings
    costs: Costs
    tokens: dict[str, Token] = field(default_factory=dict)
    pairs: list[Pair] = field(default_factory=list)
    conflicts: list[Conflict] = field(default_factory=list)
    marks: dict[str, MarkOnGround] = field(default_factory=dict)

    def resolve(self) -> None:
        policy, self.palette = self.settings.policy, self.costs.palette
        self.bare = replace(self.settings, wires=(), pins=(), large_only=(), forbidden=(), wanted=(), plates=())
        self.exact_colors()
        grounds, by_ground = self.by_hand()
        self.grounds = assign(self.palette, grounds, self.settings.scheme)
        both = ends(self.palette, self.grounds, self.settings.scheme)
        names = {color.id: swatch.rgb for color, swatch in zip(self.brand, self.palette.brand, strict=True)}
        rules = Ruled(
            *(
                frozenset((names[ink], names[ground]) for ink, ground in pairs)
                for pairs in (self.settings.forbidden, self.settings.wanted)
            )
        )
        backs = [ground.rgb for ground in self.grounds.values()]
        prepare(self.costs, backs, both, self.grounds["brand"].rgb)
        solved: dict[str, OnGround] = {}
        problems: list[_Problem] = []
        for ground in self.grounds.values():
            large = policy != AA and ground.name in self.settings.large_only
            problem = _Problem(
                self.costs, ground, self.grounds["paper"], self.grounds["brand"].swatch, both,
                policy.large if large else policy.text, policy.boundary,
                tuple(by_ground.get(ground.name, {}).items()), rules, self.of_ground(ground.name),
            )  # fmt: skip
            self.add(f"ground/{ground.name}/background", ground.swatch, ground.origin, ground.reason)
            alike = (other.ground.name for other in problems if _alike(other, problem))
            twin = next((name for name in alike if not solved[name].conflicts), None)  # a conflict is told for each ground
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
        for path, value in self.settings.pins:
            if path.split("/")[0] in ("ramp", "neutral", "picture") and path not in self.tokens:
                self.conflicts.append(ways.lost_pin(path, value, self.settings.scheme))

    def of_ground(self, name: str) -> ColorSettings:
        """The rules as far as they bear on one ground, so that its solution is kept while others are changed."""
        wires = tuple(wire for wire in self.settings.wires if wire[0].partition("/")[0] == name)
        return replace(self.bare, wires=wires) if wires else self.bare

    def add(self, path: str, swatch: Swatch, origin: Origin, reason: str) -> None:
        self.tokens[path] = token_of(path, swatch, origin, reason)

    def exact_colors(self) -> None:
        """The brand's own colours, their ramps, and the neutral."""
        pins = dict(self.settings.pins)
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

    def by_hand(self) -> tuple[ByHand, dict[str, dict[str, Set]]]:
        """What wires and pins set: the grounds' own colours, and by ground what stands on them. A pin goes before a
        wire. What leads nowhere becomes a conflict."""
        grounds: dict[str, Set] = {}
        parts: dict[str, dict[str, Set]] = {}
        for role, reference in self.settings.wires:
            swatch = self.palette.get(reference)
            ground, _, name = role.partition("/")
            if swatch is None:
                self.conflicts.append(ways.lost_wire(role, reference, self.settings.scheme))
            elif name:
                parts.setdefault(ground, {})[ROLES[name].path] = Set(swatch, "chosen")
            else:
                grounds[ground] = Set(swatch, "chosen")
        for path, value in self.settings.pins:
            family, _, rest = path.partition("/")
            if family != "ground":
                continue
            ground, _, part = rest.partition("/")
            pinned = Set(made_for_here(parse_color(value).rgb, value), "pinned")
            if part == GROUND:
                grounds[ground] = pinned
            else:
                parts.setdefault(ground, {})[part] = pinned
        return grounds, parts

    def copy(self, part: OnGround, twin: str, name: str) -> None:
        """What stands on a ground that has the colour of another, with nothing set by hand on either."""
        start, own = len(f"ground/{twin}/"), f"ground/{name}/"
        for token in part.tokens.values():
            path = own + token.path[start:]
            self.tokens[path] = Token(path, "color", token.value, token.css, token.origin, token.reason, token.alias)
        self.pairs += [
            Pair(name, p.ink, p.foreground, p.background, p.ratio, p.required, p.exempt, p.scheme) for p in part.pairs
        ]

    def pictures(self) -> None:
        """The six colours in which the picture library draws, and those with which photographs are treated."""
        deep, accent, brand = (self.grounds[name] for name in ("deep", "accent", "brand"))
        pins = dict(self.settings.pins)
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
            ("6", light.swatch, f"{light.swatch.label}: what is light in a picture."),
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
        pinned = next((value for key, value in self.settings.pins if key == path), None)
        marks = [m for m in self.given_marks if m.id == pinned] or self.given_marks
        chosen = logo.choose(marks, ground.name, ground.rgb)
        plated: MarkOnGround | None = None
        if chosen.mark:
            plated = logo.on_plate(marks, ground.name, {name: one.rgb for name, one in self.grounds.items()})
        if ground.name in self.settings.plates and plated:
            chosen, plated = plated, None
        origin: Origin = "derived"
        if pinned is not None and chosen.mark == pinned:
            origin = "pinned"
        elif pinned is not None:
            self.conflicts.append(ways.lost_pin(path, pinned, self.settings.scheme))
        self.marks[ground.name] = chosen
        other = self.elsewhere(marks, ground) if chosen.mark and chosen.visibility < logo.GOOD else None
        told, conflict = logo.told(chosen, ground.name, ground.rgb, self.settings.scheme, plated, other)
        if conflict:
            # The same colour has the same conflict: it is told once.
            self.conflicts.append(replace(conflict, cause=f"logo/{twin}") if twin else conflict)
        value = chosen.mark or ""
        reason = f"Pinned. {told}" if origin == "pinned" else told
        self.tokens[path] = Token(path, "asset", value, value or "none", origin, reason)


class Ruled(NamedTuple):
    """The pairs of ink and ground that the guideline rules out, and those that it asks for."""

    forbidden: Pairs
    wanted: Pairs


@dataclass(frozen=True)
class _Problem:
    """All that the solution of one ground follows from."""

    costs: Costs
    ground: Ground
    paper: Ground
    action: Swatch
    both: tuple[RGB, RGB]
    text: float
    boundary: float
    by_hand: tuple[tuple[str, Set], ...]
    rules: Ruled
    settings: ColorSettings


@lru_cache(maxsize=256)
def _solved(problem: _Problem) -> OnGround:
    """What stands on one ground. Kept: a wire to one ground solves no other again."""
    grounds = {"paper": problem.paper, problem.ground.name: problem.ground}
    scene = Scene(
        problem.costs, problem.ground, grounds, problem.both, problem.action, problem.text, problem.boundary,
        dict(problem.by_hand), problem.rules.forbidden, problem.settings.underlined, problem.rules.wanted, problem.settings.outlined,
    )  # fmt: skip
    return on_ground(scene, problem.settings)


def _alike(one: _Problem, other: _Problem) -> bool:
    """Whether two grounds have the same solution."""
    same = one.ground.swatch == other.ground.swatch and one.text == other.text
    return same and not (one.by_hand or other.by_hand or one.rules.forbidden)
