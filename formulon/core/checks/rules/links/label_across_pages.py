"""What has the same label on several pages leads to the same place (WCAG 2.2 SC 3.2.4)."""

from collections import defaultdict
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Destination
from formulon.core.checks.rule import Ref, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import relinked
from formulon.core.checks.views import SiteView
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, system: System, whole: SiteView, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    if verdict.place:
        first, label = str(verdict.values["first"]), verdict.values["label"]
        if changes := relinked(site, verdict.place, str(verdict.values["to"]), first):
            yield Remedy(f"Lead “{label}” to {first} here too", changes)


@rule(
    id="links/label-across-pages",
    title="One label leads to one place across the site",
    standard=Ref("WCAG 2.2", "3.2.4", "AA"),
    severity="note",
    looks_at=SiteView,
    rationale="Who has learnt on one page where a button leads expects it to lead there on the next.",
    messages={"elsewhere": "“{label}” leads to {first} on {page}, and to {to} here."},
    mend=mend,
)
def label_across_pages(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    """What differs within a page is that page's matter."""
    by_label: dict[str, list[tuple[str, Destination]]] = defaultdict(list)
    for head, led in site.led:
        for label, those in led.items():
            if len({one.to for one in those if one.to}) == 1:
                by_label[label].append((head.name, next(one for one in those if one.to)))
    for (name, first), *others in by_label.values():
        for _, other in others:
            if other.to != first.to:
                values = {"label": other.label[:60], "first": first.to, "page": name, "to": other.to, "text": other.label}
                yield Verdict("elsewhere", values=values, place=other.place)
