"""Which slots of a section stand on a card of another ground: by its layout, and by the style of cards on the whole site."""

from formulon.core.site.site import Section
from formulon.core.system.documents.choices import Choices


def on_card(section: Section, choices: Choices) -> tuple[str, ...]:
    """The slots, those of items without their number ("items/title")."""
    layout = section.catalogue.layouts[section.layout]
    return layout.solid + (layout.styled if choices.cards == "solid" else ())


def card_count(section: Section, choices: Choices) -> int:
    """How many cards of another ground stand in a section."""
    layout = section.catalogue.layouts[section.layout]
    slots = on_card(section, choices)
    own = sum(region.card for region in layout.regions.values())
    if layout.collection and any("/" in slot for slot in slots):
        own += len(section.content.get(layout.collection[0], []))
    return own
