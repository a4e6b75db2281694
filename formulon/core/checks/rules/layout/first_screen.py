"""The words that a page opens with are on the first screen of a phone (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import SectionHead
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import in_other_layouts
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, head: SectionHead, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    yield from in_other_layouts(site, head.place)


@rule(
    id="layout/first-screen",
    title="The opening's words are on a phone's first screen",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SectionHead,
    applies_if=lambda head: head.kind == "hero" and head.foot > 0,
    options={"most": 640},
    rationale="Who sees a picture and no word does not know where they are, and half of all visitors hold a phone.",
    messages={"below": "The opening's words reach down to {measured} px on a phone; its first screen shows {required}."},
    mend=mend,
    measure=lambda head: head.foot,
    bound="most",
)
def first_screen(head: SectionHead, options: Mapping[str, float]) -> Iterator[Verdict]:
    if head.foot > options["most"]:
        yield Verdict("below", head.foot, options["most"], "px", 360)
