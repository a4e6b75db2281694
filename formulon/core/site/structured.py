"""What machines read of a site: structured data in the words of schema.org, the sitemap (sitemaps.org, protocol 0.9), and robots.txt
(RFC 9309). Every statement is a fact of the brand or a text of the page; what is not known is not said. Pure.

Structured data stand in a `script` element as a data block of the type `application/ld+json` (JSON-LD 1.1), which is no script and is
never run (HTML, 4.12.1: “data block”).
"""

import json
from typing import Any
from xml.sax.saxutils import escape

from markupsafe import Markup

from formulon.core.site.opening import openings
from formulon.core.site.site import Page, Section, Site
from formulon.core.site.telephone import dialled
from formulon.core.site.values import PLACEHOLDER
from formulon.core.system.system import System
from formulon.core.type.emphasis import plain

Node = dict[str, Any]
CONTEXT = "https://schema.org"
# Kinds of business of schema.org for kinds of organisation; one without a place is an organisation.
_KINDS = {
    "visit": "LocalBusiness", "workshop": "LocalBusiness", "table": "FoodEstablishment", "practice": "MedicalBusiness",
    "counsel": "ProfessionalService", "trade": "LocalBusiness", "shop": "Store", "school": "EducationalOrganization", "cause": "NGO",
    "stay": "LodgingBusiness",
}  # fmt: skip
_ANYWHERE = ("EducationalOrganization", "NGO")  # that need no place


def structured(site: Site, system: System, page: Page) -> Markup:
    """The data block of a page."""
    text = json.dumps({"@context": CONTEXT, "@graph": graph(site, system, page)}, ensure_ascii=False, separators=(",", ":"))
    # What would end the element, or begin a comment in it, is written as JSON can: nothing else is special in a data block.
    safe = text.replace("<", "\\u003c").replace(">", "\\u003e").replace("&", "\\u0026")
    return Markup('<script type="application/ld+json">{}</script>').format(Markup(safe))


def graph(site: Site, system: System, page: Page) -> list[Node]:
    """The nodes of a page: the brand, the site, the page with its way from the start page, and questions with their answers."""
    root, first = site.frame.address, page.id == site.drawn[0].id
    brand, whole = _id(root, "brand"), _id(root, "site")
    made: list[Node] = [_brand(site, system, brand)]
    made.append(_said({"@type": "WebSite", "@id": whole, "name": site.identity.name, "url": root, "inLanguage": site.identity.language,
                       "publisher": {"@id": brand}}))  # fmt: skip
    questions = [one for section in page.sections if section.kind == "questions" for one in _questions(section)]
    node: Node = {
        "@type": "FAQPage" if questions else "WebPage", "@id": _id(address(site, page), "page"), "url": address(site, page),
        "name": page.title or page.name, "description": page.description, "inLanguage": site.identity.language,
        "isPartOf": {"@id": whole}, "about": {"@id": brand} if first else None, "mainEntity": questions,
    }  # fmt: skip
    if not first and root:
        node["breadcrumb"] = {"@type": "BreadcrumbList", "itemListElement": [
            {"@type": "ListItem", "position": position, "name": one.name, "item": address(site, one)}
            for position, one in enumerate((site.drawn[0], page), 1)
        ]}  # fmt: skip
    return [*made, _said(node)]


def _brand(site: Site, system: System, name: str) -> Node:
    identity, contact, root = site.identity, site.identity.contact, site.frame.address
    place = contact.address or identity.place
    kind = _KINDS.get(identity.organisation, "Organization")
    if not contact.address and kind not in _ANYWHERE:
        kind = "Organization"
    mark = system.mark("paper").mark
    said: Node = {
        "@type": kind, "@id": name, "name": identity.name, "slogan": identity.strapline, "description": identity.does, "url": root,
        "logo": f"{root}marks/{mark}.svg" if root and mark else "", "email": contact.email,
        "telephone": dialled(contact.phone, identity.language).removeprefix("tel:").partition(";")[0],
        "address": contact.address, "areaServed": "" if contact.address else place, "sameAs": list(identity.social),
    }  # fmt: skip
    if kind != "Organization" and kind not in _ANYWHERE:  # hours are a place's
        said["openingHoursSpecification"] = [
            {"@type": "OpeningHoursSpecification", "dayOfWeek": [f"{CONTEXT}/{day}" for day in one.days], "opens": one.opens, "closes": one.closes}
            for one in openings(contact.hours, identity.language)
        ]  # fmt: skip
    return _said(said)


def _questions(section: Section) -> list[Node]:
    """The questions of a section that are answered; none with a gap."""
    made = []
    for item in section.content.get("items") or ():
        question, answer = (" ".join(plain(item.get(part) or "").split()) for part in ("title", "text"))
        if question and answer and not PLACEHOLDER.search(question + answer):
            made.append({"@type": "Question", "name": question, "acceptedAnswer": {"@type": "Answer", "text": answer}})
    return made


def address(site: Site, page: Page) -> str:
    """The whole address of a page; its file alone where the site's own address is not known."""
    name = site.file_name(page)
    return site.frame.address + ("" if name == "index.html" and site.frame.address else name)


def _id(of: str, name: str) -> str:
    return f"{of}#{name}"


def _said(node: Node) -> Node:
    """A node without what is not known."""
    return {key: value for key, value in node.items() if value}


def files(site: Site) -> dict[str, bytes]:
    """The sitemap of what search engines may list, and robots.txt, which names it. A sitemap has whole addresses, so there is none
    where the site's own is not known."""
    lines = ["User-agent: *", "Allow: /"]
    made: dict[str, bytes] = {}
    if site.frame.address:
        urls = "".join(_listed(site, page) for page in site.drawn if page.searched)
        also = ' xmlns:xhtml="http://www.w3.org/1999/xhtml"' if site.editions else ""
        body = f'<?xml version="1.0" encoding="UTF-8"?>\n<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"{also}>{urls}</urlset>\n'
        made["sitemap.xml"] = body.encode()
        lines.append(f"Sitemap: {site.frame.address}sitemap.xml")
    return made | {"robots.txt": ("\n".join(lines) + "\n").encode()}


def _listed(site: Site, page: Page) -> str:
    """A page in the sitemap; in each of its languages, each with all of them."""
    if not site.editions:
        return f"<url><loc>{escape(address(site, page))}</loc></url>"
    whole = []
    for one in site.editions:
        file = one.files[page.id]
        whole.append((one.language, f"{site.frame.address}{one.folder}{'' if file == 'index.html' else file}"))
    links = "".join(f'<xhtml:link rel="alternate" hreflang="{language}" href="{escape(to)}"/>' for language, to in whole)
    return "".join(f"<url><loc>{escape(to)}</loc>{links}</url>" for _, to in whole)
