"""Drawings that say something alone are seen (WCAG 2.2 SC 1.4.11)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Graphic
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.srgb import from_hex


@rule(
    id="contrast/graphic",
    title="Drawings that say something alone are seen",
    standard=Ref("WCAG 2.2", "1.4.11", "AA"),
    severity="stop",
    looks_at=Graphic,
    applies_if=lambda one: bool(one.inks and one.ground),
    options={"ratio": 3.0},
    rationale="A drawing without words is all that tells what a button does; who does not see it has no button.",
    messages={"faint": "The drawing of “{label}” stands off its ground by {measured}:1; it needs {required}:1."},
)
def graphic(one: Graphic, options: Mapping[str, float]) -> Iterator[Verdict]:
    """By the part of it that is seen best."""
    ratio = max(contrast_ratio(from_hex(ink), from_hex(one.ground)) for ink in one.inks)
    if ratio < options["ratio"]:
        yield Verdict("faint", ratio, options["ratio"], ":1", values={"label": one.label[:60] or "a button"})
