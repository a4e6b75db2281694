"""A site as it is published in all its languages: its own at the root, each other in a folder. What is the same to the byte in a folder
and at the root (pictures, fonts, mostly the style sheets) is there once. Pure."""

import re
from collections.abc import Callable, Mapping, Set

from formulon.core.site.languages import published
from formulon.core.site.render import render
from formulon.core.site.site import Site

_AT_THE_ROOT = frozenset({"robots.txt", "sitemap.xml"})
_IN_CSS = re.compile(r"url\(([^)\"':?#]+)\)")
_IN_HTML = re.compile(r'(href|src|srcset)="([^"#:?]+)"')


def rendered(site: Site, open_blob: Callable[[str], bytes] | None = None) -> dict[str, bytes]:
    """Every file of the published site by its path, as `render` gives them, in every language in which it is published."""
    return rendered_all(published(site), open_blob)


def rendered_all(
    in_all: Mapping[str, Site], open_blob: Callable[[str], bytes] | None = None, named: bool = False
) -> dict[str, bytes]:
    """The same for a site that is at hand in all its languages, as `published` gives them. `named`: see `render`."""
    made: dict[str, bytes] = {}
    for folder, one in in_all.items():
        own = render(one, one.system(), open_blob, named)
        if not folder:
            made = own
            continue
        shared = {path for path, data in own.items() if not path.endswith(".html") and made.get(path) == data}
        made |= {
            folder + path: _led_up(path, data, shared)
            for path, data in own.items()
            if path not in shared and path not in _AT_THE_ROOT
        }
    return made


def _led_up(path: str, data: bytes, shared: Set[str]) -> bytes:
    """A file of a folder, with what it refers to and shares found at the root."""

    def led(address: str) -> str:
        return f"../{address}" if address in shared else address

    def listed(value: str) -> str:
        parts = (part.strip().partition(" ") for part in value.split(","))
        return ", ".join(led(at) + gap + width for at, gap, width in parts) if " " in value else led(value)

    if path.endswith(".css"):
        return _IN_CSS.sub(lambda found: f"url({led(found[1])})", data.decode()).encode()
    if path.endswith(".html"):
        return _IN_HTML.sub(lambda found: f'{found[1]}="{listed(found[2])}"', data.decode()).encode()
    return data
