"""Links within a sentence are told from it by more than their colour (WCAG 2.2 SC 1.4.1, technique G183)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_mends import UNDERLINED, own_css
from formulon.core.checks.page_facts import LinkInText
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.srgb import from_hex


@rule(
    id="links/told-in-text",
    title="Links in sentences are told from them",
    standard=Ref("WCAG 2.2", "1.4.1", "A"),
    severity="stop",
    looks_at=LinkInText,
    applies_if=lambda link: not link.drawn,
    options={"least": 3.0},
    rationale="Who sees few colours reads over a link that only a hue tells; 3:1 between them is seen by everybody.",
    messages={
        "alike": "“{label}” is told from the words around it by its colour alone, {measured}:1; without an underline it needs {required}:1."
    },
    mend=own_css(UNDERLINED),
)
def told_in_text(link: LinkInText, options: Mapping[str, float]) -> Iterator[Verdict]:
    ratio = contrast_ratio(from_hex(link.ink), from_hex(link.around))
    if ratio < options["least"]:
        yield Verdict("alike", ratio, options["least"], ":1", values={"label": link.label[:60]})
