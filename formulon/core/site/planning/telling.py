"""Telling: topics as blocks that a page can compose, for openings, for each topic, and for what closes a page."""

import re
from collections.abc import Iterator, Sequence
from dataclasses import replace
from typing import Any, TypeVar

import icu

from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.mail import mail_to
from formulon.core.site.planning.assign import USUAL
from formulon.core.site.planning.blocks import Block
from formulon.core.site.planning.form_starts import form_start
from formulon.core.site.planning.material import NEAR, nearness
from formulon.core.site.planning.plans import Topic, plan_of
from formulon.core.site.planning.topics import Topics
from formulon.core.site.planning.writer import first_clause, shorten
from formulon.core.site.telephone import dialled
from formulon.core.site.values import placeholder
from formulon.core.site.ways import handle, networks
from formulon.core.system.documents.identity import ClientText
from formulon.core.system.documents.passages import Item, Passage, PassageKind

T = TypeVar("T")
Options = list[Block]  # of which one is composed
_LONG = 1200  # characters of a text that is set as a long one
_ROWS = 60  # of a table
_AT_HOME = 3  # quotes on the start page (common practice: two or three)
_IN_OPENING = 6  # entries of a programme or a price list that opens a site
_NARROW_CARD = 16  # characters of a word that fit the narrowest card
_INNER = ("words", "type", "monument", "frieze", "object", "window")


class Telling(Topics):
    """What one brand tells, in blocks. A list that is too long for a section is told in as many as it needs."""

    # Openings

    def openings(self, told: list[Topic]) -> Options:
        """What can open the site: words and a picture, a number, the programme, the price list, a form; one of them is composed."""
        identity = self.identity
        headline = self.writer.headline(identity)
        headlines = (headline, first_clause(headline), first_clause(identity.does), identity.name)
        text = shorten(self.writer.introduction(identity), 600)
        about = self.goes("about")
        offer = self.action(self.say("see_offer") or self.name_of("offer"), "offer")
        more = {"primary": offer, "secondary": self.action(self.name_of("about"), "about") if about else None}
        # A drawing behind words tells nothing; a photograph may.
        but = ("words",) if self.assets else ("words", "backcloth")
        made = [Block("hero", ("hero",), {"text": text, **more}, headlines, but=but)]
        opens = plan_of(identity.organisation).opens
        loud = 0.4 * (identity.character.quiet_loud or 0)
        if self.figures and len(text) <= 240:
            first = self.figures[0]
            if len(first["figure"]) <= 8:
                content: dict[str, Any] = {
                    "text": text,
                    **more,
                    "figure": first["figure"],
                    "label": shorten(first["label"], 160),
                }
                tells = ("figures",) if len(self.figures) == 1 else ()
                made.append(
                    Block(
                        "hero", ("hero",), content, headlines, only=("number",), bonus=loud + ("figures" in opens), tells=tells
                    )
                )
        if len(self.figures) >= 3:
            tiles = [{"title": one["label"], "value": one["figure"]} for one in self.figures[:4]]
            content = {"text": text, "primary": offer, "items": tiles}
            made.append(Block("hero", ("hero",), content, headlines, only=("mosaic",), bonus=loud, tells=("figures",)))
        made += self._lists_first(told, headlines, text, offer, opens)
        if "form" in opens and identity.contact.email:
            content = {"text": text, "form": self.form()}
            made.append(Block("hero", ("hero",), content, headlines, only=("enrol",), bonus=0.5))
        return made

    def _lists_first(
        self, told: list[Topic], headlines: tuple[str, ...], text: str, offer: dict[str, Any] | None, opens: tuple[str, ...]
    ) -> Iterator[Block]:
        for topic, layout in (("dates", "bill"), ("prices", "counter")):
            found = self.material.all(topic, "home")  # type: ignore[arg-type]
            if topic not in told or len(found) != 1 or not 2 <= len(found[0].items) <= _IN_OPENING:
                continue  # what opens the site is told there whole, or not there
            if topic == "dates":
                items = [{"title": shorten(one["what"], 120), "value": shorten(one["when"], 60)} for one in found[0].items]
            else:
                items = [
                    {"title": shorten(one["title"], 120), "text": one.get("text", ""), "value": shorten(one["price"], 60)}
                    for one in found[0].items
                ]
            content = {"text": text, "primary": offer, "items": items}
            yield Block(
                "hero",
                ("hero",),
                content,
                headlines,
                only=(layout,),
                bonus=1.0 * (topic in opens),
                source=found[0].source,
                tells=(topic,),
            )

    def beginning(self, key: str, name: str) -> tuple[Block, ClientText | None]:
        """What opens an inner page, and what is left of the client's text that it begins with."""
        identity, contact = self.identity, self.identity.contact
        content: dict[str, Any] = {}
        headings: tuple[str, ...] = (name,)
        left: ClientText | None = None
        source = ""
        if key == "about":
            headings = (self.say("about_name", name=identity.name), name)
            own = self.own
            if own and self.material.claim(own):
                content["text"], rest = opened(own.text)
                source = own.source
                left = own.model_copy(update={"text": rest}) if rest else None
            if content.get("text"):
                content["primary"] = self.action(self.name_of("offer"), "offer")
        elif key == "offer":
            names = [offer.name for offer in identity.offers]
            content["text"] = (
                shorten(f"{self.listed(names).rstrip('.')}.", 600) if names else placeholder("Your offers, by name")
            )
        elif key == "contact":
            where = contact.address or identity.place
            content["text"] = shorten(f"{identity.name}, {where}." if where else identity.name, 600)
        else:
            found = self.material.take(name)
            offer = next((one for one in identity.offers if nearness(one.name, name) > NEAR), None)
            text = found.text if found else offer.text if offer else ""
            headings = (found.heading if found else "", name)
            source = found.source if found else ""
            first, _, rest = text.partition("\n")
            content["text"] = shorten(first, 400)
            story = rest or (text if len(text) > 400 else "")
            left = ClientText(heading=found.heading if found else name, text=story, source=source) if story else None
        return Block("hero", ("hero",), content, headings, pictured=bool(self.shown), only=_INNER, source=source), left

    def listed(self, names: list[str]) -> str:
        """Names one after the other as the language writes them (CLDR's list patterns, by ICU)."""
        return (
            str(icu.ListFormatter.createInstance(icu.Locale.forLanguageTag(self.identity.language)).format(names))
            if names
            else ""
        )

    # Topics

    def blocks(self, topic: Topic, page: str) -> Iterator[Options]:
        """What a page tells of a topic: for each section the blocks of which one is composed."""
        yield from getattr(self, f"_{topic}_blocks")(page)

    def _offers_blocks(self, page: str) -> Iterator[Options]:
        offers = self.identity.offers
        several = self.say("all_at_a_glance", count=len(offers)) if len(offers) > 1 else self.say("at_a_glance")
        heading = (self.name_of("offer"),) if page == "home" else (several, self.say("at_a_glance"))
        items: list[dict[str, Any]] = [
            {
                "title": offer.name,
                "text": shorten(text or placeholder(f"A sentence on {offer.name}"), 600),
                **self._led(offer.name, page),
            }
            for offer, text in zip(offers, self.offer_texts, strict=True)
        ]
        if not items:
            gap = {"title": placeholder("The name of an offer"), "text": placeholder("What it is, and for whom")}
            items = [dict(gap) for _ in range(3)]
        pictured = len(items) <= 3 or len(self.shown) >= len(items)
        kinds = ("cards", "features", "offers") if len(items) <= 9 else ("cards", "offers")
        if any("link" in item for item in items):  # points have no links
            kinds = ("cards", "offers")
        yield [
            Block("cards", kinds, {"items": items}, heading, pictured, but=("inset",), menu=self.name_of("offer")),
        ]

    def _led(self, offer: str, page: str) -> dict[str, Any]:
        """The link from an offer to the page that goes by its name, where there is one and it is another."""
        near = {key: nearness(offer, self.name_of(key)) for key in self.names if key not in (*USUAL, page) and self.goes(key)}
        best = max(near, key=lambda key: near[key], default="")
        link = self.action(self.name_of(best), best) if best and near[best] > NEAR else None
        return {"link": link} if link else {}

    def teaser(self) -> Options:
        """The offers by name alone, where a page of their own tells them."""
        items: list[dict[str, Any]] = [{"title": offer.name, **self._led(offer.name, "home")} for offer in self.identity.offers]
        heading = (self.name_of("offer"),)
        made = [Block("cards", ("offers",), {"items": items}, heading, False, only=("index", "pairs", "stack"))]
        if len(items) <= 4 and self.shown:
            made.append(Block("cards", ("cards",), {"items": items}, heading, only=("lead",), bonus=1.0))
        # Names as long as sentences have room there.
        made.append(Block("cards", ("cards",), {"items": items}, heading, False, only=("ledger",), bonus=-9.0))
        return made

    def _audience_blocks(self, page: str) -> Iterator[Options]:
        text = shorten(self.writer.audience(self.identity), 1500)
        content = {"text": text, "link": self.action(self.name_of("about"), "about") if self.goes("about") else None}
        headings = (self.say("who_for") or self.name_of("about"),)
        yield [
            Block(
                "picture-text",
                ("picture_text", "text"),
                content,
                headings,
                menu=self.name_of("about"),
            )
        ]

    def _figures_blocks(self, page: str) -> Iterator[Options]:
        headings = (self.say("numbers"), self.name_of("about"))
        yield from going_on(
            [Block("figures", ("figures",), {"items": part}, headings)] for part in parted(self.figures, most("figures"))
        )

    def _proof_blocks(self, page: str) -> Iterator[Options]:
        items = [{"title": one} for one in self._proof()]
        headings = (self.say("what_shows"),) if self.say("what_shows") else ()
        made = [Block("proof", ("cards",), {"items": items}, headings, False, only=("ledger", "terrace"))]
        names = [{"name": one} for one in self._proof()]
        if len(names) > 1 and max(len(one["name"]) for one in names) <= 40:
            made.append(Block("proof", ("logos",), {"items": names}, headings, False, only=("register",)))
        yield made

    def _quotes_blocks(self, page: str) -> Iterator[Options]:
        items = [self._cut("quotes", one) for found in self.material.all("quotes") for one in found.items]
        headings, source = (self.say("voices"),), self._source("quotes")
        yield from going_on(
            [Block("quotes", ("quotes",), {"items": part}, headings, False, source=source)] for part in parted(items, _AT_HOME)
        )

    def _prices_blocks(self, page: str) -> Iterator[Options]:
        yield from self._listed(page, "prices", "prices", "prices", menu=self.say("prices"))

    def _listed(
        self, page: str, passage: PassageKind, name: str, kind: str, phrase: str = "", pictured: bool = True, menu: str = ""
    ) -> Iterator[Options]:
        """The passages of a kind, each in as many sections as its items need."""
        for found in self.material.all(passage, page):
            items, headings = [self._cut(kind, one) for one in found.items], self._headings(found, phrase or passage)
            yield from going_on(
                [Block(name, (kind,), {"items": part}, headings, pictured, source=found.source, menu=menu)]
                for part in parted(items, most(kind))
            )

    def _dates_blocks(self, page: str) -> Iterator[Options]:
        for found in self.material.all("dates", page):
            yield from self._tables(
                "dates", found.items, "what", self._headings(found, "dates"), found.source, self.say("dates")
            )

    def _hours_blocks(self, page: str) -> Iterator[Options]:
        if len(self.hours) > 1:
            yield from self._tables("hours", self.hours, "hours", (self.say("hours"),), self._source("hours"))

    def _tables(
        self, name: str, items: Sequence[Item], second: str, headings: tuple[str, ...], source: str, menu: str = ""
    ) -> Iterator[Options]:
        head = [self.say("when") or self.say("hours"), self.say(second) or self.say("hours")]
        rows = [[one["when"][:300], one["what"][:300]] for one in items]
        yield from going_on(
            [Block(name, ("programme",), {"table": {"head": head, "rows": part}}, headings, source=source, menu=menu)]
            for part in parted(rows, _ROWS)
        )

    def _ways_blocks(self, page: str) -> Iterator[Options]:
        for found in self.material.all("ways", page):
            text, menu = self.identity.contact.address or self.identity.place, self.say("getting_here")
            headings = self._headings(found, "getting_here")
            contents = [
                {"text": text, "items": part}
                for part in parted([self._cut("place", one) for one in found.items], most("place"))
            ]
            yield from going_on(
                [
                    Block("ways", ("place",), content | {"map": {"ways": []}}, headings, source=found.source, menu=menu),
                    Block("ways", ("cards", "features"), content, headings, False, source=found.source, menu=menu),
                ]
                for content in contents
            )
        for number, told in enumerate(self._told_ways(), 1):
            if self.material.claim(told):
                yield self.story(told, f"ways-{number}")

    def _questions_blocks(self, page: str) -> Iterator[Options]:
        yield from self._listed(page, "questions", "questions", "questions")

    def _steps_blocks(self, page: str) -> Iterator[Options]:
        yield from self._listed(page, "steps", "steps", "steps")

    def _moments_blocks(self, page: str) -> Iterator[Options]:
        yield from self._listed(page, "moments", "moments", "timeline", "history", pictured=False)

    def _people_blocks(self, page: str) -> Iterator[Options]:
        for found in self.material.all("people", page):
            headings = self._headings(found, "team")
            parts = parted([self._cut("team", one) for one in found.items], most("team"))
            yield from going_on(self._people(people, headings, found.source) for people in parts)

    @staticmethod
    def _people(people: list[dict[str, Any]], headings: tuple[str, ...], source: str) -> Options:
        made = [Block("people", ("team",), {"items": people}, headings, False, source=source)]
        if len(people) <= most("features"):
            named = [
                {"title": one["name"], "text": ". ".join(filter(None, (one.get("role"), one.get("text"))))} for one in people
            ]
            made.append(Block("people", ("features", "cards"), {"items": named}, headings, False, source=source))
        return made

    def _about_blocks(self, page: str) -> Iterator[Options]:
        """The brand's own text, where no page opens with it."""
        own = self.own
        if own and page != "about" and self.material.claim(own):
            yield self.story(own, "about")

    def _stories_blocks(self, page: str) -> Iterator[Options]:
        for number, text in enumerate(self._stories(), 1):
            if self.material.told_on(text.source, "stories", page) and self.material.claim(text):
                yield self.story(text, f"told-{number}")

    def story(self, text: ClientText, name: str) -> Options:
        """A text of the client's own as a section."""
        headings = tuple(filter(None, (text.heading, first_clause(text.text), self.name_of("about"))))
        if len(text.text) > _LONG:
            body = "\n\n".join(line for line in text.text.split("\n") if line)
            return [Block(name, ("long_text",), {"body": body}, headings, source=text.source)]
        return [Block(name, ("picture_text", "text"), {"text": shorten_lines(text.text, 1500)}, headings, source=text.source)]

    def _gallery_blocks(self, page: str) -> Iterator[Options]:
        items = [{"picture": {"source": f"asset:{one.id}", "alt": one.name, "decorative": not one.name}} for one in self.hung]
        headings = (self.say("pictures"),)
        yield from going_on(
            [Block("gallery", ("gallery",), {"items": part}, headings)] for part in parted(items, most("gallery"))
        )

    def _reach_blocks(self, page: str) -> Iterator[Options]:
        items = self.ways_to_reach()
        reach = self.say("how_to_reach")
        headings = (reach, self.name_of("contact")) if reach else ()
        menu = self.name_of("contact")
        # A long address does not fit a narrow card without being broken.
        longest = _longest(items)
        but = ("terrace", "lead", "plates", "bar") if longest > _NARROW_CARD else ("lead",)
        made = [Block("reach", ("cards", "strip"), {"items": items}, headings, False, but=but, menu=menu)]
        if self.identity.contact.email and self.say("write_to_us"):
            content = {"items": items, "form": self.form()}
            made.append(Block("reach", ("contact",), content, (self.say("write_to_us"),), menu=menu, but=("slip",), bonus=1.5))
        yield made

    def ways_to_reach(self) -> list[dict[str, Any]]:
        """Address by address how the brand is reached, with marked gaps for what is not known."""
        identity, contact = self.identity, self.identity.contact
        where = contact.address or identity.place
        items: list[dict[str, Any]] = [
            {"title": self.say("email"), "text": contact.email or placeholder("An email address")},
            {"title": self.say("phone"), "text": contact.phone or placeholder("A telephone number")},
            {"title": self.say("address"), "text": where or placeholder("An address")},
        ]
        if contact.email:
            items[0]["link"] = {"label": self.say("send_email") or self.say("email"), "to": mail_to(contact.email)}
        number = dialled(contact.phone, identity.language)
        if number:
            items[1]["link"] = {"label": self.say("call_us") or self.say("phone"), "to": number}
        if contact.hours and len(self.hours) < 2:
            items.append({"title": self.say("hours"), "text": contact.hours})
        room = max(0, min(most("strip"), most("cards")) - len(items))
        return items + [
            {"title": way.name[:80], "link": {"label": handle(way.to)[:120], "to": way.to}}
            for way in networks(identity.social)[:room]
        ]

    def form(self) -> dict[str, Any]:
        """A form that writes to the brand."""
        return form_start(self.identity, "enquiry")

    def closing(self, home: bool, turn: int) -> Options:
        """What closes a page: a call, or on some inner pages the ways to reach the brand in a row."""
        identity, hours = self.identity, self.identity.contact.hours.rstrip(".")
        sentence = self.say("open", hours=hours) if hours and home else ""
        inviting = self.say("come_and_see", place=identity.place) if identity.place and home else ""
        headings = (inviting, self.say("talk_to_us"), self.name_of("contact"))
        reach = self.action(self.say("get_in_touch") or self.name_of("contact"), "contact")
        call = Block(
            "call-to-action", ("call_to_action",), {"text": sentence or (hours if home else ""), "primary": reach}, headings
        )
        ways = [item for item in self.ways_to_reach() if item.get("link")]
        if home or turn % 2 or len(ways) < 2:
            return [call]
        longest = _longest(ways)
        but = ("plates", "bar") if longest > _NARROW_CARD else ()
        return [Block("strip", ("strip",), {"items": ways}, (), False, but=but)]

    # Parts

    def _headings(self, found: Passage, key: str) -> tuple[str, ...]:
        return tuple(dict.fromkeys(filter(None, (found.heading, self.say(key), self.name_of("about")))))

    def _source(self, kind: Any) -> str:
        return next((one.source for one in self.material.all(kind)), "")

    def _cut(self, kind: str, item: Item) -> dict[str, Any]:
        """An item as the slots of a kind take it."""
        slots = CATALOGUE[kind].slots["items"].items
        return {
            name: shorten_lines(text, slots[name].most) if slots[name].type == "text" else float(text)
            for name, text in item.items()
            if name in slots
        }


def parted(items: Sequence[T], at_most: int) -> Iterator[list[T]]:
    """Items in as few parts of `at_most` as there need be, all about as long."""
    count = -(-len(items) // at_most)
    for index in range(count):
        yield list(items[index * len(items) // count : (index + 1) * len(items) // count])


def most(kind: str) -> int:
    """How many items a section of a kind takes."""
    return CATALOGUE[kind].slots["items"].most


def going_on(sections: Iterator[Options]) -> Iterator[Options]:
    """Sections of which all but the first go on with it."""
    for index, options in enumerate(sections):
        yield [replace(one, goes_on=True, headings=()) for one in options] if index else options


def opened(text: str) -> tuple[str, str]:
    """The first paragraph of a text where it can introduce a page, and what is left of it."""
    first, _, rest = text.partition("\n")
    return (first, rest.strip()) if len(first) <= 400 and (rest.strip() or len(text) <= 240) else ("", text)


def shorten_lines(text: str, most: int) -> str:
    """A text of at most `most` characters with its own line breaks kept: whole lines where some fit, else as `shorten` does."""
    if len(text) <= most:
        return text
    kept = ""
    for line in text.split("\n"):
        if len(kept) + len(line) + 1 > most:
            break
        kept += line + "\n"
    return kept.strip() or shorten(text, most)


def _longest(items: list[dict[str, Any]]) -> int:
    """Characters of the longest word of how the brand is reached."""
    return max((len(word) for item in items for word in re.split(r"[\s@]", str(item.get("text", "")))), default=0)
