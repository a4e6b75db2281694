"""The mark is drawn as it was made (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import MarkDrawn
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="brand/mark-unaltered",
    title="The mark is drawn as it was made",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=MarkDrawn,
    options={"most": 2.0},
    rationale="Every guideline has the same page of marks that were stretched, turned, faded or given a shadow, each crossed out.",
    messages={
        "stretched": "{name} is drawn {measured} % out of its proportions.",
        "altered": "{name} has {what}. A mark is drawn as it was made.",
    },
    bound="most",
)
def mark_unaltered(mark: MarkDrawn, options: Mapping[str, float]) -> Iterator[Verdict]:
    for width, (wide, high) in mark.sizes.items():
        off = abs(wide / high / mark.proportion - 1) * 100 if high > 0 else 0.0
        # A file's size is written in whole px, which is more than that of a small one.
        if off > options["most"] and abs(wide - high * mark.proportion) > 1.5:
            yield Verdict("stretched", off, options["most"], "%", width, {"name": mark.name})
            break
    if mark.altered:
        yield Verdict("altered", values={"name": mark.name, "what": " and ".join(mark.altered)})
