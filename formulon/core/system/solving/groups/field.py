"""Form fields: fill, label, hint and border in five states. The hint is what stands in an empty field."""

from collections.abc import Iterator, Mapping
from operator import itemgetter

import numpy as np

from formulon.core.color.contrast import contrast_ratio, relative_luminance, shown
from formulon.core.color.difference import difference
from formulon.core.color.oklab_scalar import mixed, oklab
from formulon.core.color.srgb import Floats
from formulon.core.system.parts import FIELD_PARTS
from formulon.core.system.solving.groups.group import Group
from formulon.core.system.solving.groups.signals import ramp_of
from formulon.core.system.solving.scene import CALM_TONE, Made, Scene, Solved, apart, made_for_here
from formulon.core.system.solving.search import TONES, Options, Swatch, against, best, rank_cost, ranked


class Field(Group):
    """Fill, label, hint and border are chosen together: both texts pass on the fill, the border reaches the boundary ratio on
    the ground and on the fill (WCAG 2.2, 1.4.11)."""

    def together(self, scene: Scene) -> Mapping[str, Swatch]:
        return {f"field/{part}/rest": swatch for part, swatch in zip(FIELD_PARTS, _rest(scene), strict=True)}

    def solve(self, scene: Scene, made: Solved) -> Iterator[tuple[str, Made]]:
        fill, label, hint, border = _rest(scene)
        on_fill, on_ground = contrast_ratio(border.rgb, fill.rgb), contrast_ratio(border.rgb, scene.back)
        reason = (
            f"{label.label} on {fill.label} is {shown(contrast_ratio(label.rgb, fill.rgb))}, its hint "
            f"{shown(contrast_ratio(hint.rgb, fill.rgb))}; the border in {border.label} is {shown(on_ground)} on the ground and "
            f"{shown(on_fill)} on the field, both need {scene.boundary:g}:1."
        )
        yield from _state(scene, "rest", fill, label, hint, border, reason)
        stronger = _stronger(scene, fill, label, border)
        note = (
            f"The border turns to {stronger.label}, ΔE2000 {difference(stronger.rgb, border.rgb):.1f}, so that the state shows."
        )
        yield from _state(scene, "hover", fill, label, hint, stronger, note)
        yield from _state(scene, "focus", fill, label, hint, border, "As at rest, inside the focus ring of the ground.")
        wrong = _invalid(scene, fill, made["error"].swatch)
        note = (
            f"The border in {wrong.label}: {shown(contrast_ratio(wrong.rgb, scene.back))} on the ground and "
            f"{shown(contrast_ratio(wrong.rgb, fill.rgb))} on the field. What is wrong is also said in words."
        )
        yield from _state(scene, "invalid", fill, label, hint, wrong, note)
        faded = made_for_here(mixed(fill.rgb, label.rgb, 0.45), "faded")
        note = "Faded; what is disabled needs no contrast (WCAG 2.2, 1.4.3)."
        yield from _state(scene, "disabled", fill, faded, faded, made_for_here(mixed(fill.rgb, label.rgb, 0.3), "faded"), note)


def _rest(scene: Scene) -> tuple[Swatch, Swatch, Swatch, Swatch]:
    """Fill, label, hint and border at rest: for each fill the best of each part that stands on it, which constrain one
    another only through the fill."""
    whole = scene.costs.whole
    labels = scene.texts("field/label/rest", whole)
    hints = scene.texts("field/hint/rest", whole, 0.3, TONES, CALM_TONE)
    borders = scene.options("field/border/rest", mixed(scene.far, scene.back, 0.45), TONES, CALM_TONE)
    seen = scene.on(borders, scene.back, scene.boundary)

    def filled(fill: Swatch, cost: float) -> tuple[float, tuple[Swatch, Swatch, Swatch, Swatch]]:
        label, hint, border = labels.on(fill.rgb), hints.on(fill.rgb), seen + scene.seen(borders, fill.rgb, scene.boundary)
        i, j, k = int(label.argmin()), int(hint.argmin()), int(border.argmin())
        found = fill, labels.swatches[i], hints.swatches[j], borders.swatches[k]
        return float(cost + label[i] + hint[j] + border[k]), found

    def trials() -> Iterator[tuple[float, tuple[Swatch, Swatch, Swatch, Swatch]]]:
        """What was set by hand; else the paper, the ground itself, and as third rank the neutral steps near the paper, and
        black or white last. Fields are calm, so the brand's other colours are none of them."""
        if "field/fill/rest" in scene.by_hand:
            yield filled(scene.by_hand["field/fill/rest"].swatch, 0.0)
            return
        paper = scene.grounds["paper"].swatch
        first, second = filled(paper, rank_cost(0)), filled(scene.ground.swatch, rank_cost(1))
        yield from (first, second)
        least = min(first[0], second[0])
        if rank_cost(2) + labels.floor + hints.floor + seen.min() >= least:
            return  # no grey could do better, were there the best of everything on it
        greys, costs = scene.costs.greys(paper.rgb)
        # A grey is looked at where it could do better: the texts on it are known, and no border costs less than the least.
        could = costs + labels.least[greys] + hints.least[greys] + seen.min() < least
        for index, cost in zip(greys[could].tolist(), costs[could].tolist(), strict=True):
            yield filled(whole.swatches[index], cost)

    cost, found = min(trials(), key=itemgetter(0))
    return _unmet(scene) if cost == np.inf else found


def _unmet(scene: Scene) -> tuple[Swatch, Swatch, Swatch, Swatch]:
    """The field where nothing meets everything: paper, what is read best on it, and what is set by hand."""
    get = {part: scene.by_hand[f"field/{part}/rest"].swatch for part in FIELD_PARTS if f"field/{part}/rest" in scene.by_hand}
    fill = get.get("fill") or scene.grounds["paper"].swatch
    clearest = scene.least_bad(fill.rgb)
    border = get.get("border") or _both(scene, fill)
    return fill, get.get("label", clearest), get.get("hint", clearest), border


def _both(scene: Scene, fill: Swatch) -> Swatch:
    """The swatch that is seen best on field and ground alike."""
    swatches = scene.costs.swatches
    own = against(scene.costs.whole.lifted, relative_luminance(fill.rgb))
    return swatches[int(np.argmax(np.minimum(own, scene.ratios)))]


def _stronger(scene: Scene, fill: Swatch, label: Swatch, border: Swatch) -> Swatch:
    """The border under the pointer: nearest to the label that is seen beside the border at rest."""
    options = scene.options("field/border/hover", label.rgb, TONES)
    for swatch in ranked(options, _on_both(scene, options, fill)):
        if options.by_hand or apart(swatch.rgb, [border.rgb]):
            return swatch
    return options.swatches[0] if options.by_hand else border


def _invalid(scene: Scene, fill: Swatch, error: Swatch) -> Swatch:
    """The border of a field with a mistake: the error signal's step nearest to the error ink that shows on both sides."""
    if "field/border/invalid" in scene.by_hand:
        return scene.by_hand["field/border/invalid"].swatch

    def least(rgb: tuple[int, int, int]) -> float:
        return min(contrast_ratio(rgb, scene.back), contrast_ratio(rgb, fill.rgb))

    steps = ramp_of("error")
    if error.rgb in steps.values() and least(error.rgb) >= scene.boundary:
        return error
    passing = [step for step, rgb in steps.items() if least(rgb) >= scene.boundary]
    if passing:
        step = min(passing, key=lambda s: (abs(s - 600), s))
        return made_for_here(steps[step], f"Error {step}")
    options = scene.costs.options(oklab(steps[600]), TONES)
    return best(options, _on_both(scene, options, fill)) or _both(scene, fill)


def _on_both(scene: Scene, options: Options, fill: Swatch) -> Floats:
    """What options cost, infinite where they do not show on the ground and on the field."""
    return np.maximum(scene.on(options, scene.back, scene.boundary), scene.on(options, fill.rgb, scene.boundary))


def _state(
    scene: Scene, state: str, fill: Swatch, label: Swatch, hint: Swatch, border: Swatch, reason: str
) -> Iterator[tuple[str, Made]]:
    """A state, with what was set by hand in its place."""
    for part, swatch in zip(FIELD_PARTS, (fill, label, hint, border), strict=True):
        path = f"field/{part}/{state}"
        swatch = scene.by_hand[path].swatch if path in scene.by_hand else swatch
        yield path, Made(swatch, scene.origin(path, swatch), reason)
