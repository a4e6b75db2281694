"""The planner: a site of four pages from an identity. Deterministic, and without an invented fact."""

import hashlib
import re
from typing import Any

from formulon.core.site.model import Asset, Frame, Page, Section, Site, placeholder
from formulon.core.site.pictures import KINDS
from formulon.core.site.writer import BriefWriter, Writer
from formulon.core.system.choices import Choices, GroundName
from formulon.core.system.identity import Identity


def plan(
    identity: Identity, choices: Choices | None = None, assets: list[Asset] | None = None, writer: Writer | None = None
) -> Site:
    """Home, about, what we offer and contact, with header and footer."""
    made = _Plan(identity, assets or [], writer or BriefWriter())
    return Site(
        identity=identity,
        choices=choices or Choices(),
        frame=made.frame(),
        pages=[made.home(), made.about(), made.offer(), made.contact()],
        assets=assets or [],
    )


class _Plan:
    def __init__(self, identity: Identity, assets: list[Asset], writer: Writer) -> None:
        self.identity, self.assets, self.writer = identity, assets, writer
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
        header = self.section("header", "bar", "paper", {"action": {"label": "Get in touch", "to": "page:contact"}})
        where = self.identity.contact.address or self.identity.place
        content = {"text": self.identity.strapline or self.identity.does[:300], "note": where}
        footer = self.section("footer", "columns", "deep", content)
        return Frame(header=header, footer=footer, order=["home", "about", "offer", "contact"])

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
            {"title": offer.name, "text": offer.text or placeholder(f"A sentence on {offer.name}")} for offer in offers
        ]
        if not items:
            items = [
                {"title": placeholder("The name of an offer"), "text": placeholder("What it is, and for whom")}
                for _ in range(3)
            ]
        if pictures:
            items = [item | {"picture": self.picture()} for item in items]
        return {"heading": "What we offer", "items": items}

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
                self.call("ledge", "brand"),
            ],
        )

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
        hero = {"heading": "Get in touch", "text": f"{identity.name}, {where}." if where else identity.name}
        return Page(
            id="contact",
            name="Contact",
            title=self.title("Contact"),
            description=self.writer.description(f"How to reach {identity.name}: {facts}.") if facts else "",
            sections=[
                self.section("hero", "plain", "accent", hero),
                self.section("cards", "terrace", "paper", {"heading": "How to reach us", "items": items[:4]}),
            ],
        )
