"""The brand’s name is written as it is written (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Spelling
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_text
from formulon.core.site.site import Site
from formulon.core.system.system import System


def _as_it_is(site: Site, _: System, one: Spelling, __: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    changes = change_text(site, one.place, one.form, site.identity.name)
    if changes:
        yield Remedy(f"Write “{site.identity.name}”", changes)


@rule(
    id="content/name-spelling",
    title="The brand’s name is written in one way",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Spelling,
    applies_if=lambda spelling: spelling.what == "name",
    rationale="A name is the first thing that a brand has; in other capitals it is another name.",
    messages={"other": "The name is written “{words}” here."},
    mend=_as_it_is,
)
def name_spelling(one: Spelling, _: Mapping[str, float]) -> Iterator[Verdict]:
    yield Verdict("other", values={"words": one.form, "text": one.form})
