"""The matrix: variants × states of buttons on each ground in use, with fields and cards beside them, as a live page."""

from collections import Counter
from functools import cache

from markupsafe import Markup

from formulon.core.site import fonts
from formulon.core.site.icons import icon
from formulon.core.site.kind import card_ground
from formulon.core.site.render import Preview, environment
from formulon.core.site.sheets import shared_css, site_css, used_in
from formulon.core.site.site import Site
from formulon.core.system.css import drawn_css
from formulon.core.system.documents.choices import GROUNDS
from formulon.core.system.documents.identity import Identity
from formulon.core.system.parts import VARIANTS
from formulon.core.system.system import System

STATES = ("rest", "hover", "pressed", "focus", "disabled", "busy")


@cache
def matrix_css() -> str:
    """The pages' own style sheet, that of fields and cards, and that of the matrix."""
    return "\n".join((site_css(), shared_css("parts"), shared_css("matrix")))


@cache
def matrix_names() -> frozenset[str]:
    """The custom properties that the matrix draws with."""
    return used_in(matrix_css())


def grounds_in_use(site: Site) -> list[tuple[str, str]]:
    """The grounds that sections and cards stand on, in their order, each with how many sections."""
    counts: Counter[str] = Counter()
    for page in site.drawn:
        for section in (site.frame.header, *page.sections, site.frame.footer):
            counts[section.ground] += 1
    made = []
    for ground in GROUNDS:
        if counts[ground]:
            made.append((ground, f"{counts[ground]} {'section' if counts[ground] == 1 else 'sections'}"))
    return made


def shared(site: Site) -> dict[str, object]:
    """What the templates of states are filled with."""
    sections = (site.frame.header, *(section for page in site.drawn for section in page.sections))
    labels = [label for section in sections for label in _labels(section.content)]
    first = min(labels, key=len, default="Read more")
    return {
        "states": STATES, "variants": VARIANTS, "icon": icon, "card_ground": card_ground, "arrow": site.choices.buttons.arrow,
        "cards": site.choices.cards, "raised": site.choices.buttons.raised, "label": first, "words": site.identity.name, **_texts(site.identity),
    }  # fmt: skip


def _texts(identity: Identity) -> dict[str, object]:
    """What a quote, a list and a table are filled with: the brand's own words, and what they are where it has none yet."""
    contact = identity.contact
    rows = [("Where", identity.place), ("Phone", contact.phone), ("Email", contact.email)]
    return {
        "saying": identity.strapline or identity.does or "A quote",
        "listed": [offer.name for offer in identity.offers[:4]] or ["First of a list", "Second", "Third"],
        "facts": [row for row in rows if row[1]] or [("A row", "of a table"), ("Another", "below it")],
    }


def _labels(content: dict[str, object]) -> list[str]:
    """What the section's buttons say."""
    found = [content.get(slot) for slot in ("action", "primary", "secondary")]
    return [value["label"] for value in found if isinstance(value, dict) and value.get("label")]


def matrix_page(site: Site, system: System, preview: Preview) -> str:
    """The page, in one scheme, with its style sheets inside."""
    scheme = preview.scheme or system.schemes[0]
    css = fonts.preview_rules(site, preview.font_path, preview.own_font_path) + matrix_css()
    return environment().get_template("matrix.html").render(
        tokens=Markup(drawn_css(system, scheme, matrix_names())), css=Markup(css), grounds=grounds_in_use(site), **shared(site)
    )  # fmt: skip
