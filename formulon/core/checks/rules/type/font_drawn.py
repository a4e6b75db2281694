"""Texts are drawn in the typeface that they ask for and that the site brings (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import FontDrawn
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="type/font-drawn",
    title="Typefaces are really those that are asked for",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=FontDrawn,
    rationale="Where a file cannot be read, or lacks letters, browsers draw in whatever they have, on every machine in another font.",
    messages={
        "other": "“{text}” asks for {family} and is drawn in {drawn}.",
        "some": "{count} of {all} letters of “{text}” are drawn in {drawn}; {family} lacks them.",
    },
)
def font_drawn(one: FontDrawn, _: Mapping[str, float]) -> Iterator[Verdict]:
    code = "other" if one.letters == one.all_letters else "some"
    values = {"text": one.text[:60], "family": one.asked, "drawn": one.drawn, "count": one.letters, "all": one.all_letters}
    yield Verdict(code, values=values)
