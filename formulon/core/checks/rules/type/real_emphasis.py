"""What a text stresses is drawn in a real italic, and what is strong in a real bold (common practice): without one it looks as
the rest, since pages let no browser slant or smear letters."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot
from formulon.core.site.documents import located
from formulon.core.site.site import Site
from formulon.core.site.slots import slot_values
from formulon.core.system.system import System
from formulon.core.type.emphasis import STRONG_WEIGHT, Style, marked, parts, plain


def mend(site: Site, system: System, run: TextRun, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    found = located(site, run.place.page, run.place.section)
    if found is None:
        return
    text = str(slot_values(found[2])[run.place.slot][1])
    lost: Style = "em" if verdict.code == "no-italic" else "strong"
    other: Style = "strong" if lost == "em" else "em"
    if _drawn(run, other):
        turned = "".join(marked(part, other if style == lost else style) for style, part in parts(text))
        yield Remedy("Strong instead" if other == "strong" else "Stressed instead", change_slot(site, run.place, None, turned))
    yield Remedy("Without emphasis", change_slot(site, run.place, None, plain(text)))


def _drawn(run: TextRun, style: Style) -> bool:
    """Whether a style looks different from the text around it."""
    if run.family is None:
        return True
    if style == "em":
        return run.family.italic
    return run.family.nearest_weight(max(run.weight, STRONG_WEIGHT)) > run.weight


@rule(
    id="type/real-emphasis",
    title="What is emphasised looks so",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=TextRun,
    applies_if=lambda run: bool(run.styles),
    rationale="A typeface without an italic or a bold draws emphasis as it draws everything else, so that nobody sees it.",
    messages={
        "no-italic": "{family} has no italic, so what “{text}” stresses looks as the rest.",
        "no-bold": "{family} has nothing bolder than {weight}, so what is strong in “{text}” looks as the rest.",
    },
    mend=mend,
)
def real_emphasis(run: TextRun, options: Mapping[str, float]) -> Iterator[Verdict]:
    values = {"family": run.family.name if run.family else "", "text": run.text[:60], "weight": run.weight}
    if "em" in run.styles and not _drawn(run, "em"):
        yield Verdict("no-italic", values=values)
    if "strong" in run.styles and not _drawn(run, "strong"):
        yield Verdict("no-bold", values=values)
