"""The ring around what the keyboard is on is seen (WCAG 2.2 SC 1.4.11 and 2.4.13)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import Focused
from formulon.core.checks.own_mends import RING, own_css
from formulon.core.checks.rule import Ref, Verdict, rule
from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.srgb import from_hex


@rule(
    id="contrast/focus-ring",
    title="The focus ring is seen",
    standard=Ref("WCAG 2.2", "1.4.11", "AA"),
    severity="stop",
    looks_at=Focused,
    applies_if=lambda focused: (
        bool(focused.ring and focused.ground) and set(focused.changed) <= {"outlineStyle", "outlineColor", "outlineWidth"}
    ),
    options={"ratio": 3.0, "wide": 2.0},
    rationale="Where an outline alone tells where the keyboard is, it has to stand off the ground; thinner than two px it is easily missed.",
    messages={
        "faint": "The ring around “{label}” is {measured}:1 on its ground; it needs {required}:1.",
        "thin": "The ring around “{label}” is {measured} px wide; it should have {required}.",
    },
    refs={"thin": Ref("WCAG 2.2", "2.4.13", "AAA")},
    mend=own_css(RING),
)
def focus_ring(focused: Focused, options: Mapping[str, float]) -> Iterator[Verdict]:
    ratio = contrast_ratio(from_hex(focused.ring), from_hex(focused.ground))
    if ratio < options["ratio"]:
        yield Verdict("faint", ratio, options["ratio"], ":1", values={"label": focused.label[:60]})
    elif focused.wide < options["wide"] - 0.01:
        yield Verdict("thin", focused.wide, options["wide"], "px", values={"label": focused.label[:60]})
