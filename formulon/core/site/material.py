"""Material: the client's own texts and pictures, which come before anything that is written or drawn for them."""

import re

from formulon.core.site.model import Asset
from formulon.core.system.identity import ClientText, Identity, slug

_EMPTY = {"the", "a", "an", "of", "and", "our", "us", "we", "to", "in", "at", "for", "your", "it", "is", "what", "how", "with"}


def words_of(text: str) -> set[str]:
    """The words of a heading that carry its meaning, in their singular."""
    return {word.removesuffix("s") for word in re.findall(r"[^\W\d_]{2,}", text.casefold())} - _EMPTY


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
        wanted = words_of(name)
        scored = [
            (len(wanted & words_of(text.heading)) / max(1, len(wanted | words_of(text.heading))), -index)
            for index, text in enumerate(self.texts)
        ]
        if not scored or max(scored)[0] < 0.5:
            return None
        index = -max(scored)[1]
        self.used.add(index)
        return self.texts[index]

    def take(self, *names: str) -> ClientText | None:
        """The text for a page or section of one of these names."""
        for name in names:
            key = " ".join(name.casefold().split())
            for index, text in enumerate(self.texts):
                if index not in self.used and " ".join(text.heading.casefold().split()) == key:
                    self.used.add(index)
                    return text
        for name in names:
            wanted = words_of(name)
            for index, text in enumerate(self.texts):
                if index not in self.used and wanted and wanted <= words_of(text.heading):
                    self.used.add(index)
                    return text
        return None

    def left(self) -> list[ClientText]:
        return [text for index, text in enumerate(self.texts) if index not in self.used]
