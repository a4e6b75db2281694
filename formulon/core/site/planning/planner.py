"""The planner: a site from an identity, of two to twelve pages or of one. Deterministic, and without an invented fact.

It first sees what there is to tell (topics.py, telling.py), then gives each topic to one page by the plan of the kind of organisation
(assign.py), and then composes page by page. What it says of its own comes from the phrase tables. What it makes keeps to the limits
of slots, and passes preflight but for the gaps that it marks.
"""

from collections.abc import Sequence
from dataclasses import replace
from typing import Any, Literal

from formulon.core.site.cards import card_counts
from formulon.core.site.catalogue import CATALOGUE, layout_of
from formulon.core.site.composing.composer import Composer
from formulon.core.site.drawings import suited
from formulon.core.site.pictures import with_mark
from formulon.core.site.planning.arrange import Arrangement, Pick, every
from formulon.core.site.planning.assign import assigned
from formulon.core.site.planning.blocks import Block, filled, ranked
from formulon.core.site.planning.headlines import Headlines
from formulon.core.site.planning.plans import in_order
from formulon.core.site.planning.rhythms import beat_of, grounds, in_proportion, unreadable
from formulon.core.site.planning.telling import Options, Telling
from formulon.core.site.planning.writer import BriefWriter, Writer, shorten
from formulon.core.site.site import MOST_SECTIONS, Asset, Frame, Page, Section, Site
from formulon.core.site.values import placeholder
from formulon.core.system.documents.choices import Choices, GroundName
from formulon.core.system.documents.identity import ClientText, Identity, free_id
from formulon.core.system.facets.proportions import proportions
from formulon.core.system.resolve import resolve
from formulon.core.type.library import SHIPPED, Library
from formulon.core.type.shaping import collapsed

# Kinds of which a section of the start page may be composed, how many sections are, and how many placements are tried for each.
_COMPOSED = (
    "articles",
    "cards",
    "features",
    "figures",
    "offers",
    "picture_text",
    "press",
    "prices",
    "quotes",
    "steps",
    "team",
    "text",
)
_MOST_COMPOSED = 2
_ABOUT, _EVEN = 0.05, 0.5  # of a rank, by which another is about as good; and the least balance of what is planned
_TRIED = 40
_SUBJECTS = 8  # that a brand gets drawings of
# What was composed for the newest contents: the same brand is planned again and again, for its answer, its previews and its proposals.
_KNOWN: dict[tuple[Any, ...], str] = {}
_MOST_KNOWN = 256
_TITLE = 160  # characters, as Page has them


def plan(
    identity: Identity, choices: Choices | None = None, assets: list[Asset] | None = None, writer: Writer | None = None,
    library: Library = SHIPPED, composed: bool = True,
) -> Site:  # fmt: skip
    """The site of an identity: as many pages as its material supports and all that the brief wants, or one page. One section of the start
    page is composed for what it says; without `composed` the catalogue alone is drawn on, which is quicker."""
    made = _Plan(identity, choices or Choices(), assets or [], writer or BriefWriter(), library, composed)
    pages = made.pages()
    site = Site(identity=identity, choices=made.choices, frame=made.frame(), pages=pages, assets=assets or [])
    return site.with_library(library)


def forget() -> None:
    """Forgets what was composed, for measuring."""
    _KNOWN.clear()


class _Plan:
    def __init__(self, identity: Identity, choices: Choices, assets: list[Asset], writer: Writer, library: Library,
        composed: bool,
    ) -> None:  # fmt: skip
        self.identity, self.choices, self.writer = identity, choices, writer
        told_by = f"{identity.name}\n{choices.arrangement}" if choices.arrangement else identity.name
        self.topics = Telling(identity, assets, writer, told_by, lambda key: self.assigned.goes(key))
        self.assigned = assigned(
            identity, self.topics.weight, self.topics.say, self.topics.offers_need_a_page(), self.topics.material
        )
        self.topics.names = self.assigned.names
        self.arrangement = Arrangement(identity.character, told_by, bool(self.topics.assets))
        system = resolve(identity, choices, library)
        self.composer = Composer(system, choices, identity) if composed else None
        self.unreadable = unreadable(system)
        stated, seed = proportions(identity).stated, self.topics.seed
        beat = in_proportion(stated, identity, system, self.unreadable, seed) if stated else None
        self.rhythm = choices.rhythm or (beat or beat_of(identity.character, seed, self.unreadable)).rhythm
        self.headlines = Headlines(system, identity.language)
        self.inner: tuple[str, ...] = ()  # the composition that opens inner pages, once there is one
        self.drawings, self.drawn = self._drawings(), 0

    def _drawings(self) -> list[str]:
        """Which drawings the brand gets, in their order: what its words and its trade are about, and between them abstract ones that
        go with its mark."""
        identity, seed = self.identity, self.topics.seed
        said = " ".join([identity.does, identity.strapline, *(f"{one.name} {one.text}" for one in identity.offers)])
        subjects = suited(identity.organisation, said)[:_SUBJECTS]
        symbol = next(
            (one.svg for one in identity.marks if one.kind == "symbol"), identity.marks[0].svg if identity.marks else ""
        )
        abstract = list(with_mark(symbol))
        made: list[str] = []
        for index in range(max(len(subjects), len(abstract))):
            made += subjects[index : index + 1]
            if index % 2 or not subjects:
                made.append(abstract[(seed + index) % len(abstract)])
        return made

    def frame(self) -> Frame:
        identity, topics = self.identity, self.topics
        reach = topics.action(topics.say("get_in_touch") or topics.name_of("contact"), "contact")
        kind, layout = self._frame_pick("header", {"action": reach})
        header = Section(id="header", kind=kind, layout=layout, ground="navigation", content=filled(kind, {"action": reach}))
        where = identity.contact.address or identity.place
        content = {"text": shorten(identity.strapline or identity.does, 300), "note": where}
        kind, layout = self._frame_pick("footer", content)
        footer = Section(id="footer", kind=kind, layout=layout, ground="deep", content=filled(kind, content))
        return Frame(header=header, footer=footer, order=list(self.assigned.ids.values()))

    def _frame_pick(self, kind: Literal["header", "footer"], content: dict[str, Any]) -> Pick:
        """The composition of header or footer: as the choices have it, else that which suits."""
        chosen = self.choices.header if kind == "header" else self.choices.footer
        return (kind, chosen) if chosen in CATALOGUE[kind].layouts else self.arrangement.pick(every(kind), content)

    def pages(self) -> list[Page]:
        return [self._page(key, turn) for turn, key in enumerate(self.assigned.told)]

    def _page(self, key: str, turn: int) -> Page:
        """A page: its opening, what it tells, and what closes it."""
        home = key == "home"
        wanted, told = self._told(key, turn)
        ground = iter(grounds(self.rhythm, sum(not options[0].goes_on for options in wanted), home))
        sections: list[Section] = []
        for options in wanted:
            goes_on = options[0].goes_on and sections
            found = self._composed(options, sections[-1].ground if goes_on else next(ground), sections)
            if found:
                sections.append(found)
                if not home and found.kind == "hero":
                    self.inner = (found.layout,)
        sections = self._own(sections) if home else sections
        name = self.assigned.names[key]
        return Page(
            id=self.assigned.ids[key], name=name, title=self._title(key, name), description=self._description(key, sections, told),
            sections=sections,
        )  # fmt: skip

    def _own(self, sections: list[Section]) -> list[Section]:
        """The sections of the start page, of which one or two are composed for what they say, so that they stand on no other site.
        One that could be is left as the catalogue has it, where there are several."""
        open_ = [at for at in range(1, len(sections) - 1) if sections[at].kind in _COMPOSED and not _goes_on(sections, at)]
        if self.composer is None or not open_:
            return sections
        first = self.topics.seed % len(open_)
        made = list(sections)
        for turn in range(min(_MOST_COMPOSED, max(1, len(open_) - 1))):
            at = open_[(first + 2 * turn) % len(open_)] if len(open_) % 2 else open_[(first + turn) % len(open_)]
            made[at] = made[at].model_copy(update={"layout": self._composition(self.composer, made, at)})
        # Few layouts close a page: on every other site that, too, is composed.
        if made[-1].kind == "call_to_action" and self.topics.seed // 5 % 2:
            made[-1] = made[-1].model_copy(update={"layout": self._composition(self.composer, made, len(made) - 1)})
        return made

    def _composition(self, composer: Composer, sections: list[Section], at: int) -> str:
        """What is composed for a section of the start page, between those beside it; its own layout where nothing passes."""
        one = sections[at]
        around = [(beside.kind, beside.layout) if beside else None for beside in (sections[at - 1], (*sections, None)[at + 1])]
        key = self.identity.model_dump_json(), self.choices.model_dump_json(), one.model_dump_json(), *around
        layout = _KNOWN.get(key)
        if layout is None:
            found = composer.compose(
                one.kind, one.content, before=around[0], after=around[1], seed=self.topics.seed, number=3, tried=_TRIED,
                passes=lambda name: not self._unread((one.kind, name), one.ground, one.content),
            )  # fmt: skip
            # The best for few contents is the best for many brands: which of those that are about as good stands is the brand's.
            good = [
                made for made in found if made.score >= found[0].score - _ABOUT and made.measure("balance") >= _EVEN
            ] or found[:1]
            layout = _KNOWN[key] = good[self.topics.seed // 3 % len(good)].layout if good else one.layout
            for old in list(_KNOWN)[:-_MOST_KNOWN]:
                _KNOWN.pop(old, None)  # another request may have let it go already
        return layout

    def _told(self, key: str, turn: int) -> tuple[list[Options], Block]:
        """What stands on a page from the top, and the block that opens it."""
        topics, told = self.topics, self.assigned.told[key]
        one_page = len(self.assigned.told) == 1
        closing = [topics.closing(key == "home", turn)] if key != "contact" and not one_page else []
        if key == "home":
            first = ranked(topics.openings(told), self.arrangement, [])[0][0]
            rest = list[Options]()
            for topic in in_order(told if "offers" in told else ["offers", *told], self.choices.order):
                if topic in told and topic not in first.tells:
                    rest += topics.blocks(topic, key)
                elif topic not in told:  # they have a page of their own
                    rest.append(topics.teaser())
            return [[first], *_as_many(rest, closing), *closing], first
        first, left = topics.beginning(key, self.assigned.names[key])
        if self.inner and self.inner[0] in first.only and not self._pictures_inner():
            first = replace(first, only=self.inner)
        rest = [topics.story(left, f"{key.replace('_', '-').replace(':', '-')}-told")] if left else []
        rest += [made for topic in told for made in topics.blocks(topic, key)]
        if not rest and not first.content.get("text"):
            gap = placeholder(f"What visitors should know about: {self.assigned.names[key]}")
            first = replace(first, content=first.content | {"text": gap})
        return [[first], *_as_many(rest, closing), *closing], first

    def _pictures_inner(self) -> bool:
        """Whether the composition that opens inner pages shows a picture, of which there may be none left."""
        return "picture" in CATALOGUE["hero"].layouts[self.inner[0]].drawn and not self.topics.shown

    def _composed(self, options: Options, ground: GroundName, before: Sequence[Section]) -> Section | None:
        """The best of some blocks as a section: in the composition that suits it and in which its headline fits uncut. None where
        there is none."""
        found = ranked(options, self.arrangement, [(one.kind, one.layout) for one in before])
        if options[0].goes_on and before:
            found = [one for one in found if one[1] == (before[-1].kind, before[-1].layout)] or found
        said = {str(one.content.get("heading", "")).casefold() for one in before}
        chosen: tuple[int, Block, Pick, str] | None = None
        for block, pick in found:
            fresh = [one for one in block.headings if one and one.casefold() not in said] or list(block.headings)
            heading, whole = self.headlines.first(fresh, *pick) if "heading" in CATALOGUE[pick[0]].slots else ("", True)
            over = self.headlines.excess(*pick, block.content) + (not whole) + self._unread(pick, ground, block.content)
            if chosen is None or over < chosen[0]:
                chosen = over, block, pick, heading
            if not over:
                break
        if chosen is None:
            return None
        _, block, (kind, layout), heading = chosen
        self.arrangement.used.append((kind, layout))
        return Section(
            id=free_id(block.name, [one.id for one in before], 60), kind=kind, layout=layout, ground=ground, source=block.source[:200],
            content=filled(kind, {"heading": heading} | self._pictured(kind, layout, block.content)),
            menu=block.menu[:60] if len(self.assigned.told) == 1 and not block.goes_on else "",
        )  # fmt: skip

    def _unread(self, pick: Pick, ground: GroundName, content: dict[str, Any]) -> int:
        """How many cards of a section would stand on grounds on which something cannot be read."""
        section = Section.model_construct(id="tried", kind=pick[0], layout=pick[1], ground=ground, content=content)
        return sum(count for card, count in card_counts(section, self.choices).items() if card in self.unreadable)

    def _pictured(self, kind: str, layout: str, content: dict[str, Any]) -> dict[str, Any]:
        """A content with pictures where its layout shows some."""
        made, declared = dict(content), CATALOGUE[kind]
        for path in sorted(layout_of(declared, layout).drawn):
            if not declared.has(path) or not declared.slot(path).of.picture:
                continue
            slot, _, part = path.partition("/")
            if not part:
                made[slot] = made.get(slot) or self._picture()
            elif isinstance(made.get(slot), list):
                made[slot] = [item if item.get(part) else item | {part: self._picture()} for item in made[slot]]
        return made

    def _picture(self) -> dict[str, Any]:
        """The next of the brand's own pictures, with its name as text; else a drawing, which only decorates."""
        asset = self.topics.next_picture()
        if asset:
            return {"source": f"asset:{asset.id}", "alt": asset.name, "decorative": not asset.name}
        number, seed = self.drawn, self.topics.seed
        kind = self.drawings[number % len(self.drawings)]
        self.drawn += 1
        return {"source": f"drawn:{kind}/{(seed + number * 37) % 1000}", "alt": "", "decorative": True}

    # What search engines read

    def _title(self, key: str, name: str) -> str:
        identity = self.identity
        if key == "home":
            return shorten(f"{identity.name} – {identity.strapline}" if identity.strapline else identity.name, _TITLE)
        return shorten(f"{name} – {identity.name}", _TITLE)

    def _description(self, key: str, sections: Sequence[Section], opening: Block) -> str:
        """A description out of the first text of the page that says something of its own."""
        identity, contact = self.identity, self.identity.contact
        said = [str(opening.content.get("text", ""))]
        if key == "home":
            said.append(identity.strapline)
        elif key == "contact":
            facts = ", ".join(filter(None, (contact.address or identity.place, contact.phone, contact.email)))
            said = (
                [self.topics.say("contact_description", name=identity.name, facts=facts) or f"{identity.name}: {facts}."]
                if facts
                else []
            )
        elif key == "offer":
            said = [f"{identity.name}: {said[0]}"] if identity.offers else []
        else:
            said = [*said, *_texts(sections)]
            named = self.topics.say("about_name", name=identity.name) if key == "about" else self.assigned.names[key]
            said = [f"{named or identity.name}: {text}" for text in said if text and "[[" not in text]
        text = next((one for one in said if one and "[[" not in one), "")
        return self.writer.description(collapsed(text)) if text else ""


def _as_many(rest: list[Options], closing: list[Options]) -> list[Options]:
    """What stands between the opening of a page and its close, as far as a page holds it; what it does not hold waits."""
    return rest[: MOST_SECTIONS - 1 - len(closing)]


def _goes_on(sections: Sequence[Section], at: int) -> bool:
    """Whether a section is a part of a list that stands in several."""
    one = sections[at]
    return any(beside.kind == one.kind and beside.layout == one.layout for beside in (sections[at - 1], sections[at + 1]))


def _texts(sections: Sequence[Section]) -> list[str]:
    """What sections say, the texts of items one after the other."""
    made = []
    for section in sections:
        content = section.content
        made.append(str(content.get("text") or content.get("body") or ""))
        items = content.get("items") or []
        made.append(
            ", ".join(str(one.get("title") or one.get("name") or one.get("text") or one.get("label") or "") for one in items)
        )
        rows = (content.get("table") or {}).get("rows") or []
        made.append(", ".join(": ".join(row) for row in rows))
    return [ClientText(text=one[:4000]).text for one in made if one.strip(" ,")]
