"""What stands on one ground, as tokens, pairs and conflicts: inks, buttons and fields."""

from dataclasses import dataclass, field

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.system.solving import buttons, fields, inks, ways
from formulon.core.system.solving.grounds import Ground
from formulon.core.system.solving.scene import Made, Scene
from formulon.core.system.solving.search import Swatch
from formulon.core.system.solving.settings import ColorSettings
from formulon.core.system.system import Alternative, Conflict, Origin, Pair, Token

INK_LABELS = {
    "heading": "Heading", "body": "Text", "quiet": "Quiet text", "link": "Link", "link-hover": "Link, hover",
    "link-visited": "Link, visited", "boundary": "Boundary", "focus": "Focus ring", "focus-inner": "Focus ring, inner tone",
    "selection-ink": "Selected text", "success": "Success", "warning": "Warning", "error": "Error",
}  # fmt: skip
APART = {"motif"}  # solved once the grounds are


def token_of(path: str, swatch: Swatch, origin: Origin, reason: str) -> Token:
    """The token of a colour that stands at a place."""
    text = to_hex(swatch.rgb)
    return Token(path, "color", text, text, origin, reason, swatch.alias if swatch.reference else "")


@dataclass
class Standing:
    """Collects the tokens, pairs and conflicts of a ground."""

    rules: ColorSettings
    tokens: dict[str, Token] = field(default_factory=dict)
    pairs: list[Pair] = field(default_factory=list)
    conflicts: list[Conflict] = field(default_factory=list)

    def add(self, path: str, swatch: Swatch, origin: Origin, reason: str) -> None:
        self.tokens[path] = token_of(path, swatch, origin, reason)

    def pair(self, ground: str, ink: str, foreground: RGB, background: RGB, required: float) -> Pair:
        ratio = contrast_ratio(foreground, background)
        made = Pair(ground, ink, to_hex(foreground), to_hex(background), ratio, required, required == 0, self.rules.scheme)
        self.pairs.append(made)
        return made

    def on_ground(self, scene: Scene) -> None:
        """Everything that stands on the ground of a scene."""
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


def max_ratio(rgb: RGB) -> float:
    """The most contrast that anything has with a colour: that of black or white."""
    return max(contrast_ratio(rgb, (0, 0, 0)), contrast_ratio(rgb, (255, 255, 255)))


def _by_hand(scene: Scene, variant: str) -> str:
    """The part of a button at rest that was set by hand, from which a conflict of it follows."""
    parts = (f"{variant}/label/rest", f"{variant}/fill/rest", "link" if variant == "text" else "")
    return next((part for part in parts if part in scene.fixed), "")
