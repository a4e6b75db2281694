"""The planner: a site of four pages from an identity. Deterministic, and without an invented fact.

What it says of its own comes from the phrase tables; in a language that has no sentences yet only facts stand on pages. What
it makes keeps to the limits of slots, and passes preflight but for the gaps that it marks.
"""

import hashlib
import re
from collections.abc import Iterable, Sequence
from typing import Any

from formulon.core.site.arrange import Arrangement, every, suited
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.geometry import box_of, box_width
from formulon.core.site.mail import mail_to
from formulon.core.site.material import NEAR, Material, chosen_pictures, nearness, page_id, words_of
from formulon.core.site.phrases import phrases, usual_page
from formulon.core.site.pictures import KINDS
from formulon.core.site.setting import set_in, step_of
from formulon.core.site.site import Asset, Frame, Page, Section, Site
from formulon.core.site.telephone import dialled
from formulon.core.site.values import PLACEHOLDER, placeholder
from formulon.core.site.writer import BriefWriter, Writer, first_clause, shorten
from formulon.core.system.documents.choices import Choices, GroundName
from formulon.core.system.documents.identity import ClientText, Identity, free_id
from formulon.core.system.resolve import resolve
from formulon.core.type.emphasis import encoded
from formulon.core.type.fit import cased, fit
from formulon.core.type.library import SHIPPED, Library


def plan(
    identity: Identity, choices: Choices | None = None, assets: list[Asset] | None = None, writer: Writer | None = None,
    library: Library = SHIPPED,
) -> Site:  # fmt: skip
    """Home, about, what we offer and contact, and the pages that the brief wants, with header and footer."""
    made = _Plan(identity, choices or Choices(), assets or [], writer or BriefWriter(), library)
    pages = [made.home(), made.about(), made.offer()]
    pages += [made.wanted(key, name) for key, name in made.names]
    pages.append(made.contact())
    made.place_rest(pages)
    site = Site(identity=identity, choices=made.choices, frame=made.frame(), pages=pages, assets=assets or [])
    return site.with_library(library)


_MOST_TOLD = 4
_WAYS = {"find", "finding", "directions", "getting", "travel", "parking", "arrive"}
_NARROW_CARD = 16  # characters of a word that fit the narrowest card
_USUAL = ("home", "about", "offer", "contact")
_MOST_LINES = 3  # of a headline on a phone (common practice); rules/type/headline_lines.py stops more
_PHONE = 360
# The grounds of a start page from its opening to its close, and how loud they are, as the axis of character has it.
_RHYTHMS: tuple[tuple[tuple[GroundName, ...], int], ...] = (
    (("deep", "paper", "tint", "accent"), 0),
    (("brand", "paper", "tint", "deep"), 1),
    (("paper", "tint", "paper", "brand"), -1),
    (("accent", "paper", "tint", "brand"), 2),
    (("tint", "paper", "tint", "deep"), -2),
)
_SHORTEST = 12  # characters of a headline
_NAME, _TITLE = 60, 160  # characters, as Page has them


def _page_names(names: list[str]) -> tuple[list[tuple[str, str]], dict[str, str]]:
    """The pages wanted besides the usual four, each once, by id and name; and how the brief calls the usual ones."""
    made: dict[str, str] = {}
    called: dict[str, str] = {}
    seen: set[str] = set()
    for name in (shorten(name, _NAME) for name in names):
        plain = " ".join(name.casefold().split())
        usual = usual_page(name)
        if usual:
            called.setdefault(usual, name)
        elif plain and plain not in seen:
            made[free_id(page_id(name), (*made, *_USUAL, "index", "404"))] = name
        seen.add(plain)
    return list(made.items()), called


class _Plan:
    def __init__(self, identity: Identity, choices: Choices, assets: list[Asset], writer: Writer, library: Library) -> None:
        self.identity, self.choices, self.writer = identity, choices, writer
        self.phrases = phrases(identity.language)
        self.say = self.phrases.say
        self.assets = chosen_pictures(identity, assets)
        self.names, self.called = _page_names(identity.pages)
        self.material = Material(identity.texts)
        self.seed = int(hashlib.sha256(identity.name.encode()).hexdigest()[:6], 16)
        self.pictures = 0
        self.system = resolve(identity, self.choices, library)
        self.arrangement = Arrangement(identity.character, identity.name, bool(self.assets))
        self.grounds = self._grounds()

    # Words that fit their places

    def name_of(self, page: str) -> str:
        """What a usual page is called: as the brief has it, else as the language does."""
        return self.called.get(page) or self.say(page)

    def short(self, candidates: Iterable[str], kind: str = "picture_text", layout: str = "offset") -> str:
        """The first of some headlines that takes no more than three lines on a phone; the last, cut, where none does."""
        section = Section.model_construct(id="short", kind=kind, layout=layout, content={})
        last = ""
        for text in filter(None, candidates):
            last = shorten(text, CATALOGUE[kind].slots["heading"].most)
            if self._lines(section, last) <= _MOST_LINES:
                return last
        words, cut = last.split(), last
        while len(words) > 1 and self._lines(section, cut) > _MOST_LINES:
            words.pop()
            cut = " ".join(words).rstrip(" ,;:–-") + "…"
        while len(cut) > _SHORTEST and self._lines(section, cut) > _MOST_LINES:  # one word that is as long as a sentence
            cut = cut[: -1 - len(cut) // 8].rstrip("…") + "…"
        return cut

    def _lines(self, section: Section, text: str) -> int:
        step, language = self.system.steps[step_of(section, "heading")], self.identity.language
        put, scale = set_in(self.system, section, "heading", text, language)
        size = step.size(_PHONE) * scale
        box = box_of(section, "heading", _PHONE)
        if box is None:
            return 1
        room = box_width(self.system, box, _PHONE, size)
        drawn = encoded(cased(PLACEHOLDER.sub(r"[\1]", put), step.case, language))
        return fit(step.family, step.weight, drawn, size, room, step.tracking, language, True).lines

    def title(self, name: str) -> str:
        return shorten(f"{name} – {self.identity.name}", _TITLE)

    def described(self, *texts: str) -> str:
        """A description for search engines out of the first text that says something."""
        text = next((one for one in texts if one and "[[" not in one), "")
        return self.writer.description(text) if text else ""

    def facts(self) -> str:
        """Where the brand is and how it is reached, one after the other."""
        contact = self.identity.contact
        return ", ".join(filter(None, (contact.address or self.identity.place, contact.phone, contact.email)))

    def picture(self) -> dict[str, Any]:
        """The next of the brand's own pictures, with its name as text; else a drawing, which only decorates."""
        number = self.pictures
        self.pictures += 1
        if number < len(self.assets):
            asset = self.assets[number]
            return {"source": f"asset:{asset.id}", "alt": asset.name, "decorative": not asset.name}
        kinds = list(KINDS)
        kind = kinds[(self.seed + number) % len(kinds)]
        return {"source": f"drawn:{kind}/{(self.seed + number * 37) % 1000}", "alt": "", "decorative": True}

    def _grounds(self) -> tuple[GroundName, ...]:
        """The grounds of the start page from its opening to its close: as loud as the brand is, and else as its name has it."""
        loud, seed = self.identity.character.quiet_loud, self.seed
        fitting = [grounds for grounds, how in _RHYTHMS if loud is None or abs(how - loud) <= 1]
        return fitting[seed % len(fitting)]

    def arranged(
        self,
        kinds: tuple[str, ...],
        ground: GroundName,
        content: dict[str, Any],
        name: str,
        heading: Iterable[str],
        before: Sequence[Section] = (),
        but: Iterable[str] = (),
    ) -> Section:
        """A section in the composition that suits it, with the first headline that fits there."""
        held = {"heading": "-"} | content
        kind, layout = self.arrangement.pick(every(*kinds, but=but), held, [(one.kind, one.layout) for one in before])
        made = suited(kind, {"heading": self.short(heading, kind, layout)} | content)
        return self.section(kind, layout, ground, made, name)

    @staticmethod
    def section(kind: str, layout: str, ground: GroundName, content: dict[str, Any], name: str = "") -> Section:
        filled = {slot: value for slot, value in content.items() if value}
        return Section(id=name or kind.replace("_", "-"), kind=kind, layout=layout, ground=ground, content=filled)

    def action(self, label: str, page: str) -> dict[str, Any] | None:
        return {"label": label, "to": f"page:{page}"} if label else None

    # Header and footer

    def frame(self) -> Frame:
        reach = self.action(self.say("get_in_touch") or self.name_of("contact"), "contact")
        header = self.section("header", "bar", "navigation", {"action": reach})
        where = self.identity.contact.address or self.identity.place
        content = {"text": shorten(self.identity.strapline or self.identity.does, 300), "note": where}
        kind, layout = self.arrangement.pick(every("footer"), content)
        footer = self.section(kind, layout, "deep", content)
        return Frame(header=header, footer=footer, order=["home", "about", "offer", *(key for key, _ in self.names), "contact"])

    # Pages

    def home(self) -> Page:
        identity = self.identity
        headline = self.writer.headline(identity)
        headlines = (headline, first_clause(headline), first_clause(identity.does), identity.name)
        introduction = shorten(self.writer.introduction(identity), 600)
        hero = {
            "text": introduction,
            "primary": self.action(self.say("see_offer") or self.name_of("offer"), "offer"),
            "secondary": self.action(self.name_of("about"), "about"),
            "picture": self.picture(),
        }
        offers = self.offers(3, pictures=True)
        audience = {
            "text": shorten(self.writer.audience(identity), 1500),
            "link": self.action(self.name_of("about"), "about"),
            "picture": self.picture(),
        }
        first, second, third, last = self.grounds
        # A drawing behind words tells nothing; a photograph may.
        but = ("words",) if self.assets else ("words", "backcloth")
        made = [self.arranged(("hero",), first, hero, "hero", headlines, but=but)]
        heading = offers.pop("heading")
        made.append(self.arranged(("cards", "features", "offers"), second, offers, "cards", (heading,), made, but=("inset",)))
        told = (self.say("who_for") or self.name_of("about"),)
        made.append(self.arranged(("picture_text", "text"), third, audience, "picture-text", told, made))
        return Page(
            id="home",
            name=self.name_of("home"),
            title=shorten(f"{identity.name} – {identity.strapline}" if identity.strapline else identity.name, _TITLE),
            description=self.described(introduction, identity.strapline),
            sections=[*made, self.call(last, made)],
        )

    def offers(self, most: int, pictures: bool) -> dict[str, Any]:
        offers = self.identity.offers[:most]
        items: list[dict[str, Any]] = [
            {
                "title": offer.name,
                "text": shorten(offer.text or self.told(offer.name) or placeholder(f"A sentence on {offer.name}"), 600),
            }
            for offer in offers
        ]
        if not items:
            items = [
                {"title": placeholder("The name of an offer"), "text": placeholder("What it is, and for whom")}
                for _ in range(3)
            ]
        if pictures:
            items = [item | {"picture": self.picture()} for item in items]
        return {"heading": self.short((self.name_of("offer"),)), "items": items}

    def told(self, name: str) -> str:
        """What the client's own texts say under a heading of that name, short enough for a card."""
        found = self.material.about(name)
        return shorten(found.text.replace("\n", " "), 400) if found else ""

    def wanted(self, key: str, name: str) -> Page:
        """A page that the brief wants, out of the client's own texts; what they do not say is a marked gap."""
        found = self.material.take(name)
        offer = next((one for one in self.identity.offers if nearness(one.name, name) > NEAR), None)
        text = found.text if found else offer.text if offer else ""
        first, _, rest = text.partition("\n")
        heading = self.short((found.heading if found else "", name), "hero", "words")
        hero = {"heading": heading, "text": shorten(first, 400) or placeholder(f"What visitors should know about: {name}")}
        sections = [self.section("hero", "words", "tint", hero)]
        story = rest or (text if len(text) > 400 else "")
        if story:
            content = {
                "heading": self.short((name if heading != name else "", self.say("in_detail"), name)),
                "text": shorten_lines(story, 1500),
                "picture": self.picture(),
            }
            sections.append(self.section("picture_text", "offset", "paper", content))
        return Page(
            id=key, name=name, title=self.title(name), description=self.described(hero["text"]),
            sections=[*sections, self.call("brand")],
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
            content: dict[str, Any] = {"text": shorten_lines(text.text, 1500), "picture": self.picture()}
            content["heading"] = self.short((text.heading, first_clause(text.text), self.name_of(where)))
            made = self.section(
                "picture_text", layouts[len(own) % 2], "tint" if len(own) % 2 else "paper", content, f"told-{len(own) + 1}"
            )
            last = 1 if where == "about" else 0
            page.sections.insert(len(page.sections) - last, made)

    def call(self, ground: GroundName, before: Sequence[Section] = ()) -> Section:
        identity, hours = self.identity, self.identity.contact.hours.rstrip(".")
        sentence = self.say("open", hours=hours) if hours else ""
        inviting = self.say("come_and_see", place=identity.place) if identity.place else ""
        headings = (inviting, self.say("talk_to_us"), self.name_of("contact"))
        content = {
            "text": sentence or hours,
            "primary": self.action(self.say("get_in_touch") or self.name_of("contact"), "contact"),
        }
        return self.arranged(("call_to_action",), ground, content, "call-to-action", headings, before)

    def about(self) -> Page:
        """The page about the brand. It repeats nothing of the start page: own texts, what shows that the brand is good, and
        where and when it is found."""
        identity = self.identity
        own = self.material.take("about us", "our story", "history", "who we are", self.name_of("about"))
        named = self.say("about_name", name=identity.name)
        heading = self.short((named, self.name_of("about")), "hero", "words")
        first, rest = self._beginning(own)
        hero: dict[str, Any] = {"heading": heading, "text": first}
        if first:  # a button alone beside a headline has nothing to follow from
            hero["primary"] = self.action(self.name_of("offer"), "offer")
        sections = [self.section("hero", "words", "tint", hero)]
        if own and rest:
            sections.append(self.section("picture_text", "column", "paper", self.own_story(own, rest), "our-story"))
        shown = {"heading": self.short((self.say("what_shows"),)), "items": [{"title": one} for one in self._proof()]}
        if shown["items"]:
            sections.append(self.section("cards", "ledger", "paper", shown, "proof"))
        found = self._where()
        if found and not own:
            content = {"heading": self.short((self.say("where_and_when"),)), "items": found}
            sections.append(self.section("cards", "ledger", "tint" if shown["items"] else "paper", content, "where"))
        told = ", ".join(filter(None, (identity.name, identity.place)))
        offered = ", ".join(offer.name for offer in identity.offers)
        facts = ". ".join(filter(None, (first or identity.audience.rstrip(".") or told, offered if not first else "")))
        return Page(
            id="about",
            name=self.name_of("about"),
            title=self.title(self.name_of("about")),
            description=self.described(f"{named or identity.name}: {facts}"),
            sections=[*sections, self.call("brand")],
        )

    @staticmethod
    def _beginning(own: ClientText | None) -> tuple[str, str]:
        """The first paragraph of a text where it can introduce the page, and what is left of it."""
        if own is None:
            return "", ""
        first, _, rest = own.text.partition("\n")
        return (first, rest.strip()) if rest.strip() and len(first) <= 400 else ("", own.text)

    def _proof(self) -> list[str]:
        return [shorten(one, 120) for one in self.identity.proof if one.strip()][:12]

    def _where(self) -> list[dict[str, str]]:
        contact = self.identity.contact
        facts = (("address", contact.address or self.identity.place), ("hours", contact.hours))
        return [{"title": self.say(key), "text": text} for key, text in facts if text]

    def own_story(self, text: ClientText, told: str) -> dict[str, Any]:
        heading = self.short((text.heading, first_clause(text.text), self.name_of("about")))
        return {"heading": heading, "text": shorten_lines(told, 1500), "picture": self.picture()}

    def offer(self) -> Page:
        identity = self.identity
        names = [offer.name for offer in identity.offers]
        joined = self.say("and") or ", "
        listed = ", ".join(names[:-1]) + (joined if len(names) > 1 else "") + names[-1] if names else ""
        hero = {
            "heading": self.short((self.name_of("offer"),), "hero", "words"),
            "text": shorten(f"{listed.rstrip('.')}.", 600) if listed else placeholder("Your offers, by name"),
        }
        content = self.offers(12, pictures=False)
        several = self.say("all_at_a_glance", count=len(names)) if len(names) > 1 else self.say("at_a_glance")
        content["heading"] = self.short((several,)) if several else ""
        return Page(
            id="offer",
            name=self.name_of("offer"),
            title=self.title(self.name_of("offer")),
            description=self.described(f"{identity.name}: {listed}." if listed else ""),
            sections=[
                self.section("hero", "words", "deep", hero),
                self.section("cards", "ledger", "paper", content),
                self.call("accent"),
            ],
        )

    def contact(self) -> Page:
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
        if contact.hours:
            items.append({"title": self.say("hours"), "text": contact.hours})
        facts = self.facts()
        # A long address does not fit a narrow card without being broken.
        longest = max((len(word) for item in items for word in re.split(r"[\s@]", str(item["text"]))), default=0)
        layout = "ledger" if longest > _NARROW_CARD else "terrace"
        heading = self.short((self.say("get_in_touch"), self.name_of("contact")), "hero", "words")
        hero = {"heading": heading, "text": shorten(f"{identity.name}, {where}." if where else identity.name, 600)}
        reach = self.say("how_to_reach")
        said = self.say("contact_description", name=identity.name, facts=facts) or f"{identity.name}: {facts}."
        return Page(
            id="contact",
            name=self.name_of("contact"),
            title=self.title(self.name_of("contact")),
            description=self.described(said if facts else ""),
            sections=[
                self.section("hero", "words", "accent", hero),
                self.section("cards", layout, "paper", {"heading": self.short((reach,)) if reach else "", "items": items[:4]}),
            ],
        )


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
