"""Style guide, matrix, icons and pictures for links: drawn from tokens, complete, and of the stated sizes."""

import io
import json
from typing import Any

import pytest
from coloraide import Color
from lxml import html
from PIL import Image

from formulon.core.site.guide import guide_alone, guide_page
from formulon.core.site.matrix import STATES, grounds_in_use, matrix_page
from formulon.core.site.render import Preview, render
from formulon.core.site.site import Asset, Card, Rendition, Site
from formulon.core.site.social import social_path, social_picture
from formulon.core.site.values import Focus
from formulon.core.system.documents.choices import Choices
from formulon.core.system.parts import VARIANTS
from formulon.core.system.resolve import resolve

PREVIEW = Preview("/static/fonts/")


def having(node: Any, name: str) -> list[Any]:
    """The elements in a node that have a class."""
    return list(node.xpath(f".//*[contains(concat(' ', @class, ' '), ' {name} ')]"))


def test_every_brand_colour_stands_in_every_notation(site: Site) -> None:
    """Each notation, read back by coloraide, is the same colour within its own rounding."""
    page = html.fromstring(guide_page(site, resolve(site.identity, site.choices)))
    for swatch, color in zip(having(page, "swatch"), site.identity.colors, strict=True):
        values = [node.get("data-copy") for node in swatch.xpath(".//*[@data-copy]")]
        assert color.parsed.hex.upper() in values
        for text in values[1:4]:
            assert Color(text).delta_e(Color(color.parsed.hex), method="2000") < 1, text
        assert set(color.print) <= set(values)


def test_the_guide_follows_the_tokens(site: Site) -> None:
    before = guide_page(site, resolve(site.identity, site.choices))
    after = guide_page(site, resolve(site.identity, site.choices.model_copy(update={"radius": 17})))
    assert 'data-copy="17px"' in after and 'data-copy="17px"' not in before


def test_a_guide_stands_by_itself_and_nothing_in_it_is_missing(site: Site) -> None:
    files = guide_alone(site, resolve(site.identity, site.choices))
    page = html.fromstring(files["style-guide.html"])
    wanted = [node.get("src") for node in page.xpath("//img")] + [node.get("href") for node in page.xpath("//link")]
    assert wanted and all(name in files for name in wanted)
    assert not page.xpath("//*[@style]") and not page.xpath("//script")


def test_the_matrix_has_every_state_on_every_ground_in_use(site: Site) -> None:
    page = html.fromstring(matrix_page(site, resolve(site.identity, site.choices), PREVIEW))
    sections = having(page, "matrix")
    assert [section.get("data-ground") for section in sections] == [ground for ground, _ in grounds_in_use(site)]
    for section in sections:
        rows = section.xpath(".//table[@class='states']/tbody/tr")
        assert [row.findtext("th") for row in rows] == [*VARIANTS, "small"]
        (saying,), items = section.xpath(".//blockquote"), section.xpath(".//ul[@class='list']/li")
        assert saying.text == site.identity.strapline and [one.text for one in items] == [o.name for o in site.identity.offers]
        assert section.xpath(".//table[@class='table']//td")[0].text == site.identity.place
        assert all(len(having(row, "button")) == len(STATES) for row in rows)
        kinds = {node.get("type") or node.tag for node in section.xpath(".//input|.//select|.//textarea")}
        assert {"select", "textarea", "checkbox", "radio", "file"} <= kinds


@pytest.mark.parametrize(
    ("name", "size"),
    [("apple-touch-icon.png", 180), ("icon-192.png", 192), ("icon-512.png", 512), ("icon-maskable-512.png", 512)],
)  # fmt: skip
def test_icons_have_their_sizes(site: Site, name: str, size: int) -> None:
    files = render(site, resolve(site.identity, site.choices))
    assert Image.open(io.BytesIO(files[name])).size == (size, size)


def test_a_maskable_icon_keeps_to_its_safe_zone(site: Site) -> None:
    """W3C Web Application Manifest: a circle of 80 % of the side is never cut off."""
    files = render(site, resolve(site.identity, site.choices))
    image = Image.open(io.BytesIO(files["icon-maskable-512.png"])).convert("RGB")
    back = image.getpixel((0, 0))
    drawn = [(x, y) for x in range(0, 512, 4) for y in range(0, 512, 4) if image.getpixel((x, y)) != back]
    assert drawn and all((x - 256) ** 2 + (y - 256) ** 2 <= (0.4 * 512 + 2) ** 2 for x, y in drawn)


def test_manifest_and_page_name_what_is_there(site: Site) -> None:
    system = resolve(site.identity, site.choices)
    files = render(site, system)
    manifest = json.loads(files["manifest.webmanifest"])
    assert all(icon["src"] in files for icon in manifest["icons"])
    assert manifest["theme_color"] == system.css("ground/navigation/background")
    assert Image.open(io.BytesIO(files["favicon.ico"])).info["sizes"] == {(16, 16), (32, 32), (48, 48)}
    both = site.with_choices(Choices(scheme="both"))
    page = html.fromstring(render(both, resolve(both.identity, both.choices))["index.html"])
    assert [node.get("media") for node in page.xpath('//meta[@name="theme-color"]')] == [
        "(prefers-color-scheme: light)", "(prefers-color-scheme: dark)"
    ]  # fmt: skip


def test_a_picture_for_links_is_drawn_once_for_what_it_shows(site: Site) -> None:
    system = resolve(site.identity, site.choices)
    page = site.pages[0]
    assert Image.open(io.BytesIO(social_picture(site, system, page))).size == (1200, 630)
    path = social_path(site, system, page)
    assert path == social_path(site, resolve(site.identity, site.choices.model_copy(update={"radius": 20})), page)
    other = resolve(site.identity, site.choices.model_copy(update={"wires": {"deep": "heather"}}))
    assert social_path(site, other, page) != path
    assert path.encode() in render(site, system)["index.html"]


def test_a_picture_of_ones_own_is_cut_around_its_point(site: Site) -> None:
    """A photograph of three bands: what stays in sight is what `object-position` keeps (CSS Images 3, 5.5)."""
    wide = Image.new("RGB", (3000, 630), "#c00000")
    wide.paste("#00a000", (1000, 0, 2000, 630))
    wide.paste("#0000c0", (2000, 0, 3000, 630))
    file = io.BytesIO()
    wide.save(file, "WEBP", lossless=True)
    photo = Asset(id="bands", name="Bands", width=3000, height=630, renditions=[Rendition(width=3000, sha256="b" * 64)])
    paths = set()
    for x, left, right in ((0.0, (192, 0, 0), (0, 160, 0)), (0.5, (192, 0, 0), (0, 0, 192)), (1.0, (0, 160, 0), (0, 0, 192))):
        page = site.pages[0].model_copy(update={"card": Card(source="asset:bands", focus=Focus(x=x, y=0.3))})
        made = site.model_copy(update={"assets": [*site.assets, photo], "pages": [page, *site.pages[1:]]})
        path = social_path(made, made.system(), page)
        assert path.endswith(".jpg")
        paths.add(path)
        picture = Image.open(io.BytesIO(social_picture(made, made.system(), page, lambda _: file.getvalue())))
        assert (picture.size, picture.format) == ((1200, 630), "JPEG")
        for at, color in ((20, left), (1180, right)):
            seen = picture.getpixel((at, 300))
            assert isinstance(seen, tuple) and all(abs(a - b) < 12 for a, b in zip(seen, color, strict=True)), (x, at, seen)
        bare = Image.open(io.BytesIO(social_picture(made, made.system(), page)))
        assert bare.format == "JPEG", "without the bytes it is what it would show, in the form that its path says"
    assert len(paths) == 3
    gone = site.pages[0].model_copy(update={"card": Card(source="asset:gone")})
    assert social_path(site, site.system(), gone).endswith(".png"), "one that is gone is drawn as any other"
    drawn = site.pages[0].model_copy(update={"card": Card(source=f"asset:{site.assets[0].id}")})
    assert Image.open(io.BytesIO(social_picture(site, site.system(), drawn))).size == (1200, 630)
