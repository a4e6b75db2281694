"""What a site of each kind of organisation is made of, as data: what its start page says, in which order, and which pages it has
besides where the client's material supports them. Common practice.

A topic is something that a site can tell: the offers, a price list, the ways to get there. Each is told once. Where its page is too
thin to stand alone, it is told on the page that `ELSEWHERE` names.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from formulon.core.system.documents.choices import SectionOrder

Topic = Literal[
    "offers", "audience", "figures", "proof", "quotes", "prices", "dates", "hours", "ways", "questions", "steps", "people",
    "moments", "about", "stories", "gallery", "reach",
]  # fmt: skip


@dataclass(frozen=True, slots=True)
class SitePlan:
    """The topics of the start page in order, what the offers' page is called, the pages that are usual, and what else than words
    may open the site: the programme ("dates"), the price list ("prices"), a form ("form")."""

    home: tuple[Topic, ...]
    pages: tuple[str, ...] = ()
    offer: str = "offer"
    opens: tuple[str, ...] = ()


# What each page tells. A page of its own needs a weight of two (`weight` of the planner).
PAGES: dict[str, tuple[Topic, ...]] = {
    "visit": ("hours", "prices", "ways", "questions"),
    "programme": ("dates",),
    "making": ("steps", "moments", "gallery"),
    "courses": ("dates", "prices", "questions"),
    "dishes": ("prices",),
    "bookings": ("questions",),
    "treatments": ("prices",),
    "first_visit": ("steps", "questions"),
    "work": ("gallery", "quotes"),
    "how_we_work": ("steps", "questions"),
    "area": ("ways",),
    "range": ("prices", "gallery"),
    "delivery": ("questions",),
    "fees": ("prices", "questions"),
    "teachers": ("people",),
    "take_part": ("steps", "dates", "questions"),
    "rooms": ("prices", "gallery"),
    "around_us": ("gallery", "ways"),
    "getting_here": ("ways", "hours", "questions"),
    "tickets": ("prices",),
    "prices": ("prices",),
    "questions": ("questions",),
    "team": ("people",),
    "pictures": ("gallery",),
    "history": ("moments",),
    "offer": ("offers",),
    "about": ("about", "stories", "people", "moments", "proof"),
    "contact": ("reach", "hours", "ways", "questions"),
}

# The page that tells a topic that has none of its own.
ELSEWHERE: dict[Topic, str] = {
    "offers": "home", "audience": "home", "figures": "home", "quotes": "home", "dates": "home", "steps": "home", "prices": "offer",
    "proof": "about", "people": "about", "moments": "about", "about": "about", "stories": "about", "gallery": "about",
    "hours": "contact", "ways": "contact", "questions": "contact", "reach": "contact",
}  # fmt: skip

ANY = SitePlan(
    ("offers", "audience", "figures", "quotes", "dates", "steps"), ("visit", "prices", "questions", "team", "history")
)

PLANS: dict[str, SitePlan] = {
    "visit": SitePlan(("dates", "offers", "audience", "figures", "quotes", "hours"), ("visit", "programme", "team"), opens=("dates",)),
    "workshop": SitePlan(("audience", "offers", "steps", "figures", "quotes"), ("making", "courses", "prices"), opens=("figures",)),
    "table": SitePlan(("hours", "offers", "audience", "quotes", "figures"), ("dishes", "bookings", "team"), "offer", ("prices",)),
    "practice": SitePlan(
        ("offers", "audience", "hours", "steps", "quotes", "figures"), ("first_visit", "team", "fees"), "treatments", ("form", "figures")
    ),
    "counsel": SitePlan(
        ("figures", "offers", "audience", "steps", "quotes"), ("work", "how_we_work", "team"), "offer", ("figures", "form")
    ),
    "trade": SitePlan(("offers", "figures", "audience", "steps", "quotes"), ("work", "area", "prices"), "offer", ("form", "figures")),
    "shop": SitePlan(("offers", "hours", "audience", "figures", "quotes"), ("delivery", "prices"), "range", ("prices",)),
    "school": SitePlan(
        ("audience", "offers", "dates", "figures", "quotes", "steps"), ("fees", "teachers", "programme"), "courses", ("dates", "figures")
    ),
    "cause": SitePlan(("figures", "audience", "offers", "quotes", "dates"), ("take_part", "team", "history"), "offer", ("figures",)),
    "stay": SitePlan(("offers", "audience", "figures", "quotes", "hours"), ("prices", "around_us", "getting_here"), "rooms", ("form",)),
    "event": SitePlan(
        ("dates", "offers", "figures", "audience", "quotes"), ("programme", "tickets", "getting_here"), "offer", ("dates", "figures")
    ),
}  # fmt: skip


def plan_of(organisation: str) -> SitePlan:
    """The plan of a kind of organisation; one for any where it is not said."""
    return PLANS.get(organisation, ANY)


# What each order of sections tells first on the start page.
FIRST: dict[SectionOrder, tuple[Topic, ...]] = {
    "usual": (), "offers": ("offers", "prices", "dates"), "proof": ("figures", "quotes", "proof"), "people": ("audience", "about", "people"),
}  # fmt: skip


def in_order(topics: Sequence[Topic], order: SectionOrder) -> list[Topic]:
    """The topics of a start page in an order of sections: what it tells first, then the rest as they are."""
    first = FIRST[order]
    return sorted(topics, key=lambda topic: first.index(topic) if topic in first else len(first))
