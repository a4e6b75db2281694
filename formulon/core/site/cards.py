"""Which slots of a section stand on a card of another ground: by its layout, and by the style of cards on the whole site."""

from formulon.core.site.model import Section
from formulon.core.system.choices import Choices

_SOLID = {("cards", "lead"): ("items/title", "items/text", "items/link")}


def on_card(section: Section, choices: Choices) -> tuple[str, ...]:
    """The slots, those of items without their number ("items/title")."""
    own = section.catalogue.layouts[section.layout].card
    if choices.cards == "solid":
        return own or _SOLID.get((section.kind, section.layout), ())
    return own


def card_count(section: Section, choices: Choices) -> int:
    """How many cards of another ground stand in a section."""
    slots = on_card(section, choices)
    if not slots:
        return 0
    return len(section.content.get("items", [])) if any(slot.startswith("items/") for slot in slots) else 1
