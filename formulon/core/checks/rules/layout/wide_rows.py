"""On wide screens the parts of a row stand near each other (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import WideRow
from formulon.core.checks.own_mends import with_lines
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import in_other_layouts
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, one: WideRow, __: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    yield from with_lines(site, one.place)
    yield from in_other_layouts(site, one.place)


@rule(
    id="layout/wide-rows",
    title="On wide screens the parts of a row stand near each other",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=WideRow,
    options={"most": 480},
    bound="most",
    rationale="Across a wide gap without a line or dots the eye slips into the next row, and takes its price for this one’s.",
    messages={
        "apart": "“{text}” and “{other}” stand {measured} px apart in one row; {required} are the most without a line or dots."
    },
    mend=mend,
)
def wide_rows(one: WideRow, options: Mapping[str, float]) -> Iterator[Verdict]:
    if one.gap > options["most"]:
        yield Verdict("apart", one.gap, options["most"], "px", one.width, {"text": one.text[:60], "other": one.other[:60]})
