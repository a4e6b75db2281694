"""The focus ring: two tones, so that one of them shows wherever the ring stands."""

from collections.abc import Iterator

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.system.solving.groups.group import Group
from formulon.core.system.solving.scene import Made, Scene, Solved
from formulon.core.system.solving.search import best, together


class FocusRing(Group):
    """The outer tone shows on the ground, the inner on the fill of the main button, and they show beside each other where that
    can be had (after W3C technique C40 of WCAG 2.2: two-color focus indicator)."""

    def solve(self, scene: Scene, made: Solved) -> Iterator[tuple[str, Made]]:
        fill = made["primary/fill/rest"].swatch
        outer, inner = scene.options("focus", scene.action.rgb), scene.options("focus-inner", scene.back)
        shown_out = scene.on(outer, scene.back, scene.boundary)
        shown_in = scene.on(inner, fill.rgb, scene.boundary)
        found = together(shown_out, shown_in, scene.beside(outer, inner, scene.boundary))
        if found:
            first, second = outer.swatches[found[0]], inner.swatches[found[1]]
        else:  # each for itself; nothing shows only where it was set by hand
            own = [scene.by_hand[name].swatch if name in scene.by_hand else None for name in ("focus", "focus-inner")]
            first = best(outer, shown_out) or own[0] or scene.least_bad(scene.back)
            second = best(inner, shown_in) or own[1] or scene.least_bad(fill.rgb)
        on_ground, on_fill = contrast_ratio(first.rgb, scene.back), contrast_ratio(second.rgb, fill.rgb)
        reason = f"Outer tone of the focus ring: {first.label} is {shown(on_ground)} on {scene.ground.swatch.label}."
        yield "focus", Made(first, scene.origin("focus", first), reason)
        reason = f"Inner tone of the focus ring: {second.label} is {shown(on_fill)} on {fill.label}, the main button's fill."
        origin = scene.origin("focus-inner", second)
        yield "focus-inner", Made(second, origin, reason)
