"""The planner: a site of four pages from an identity. Deterministic, and without an invented fact."""

import hashlib
import re
from typing import Any

from formulon.core.site.material import NEAR, Material, chosen_pictures, nearness, page_id, words_of
from formulon.core.site.model import Asset, Frame, Page, Section, Site, placeholder
from formulon.core.site.pictures import KINDS
from formulon.core.site.writer import BriefWriter, Writer, first_clause, shorten
from formulon.core.system.choices import Choices, GroundName
from formulon.core.system.identity import ClientText, Identity


def plan(
    identity: Identity, choices: Choices | None = None, assets: list[Asset] | None = None, writer: Writer | None = None
) -> Site:
    """Home, about, what we offer and contact, and the pages that the brief wants, with header and footer."""
    made = _Plan(identity, assets or [], writer or BriefWriter())
    pages = [made.home(), made.about(), made.offer()]
    pages += [made.wanted(name) for name in made.names]
    pages.append(made.contact())
    made.place_rest(pages)
    return Site(
        identity=identity,
        choices=choices or Choices(),
        frame=made.frame(),
        pages=pages,
        assets=assets or [],
    )


_MOST_TOLD = 4
_WAYS = {"find", "finding", "directions", "getting", "travel", "parking", "arrive"}
_NARROW_CARD = 16  # characters of a word that fit the narrowest card
_USUAL = ("home", "about", "offer", "contact")


def _page_names(names: list[str]) -> list[str]:
    """The pages wanted, each once, without those that every site has."""
    made: dict[str, str] = {}
    for name in names:
        key = page_id(name)
        if key not in _USUAL and key not in ("about-us", "what-we-offer", "index"):
            made.setdefault(key, name)
    return list(made.values())


class _Plan:
    def __init__(self, identity: Identity, assets: list[Asset], writer: Writer) -> None:
        self.identity, self.writer = identity, writer
        self.assets = chosen_pictures(identity, assets)
        self.names = _page_names(identity.pages)
        self.material = Material(identity.texts)
        self.seed = int(hashlib.sha256(identity.name.encode()).hexdigest()[:6], 16)
        self.pictures = 0

    def picture(self) -> dict[str, Any]:
        """The next of the brand's own pictures, with its name as text; else a drawing, which only decorates."""
        number = self.pictures
        self.pictures += 1
        if number < len(self.assets):
            asset = self.assets[number]
            return {"source": f"asset:{asset.id}", "alt": asset.name, "decorative": False}
        kinds = list(KINDS)
        kind = kinds[(self.seed + number) % len(kinds)]
        return {"source": f"drawn:{kind}/{(self.seed + number * 37) % 1000}", "alt": "", "decorative": True}

    @staticmethod
    def section(kind: str, layout: str, ground: GroundName, content: dict[str, Any], name: str = "") -> Section:
        return Section(id=name or kind.replace("_", "-"), kind=kind, layout=layout, ground=ground, content=content)

    def title(self, name: str) -> str:
        return f"{name} – {self.identity.name}"

    def described(self, text: str) -> str:
        return "" if "[[" in text else self.writer.description(text)

    def frame(self) -> Frame:
        header = self.section("header", "bar", "navigation", {"action": {"label": "Get in touch", "to": "page:contact"}})
        where = self.identity.contact.address or self.identity.place
        content = {"text": self.identity.strapline or self.identity.does[:300], "note": where}
        footer = self.section("footer", "columns", "deep", content)
        return Frame(header=header, footer=footer, order=["home", "about", "offer", *map(page_id, self.names), "contact"])

    def home(self) -> Page:
        identity = self.identity
        hero = {
            "heading": self.writer.headline(identity),
            "text": self.writer.introduction(identity),
            "primary": {"label": "See what we offer", "to": "page:offer"},
            "secondary": {"label": "About us", "to": "page:about"},
            "picture": self.picture(),
        }
        offers = self.offers(3, pictures=True)
        audience = {
            "heading": "Who it is for",
            "text": self.writer.audience(identity),
            "link": {"label": f"More about {identity.name}", "to": "page:about"},
            "picture": self.picture(),
        }
        return Page(
            id="home",
            name="Home",
            title=f"{identity.name} – {identity.strapline}" if identity.strapline else identity.name,
            description=self.described(self.writer.introduction(identity)),
            sections=[
                self.section("hero", "horizon", "deep", hero),
                self.section("cards", "lead", "paper", offers),
                self.section("picture_text", "offset", "tint", audience),
                self.call("sweep", "accent"),
            ],
        )

    def offers(self, most: int, pictures: bool) -> dict[str, Any]:
        offers = self.identity.offers[:most]
        items: list[dict[str, Any]] = [
            {"title": offer.name, "text": offer.text or self.told(offer.name) or placeholder(f"A sentence on {offer.name}")}
            for offer in offers
        ]
        if not items:
            items = [
                {"title": placeholder("The name of an offer"), "text": placeholder("What it is, and for whom")}
                for _ in range(3)
            ]
        if pictures:
            items = [item | {"picture": self.picture()} for item in items]
        return {"heading": "What we offer", "items": items}

    def told(self, name: str) -> str:
        """What the client's own texts say under a heading of that name, short enough for a card."""
        found = self.material.about(name)
        return shorten(found.text.replace("\n", " "), 400) if found else ""

    def wanted(self, name: str) -> Page:
        """A page that the brief wants, out of the client's own texts; what they do not say is a marked gap."""
        found = self.material.take(name)
        offer = next((one for one in self.identity.offers if nearness(one.name, name) > NEAR), None)
        text = found.text if found else offer.text if offer else ""
        first, _, rest = text.partition("\n")
        hero = {"heading": found.heading if found and found.heading else name, "text": shorten(first, 400)}
        hero["text"] = hero["text"] or placeholder(f"What visitors should know about: {name}")
        sections = [self.section("hero", "plain", "tint", hero)]
        story = rest or (text if len(text) > 400 else "")
        if story:
            content = {
                "heading": name if hero["heading"] != name else "In detail",
                "text": story[:1500],
                "picture": self.picture(),
            }
            sections.append(self.section("picture_text", "offset", "paper", content))
        return Page(
            id=page_id(name), name=name, title=self.title(name), description=self.described(hero["text"]),
            sections=[*sections, self.call("ledge", "brand")],
        )  # fmt: skip

    def place_rest(self, pages: list[Page]) -> None:
        """The client's own texts that no page has taken: ways to get there on the contact page, the others on the page
        about the brand, before anything is made up."""
        layouts = ("offset", "column")
        for text in self.material.left():
            where = "contact" if words_of(text.heading) & _WAYS else "about"
            page = next(page for page in pages if page.id == where)
            own = [section for section in page.sections if section.id.startswith("told-")]
            if len(own) >= _MOST_TOLD:
                continue
            content: dict[str, Any] = {"text": text.text[:1500], "picture": self.picture()}
            content["heading"] = text.heading or first_clause(text.text)[:80]
            made = self.section(
                "picture_text", layouts[len(own) % 2], "tint" if len(own) % 2 else "paper", content, f"told-{len(own) + 1}"
            )
            last = 1 if where == "about" else 0
            page.sections.insert(len(page.sections) - last, made)

    def call(self, layout: str, ground: GroundName) -> Section:
        contact = self.identity.contact
        text = f"Open: {contact.hours.rstrip('.')}." if contact.hours else ""
        content: dict[str, Any] = {
            "heading": f"Come and see us in {self.identity.place}" if self.identity.place else "Talk to us",
            "primary": {"label": "Get in touch", "to": "page:contact"},
        }
        if text:
            content["text"] = text
        return self.section("call_to_action", layout, ground, content)

    def about(self) -> Page:
        identity = self.identity
        text = self.writer.introduction(identity)
        own = self.material.take("about us", "our story", "history", "who we are")
        story = {
            "heading": "Who we do it for",
            "text": self.writer.audience(identity),
            "picture": self.picture(),
            "link": {"label": "What we offer", "to": "page:offer"},
        }
        hero = {"heading": f"About {identity.name}", "text": text}
        return Page(
            id="about",
            name="About",
            title=self.title("About"),
            description=self.described(text),
            sections=[
                self.section("hero", "plain", "tint", hero),
                self.section("picture_text", "column", "paper", story),
                *([self.section("picture_text", "offset", "tint", self.own_story(own), "our-story")] if own else []),
                self.call("ledge", "brand"),
            ],
        )

    def own_story(self, text: ClientText) -> dict[str, Any]:
        return {"heading": text.heading or f"About {self.identity.name}", "text": text.text[:1500], "picture": self.picture()}

    def offer(self) -> Page:
        identity = self.identity
        names = [offer.name for offer in identity.offers]
        listed = ", ".join(names[:-1]) + (" and " if len(names) > 1 else "") + names[-1] if names else ""
        hero = {"heading": "What we offer", "text": f"{listed}." if listed else placeholder("Your offers, by name")}
        content = self.offers(12, pictures=False)
        content["heading"] = f"All {len(names)} at a glance" if len(names) > 1 else "At a glance"
        described = f"{identity.name}: {listed}." if listed else ""
        return Page(
            id="offer",
            name="What we offer",
            title=self.title("What we offer"),
            description=self.writer.description(described),
            sections=[
                self.section("hero", "plain", "deep", hero),
                self.section("cards", "ledger", "paper", content),
                self.call("sweep", "accent"),
            ],
        )

    def contact(self) -> Page:
        identity, contact = self.identity, self.identity.contact
        where = contact.address or identity.place
        phone = re.sub(r"[^0-9+ ()./-]", "", contact.phone)
        items: list[dict[str, Any]] = [
            {"title": "Write", "text": contact.email or placeholder("An email address")},
            {"title": "Call", "text": contact.phone or placeholder("A telephone number")},
            {"title": "Come by", "text": where or placeholder("An address")},
        ]
        if contact.email:
            items[0]["link"] = {"label": "Send an email", "to": f"mailto:{contact.email}"}
        if phone:
            items[1]["link"] = {"label": "Call us", "to": f"tel:{phone}"}
        if contact.hours:
            items.append({"title": "Opening hours", "text": contact.hours})
        facts = ", ".join(filter(None, (where, contact.phone, contact.email)))
        # A long address does not fit a narrow card without being broken.
        longest = max((len(word) for item in items for word in re.split(r"[\s@]", str(item["text"]))), default=0)
        layout = "ledger" if longest > _NARROW_CARD else "terrace"
        hero = {"heading": "Get in touch", "text": f"{identity.name}, {where}." if where else identity.name}
        return Page(
            id="contact",
            name="Contact",
            title=self.title("Contact"),
            description=self.writer.description(f"How to reach {identity.name}: {facts}.") if facts else "",
            sections=[
                self.section("hero", "plain", "accent", hero),
                self.section("cards", layout, "paper", {"heading": "How to reach us", "items": items[:4]}),
            ],
        )
