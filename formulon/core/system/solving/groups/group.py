"""Role groups: the parts of a ground that are chosen together. A group knows its parts, its solving, its pairs and its ways
out."""

from abc import ABC, abstractmethod
from collections.abc import Iterator, Mapping

from formulon.core.system.parts import CHECKS, Check, Part, of_group
from formulon.core.system.solving import ways
from formulon.core.system.solving.scene import Made, Scene, Solved
from formulon.core.system.solving.search import Swatch
from formulon.core.system.solving.settings import ColorSettings
from formulon.core.system.system import Alternative, Conflict, Pair


class Group(ABC):
    """A role group, known by the name under which the table of parts has it."""

    def __init__(self, name: str) -> None:
        self.parts: Mapping[str, Part] = {part.path: part for part in of_group(name)}
        self.checks: tuple[Check, ...] = tuple(one for one in CHECKS.values() if one.front in self.parts)

    @abstractmethod
    def solve(self, scene: Scene, made: Solved) -> Iterator[tuple[str, Made]]:
        """Every part of the group. `made` holds the groups before it."""

    def together(self, scene: Scene) -> Mapping[str, Swatch]:
        """The parts that constrain one another through a fill at rest, without the rest of the group."""
        return {}

    def ways_out(
        self, scene: Scene, made: Solved, check: Check, pair: Pair, hand: str, settings: ColorSettings
    ) -> tuple[Alternative, ...]:
        """The smallest changes after which a failed pair passes; `hand` is the part of it that was set by hand."""
        return ways.out(self, scene, made, ways.Failed(check, pair, hand), settings)

    def conflicts(self, scene: Scene, made: Solved, settings: ColorSettings) -> Iterator[Conflict]:
        """What cannot be met besides its pairs."""
        return iter(())
