"""The inks of a ground: text, links with their states, lines, focus, selection and signals."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from functools import cache, lru_cache
from itertools import chain

import numpy as np

from formulon.core.color.contrast import contrast_ratio, relative_luminance, shown
from formulon.core.color.difference import difference, differences, labs
from formulon.core.color.oklab_scalar import mixed
from formulon.core.color.srgb import RGB, Floats, to_hex
from formulon.core.color.vision import DICHROMACIES, seen
from formulon.core.system.solving.grounds import far_from
from formulon.core.system.solving.palette import Palette, signal_steps
from formulon.core.system.solving.scene import CALM_TEXT, CALM_TONE, Made, Scene, apart, made_for_here, passes, shifts
from formulon.core.system.solving.search import ALL, PURE, SIGNAL, TONES, Swatch, against, ascending, best, ranked, together

VISITED_APART = 6.0  # least ΔE2000 between a link and one that was visited (common practice)
SELECTION_APART = 12.0  # least ΔE2000 between selected text's fill and the ground (common practice)
LINK_FROM_TEXT = 3.0  # WCAG 2.2, technique G183: a link that is not underlined against the text around it
SIGNALS_APART = 5.0  # least ΔE2000 between two signals as seen under each dichromacy (common practice)
_HOVER, _VISITED_GREY = 0.08, 0.45
_BY_MIDDLE = sorted(range(9), key=lambda step: (abs(step - 5), step))  # the steps of a signal, the best first


_Linked = tuple[Swatch, Swatch, Swatch | None, Swatch | None]  # body, link, hover and visited


@dataclass(frozen=True, slots=True)
class InkSpec:
    """How an ink that constrains no other is wanted. `mix` is the share of the ground in the far colour."""

    name: str
    required: str  # "text", "boundary" or "none"
    mix: float
    order: tuple[int, ...]
    calm: float | None = None


INK_SPECS = (
    InkSpec("heading", "text", 0, ALL),
    InkSpec("body", "text", 0, ALL, CALM_TEXT),
    InkSpec("quiet", "text", 0.3, TONES, CALM_TONE),
    InkSpec("boundary", "boundary", 0.45, TONES, CALM_TONE),
    InkSpec("line", "none", 0.85, TONES, CALM_TONE),
)


def needs(scene: Scene, key: str) -> float:
    return {"text": scene.text, "boundary": scene.boundary, "none": 0.0}[key]


def wish_of(far: RGB, back: RGB, spec: InkSpec) -> RGB:
    return mixed(far, back, spec.mix) if spec.mix else far


def prepare(palette: Palette, grounds: Sequence[RGB], both: tuple[RGB, RGB], action: RGB) -> None:
    """Works out what the swatches cost as inks of several grounds at once, which takes a fifth of the time."""
    wishes: list[tuple[RGB, tuple[int, ...], float | None]] = [(action, ALL, None)]
    for back in dict.fromkeys(grounds):
        far = far_from(back, both)
        wishes += [(wish_of(far, back, spec), spec.order, spec.calm) for spec in INK_SPECS]
        wishes += [(back, ALL, None), (_visited_wish(action, far, back), TONES, None)]
    palette.prepare(wishes)


def _visited_wish(link: RGB, far: RGB, back: RGB) -> RGB:
    return mixed(link, mixed(far, back, 0.3), _VISITED_GREY)


def solve(scene: Scene, fill: Swatch) -> Iterator[Made]:
    """Every ink of the ground. `fill` is the rest colour of its main button, which the focus ring must show on."""
    body = None
    for spec in INK_SPECS:
        required = needs(scene, spec.required)
        found = scene.solve(spec.name, wish_of(scene.far, scene.back, spec), required, spec.order, spec.calm)
        if found is None:
            found = scene.fixed[spec.name][0] if spec.name in scene.fixed else scene.least_bad(scene.back)
        if spec.name == "body":
            body, links = _links(scene, found)
            found = body
        reason = explain(scene, found, None, required)
        yield Made(spec.name, found, scene.origin(spec.name, found), reason, scene.back, required)
        if spec.name == "body":
            yield from links
    yield from _focus(scene, fill)
    yield from _selection(scene)
    yield from _signals(scene)


def _links(scene: Scene, body: Swatch) -> tuple[Swatch, list[Made]]:
    """The body ink and the link in its states, chosen together: rest by preference among those that have states."""
    options = scene.options("link", scene.action.rgb)
    passing = scene.on(options, scene.back, scene.text)
    found: _Linked | None = None
    if not scene.underlined:
        spec = INK_SPECS[1]
        bodies = scene.options("body", wish_of(scene.far, scene.back, spec), spec.order, spec.calm)
        costs = scene.on(bodies, scene.back, scene.text)[:, None] + passing[None, :]
        costs = costs + scene.beside(bodies, options, LINK_FROM_TEXT)
        width = len(options.swatches)
        pairs = ((bodies.swatches[i // width], options.swatches[i % width]) for i in ascending(costs))
        found = _first_with_states(scene, pairs)
    if found is None:
        found = _first_with_states(scene, ((body, rest) for rest in ranked(options, passing)))
    if found is None:
        rest = scene.fixed["link"][0] if "link" in scene.fixed else best(options, passing)
        rest = rest or scene.least_bad(scene.back)
        hover = _hover(scene, rest)
        found = body, rest, hover, _visited(scene, rest, hover)
    body, rest, hover, visited = found
    made = [Made("link", rest, scene.origin("link", rest), _link_reason(scene, rest), scene.back, scene.text)]
    for name, state, what in (("link-hover", hover, "moved in lightness"), ("link-visited", visited, "a quieter neighbour")):
        if state is None:
            reason = f"No other colour passes here; what tells the state is its underline. {rest.label} stays."
            state = rest
        else:
            delta = difference(state.rgb, rest.rgb)
            ratio = shown(contrast_ratio(state.rgb, scene.back))
            reason = f"{rest.label}, {what}: {to_hex(state.rgb)}, {ratio}; ΔE2000 to the link {delta:.1f}."
        origin = scene.fixed[name][1] if name in scene.fixed else "derived"
        made.append(Made(name, state, origin, reason, scene.back, scene.text))
    return body, made


def _first_with_states(scene: Scene, pairs: Iterator[tuple[Swatch, Swatch]]) -> _Linked | None:
    """The first that has both states. Pure black and white are not taken for the sake of a state: the underline tells it
    as well."""
    for body, rest in pairs:
        if rest.kind == PURE:
            continue
        hover = _hover(scene, rest)
        visited = hover and _visited(scene, rest, hover)
        if visited:
            return body, rest, hover, visited
    return None


def _hover(scene: Scene, rest: Swatch) -> Swatch | None:
    """A link under the pointer: it passes on the ground and is seen beside the link."""
    if "link-hover" in scene.fixed:
        return scene.fixed["link-hover"][0]
    for rgb in shifts(rest.rgb, scene.back, _HOVER):
        if passes(rgb, scene.back, scene.text) and apart(rgb, [rest.rgb]):
            return made_for_here(rgb, f"{rest.label}, moved")
    return None


def _visited(scene: Scene, rest: Swatch, hover: Swatch | None) -> Swatch | None:
    """A link that was visited: it passes on the ground and is seen beside the link and the one under the pointer."""
    if "link-visited" in scene.fixed:
        return scene.fixed["link-visited"][0]
    options = scene.options("link-visited", _visited_wish(rest.rgb, scene.far, scene.back), TONES)
    tones = ranked(options, scene.on(options, scene.back, scene.text))
    lighter = (made_for_here(rgb, f"{rest.label}, moved") for rgb in shifts(rest.rgb, scene.back, 2 * _HOVER))
    others = [] if hover is None else [hover.rgb]
    for swatch in chain(tones, lighter):
        if swatch.kind == PURE or not apart(swatch.rgb, [rest.rgb], VISITED_APART) or not apart(swatch.rgb, others):
            continue
        if swatch.kind != SIGNAL or passes(swatch.rgb, scene.back, scene.text):
            return swatch
    return None


def _focus(scene: Scene, fill: Swatch) -> Iterator[Made]:
    """The two tones of the focus ring: the outer shows on the ground, the inner on the fill of a button, and they show
    beside each other where that can be had (after W3C technique C40 of WCAG 2.2: two-color focus indicator)."""
    outer, inner = scene.options("focus", scene.action.rgb), scene.options("focus-inner", scene.back)
    shown_out = scene.on(outer, scene.back, scene.boundary)
    shown_in = scene.on(inner, fill.rgb, scene.boundary)
    found = together(shown_out, shown_in, scene.beside(outer, inner, scene.boundary))
    if found:
        first, second = outer.swatches[found[0]], inner.swatches[found[1]]
    else:  # each for itself; nothing shows only where it was set by hand
        own = [scene.fixed[name][0] if name in scene.fixed else None for name in ("focus", "focus-inner")]
        first = best(outer, shown_out) or own[0] or scene.least_bad(scene.back)
        second = best(inner, shown_in) or own[1] or scene.least_bad(fill.rgb)
    on_ground, on_fill = contrast_ratio(first.rgb, scene.back), contrast_ratio(second.rgb, fill.rgb)
    reason = f"Outer tone of the focus ring: {first.label} is {shown(on_ground)} on {scene.ground.swatch.label}."
    yield Made("focus", first, scene.origin("focus", first), reason, scene.back, scene.boundary)
    reason = f"Inner tone of the focus ring: {second.label} is {shown(on_fill)} on {fill.label}, the main button's fill."
    origin = scene.origin("focus-inner", second)
    yield Made("focus-inner", second, origin, reason, fill.rgb, scene.boundary)


def selection(scene: Scene) -> tuple[Swatch, Swatch]:
    """Selected text: a fill that stands out from the ground, and its ink."""
    fills = scene.fills("selection", scene.action.rgb)
    texts = scene.texts("selection-ink", fills)
    row = scene.first_apart(fills, fills.cost + texts.least, SELECTION_APART)
    if row is None:
        fill = fills.swatches[int((fills.cost + scene.seen_apart(fills, SELECTION_APART)).argmin())]
        ink = scene.fixed["selection-ink"][0] if "selection-ink" in scene.fixed else scene.least_bad(fill.rgb)
    else:
        fill, ink = fills.swatches[row], texts.swatches[int(texts.which[row])]
    return fill, ink


def _selection(scene: Scene) -> Iterator[Made]:
    fill, ink = selection(scene)
    delta = difference(fill.rgb, scene.back)
    reason = f"Selected text lies on {fill.label}, ΔE2000 {delta:.1f} from the ground."
    yield Made("selection", fill, scene.origin("selection", fill), reason, scene.back, 0.0)
    ratio = shown(contrast_ratio(ink.rgb, fill.rgb))
    reason = f"{ink.label} on {fill.label} is {ratio}; it needs {scene.text:g}:1."
    yield Made("selection-ink", ink, scene.origin("selection-ink", ink), reason, fill.rgb, scene.text)


def _signals(scene: Scene) -> Iterator[Made]:
    """Success, warning, error, chosen together: each passes; they stay apart under the three dichromacies where that
    can be had; and each is near the middle of its own ramp."""
    flat, lifted = signal_steps()
    passing = tuple((against(lifted, relative_luminance(scene.back)) >= scene.text).tolist())
    free = not any(name in scene.fixed for name in scene.palette.signals)
    found, least = _kept_apart(passing) if free else (None, 0.0)
    told = ""
    if found:
        told = f" Least ΔE2000 between the three under dichromacy: {least:.1f}"
        told += "." if least >= SIGNALS_APART else f", below {SIGNALS_APART:g}: give each a sign and words."
    chosen: list[RGB] = []
    for i, name in enumerate(scene.palette.signals):
        steps = (found[i],) if found else [s for s in _BY_MIDDLE if passing[i * 9 + s]]
        if name in scene.fixed:
            swatch = scene.fixed[name][0]
        elif steps:
            swatch = made_for_here(flat[i * 9 + steps[0]], f"{name.capitalize()} {100 * (steps[0] + 1)}")
        else:
            swatch = scene.solve(name, flat[i * 9 + 5], scene.text, TONES) or scene.least_bad(scene.back)
        ratio = shown(contrast_ratio(swatch.rgb, scene.back))
        same = any(difference(swatch.rgb, other) < SIGNALS_APART for other in chosen)
        chosen.append(swatch.rgb)
        alike = " It is hardly told from another signal here: give each a sign and words." if same else ""
        reason = f"{swatch.label} on {scene.ground.swatch.label} is {ratio}; it needs {scene.text:g}:1.{told}{alike}"
        origin = scene.fixed[name][1] if name in scene.fixed else "derived"
        yield Made(name, swatch, origin, reason, scene.back, scene.text)


@lru_cache(maxsize=4096)
def _kept_apart(passing: tuple[bool, ...]) -> tuple[tuple[int, int, int] | None, float]:
    """The steps of the three signals, and the least ΔE2000 between them under dichromacy; None where one has no step that
    passes. Kept, since the same steps pass on many grounds."""
    cost, kept_apart = _table()
    masks = np.array(passing).reshape(3, 9)
    if not masks.any(axis=1).all():
        return None, 0.0
    allowed = masks[0][:, None, None] & masks[1][None, :, None] & masks[2][None, None, :]
    index = next(ascending(np.where(allowed & (kept_apart >= SIGNALS_APART), cost, np.inf)), None)
    if index is None:
        # The most that can be had: nearest to apart first, then nearest to the middles.
        index = int(np.argmax(np.where(allowed, kept_apart, -1)))
    triple = (index // 81, index // 9 % 9, index % 9)
    return triple, float(kept_apart[triple])


@cache
def _table() -> tuple[Floats, Floats]:
    """Of three signal ramps of nine steps: costs and least ΔE2000 under dichromacy, both (9, 9, 9)."""
    colors = np.array(signal_steps()[0])
    steps = np.abs(np.arange(9) - 5) / 9
    cost = steps[:, None, None] + steps[None, :, None] + steps[None, None, :]
    least = np.full((27, 27), np.inf)
    for vision in DICHROMACIES:
        lab = labs(seen(colors, vision))
        least = np.minimum(least, differences(lab[:, None], lab[None, :]))
    first, second, third = least[0:9, 9:18], least[0:9, 18:27], least[9:18, 18:27]
    apart_by = np.minimum(np.minimum(first[:, :, None], second[:, None, :]), third[None, :, :])
    return cost, apart_by


def explain(scene: Scene, found: Swatch, wish: Swatch | None, required: float) -> str:
    """One sentence on why an ink is what it is, with the numbers."""
    ground = scene.ground
    ratio = contrast_ratio(found.rgb, ground.rgb)
    have = f"{found.label} {to_hex(found.rgb)} on {ground.swatch.label} is {shown(ratio)}"
    asks = f"needs {required:g}:1" if required else "needs nothing, it is decoration"
    if wish is None or wish.rgb == found.rgb:
        return f"{have}; it {asks}."
    own = contrast_ratio(wish.rgb, ground.rgb)
    if own < required:
        return (
            f"{wish.label} {to_hex(wish.rgb)} on {ground.swatch.label} is {shown(own)}; this {asks}. "
            f"{found.label} is used, {shown(ratio)}."
        )
    return f"{have}; it {asks}. ΔE2000 to {wish.label}: {difference(found.rgb, wish.rgb):.1f}."


def _link_reason(scene: Scene, rest: Swatch) -> str:
    return explain(scene, rest, None if "link" in scene.fixed else scene.action, scene.text)
