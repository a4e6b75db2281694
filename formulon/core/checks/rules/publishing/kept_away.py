"""The start page is open to search engines (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageForm
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="publishing/kept-away",
    title="Search engines are not kept from the start page",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=PageForm,
    applies_if=lambda page: page.first,
    rationale="What keeps search engines away while a site is made is easily left in, and then nobody finds it.",
    messages={"kept": "The start page keeps search engines away (noindex)."},
)
def kept_away(page: PageForm, _: Mapping[str, float]) -> Iterator[Verdict]:
    if "noindex" in page.robots.lower() or page.robots.strip().lower() == "none":
        yield Verdict("kept")
