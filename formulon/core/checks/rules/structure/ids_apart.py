"""No id is given twice on a page (HTML 5, 3.2.6)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageForm
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="structure/ids-apart",
    title="Ids on a page are apart",
    standard=Ref("HTML", "3.2.6 id"),
    severity="note",
    looks_at=PageForm,
    rationale="Links, labels and descriptions find what they are about by its id, and take the first of two.",
    messages={"twice": "The id “{id}” stands twice on the page."},
)
def ids_apart(page: PageForm, _: Mapping[str, float]) -> Iterator[Verdict]:
    for one in page.twice:
        yield Verdict("twice", values={"id": one[:60], "text": one})
