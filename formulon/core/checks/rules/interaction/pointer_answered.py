"""Buttons answer the pointer (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Still
from formulon.core.checks.own_mends import answering
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="interaction/pointer-answered",
    title="Buttons answer the pointer",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Still,
    rationale="What changes under the pointer says that it can be pressed; what stays as it is reads as a picture of a button.",
    messages={
        "one": "“{label}” looks the same under the pointer as at rest.",
        "several": "“{label}” and {others} more buttons look the same under the pointer as at rest.",
    },
    mend=answering,
)
def pointer_answered(still: Still, _: Mapping[str, float]) -> Iterator[Verdict]:
    label = still.labels[0][:60] or still.place.slot
    others = len(still.labels) - 1
    yield Verdict("several" if others else "one", values={"label": label, "others": others})
