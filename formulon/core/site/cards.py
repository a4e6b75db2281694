"""What of a section stands on cards of other grounds: by its layout, and by the style of cards on the whole site."""

from collections import Counter
from collections.abc import Mapping

from formulon.core.site.kind import card_ground
from formulon.core.site.layout import Region
from formulon.core.site.site import Section
from formulon.core.system.documents.choices import Choices

Grounds = tuple[str, ...]


def region_ground(section: Section, region: Region) -> str:
    """The ground of a region that is a card: that of its declaration, unless the section has it already."""
    return region.ground if region.ground and region.ground != section.ground else card_ground(section.ground)


def item_grounds(section: Section, choices: Choices) -> Grounds:
    """The grounds of a section's items, one after the other and from the first again; empty where they stand on the section's."""
    found = section.declared.collection
    if found is None or not (found[2].card == "solid" or (found[2].card == "site" and choices.cards == "solid")):
        return ()
    others = tuple(one for one in found[2].grounds if one != section.ground)
    return others or (card_ground(section.ground),)


def on_card(section: Section, choices: Choices) -> Mapping[str, Grounds]:
    """The slots that stand on cards, those of items without their number ("items/title"), with the grounds of their cards."""
    layout = section.declared
    made: dict[str, Grounds] = {}
    for region in layout.regions.values():
        if region.card:
            slots = layout.item_slots if region.items else region.slots
            made |= dict.fromkeys(slots, (region_ground(section, region),))
    grounds = item_grounds(section, choices)
    return made | dict.fromkeys(layout.item_slots, grounds) if grounds else made


def ground_at(section: Section, cards: Mapping[str, Grounds], path: str) -> str:
    """The ground behind a slot by its path ("items/2/title"); `cards` as `on_card` gives them."""
    name, *inner = path.split("/")
    if not inner:
        return cards[name][0] if name in cards else section.ground
    grounds = cards.get(f"{name}/{inner[-1]}")
    return grounds[int(inner[0]) % len(grounds)] if grounds else section.ground


def card_counts(section: Section, choices: Choices) -> Counter[str]:
    """How many cards of each other ground stand in a section."""
    layout = section.declared
    counts = Counter(
        region_ground(section, region) for region in layout.regions.values() if region.card and _drawn(section, region)
    )
    grounds = item_grounds(section, choices)
    if grounds and layout.collection:
        items = section.content.get(layout.collection[0], [])
        counts.update(grounds[index % len(grounds)] for index in range(len(items)))
    return counts


def _drawn(section: Section, region: Region) -> bool:
    """Whether there is anything in a region: a part of the kind's own, or a slot that holds something."""
    slots = section.catalogue.slots
    return any(name not in slots or slots[name].of.filled(section.content.get(name)) for name in region.slots)
