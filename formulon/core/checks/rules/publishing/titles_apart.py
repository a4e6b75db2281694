"""Pages are told apart by their titles (WCAG 2.2 SC 2.4.2)."""

from collections import defaultdict
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageHead
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="publishing/titles-apart",
    title="Pages are told apart by their titles",
    standard=Ref("WCAG 2.2", "2.4.2", "A"),
    severity="note",
    looks_at=SiteView,
    rationale="In tabs, bookmarks and search results nothing else tells two pages apart.",
    messages={"alike": "{count} pages are titled “{title}”, among them {other}."},
)
def titles_apart(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    by_title: dict[str, list[PageHead]] = defaultdict(list)
    for head in site.heads:
        by_title[" ".join(head.title.casefold().split())].append(head)
    for title, heads in by_title.items():
        if title and len(heads) > 1:
            values = {"count": len(heads), "title": heads[0].title[:80], "other": heads[1].name, "text": title}
            yield Verdict("alike", values=values, place=heads[0].place)
