"""A link that a colour alone tells is told without red, green or blue as well (WCAG 2.2 SC 1.4.1)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import UNDERLINED, own_css
from formulon.core.checks.page_facts import LinkInText
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.color.difference import delta_e_2000
from formulon.core.color.srgb import from_hex
from formulon.core.color.vision import DICHROMACIES, Vision, lab_seen


@rule(
    id="contrast/dichromacy",
    title="Colours that mean something are told apart by everybody",
    standard=Ref("WCAG 2.2", "1.4.1", "A"),
    severity="note",
    looks_at=LinkInText,
    applies_if=lambda link: not link.drawn and link.ink != link.around,
    options={"apart": 10.0},
    rationale="One man in twelve does not see red and green as others do; a link that colour alone tells is gone for him.",
    messages={
        "alike": "“{label}” is told by its colour alone, and with {vision} that is {measured} ΔE2000 from the words around it; {required} is the least."
    },
    mend=own_css(UNDERLINED),
)
def dichromacy(link: LinkInText, options: Mapping[str, float]) -> Iterator[Verdict]:
    ink, around = from_hex(link.ink), from_hex(link.around)
    away: dict[Vision, float] = {one: delta_e_2000(lab_seen(ink, one), lab_seen(around, one)) for one in DICHROMACIES}
    vision, least = min(away.items(), key=lambda one: one[1])
    if least < options["apart"]:
        yield Verdict("alike", least, options["apart"], "", values={"label": link.label[:60], "vision": vision})
