"""The main action is among what draws the eye first, as that is predicted from the pixels of a first screen (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import MainAction
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="contrast/main-action-seen",
    title="The main action is among what draws the eye first",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=MainAction,
    options={"most": 5},
    bound="most",
    rationale="What people are meant to do should not have to be looked for. It is a prediction from colours, lightness and edges alone.",
    messages={
        "late": "“{label}” draws the eye only as number {measured}, as predicted; {before} come before it.",
        "unseen": "“{label}” is not among the first {required} places that draw the eye, as predicted; {before} are.",
    },
)
def main_action_seen(one: MainAction, options: Mapping[str, float]) -> Iterator[Verdict]:
    if not one.turn or one.turn > options["most"]:
        values = {"label": one.label, "before": ", ".join(f"“{name[:40]}”" for name in one.before[:3]) or "others"}
        turn = float(one.turn) if one.turn else None
        yield Verdict("late" if one.turn else "unseen", turn, options["most"], "", width=one.width, values=values)
