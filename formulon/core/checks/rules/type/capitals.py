"""Longer texts are not set in capitals (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import SMALL_LETTERS, own_css
from formulon.core.checks.page_facts import Style
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="type/capitals",
    title="Longer texts are not set in capitals",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Style,
    applies_if=lambda one: one.capitals,
    options={"most": 40},
    rationale="Words are read by their outline; in capitals all of them are boxes.",
    messages={"long": "“{text}” is set in capitals; up to {required} characters are read with ease so."},
    bound="most",
    mend=own_css(SMALL_LETTERS),
)
def capitals(one: Style, options: Mapping[str, float]) -> Iterator[Verdict]:
    if len(one.text) > options["most"]:
        yield Verdict("long", len(one.text), options["most"], "characters", values={"text": one.text[:60]})
