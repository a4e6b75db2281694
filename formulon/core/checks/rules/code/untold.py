"""Contrast of texts in the designer's own CSS that cannot be told without a browser (WCAG 2.2 SC 1.4.3)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_cascade import can_be_told
from formulon.core.checks.own_code import rewritten
from formulon.core.checks.page_facts import OwnCode
from formulon.core.checks.rule import Ref, Remedy, Verdict, rule
from formulon.core.site.own.css import tidied
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, code: OwnCode, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    """The same without gradients, mixtures and veils."""
    change = rewritten(
        site,
        code.place,
        lambda own: {"css": tidied(own["css"], lambda one: one.value if can_be_told(one.name, one.value) else "")},
    )
    if change:
        yield Remedy("Take out gradients, mixtures and veils", (change,))


@rule(
    id="code/untold",
    title="Colours of texts in own CSS can be told",
    standard=Ref("WCAG 2.2", "1.4.3", "AA"),
    severity="note",
    looks_at=OwnCode,
    rationale="On a gradient, behind a veil or in a mixture of colours nobody can tell a ratio without measuring it.",
    mend=mend,
    messages={"untold": "Look yourself whether “{text}” can be read{more}: its colours cannot be told from your own CSS."},
)
def untold(code: OwnCode, _: Mapping[str, float]) -> Iterator[Verdict]:
    if code.untold:
        more = f", and {len(code.untold) - 1} more" if len(code.untold) > 1 else ""
        yield Verdict("untold", values={"text": code.untold[0][:60], "more": more}, outcome="cannot-tell")
