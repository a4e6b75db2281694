"""A section has one main action (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot
from formulon.core.checks.views import SectionView
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, system: System, section: SectionView, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    if verdict.place:
        yield Remedy(f"Take “{verdict.values['label']}” out", change_slot(site, verdict.place, None, None))


@rule(
    id="structure/main-actions",
    title="A section has one main action",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SectionView,
    options={"most": 1},
    rationale="Where two things are the most important, neither is.",
    messages={"several": "“{label}” is one of {measured} main actions in this section; {required} is the most."},
    mend=mend,
    bound="most",
)
def main_actions(section: SectionView, options: Mapping[str, float]) -> Iterator[Verdict]:
    main = [one for one in section.destinations if one.variant == "primary"]
    if len(main) > options["most"]:
        values = {"label": main[-1].label[:60], "text": main[-1].label}
        yield Verdict("several", len(main), options["most"], "actions", values=values, place=main[-1].place)
