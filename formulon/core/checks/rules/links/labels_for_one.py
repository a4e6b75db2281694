"""What leads to one place is called in one way (WCAG 2.2 SC 3.2.4)."""

from collections import defaultdict
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Destination
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="links/labels-for-one",
    title="What leads to one place is called in one way",
    standard=Ref("WCAG 2.2", "3.2.4", "AA"),
    severity="note",
    looks_at=SiteView,
    options={"most": 4},
    bound="most",
    rationale="One destination under many names looks like many destinations, and people press each of them.",
    messages={
        "many": "{measured} buttons of different names lead to {to}: {labels}. {required} are the most that are known for one."
    },
)
def labels_for_one(site: SiteView, options: Mapping[str, float]) -> Iterator[Verdict]:
    labels: dict[str, dict[str, Destination]] = defaultdict(dict)
    for one in site.all_of(Destination):
        if one.variant != "text" and one.alive and one.to and one.place.section not in site.frames:
            labels[one.to].setdefault(" ".join(one.label.casefold().split()), one)
    for to, named in labels.items():
        if len(named) > options["most"]:
            said = ", ".join(f"“{one.label[:30]}”" for one in list(named.values())[:6])
            values = {"to": to.removeprefix("page:"), "labels": said, "text": to}
            yield Verdict("many", float(len(named)), options["most"], "", values=values, place=list(named.values())[-1].place)
