"""Words are divided seldom (Bringhurst, The Elements of Typographic Style, 2.4.3: no more than three lines in succession, from memory;
headlines not at all where there is room, common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Divided
from formulon.core.checks.rule import COMMON_PRACTICE, Ref, Verdict, rule


@rule(
    id="type/hyphenation",
    title="Words are divided seldom",
    standard=Ref("Bringhurst, The Elements of Typographic Style", "2.4.3"),
    severity="note",
    looks_at=Divided,
    options={"most": 3},
    bound="most",
    rationale="A ladder of hyphens leads the eye down the margin instead of along the line, and a headline is read at a glance or not at all.",
    messages={
        "ladder": "{measured} lines of “{text}” in succession end in a hyphen; {required} are the most.",
        "headline": "Words of the headline “{text}” are divided on a desktop, where there is room.",
    },
    refs={"headline": COMMON_PRACTICE},
)
def hyphenation(one: Divided, options: Mapping[str, float]) -> Iterator[Verdict]:
    if one.headed:
        yield Verdict("headline", values={"text": one.text[:60]})
    elif one.run > options["most"]:
        yield Verdict("ladder", float(one.run), options["most"], "lines", values={"text": one.text[:60]})
