"""What departs from the system says why (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.views import SectionView
from formulon.core.site.changes import Change, pointer
from formulon.core.site.documents import located
from formulon.core.site.site import Site
from formulon.core.system.system import System


def _back(site: Site, system: System, view: SectionView, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    found = located(site, view.place.page, view.place.section)
    if found:
        patch = [{"op": "add", "path": pointer(*found[1], "departs"), "value": False}]
        yield Remedy("Follow the rhythm again", (Change(document=found[0], patch=patch),))


@rule(
    id="consistency/departures",
    title="What departs from the system says why",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SectionView,
    applies_if=lambda view: view.head.departs,
    rationale="A departure is deliberate; whoever comes later can only keep it where they know what for.",
    messages={"no-reason": "This section stands on a ground of its own and does not say why."},
    mend=_back,
)
def departures(view: SectionView, _: Mapping[str, float]) -> Iterator[Verdict]:
    if not view.head.reason.strip():
        yield Verdict("no-reason")
