"""Structured data against the vocabulary of schema.org as it is published in schema-dts (its types, checked by the TypeScript compiler);
the sitemap against the form of sitemaps.org; robots.txt read by Python's own reader."""

import json
import re
import shutil
import subprocess
from pathlib import Path
from typing import Any
from urllib.robotparser import RobotFileParser
from xml.etree import ElementTree

from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import Site
from formulon.core.site.structured import graph
from formulon.core.system.documents.identity import Identity
from formulon.core.system.documents.organisations import ORGANISATIONS

WEB = Path(__file__).resolve().parents[3] / "web"
ROOT = "https://www.kilgour.example/"


def made(address: str = ROOT, **more: Any) -> Site:
    identity = {
        "name": "Kilgour & <Söhne>", "language": "de", "does": "Boote aus Lärche. Gebaut wird im Winter.", "strapline": "Lärche, sonst nichts",
        "contact": {"email": "werft@kilgour.example", "phone": "+49 4321 555010", "address": "Hafen 3, Ostsiel"},
        "social": ["https://netz.example/@kilgour"], "organisation": "workshop", "place": "Ostsiel",
        "texts": [{"heading": "Fragen", "text": "Wie lange dauert ein Boot?\nEinen Winter.\nIst es </script> dicht?\nJa.", "source": "f.txt"}],
    }  # fmt: skip
    site = plan(Identity.model_validate(identity | more), composed=False)
    return site.model_copy(update={"frame": site.frame.model_copy(update={"address": address})})


def block(html: bytes) -> dict[str, Any]:
    (found,) = re.findall(r'<script type="application/ld\+json">(.*?)</script>', html.decode())
    read = json.loads(found)
    assert isinstance(read, dict)
    return read


def test_every_page_says_who_and_what_and_nothing_that_is_not_known() -> None:
    site = made()
    files = render(site, site.system())
    home = {one["@type"]: one for one in block(files["index.html"])["@graph"]}
    assert home["LocalBusiness"] == {
        "@type": "LocalBusiness", "@id": f"{ROOT}#brand", "name": "Kilgour & <Söhne>", "slogan": "Lärche, sonst nichts",
        "description": "Boote aus Lärche. Gebaut wird im Winter.", "url": ROOT, "email": "werft@kilgour.example",
        "telephone": "+49-4321-555010", "address": "Hafen 3, Ostsiel", "sameAs": ["https://netz.example/@kilgour"],
    }  # fmt: skip
    asked = next(page for page in site.pages if any(one.kind == "questions" for one in page.sections))
    page = next(one for one in block(files[site.file_name(asked)])["@graph"] if one["@type"] == "FAQPage")
    assert [one["name"] for one in page["mainEntity"]] == ["Wie lange dauert ein Boot?", "Ist es </script> dicht?"]
    inner = next(page for page in site.pages[1:])
    crumbs = next(one for one in graph(site, site.system(), inner) if "breadcrumb" in one)["breadcrumb"]["itemListElement"]
    assert [one["item"] for one in crumbs] == [ROOT, ROOT + site.file_name(inner)]
    assert "application/ld+json" not in files["404.html"].decode()


def test_without_a_place_a_business_is_an_organisation_and_without_an_address_nothing_is_whole() -> None:
    bare = made("", contact={}, organisation="table", social=[], place="")
    nodes = {one["@type"]: one for one in graph(bare, bare.system(), bare.pages[0])}
    assert nodes["Organization"].keys() == {"@type", "@id", "name", "slogan", "description"}
    files = render(bare, bare.system())
    assert "sitemap.xml" not in files and files["robots.txt"] == b"User-agent: *\nAllow: /\n"


def test_the_sitemap_has_what_search_engines_may_list_and_robots_names_it() -> None:
    site = made()
    body = site.model_dump()
    body["pages"][1]["searched"] = False
    files = render(Site.model_validate(body), site.system())
    tree = ElementTree.fromstring(files["sitemap.xml"])
    space = "{http://www.sitemaps.org/schemas/sitemap/0.9}"
    assert tree.tag == f"{space}urlset"
    found = [one.findtext(f"{space}loc") for one in tree]
    assert found == [ROOT, *(ROOT + site.file_name(page) for page in site.pages[2:])]
    assert b'<meta name="robots" content="noindex">' in files[site.file_name(site.pages[1])]
    reader = RobotFileParser()
    reader.parse(files["robots.txt"].decode().splitlines())
    assert reader.can_fetch("*", ROOT + "index.html") and reader.site_maps() == [ROOT + "sitemap.xml"]


def test_all_of_it_is_in_the_words_of_schema_org(tmp_path: Path) -> None:
    """Every kind of organisation, with all that is known and with nothing, typed as Thing of schema-dts 2.1: an unknown type or property,
    or a value of a kind that a property does not take, does not compile."""
    nodes: list[dict[str, Any]] = []
    for organisation in ORGANISATIONS:
        for site in (made(organisation=organisation), made("", organisation=organisation, contact={}, texts=[])):
            nodes += [node for page in site.pages for node in graph(site, site.system(), page)]
    unique = {json.dumps(one, ensure_ascii=False, sort_keys=True) for one in nodes}
    rows = ",\n".join(sorted(unique))
    wrong = '{"@type": "Store", "colour": "red"}'
    typed = "import type { Thing } from 'schema-dts';\nconst said: Thing[] = [\n"
    for name, text in (("right.ts", rows), ("wrong.ts", wrong)):
        (tmp_path / name).write_text(f"{typed}{text}\n];\nexport default said;\n", encoding="utf-8")
    (tmp_path / "node_modules").symlink_to(WEB / "node_modules")
    node = shutil.which("node")
    assert node
    compiler = [node, str(WEB / "node_modules" / "typescript" / "bin" / "tsc"), "--noEmit", "--strict", "--skipLibCheck"]
    more = ["--module", "esnext", "--moduleResolution", "bundler", "--target", "esnext"]
    told = {
        name: subprocess.run([*compiler, *more, name], cwd=tmp_path, capture_output=True, text=True, check=False)
        for name in ("right.ts", "wrong.ts")
    }
    assert told["right.ts"].returncode == 0, told["right.ts"].stdout[:2000]
    assert "colour" in told["wrong.ts"].stdout, "the compiler would not have told"
