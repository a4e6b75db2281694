"""Facts in words: how to reach the brand, its hours, its strapline; and what the grammars of statements find, as sightings."""

import re

from formulon.core.identity.sightings import MeasureSeen, RuleKind, RuleSeen, Sighting, TypefaceSeen, WordField, WordSeen
from formulon.core.identity.statements import readable
from formulon.core.identity.statements.figures import figures_told
from formulon.core.identity.statements.kept import rules_kept
from formulon.core.identity.statements.marks import sizes_stated, spaces_stated
from formulon.core.identity.statements.networks import handles
from formulon.core.identity.statements.offers import offers_told
from formulon.core.identity.statements.pairs import pairs_stated
from formulon.core.identity.statements.proportions import proportions_stated
from formulon.core.identity.statements.reaching import addresses_told, phones_told
from formulon.core.identity.statements.shape import shapes_stated
from formulon.core.identity.statements.told import hours_told, is_seasonal
from formulon.core.identity.statements.tone import tones_stated
from formulon.core.identity.statements.typefaces import typefaces_stated
from formulon.core.identity.statements.words import words_stated

_MOST_RADIUS = 80.0  # px; what is rounder is no rule for corners
_EMAIL = re.compile(r"(?<![\w.])[\w.+-]{1,64}@[\w-]+(?:\.[\w-]+)*\.[^\W\d_]{2,}")
_LABELS: dict[WordField, str] = {
    "name": r"(?:brand |business |company |organisation |firmen)?name",
    "strapline": r"strap ?line|tag ?line|slogan|claim|motto|leitspruch",
    "does": r"what (?:we|it) do(?:es)?|about us in short|in short|was wir tun|kurz gesagt",
    "audience": r"for whom|audience|our (?:visitors|customers|guests|clients)|für wen|zielgruppe",
    "place": r"where|place|location|ort|wo",
    "address": r"address|find us|visit us|adresse|anschrift",
    "phone": r"(?:tele)?phone|tel\.?|call us|call|telefon|fon|anruf",
    "email": r"e-?mail|write to us|mail",
    "hours": r"(?:opening )?(?:hours|times)|open|(?:öffnungs|sprech)zeiten|geöffnet",
    "language": r"language|sprache",
}
_LABELLED = {key: re.compile(rf"^\s*(?:{words})\s*[:–—]\s*(\S.{{1,298}})$", re.IGNORECASE) for key, words in _LABELS.items()}


def facts(text: str, place: str, sure: float = 0.8) -> list[WordSeen]:
    """What lines with a label say ("Opening hours: …"), and addresses and numbers wherever they stand."""
    text = readable(text)
    made: dict[tuple[str, str], WordSeen] = {}

    def add(key: WordField, value: str, how: float) -> None:
        value = " ".join(value.split()).strip(" .;") if key != "strapline" else " ".join(value.split()).strip(" “”\"'")
        if value and not any(one.field == key and one.text == value for one in made.values()):
            made[(key, value)] = WordSeen(field=key, text=value[:600], place=place, sure=how)

    for line in text.splitlines():
        for key, pattern in _LABELLED.items():
            found = pattern.match(line)
            if not found or (key == "email" and "@" not in found[1]):
                continue
            if key == "phone":
                for phone in phones_told(line)[:1]:
                    add(key, phone.value, sure + 0.1)
            else:
                part = _EMAIL.search(found[1]) if key == "email" else None
                add(key, part[0] if part else found[1], sure + 0.1)
    for one in handles(text):
        add("social", one, sure - 0.1)
    for hours in hours_told(text):
        add("season" if is_seasonal(hours.value) else "hours", hours.value, sure - 0.1)
    for address in addresses_told(text):
        add("address", address.value, sure - 0.1)
    for offer in offers_told(text):
        add("offer", offer.value, sure - 0.1)
    for figure in figures_told(text):
        add("proof", figure.value, sure - 0.1)
    for match in _EMAIL.finditer(text):
        add("email", match[0].rstrip("."), sure)
    for phone in phones_told(text):
        add("phone", phone.value, sure - 0.2)
    return list(made.values())


def is_labelled(line: str) -> bool:
    """Whether a line only holds a fact after its label, and so is no text."""
    return len(line) < 160 and any(pattern.match(line) for pattern in _LABELLED.values())


def rules(text: str, place: str) -> list[Sighting]:
    """What a text states in words by the grammars of `statements`: rules that can be held, corners, typefaces with their use, tone."""
    made: list[Sighting] = []
    text = readable(text)

    def rule(kind: RuleKind, said: str, values: dict[str, str | float | list[str]], sure: float) -> None:
        made.append(RuleSeen(rule=kind, text=said, values=values, place=place, sure=sure))

    for size in sizes_stated(text):
        rule("least size", size.text, {"px": size.px, "side": size.side, "mark": size.mark}, 0.8)
    for space in spaces_stated(text):
        rule("clear space", space.text, space.space, 0.7)
    for pair in pairs_stated(text):
        rule("wanted pair" if pair.wanted else "forbidden pair", pair.text, {"ink": pair.ink, "ground": pair.ground}, 0.8)
    for one in proportions_stated(text):
        rule("proportions", one.text, dict(one.shares), 0.8)
    for words in words_stated(text):
        if words.use:
            rule("words to use", words.text, {"words": list(words.use)}, 0.85)
        if words.avoid:
            rule("words to avoid", words.text, {"words": list(words.avoid)}, 0.85)
    shapes = shapes_stated(text)
    for shape in shapes:
        px = shape.values.get("radius")
        if isinstance(px, float) and px <= _MOST_RADIUS:
            made.append(MeasureSeen(measure="radius", px=px, value=shape.text[:120], name="corners", place=place, sure=0.9))
        others = {key: value for key, value in shape.values.items() if key != "radius"}
        if others:
            rule("buttons and links", shape.text, others, 0.85)
    for tone in tones_stated(text):
        rule("tone", tone.text, {"wanted": list(tone.wanted), "unwanted": list(tone.unwanted)}, 0.75)
    understood = [one.text for one in made if isinstance(one, RuleSeen)] + [shape.text for shape in shapes]
    for kept in rules_kept(text, understood):
        rule("as said", kept.text, {"about": kept.about}, 0.6)
    for face in typefaces_stated(text):
        made.append(TypefaceSeen(family=face.family, use=face.use, source="document", place=place, sure=0.8))
    return made
