"""Fields stand off what they stand on (WCAG 2.2 SC 1.4.11)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Control
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.srgb import from_hex


@rule(
    id="contrast/field-edge",
    title="Fields are seen as fields",
    standard=Ref("WCAG 2.2", "1.4.11", "AA"),
    severity="stop",
    looks_at=Control,
    applies_if=lambda control: (
        control.kind == "field" and bool(control.ground) and (bool(control.edged) or bool(control.filled))
    ),
    options={"ratio": 3.0},
    rationale="Who does not see where a field begins does not know where to press; its edge or its fill has to stand off.",
    messages={"faint": "“{label}” stands off its ground by {measured}:1; its edge or its fill needs {required}:1."},
)
def field_edge(control: Control, options: Mapping[str, float]) -> Iterator[Verdict]:
    ground = from_hex(control.ground)
    drawn = [one for one in (control.edged if control.edge >= 1 else "", control.filled) if one]
    best = max((contrast_ratio(from_hex(one), ground) for one in drawn), default=1.0)
    if best < options["ratio"]:
        yield Verdict("faint", best, options["ratio"], ":1", values={"label": control.label or "A field"})
