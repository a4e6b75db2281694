"""Which composition a section gets: by what it holds, by the brand's character, and by what stands before it.

Layouts say to which ends of the axes of character they lean (`Layout.leans`). What a brand has decided is added up; what it has
not is told by its name, so that two brands that say nothing of themselves do not get one site. The same brand gets the same.
"""

import hashlib
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Any

from formulon.core.site.catalogue import CATALOGUE, layout_of
from formulon.core.site.kind import Kind
from formulon.core.site.layout import Layout
from formulon.core.site.signature import likeness, signature
from formulon.core.site.sketch import picture_share
from formulon.core.system.documents.identity import Character

Pick = tuple[str, str]  # kind and layout
PICTURE = "picture"  # what slots of pictures are called
_LEAN = 0.2  # of a step of leaning for a step of character: up to 0.8 for an axis
_CHANCE = 5.0  # as much as the name of the brand tells
_ALIKE = 6.0  # taken off for a composition just like the one before it on the page
_AGAIN = 3.0  # and for one that the site has already
_DRAWN = 1.0  # taken off for a section that is all picture where the brand has none of its own


@dataclass
class Arrangement:
    """The compositions of one site. `pictures` tells whether the brand has pictures of its own."""

    character: Character
    name: str
    pictures: bool = False
    used: list[Pick] = field(default_factory=list)

    def pick(self, among: Iterable[Pick], content: Mapping[str, Any], before: Sequence[Pick] = ()) -> Pick:
        """The composition that suits best of some that hold the content; it counts as used then. Raises ValueError where none
        does."""
        fitting = [one for one in among if holds(CATALOGUE[one[0]], CATALOGUE[one[0]].layouts[one[1]], content)]
        found = max(fitting, key=lambda one: (self.score(one, before), one))
        self.used.append(found)
        return found

    def score(self, one: Pick, before: Sequence[Pick] = ()) -> float:
        """How well a composition suits, the more the better."""
        kind, layout = CATALOGUE[one[0]], layout_of(CATALOGUE[one[0]], one[1])
        made = _LEAN * float(sum(lean * (getattr(self.character, axis) or 0) for axis, lean in layout.leans.items()))
        made += _CHANCE * chance(self.name, *one)
        made -= _AGAIN * (one in self.used)
        if not self.pictures:
            made -= _DRAWN * picture_share(kind, layout)
        for last in before[-1:]:
            made -= _ALIKE * likeness(signature(kind, one[1]), signature(CATALOGUE[last[0]], last[1]))
        return made


def every(*kinds: str, but: Iterable[str] = ()) -> list[Pick]:
    """The compositions of some kinds, without some layouts by name."""
    left_out = set(but)
    return [(kind, layout) for kind in kinds for layout in CATALOGUE[kind].layouts if layout not in left_out]


def holds(kind: Kind, layout: Layout, content: Mapping[str, Any]) -> bool:
    """Whether a layout shows all that a content has but for pictures, has nothing to show that the content lacks, and is of a kind
    that has room for it."""
    if not _has_room(kind, content):
        return False
    for name, slot in kind.slots.items():
        there = slot.of.filled(content.get(name))
        if there and name not in layout.drawn and not slot.of.picture:
            return False
        if not there and slot.spare and name in layout.drawn:
            return False
    return all(name in kind.slots or name == PICTURE or not value for name, value in content.items())


def _has_room(kind: Kind, content: Mapping[str, Any]) -> bool:
    """Whether no text is longer, and no list has more items, than the slots of a kind take."""
    for name, value in content.items():
        slot = kind.slots.get(name)
        if slot is None:
            continue
        if isinstance(value, str | list) and len(value) > slot.most:
            return False
        items = value if isinstance(value, list) else []
        if any(
            len(text) > slot.items[part].most
            for item in items
            for part, text in item.items()
            if part in slot.items and isinstance(text, str)
        ):
            return False
    return True


def suited(kind: str, content: Mapping[str, Any]) -> dict[str, Any]:
    """A content as a kind takes it: without pictures that it has no place for."""
    slots = CATALOGUE[kind].slots
    made = {name: value for name, value in content.items() if name in slots}
    for name, value in made.items():
        if slots[name].of.collection:
            made[name] = [{key: part for key, part in item.items() if key in slots[name].items} for item in value]
    return made


def chance(*parts: str) -> float:
    """A number from 0 to 1 that some words stand for, always the same."""
    return int.from_bytes(hashlib.blake2b("\n".join(parts).encode(), digest_size=4).digest(), "big") / 0xFFFFFFFF
