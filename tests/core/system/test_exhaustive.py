"""The solver against exhaustive search under its stated preference (core/system/solving/search.py), written apart from it in
plain loops over every combination, on brands of up to three colours."""

import math
import random
from collections.abc import Callable, Iterable, Iterator
from itertools import product

import pytest

from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.difference import difference
from formulon.core.color.oklab_scalar import mixed, oklab, oklch, rgb_of
from formulon.core.color.srgb import RGB, from_hex, to_hex
from formulon.core.color.vision import DICHROMACIES, seen_color
from formulon.core.system.documents.choices import GROUNDS, Choices
from formulon.core.system.documents.identity import BrandColor, Identity
from formulon.core.system.resolve import resolve
from formulon.core.system.solving.groups.main_button import stands_off
from formulon.core.system.system import System

BLACK, WHITE = (0, 0, 0), (255, 255, 255)
ALL, TONES = ("exact", "ramp", "neutral"), ("ramp", "neutral", "exact")
MOVES = (0.03, 0.04, 0.05, 0.06, 0.075, 0.09, 0.1, 0.12, 0.15, 0.18, 0.22, 0.27)


def brands() -> list[list[RGB]]:
    dice = random.Random(20261125)
    made = [[(dice.randrange(256), dice.randrange(256), dice.randrange(256)) for _ in range(1 + n % 3)] for n in range(18)]
    # Near a threshold, of middling luminance, greys only, and two that are nearly one.
    return [*made, [(118, 118, 118)], [(0, 132, 97)], [(142, 90, 155), (27, 33, 71)], [(90, 90, 90), (200, 200, 200)],
            [(200, 30, 30), (202, 32, 31)], [(255, 255, 255), (0, 0, 0)]]  # fmt: skip


def kinds_of(system: System, colors: list[RGB]) -> list[tuple[RGB, str]]:
    """Every colour that may be used with its class, exact ones first."""
    found = [(rgb, "exact") for rgb in colors]
    for reference, rgb in system.palette.items():
        if reference.startswith("neutral/"):
            found.append((rgb, "neutral"))
        elif reference in ("white", "black"):
            found.append((rgb, "pure"))
        elif "/" in reference:
            found.append((rgb, "ramp"))
    return found


class Brute:
    """The stated preference as a key of plain numbers: less is better."""

    def __init__(self, system: System, colors: list[RGB]) -> None:
        self.system, self.all = system, kinds_of(system, colors)

    def rank(self, entry: tuple[RGB, str], order: tuple[str, ...], calm: float | None) -> int:
        rgb, kind = entry
        if kind == "pure":
            return 6
        quiet = calm is None or oklch(rgb)[1] <= calm
        return order.index(kind) + (0 if quiet else len(order))

    def key(self, roles: Iterable[tuple[int, float]], pure_fills: int = 0) -> tuple[float, ...]:
        """`roles` are ranks and distances. Fills that are pure, then counts by rank, most first, then the distances."""
        ranks, distances = zip(*roles, strict=True)
        return (pure_fills, *(-ranks.count(rank) for rank in range(7)), round(sum(distances), 9))

    def role(
        self, entry: tuple[RGB, str], wish: RGB, order: tuple[str, ...] = ALL, calm: float | None = None
    ) -> tuple[int, float]:
        return self.rank(entry, order, calm), math.dist(oklab(entry[0]), oklab(wish))

    def css(self, ground: str, part: str) -> RGB:
        return from_hex(self.system.css(f"ground/{ground}/{part}"))

    def own(self, rgb: RGB) -> list[tuple[RGB, str]]:
        """The entries that have a colour: an exact one may be a ramp step of another as well."""
        return [entry for entry in self.all if entry[0] == rgb]


def far(rgb: RGB, ends: tuple[RGB, RGB]) -> RGB:
    return max(ends, key=lambda end: contrast_ratio(end, rgb))


def shifts(rest: RGB, other: RGB, wanted: float) -> list[RGB]:
    """Every move of a state, in the order in which it is wanted."""
    away = -1 if oklch(other)[0] > oklch(rest)[0] else 1
    order = sorted(product(MOVES, (1, -1)), key=lambda m: (abs(m[0] - wanted) + (0 if m[1] > 0 else 0.3), -m[1], m[0]))
    lightness, chroma, hue = oklch(rest)
    made = [rgb_of(lightness + s * away * m, chroma, hue) for m, s in order if 0.04 <= lightness + s * away * m <= 0.99]
    return [rgb for rgb in made if rgb not in (BLACK, WHITE)]


def states(fill: RGB, label: RGB, text: float) -> tuple[RGB, RGB] | None:
    """Hover and pressed of a filled button: the first hover in order that leaves a pressed."""
    for hover in shifts(fill, label, 0.05):
        if contrast_ratio(hover, label) < text or difference(hover, fill) < 3:
            continue
        for pressed in shifts(fill, label, 0.1):
            if contrast_ratio(pressed, label) >= text and min(difference(pressed, fill), difference(pressed, hover)) >= 3:
                return hover, pressed
    return None


CASES = [(colors, policy) for colors in brands() for policy in ("AA", "AAA")]


@pytest.mark.parametrize(("colors", "policy"), CASES, ids=[f"{p}-{'-'.join(map(to_hex, c))}" for c, p in CASES])
def test_no_other_combination_is_preferred(colors: list[RGB], policy: str) -> None:
    named = [BrandColor(id=f"c{i}", name=f"C{i}", value=to_hex(rgb)) for i, rgb in enumerate(colors)]
    system = resolve(Identity(name="Any", colors=named), Choices(policy=policy))
    brute, text = Brute(system, colors), 4.5 if policy == "AA" else 7.0
    ends = brute.css("paper", "background"), brute.css("deep", "background")
    action = brute.css("brand", "background")
    for ground in GROUNDS:
        back = brute.css(ground, "background")
        single(brute, ground, back, ends, text)
        button(brute, ground, back, ends, action, text)
        focus(brute, ground, back, action)
        selection(brute, ground, back, ends, action, text)
        field(brute, ground, back, ends, text)


def same(brute: Brute, got: Callable[[], Iterator[tuple[float, ...]]], best: tuple[float, ...] | None, what: str) -> None:
    """The solver's own choice has the best key; where nothing passes there is nothing to compare."""
    if best is not None:
        assert min(got()) == best, what


def single(brute: Brute, ground: str, back: RGB, ends: tuple[RGB, RGB], text: float) -> None:
    """Inks that constrain no other."""
    for name, required, mix, order, calm in (
        ("heading", text, 0.0, ALL, None),
        ("body", text, 0.0, ALL, 0.09),
        ("quiet", text, 0.3, TONES, 0.06),
        ("boundary", 3.0, 0.45, TONES, 0.06),
        ("line", 0.0, 0.85, TONES, 0.06),
    ):
        wish = mixed(far(back, ends), back, mix) if mix else far(back, ends)
        keys = [brute.key([brute.role(e, wish, order, calm)]) for e in brute.all if contrast_ratio(e[0], back) >= required]
        chosen = brute.css(ground, name)
        same(
            brute, lambda c=chosen, w=wish, o=order, q=calm: (brute.key([brute.role(e, w, o, q)]) for e in brute.own(c)),  # type: ignore[misc]
            min(keys, default=None), f"{ground}/{name}",
        )  # fmt: skip


def button(brute: Brute, ground: str, back: RGB, ends: tuple[RGB, RGB], action: RGB, text: float) -> None:
    """Fill, label, hover and pressed of the main button."""

    def key(fill: tuple[RGB, str], label: tuple[RGB, str]) -> tuple[float, ...]:
        roles = [brute.role(fill, action), brute.role(label, far(fill[0], ends), ALL, 0.09)]
        return brute.key(roles, int(fill[1] == "pure"))

    def clear(fill: RGB) -> bool:
        """By 3:1; the action colour also by 1.5:1 where it is told from the ground by everybody."""
        kept = all(difference(seen_color(fill, one), seen_color(back, one)) >= 18 for one in DICHROMACIES)
        return contrast_ratio(fill, back) >= 3 or (fill == action and contrast_ratio(fill, back) >= 1.5 and kept)

    fills = [e for e in brute.all if difference(e[0], back) >= 18 and clear(e[0])]
    pairs = [(key(f, ink), f[0], ink[0]) for f in fills for ink in brute.all if contrast_ratio(f[0], ink[0]) >= text]
    chosen = {part: brute.css(ground, f"primary/{part}") for part in ("fill/rest", "label/rest", "fill/hover", "fill/pressed")}
    for best, fill, label in sorted(pairs):
        both = states(fill, label, text)
        if both is None:
            continue
        got = min(key(f, ink) for f in brute.own(chosen["fill/rest"]) for ink in brute.own(chosen["label/rest"]))
        assert got == best, ground
        assert (chosen["fill/hover"], chosen["fill/pressed"]) == states(chosen["fill/rest"], chosen["label/rest"], text)
        border(brute, ground, back, chosen["fill/rest"], clear)
        return
    # Nothing meets everything: on the fill that was taken the label passes where any can, else none has more contrast.
    ratios = [contrast_ratio(chosen["fill/rest"], ink[0]) for ink in brute.all]
    own = contrast_ratio(chosen["fill/rest"], chosen["label/rest"])
    assert own >= text if max(ratios) >= text else own == pytest.approx(max(ratios)), ground


def border(brute: Brute, ground: str, back: RGB, fill: RGB, clear: Callable[[RGB], bool]) -> None:
    """A fill that stands off has a border that is not seen; another has one of 3:1, the nearest to the fill."""
    edge = brute.css(ground, "primary/border/rest")
    if clear(fill):
        assert edge == fill, ground
        return
    order = ("ramp", "exact", "neutral")
    keys = [brute.key([brute.role(e, fill, order)]) for e in brute.all if contrast_ratio(e[0], back) >= 3]
    assert min(brute.key([brute.role(e, fill, order)]) for e in brute.own(edge)) == min(keys), ground


def focus(brute: Brute, ground: str, back: RGB, action: RGB) -> None:
    """The two tones of the focus ring."""
    fill = brute.css(ground, "primary/fill/rest")
    outers = [e for e in brute.all if contrast_ratio(e[0], back) >= 3]
    inners = [e for e in brute.all if contrast_ratio(e[0], fill) >= 3]

    def key(outer: tuple[RGB, str], inner: tuple[RGB, str]) -> tuple[float, ...]:
        return brute.key([brute.role(outer, action), brute.role(inner, back)])

    told = [key(o, i) for o in outers for i in inners if contrast_ratio(o[0], i[0]) >= 3]
    best = min(told or [key(o, i) for o in outers for i in inners])
    chosen = brute.own(brute.css(ground, "focus")), brute.own(brute.css(ground, "focus-inner"))
    assert min(key(o, i) for o, i in product(*chosen)) == best, ground


def selection(brute: Brute, ground: str, back: RGB, ends: tuple[RGB, RGB], action: RGB, text: float) -> None:
    """Selected text and its fill."""

    def key(fill: tuple[RGB, str], ink: tuple[RGB, str]) -> tuple[float, ...]:
        roles = [brute.role(fill, action), brute.role(ink, far(fill[0], ends), ALL, 0.09)]
        return brute.key(roles, int(fill[1] == "pure"))

    fills = [e for e in brute.all if difference(e[0], back) >= 12]
    keys = [key(f, i) for f in fills for i in brute.all if contrast_ratio(f[0], i[0]) >= text]
    chosen = brute.own(brute.css(ground, "selection")), brute.own(brute.css(ground, "selection-ink"))
    assert min(key(f, i) for f, i in product(*chosen)) == min(keys), ground


def field(brute: Brute, ground: str, back: RGB, ends: tuple[RGB, RGB], text: float) -> None:
    """Fill, label, hint and border of a field. The three that stand on the fill meet only through it."""
    paper = brute.css("paper", "background")

    def parts(fill: RGB) -> Iterator[list[tuple[int, float]]]:
        end = far(fill, ends)
        other = ends[1] if end == ends[0] else ends[0]
        yield [brute.role(e, end, ALL, 0.09) for e in brute.all if contrast_ratio(e[0], fill) >= text]
        wish = mixed(end, other, 0.3)
        yield [brute.role(e, wish, TONES, 0.06) for e in brute.all if contrast_ratio(e[0], fill) >= text]
        wish = mixed(far(back, ends), back, 0.45)
        both = [e for e in brute.all if contrast_ratio(e[0], fill) >= 3 and contrast_ratio(e[0], back) >= 3]
        yield [brute.role(e, wish, TONES, 0.06) for e in both]

    def key(fill: RGB, own: tuple[int, float], pure: int) -> tuple[float, ...] | None:
        found = list(parts(fill))
        return brute.key([own, *(min(one) for one in found)], pure) if all(found) else None

    fills: list[tuple[RGB, tuple[int, float], int]] = [(paper, (0, 0.0), 0), (back, (1, 0.0), 0)]
    for rgb, kind in brute.all:
        if kind in ("neutral", "pure"):
            fills.append((rgb, (2 if kind == "neutral" else 6, math.dist(oklab(rgb), oklab(paper))), int(kind == "pure")))
    keys = {(rgb, own): key(rgb, own, pure) for rgb, own, pure in fills}
    passing = [one for one in keys.values() if one is not None]
    if passing:
        chosen = brute.css(ground, "field/fill/rest")
        assert min(one for (rgb, _), one in keys.items() if rgb == chosen and one is not None) == min(passing), ground
        for part, roles in zip(("label", "hint", "border"), parts(chosen), strict=True):
            got = brute.css(ground, f"field/{part}/rest")
            order, calm = (ALL, 0.09) if part == "label" else (TONES, 0.06)
            end = far(chosen, ends)
            wish = {"label": end, "hint": mixed(end, ends[1] if end == ends[0] else ends[0], 0.3)}.get(part)
            wish = wish or mixed(far(back, ends), back, 0.45)
            assert min(brute.role(e, wish, order, calm) for e in brute.own(got)) == min(roles), (ground, part)


def test_a_main_button_that_would_sink_is_carried(subtests: pytest.Subtests) -> None:
    """Spruce on brick is 1.07:1, oxblood on near-black 1.22:1 (worked out with WCAG 2.2's formula): another fill stands there;
    and where somebody leads such a fill there all the same, a border of 3:1 carries it."""
    colors = [("Oxblood", "#4a0f14"), ("Near black", "#14110f"), ("Spruce", "#2f4a3c"), ("Brick", "#8c4a34")]
    identity = Identity(name="Any", colors=[BrandColor(name=name, value=value) for name, value in colors])
    for ground in GROUNDS:
        system = resolve(identity, Choices())
        back, fill, edge = (
            from_hex(system.css(f"ground/{ground}/{part}"))
            for part in ("background", "primary/fill/rest", "primary/border/rest")
        )
        with subtests.test(ground=ground):
            assert stands_off(fill, back) and edge == fill
    for reference, rgb in (("oxblood", "#4a0f14"), ("near-black", "#14110f"), ("spruce", "#2f4a3c"), ("brick", "#8c4a34")):
        led = resolve(identity, Choices(wires={f"{ground}/primary": reference for ground in GROUNDS}))
        for ground in GROUNDS:
            back, edge = (from_hex(led.css(f"ground/{ground}/{part}")) for part in ("background", "primary/border/rest"))
            with subtests.test(led=reference, ground=ground):
                assert contrast_ratio(edge, back) >= 3 or stands_off(from_hex(rgb), back)


@pytest.mark.parametrize("colors", brands(), ids=lambda colors: "-".join(map(to_hex, colors)))
def test_signals_that_are_alike_ask_for_a_sign_and_words(colors: list[RGB]) -> None:
    named = [BrandColor(id=f"c{i}", name=f"C{i}", value=to_hex(rgb)) for i, rgb in enumerate(colors)]
    for choices in (Choices(policy="AAA"), Choices(wires={"paper/success": "c0", "paper/warning": "c0", "paper/error": "c0"})):
        system = resolve(Identity(name="Any", colors=named), choices)
        for ground in GROUNDS:
            tokens = [system.tokens[f"ground/{ground}/{name}"] for name in ("success", "warning", "error")]
            alike = any(difference(from_hex(a.css), from_hex(b.css)) < 5 for a in tokens for b in tokens if a is not b)
            assert not alike or any("a sign and words" in token.reason for token in tokens), ground


@pytest.mark.parametrize("policy", ["AA", "AAA"])
@pytest.mark.parametrize("colors", brands(), ids=lambda colors: "-".join(map(to_hex, colors)))
def test_links_that_look_like_text_are_told_of_on_every_ground(colors: list[RGB], policy: str) -> None:
    """WCAG 2.2, technique G183: 3:1 between a link that is not underlined and the text around it, on each ground by itself, also
    on those that share a colour."""
    named = [BrandColor(id=f"c{i}", name=f"C{i}", value=to_hex(rgb)) for i, rgb in enumerate(colors)]
    system = resolve(
        Identity(name="Any", colors=named), Choices.model_validate({"policy": policy, "links": {"underlined": False}})
    )
    alike = {
        ground for ground in GROUNDS
        if contrast_ratio(*(from_hex(system.css(f"ground/{ground}/{ink}")) for ink in ("link", "body"))) < 3
    }  # fmt: skip
    assert {conflict.ground for conflict in system.conflicts if conflict.code == "link-like-text"} == alike
