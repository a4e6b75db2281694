"""Enhanced text contrast (WCAG 2.2 SC 1.4.6), where the site is held to AAA."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.facts import TextRun
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.checks.rules.contrast.text_minimum import below, measure, mend


@rule(
    id="contrast/text-enhanced",
    title="Text has the contrast of AAA",
    standard=Ref("WCAG 2.2", "1.4.6", "AAA"),
    severity="stop",
    looks_at=TextRun,
    applies_if=lambda run: run.policy == "AAA" and bool(run.text.strip()),
    options={"normal": 7.0, "large": 4.5, "large-px": 24.0, "large-bold-px": 56 / 3, "bold-weight": 700},
    rationale="The site is held to AAA, which people with about 20/80 vision need without aids; large text needs less.",
    messages={"too-low": "“{text}” is {ratio} on {ground}; under AAA it needs {needed}:1."},
    mend=mend,
)
def text_enhanced(run: TextRun, options: Mapping[str, float]) -> Iterator[Verdict]:
    yield from below(run, options)


text_enhanced.measure = measure  # type: ignore[attr-defined]
