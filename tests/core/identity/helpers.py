"""Short ways to look into readings."""

from typing import TypeVar

from formulon.core.identity.sightings import ColorSeen, Reading, Seen

S = TypeVar("S", bound=Seen)


def seen(reading: Reading, kind: type[S]) -> list[S]:
    """The sightings of one kind."""
    assert reading.problem == ""
    return [one for one in reading.sightings if isinstance(one, kind)]


def hexes(reading: Reading) -> list[str]:
    """The colours, each once, in order."""
    return list(dict.fromkeys(one.hex for one in seen(reading, ColorSeen)))
