"""A page has one main part (WAI-ARIA practices, landmark regions; HTML 5, 4.4.14)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageForm
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="structure/landmarks",
    title="Pages have one main part",
    standard=Ref("HTML", "4.4.14 main"),
    severity="note",
    looks_at=PageForm,
    rationale="Who listens to a page skips to its main part; without one, header and menu are heard on every page.",
    messages={"none": "The page has no main part.", "several": "The page has {count} main parts; one is shown at a time."},
)
def landmarks(page: PageForm, _: Mapping[str, float]) -> Iterator[Verdict]:
    if not page.mains:
        yield Verdict("none")
    elif page.mains > 1:
        yield Verdict("several", values={"count": page.mains})
