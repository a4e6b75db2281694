"""SVG: colours with their share of the drawn area, gradients, and the drawing itself as a mark."""

import io
import re
from itertools import count

import numpy as np
import resvg_py
from lxml import etree
from PIL import Image

from formulon.core.color.parse import parse_color
from formulon.core.errors import ColorError
from formulon.core.identity.marks import judge, look
from formulon.core.identity.pixels import Pixels, thumb
from formulon.core.identity.sightings import ColorSeen, GradientSeen, MarkSeen, PictureSeen, Reading, css_hex, title_of
from formulon.core.identity.svg import SVG, XLINK, parse, rebuild_tree

_SIDE = 320
_FULL = 0.98
_PICTURE_PAINTS = 4
_TEXT = ("text", "tspan", "textPath")


def read(name: str, data: bytes) -> Reading:
    """Raises MarkError where the file is dangerous or cannot be read."""
    root = parse(data, name)
    live = _take_out_text(root)
    made = rebuild_tree(root, name)
    tree = etree.fromstring(made.svg)
    reading = Reading(file=name, format="SVG", notes=list(made.notes))
    reading.sightings += _colors(tree, made.width, made.height)
    pixels = draw(made.svg, made.width, made.height)
    covered = float((pixels[..., 3] > 250).mean())
    paints = sum(isinstance(seen, ColorSeen) for seen in reading.sightings)
    title = name.rsplit("/", 1)[-1]
    filed = any(word in part.lower() for part in name.split("/")[:-1] for word in ("picture", "photo", "image", "illustration"))
    if covered > _FULL and (paints >= _PICTURE_PAINTS or filed) and not live:
        # A drawing that fills its whole frame in many colours is an illustration. Its colours speak for themselves less.
        main = [seen.hex for seen in reading.sightings if isinstance(seen, ColorSeen)]
        wide, high = round(made.width), round(made.height)
        picture = PictureSeen(
            name=title_of(name),
            place="the whole drawing",
            width=wide,
            height=high,
            colors=main[:5],
            thumb=thumb(pixels),
            sure=0.9,
        )
        reading.sightings = [picture]
        return reading
    shape = judge(pixels, name)
    # A drawing that fills its frame may be an illustration as well as a mark on a plate.
    sure = min(shape.sure, 0.5) if covered > _FULL else shape.sure
    note = ""
    if live:
        note = f"It holds live text (“{live[0][:40]}”), which needs a font: convert the text to outlines and add it again."
    drawn = shape.bounds[2] > shape.bounds[0]
    if drawn or live:
        usable = made.svg if drawn and not live else ""
        reading.sightings.append(
            MarkSeen(
                name=title, place="the whole drawing", shape=shape.shape, meant_for=shape.meant_for, svg=usable,
                width=made.width, height=made.height, bounds=shape.bounds, lightness=shape.lightness, live_text=live, note=note, look=look(pixels),
                sure=sure,
            )
        )  # fmt: skip
    else:
        reading.notes.append("Nothing is drawn in it.")
    return reading


def draw(svg: str, width: float, height: float, side: int = _SIDE) -> Pixels:
    """The drawing as pixels, its longer side `side`."""
    scale = side / max(width, height)
    wide, high = max(1, round(width * scale)), max(1, round(height * scale))
    png = resvg_py.svg_to_bytes(svg_string=svg, width=wide, height=high, skip_system_fonts=True)
    return np.asarray(Image.open(io.BytesIO(bytes(png))).convert("RGBA"))


def _take_out_text(root: etree._Element) -> list[str]:
    """Removes live text; gives its words."""
    found = []
    for element in list(root.iter(*(f"{{{SVG}}}{tag}" for tag in _TEXT), *_TEXT)):
        words = " ".join("".join(str(part) for part in element.itertext()).split())
        parent = element.getparent()
        if parent is not None:
            parent.remove(element)
            if words:
                found.append(words)
    return found


class _Paints:
    """Every paint of a drawing stands for itself as a flat marker colour, so that a rendering counts its area."""

    def __init__(self) -> None:
        self.markers: dict[str, str] = {}
        self.numbers = count(1)

    def marker(self, paint: str) -> str:
        if paint not in self.markers:
            number = next(self.numbers)
            # Spread over the cube, so that no two markers are alike.
            self.markers[paint] = f"#{number * 40503 % 0xFFFFFF:06x}"
        return self.markers[paint]


def _colors(tree: etree._Element, width: float, height: float) -> list[ColorSeen | GradientSeen]:
    gradients = {e.get("id", ""): e for e in tree.iter(f"{{{SVG}}}linearGradient", f"{{{SVG}}}radialGradient")}
    stops = {key: _stops(element, gradients) for key, element in gradients.items()}
    paints = _Paints()
    uses: dict[str, set[str]] = {"fill": set(), "stroke": set()}
    for element in tree.iter():
        if not isinstance(element.tag, str) or any(
            _local(up) in ("mask", "clipPath") for up in (element, *element.iterancestors())
        ):
            continue
        for attribute in ("fill", "stroke"):
            paint = element.get(attribute)
            if paint in (None, "none", "inherit", "transparent"):
                continue
            resolved = _resolved(str(paint), element)
            if resolved is None:
                continue
            uses[attribute].add(resolved)
            element.set(attribute, paints.marker(resolved))
        for attribute in ("opacity", "fill-opacity", "stroke-opacity"):
            if element.get(attribute) and float(re.sub(r"[^\d.]", "", element.get(attribute, "")) or 1) > 0:
                del element.attrib[attribute]
    if tree.get("fill") is None:
        uses["fill"].add("#000000")
        tree.set("fill", paints.marker("#000000"))
    tree.set("shape-rendering", "crispEdges")
    pixels = draw(etree.tostring(tree, encoding="unicode"), width, height)
    solid = pixels[pixels[..., 3] > 127][:, :3].astype(np.int64)
    keys, counts = np.unique((solid[:, 0] << 16) | (solid[:, 1] << 8) | solid[:, 2], return_counts=True)
    area = {f"#{int(key):06x}": int(number) for key, number in zip(keys, counts, strict=True)}
    total = sum(area.get(marker, 0) for marker in paints.markers.values()) or 1
    made: list[ColorSeen | GradientSeen] = []
    for paint, marker in paints.markers.items():
        share = area.get(marker, 0) / total
        if not share:
            continue
        ways = " and ".join(way for way in ("fill", "stroke") if paint in uses[way])
        if paint.startswith("url:"):
            gradient = [stop for stop in stops.get(paint[4:], []) if stop]
            if len(gradient) >= 2:
                css = f"linear-gradient(90deg, {', '.join(gradient)})"
                made.append(GradientSeen(css=css, stops=gradient, place=ways, share=round(share, 4)))
            for stop in dict.fromkeys(gradient):
                part = round(share / len(set(gradient)), 4)
                made.append(ColorSeen(hex=stop, value=stop, use="gradient", place=f"gradient, {ways}", share=part, sure=0.8))
        else:
            made.append(ColorSeen(hex=paint, value=paint, use="drawn", place=ways, share=round(share, 4), sure=0.95))
    return made


def _resolved(paint: str, element: etree._Element) -> str | None:
    """A paint as #RRGGBB or url:<id>; None where it cannot be told."""
    target = re.match(r"url\(\s*['\"]?#([^'\")]+)['\"]?\s*\)", paint)
    if target:
        return f"url:{target[1]}"
    if paint.lower() == "currentcolor":
        color = next((up.get("color") for up in (element, *element.iterancestors()) if up.get("color")), "#000000")
        return _hex(str(color))
    return _hex(paint)


def _hex(text: str) -> str | None:
    try:
        return css_hex(parse_color(re.sub(r"(?i)rgba\(([^,]+),([^,]+),([^,]+),[^)]+\)", r"rgb(\1,\2,\3)", text)).rgb)
    except ColorError:
        return None


def _stops(element: etree._Element, gradients: dict[str, etree._Element]) -> list[str]:
    seen: set[str] = set()
    while True:
        own = [stop for stop in element if isinstance(stop.tag, str) and _local(stop) == "stop"]
        if own:
            resolved = (_resolved(stop.get("stop-color", "#000000"), stop) for stop in own)
            return [one for one in resolved if one]
        link = (element.get("href") or element.get(XLINK) or "")[1:]
        if link in seen or link not in gradients:
            return []
        seen.add(link)
        element = gradients[link]


def _local(element: etree._Element) -> str:
    return str(etree.QName(element).localname)
