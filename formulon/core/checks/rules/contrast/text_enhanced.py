"""Enhanced text contrast (WCAG 2.2 SC 1.4.6, or ratios of one's own), where the site is held to more than AA."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.rule import COMMON_PRACTICE, Ref, Verdict, rule
from formulon.core.checks.rules.contrast.text_minimum import below, measure, mend
from formulon.core.system.policy import AA


@rule(
    id="contrast/text-enhanced",
    title="Text has the contrast that the site is held to",
    standard=Ref("WCAG 2.2", "1.4.6", "AAA"),
    severity="stop",
    looks_at=TextRun,
    applies_if=lambda run: run.policy != AA and bool(run.text.strip()) and not run.on_picture,
    rationale="The site is held to more than AA: people with about 20/80 vision read without aids at 7:1, large text at 4.5:1.",
    messages={
        "too-low": "“{text}” is {ratio} on {ground}; under AAA it needs {needed}:1.",
        "below-own": "“{text}” is {ratio} on {ground}; the site is held to {needed}:1.",
    },
    refs={"below-own": COMMON_PRACTICE},
    mend=mend,
    measure=measure,
)
def text_enhanced(run: TextRun, _: Mapping[str, float]) -> Iterator[Verdict]:
    code = "too-low" if run.policy.name == "AAA" else "below-own"
    for verdict in below(run, run.policy.text, run.policy.large):
        yield Verdict(code, verdict.measured, verdict.required, verdict.unit, verdict.width, verdict.values)
