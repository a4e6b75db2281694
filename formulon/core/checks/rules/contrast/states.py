"""Words can be read in every state of what they stand on (WCAG 2.2 SC 1.4.3)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import StateText
from formulon.core.checks.own_code import as_at_rest
from formulon.core.checks.page_facts import large_text
from formulon.core.checks.rule import Ref, Remedy, Verdict, rule
from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.srgb import from_hex
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, _: System, one: StateText, __: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    yield from as_at_rest(site, one.place)


@rule(
    id="contrast/states",
    title="Words can be read under the pointer and in focus",
    standard=Ref("WCAG 2.2", "1.4.3", "AA"),
    severity="stop",
    looks_at=StateText,
    options={"normal": 4.5, "large": 3.0},
    rationale="A button that turns pale under the pointer hides its own words at the very moment when they are read.",
    messages={"too-low": "“{text}” is {ratio} {state}; it needs {needed}:1."},
    mend=mend,
)
def states(one: StateText, options: Mapping[str, float]) -> Iterator[Verdict]:
    ratio = contrast_ratio(from_hex(one.ink), from_hex(one.ground))
    required = options["large" if large_text(one.size, one.weight) else "normal"]
    if not ratio >= required:
        values = {"text": one.text[:60], "ratio": shown(ratio), "state": one.state, "needed": f"{required:g}"}
        yield Verdict("too-low", ratio, required, ":1", values=values)
