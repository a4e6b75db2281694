"""No short word stands alone on the last line of a headline (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot
from formulon.core.checks.rules.type.sizes import smaller
from formulon.core.site.site import Site
from formulon.core.system.system import System

PHONE = 360
NO_BREAK = "\u00a0"


def mend(site: Site, system: System, run: TextRun, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    head, _, last = run.text.rpartition(" ")
    if head:
        yield Remedy(f"Keep “{head.split()[-1]} {last}” together", change_slot(site, run.place, None, head + NO_BREAK + last))
    for share in (0.94, 0.86, 0.76):
        yield smaller(site, system, run.step, {verdict.width or PHONE: share})[1]


@rule(
    id="type/orphan",
    title="No short word is left alone in a headline",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=TextRun,
    applies_if=lambda run: run.tag in ("h1", "h2", "h3") and (bool(run.fits) or run.free) and not run.placeholder,
    options={"longest": 7},
    rationale="A short word alone on the last line of a headline looks like a mistake.",
    messages={
        "alone": "“{word}” stands alone on the last line.",
        "box-unknown": "The headline stands in a free part of its layout, so its last line cannot be told without a browser.",
    },
    mend=mend,
)
def orphan(run: TextRun, options: Mapping[str, float]) -> Iterator[Verdict]:
    for width, one in run.fits.items():
        if one.orphan and len(one.orphan.strip(".,!?…")) <= options["longest"]:
            yield Verdict("alone", width=width, values={"word": one.orphan})
            return
    if run.free:
        yield Verdict("box-unknown", outcome="cannot-tell")
