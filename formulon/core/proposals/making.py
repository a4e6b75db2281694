"""How each part of a style follows from an aim, with its reason. How a measure speaks of character is common practice."""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Any, Literal

from formulon.core.proposals.aims import Aim
from formulon.core.proposals.style import Proposed
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.planning.arrange import chance
from formulon.core.site.planning.rhythms import BEATS, Beat
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import (
    Buttons,
    Corners,
    Motif,
    PictureKind,
    Scale,
    SectionOrder,
    StepChoice,
    StylePart,
)
from formulon.core.system.documents.identity import Character
from formulon.core.system.facets.motif import symbol
from formulon.core.system.facets.type_pairs import TypePair, proposals
from formulon.core.type.library import Library

# Names of ratios as music has them, which typography took over (common practice).
_RATIOS = (
    (1.2, "a minor third"),
    (1.25, "a major third"),
    (1.333, "a perfect fourth"),
    (1.414, "the root of two"),
    (1.5, "a perfect fifth"),
)
_RADII = ((-1.4, 28), (-0.5, 14), (0.5, 6), (1.3, 2), (9.0, 0))
_PLACES: tuple[dict[str, str], ...] = (
    {"closing": "accent", "footer": "band"},
    {"middle": "band"},
    {"closing": "accent"},
    {"footer": "band"},
    {"middle": "accent", "footer": "band"},
)


@dataclass(frozen=True, slots=True)
class Asked:
    """What a part is made for: the site, the aim, the number of the proposal, and what the last ones had."""

    site: Site
    aim: Aim
    number: int
    last: Sequence[Sequence[Proposed]] = ()

    def had(self, part: StylePart) -> list[dict[str, Any]]:
        """What the last proposals had for a part."""
        return [dict(one.values) for made in self.last for one in made if one.part == part]

    def toss(self, *about: str) -> float:
        """A number from 0 to 1 that name and number tell."""
        return chance(self.site.identity.name, str(self.number), *about)


def made(part: StylePart, asked: Asked) -> Proposed:
    """A part of a proposal."""
    values, says = _MAKERS[part](asked)
    return Proposed(part, values, says)


Made = tuple[dict[str, Any], str]


def _type(asked: Asked) -> Made:
    identity = asked.site.identity
    languages = tuple(dict.fromkeys((identity.language, *identity.languages)))
    own = tuple(font.id for font in identity.fonts if font.declared or not font.restricted)
    found = _pairs(
        tuple(asked.aim.character().model_dump().items()),
        languages,
        own,
        f"{identity.name} {identity.strapline} {identity.does}",
        _Handed(asked.site.library),
    )
    used = [one["typefaces"]["heading"] for one in asked.had("type")]
    pair = next((one for one in found if one.heading not in used), found[asked.number % len(found)])
    return {"typefaces": {"heading": pair.heading, "body": pair.body, "third": ""}}, pair.reasons[0]


class _Handed:
    """A library, told from others by being the same object."""

    def __init__(self, library: Library) -> None:
        self.library = library

    def __hash__(self) -> int:
        return hash(tuple(self.library))

    def __eq__(self, other: object) -> bool:
        return isinstance(other, _Handed) and tuple(self.library) == tuple(other.library)


@lru_cache(maxsize=256)
def _pairs(
    character: tuple[tuple[str, int | None], ...], languages: tuple[str, ...], own: tuple[str, ...], words: str, handed: _Handed
) -> tuple[TypePair, ...]:
    return tuple(proposals(Character.model_validate(dict(character)), languages, [handed.library[one] for one in own], words))


def _scale(asked: Asked) -> Made:
    aim = asked.aim
    wanted = 1.3 + 0.08 * aim.quiet_loud + 0.02 * aim.plain_ornate
    ratio, name = min(_RATIOS, key=lambda one: abs(one[0] - wanted))
    small = round(1 + min(0.24, 0.62 * (ratio - 1)), 3)
    base = 19 if aim.classical_modern < -0.5 else 17 if aim.classical_modern > 1 else 18
    steps: dict[str, Any] = {}
    if aim.quiet_loud > 0.8:
        steps["display"] = StepChoice(tracking=-0.02)
    if aim.soft_sharp > 0.6 and aim.plain_ornate < 0.5:
        steps["label"] = StepChoice(case="uppercase", tracking=0.05)
    scale = Scale(base_small=base - 1, base_large=base, ratio_small=small, ratio_large=ratio, steps=steps)
    how = "loud" if aim.quiet_loud > 0.5 else "quiet" if aim.quiet_loud < -0.5 else "neither loud nor quiet"
    return {"scale": scale.model_dump()}, f"Steps grow by {ratio:g}, {name}: {how}. Running text is {base} px."


def _space(asked: Asked) -> Made:
    aim = asked.aim
    density = round(max(0.75, min(1.35, 1.0 - 0.11 * aim.calm_lively - 0.05 * aim.quiet_loud)), 2)
    how = "room to be calm" if density > 1.04 else "close together, which is lively" if density < 0.96 else "the usual space"
    return {"density": density}, f"Space by a factor of {density:g}: {how}."


def _corners(asked: Asked) -> Made:
    said = next((one for one in asked.site.identity.measures if one.measure == "radius"), None)
    if said:
        radius = min(40.0, said.px)
        return {"radius": radius, "corners": Corners().model_dump()}, f"The brand uses a radius of {said.px:g} px."
    radius = float(next(px for most, px in _RADII if asked.aim.soft_sharp <= most))
    corners = Corners()
    if asked.aim.soft_sharp < 0.5 and asked.toss("pill") < 0.4:
        corners = Corners(button=40)
        return {"radius": radius, "corners": corners.model_dump()}, f"Buttons are round, the rest has {radius:g} px: soft."
    how = "soft" if radius >= 14 else "sharp" if radius <= 2 else "between soft and sharp"
    return {"radius": radius, "corners": corners.model_dump()}, f"Corners of {radius:g} px: {how}."


def _cards(asked: Asked) -> Made:
    aim = asked.aim
    options: list[tuple[float, str, str, str]] = [
        (-aim.soft_sharp + 0.3 * aim.plain_ornate, "lifted", "soft", "Cards are lifted by a soft shadow, which is gentle."),
        (aim.soft_sharp - 0.3 * aim.plain_ornate, "lined", "none", "Cards have a line and no shadow: clear edges."),
        (aim.quiet_loud, "solid", "none", "Cards stand solid on grounds of their own, which is loud."),
        (-aim.quiet_loud - 0.3 * aim.plain_ornate, "plain", "none", "Cards have neither line nor shadow: quiet."),
        (
            0.5 * (aim.soft_sharp + aim.quiet_loud),
            "lined",
            "crisp",
            "Cards have a line and a crisp shadow, like paper cut out.",
        ),
    ]
    _, cards, elevation, says = max(options, key=lambda one: one[0] + 1.2 * asked.toss("cards", one[1], one[2]))
    return {"cards": cards, "elevation": elevation}, says


def _buttons(asked: Asked) -> Made:
    aim = asked.aim
    block = round(max(0.55, min(1.1, 0.8 + 0.12 * aim.quiet_loud - 0.05 * aim.calm_lively)), 2)
    inline = round(max(1.0, min(2.2, 1.4 + 0.25 * aim.quiet_loud - 0.15 * aim.soft_sharp)), 2)
    arrow: Literal["none", "after"] = "after" if aim.calm_lively > 0.4 and aim.classical_modern > -0.5 else "none"
    buttons = Buttons(
        padding_block=block, padding_inline=inline, border=1 if aim.plain_ornate < -0.8 else 2, arrow=arrow,
        full_on_phones=aim.quiet_loud > 1.2, raised=aim.soft_sharp < -1 and aim.plain_ornate > 0,
    )  # fmt: skip
    size = "large" if block > 0.88 else "small" if block < 0.72 else "of the usual size"
    return {"buttons": buttons.model_dump()}, f"Buttons are {size}{', with an arrow that leads on' if arrow != 'none' else ''}."


def _pictures(asked: Asked) -> Made:
    aim = asked.aim
    photos = any(asset.renditions for asset in asked.site.assets)
    treatment, says = "natural", "Pictures stay as they are."
    if photos and asked.toss("treated") < 0.45:
        if aim.quiet_loud > 0.7:
            treatment, says = "duotone", "Photographs in two of the brand's colours: loud, and of one piece."
        elif aim.quiet_loud < -0.7 or aim.classical_modern < -1:
            treatment, says = "monochrome", "Photographs without colour, so that the brand's own stands alone."
        else:
            treatment, says = "tint", "Photographs with a tint of the brand, so that they belong together."
    wide = aim.classical_modern + asked.toss("ratio") - 0.5
    ratio: Literal["16:9", "3:2", "4:3", "1:1"] = (
        "16:9" if wide > 1 else "1:1" if wide > 0.3 else "3:2" if wide > -0.8 else "4:3"
    )
    kinds = {"card": PictureKind(ratio=ratio).model_dump()}
    return {"pictures": treatment, "grain": 0.0, "picture_kinds": kinds}, f"{says} On cards they are {ratio}."


def _motif(asked: Asked) -> Made:
    aim, identity = asked.aim, asked.site.identity
    if aim.plain_ornate < -1.2 or (aim.plain_ornate < 0 and aim.quiet_loud < -1):
        return {"motif": Motif().model_dump()}, "No motif: plain."
    soft = (("arch", "for soft"), ("wave", "for soft and lively"), ("ring", "for soft and calm"))
    sharp = (("ray", "for sharp"), ("weave", "for sharp and ornate"))
    shapes = [*(soft if aim.soft_sharp <= 0 else sharp), ("initial", "which is the brand's own letter")]
    if symbol(identity):
        shapes = [("symbol", "which is the brand's own"), *shapes]
    used = [one["motif"]["shape"] for one in asked.had("motif")]
    shape, why = min(shapes, key=lambda one: (used.count(one[0]), asked.toss("motif", one[0])))
    places = _PLACES[int(asked.toss("places") * len(_PLACES)) % len(_PLACES)]
    strength = "strong" if aim.quiet_loud > 1 else "quiet" if aim.quiet_loud < -0.5 else "clear"
    motif = Motif.model_validate({"shape": shape, "places": places, "strength": strength, "seed": asked.number % 100})
    return {"motif": motif.model_dump()}, f"A motif, the {shape}, {why}."


def _motion(asked: Asked) -> Made:
    lively = asked.aim.calm_lively
    motion = "lively" if lively > 1 else "calm" if lively > -0.5 else "none"
    return {"motion": motion}, {"lively": "Sections come in as one scrolls: lively.", "calm": "A little motion, which is calm.",
        "none": "Nothing moves: very calm."}[motion]  # fmt: skip


def beats(asked: Asked) -> Iterator[Beat]:
    """Rhythms for an aim, the best first: as loud as it is, and none that the last proposals had while there are others."""
    used = [one["rhythm"] for one in asked.had("rhythm")]
    yield from sorted(
        BEATS,
        key=lambda beat: (
            abs(beat.loud - asked.aim.quiet_loud) + 1.5 * used.count(beat.rhythm.model_dump()) + asked.toss(beat.id)
        ),
    )


def rhythm(beat: Beat) -> Proposed:
    return Proposed("rhythm", {"rhythm": beat.rhythm.model_dump()}, f"The start page {beat.says}.")


def _rhythm(asked: Asked) -> Made:
    one = rhythm(next(beats(asked)))
    return dict(one.values), one.says


def _frame(asked: Asked, kind: Literal["header", "footer"]) -> Made:
    layouts, aim = CATALOGUE[kind].layouts, asked.aim
    used = [one[kind] for one in asked.had(kind)]

    def suits(name: str) -> float:
        leaning = float(sum(lean * getattr(aim, axis) for axis, lean in layouts[name].leans.items()))
        return 0.5 * leaning - 0.4 * used.count(name) + asked.toss(kind, name)

    chosen = max(layouts, key=suits)
    return {kind: chosen}, layouts[chosen].about


def _layouts(asked: Asked) -> Made:
    return {"arrangement": asked.number}, "Compositions for what each section holds, and none like the one before it."


def _order(asked: Asked) -> Made:
    """What is told first, as far as there is something of it to tell."""
    aim, identity = asked.aim, asked.site.identity
    kinds = {one.kind for one in asked.site.pages[0].sections}
    options: list[tuple[float, SectionOrder, str]] = [
        (0.3, "usual", "Sections stand as is usual for such a site."),
        (0.25 * aim.calm_lively, "offers", "What there is to have comes first, which is lively."),
    ]
    if kinds & {"figures", "quotes", "logos"} or identity.proof:
        options.append((0.3 * aim.quiet_loud, "proof", "What shows that it is good comes first, which is sure of itself."))
    if identity.audience:
        options.append(
            (-0.25 * aim.quiet_loud - 0.1 * aim.soft_sharp, "people", "Whom it is for comes first, which is gentle.")
        )
    used = [one["order"] for one in asked.had("order")]
    _, order, says = max(options, key=lambda one: one[0] - 0.35 * used.count(one[1]) + 0.5 * asked.toss("order", one[1]))
    return {"order": order}, says


_MAKERS: dict[StylePart, Callable[[Asked], Made]] = {
    "type": _type, "layouts": _layouts, "order": _order, "rhythm": _rhythm, "scale": _scale, "space": _space, "corners": _corners, "cards": _cards,
    "buttons": _buttons, "pictures": _pictures, "motif": _motif, "motion": _motion,
    "header": lambda asked: _frame(asked, "header"), "footer": lambda asked: _frame(asked, "footer"),
}  # fmt: skip
