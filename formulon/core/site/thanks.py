"""The page that follows a form, in the brand's own style: what was written has arrived."""

from formulon.core.site.forms import forms
from formulon.core.site.phrases import MODEL, phrases
from formulon.core.site.site import Page, Section, Site

ID = "thanks"
FILE = f"{ID}.html"


def is_wanted(site: Site) -> bool:
    """Whether a form leads to it."""
    return any(form.to and not form.after for _, _, form in forms(site))


def thanks_page(site: Site) -> Page:
    """The page; it is no page of the site's own, so it stands in no menu and is not searched."""
    own, model, home = phrases(site.identity.language).say, phrases(MODEL).say, site.drawn[0]
    heading = own("thanks") or model("thanks")
    content = {"heading": heading, "primary": {"label": home.name, "to": f"page:{home.id}"}}
    text = own("thanks_text") or ("" if own("thanks") else model("thanks_text"))
    if text:
        content["text"] = text
    section = Section(id="hero", kind="hero", layout="words", ground="paper", content=content)
    return Page(id=ID, name=heading, title=f"{heading} – {site.identity.name}", sections=[section])
