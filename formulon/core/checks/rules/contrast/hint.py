"""Hints in empty fields can be read (WCAG 2.2 SC 1.4.3)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Control
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.srgb import from_hex


@rule(
    id="contrast/hint",
    title="Hints in fields can be read",
    standard=Ref("WCAG 2.2", "1.4.3", "AA"),
    severity="stop",
    looks_at=Control,
    applies_if=lambda control: bool(control.hint and (control.filled or control.ground)),
    options={"ratio": 4.5},
    rationale="A hint is text like any, and tells what is to be written; browsers draw it fainter than that allows unless told otherwise.",
    messages={"faint": "The hint in “{label}” is {measured}:1; it needs {required}:1."},
)
def hint(control: Control, options: Mapping[str, float]) -> Iterator[Verdict]:
    ratio = contrast_ratio(from_hex(control.hint), from_hex(control.filled or control.ground))
    if ratio < options["ratio"]:
        yield Verdict("faint", ratio, options["ratio"], ":1", values={"label": control.label or "the field"})
