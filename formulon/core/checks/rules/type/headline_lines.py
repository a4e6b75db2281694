"""A headline takes at most three lines on a phone (common practice)."""

import re
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.predict import predict
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot
from formulon.core.site.changes import Change, apply
from formulon.core.site.documents import CHOICES
from formulon.core.site.site import Site
from formulon.core.system.system import System

PHONE = 360
_STEP = 0.01


def measure(run: TextRun) -> float:
    return run.lines.get(PHONE, 0)


def shorter(text: str) -> Iterator[str]:
    """The text cut at its own joints, longest first: sentences, then clauses."""
    cuts = [found.start() for found in re.finditer(r"(?<=[.!?])\s|[,;:]\s|\s[–—-]\s", text)]
    for cut in sorted(cuts, reverse=True):
        kept = text[:cut].rstrip(" ,;:–—-")
        if len(kept.split()) >= 2:
            yield kept


def mend(site: Site, system: System, run: TextRun, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    for text in shorter(run.text):
        yield Remedy(f"“{text}”", change_slot(site, run.place, None, text))
    page = site.page(run.place.page)
    ratio = site.choices.scale.ratio_small
    while page and ratio - _STEP >= 1.05:
        ratio = round(ratio - _STEP, 2)
        change = Change(document=CHOICES, patch=[{"op": "replace", "path": "/scale/ratio_small", "value": ratio}])
        changed = apply(site, [change])
        after = changed.system()
        same = next(f for f in predict(changed, after, [page]) if isinstance(f, TextRun) and f.place == run.place)
        if measure(same) <= options["most"]:
            size = after.steps[run.step].small
            yield Remedy(f"Headlines at {size:.0f} px on phones, whole site", (change,))
            return


@rule(
    id="type/headline-lines",
    title="Headlines stay short on a phone",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=TextRun,
    applies_if=lambda run: run.step in ("display", "h1", "h2") and run.tag in ("h1", "h2") and not run.placeholder,
    options={"most": 3},
    rationale="A headline of four lines and more fills a phone's first screen, and nobody reads on.",
    messages={
        "too-many": "The headline takes {measured} lines on a phone; {required} is the most.",
        "box-unknown": "The headline stands in a free part of its layout, so its lines cannot be told without a browser.",
        "glyphs-unknown": "The typeface lacks “{glyphs}”, so the lines of this headline cannot be told.",
    },
    mend=mend,
    measure=measure,
    bound="most",
)
def headline_lines(run: TextRun, options: Mapping[str, float]) -> Iterator[Verdict]:
    if run.unknown_glyphs:
        yield Verdict("glyphs-unknown", width=PHONE, values={"glyphs": run.unknown_glyphs}, outcome="cannot-tell")
    elif not run.fits:
        yield Verdict("box-unknown", width=PHONE, outcome="cannot-tell")
    elif run.lines.get(PHONE, 0) > options["most"]:  # of one that phones do not show there is nothing to say
        yield Verdict("too-many", run.lines[PHONE], options["most"], "lines", PHONE)
