"""A block: something that a page tells, before it has a composition: the kinds that could show it, and what it says."""

from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import Any

from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.planning.arrange import Arrangement, Pick, every, holds, suited


@dataclass(frozen=True, slots=True)
class Block:
    """What is told under which name, in which kinds, with headlines to choose from. `pictured` says that pictures may stand in it;
    without, it gets no layout that shows any. `only` and `but` name layouts. `source` is where the client's words come from, `menu`
    what the section is called in the menu of a site of one page, `bonus` what speaks for it where there are several to choose from. What `goes_on` is the rest of a list that was too long for one section: it
    stands under it in the same composition, on the same ground and without a headline."""

    name: str
    kinds: tuple[str, ...]
    content: dict[str, Any]
    headings: tuple[str, ...] = ()
    pictured: bool = True
    only: tuple[str, ...] = ()
    but: tuple[str, ...] = ()
    source: str = ""
    menu: str = ""
    bonus: float = 0.0
    goes_on: bool = False
    tells: tuple[str, ...] = field(default=())  # topics that need not be told again

    def picks(self) -> list[Pick]:
        """The compositions that can show it: all that it says, and nothing that it lacks."""
        content = ({"heading": "-"} if self.headings else {}) | self.content
        found = [one for one in every(*self.kinds, but=self.but) if not self.only or one[1] in self.only]
        return [one for one in found if self._holds(one, content)]

    def _holds(self, one: Pick, content: dict[str, Any]) -> bool:
        kind = CATALOGUE[one[0]]
        layout = kind.layouts[one[1]]
        held = content if "heading" in kind.slots else {name: value for name, value in content.items() if name != "heading"}
        if not holds(kind, layout, held):
            return False
        return self.pictured or not any(
            kind.slot(path).of.picture and path not in self._shown() for path in layout.drawn if kind.has(path)
        )

    def _shown(self) -> set[str]:
        """The slots of pictures that the content fills by itself."""
        made = {name for name, value in self.content.items() if value}
        for name, value in self.content.items():
            if isinstance(value, list):
                made |= {f"{name}/{part}" for item in value for part in item if all(part in other for other in value)}
        return made


def ranked(blocks: Sequence[Block], arrangement: Arrangement, before: Sequence[Pick]) -> list[tuple[Block, Pick]]:
    """The compositions of some blocks of which one is wanted, the best first."""
    scored = [
        (arrangement.score(one, before) + block.bonus, one, block) for block in blocks for one in block.picks()
    ]  # fmt: skip
    return [(block, one) for _, one, block in sorted(scored, key=lambda made: (made[0], made[1]), reverse=True)]


def filled(kind: str, content: dict[str, Any]) -> dict[str, Any]:
    """A content as a kind takes it, without what is empty."""
    return {name: value for name, value in suited(kind, content).items() if value not in ("", [], {}, None)}
