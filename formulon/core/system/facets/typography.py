"""The type facet: families, the fluid scale, and what each step takes from the measures of its family.

Sizes are base × ratio^power at both ends of the viewport. Line height and tracking start from values for a family whose
x-height is half an em and whose letters are 0.45 em wide on average, and follow the family's own measures (common practice:
large x-heights, long lines and heavy type want more room; large and wide type is set closer).
"""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import NamedTuple

from formulon.core.system.documents.choices import Scale, StepChoice, StepName
from formulon.core.system.fluid import LARGE, SMALL, fluid
from formulon.core.system.system import Origin, Step, Token
from formulon.core.type.library import Family

MOST_GROWTH = 2.5  # so that zoom to 500 % doubles every text (common practice; WCAG 2.2 SC 1.4.4)
_X_HEIGHT, _WIDTH, _STEM = 0.5, 0.45, 0.08  # em; the family that the values of _STEPS are for
_MEASURE_EM, _COMFORTABLE = 32, 66  # the widest box of running text, and characters in a line (Bringhurst, from memory)


class Fonts(NamedTuple):
    """The families of a brand by role."""

    heading: Family
    body: Family
    third: Family | None = None

    def of(self, role: str) -> Family:
        """The family of a role; the body's where there is no third."""
        return {"heading": self.heading, "third": self.third}.get(role) or self.body


@dataclass(frozen=True, slots=True)
class _Start:
    """Where a step starts: power of the ratio, family, wanted weight, line height, tracking in em."""

    power: float
    role: str
    weight: int
    line_height: float
    tracking: float = 0.0


_STEPS: dict[StepName, _Start] = {
    "display": _Start(5.2, "heading", 600, 1.05, -0.016),
    "h1": _Start(4.5, "heading", 600, 1.08, -0.014),
    "h2": _Start(3, "heading", 600, 1.12, -0.012),
    "h3": _Start(1.5, "heading", 600, 1.2, -0.006),
    "h4": _Start(0.75, "heading", 600, 1.25),
    "h5": _Start(0.3, "heading", 600, 1.3),
    "h6": _Start(-0.1, "heading", 700, 1.35, 0.004),
    "intro": _Start(0.75, "body", 400, 1.5),
    "body": _Start(0, "body", 400, 1.6),
    "fine": _Start(-0.55, "body", 400, 1.5),
    "label": _Start(-0.1, "third", 600, 1.25),
}
_RUNNING = ("intro", "body", "fine")


def role_of(step: StepName, scale: Scale, fonts: Fonts) -> str:
    """Which of the brand's families a step is set in: heading, body or third."""
    role = (scale.steps[step].font if step in scale.steps else None) or _STEPS[step].role
    return "body" if role == "third" and not fonts.third else role


def steps(fonts: Fonts, scale: Scale, joined: bool = False) -> dict[str, Step]:
    """Every step of the scale. A measure that was set for one step goes before the scale's; where letters are `joined` there is
    no tracking."""
    made: dict[str, Step] = {}
    for name, start in _STEPS.items():
        own = scale.steps.get(name, StepChoice())
        role = role_of(name, scale, fonts)
        font = fonts.of(role)
        small = own.small or scale.base_small * scale.ratio_small**start.power * scale.size
        large = min(own.large or scale.base_large * scale.ratio_large**start.power * scale.size, small * MOST_GROWTH)
        made[name] = Step(
            name, font, font.nearest_weight(own.weight or start.weight), round(small, 3), round(large, 3),
            own.line_height or _line_height(name, font), 0.0 if joined else _tracking(name, font) if own.tracking is None else own.tracking,
            own.case or "none", role,
        )  # fmt: skip
    return made


def characters(font: Family) -> float:
    """Characters of English in the widest line of running text."""
    return _MEASURE_EM / font.measured.width


def _line_height(name: StepName, font: Family) -> float:
    start, look = _STEPS[name].line_height, font.measured
    more = (look.x_height - _X_HEIGHT) * (0.7 if name in _RUNNING else 0.4)
    if name in _RUNNING:
        more += (characters(font) - _COMFORTABLE) * 0.0015 - (_MEASURE_EM / _WIDTH - _COMFORTABLE) * 0.0015
        more += (look.stem - _STEM) * 0.5
    return round(max(1.0, start + more), 2)


def _tracking(name: StepName, font: Family) -> float:
    return round(_STEPS[name].tracking * font.measured.width / _WIDTH, 4)


def tokens(fonts: Fonts, scale: Scale, made: dict[str, Step], joined: bool = False) -> Iterator[Token]:
    """Families first; then family, size, line height, weight, tracking and case of each step."""
    for role in ("heading", "body", "third"):
        if role != "third" or fonts.third:
            font = fonts.of(role)
            reason = f"{font.name} is the brand's {role} typeface."
            yield Token(f"type/{role}/family", "fontFamily", [font.name], font.stack, "exact", reason)
    yield _icon_stroke(made["label"])
    for name in _STEPS:
        yield from _of_step(name, made[name], scale, scale.steps.get(name, StepChoice()), joined)


def _icon_stroke(label: Step) -> Token:
    """Icons are drawn 1.25 em high on a grid of 24, with the stems of the label that they stand beside."""
    font = label.family
    heavier = 1 + max(0, label.weight - 400) / 500  # a stem grows by about a fifth in a hundred of weight (common practice)
    stroke = round(min(3.0, max(1.0, font.measured.stem * heavier / 1.25 * 24)), 2)
    return Token(
        "icon/stroke", "number", stroke, f"{stroke:g}", "derived",
        f"The stems of {font.name} at {label.weight}, on the icons' grid of 24.",
    )  # fmt: skip


def _of_step(name: StepName, step: Step, scale: Scale, own: StepChoice, joined: bool) -> Iterator[Token]:
    start, font = _STEPS[name], step.family
    look = font.measured

    def told(value: object, chosen: str, derived: str) -> tuple[Origin, str]:
        return ("derived", derived) if value is None else ("chosen", chosen)

    if name != "body":  # running text is set in the body family, which has that path already
        origin, reason = told(own.font, f"Set in the {step.role} typeface.", f"Set in the {step.role} typeface.")
        yield Token(f"type/{name}/family", "fontFamily", [font.name], font.stack, origin, reason, f"type/{step.role}/family")
    times = f" × {scale.size:g}" if scale.size != 1 else ""
    origin, reason = told(
        own.small or own.large,
        f"{step.small:g} px on phones and {step.large:g} px on desktops, set for this step.",
        f"{scale.base_small:g} px × {scale.ratio_small:g}^{start.power:g}{times} at {SMALL} px, "
        f"{scale.base_large:g} px × {scale.ratio_large:g}^{start.power:g}{times} at {LARGE} px, "
        f"at most {MOST_GROWTH:g} times as large.",
    )
    size = {"small": step.small, "large": step.large, "unit": "px"}
    yield Token(f"type/{name}/size", "dimension", size, fluid(step.small, step.large), origin, reason)
    line = f"x-height {look.x_height:.2g} em"
    if name in _RUNNING:
        line += f", {characters(font):.0f} characters in the widest line"
    origin, reason = told(own.line_height, "Set for this step.", f"{font.name}: {line}.")
    yield Token(f"type/{name}/line-height", "number", step.line_height, f"{step.line_height:g}", origin, reason)
    wanted = own.weight or start.weight
    origin, reason = told(own.weight, "", "")
    yield Token(
        f"type/{name}/weight", "fontWeight", step.weight, str(step.weight), origin,
        f"The weight nearest to {wanted} that {font.name} has.",
    )  # fmt: skip
    tracking = {"value": step.tracking, "unit": "em"}
    derived = f"Large type is drawn closer; letters of {font.name} are {look.width:.2g} em wide on average."
    origin, reason = told(own.tracking, "Set for this step.", derived)
    if joined:
        origin, reason = "derived", "No space is set between letters that join."
    yield Token(f"type/{name}/tracking", "dimension", tracking, f"{step.tracking:g}em", origin, reason)
    origin, reason = told(own.case, "Set for this step.", "As it is written.")
    yield Token(f"type/{name}/case", "keyword", step.case, step.case, origin, reason)
