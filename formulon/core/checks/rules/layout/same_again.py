"""A page does not repeat one layout over and over (common practice)."""

from collections.abc import Iterator, Mapping
from itertools import groupby

from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import in_other_layouts
from formulon.core.checks.views import PageView
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, system: System, page: PageView, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    if verdict.place:
        yield from in_other_layouts(site, verdict.place)


@rule(
    id="layout/same-again",
    title="The same layout does not stand three times in a row",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PageView,
    options={"most": 2},
    rationale="What looks the same is read as one long thing, and skipped as one.",
    messages={"in-a-row": "The same layout stands {measured} times in a row; {required} is the most."},
    mend=mend,
    bound="most",
)
def same_again(page: PageView, options: Mapping[str, float]) -> Iterator[Verdict]:
    for _, group in groupby(page.own, lambda one: (one.head.kind, one.head.layout)):
        those = list(group)
        if len(those) > options["most"]:
            yield Verdict("in-a-row", len(those), options["most"], "times", place=those[len(those) // 2].place)
