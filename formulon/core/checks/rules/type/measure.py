"""Lines of running text have a length that the eye can follow (Bringhurst, The Elements of Typographic Style, from memory)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_code import of_code
from formulon.core.checks.own_mends import shorter_lines
from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.rule import Ref, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import in_other_layouts
from formulon.core.site.site import Site
from formulon.core.system.system import System

RUNNING = ("intro", "body", "fine")


def measure(run: TextRun) -> float:
    return max((one.characters for one in run.fits.values() if one.lines > 1), default=0.0)


def mend(site: Site, system: System, run: TextRun, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    if of_code(site, run.place) is not None:
        yield from shorter_lines(site, run.place)
    else:
        yield from in_other_layouts(site, run.place)


@rule(
    id="type/measure",
    title="Lines are not too long to read",
    standard=Ref("Bringhurst, The Elements of Typographic Style", "45 to 75 characters"),
    severity="note",
    looks_at=TextRun,
    applies_if=lambda run: run.step in RUNNING and (run.free or any(one.lines > 2 for one in run.fits.values())),
    options={"most": 85.0},
    rationale="In long lines the eye loses its way back to the next one. 45 to 75 characters are comfortable.",
    messages={
        "too-long": "The lines have {measured} characters; {required} is the most, and up to 75 are comfortable.",
        "box-unknown": "The text stands in a free part of its layout, so how long its lines are cannot be told without a browser.",
    },
    mend=mend,
    measure=measure,
    bound="most",
)
def line_measure(run: TextRun, options: Mapping[str, float]) -> Iterator[Verdict]:
    for width, one in run.fits.items():
        if one.lines > 2 and one.characters > options["most"]:
            yield Verdict("too-long", one.characters, options["most"], "characters", width)
            return
    if run.free:
        yield Verdict("box-unknown", outcome="cannot-tell")
