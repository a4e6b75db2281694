"""A site asks no other hosts unless somebody wants it to (common practice; consent and data protection hang on it)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import SiteView


@rule(
    id="publishing/other-hosts",
    title="A site asks no other hosts",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    applies_if=lambda site: bool(site.hosts),
    rationale="Each host that is asked learns who reads the page, and the page waits for it.",
    messages={"asks": "The pages ask {count} other hosts for something: {hosts}."},
)
def other_hosts(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("asks", values={"count": len(site.hosts), "hosts": ", ".join(site.hosts[:5]), "text": ""})
