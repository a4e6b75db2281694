"""A style proposal: a whole style at once, part by part, each with its reason, and what of it may change.

A part is a few values of the choices or of the identity that are decided together. It is free to be proposed while it
is as it came or as the last proposal left it; what a designer has set by hand, settled, or what the brand's own files say, stays.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Choices, StylePart
from formulon.core.system.documents.identity import Identity
from formulon.core.type.alike import defaults


@dataclass(frozen=True, slots=True)
class Part:
    """A part of a style: what it is called, the values that it holds, as paths of a document, and how much it
    tells one style from another, 0–1 (common practice: type, colour and composition are seen first)."""

    id: StylePart
    name: str
    paths: tuple[str, ...]
    tells: float
    document: str = "choices"


PARTS: dict[StylePart, Part] = {
    one.id: one
    for one in (
        Part("type", "Typefaces", ("typefaces",), 1.0, "identity"),
        Part("layouts", "Layouts", ("arrangement",), 1.0),
        Part("order", "Order of sections", ("order",), 0.5),
        Part("rhythm", "Rhythm of grounds", ("rhythm",), 0.9),
        Part("scale", "Type scale", ("scale",), 0.6),
        Part("space", "Density", ("density",), 0.5),
        Part("corners", "Corners", ("radius", "corners"), 0.5),
        Part("cards", "Cards and shadows", ("cards", "elevation"), 0.4),
        Part("buttons", "Buttons", ("buttons",), 0.4),
        Part("pictures", "Pictures", ("pictures", "grain", "picture_kinds"), 0.5),
        Part("motif", "Motif", ("motif",), 0.4),
        Part("header", "Header", ("header",), 0.4),
        Part("footer", "Footer", ("footer",), 0.3),
        Part("motion", "Motion", ("motion",), 0.1),
    )
}
Values = Mapping[str, Any]


@dataclass(frozen=True, slots=True)
class Proposed:
    """One part as proposed: its values by path, and why in a sentence."""

    part: StylePart
    values: Values
    says: str


@dataclass(frozen=True, slots=True)
class StyleProposal:
    """A whole style. `number` counts from 1; `name` says in a few words what it is; a part that is not among `parts` stays as it is."""

    number: int
    name: str
    parts: tuple[Proposed, ...]

    def part(self, part: StylePart) -> Proposed | None:
        return next((one for one in self.parts if one.part == part), None)


def values_of(site: Site, part: StylePart) -> dict[str, Any]:
    """The values of a part as they are."""
    one = PARTS[part]
    if one.document == "identity":
        return {"typefaces": site.identity.typefaces.model_dump()}
    body = site.choices.model_dump()
    return {path: body[path] for path in one.paths}


def as_it_came(site: Site, part: StylePart) -> dict[str, Any]:
    """The values of a part where nobody has decided anything."""
    one = PARTS[part]
    if one.document == "identity":
        heading, text = defaults(site.identity.language, site.identity.name)
        return {"typefaces": {"heading": heading, "body": text, "third": ""}}
    body = Choices().model_dump()
    return {path: body[path] for path in one.paths}


def decided(site: Site, part: StylePart) -> str:
    """Why a part stays as it is; empty where it is free to be proposed."""
    if part in site.choices.settled:
        return "You have settled it."
    if part == "type" and named_faces(site.identity):
        return "The brand names its typefaces."
    taken = site.choices.taken.get(part)
    now = values_of(site, part)
    if taken is not None:
        return "" if taken == now else "It was changed by hand."
    return "" if as_it_came(site, part) == now else "It was set by hand."


def still_as_it_came(site: Site) -> list[Part]:
    """The parts that nobody has decided. How much of each is seen on the pages is in seen.py."""
    came = [one for one in PARTS.values() if one.id not in site.choices.settled and one.id not in site.choices.taken]
    return [one for one in came if not decided(site, one.id)]


def named_faces(identity: Identity) -> bool:
    """Whether the brand says in which families its headings or its running text are set, and they are at hand."""
    return any(face.role in ("headings", "running text") and face.library for face in identity.faces)
