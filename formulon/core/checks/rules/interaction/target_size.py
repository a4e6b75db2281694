"""Target size (WCAG 2.2 SC 2.5.8)."""

import math
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Target
from formulon.core.checks.rule import Ref, Remedy, Verdict, rule
from formulon.core.site.changes import Change
from formulon.core.site.documents import CHOICES
from formulon.core.site.site import Site
from formulon.core.system.system import System

_STEP = 0.05  # em; the grain of the paddings


def measure(target: Target) -> float:
    return min(min(size) for size in target.sizes.values())


def spaced(target: Target, size: tuple[float, float], least: float) -> bool:
    """The spacing exception: a circle of `least` px on the target's centre meets no circle of its neighbours."""
    width, height = size
    clear_across = width + target.gap_across >= least
    clear_down = height + target.gap_down >= least
    return clear_across and clear_down


def mend(site: Site, system: System, target: Target, verdict: Verdict, options: Mapping[str, float]) -> Iterator[Remedy]:
    step = system.steps["label"]
    where, current = ("buttons", site.choices.buttons.padding_block), site.choices.links.padding_block
    name, padding = where if target.kind == "button" else ("links", current)
    missing = options["least"] - measure(target)
    more = math.ceil((padding + missing / 2 / min(step.small, step.large)) / _STEP + 1e-9) * _STEP
    patch = {"op": "replace", "path": f"/{name}/padding_block", "value": round(more, 2)}
    what = "buttons" if target.kind == "button" else "links"
    yield Remedy(f"{more:.2f} em above and below all {what}", (Change(document=CHOICES, patch=[patch]),))
    if site.choices.scale.base_small < 17:
        sizes = {"op": "replace", "path": "/scale/base_small", "value": 17}
        yield Remedy("Running text at 17 px on phones", (Change(document=CHOICES, patch=[sizes]),))


@rule(
    id="interaction/target-size",
    title="Buttons and links are large enough to press",
    standard=Ref("WCAG 2.2", "2.5.8", "AA"),
    severity="stop",
    looks_at=Target,
    options={"least": 24.0},
    rationale="Small targets close to others are missed by people with a tremor, on the move, or with large fingers.",
    messages={"too-small": "“{label}” is {wide} × {high} px to press; {least} × {least} px is the least."},
    mend=mend,
    measure=measure,
)
def target_size(target: Target, options: Mapping[str, float]) -> Iterator[Verdict]:
    least = options["least"]
    for width, size in target.sizes.items():
        if min(size) >= least or spaced(target, size, least):
            continue
        values = {
            "label": target.label[:60],
            "wide": f"{int(size[0] * 10) / 10:g}",
            "high": f"{int(size[1] * 10) / 10:g}",
            "least": f"{least:g}",
        }
        yield Verdict("too-small", min(size), least, "px", width, values)
        return
