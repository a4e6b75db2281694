"""Buttons without a fill of their own: the second button, outlined, and the button that is text."""

from collections.abc import Iterator, Mapping
from functools import cache
from types import MappingProxyType

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.difference import difference
from formulon.core.color.oklab_scalar import mixed
from formulon.core.color.srgb import RGB
from formulon.core.system.solving.groups.buttons import Fills, disabled, state
from formulon.core.system.solving.groups.group import Group
from formulon.core.system.solving.palette import BLACK, WHITE
from formulon.core.system.solving.scene import Made, Scene, Solved, apart, made_for_here, passes
from formulon.core.system.solving.search import EXACT, NEUTRAL, RAMP, Swatch, ranked

# Shares of the ink laid under a label in hover and pressed; below zero the fill moves away from the ink.
UNDERLAYS = (0.04, 0.06, 0.08, 0.1, 0.12, 0.15, 0.2, 0.25, 0.3, -0.05, -0.1, -0.15, -0.2)
_UNDER_HOVER, _UNDER_PRESSED, _AWAY = 0.1, 0.2, 0.3


class OpenButtons(Group):
    """Drawn in the heading's and the link's ink, with some of it laid under the label in hover and pressed."""

    def solve(self, scene: Scene, made: Solved) -> Iterator[tuple[str, Made]]:
        link, hover = made["link"].swatch, made["link-hover"].swatch
        main = made["primary/label/rest"].rgb if scene.outlined else None
        yield from outlined(scene, "secondary", made["heading"].swatch, {main: made["boundary"].swatch} if main else {})
        under = _underlays(scene, "text", link.rgb, hover.rgb)
        yield from _open(scene, "text", link, link, hover, under, "The link ink, without a fill.")


def outlined(
    scene: Scene, variant: str, wish: Swatch, quieter: Mapping[RGB, Swatch] = MappingProxyType({})
) -> Iterator[tuple[str, Made]]:
    """An outlined button: the ink that is wished for, or the nearest to it that has states, as label and border. `quieter` has another
    border for inks that a more important button has already."""
    options = scene.options(f"{variant}/label/rest", wish.rgb)
    for trial in ranked(options, scene.on(options, scene.back, scene.text)):
        under = _underlays(scene, variant, trial.rgb, trial.rgb)
        if None not in under:
            ink = trial
            break
    else:
        ink = options.swatches[0] if options.by_hand else wish
        under = _underlays(scene, variant, ink.rgb, ink.rgb)
    border = quieter.get(ink.rgb, ink)
    if border is ink and ink.rgb in (BLACK, WHITE) and not any(swatch.rgb == ink.rgb for swatch in scene.costs.palette.brand):
        # Pure black and white stand only where nothing else can: a border needs less than a label.
        border = scene.solve("", ink.rgb, scene.boundary, (NEUTRAL, RAMP, EXACT)) or ink
    ratio = contrast_ratio(ink.rgb, scene.back)
    reason = f"Border and label in {ink.label}, {shown(ratio)} on {scene.ground.swatch.label}; labels need {scene.text:g}:1."
    yield from _open(scene, variant, ink, border, ink, under, reason)


def _underlays(scene: Scene, variant: str, ink: RGB, moved_ink: RGB) -> Fills:
    """Fills of hover and pressed under a label without a fill, hover first: some of the ink in the ground, nearest to
    the share that is wanted among those on which the label passes and that are seen beside the others."""
    required = min(scene.text, contrast_ratio(ink, scene.back))
    made: dict[float, RGB | None] = {}

    def trials(state: str, wanted: float, hover: RGB | None = None) -> Iterator[RGB]:
        name = f"{variant}/fill/{state}"
        if name in scene.by_hand:
            yield scene.by_hand[name].swatch.rgb
            return
        for share in _shares(wanted):
            if share not in made:
                fill = mixed(scene.back, ink, share)
                passing = fill not in (BLACK, WHITE) and passes(moved_ink, fill, required) and apart(fill, [scene.back])
                made[share] = fill if passing else None
            found = made[share]
            if found and (hover is None or apart(found, [hover])):
                yield found

    first = None
    for hover in trials("hover", _UNDER_HOVER):
        first = first or hover
        for pressed in trials("pressed", _UNDER_PRESSED, hover):
            return hover, pressed
    return first, None


@cache
def _shares(wanted: float) -> tuple[float, ...]:
    return tuple(sorted(UNDERLAYS, key=lambda share: (abs(abs(share) - wanted) + (_AWAY if share < 0 else 0), share)))


def _open(
    scene: Scene, variant: str, ink: Swatch, border: Swatch, moved_ink: Swatch, fills: Fills, reason: str
) -> Iterator[tuple[str, Made]]:
    """A variant without a fill; `moved_ink` is its label in hover and pressed, `fills` are what lies under it then."""
    ground = scene.ground.swatch
    none = ground
    edge = none if variant == "text" else border
    yield from state(scene, variant, "rest", none, ink, edge, reason)
    for one, rgb in zip(("hover", "pressed"), fills, strict=True):
        fill = none if rgb is None else made_for_here(rgb, f"{ground.label} with {ink.label}")
        note = f"The ground with some of the ink in it, ΔE2000 {difference(fill.rgb, ground.rgb):.1f} from rest."
        if rgb is None:
            note = f"No tone of the ground is seen beside it and carries {moved_ink.label}; the label alone moves."
        yield from state(scene, variant, one, fill, moved_ink, fill if variant == "text" else border, note)
    yield from state(scene, variant, "focus", none, ink, edge, reason)
    yield from disabled(scene, variant, ink.rgb)
