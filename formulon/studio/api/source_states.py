"""The facts of a brand's files that an asker does not hold yet: while files are read, little of hundreds of facts changes."""

import hashlib

from formulon.core.identity.evidence import Fact
from formulon.studio.services.kept import Kept

MOST = 32  # states of all brands
_known: Kept[tuple[str, str], dict[str, str]] = Kept(MOST)


def told(brand: str, facts: list[Fact], held: str) -> tuple[str, str, list[Fact]]:
    """The name of the state that facts are in, the state that the answer is laid over, and the facts to answer: all where the state
    that is held is not known here."""
    marks = {fact.id: hashlib.sha256(fact.model_dump_json().encode()).hexdigest()[:16] for fact in facts}
    state = hashlib.sha256(" ".join(marks.values()).encode()).hexdigest()[:16]
    was = _known.get((brand, held))
    _known[brand, state] = marks
    if was is None:
        return state, "", facts
    return state, held, [fact for fact in facts if was.get(fact.id) != marks[fact.id]]
