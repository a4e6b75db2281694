"""The header measures itself: from which width of the viewport mark, navigation and action stand in one row, from which in two,
and below which the pages are behind a menu that opens without a script. Worked out from the shaped widths of the names.
"""

from collections.abc import Sequence
from functools import lru_cache

from formulon.core.site.geometry import GRID_FROM, action_size, content_width, px
from formulon.core.site.kinds.header.kind import HEADS, MOST_NAMES, Head
from formulon.core.site.phrases import phrases
from formulon.core.site.site import MenuEntry, Site
from formulon.core.site.ways import Way, direct, networks
from formulon.core.system.facets.lockup import size_of
from formulon.core.system.system import Step, System
from formulon.core.type.fit import cased, fit
from formulon.core.type.hyphens import hyphenated
from formulon.core.type.lines import text_width

NARROWEST, WIDEST, _EVERY = 320, 1920, 16  # px of viewport that are looked at
NEVER = 99_999
_LINES, _LEAST, _STEP = 2, 0.6, 0.05  # lines that a name may take on the narrowest phone, and how much smaller it may be
_MENU_EM = 1.75  # the menu's icon and the space beside it
_UNFOLD_EM = 1.5  # the mark beside what unfolds
_SPARE = 4.0  # px
_BESIDE = 16  # px that the header leaves around a mark by itself


def name_scale(site: Site, system: System) -> float:
    """How large the brand's name is drawn on phones, 0–1 of its step, so that it takes two lines at most on the narrowest."""
    step, language, size = system.steps["h3"], site.identity.language, system.steps["h3"].size(NARROWEST)
    room = content_width(system, NARROWEST) - _menu_width(site, system, NARROWEST) - px(system, "space/4", NARROWEST)
    name = hyphenated(site.identity.name, language)
    scale = 1.0
    while scale > _LEAST:
        found = fit(step.family, step.weight, name, size * scale, room, step.tracking, language, False)
        if found.lines <= _LINES and found.widest <= room:
            break
        scale = round(scale - _STEP, 2)
    return scale


# What tokens the header is measured by; a change of the others, as in a drag of a colour or of the radius, leaves it as it is.
_MEASURES = ("type/", "space/", "mark/", "button/", "link/", "shape/border")


class _Asked:
    """What `rows` looks at: a site's header and names, and the measures of the system."""

    def __init__(self, site: Site, system: System) -> None:
        self.site, self.system = site, system
        measures = [(path, str(token.value)) for path, token in system.tokens.items() if path.startswith(_MEASURES)]
        chosen, marks = system.mark(site.frame.header.ground), [(one.id, one.kind, size_of(one)) for one in site.identity.marks]
        shown = [(one.name, bool(one.under)) for one in site.header_menu()]
        said = (
            measures,
            chosen.mark,
            chosen.plate,
            marks,
            shown,
            site.frame.header.model_dump_json(),
            site.choices.logo.name_beside,
        )
        words = (site.identity.name, site.identity.language, site.choices.buttons.model_dump_json())
        self.key = system.steps["h3"], system.steps["label"], repr((said, words))

    def __hash__(self) -> int:
        return hash(self.key)

    def __eq__(self, other: object) -> bool:
        return isinstance(other, _Asked) and self.key == other.key


def rows(site: Site, system: System) -> dict[str, int]:
    """The least viewport width in px from which there is room for the action beside the menu ("menu"), for all names in a row
    of their own ("rows"), and for everything in one row ("row")."""
    return _rows(_Asked(site, system))


@lru_cache(maxsize=16)
def _rows(asked: _Asked) -> dict[str, int]:
    """`rows`, kept: the style sheet, the checks and the mark of a page's state ask for it one after the other."""
    site, system = asked.site, asked.system
    found = {"menu": NEVER, "rows": NEVER, "row": NEVER}
    scale = name_scale(site, system)
    for viewport in range(WIDEST, NARROWEST - 1, -_EVERY):
        for name, fits in _fits(site, system, viewport, scale if viewport < GRID_FROM else 1.0).items():
            if fits and (viewport == WIDEST or found[name] == viewport + _EVERY):
                found[name] = viewport
        if viewport not in found.values():
            break  # what does not fit here is not looked at below
    if head(site).row == "never":
        found["row"] = NEVER
    return found


def _fits(site: Site, system: System, viewport: int, scale: float) -> dict[str, bool]:
    """Which arrangements there is room for at a viewport width; `scale` is the name's."""
    content, gap = content_width(system, viewport), px(system, "space/4", viewport)
    mark, wraps = _mark_width(site, system, viewport, scale)
    action, links = _action_width(site, system, viewport), _links_width(site, system, viewport)
    beside = action + gap if action else 0.0

    def holds(room: float, lines: int) -> bool:
        if not wraps or lines == 1:
            return mark + _SPARE <= room
        return _name_lines(site, system, viewport, scale, room - _SPARE) <= lines

    # On phones a name of two lines over a row of names would leave no room for the page.
    lines = 1 if viewport < GRID_FROM else _LINES
    asked = head(site)
    along = mark + beside + (links + gap if links else 0.0)
    if asked.row == "centre":
        along = mark + 2 * max(links + gap, beside)
    elif asked.row == "wings":
        first, last = _wings(site, system, viewport)
        along = mark + 2 * max(first + gap, last + gap + beside)
    return {
        "menu": holds(content - beside - _menu_width(site, system, viewport) - gap, _LINES),
        "rows": holds(content - asked.sides * beside, lines) and links + _SPARE <= content,
        "row": along + _SPARE <= content,
    }


def head(site: Site) -> Head:
    """What is asked of the header's layout."""
    return HEADS[site.frame.header.layout]


def entries(site: Site) -> tuple[list[MenuEntry], list[MenuEntry]]:
    """What stands in the header's row, and what unfolds under a last entry, where there is too much."""
    found = site.header_menu()
    return (found, []) if len(found) <= MOST_NAMES else (found[: MOST_NAMES - 1], found[MOST_NAMES - 1 :])


def leaves(found: Sequence[MenuEntry]) -> list[MenuEntry]:
    """Everything that entries lead to, each by itself, with what stands under them in its place."""
    return [each for one in found for each in ((one._replace(under=()), *one.under) if one.to else one.under)]


def more(site: Site) -> str:
    """What the entry is called under which further pages unfold."""
    return phrases(site.identity.language).say("more") or "…"


def has_strip(site: Site) -> bool:
    """Whether something stands over the header: ways to reach the brand, where that is wanted and one is known, or the languages of the
    site, where it has several."""
    return has_ways(site) or bool(site.in_languages())


def has_ways(site: Site) -> bool:
    """Whether ways to reach the brand stand over the header: where that is wanted and one is known."""
    return site.choices.header_strip and bool(strip_ways(site) or site.identity.contact.address)


def strip_ways(site: Site) -> list[Way]:
    """What stands over the header: telephone first, since it is for who is on the way."""
    return [*reversed(direct(site.identity)), *networks(site.identity.social)]


def footer_ways(site: Site) -> list[Way]:
    """What stands in the footer."""
    return [*direct(site.identity), *networks(site.identity.social)]


def half(site: Site) -> int:
    """How many entries stand before a mark in the middle of them."""
    shown, folded = entries(site)
    return -(-(len(shown) + bool(folded)) // 2)


def name_room(site: Site, system: System, viewport: int, at: dict[str, int]) -> float:
    """Width in px that the brand's name has in the header at a viewport width; `at` as `rows` gives it."""
    content, gap = content_width(system, viewport), px(system, "space/4", viewport)
    action, menu = _action_width(site, system, viewport), _menu_width(site, system, viewport)
    if viewport >= at["row"]:
        return content
    if viewport >= at["rows"]:
        return content - (action + gap if action else 0.0)
    if viewport >= at["menu"]:
        return content - menu - gap - (action + gap if action else 0.0)
    return content - menu - gap


def header_css(template: str, site: Site, system: System) -> str:
    """The rules of the header by width, out of its style sheet with the widths left open, and of the name's size on phones."""
    scale = name_scale(site, system)
    if scale < 1:
        template += f"@media (max-width:{GRID_FROM - 1}px){{.mark-name{{font-size:calc({scale:g}*var(--type-h3-size))}}}}\n"
    for name, width in rows(site, system).items():
        template = template.replace(f"{name.upper()}px", f"{width}px")
    asked = head(site)
    if asked.mark != 1:
        template += f".mark--header {{\n  height: calc({asked.mark:g} * var(--mark-header-height));\n}}\n"
    if beyond(site, system, GRID_FROM):
        high = f"{asked.mark:g} * var(--mark-header-height) * var(--mark-clear-space)"
        template += f".header-home {{\n  margin: max(0px, calc({high} - {_BESIDE}px));\n}}\n"
    return template.replace("SPACE", asked.space).replace("HALF", str(half(site)))


def beyond(site: Site, system: System, viewport: int) -> float:
    """The room in px around the header's mark that its guideline asks for beyond what the header leaves."""
    if system.mark(site.frame.header.ground).mark is None or "mark/clear-space" not in system.tokens:
        return 0.0
    high = px(system, "mark/header-height", viewport) * head(site).mark
    return max(0.0, high * float(system.tokens["mark/clear-space"].value) - _BESIDE)


def _mark_width(site: Site, system: System, viewport: int, scale: float) -> tuple[float, bool]:
    """Width in px of what stands for the brand on one line, and whether it may take two."""
    chosen = system.mark(site.frame.header.ground).mark
    mark = next((one for one in site.identity.marks if one.id == chosen), None)
    step = system.steps["h3"]
    name = text_width(step.family, step.weight, site.identity.name, step.size(viewport) * scale, step.tracking)
    if mark is None:
        return name, True
    width, height = size_of(mark)
    high = px(system, "mark/header-height", viewport) * head(site).mark
    drawn = high * width / height
    plate = system.mark(site.frame.header.ground).plate
    room = high * float(system.tokens["mark/clear-space"].value) if "mark/clear-space" in system.tokens else 0.0
    drawn += (2 * room if plate else 0.0) + 2 * beyond(site, system, viewport)
    if site.choices.logo.name_beside and mark.kind == "symbol":
        return drawn + room + name, False
    return drawn, False


def _name_lines(site: Site, system: System, viewport: int, scale: float, room: float) -> int:
    """Lines of the name in a room of some px; NEVER where its longest word is wider."""
    step, language = system.steps["h3"], site.identity.language
    name = hyphenated(site.identity.name, language)
    found = fit(step.family, step.weight, name, step.size(viewport) * scale, max(1.0, room), step.tracking, language, False)
    return found.lines if found.widest <= room else NEVER


def _links_width(site: Site, system: System, viewport: int) -> float:
    wide = _link_widths(site, system, viewport)
    return sum(wide) + px(system, f"space/{head(site).space}", viewport) * (len(wide) - 1) if wide else 0.0


def _wings(site: Site, system: System, viewport: int) -> tuple[float, float]:
    """Widths in px of the names before a mark in the middle and of those after it."""
    wide, gap, first = _link_widths(site, system, viewport), px(system, f"space/{head(site).space}", viewport), half(site)
    before, after = (sum(part) + gap * max(0, len(part) - 1) for part in (wide[:first], wide[first:]))
    return before, after


def _link_widths(site: Site, system: System, viewport: int) -> list[float]:
    step, least = system.steps["label"], px(system, "button/least", viewport)
    shown, folded = entries(site)
    size = step.size(viewport)
    ems = _ems(step, site.identity.language, tuple(one.name for one in shown))
    wide = [max(least, size * (em + _UNFOLD_EM * bool(one.under))) for one, em in zip(shown, ems, strict=True)]
    unfolds = [max(least, size * (em + _UNFOLD_EM)) for em in _ems(step, site.identity.language, (more(site),))]
    return wide + (unfolds if folded else [])


@lru_cache(maxsize=256)
def _ems(step: Step, language: str, texts: tuple[str, ...]) -> tuple[float, ...]:
    """Widths of texts in a step, in em. Kept, since they are asked for at every width."""
    return tuple(text_width(step.family, step.weight, cased(text, step.case, language), 1.0, step.tracking) for text in texts)


def _action_width(site: Site, system: System, viewport: int) -> float:
    action = site.frame.header.content.get("action")
    if not action or not action["label"]:
        return 0.0
    buttons = site.choices.buttons
    return action_size(
        system, "primary", action["label"], viewport, language=site.identity.language,
        arrow=buttons.arrow != "none", small=buttons.small_in_header,
    )[0]  # fmt: skip


def _menu_width(site: Site, system: System, viewport: int) -> float:
    step, word = system.steps["label"], phrases(site.identity.language).say("menu")
    size = step.size(viewport)
    return max(44.0, text_width(step.family, step.weight, cased(word, step.case), size, step.tracking) + _MENU_EM * size)
