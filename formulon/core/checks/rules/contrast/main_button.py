"""The main button is seen as a button (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Control
from formulon.core.checks.mending_pins import without_pins
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.difference import difference
from formulon.core.color.srgb import from_hex
from formulon.core.site.documents import located
from formulon.core.site.site import Site
from formulon.core.system.solving.groups.main_button import FILL_APART, STANDS_OFF
from formulon.core.system.system import System


def mend(site: Site, _: System, control: Control, __: Verdict, ___: Mapping[str, float]) -> Iterator[Remedy]:
    found = located(site, control.place.page, control.place.section)
    if found is not None:
        yield from without_pins(site, f"ground/{found[2].ground}/primary/")


@rule(
    id="contrast/main-button",
    title="The main button is seen",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=Control,
    applies_if=lambda one: one.kind == "button" and one.place.slot.split("/")[0] in ("primary", "action") and bool(one.ground),
    options={"ratio": STANDS_OFF, "apart": FILL_APART},
    rationale="What a page wants of its visitors is asked by one button; where its fill hardly differs from what it stands on, it is a word.",
    messages={
        "unseen": "“{label}” stands off its ground by {measured}:1, in fill and edge; it needs {required}:1 or another hue."
    },
    mend=mend,
)
def main_button(one: Control, options: Mapping[str, float]) -> Iterator[Verdict]:
    ground = from_hex(one.ground)
    drawn = [from_hex(color) for color in (one.filled, one.edged if one.edge >= 1 else "") if color]
    best = max((contrast_ratio(color, ground) for color in drawn), default=1.0)
    apart = max((difference(color, ground) for color in drawn), default=0.0)
    if best < options["ratio"] and apart < options["apart"]:
        yield Verdict("unseen", best, options["ratio"], ":1", values={"label": one.label[:60]})
