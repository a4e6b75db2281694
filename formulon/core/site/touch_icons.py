"""The site's icons: SVG, ICO and PNG in the sizes that browsers and phones ask for, and the web app manifest.

Sizes and the safe zone of a maskable icon (a circle of 80 % of the side): W3C Web Application Manifest; 180 px for touch icons
and 32 px in the ICO are common practice.
"""

import io
import json
from functools import lru_cache

import resvg_py
from PIL import Image

from formulon.core.color.srgb import from_hex, to_hex
from formulon.core.site.site import Site
from formulon.core.system.documents.identity import Mark
from formulon.core.system.solving.logo import visibility
from formulon.core.system.system import System

_SAFE = 0.8  # of the side; what a phone may cut off lies outside
_FILLS = 0.56  # of the side that the symbol fills in a maskable icon: it fits the safe zone by its corners


def symbol(site: Site) -> Mark | None:
    return next((mark for mark in site.identity.marks if mark.kind == "symbol"), None)


def ground(site: Site, system: System) -> str:
    """The colour that icons stand on where they fill their square: of paper and deep the one on which the symbol is seen."""
    mark = symbol(site)
    grounds = [system.css(f"ground/{name}/background") for name in ("paper", "deep", "brand")]
    return max(grounds, key=lambda css: visibility(mark.svg, from_hex(css))) if mark else grounds[2]


def files(site: Site, system: System, svg: str) -> dict[str, bytes]:
    """Every icon by path, from the site's SVG icon, and the manifest."""
    back = ground(site, system)
    made = {f"icon-{size}.png": _png(svg, size, "", 1.0) for size in (192, 512)}
    made["apple-touch-icon.png"] = _png(svg, 180, back, 0.72)
    made["icon-maskable-512.png"] = _png(svg, 512, back, _FILLS)
    made["favicon.ico"] = _ico(svg)
    made["manifest.webmanifest"] = manifest(site, system, back)
    return made


def manifest(site: Site, system: System, back: str) -> bytes:
    """The manifest. Source: W3C Web Application Manifest."""
    name = site.identity.name
    icons = [
        {"src": "icon-192.png", "sizes": "192x192", "type": "image/png"},
        {"src": "icon-512.png", "sizes": "512x512", "type": "image/png"},
        {"src": "icon-maskable-512.png", "sizes": "512x512", "type": "image/png", "purpose": "maskable"},
    ]
    made = {
        "name": name, "short_name": name if len(name) <= 12 else name.split()[0][:12], "lang": site.identity.language,
        "start_url": "./", "display": "browser", "background_color": back,
        "theme_color": system.css("ground/navigation/background"), "icons": icons,
    }  # fmt: skip
    return (json.dumps(made, ensure_ascii=False, indent=1).replace("<", "\\u003c") + "\n").encode()


@lru_cache(maxsize=64)
def _png(svg: str, side: int, back: str, share: float) -> bytes:
    """The icon as a square PNG: over nothing, or at a share of the side in the middle of a colour."""
    inner = round(side * share)
    drawn = bytes(resvg_py.svg_to_bytes(svg_string=svg, width=inner, height=inner, skip_system_fonts=True))
    image = Image.new("RGBA", (side, side), (*from_hex(to_hex(from_hex(back))), 255) if back else (0, 0, 0, 0))
    picture = Image.open(io.BytesIO(drawn)).convert("RGBA")
    image.alpha_composite(picture, ((side - picture.width) // 2, (side - picture.height) // 2))
    out = io.BytesIO()
    (image.convert("RGB") if back else image).save(out, "PNG", optimize=True)
    return out.getvalue()


@lru_cache(maxsize=16)
def _ico(svg: str) -> bytes:
    out = io.BytesIO()
    Image.open(io.BytesIO(_png(svg, 48, "", 1.0))).save(out, "ICO", sizes=[(16, 16), (32, 32), (48, 48)])
    return out.getvalue()
