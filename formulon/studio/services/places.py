"""Places in documents that an entry of the history touches, and whether two entries touch the same."""

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Any

Tokens = tuple[str, ...]
_MOVES = ("add", "remove", "move", "copy")


@dataclass(frozen=True, slots=True)
class Touched:
    """A place in a document by its pointer (RFC 6901); `whole` where a list is changed in its order or length, after which
    pointers into it mean something else, or where a document is made or taken away."""

    document: str
    tokens: Tokens
    whole: bool = False

    def meets(self, other: "Touched") -> bool:
        """Whether one lies in the other."""
        shared = min(len(self.tokens), len(other.tokens))
        return self.document == other.document and self.tokens[:shared] == other.tokens[:shared]


def places(edits: Iterable[dict[str, Any]]) -> list[Touched]:
    """The places that the parts of an entry touch."""
    made: list[Touched] = []
    for part in edits:
        if "created" in part or "removed" in part:
            made.append(Touched(part["document"], (), True))
            continue
        for operation in (*part["forward"], *part["backward"]):
            for pointer in filter(None, (operation.get("path"), operation.get("from"))):
                tokens = tuple(pointer.split("/")[1:])
                listed = operation["op"] in _MOVES and bool(tokens) and (tokens[-1].isdigit() or tokens[-1] == "-")
                made.append(Touched(part["document"], tokens[:-1] if listed else tokens, listed))
    return made


def meeting(mine: list[Touched], theirs: list[Touched]) -> list[tuple[Touched, Touched]]:
    """The pairs of places that meet."""
    return [(one, two) for one in mine for two in theirs if one.meets(two)]
