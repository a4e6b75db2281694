"""Material: the client's own texts and pictures, which come before anything that is written or drawn for them."""

import re

from formulon.core.site.site import Asset
from formulon.core.system.documents.identity import ClientText, Identity, slug

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
    """The texts that are still to be placed. Offers that go by a text's name keep it for their cards."""

    def __init__(self, texts: list[ClientText]) -> None:
        self.texts = list(texts)
        self.used: set[int] = set()

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
