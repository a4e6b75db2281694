"""Material: the client's own texts and pictures, which come before anything that is written or drawn for them."""

import re
from collections import defaultdict

from formulon.core.site.site import Asset
from formulon.core.system.documents.identity import ClientText, Identity, slug
from formulon.core.system.documents.passages import Passage, PassageKind, passages

_EMPTY = {"the", "a", "an", "of", "and", "our", "us", "we", "to", "in", "at", "for", "your", "it", "is", "what", "how", "with"}


def words_of(text: str) -> set[str]:
    """The words of a heading that carry its meaning, in their singular."""
    return {word.removesuffix("s") for word in re.findall(r"[^\W\d_]{2,}", text.casefold())} - _EMPTY


# Names that share no more than half of their words mean two things: “Visit” is not “School visits”.
NEAR = 0.5


def nearness(first: str, second: str) -> float:
    """How much of their words two names share, 0–1; 1 where they are written alike."""
    if " ".join(first.casefold().split()) == " ".join(second.casefold().split()):
        return 1.0
    one, other = words_of(first), words_of(second)
    return len(one & other) / len(one | other) if one | other else 0.0


def page_id(name: str) -> str:
    """The id, and file name, of a page by its name."""
    return slug(name, "page")


def chosen_pictures(identity: Identity, assets: list[Asset]) -> list[Asset]:
    """The pictures that the identity names, in its order and with its words; all of them where it names none."""
    by_id = {asset.id: asset for asset in assets}
    chosen = [
        by_id[one.asset].model_copy(update={"name": one.alt or by_id[one.asset].name})
        for one in identity.pictures
        if one.asset in by_id
    ]
    return chosen or assets


class Material:
    """The texts that are still to be placed: plain words by heading, and passages of a kind. Offers that go by a text's name keep
    it for their cards."""

    def __init__(self, texts: list[ClientText], language: str = "en") -> None:
        self.texts: list[ClientText] = []
        self.typed: dict[PassageKind, list[Passage]] = defaultdict(list)
        for text in texts:
            for one in passages(text, language):
                if one.kind == "words":
                    self.texts.append(text.model_copy(update={"text": one.text}))
                else:
                    self.typed[one.kind].append(one)
        self.used: set[int] = set()

    def all(self, kind: PassageKind) -> list[Passage]:
        """The passages of a kind, in the order of the texts."""
        return self.typed.get(kind, [])

    def about(self, name: str) -> ClientText | None:
        """The text whose heading says most nearly what the name says; taken, so that it is not placed twice."""
        best = max(range(len(self.texts)), key=lambda index: (nearness(name, self.texts[index].heading), -index), default=-1)
        if best < 0 or nearness(name, self.texts[best].heading) <= NEAR:
            return None
        self.used.add(best)
        return self.texts[best]

    def take(self, *names: str) -> ClientText | None:
        """The text for a page or section of one of these names, not yet taken."""
        left = [index for index in range(len(self.texts)) if index not in self.used]
        scored = [(nearness(name, self.texts[index].heading), -index) for name in names for index in left]
        if not scored or max(scored)[0] <= NEAR:
            return None
        index = -max(scored)[1]
        self.used.add(index)
        return self.texts[index]

    def left(self) -> list[ClientText]:
        return [text for index, text in enumerate(self.texts) if index not in self.used]

    def claim(self, text: ClientText) -> bool:
        """Takes a text that is left; False where something else has taken it meanwhile."""
        index = next((index for index, one in enumerate(self.texts) if one is text), None)
        if index is None or index in self.used:
            return False
        self.used.add(index)
        return True
