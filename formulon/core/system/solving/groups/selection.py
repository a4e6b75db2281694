"""Selected text: a fill and the ink on it."""

from collections.abc import Iterator, Mapping

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.difference import difference
from formulon.core.system.solving.groups.group import Group
from formulon.core.system.solving.scene import Made, Scene, Solved
from formulon.core.system.solving.search import Swatch

SELECTION_APART = 12.0  # least ΔE2000 between selected text's fill and the ground (common practice)


class Selection(Group):
    """The fill stands out from the ground, and its ink is read on it."""

    def together(self, scene: Scene) -> Mapping[str, Swatch]:
        fills = scene.fills("selection", scene.action.rgb)
        texts = scene.texts("selection-ink", fills)
        row = scene.first_apart(fills, fills.cost + texts.least, SELECTION_APART)
        if row is None:
            fill = fills.swatches[int((fills.cost + scene.seen_apart(fills, SELECTION_APART)).argmin())]
            ink = scene.by_hand["selection-ink"].swatch if "selection-ink" in scene.by_hand else scene.least_bad(fill.rgb)
        else:
            fill, ink = fills.swatches[row], texts.swatches[int(texts.which[row])]
        return {"selection": fill, "selection-ink": ink}

    def solve(self, scene: Scene, made: Solved) -> Iterator[tuple[str, Made]]:
        fill, ink = self.together(scene).values()
        delta = difference(fill.rgb, scene.back)
        reason = f"Selected text lies on {fill.label}, ΔE2000 {delta:.1f} from the ground."
        yield "selection", Made(fill, scene.origin("selection", fill), reason)
        ratio = shown(contrast_ratio(ink.rgb, fill.rgb))
        reason = f"{ink.label} on {fill.label} is {ratio}; it needs {scene.text:g}:1."
        yield "selection-ink", Made(ink, scene.origin("selection-ink", ink), reason)
