"""What a browser shows is what was predicted of the page (Formulon's own)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Differs
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="layout/as-predicted",
    title="Pages are drawn as predicted",
    standard=Ref("Formulon’s own"),
    severity="note",
    looks_at=Differs,
    rationale="Every other check rests on predictions. Where a browser sees something else, that is a fault of Formulon’s, and what is measured counts.",
    messages={
        "lines": "This text takes {there} lines; {said} were predicted.",
        "size": "This text is drawn at {there}; {said} was predicted.",
        "colour": "This text is drawn in {there}; {said} was predicted.",
        "ground": "This text stands on {there}; {said} was predicted.",
    },
)
def as_predicted(one: Differs, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict(one.what, width=one.width, values={"there": one.measured, "said": one.predicted})
