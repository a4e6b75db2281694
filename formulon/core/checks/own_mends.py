"""What is done to a designer's own CSS and HTML, so that a browser no longer sees what is wrong with them: mostly a declaration is taken out,
and the system's own stands in its place. Of other sections nothing is offered here, since their CSS is the system's."""

import re
from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass
from typing import Any

from formulon.core.checks.own_code import STATE, of_code, rewritten
from formulon.core.checks.page_facts import PagePlace
from formulon.core.checks.rule import Mend, Remedy, Verdict
from formulon.core.site.own.css import Declared, tidied
from formulon.core.site.site import Site
from formulon.core.system.system import System

Change = Callable[[Declared], str]
_LENGTH = re.compile(r"(?:\d+\.?\d*|\.\d+)(?:px|rem|em|pt|ch|ex|vh|vw|lh|cm|mm|in)")
_LINE = re.compile(r"\d*\.?\d+")
_ROUND = re.compile(r"^(?:0(?:px)?|50%|9{3,}px)$")
_HEIGHTS = frozenset(("height", "max-height", "block-size", "max-block-size", "-webkit-line-clamp", "line-clamp"))
_CUTS = re.compile(r"\b(?:hidden|clip)\b")
_SMALLER = frozenset(("xx-small", "x-small", "smaller"))
_MOVING = re.compile(
    r"^(?:font|padding|margin|border(?!-(?:\w+-)*(?:color|style|radius))|width|height|min-|max-|letter-spacing|word-spacing|line-height)"
)
_SPACES = re.compile(r"(?:margin|padding)(?:-.*)?|(?:row-|column-|grid-)?gap")
_WRITTEN = re.compile(r"(?<![\w.-])(\d*\.?\d+)(px|rem)\b")
_EMPTY = re.compile(r"<(h[1-6])\b[^<>]*>(?:\s|&nbsp;|<br>)*</\1>", re.IGNORECASE)
_HEADING = re.compile(r"\bh[1-6]\b")
_LARGEST = 22  # px up to which a text is running text


@dataclass(frozen=True, slots=True)
class Way:
    """What is done to each declaration of own CSS, under the words of a button: its new value, empty to take it out."""

    label: str
    change: Change


def _without(label: str, names: re.Pattern[str], values: re.Pattern[str] = re.compile("")) -> Way:
    """Declarations of some names taken out, where their value has something."""

    def change(one: Declared) -> str:
        return "" if names.fullmatch(one.name) and values.search(one.value) else one.value

    return Way(label, change)


def _grown(one: Declared) -> str:
    held = one.name in _HEIGHTS and (_LENGTH.fullmatch(one.value) or "clamp" in one.name)
    hides = any(_CUTS.search(value) for name, value in one.beside.items() if name.startswith("overflow"))
    return "" if held or (hides and one.name == "white-space") else one.value


def _raised(one: Declared) -> str:
    if one.name != "font-size" or one.value.startswith("max("):
        return one.value
    if one.value in _SMALLER:
        return ""
    return f"max(12px, {one.value})" if _LENGTH.fullmatch(one.value) or one.value.endswith(("%", ")")) else one.value


def _spaced(one: Declared) -> str:
    if one.name != "line-height":
        return one.value
    return one.value if _LINE.fullmatch(one.value) and float(one.value) >= 1.25 else ""


def _still(one: Declared) -> str:
    moved = all(STATE.search(selector) for selector in one.selectors.split(","))
    return "" if moved and _MOVING.match(one.name) else one.value


def _rounded(one: Declared) -> str:
    return "var(--shape-radius)" if one.name.endswith("-radius") and not _ROUND.fullmatch(one.value) else one.value


def _ringed(one: Declared) -> str:
    """The system's ring is an outline and a shadow."""
    focused = one.name == "box-shadow" and ":focus" in one.selectors
    return "" if focused or re.fullmatch(r"outline(-.*)?", one.name) else one.value


def _of_headings(one: Declared) -> str:
    alike = _HEADING.search(one.selectors) and re.match(r"font|color$|letter-spacing$|line-height$", one.name)
    return "" if alike else one.value


RING = Way("Leave the focus ring to the system", _ringed)
UNDERLINED = _without("Underline it again", re.compile(r"text-decoration(-line)?"), re.compile(r"\bnone\b"))
SMALL_LETTERS = _without("Leave the capitals out", re.compile(r"text-transform"), re.compile(r"\buppercase\b"))
FACES = _without("Leave typefaces to the system", re.compile(r"font-family|font"))
WEIGHTS = _without("Leave weights to the system", re.compile(r"font-weight|font"))
SHADOWS = _without("Leave shadows out", re.compile(r"box-shadow"))
GROWING = Way("Let boxes grow with their words", _grown)
RAISED = Way("Set nothing smaller than 12 px", _raised)
SPACED = Way("Leave tight lines to the system", _spaced)
STILL = Way("Let sizes be as they are at rest", _still)
CORNERS = Way("Take the system’s corners", _rounded)
HEADINGS = Way("Leave headings to the system", _of_headings)


def own_css(way: Way) -> Mend:
    """What a rule offers where what it tells stands in own CSS, or, of a rule for the whole site, in all of it."""

    def mend(site: Site, _: System, fact: Any, verdict: Verdict, __: Mapping[str, float]) -> Iterator[Remedy]:
        yield from _remedied(site, verdict.place or fact.place, way.label, lambda own: {"css": tidied(own["css"], way.change)})

    return mend


def answering(site: Site, _: System, fact: Any, verdict: Verdict, __: Mapping[str, float]) -> Iterator[Remedy]:
    """Controls in own HTML answer the pointer by a line around them, which is told from whatever they have at rest."""
    rule = "a:hover, summary:hover { outline: 2px solid currentColor !important; }"
    yield from _added(site, verdict.place or fact.place, "Frame it under the pointer", rule)


def shorter_lines(site: Site, place: PagePlace) -> Iterator[Remedy]:
    """Texts in own HTML no wider than can be read."""
    yield from _added(site, place, "Keep lines to 60 letters", "p, li, dd, blockquote, div { max-width: min(60ch, 100%); }")


def with_lines(site: Site, place: PagePlace) -> Iterator[Remedy]:
    """A line under each row of own HTML, which the eye follows."""
    yield from _added(site, place, "Draw a line under each row", "li, tr, dl > div { border-bottom: 1px solid currentColor; }")


def _added(site: Site, place: PagePlace, label: str, rule: str) -> Iterator[Remedy]:
    """A rule at the end of own CSS, once."""

    def add(own: dict[str, str]) -> dict[str, str]:
        return {"css": own["css"] if rule in own["css"] else f"{own['css']}\n{rule}".strip()}

    yield from _remedied(site, place, label, add)


def without_empty(site: Site, _: System, fact: Any, verdict: Verdict, __: Mapping[str, float]) -> Iterator[Remedy]:
    """Own HTML without headings that have no words."""
    yield from _remedied(
        site, verdict.place or fact.place, "Take the empty heading out", lambda own: {"html": _EMPTY.sub("", own["html"])}
    )


def nearest_sizes(site: Site, system: System, fact: Any, verdict: Verdict, __: Mapping[str, float]) -> Iterator[Remedy]:
    """Sizes that are written out in px or rem, in any own CSS, as the nearest of running text's."""
    sizes = {name: step.size(1280) for name, step in system.steps.items() if step.size(1280) <= _LARGEST}

    def snapped(one: Declared) -> str:
        written = re.fullmatch(r"(\d*\.?\d+)(px|rem)", one.value)
        if one.name != "font-size" or written is None or not sizes:
            return one.value
        size = float(written[1]) * (16 if written[2] == "rem" else 1)
        name = min(sizes, key=lambda name: (abs(sizes[name] - size), name))
        return f"var(--type-{name}-size)" if size <= _LARGEST else one.value

    label = "Take the nearest sizes of the system"
    yield from _remedied(site, PagePlace("", "", ""), label, lambda own: {"css": tidied(own["css"], snapped)})


def nearest_spaces(site: Site, system: System, fact: Any, verdict: Verdict, __: Mapping[str, float]) -> Iterator[Remedy]:
    """Margins, paddings and gaps that are written out in px or rem, in any own CSS, as the nearest of the system's."""
    held = ((path, token.value) for path, token in system.tokens.items() if re.fullmatch(r"space/\d+", path))
    sizes = {path.replace("/", "-"): float(value["large"]) for path, value in held}

    def near(written: re.Match[str]) -> str:
        size = float(written[1]) * (16 if written[2] == "rem" else 1)
        return written[0] if size <= 1 else f"var(--{min(sizes, key=lambda name: (abs(sizes[name] - size), name))})"

    def snapped(one: Declared) -> str:
        named = _SPACES.fullmatch(one.name) and "(" not in one.value
        return _WRITTEN.sub(near, one.value) if named and sizes else one.value

    label = "Take the nearest spaces of the system"
    yield from _remedied(site, PagePlace("", "", ""), label, lambda own: {"css": tidied(own["css"], snapped)})


def _remedied(site: Site, place: PagePlace, label: str, make: Callable[[dict[str, str]], dict[str, str]]) -> Iterator[Remedy]:
    changes = [change for one in _places(site, place) if (change := rewritten(site, one, make))]
    if changes:
        yield Remedy(label, tuple(changes))


def _places(site: Site, place: PagePlace) -> Iterator[PagePlace]:
    """Where own code stands that a place is about: there, or, where it is no section's, anywhere on the site."""
    if place.section:
        if of_code(site, place) is not None:
            yield place
        return
    for page in site.pages:
        for section in page.sections:
            for slot, one in section.catalogue.slots.items():
                if one.type == "code" and section.content.get(slot):
                    yield PagePlace(page.id, section.id, slot)
