"""No word is wider than its box (WCAG 2.2 SC 1.4.10 asks for reflow; that a word is not broken is common practice)."""

import math
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import in_other_layouts
from formulon.core.checks.rules.type.sizes import smaller
from formulon.core.site.site import Site
from formulon.core.system.system import System

_HALF = 0.5  # px; browsers break a word that is wider by less than that in some engines and not in others


def measure(run: TextRun) -> float:
    return max(one.widest - one.box for one in run.fits.values())


def mend(site: Site, system: System, run: TextRun, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    small, fix = smaller(
        site, system, run.step, {width: one.box / one.widest for width, one in run.fits.items() if one.widest > one.box}
    )
    if small >= options["smallest"]:
        yield fix
    yield from in_other_layouts(site, run.place)


@rule(
    id="type/word-fits",
    title="No word is wider than its box",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=TextRun,
    applies_if=lambda run: (bool(run.fits) or run.free) and not run.placeholder and run.text.strip() != "",
    options={"smallest": 14.0},
    rationale="A word that is wider than its box is broken in the middle, where no hyphen stands.",
    messages={
        "too-wide": "The longest word takes {measured} px; its box has {required} px.",
        "glyphs-unknown": "The typeface lacks “{glyphs}”, so it cannot be told how wide this word is.",
        "box-unknown": "The text stands in a free part of its layout, so whether its words fit cannot be told without a browser.",
    },
    mend=mend,
    measure=measure,
    bound="most",
)
def word_fits(run: TextRun, options: Mapping[str, float]) -> Iterator[Verdict]:
    for width, one in run.fits.items():
        if one.widest > one.box + _HALF and run.unknown_glyphs:
            yield Verdict("glyphs-unknown", width=width, values={"glyphs": run.unknown_glyphs}, outcome="cannot-tell")
            return
        if one.widest > one.box + _HALF:
            yield Verdict("too-wide", one.widest, math.floor(one.box * 10) / 10, "px", width)
            return
    if run.free:
        yield Verdict("box-unknown", outcome="cannot-tell")
