"""What was fixed is in use (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Control
from formulon.core.checks.mending_pins import without_pins
from formulon.core.checks.page_facts import ColorsDrawn
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.views import SiteView
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, __: SiteView, verdict: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    yield from without_pins(site, str(verdict.values["name"]))


@rule(
    id="consistency/unused-tokens",
    title="What was fixed is in use",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=SiteView,
    rationale="A token that nothing uses is kept, handed on and asked about for years.",
    messages={
        "pinned": "{name} was fixed by hand, and nothing on any page has it.",
        "absent": "Of {all} colours among the tokens {count} are in no text, control or ground of any page: {names}.",
    },
    mend=mend,
)
def unused_tokens(site: SiteView, _: Mapping[str, float]) -> Iterator[Verdict]:
    held = site.all_of(ColorsDrawn)
    used = frozenset[str]().union(*(one.tokens for one in held))
    grounds = {one.partition("/")[0] for one in used}
    for path in (path for one in held for path in one.pinned):
        ground, part = path.rpartition(":")[2].removeprefix("ground/").split("/", 1)
        variant = part.partition("/")[0]
        pressed = variant in ("primary", "secondary")
        if ground not in grounds or (pressed and not any(one.startswith(f"{ground}/{variant}/") for one in used)):
            yield Verdict("pinned", values={"name": path, "text": path})
    allowed = site.allowed
    if allowed is None or not allowed.handed:
        return
    drawn = {color.lower() for one in held for color in one.colors}
    drawn |= {color.lower() for one in site.styles for color in (one.ink, one.ground)}
    drawn |= {color.lower() for one in site.all_of(Control) for color in (one.filled, one.edged, one.hint)}
    absent = [name for name, color in allowed.colors if color.lower() not in drawn]
    if absent:
        names = ", ".join(absent[:6]) + ("…" if len(absent) > 6 else "")
        yield Verdict("absent", values={"all": len(allowed.colors), "count": len(absent), "names": names, "text": names})
