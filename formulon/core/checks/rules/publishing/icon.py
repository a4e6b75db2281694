"""A site has an icon (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageForm
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="publishing/icon",
    title="A site has an icon",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PageForm,
    applies_if=lambda page: page.first,
    rationale="In tabs, bookmarks and on home screens the icon is all that is seen of the brand.",
    messages={"none": "The start page names no icon."},
)
def icon(page: PageForm, _: Mapping[str, float]) -> Iterator[Verdict]:
    if not page.icons:
        yield Verdict("none")
