"""The main button: fill and label, and the fills of its states."""

from collections.abc import Iterator, Mapping
from functools import lru_cache
from itertools import chain
from typing import NamedTuple

import numpy as np

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.difference import delta_e_2000, difference
from formulon.core.color.srgb import RGB, Floats
from formulon.core.color.vision import DICHROMACIES, lab_seen
from formulon.core.system.solving.grounds import far_from
from formulon.core.system.solving.groups.buttons import Fills, disabled, state
from formulon.core.system.solving.groups.group import Group
from formulon.core.system.solving.groups.open_buttons import outlined
from formulon.core.system.solving.scene import CALM_TEXT, Made, Scene, Solved, apart, made_for_here, passes, shifts
from formulon.core.system.solving.search import (
    ALL,
    EXACT,
    LAST,
    NEUTRAL,
    RAMP,
    SIGNAL,
    Mask,
    Options,
    Swatch,
    ascending,
    bars,
)
from formulon.core.system.solving.texts import Texts

STANDS_OFF = 1.5  # least contrast ratio at which a fill of another hue is told from its ground (common practice)
FILL_APART = 18.0  # least ΔE2000 between a filled button and its ground (common practice)
_HOVER, _PRESSED = 0.05, 0.1  # OKLCH lightness by which a fill is wanted to move
_FILL, _LABEL = "primary/fill/rest", "primary/label/rest"


class _Main(NamedTuple):
    """Fill and label, and the fills of hover and pressed; those are None where none is seen."""

    fill: Swatch
    label: Swatch
    hover: RGB | None
    pressed: RGB | None


class MainButton(Group):
    """Fill, label, hover and pressed are chosen together."""

    def together(self, scene: Scene) -> Mapping[str, Swatch]:
        if scene.outlined:
            return {path: one.swatch for path, one in _open(scene) if path in (_FILL, _LABEL)}
        main = _main(scene)
        return {_FILL: main.fill, _LABEL: main.label}

    def solve(self, scene: Scene, made: Solved) -> Iterator[tuple[str, Made]]:
        yield from _open(scene) if scene.outlined else _filled(scene, _main(scene))


def _open(scene: Scene) -> Iterator[tuple[str, Made]]:
    """The main button outlined, in the action colour or the nearest to it that is read on the ground. What was led to the button is
    its ink then; a fill that was pinned stays under it."""
    led = scene.by_hand.get(_FILL)
    if led and led.origin == "chosen":
        scene = scene.without(_FILL)
        scene = scene if _LABEL in scene.by_hand else scene.with_part(_LABEL, led.swatch)
    yield from outlined(scene, "primary", scene.action)


def _main(scene: Scene) -> _Main:
    """Fill, label, hover and pressed of the main button, chosen together."""
    fills = scene.fills(_FILL, scene.action.rgb)
    texts = scene.texts(_LABEL, fills)
    clear = fills.cost + bars(_clear(scene, fills))
    for row, column in chain(_first(scene, fills, clear, texts), _all(scene, fills, clear, texts)):
        fill, label = fills.swatches[row], texts.swatches[column]
        for one in (*_asked_for(scene, fill), label):
            hover, pressed = _primary_states(scene, fill.rgb, one.rgb)
            if hover and pressed:
                return _Main(fill, one, hover, pressed)
    # Nothing meets everything: the label is as readable as it can be, and what stands out goes before.
    unread = np.where(np.isfinite(texts.least), 0, LAST)
    fill = fills.swatches[next(ascending(clear + scene.seen_apart(fills, FILL_APART) + unread), 0)]
    if _LABEL in scene.by_hand:
        label = scene.by_hand[_LABEL].swatch
    else:
        label = scene.solve("", far_from(fill.rgb, scene.both), scene.text, ALL, CALM_TEXT, fill.rgb) or scene.least_bad(
            fill.rgb
        )
    return _Main(fill, label, *_primary_states(scene, fill.rgb, label.rgb))


def _asked_for(scene: Scene, fill: Swatch) -> list[Swatch]:
    """The labels that the guideline asks for on a fill, as far as they are read there."""
    inks = {ink for ink, ground in scene.wanted if ground == fill.rgb} if _LABEL not in scene.by_hand else set()
    return [one for one in scene.costs.palette.brand if one.rgb in inks and passes(one.rgb, fill.rgb, scene.text)]


def _clear(scene: Scene, fills: Options) -> Mask:
    """Which fills stand out from the ground by lightness, as all must but the action colour, or two colours compete for
    being the action. The action colour has to stand off."""
    if fills.by_hand:
        return np.ones(len(fills.swatches), dtype=bool)
    clear = scene.ratios >= scene.boundary
    if scene.action.kind != SIGNAL:
        index = scene.costs.swatches.index(scene.action)
        clear[index] = clear[index] or stands_off(scene.action.rgb, scene.back)
    return clear


@lru_cache(maxsize=8192)
def stands_off(fill: RGB, back: RGB) -> bool:
    """Whether a fill is told from its ground at a glance and by everybody: by 3:1, or by STANDS_OFF and by FILL_APART, for
    dichromats, too."""
    ratio = contrast_ratio(fill, back)
    if ratio >= 3:
        return True
    if ratio < STANDS_OFF or difference(fill, back) < FILL_APART:
        return False
    return all(delta_e_2000(lab_seen(fill, one), lab_seen(back, one)) >= FILL_APART for one in DICHROMACIES)


def edge_of(scene: Scene, fill: Swatch) -> Swatch:
    """The border of a filled button: unseen, as the fill; but where the fill does not stand off, the colour nearest to it that
    has 3:1 on the ground carries the button."""
    if stands_off(fill.rgb, scene.back):
        return fill
    return scene.solve("", fill.rgb, scene.boundary, (RAMP, EXACT, NEUTRAL)) or fill


def _first(scene: Scene, fills: Options, clear: Floats, texts: Texts) -> Iterator[tuple[int, int]]:
    """The best fill that is seen on the ground with its label, which mostly has states."""
    row = scene.first_apart(fills, clear + texts.least, FILL_APART)
    if row is not None:
        yield row, int(texts.which[row])


def _all(scene: Scene, fills: Options, clear: Floats, texts: Texts) -> Iterator[tuple[int, int]]:
    """Every fill that is seen on the ground with every label that is read on it, the best first."""
    standing = clear + scene.seen_apart(fills, FILL_APART)
    for index in ascending(standing[:, None] + texts.costs):
        yield divmod(index, len(texts.swatches))


def _primary_states(scene: Scene, fill: RGB, label: RGB) -> Fills:
    """Fills of hover and pressed, hover first: nearest to the move that is wanted among those that are seen beside the
    others and on which the label passes (or loses nothing, where it does not pass at rest)."""
    required = min(scene.text, contrast_ratio(fill, label))

    def trials(state: str, move: float, others: list[RGB]) -> Iterator[RGB]:
        name = f"primary/fill/{state}"
        if name in scene.by_hand:
            yield scene.by_hand[name].swatch.rgb
            return
        for rgb in shifts(fill, label, move):
            if passes(rgb, label, required) and apart(rgb, others):
                yield rgb

    first = None
    for hover in trials("hover", _HOVER, [fill]):
        first = first or hover
        for pressed in trials("pressed", _PRESSED, [fill, hover]):
            return hover, pressed
    return first, None


def _filled(scene: Scene, main: _Main) -> Iterator[tuple[str, Made]]:
    fill, label = main.fill, main.label
    ratio = contrast_ratio(label.rgb, fill.rgb)
    if _FILL in scene.by_hand:
        why = f"{fill.label} was {scene.by_hand[_FILL].origin} for the main action here."
    elif fill is scene.action:
        why = f"{fill.label} is the brand's action colour."
    else:
        own = scene.action
        why = f"{own.label} would not stand out here, or no brand colour can be read on it; {fill.label} does both."
    reason = f"{why} Its label is {label.label}, {shown(ratio)}; labels need {scene.text:g}:1."
    edge = edge_of(scene, fill)
    if edge is not fill:
        on_ground = shown(contrast_ratio(edge.rgb, scene.back))
        reason += f" The fill hardly shows on the ground; its border in {edge.label}, {on_ground}, carries it."
    for one, rgb in (("rest", fill.rgb), ("hover", main.hover), ("pressed", main.pressed), ("focus", fill.rgb)):
        if one in ("hover", "pressed"):
            at = fill if rgb is None else made_for_here(rgb, f"{fill.label}, moved")
            delta = difference(fill.rgb, at.rgb)
            note = f"{fill.label} moved in lightness, ΔE2000 {delta:.1f}, so that the state shows."
            if rgb is None:
                note = f"No fill near {fill.label} is seen beside it and carries the label; it stays."
            border = at if edge is fill else edge
            yield from state(scene, "primary", one, at, label, border, note)
        else:
            yield from state(scene, "primary", one, fill, label, edge, reason)
    yield from disabled(scene, "primary", scene.far)
