"""What all buttons share: a state written down with what was set by hand in its place, and the one that is disabled."""

from collections.abc import Iterator

from formulon.core.color.oklab_scalar import mixed
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.system.solving.scene import Made, Scene, made_for_here
from formulon.core.system.solving.search import Swatch

Fills = tuple[RGB | None, RGB | None]  # of hover and of pressed


def state(
    scene: Scene, variant: str, name: str, fill: Swatch, label: Swatch, border: Swatch, reason: str
) -> Iterator[tuple[str, Made]]:
    """A variant in a state, with what was set by hand in its place; an unset border follows its fill."""
    own = scene.by_hand.get(f"{variant}/fill/{name}")
    if own:
        border, fill = own.swatch if border is fill else border, own.swatch
    for part, swatch in (("fill", fill), ("label", label), ("border", border)):
        path = f"{variant}/{part}/{name}"
        swatch = scene.by_hand[path].swatch if path in scene.by_hand else swatch
        yield path, Made(swatch, scene.origin(path, swatch), reason)


def disabled(scene: Scene, variant: str, ink: RGB) -> Iterator[tuple[str, Made]]:
    """The ink faded into the ground; what is disabled needs no contrast (WCAG 2.2, 1.4.3)."""
    ground = scene.back
    reason = f"Ink {to_hex(ink)} faded into the ground; what is disabled needs no contrast (WCAG 2.2, 1.4.3)."
    faded = made_for_here(mixed(ground, ink, 0.45), "faded")
    back = made_for_here(mixed(ground, ink, 0.12) if variant == "primary" and not scene.outlined else ground, "faded")
    yield from state(
        scene,
        variant,
        "disabled",
        back,
        faded,
        faded if variant == "secondary" or (variant == "primary" and scene.outlined) else back,
        reason,
    )
