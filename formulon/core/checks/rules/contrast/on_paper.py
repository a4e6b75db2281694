"""Words can be read on paper (CSS Color Adjustment 1, 3.1; common practice)."""

import re
from collections.abc import Iterator, Mapping
from operator import itemgetter

from formulon.core.checks.drawn_facts import Printed
from formulon.core.checks.own_mends import Way, own_css
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.srgb import from_hex
from formulon.core.site.own.css import Declared

_ADJUSTED = re.compile(r"(?:-webkit-)?(?:print-)?color-adjust")


def _left(one: Declared) -> str:
    return "" if _ADJUSTED.fullmatch(one.name) else one.value


@rule(
    id="contrast/on-paper",
    title="Words can be read on paper",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Printed,
    options={"ratio": 3.0},
    rationale="Printers leave grounds out, and browsers darken words for that, unless a page wants its colours kept: white words on white.",
    messages={"faint": "On paper “{text}” keeps its colours and is {ratio}; it needs {needed}:1."},
    mend=own_css(Way("Leave colours on paper to the browser", _left)),
)
def on_paper(printed: Printed, options: Mapping[str, float]) -> Iterator[Verdict]:
    """The faintest."""
    ratios = [(contrast_ratio(from_hex(ink), from_hex(ground)), place, text) for place, text, ink, ground in printed.kept]
    ratio, place, text = min(ratios, key=itemgetter(0), default=(options["ratio"], printed.place, ""))
    if ratio < options["ratio"]:
        values = {"text": text[:60], "ratio": shown(ratio), "needed": f"{options['ratio']:g}"}
        yield Verdict("faint", ratio, options["ratio"], ":1", values=values, place=place)
