"""What of the designer's own HTML and CSS is not taken is told, since it is missing from the page."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.own_code import rewritten
from formulon.core.checks.page_facts import OwnCode
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.site.own.css import tidied
from formulon.core.site.own.html import cleaned
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, code: OwnCode, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    """What is taken, written as it stands on the page."""
    change = rewritten(site, code.place, lambda own: {"html": cleaned(own["html"]).html, "css": tidied(own["css"])})
    if change:
        yield Remedy("Keep what is taken", (change,))


@rule(
    id="code/left-out",
    title="Own HTML and CSS are taken whole",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=OwnCode,
    rationale="A page that fetches nothing and runs no script cannot show what needs either; who wrote it should know.",
    mend=mend,
    messages={"left-out": "Not taken of your own HTML and CSS: {what}."},
)
def left_out(code: OwnCode, _: Mapping[str, float]) -> Iterator[Verdict]:
    if code.left_out:
        yield Verdict("left-out", values={"what": "; ".join(code.left_out)})
