"""The brief: what is missing for the job, with what is done instead, and what is still open, as concrete questions."""

import re
from dataclasses import dataclass

from formulon.core.color.oklab_scalar import oklch
from formulon.core.color.srgb import from_hex
from formulon.core.system.documents.identity import BrandFace, Character, Identity
from formulon.core.system.documents.organisations import ORGANISATIONS
from formulon.core.type.library import SHIPPED

AXES: tuple[tuple[str, str, str], ...] = (
    ("calm_lively", "calm", "lively"),
    ("plain_ornate", "plain", "ornate"),
    ("classical_modern", "classical", "modern"),
    ("soft_sharp", "soft", "sharp"),
    ("quiet_loud", "quiet", "loud"),
)


@dataclass(frozen=True, slots=True)
class Missing:
    """Something that the job needs, and what Formulon does instead."""

    what: str
    instead: str


@dataclass(frozen=True, slots=True)
class Question:
    """An open question. `field` is where its answer goes, as a JSON Pointer of the identity; `kind` is how it is asked."""

    id: str
    text: str
    why: str
    field: str
    kind: str = "text"


def missing(identity: Identity) -> list[Missing]:
    """What a site needs and the identity does not hold, in plain words."""
    found: list[Missing] = []

    def add(lacks: bool, what: str, instead: str) -> None:
        if lacks:
            found.append(Missing(what, instead))

    roles: dict[str, BrandFace] = {face.role: face for face in identity.faces}
    add(not identity.colors, "No colours", "Pages are drawn in greys.")
    add(len(identity.colors) == 1, "Only one colour", "Its ramp and greys in its tint make up the rest.")
    add(not identity.marks, "No logo as SVG", "The name is set in the heading typeface.")
    add(
        bool(identity.marks) and not any(mark.meant_for in ("dark", "any") and _light(mark.svg) for mark in identity.marks),
        "No logo for dark grounds", "On dark grounds the one that is seen best stands, or the name is set in type.",
    )  # fmt: skip
    add(
        bool(identity.marks) and not any(m.kind == "symbol" for m in identity.marks),
        "No symbol by itself",
        "The site’s icon is a disc in the brand’s colours.",
    )
    for role, where in (("headings", "heading"), ("running text", "body")):
        face = roles.get(role)
        stands = identity.typefaces.heading if role == "headings" else identity.typefaces.body
        add(face is None, f"No {where} typeface named by the brand", f"{_family(stands)} out of the library stands in.")
        add(
            face is not None and not face.library, f"{face.family if face else ''} is not in the library",
            f"{_family(stands)} stands in for it on pages.",
        )  # fmt: skip
    add(not identity.strapline, "No strapline", "The first headline says what the brand does.")
    add(not identity.does, "Not said what the brand does", "A marked gap stands on the pages; preflight stops the release.")
    add(not identity.offers, "No offers", "Marked gaps stand where they belong; preflight stops the release.")
    add(
        not identity.contact.email and not identity.contact.phone,
        "No way to reach the brand",
        "Marked gaps stand on the contact page.",
    )
    add(not identity.pictures, "No pictures of its own", "Drawings in the brand’s colours stand in.")
    add(not identity.texts, "No texts of its own", "Pages are written from the brief’s sentences alone.")
    return found


def _light(svg: str) -> bool:
    """Whether some paint of a drawing is light."""
    paints = re.findall(r"(?:fill|stroke)=\"(#[0-9a-fA-F]{6})\"", svg)
    return any(oklch(from_hex(paint))[0] > 0.72 for paint in paints) or any(
        word in svg for word in ('"white"', '"#fff"', '"#FFF"')
    )


def _family(family_id: str) -> str:
    return SHIPPED[family_id].name


def open_questions(identity: Identity, left: list[str] | None = None) -> list[Question]:
    """What a good site needs to know and the brief does not say: asked one by one, the weightiest first. Questions in
    `left` are left open on purpose."""
    asked: list[Question] = []

    def ask(lacks: bool, key: str, text: str, why: str, field: str, kind: str = "text") -> None:
        if lacks and key not in (left or []):
            asked.append(Question(key, text, why, field, kind))

    name, contact = identity.name, identity.contact
    ask(
        len(identity.does) < 40,
        "does",
        f"What does {name} do, in a sentence that no other could say?",
        "It becomes the introduction and the search text.",
        "/does",
        "long",
    )
    ask(
        not identity.audience,
        "audience",
        "Who is it for, and what brings them?",
        "Without it, pages speak to nobody.",
        "/audience",
        "long",
    )
    ask(
        not identity.strapline,
        "strapline",
        "Is there a line that goes with the name?",
        "It is the first headline.",
        "/strapline",
    )
    ask(not identity.place, "place", "Where is it?", "People look for places by name.", "/place")
    thin = [index for index, offer in enumerate(identity.offers) if len(offer.text) < 20]
    ask(
        len(identity.offers) < 2,
        "offers",
        "What does it offer? Name two or more things.",
        "Each becomes a card and may get a page.",
        "/offers/-",
        "offer",
    )
    if thin:
        offer = identity.offers[thin[0]]
        ask(
            True,
            f"offer-{thin[0]}-{offer.name[:20]}",
            f"What is “{offer.name}”, for whom, and what does one get?",
            "A name alone is a gap on the page.",
            f"/offers/{thin[0]}/text",
            "long",
        )
    ask(
        not identity.proof,
        "proof",
        "What shows that it is good? A number, a year, a certificate, a customer who may be named.",
        "Facts convince; praise does not.",
        "/proof/-",
    )
    ask(
        not contact.email and not contact.phone,
        "reach",
        "How do people reach it? An email address or a number.",
        "Every page leads there.",
        "/contact/email",
    )
    ask(not contact.hours, "hours", "When is it open?", "The most asked question of a visitor.", "/contact/hours")
    ask(
        not identity.organisation,
        "organisation",
        "What kind of organisation is it?",
        "It brings the questions and pages that are usual there.",
        "/organisation",
        "organisation",
    )
    kind = ORGANISATIONS.get(identity.organisation)
    if kind:
        said = " ".join(
            (
                identity.does,
                identity.audience,
                *(o.text for o in identity.offers),
                *(t.text for t in identity.texts),
                *identity.proof,
            )
        )
        for index, question in enumerate(kind.questions):
            ask(
                len(said) < 1500,
                f"{kind.id}-{index}",
                question,
                f"Usual for {kind.name[:1].lower()}{kind.name[1:]}.",
                "/texts/-",
                "story",
            )
    undecided = sum(value is None for value in identity.character.model_dump().values())
    ask(
        undecided > 0,
        "character",
        f"What is its character? {_count(undecided)} of five axes {'is' if undecided == 1 else 'are'} open.",
        "It steers type, shape, rhythm and words.",
        "/character",
        "character",
    )
    return asked


def _count(number: int) -> str:
    return ("None", "One", "Two", "Three", "Four", "All")[number]


def described(character: Character) -> str:
    """The character in words: "rather calm, very modern"."""
    words = []
    for key, first, second in AXES:
        value = getattr(character, key)
        if value:
            words.append(f"{'very' if abs(value) == 2 else 'rather'} {second if value > 0 else first}")
    return ", ".join(words)
