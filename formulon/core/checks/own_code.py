"""The facts of a section in the designer's own HTML and CSS: its texts in their colours, its links, its pictures, what is not taken."""

import re
from collections.abc import Callable, Iterable, Iterator, Mapping
from dataclasses import replace
from functools import cache, partial
from typing import TYPE_CHECKING, Any

from formulon.core.checks.own_cascade import own_colors, own_texts, painted
from formulon.core.checks.page_facts import Destination, Fact, OwnCode, PagePlace, PictureFact
from formulon.core.checks.rule import SAID, Remedy, Verdict
from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.difference import difference
from formulon.core.color.parse import parse_color
from formulon.core.color.srgb import from_hex
from formulon.core.site.changes import Change, pointer
from formulon.core.site.documents import IDENTITY, located
from formulon.core.site.geometry import general
from formulon.core.site.kind import Slot
from formulon.core.site.own import scope_of
from formulon.core.site.own.css import Declared, scoped, tidied
from formulon.core.site.own.html import cleaned, tree_of
from formulon.core.site.site import Section, Site
from formulon.core.system.css import short_names
from formulon.core.system.documents.choices import GROUNDS
from formulon.core.system.documents.identity import MOST_COLORS
from formulon.core.system.policy import policy_of
from formulon.core.system.system import Scheme, System

if TYPE_CHECKING:
    from formulon.core.checks.predict import Prediction

_SETS_SIZE = re.compile(r"\bfont(-size)?\s*:")
INKS = ("heading", "body", "quiet", "link")  # of a ground, for texts
_STEPS = ("h2", "h3")
STATE = re.compile(r":(?:hover|focus|focus-visible|focus-within|active)\b")
_COLORING = frozenset(
    (
        "color",
        "background",
        "background-color",
        "background-image",
        "opacity",
        "filter",
        "mix-blend-mode",
        "-webkit-text-fill-color",
    )
)


def code_facts(
    work: "Prediction", place: PagePlace, section: Section, slot: Slot, value: dict[str, str], ground: str
) -> Iterator[Fact]:
    """All that is known of own HTML and CSS without a browser."""
    scope = scope_of(section.id, value["html"], value["css"])
    untold = list[str]()
    for scheme in work.system.schemes:
        for text in own_texts(value["html"], value["css"], scope, properties(work.system, ground, scheme)):
            if "" in (text.color, text.behind):
                untold.append(text.text)
                continue
            # Where type has sizes of its own no text is taken for a large one, which would need less contrast.
            step = text.tag if text.tag in _STEPS and not _SETS_SIZE.search(value["css"]) else slot.step
            for run in work.runs(place, text.text, text.tag, step, ground, text.ink):
                if run.scheme == scheme:
                    yield replace(run, foreground=text.color or run.foreground, background=text.behind or run.background)
    own = cleaned(value["html"], scope)
    for one in tree_of(own.html).iter("a", "img"):
        if one.tag == "img":
            yield _picture(work, place, one.get("src", ""), one.get("alt"))
        elif not (to := one.get("href", "")).startswith("#"):
            yield Destination(place, " ".join(" ".join(one.itertext()).split()), to, work.alive(to))
    left_out = (*own.left_out, *scoped(value["css"], scope).left_out)
    yield OwnCode(place, left_out, own_colors(value["css"], scope), tuple(dict.fromkeys(untold)), section.reason.strip())


def _picture(work: "Prediction", place: PagePlace, source: str, alt: str | None) -> PictureFact:
    """A picture in HTML: an empty alternative says that it decorates, none says nothing (HTML, 4.8.4.4)."""
    return work.picture(place, {"source": source, "alt": alt or "", "decorative": alt == ""})


def properties(system: System, ground: str, scheme: Scheme) -> dict[str, str]:
    """The custom properties that hold on a ground in a scheme."""
    made = {token.property: system.css(token.path, scheme) for token in system.tokens.values()}
    return made | {
        f"--{name}": made[full] for name in short_names() if (full := f"--ground-{ground}-{name}") in made
    }  # fmt: skip


def rewritten(site: Site, place: PagePlace, make: Callable[[dict[str, str]], dict[str, str]]) -> Change | None:
    """The change that puts other HTML and CSS into the slot at a place; None where it is as it was."""
    found = located(site, place.page, place.section)
    if found is None:
        return None
    document, base, section = found
    value = section.content[place.slot]
    made = {**value, **make(value)}
    patch = [{"op": "replace", "path": pointer(*base, "content", place.slot), "value": made}]
    return Change(document=document, patch=patch) if made != value else None


def colors_on(system: System, ground: str, scheme: Scheme | None = None) -> dict[str, str]:
    """The colours of the system that own CSS on a ground would take, by their custom properties, in a scheme or else the first."""
    made = properties(system, ground, scheme or system.schemes[0])
    names = [f"--{name}" for name in short_names()] + [f"--ground-{one}-background" for one in GROUNDS]
    return {name: made[name] for name in names if re.fullmatch(r"#[0-9a-f]{6}", made.get(name, ""))}


def from_system(site: Site, system: System, place: PagePlace) -> Iterator[Remedy]:
    """Each colour that is written out in the own CSS at a place, as the nearest of the system's on the section's ground."""
    section = of_code(site, place)
    if section is None:
        return
    in_all = [
        {name: from_hex(color) for name, color in colors_on(system, section.ground, one).items()} for one in system.schemes
    ]
    known = in_all[0]
    least = policy_of(site.choices).text

    inks = [name for name in known if name.removeprefix("--") in INKS]

    def nearest(color: str, among: Iterable[str]) -> str:
        return min(among, key=lambda one: (difference(known[one], from_hex(color)), one))

    @cache
    def readable(back: str) -> list[str]:
        """What can be read on a colour in every scheme."""
        return [name for name in known if all(contrast_ratio(one[name], one[back]) >= least for one in in_all)]

    def taken(one: Declared, color: str) -> str:
        """Of texts an ink; of texts and the background that the same rule gives them a pair that can be read; of anything else whatever is
        nearest."""
        back = next(iter(_colors(one.beside.get("background-color") or one.beside.get("background", ""))), "")
        if not back or "color" not in one.beside:
            return f"var({nearest(color, inks if one.name == 'color' else known)})"
        grounds = [name for name in known if readable(name)] or list(known)
        if one.name != "color":
            return f"var({nearest(color, grounds if one.name.startswith('background') else known)})"
        return f"var({nearest(color, readable(nearest(back, grounds)) or known)})"

    change = _painted(site, place, taken)
    if change:
        yield Remedy("Take the nearest colours of the system", (change,))


def from_system_at(site: Site, system: System, fact: Any, verdict: Verdict, _: Mapping[str, float]) -> Iterator[Remedy]:
    """The same, for rules whose verdicts say where they stand."""
    yield from from_system(site, system, verdict.place or fact.place)


def _colors(value: str) -> list[str]:
    """The colours that are written out in a value."""
    found: list[str] = []

    def noted(color: str) -> str:
        found.append(color)
        return color

    painted(value, noted)
    return found


def as_at_rest(site: Site, place: PagePlace) -> Iterator[Remedy]:
    """The own CSS at a place without what its rules for pointer and keyboard do to colours."""

    if of_code(site, place) is None:
        return

    def kept(one: Declared) -> str:
        moved = all(STATE.search(selector) for selector in one.selectors.split(","))
        return "" if moved and one.name in _COLORING else one.value

    change = rewritten(site, place, lambda own: {"css": tidied(own["css"], kept)})
    if change:
        yield Remedy("Let colours be as they are at rest", (change,))


def of_code(site: Site, place: PagePlace) -> Section | None:
    """The section at a place, where that is own HTML and CSS."""
    section = site.section(place.page, place.section)
    return section if section is not None and section.catalogue.slot(general(place.slot)).type == "code" else None


def _painted(site: Site, place: PagePlace, taken: Callable[[Declared, str], str]) -> Change | None:
    """The own CSS at a place with each colour that is written out replaced by what `taken` makes of it for a declaration."""
    return rewritten(site, place, lambda own: {"css": tidied(own["css"], lambda one: painted(one.value, partial(taken, one)))})


def as_brand_colors(site: Site, place: PagePlace) -> Iterator[Remedy]:
    """The colours that are written out in the own CSS at a place, as exact colours of the brand that it takes."""
    known = {parse_color(one.value).hex: one.id for one in site.identity.colors}
    added: dict[str, str] = {}

    def taken(_: Declared, color: str) -> str:
        value = color.lower()
        name = known.get(value) or added.setdefault(value, f"own-{value.removeprefix('#')}")
        return f"var(--brand-{name})"

    change = _painted(site, place, taken)
    if change is None or not added or len(site.identity.colors) + len(added) > MOST_COLORS:
        return
    patch = [
        {"op": "add", "path": "/colors/-", "value": {"id": name, "name": f"Own {value}", "value": value}}
        for value, name in added.items()
    ]
    label = f"Make {next(iter(added))} a colour of the brand" if len(added) == 1 else "Make them colours of the brand"
    yield Remedy(label, (Change(document=IDENTITY, patch=patch), change))


def kept_departing(site: Site, place: PagePlace) -> Iterator[Remedy]:
    """A section as a departure from the system, for a reason that a person gives."""
    found = located(site, place.page, place.section)
    if found is not None:
        patch = [{"op": "add", "path": pointer(*found[1], "reason"), "value": SAID}]
        yield Remedy(
            "Keep as a departure, because …", (Change(document=found[0], patch=patch),), "Why it departs from the system"
        )
