"""Pictures side by side have the same proportions (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import PictureRow
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="pictures/row-proportions",
    title="Pictures side by side have the same proportions",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PictureRow,
    options={"apart": 0.08},
    rationale="In a row of equals, one that is higher looks like a mistake.",
    messages={"apart": "Pictures side by side are {least} to {most} times as wide as they are high."},
)
def row_proportions(row: PictureRow, options: Mapping[str, float]) -> Iterator[Verdict]:
    least, most = min(row.proportions), max(row.proportions)
    if most > least * (1 + options["apart"]):
        yield Verdict("apart", values={"least": f"{least:g}", "most": f"{most:g}"})
