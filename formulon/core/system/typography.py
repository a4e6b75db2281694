"""The type facet: families, weights and the fluid scale."""

from collections.abc import Iterator

from formulon.core.system.choices import Scale
from formulon.core.system.fluid import LARGE, SMALL, fluid
from formulon.core.system.identity import Typefaces
from formulon.core.system.model import Step, Token
from formulon.core.type.library import family

MOST_GROWTH = 2.5  # so that zoom to 500 % doubles every text (practice.md's figure; WCAG 2.2 SC 1.4.4)
# step: power of the ratio, font, wanted weight, line height, tracking in em
_STEPS = {
    "display": (5.2, "heading", 600, 1.05, -0.016),
    "h1": (4.5, "heading", 600, 1.08, -0.014),
    "h2": (3, "heading", 600, 1.12, -0.012),
    "h3": (1.5, "heading", 600, 1.2, -0.006),
    "h4": (0.75, "heading", 600, 1.25, 0.0),
    "intro": (0.75, "body", 400, 1.5, 0.0),
    "body": (0, "body", 400, 1.6, 0.0),
    "fine": (-0.55, "body", 400, 1.5, 0.0),
    "label": (-0.1, "body", 600, 1.25, 0.0),
}


def steps(typefaces: Typefaces, scale: Scale) -> dict[str, Step]:
    """Every step of the scale."""
    made = {}
    for name, (power, role, weight, line_height, tracking) in _STEPS.items():
        font = typefaces.heading if role == "heading" else typefaces.body
        small = scale.base_small * scale.ratio_small**power
        large = min(scale.base_large * scale.ratio_large**power, small * MOST_GROWTH)
        made[name] = Step(
            name, font, family(font).nearest_weight(weight), round(small, 3), round(large, 3), line_height, tracking
        )
    return made


def tokens(typefaces: Typefaces, scale: Scale, made: dict[str, Step]) -> Iterator[Token]:
    """Families first, then size, line height, weight and tracking of each step."""
    for role in ("heading", "body"):
        font = family(getattr(typefaces, role))
        reason = f"{font.name} is the brand's {role} typeface."
        yield Token(f"type/{role}/family", "fontFamily", [font.name], font.stack, "exact", reason)
    for name, step in made.items():
        power = _STEPS[name][0]
        reason = (
            f"{scale.base_small:g} px × {scale.ratio_small:g}^{power:g} at {SMALL} px, "
            f"{scale.base_large:g} px × {scale.ratio_large:g}^{power:g} at {LARGE} px, "
            f"at most {MOST_GROWTH:g} times as large."
        )
        size = {"small": step.small, "large": step.large, "unit": "px"}
        yield Token(f"type/{name}/size", "dimension", size, fluid(step.small, step.large), "derived", reason)
        height = f"{step.line_height:g}"
        yield Token(f"type/{name}/line-height", "number", step.line_height, height, "derived", "Larger type is set tighter.")
        weight = f"The weight nearest to {_STEPS[name][2]} that {family(step.family).name} has."
        yield Token(f"type/{name}/weight", "fontWeight", step.weight, str(step.weight), "derived", weight)
        tracking = {"value": step.tracking, "unit": "em"}
        yield Token(
            f"type/{name}/tracking", "dimension", tracking, f"{step.tracking:g}em", "derived", "Large type is drawn closer."
        )
