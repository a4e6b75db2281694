"""A page shows what its name promises (common practice)."""

import re
from collections.abc import Callable, Iterator, Mapping

from formulon.core.checks.page_facts import Destination, FormFact, PictureFact, TextRun
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule
from formulon.core.checks.views import PageView
from formulon.core.site.phrases import page_named

_MONEY = re.compile(r"(?:[€£$¥₩₹₺₪]|\b(?:CHF|EUR|GBP|USD|kr|zł|Kč|Ft|lei|kn|Euro))\s?\d|\d\s?(?:[€£$¥₩₹₺₪円원]|(?:CHF|EUR|GBP|USD|kr|zł|Kč|Ft|lei|Euro)\b)")  # fmt: skip
_YEAR = re.compile(r"(?<!\d)1[5-9]\d\d(?!\d)|(?<!\d)20[0-4]\d(?!\d)")
_DAY = re.compile(r"(?<!\d)[0-3]?\d[.:/ ](?:[0-2]?\d\b|\s?\w{3,})|(?<!\d)[0-2]?\d:[0-5]\d(?!\d)|\d{4}-\d\d-\d\d|\d月")
_ANYTHING = frozenset(("own_code", "long_text", "article"))  # kinds of which nobody knows what they tell


def _says(pattern: re.Pattern[str], least: int = 1) -> Callable[[PageView], bool]:
    def holds(page: PageView) -> bool:
        texts = {fact.text for section in page.own for fact in section.facts if isinstance(fact, TextRun)}
        return sum(len(pattern.findall(text)) for text in texts) >= least

    return holds


def _shows(least: int) -> Callable[[PageView], bool]:
    return lambda page: (
        sum(isinstance(fact, PictureFact) for section in page.own for fact in section.facts) >= least
    )  # fmt: skip


def _reached(page: PageView) -> bool:
    facts = [fact for section in page.own for fact in section.facts]
    return any(isinstance(fact, FormFact) for fact in facts) or any(
        isinstance(fact, Destination) and fact.to.startswith(("mailto:", "tel:", "https://wa.me/")) for fact in facts
    )


def _never(_: PageView) -> bool:
    return False


_PRICES = "prices", frozenset(("prices",)), _says(_MONEY)
# By the key of a page's name: what it promises, the kinds of sections that keep that, and what else does.
PROMISES: dict[str, tuple[str, frozenset[str], Callable[[PageView], bool]]] = {
    **dict.fromkeys(("prices", "fees", "tickets"), _PRICES),
    "programme": ("dates", frozenset(("programme",)), _says(_DAY)),
    "team": ("people", frozenset(("team",)), _never),
    "teachers": ("people", frozenset(("team",)), _never),
    "pictures": ("pictures", frozenset(("gallery",)), _shows(2)),
    "questions": ("questions", frozenset(("questions",)), _never),
    "history": ("what happened when", frozenset(("timeline",)), _says(_YEAR, 2)),
    "contact": ("a way to get in touch", frozenset(("contact", "sign_up", "strip", "place")), _reached),
}


@rule(
    id="content/purpose",
    title="A page shows what its name promises",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PageView,
    applies_if=lambda page: page_named(page.head.name) in PROMISES,
    rationale="Whoever follows “Prices” and finds none has been sent there for nothing, and looks no further.",
    messages={"broken": "“{name}” promises {what}, and the page shows none."},
)
def purpose(page: PageView, _: Mapping[str, float]) -> Iterator[Verdict]:
    what, kinds, otherwise = PROMISES[page_named(page.head.name)]
    there = {section.head.kind for section in page.own}
    if not there & (kinds | _ANYTHING) and not otherwise(page):
        yield Verdict("broken", values={"name": page.head.name, "what": what, "text": page.head.name})
