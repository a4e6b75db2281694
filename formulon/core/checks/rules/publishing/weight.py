"""A page is light enough for a phone on the road (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import PageForm
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule


@rule(
    id="publishing/weight",
    title="Pages are light",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PageForm,
    options={"most": 2500.0},
    rationale="On a slow connection a megabyte takes half a minute, and people go.",
    messages={"heavy": "The page takes {measured} kB with all that it asks for; {required} is the most."},
    bound="most",
)
def weight(page: PageForm, options: Mapping[str, float]) -> Iterator[Verdict]:
    if page.bytes > options["most"] * 1000:
        yield Verdict("heavy", page.bytes / 1000, options["most"], "kB")
