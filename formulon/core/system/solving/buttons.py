"""Buttons of one ground: fill, label and border of three variants in five states, solved together."""

from collections.abc import Iterator
from functools import cache, lru_cache
from itertools import chain
from typing import NamedTuple

import numpy as np

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.difference import delta_e_2000, difference
from formulon.core.color.oklab_scalar import mixed
from formulon.core.color.srgb import RGB, Floats, to_hex
from formulon.core.color.vision import DICHROMACIES, lab_seen
from formulon.core.system.solving.grounds import far_from
from formulon.core.system.solving.palette import BLACK, WHITE
from formulon.core.system.solving.scene import CALM_TEXT, ORIGINS, Scene, apart, made_for_here, passes, shifts
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
    ranked,
)
from formulon.core.system.solving.texts import Texts
from formulon.core.system.system import Origin

VARIANTS = ("primary", "secondary", "text")
STATES = ("rest", "hover", "pressed", "focus", "disabled")
PARTS = ("fill", "label", "border")
STANDS_OFF = 1.5  # least contrast ratio at which a fill of another hue is told from its ground (common practice)
FILL_APART = 18.0  # least ΔE2000 between a filled button and its ground (common practice)
_HOVER, _PRESSED = 0.05, 0.1  # OKLCH lightness by which a fill is wanted to move
# Shares of the ink laid under a label in hover and pressed; below zero the fill moves away from the ink.
UNDERLAYS = (0.04, 0.06, 0.08, 0.1, 0.12, 0.15, 0.2, 0.25, 0.3, -0.05, -0.1, -0.15, -0.2)
_Fills = tuple[RGB | None, RGB | None]  # of hover and of pressed
_UNDER_HOVER, _UNDER_PRESSED, _AWAY = 0.1, 0.2, 0.3


class ButtonState(NamedTuple):
    """The colours of one variant in one state; a border of the fill's colour is not seen. Origins are by part."""

    variant: str
    state: str
    fill: Swatch
    label: Swatch
    border: Swatch
    origins: tuple[Origin, Origin, Origin]
    reason: str


class Primary(NamedTuple):
    """The main button: its fill and label, and the fills of hover and pressed; those are None where none is seen."""

    fill: Swatch
    label: Swatch
    hover: RGB | None
    pressed: RGB | None


def primary(scene: Scene) -> Primary:
    """Fill, label, hover and pressed of the main button, chosen together."""
    fills = scene.fills("primary/fill/rest", scene.action.rgb)
    texts = scene.texts("primary/label/rest", fills)
    clear = fills.cost + bars(_clear(scene, fills))
    for row, column in chain(_first(scene, fills, clear, texts), _all(scene, fills, clear, texts)):
        fill, label = fills.swatches[row], texts.swatches[column]
        hover, pressed = _primary_states(scene, fill.rgb, label.rgb)
        if hover and pressed:
            return Primary(fill, label, hover, pressed)
    # Nothing meets everything: the label is as readable as it can be, and what stands out goes before.
    unread = np.where(np.isfinite(texts.least), 0, LAST)
    fill = fills.swatches[next(ascending(clear + scene.seen_apart(fills, FILL_APART) + unread), 0)]
    if "primary/label/rest" in scene.fixed:
        label = scene.fixed["primary/label/rest"][0]
    else:
        label = scene.solve("", far_from(fill.rgb, scene.both), scene.text, ALL, CALM_TEXT, fill.rgb) or scene.least_bad(
            fill.rgb
        )
    return Primary(fill, label, *_primary_states(scene, fill.rgb, label.rgb))


def _clear(scene: Scene, fills: Options) -> Mask:
    """Which fills stand out from the ground by lightness, as all must but the action colour, or two colours compete for
    being the action. The action colour has to stand off."""
    if fills.swatches is not scene.palette.swatches:
        return np.ones(len(fills.swatches), dtype=bool)
    clear = scene.ratios >= scene.boundary
    if scene.action.kind != SIGNAL:
        index = scene.palette.swatches.index(scene.action)
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


def _primary_states(scene: Scene, fill: RGB, label: RGB) -> _Fills:
    """Fills of hover and pressed, hover first: nearest to the move that is wanted among those that are seen beside the
    others and on which the label passes (or loses nothing, where it does not pass at rest)."""
    required = min(scene.text, contrast_ratio(fill, label))

    def trials(state: str, move: float, others: list[RGB]) -> Iterator[RGB]:
        name = f"primary/fill/{state}"
        if name in scene.fixed:
            yield scene.fixed[name][0].rgb
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


def states(scene: Scene, main: Primary, heading: Swatch, link: Swatch, link_hover: Swatch) -> Iterator[ButtonState]:
    """Every variant in every state."""
    yield from _filled(scene, main)
    yield from _outlined(scene, heading)
    under = _underlays(scene, "text", link.rgb, link_hover.rgb)
    yield from _open(scene, "text", link, link, link_hover, under, "The link ink, without a fill.")


def _filled(scene: Scene, main: Primary) -> Iterator[ButtonState]:
    fill, label = main.fill, main.label
    ratio = contrast_ratio(label.rgb, fill.rgb)
    if "primary/fill/rest" in scene.fixed:
        why = f"{fill.label} was {_verb(scene, 'primary/fill/rest')} for the main action here."
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
    for state, rgb in (("rest", fill.rgb), ("hover", main.hover), ("pressed", main.pressed), ("focus", fill.rgb)):
        if state in ("hover", "pressed"):
            at = fill if rgb is None else made_for_here(rgb, f"{fill.label}, moved")
            delta = difference(fill.rgb, at.rgb)
            note = f"{fill.label} moved in lightness, ΔE2000 {delta:.1f}, so that the state shows."
            if rgb is None:
                note = f"No fill near {fill.label} is seen beside it and carries the label; it stays."
            border = at if edge is fill else edge
            yield _state(scene, "primary", state, at, _on(scene, "primary", state, label), border, note)
        else:
            yield _state(scene, "primary", state, fill, label, edge, reason)
    yield _disabled(scene, "primary", scene.far)


def _on(scene: Scene, variant: str, state: str, label: Swatch) -> Swatch:
    """The label of a state: that of rest, unless the state's own was set by hand."""
    name = f"{variant}/label/{state}"
    return scene.fixed[name][0] if name in scene.fixed else label


def _outlined(scene: Scene, heading: Swatch) -> Iterator[ButtonState]:
    """The second button: the heading ink, or the nearest to it that has states, as label and border."""
    options = scene.options("secondary/label/rest", heading.rgb)
    for trial in ranked(options, scene.on(options, scene.back, scene.text)):
        under = _underlays(scene, "secondary", trial.rgb, trial.rgb)
        if None not in under:
            ink = trial
            break
    else:
        ink = options.swatches[0] if len(options.swatches) == 1 else heading
        under = _underlays(scene, "secondary", ink.rgb, ink.rgb)
    border = ink
    if ink.rgb in (BLACK, WHITE) and not any(swatch.rgb == ink.rgb for swatch in scene.palette.brand):
        # Pure black and white stand only where nothing else can: a border needs less than a label.
        border = scene.solve("", ink.rgb, scene.boundary, (NEUTRAL, RAMP, EXACT)) or ink
    ratio = contrast_ratio(ink.rgb, scene.back)
    reason = f"Border and label in {ink.label}, {shown(ratio)} on {scene.ground.swatch.label}; labels need {scene.text:g}:1."
    yield from _open(scene, "secondary", ink, border, ink, under, reason)


def _underlays(scene: Scene, variant: str, ink: RGB, moved_ink: RGB) -> _Fills:
    """Fills of hover and pressed under a label without a fill, hover first: some of the ink in the ground, nearest to
    the share that is wanted among those on which the label passes and that are seen beside the others."""
    required = min(scene.text, contrast_ratio(ink, scene.back))
    made: dict[float, RGB | None] = {}

    def trials(state: str, wanted: float, hover: RGB | None = None) -> Iterator[RGB]:
        name = f"{variant}/fill/{state}"
        if name in scene.fixed:
            yield scene.fixed[name][0].rgb
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
    scene: Scene, variant: str, ink: Swatch, border: Swatch, moved_ink: Swatch, fills: _Fills, reason: str
) -> Iterator[ButtonState]:
    """A variant without a fill; `moved_ink` is its label in hover and pressed, `fills` are what lies under it then."""
    ground = scene.ground.swatch
    none = ground
    edge = none if variant == "text" else border
    yield _state(scene, variant, "rest", none, ink, edge, reason)
    for state, rgb in zip(("hover", "pressed"), fills, strict=True):
        fill = none if rgb is None else made_for_here(rgb, f"{ground.label} with {ink.label}")
        note = f"The ground with some of the ink in it, ΔE2000 {difference(fill.rgb, ground.rgb):.1f} from rest."
        if rgb is None:
            note = f"No tone of the ground is seen beside it and carries {moved_ink.label}; the label alone moves."
        on = _on(scene, variant, state, moved_ink)
        yield _state(scene, variant, state, fill, on, fill if variant == "text" else border, note)
    yield _state(scene, variant, "focus", none, ink, edge, reason)
    yield _disabled(scene, variant, ink.rgb)


def _disabled(scene: Scene, variant: str, ink: RGB) -> ButtonState:
    ground = scene.back
    fill = mixed(ground, ink, 0.12) if variant == "primary" else ground
    label = mixed(ground, ink, 0.45)
    reason = f"Ink {to_hex(ink)} faded into the ground; what is disabled needs no contrast (WCAG 2.2, 1.4.3)."
    faded = made_for_here(label, "faded")
    back = made_for_here(fill, "faded")
    return _state(scene, variant, "disabled", back, faded, faded if variant == "secondary" else back, reason)


def _state(scene: Scene, variant: str, state: str, fill: Swatch, label: Swatch, border: Swatch, reason: str) -> ButtonState:
    """A state, with what was set by hand in its place; an unset border follows its fill or label."""
    if not scene.fixed:
        own = ORIGINS[fill.kind], ORIGINS[label.kind], ORIGINS[border.kind]
        return ButtonState(variant, state, fill, label, border, own, reason)
    parts, origins = {"fill": fill, "label": label, "border": border}, []
    for part in PARTS:
        name = f"{variant}/{part}/{state}"
        if name in scene.fixed:
            parts[part] = scene.fixed[name][0]
            if part == "fill" and border is fill:
                parts["border"] = parts["fill"]
        origins.append(scene.fixed[name][1] if name in scene.fixed else ORIGINS[parts[part].kind])
    return ButtonState(variant, state, parts["fill"], parts["label"], parts["border"], (*origins,), reason)  # type: ignore[arg-type]


def _verb(scene: Scene, name: str) -> str:
    return "chosen" if scene.fixed[name][1] == "chosen" else "pinned"
