"""The page for addresses at which nothing is: the brand's own, with a way back."""

from formulon.core.site.phrases import phrases
from formulon.core.site.site import Page, Section, Site

ID = "404"


def missing_page(site: Site) -> Page:
    """The page; its file is 404.html, which most hosts answer with by themselves."""
    say, home = phrases(site.identity.language).say, site.drawn[0]
    content = {"heading": say("not_here") or ID, "primary": {"label": home.name, "to": f"page:{home.id}"}}
    if say("not_here_text"):
        content["text"] = say("not_here_text")
    section = Section(id="hero", kind="hero", layout="words", ground="paper", content=content)
    return Page(id=ID, name=say("not_here") or ID, title=f"{ID} – {site.identity.name}", sections=[section])
