"""Text inks: headings and running text, links in their states, and the lines beside them."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from itertools import chain

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.difference import difference
from formulon.core.color.oklab_scalar import mixed
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.system.parts import Needs
from formulon.core.system.solving import ways
from formulon.core.system.solving.costs import Costs
from formulon.core.system.solving.grounds import far_from
from formulon.core.system.solving.groups.group import Group
from formulon.core.system.solving.scene import (
    CALM_TEXT,
    CALM_TONE,
    Made,
    Scene,
    Solved,
    apart,
    made_for_here,
    passes,
    shifts,
)
from formulon.core.system.solving.search import ALL, PURE, SIGNAL, TONES, Swatch, ascending, best, ranked
from formulon.core.system.solving.settings import ColorSettings
from formulon.core.system.system import Conflict

VISITED_APART = 6.0  # least ΔE2000 between a link and one that was visited (common practice)
LINK_FROM_TEXT = 3.0  # WCAG 2.2, technique G183: a link that is not underlined against the text around it
_HOVER, _VISITED_GREY = 0.08, 0.45
_Linked = tuple[Swatch, Swatch, Swatch | None, Swatch | None]  # body, link, hover and visited


@dataclass(frozen=True, slots=True)
class _Wanted:
    """How an ink that constrains no other is wanted. `mix` is the share of the ground in the far colour."""

    name: str
    needs: Needs
    mix: float
    order: tuple[int, ...]
    calm: float | None = None

    def wish(self, far: RGB, back: RGB) -> RGB:
        return mixed(far, back, self.mix) if self.mix else far


_BODY = _Wanted("body", "text", 0, ALL, CALM_TEXT)
_WANTED = (
    _Wanted("heading", "text", 0, ALL),
    _BODY,
    _Wanted("quiet", "text", 0.3, TONES, CALM_TONE),
    _Wanted("boundary", "boundary", 0.45, TONES, CALM_TONE),
    _Wanted("line", "none", 0.85, TONES, CALM_TONE),
)


class TextInks(Group):
    """Running text and its links are chosen together, since links that are not underlined have to be told from the text."""

    def solve(self, scene: Scene, made: Solved) -> Iterator[tuple[str, Made]]:
        for one in _WANTED:
            required = scene.needs[one.needs]
            found = scene.solve(one.name, one.wish(scene.far, scene.back), required, one.order, one.calm)
            if found is None:
                found = scene.by_hand[one.name].swatch if one.name in scene.by_hand else scene.least_bad(scene.back)
            links: list[tuple[str, Made]] = []
            if one is _BODY:
                found, links = _links(scene, found)
            yield one.name, Made(found, scene.origin(one.name, found), _explained(scene, found, None, required))
            yield from links

    def conflicts(self, scene: Scene, made: Solved, settings: ColorSettings) -> Iterator[Conflict]:
        """A link that is not underlined and cannot be told from the text around it."""
        body, link = made["body"].swatch, made["link"].swatch
        ratio = contrast_ratio(link.rgb, body.rgb)
        if not scene.underlined and ratio < LINK_FROM_TEXT:
            yield ways.like_text(self, scene, made, (ratio, LINK_FROM_TEXT), settings)


def prepare(costs: Costs, grounds: Sequence[RGB], both: tuple[RGB, RGB], action: RGB) -> None:
    """Works out what the swatches cost as inks of several grounds at once, which takes a fifth of the time."""
    wishes: list[tuple[RGB, tuple[int, ...], float | None]] = [(action, ALL, None)]
    for back in dict.fromkeys(grounds):
        far = far_from(back, both)
        wishes += [(one.wish(far, back), one.order, one.calm) for one in _WANTED]
        wishes += [(back, ALL, None), (_visited_wish(action, far, back), TONES, None)]
    costs.prepare(wishes)


def _visited_wish(link: RGB, far: RGB, back: RGB) -> RGB:
    return mixed(link, mixed(far, back, 0.3), _VISITED_GREY)


def _links(scene: Scene, body: Swatch) -> tuple[Swatch, list[tuple[str, Made]]]:
    """The body ink and the link in its states, chosen together: rest by preference among those that have states."""
    options = scene.options("link", scene.action.rgb)
    passing = scene.on(options, scene.back, scene.text)
    found: _Linked | None = None
    if not scene.underlined:
        bodies = scene.options("body", _BODY.wish(scene.far, scene.back), _BODY.order, _BODY.calm)
        costs = (scene.on(bodies, scene.back, scene.text) + scene.favoured(bodies, scene.back))[:, None] + passing[None, :]
        costs = costs + scene.beside(bodies, options, LINK_FROM_TEXT)
        width = len(options.swatches)
        pairs = ((bodies.swatches[i // width], options.swatches[i % width]) for i in ascending(costs))
        found = _first_with_states(scene, pairs)
    if found is None:
        found = _first_with_states(scene, ((body, rest) for rest in ranked(options, passing)))
    if found is None:
        rest = scene.by_hand["link"].swatch if "link" in scene.by_hand else best(options, passing)
        rest = rest or scene.least_bad(scene.back)
        hover = _hover(scene, rest)
        found = body, rest, hover, _visited(scene, rest, hover)
    body, rest, hover, visited = found
    reason = _explained(scene, rest, None if "link" in scene.by_hand else scene.action, scene.text)
    made = [("link", Made(rest, scene.origin("link", rest), reason))]
    for name, state, what in (("link-hover", hover, "moved in lightness"), ("link-visited", visited, "a quieter neighbour")):
        if state is None:
            reason = f"No other colour passes here; what tells the state is its underline. {rest.label} stays."
            state = rest
        else:
            delta = difference(state.rgb, rest.rgb)
            ratio = shown(contrast_ratio(state.rgb, scene.back))
            reason = f"{rest.label}, {what}: {to_hex(state.rgb)}, {ratio}; ΔE2000 to the link {delta:.1f}."
        origin = scene.by_hand[name].origin if name in scene.by_hand else "derived"
        made.append((name, Made(state, origin, reason)))
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
    if "link-hover" in scene.by_hand:
        return scene.by_hand["link-hover"].swatch
    for rgb in shifts(rest.rgb, scene.back, _HOVER):
        if passes(rgb, scene.back, scene.text) and apart(rgb, [rest.rgb]):
            return made_for_here(rgb, f"{rest.label}, moved")
    return None


def _visited(scene: Scene, rest: Swatch, hover: Swatch | None) -> Swatch | None:
    """A link that was visited: it passes on the ground and is seen beside the link and the one under the pointer."""
    if "link-visited" in scene.by_hand:
        return scene.by_hand["link-visited"].swatch
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


def _explained(scene: Scene, found: Swatch, wish: Swatch | None, required: float) -> str:
    """One sentence on why an ink is what it is, with the numbers."""
    ground = scene.ground
    ratio = contrast_ratio(found.rgb, ground.rgb)
    if (found.rgb, ground.rgb) in scene.wanted:
        return f"{found.label} {to_hex(found.rgb)} on {ground.swatch.label}, {shown(ratio)}: the guideline asks for it."
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
