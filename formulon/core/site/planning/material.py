"""Material: the client's own texts and pictures, which come before anything that is written or drawn for them."""

import re
from collections import defaultdict
from collections.abc import Mapping
from dataclasses import replace

from formulon.core.site.site import Asset
from formulon.core.system.documents.identity import ClientText, Identity, slug
from formulon.core.system.documents.passages import Day, Item, Passage, PassageKind, day_of, passages

_ANYWHERE = ("quotes", "hours")  # what others say convinces elsewhere, and hours are the brand's, whatever file they are in
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


def once(kind: str, found: list[Passage]) -> list[Passage]:
    """The passages of a kind without items that an earlier one has, as where a sentence says once more what a list does; two that are
    alike in one list are two."""
    known: list[Item] = []
    made = []
    for one in found:
        left = tuple(item for item in one.items if not any(_same(kind, item, other) for other in known))
        known += left
        if left:
            made.append(one if len(left) == len(one.items) else replace(one, items=left))
    return made


def _same(kind: str, one: Item, other: Item) -> bool:
    """Whether two items of a kind say the same."""

    def alike(*keys: str) -> bool:
        return all(_plain(one.get(key, "")) == _plain(other.get(key, "")) for key in keys)

    if kind == "people":
        return alike("name")
    if kind == "quotes":
        return alike("text")
    if kind == "prices":
        return alike("title", "price")
    if kind == "dates":
        return alike("when") and nearness(one["what"], other["what"]) >= NEAR
    return kind == "moments" and alike("when") and nearness(one["title"], other["title"]) >= NEAR


def _plain(text: str) -> str:
    return " ".join(re.findall(r"[^\W_]+", text.casefold()))


def in_time(kind: str, found: list[Passage], language: str) -> list[Passage]:
    """Passages of years, and of days with their year, as one in the order of time where each of them goes by it; others as they are."""
    if kind not in ("moments", "dates") or len(found) < 2:
        return found
    timed: list[tuple[Day, Item]] = []
    for one in found:
        days = [day for item in one.items if (day := _day(kind, item["when"], language))]
        if len(days) < len(one.items) or days != sorted(days):
            return found
        timed += zip(days, one.items, strict=True)
    items = tuple(item for _, item in sorted(timed, key=lambda pair: pair[0]))
    return [replace(found[0], heading=next((one.heading for one in found if one.heading), ""), items=items)]


def _day(kind: str, when: str, language: str) -> Day | None:
    return (int(when[:4]), 0, 0) if kind == "moments" else day_of(when, language)


class Material:
    """The texts that are still to be placed: plain words by heading, and passages of a kind. Offers that go by a text's name keep
    it for their cards."""

    def __init__(self, texts: list[ClientText], language: str = "en") -> None:
        self.language = language
        self.texts: list[ClientText] = []
        self.typed: dict[PassageKind, list[Passage]] = defaultdict(list)
        for text in texts:
            for one in passages(text, language):
                if one.kind == "words":
                    self.texts.append(text.model_copy(update={"text": one.text}))
                else:
                    self.typed[one.kind].append(one)
        self.typed = defaultdict(list, {kind: once(kind, found) for kind, found in self.typed.items()})
        self.used: set[int] = set()
        self.homes: dict[str, str] = {}  # the page, by its key, that tells all of a file
        self.common: dict[str, str] = {}  # the page that tells what of a topic is in no such file

    def all(self, kind: PassageKind, page: str = "") -> list[Passage]:
        """The passages of a kind, in the order of the texts; for a page those that it tells, in one where they go by time."""
        found = self.typed.get(kind, [])
        if not page:
            return found
        return in_time(kind, [one for one in found if self.told_on(one.source, kind, page)], self.language)

    def told_on(self, source: str, topic: str, page: str) -> bool:
        """Whether a page tells a topic of a file."""
        home = self.homes.get(source) if topic not in _ANYWHERE else None
        return home == page if home else self.common.get(topic, page) == page

    def place(self, names: Mapping[str, str]) -> dict[str, list[str]]:
        """Gives every file that is called as a page is, by its name or its first heading, to that page, as far as there is enough
        in it for a page: the topics that each tells, in the order of its texts. `names` are those of pages by key."""
        heads: dict[str, str] = {}
        for text in self.texts:
            heads.setdefault(text.source, text.heading)
        for one in (one for found in self.typed.values() for one in found):
            heads.setdefault(one.source, one.heading)
        for source, heading in heads.items():
            stem = re.sub(r"[-_]+", " ", source.rpartition("/")[2].partition(".")[0])
            near = {key: max(nearness(name, heading), nearness(name, stem)) for key, name in names.items()}
            best = max(near, key=lambda key: near[key], default="")
            if source and best and near[best] > NEAR:
                self.homes[source] = best
        told: dict[str, list[str]] = {}
        for kind, found in self.typed.items():
            for one in found:
                if one.source in self.homes and kind not in _ANYWHERE:
                    told.setdefault(self.homes[one.source], []).append(kind)
        for text in self.texts:
            if text.source in self.homes:
                told.setdefault(self.homes[text.source], []).append("stories")
        return {key: list(dict.fromkeys(topics)) for key, topics in told.items()}

    def amount(self, page: str) -> float:
        """How much the files of a page tell: two is enough for a page of its own."""
        items = sum(
            len(one.items) for kind, found in self.typed.items() for one in found
            if kind not in _ANYWHERE and self.homes.get(one.source) == page
        )  # fmt: skip
        return 0.5 * items + sum(self.homes.get(text.source) == page for text in self.texts)

    def release(self, page: str) -> None:
        """Lets the files of a page go, which there is not after all."""
        self.homes = {source: home for source, home in self.homes.items() if home != page}

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
