"""What others show of a page, as search results and cards: titles and descriptions proposed from its own words. Pure."""

from formulon.core.site.planning.writer import shorten
from formulon.core.site.site import Page, Site
from formulon.core.site.slots import slot_values
from formulon.core.site.values import PLACEHOLDER
from formulon.core.type.emphasis import plain

MOST_DESCRIPTION, _MOST_TITLE = 155, 70  # characters (common practice)


def own_words(page: Page) -> str:
    """The page's first running text that holds no placeholder."""
    for section in page.sections:
        for slot, value in slot_values(section).values():
            if slot.of.set_in_type and slot.step in ("intro", "body") and not PLACEHOLDER.search(value):
                return " ".join(plain(value).split())
    return ""


def titles(site: Site, page: Page) -> list[str]:
    """Titles for a page: what it is called, or its headline, with the brand; of the start page the brand with what it says of itself."""
    name = site.identity.name
    heading = next((str(one.content["heading"]) for one in page.sections if one.content.get("heading")), "")
    heading = " ".join(plain(heading).split()).rstrip(".") if not PLACEHOLDER.search(heading) else ""
    start = page.id == site.pages[0].id
    made = [f"{name} – {site.identity.strapline.rstrip('.')}"] if start and site.identity.strapline else []
    made += [f"{heading} – {name}"] if heading and heading != name else []
    made += [f"{page.name} – {name}"] if not start else [name]
    return [one for one in dict.fromkeys(made) if len(one) <= _MOST_TITLE] or [name[:_MOST_TITLE]]


def descriptions(site: Site, page: Page, most: int = MOST_DESCRIPTION) -> list[str]:
    """Descriptions for a page out of its own words, what the brand does, and its strapline."""
    found = (own_words(page), plain(site.identity.does), plain(site.identity.strapline))
    return list(dict.fromkeys(shorten(text, most) for text in found if text)) or [f"{page.name}: {site.identity.name}."]
