"""Which page tells what: every topic that there is something to tell of stands on one page, and thin pages become sections."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from typing import cast

from formulon.core.site.phrases import page_named
from formulon.core.site.planning.material import Material, page_id
from formulon.core.site.planning.plans import ELSEWHERE, PAGES, Topic, plan_of
from formulon.core.site.planning.writer import shorten
from formulon.core.system.documents.identity import Identity, free_id

USUAL = ("home", "about", "offer", "contact")
_ENOUGH = 2.0  # weight of topics that make a page of their own
_MOST = 12
_NAME = 60  # characters, as Page has them
# The sections that tell what a key names where it has no page, on the start page.
_SECTIONS = {"offer": "cards", "about": "picture-text", "contact": "reach"}


@dataclass(slots=True)
class Assigned:
    """The topics of each page by its key, in the order of the pages; their ids and their names."""

    told: dict[str, list[Topic]] = field(default_factory=dict)
    ids: dict[str, str] = field(default_factory=dict)
    names: dict[str, str] = field(default_factory=dict)
    own: dict[str, list[Topic]] = field(default_factory=dict)  # topics of files that are a page's

    def goes(self, key: str) -> str:
        """The destination of what a key names: its page, else the section of the start page that tells it; empty for neither."""
        if key in self.told:
            return f"page:{self.ids[key]}"
        topic = {"offer": "offers", "contact": "reach"}.get(key)
        if topic in self.told["home"]:
            return f"page:{self.ids['home']}#{_SECTIONS[key]}"
        return ""


def assigned(
    identity: Identity, weight: Callable[[Topic], float], say: Callable[[str], str], offers_need_a_page: bool, material: Material,
) -> Assigned:  # fmt: skip
    """Pages and topics by the plan of the kind of organisation: those that the brief wants, those that are usual and have enough to
    tell, and the usual four as far as there is anything for them."""
    plan = plan_of(identity.organisation)
    called, wanted = _wanted(identity.pages)
    named = {key: wanted.get(key) or say(key) for key in dict.fromkeys((*wanted, *plan.pages))}
    own = material.place({key: name for key, name in named.items() if name}) if identity.extent == "pages" else {}
    for key in [key for key in own if key not in wanted and material.amount(key) < _ENOUGH]:
        material.release(key)
        own.pop(key)
    free: list[Topic] = [topic for topic in ELSEWHERE if weight(topic)]
    made = Assigned()
    pages: dict[str, list[Topic]] = {}
    names = {key: called.get(key) or say(key) for key in USUAL}
    names["offer"] = called.get("offer") or say(plan.offer) or say("offer")

    def take(topics: Sequence[Topic]) -> list[Topic]:
        taken = [topic for topic in topics if topic in free]
        for topic in taken:
            free.remove(topic)
        return taken

    if identity.extent == "pages":
        if "offer" in called or offers_need_a_page:
            pages["offer"] = take(["offers"])
        for key in dict.fromkeys((*wanted, *plan.pages)):
            topics = [topic for topic in PAGES.get(key, ()) if topic in free]
            enough = key in own or (bool(say(key)) and bool(topics) and sum(map(weight, topics)) >= _ENOUGH)
            if key in wanted or (enough and len(pages) < _MOST - 3):
                names[key] = named[key]
                pages[key] = take(topics)
                owned = cast(list[Topic], [topic for topic in own.get(key, ()) if topic not in pages[key]])
                made.own[key] = owned
            elif key in own:
                material.release(key)
                free += [topic for topic in cast(list[Topic], own[key]) if topic not in free]
        about = [topic for topic in PAGES["about"] if topic in free]
        if "about" in called or sum(map(weight, about)) >= _ENOUGH:
            pages["about"] = take(about)
        pages["contact"] = take(["reach"])
    home = take(plan.home)
    for topic in list(free):
        target = pages.get(ELSEWHERE[topic], home)
        target.extend(take([topic]))
    if "contact" in pages:  # what a page of contact tells stands in its own order
        pages["contact"].sort(key=PAGES["contact"].index)
    elif "reach" in home:
        home.append(home.pop(home.index("reach")))
    material.common = {topic: key for key, topics in {"home": home, **pages}.items() for topic in topics}
    for key, topics in made.own.items():  # what a file tells stands as its page is usually ordered, and else as the file is
        usual = PAGES.get(key, ())
        pages[key] = sorted([*pages[key], *topics], key=lambda topic: usual.index(topic) if topic in usual else len(usual))
    made.told = {"home": home, **pages}
    for key in made.told:
        wish = key if key in USUAL else page_id(names[key]) if key in wanted else key.replace("_", "-")
        taken = (*made.ids.values(), "index", "404", *(one for one in USUAL if one != key))
        made.ids[key] = free_id(wish, taken)
    made.names = names
    return made


def _wanted(names: list[str]) -> tuple[dict[str, str], dict[str, str]]:
    """How the brief calls the usual pages, and the other pages that it wants, each once, by their key."""
    called: dict[str, str] = {}
    wanted: dict[str, str] = {}
    seen: set[str] = set()
    for name in (shorten(name, _NAME) for name in names):
        plain, key = " ".join(name.casefold().split()), page_named(name)
        if key in USUAL:
            called.setdefault(key, name)
        elif plain and plain not in seen:
            wanted[key if key and key not in wanted else f"own:{len(wanted)}"] = name
        seen.add(plain)
    return called, wanted
