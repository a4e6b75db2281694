"""Printed pages: what stands at their foot."""

import re

from formulon.core.site.site import Site


def css_string(text: str) -> str:
    """A text as a CSS string: everything but plain letters, digits, spaces and what lies beyond ASCII is written by its code
    point (CSS Syntax 3, 4.3.7), so that nothing can end the string."""
    return '"' + re.sub(r"[^A-Za-z0-9 \u00a1-\U0010ffff]", lambda found: f"\\{ord(found[0]):x} ", text) + '"'


def page_feet(site: Site, today: str = "") -> str:
    """What stands at the foot of every printed page: the brand's name, the date where it is given, and the page's number.
    Source: CSS Paged Media 3, 5.3. Names are written as CSS strings."""
    left = " · ".join(filter(None, (site.identity.name, today)))
    look = "font-family:var(--type-body-family);font-size:8pt"
    return (
        f"@page{{@bottom-left{{content:{css_string(left)};{look}}}"
        f'@bottom-right{{content:counter(page) " / " counter(pages);{look}}}}}\n'
    )
