"""Words can be read while they are selected (WCAG 2.2 SC 1.4.3, of which a selection is no exception; common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Selected
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.srgb import from_hex


@rule(
    id="contrast/selection",
    title="Selected words can be read",
    standard=Ref("WCAG 2.2", "1.4.3", "AA"),
    severity="note",
    looks_at=Selected,
    options={"ratio": 4.5},
    rationale="People select what they want to copy or to keep their place in; a selection in the brand’s colour easily swallows the words.",
    messages={"too-low": "Selected, “{text}” is {ratio}; it needs {needed}:1."},
)
def selection(one: Selected, options: Mapping[str, float]) -> Iterator[Verdict]:
    ratio = contrast_ratio(from_hex(one.ink), from_hex(one.ground)) if one.ink and one.ground else options["ratio"]
    if ratio < options["ratio"]:
        values = {"text": one.text[:60], "ratio": shown(ratio), "needed": f"{options['ratio']:g}"}
        yield Verdict("too-low", ratio, options["ratio"], ":1", values=values)
