"""The fix that makes a step smaller at one end of the viewport, or at both."""

import math

from formulon.core.checks.rule import Remedy
from formulon.core.site.changes import Change
from formulon.core.site.documents import CHOICES
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import StepChoice
from formulon.core.system.fluid import LARGE, SMALL
from formulon.core.system.system import System


def smaller(site: Site, system: System, step: str, shares: dict[int, float]) -> tuple[float, Remedy]:
    """The smallest size in px that the step then has, and the fix: `shares` says by viewport width to which share of its size
    it has to shrink. A width between the two ends shrinks both."""
    now = system.steps[step]
    least = {"small": 1.0, "large": 1.0}
    for width, share in shares.items():
        for end in ("small",) * (width < LARGE) + ("large",) * (width > SMALL):
            least[end] = min(least[end], share)
    small, large = (
        math.floor(size * share * 2) / 2 for size, share in zip((now.small, now.large), least.values(), strict=True)
    )
    own = site.choices.scale.steps.get(step, StepChoice()).model_dump()  # type: ignore[call-overload]
    value = own | {"small": small, "large": max(large, small)}
    patch = [{"op": "add", "path": f"/scale/steps/{step}", "value": value}]
    label = f"{step} at {small:g} px on phones and {max(large, small):g} px on desktops, whole site"
    return small, Remedy(label, (Change(document=CHOICES, patch=patch),))
