"""Topics: what there is to tell, out of the brief and of the client's own texts, and how much it weighs."""

import hashlib
import re
from collections.abc import Callable
from functools import cached_property
from typing import Any

from formulon.core.site.opening import rows_of
from formulon.core.site.phrases import page_named, phrases
from formulon.core.site.planning.material import NEAR, Material, chosen_pictures, nearness
from formulon.core.site.planning.plans import Topic
from formulon.core.site.planning.writer import Writer, shorten
from formulon.core.site.site import Asset
from formulon.core.system.documents.identity import ClientText, Identity
from formulon.core.system.documents.passages import Item, figure_in, said_of

_FEW_OFFERS = 3  # that the start page tells whole
_SHOWN = 5  # pictures that sections show before a gallery takes some


class Topics:
    """What there is to tell of one brand. `goes` gives the destination of a page or section by its key."""

    def __init__(
        self, identity: Identity, assets: list[Asset], writer: Writer, told_by: str, goes: Callable[[str], str]
    ) -> None:
        self.identity, self.writer, self.told_by, self.goes = identity, writer, told_by, goes
        self.language = phrases(identity.language)
        self.material = Material(identity.texts, identity.language)
        self.assets = chosen_pictures(identity, assets)
        kept = (len(self.assets) - _SHOWN) // 2 * 2  # an even number hangs well (common practice)
        self.hung = self.assets[-kept:] if kept >= 4 else []
        self.shown = self.assets[: len(self.assets) - len(self.hung)]
        self.seed = int(hashlib.sha256(told_by.encode()).hexdigest()[:6], 16)
        self.names: dict[str, str] = {}  # of pages, by key
        numbers = [(line, figure_in(line)) for line in identity.proof if line.strip()]
        # No line is broken between a number and its unit (ISO 80000-1, 7.1.4, from memory).
        self.figures = [{"figure": re.sub(r"\s", "\u00a0", found[0]), "label": found[1]} for _, found in numbers if found]
        self.hours = self._hours()
        self.offer_texts = [offer.text or self._told(offer.name) for offer in identity.offers]

    def say(self, key: str, **parts: object) -> str:
        """A phrase in the form that the brand's name tells."""
        return self.language.say(key, self.told_by, **parts)

    def name_of(self, key: str) -> str:
        """What a page is called: as the plan has it, else as the language does."""
        return self.names.get(key) or self.say(key)

    def action(self, label: str, key: str) -> dict[str, Any] | None:
        to = self.goes(key)
        return {"label": label, "to": to} if label and to else None

    def weight(self, topic: Topic) -> float:
        """How much there is to tell, 0 for nothing. 2 is enough for a page of its own."""
        material, identity = self.material, self.identity
        items = {
            kind: sum(len(one.items) for one in found if kind == "quotes" or one.source not in material.homes)
            for kind, found in material.typed.items()
        }
        if topic == "offers":
            return 1.0 + len(identity.offers) / 4
        if topic == "audience":
            return 1.0
        if topic == "figures":
            return 1.0 if len(self.figures) > 1 else 0.0
        if topic == "proof":
            return 1.0 if self._proof() else 0.0
        if topic == "hours":
            return 1.0 if len(self.hours) > 1 else 0.0
        if topic == "about":
            own = self.own
            return 0.0 if own is None else 2.0 if len(own.text) > 400 or own.text.count("\n") > 1 else 1.0
        if topic == "stories":
            return float(sum(one.source not in material.homes for one in self._stories()))
        if topic == "gallery":
            return 2.0 if self.hung else 0.0
        if topic == "reach":
            return 1.0
        if topic == "ways":
            return 0.75 * items.get("ways", 0) + len(self._told_ways())
        return {
            "quotes": 0.5 * items.get("quotes", 0), "prices": 0.5 * items.get("prices", 0), "dates": 0.5 * items.get("dates", 0),
            "questions": 0.7 * items.get("questions", 0), "steps": 0.7 * items.get("steps", 0), "people": 0.8 * items.get("people", 0),
            "moments": 0.5 * items.get("moments", 0),
        }[topic]  # fmt: skip

    def offers_need_a_page(self) -> bool:
        """Whether there are more offers, or more to say of them, than a start page tells. One that the brief wants a page for
        has its own."""
        there = [
            one for one in self.identity.offers if not any(nearness(one.name, name) > NEAR for name in self.identity.pages)
        ]
        longest = max(map(len, self.offer_texts), default=0)
        return len(there) > _FEW_OFFERS or longest > 240

    # What is read out of the brief

    def _told(self, name: str) -> str:
        """What the client's own texts say under a heading of that name, short enough for a card."""
        found = self.material.about(name)
        return shorten(found.text.replace("\n", " "), 400) if found else ""

    def _hours(self) -> list[Item]:
        """Opening hours by day: the client's table, else what the brief says in one line, where that can be read as one."""
        tables = self.material.all("hours")
        if tables:
            return [item for one in tables for item in one.items]
        return rows_of(self.identity.contact.hours, self.identity.language)

    @cached_property
    def own(self) -> ClientText | None:
        """The client's text on the brand itself: one, whatever is left of the others."""
        called = [name for name in self.identity.pages if page_named(name) == "about"]
        names = ("about us", "our story", "history", "who we are", self.say("about"), *called)

        def near(text: ClientText) -> float:
            called_so = page_named(text.heading) == "about"
            return 1.0 if called_so else max(nearness(name, text.heading) for name in names)

        best = max(self.material.left(), key=near, default=None)
        return best if best and near(best) > NEAR else None

    def _stories(self) -> list[ClientText]:
        return [text for text in self.material.left() if text is not self.own and said_of(text.heading) != "ways"]

    def _told_ways(self) -> list[ClientText]:
        """Texts in plain words that say how to get there."""
        return [text for text in self.material.left() if said_of(text.heading) == "ways"]

    def _proof(self) -> list[str]:
        single = [f"{one['figure']} {one['label']}" for one in self.figures] if len(self.figures) == 1 else []
        lines = [line for line in self.identity.proof if line.strip() and (not figure_in(line) or single)]
        return [shorten(line, 120) for line in lines]

    def next_picture(self) -> Asset | None:
        """The next of the brand's own pictures that no section shows yet."""
        return self.shown.pop(0) if self.shown else None
