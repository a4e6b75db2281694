"""Features in pairs: brands that are nothing like the demo are taken through many features at once, so that each pair of them
stands together on some brand; then everything is undone, and done again.

The rows are a covering array of strength two (Cohen, Dalal, Fredman and Patton, "The AETG System", IEEE TSE 23 (7), 1997, which
has it as a means of finding what breaks when two things come together)."""

import io
import random
import re
import zipfile
from itertools import combinations
from typing import Any, NamedTuple

import pytest

from formulon.core.identity.svg import rebuild
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.system.documents.identity import Identity
from formulon.studio.models import Brand, Document, Workspace
from formulon.studio.services import sites
from tests.studio.conftest import Api

Patch = dict[str, Any]
LONG = "Donaudampfschifffahrtsgesellschaftskapitänsmützenmanufaktur"
MARK = b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 120 40"><path d="M0 0h120v40H0z" fill="#123456"/></svg>'
BRANDS: dict[str, dict[str, Any]] = {
    "a Greek observatory of one colour": {
        "name": "Παρατηρητήριο Άστρων Βορρά",
        "language": "el",
        "strapline": "Ο ουρανός αξίζει το ταξίδι",
        "place": "Καβάλα",
        "colors": [{"name": "Νύχτα", "value": "#0B0B12"}],
    },
    "Vietnamese carpenters with near colours": {
        "name": "Nguyễn & Con Thợ Mộc",
        "language": "vi",
        "contact": {"phone": "028 3822 1234"},
        "offers": [{"name": f"Bàn gỗ số {n}", "text": "Gỗ sồi, làm tay."} for n in range(1, 6)],
        "colors": [
            {"name": "Gỗ", "value": "#9A6B3F"},
            {"name": "Gỗ sẫm", "value": "#966A40"},
            {"name": "Lá", "value": "oklch(0.62 0.17 140)"},
            {"name": "Sơn", "value": "#D43A2A"},
            {"name": "Giấy", "value": "#FDFBF5"},
            {"name": "Mực", "value": "#1D1B1A"},
        ],
    },
    "a German manufactory of long words and seven pages": {
        "name": LONG,
        "language": "de",
        "strapline": f"Seit 1871: {LONG}",
        "organisation": "workshop",
        "pages": ["Über uns", "Kontakt", "Preise/Bedingungen", "Дерево", "Öffnungszeiten", "Pflege", "Presse"],
        "proof": ["Straße/Sanierung/Umbau", "v2.0.1 & <b>"],
        "contact": {"email": "mütze@kapitaen.example", "phone": "+49 (0)40 / 12 34-0"},
        "marks": [{"id": "m", "name": "m.svg", "kind": "full", "svg": rebuild(MARK, "m.svg").svg}],
    },
}


def choice(path: str, value: Any) -> tuple[str, Patch]:
    return "choices", {"op": "add", "path": path, "value": value}


def with_ground(state: dict[str, Any]) -> tuple[str, Patch]:
    other = "deep" if page(state, "home")["sections"][0]["ground"] == "accent" else "accent"
    return "page:home", {"op": "replace", "path": "/sections/0/ground", "value": other}


def next_layout(state: dict[str, Any]) -> tuple[str, Patch]:
    section = page(state, "home")["sections"][0]
    layouts = list(CATALOGUE[section["kind"]].layouts)
    return "page:home", {"op": "replace", "path": "/sections/0/layout", "value": layouts[layouts.index(section["layout"]) - 1]}


def last_section_out(state: dict[str, Any]) -> tuple[str, Patch]:
    return "page:home", {"op": "remove", "path": f"/sections/{len(page(state, 'home')['sections']) - 1}"}


def heading(state: dict[str, Any]) -> tuple[str, Patch]:
    return "page:home", {"op": "add", "path": "/sections/0/content/heading", "value": f"*{LONG}* und/oder **tschüs**"}


def footer(state: dict[str, Any]) -> tuple[str, Patch]:
    layouts = [one for one in CATALOGUE["footer"].layouts if one != state["frame"]["body"]["footer"]["layout"]]
    return "frame", {"op": "replace", "path": "/footer/layout", "value": layouts[0]}


def hidden(state: dict[str, Any]) -> tuple[str, Patch]:
    return "page:home", {"op": "add", "path": "/menu", "value": False}


def page(state: dict[str, Any], name: str) -> dict[str, Any]:
    return dict(next(one["body"] for one in state["pages"] if one["body"]["id"] == name))


FEATURES = {
    "AAA": lambda _: choice("/policy", "AAA"),
    "both schemes": lambda _: choice("/scheme", "both"),
    "links without underline": lambda _: choice("/links/underlined", False),
    "a pin": lambda _: choice("/pins/ground~1paper~1link", "#777777"),
    "a wire": lambda _: choice("/wires/accent", "neutral/500"),
    "a rhythm": lambda _: choice("/rhythm", {"opening": "paper", "middle": ["deep"], "closing": "tint"}),
    "a motif": lambda _: choice("/motif", {"shape": "weave", "places": {"opening": "accent", "middle": "band"}, "size": 160}),
    "lifted cards, fully round": lambda _: choice("/cards", "lifted"),
    "a step of its own": lambda _: choice("/scale/steps", {"h2": {"small": 60, "case": "uppercase", "tracking": 0.2}}),
    "the guide published": lambda _: choice("/publish_guide", True),
    "another name": lambda _: ("identity", {"op": "replace", "path": "/name", "value": "Οδός & <Söhne>"}),
    "a right-to-left language": lambda _: ("identity", {"op": "add", "path": "/language", "value": "he"}),
    "another typeface": lambda _: ("identity", {"op": "add", "path": "/typefaces/heading", "value": "unbounded"}),
    "another ground": with_ground,
    "another layout": next_layout,
    "a section taken out": last_section_out,
    "a headline wider than a phone": heading,
    "another footer": footer,
    "the first page not in the menu": hidden,
}


class Row(NamedTuple):
    brand: str
    features: tuple[str, ...]


def covering(most: int = 11) -> list[Row]:
    """Rows of features, each on the next brand, until every pair stands on one: of forty tries at a row that which brings most
    new pairs."""
    dice = random.Random(5)
    names, left, rows = list(FEATURES), set(combinations(FEATURES, 2)), []
    while left:
        tries = [tuple(sorted(dice.sample(names, most), key=names.index)) for _ in range(40)]
        best = max(tries, key=lambda one: len(left & set(combinations(one, 2))))
        left -= set(combinations(best, 2))
        rows.append(Row(list(BRANDS)[len(rows) % len(BRANDS)], best))
    return rows


ROWS = covering()


def test_every_pair_stands_together_and_every_brand_has_its_share() -> None:
    pairs = {pair for row in ROWS for pair in combinations(row.features, 2)}
    assert pairs == set(combinations(FEATURES, 2)) and len(pairs) == 171
    assert all(sum(row.brand == brand for row in ROWS) >= 2 for brand in BRANDS)


def bodies(brand: Brand) -> dict[str, Any]:
    return dict(Document.objects.filter(brand=brand).values_list("name", "body"))


def taken_through(api: Api, brand: Brand, features: tuple[str, ...]) -> dict[str, Any]:
    """The workbench once each feature was asked for, one after the other."""
    state = dict(api.get(f"brands/{brand.pk}").json())
    for name in features:
        document, patch = FEATURES[name](state)
        revision = next(part["revision"] for part in documents(state) if part["name"] == document)
        answer = api.change(brand, document, revision, patch, label=name)
        assert answer.status_code == 200, (name, answer.content)
        state = dict(answer.json())
        assert state["history"]["undo"]["label"] == name
    return state


def documents(state: dict[str, Any]) -> list[dict[str, Any]]:
    single = [{"name": name, "revision": state[name]["revision"]} for name in ("identity", "choices", "frame")]
    return single + [{"name": f"page:{one['body']['id']}", "revision": one["revision"]} for one in state["pages"]]


def stops_of(api: Api, brand: Brand) -> list[dict[str, Any]]:
    report = api.get(f"brands/{brand.pk}/preflight").json()
    stops = [one for one in report["findings"] if one["severity"] == "stop" and one["outcome"] == "fail"]
    assert report["stopped"] == bool(stops)
    return stops


@pytest.mark.parametrize("row", ROWS, ids=[f"{n}-{row.brand}" for n, row in enumerate(ROWS)])
def test_features_together_are_opened_checked_and_undone(workspace: Workspace, anna: Api, row: Row) -> None:
    brand = sites.create(workspace, Identity.model_validate(BRANDS[row.brand]))
    before = bodies(brand)
    state = taken_through(anna, brand, row.features)
    after = bodies(brand)

    assert anna.get(f"brands/{brand.pk}").status_code == 200
    for one in state["pages"]:
        for scheme in state["system"]["schemes"]:
            drawn = anna.get(f"brands/{brand.pk}/pages/{one['body']['id']}/preview?scheme={scheme}")
            assert drawn.status_code == 200 and drawn.json()["html"].count("<h1") == 1, one["body"]["id"]
    for view in ("reach", "type", "logo", "matrix", "guide", "effect"):
        assert anna.get(f"brands/{brand.pk}/{view}").status_code == 200, view
    stops = stops_of(anna, brand)
    assert state["system"]["counts"]["stop"] == len(stops)
    assert anna.post(f"brands/{brand.pk}/releases").status_code == (409 if stops else 200)
    for finding in stops[:3]:
        assert all(fix["changes"] for fix in anna.fixes(brand, finding))

    for way, there in (("undo", before), ("redo", after)):
        for _ in row.features:
            answer = anna.post(f"brands/{brand.pk}/{way}", {"entry": state["history"][way]["entry"]})
            assert answer.status_code == 200
            state = answer.json()
        assert bodies(brand) == there


@pytest.mark.parametrize("row", covering(8)[:3], ids=list(BRANDS))
def test_features_together_are_mended_by_first_fixes_and_released(workspace: Workspace, anna: Api, row: Row) -> None:
    brand = sites.create(workspace, Identity.model_validate(BRANDS[row.brand]))
    # No family of the library has Hebrew letters; such a brand brings its own typeface.
    taken_through(anna, brand, tuple(name for name in row.features if name != "a right-to-left language"))
    for _ in range(80):
        stops = stops_of(anna, brand)
        if not stops:
            break
        fixes = anna.fixes(brand, stops[0])
        assert fixes, (stops[0]["message"], stops[0]["section"], stops[0]["target"])
        fix = fixes[0]
        known = {part["name"]: part["revision"] for part in documents(anna.get(f"brands/{brand.pk}").json())}
        edits = [change | {"revision": known[change["document"]]} for change in fix["changes"]]
        asked = anna.post(f"brands/{brand.pk}/changes", {"label": fix["label"][:200], "edits": edits})
        assert asked.status_code == 200, (stops[0]["message"], fix["label"], asked.content)
    assert stops == []
    assert anna.post(f"brands/{brand.pk}/releases").status_code == 200
    with zipfile.ZipFile(io.BytesIO(anna.get(f"brands/{brand.pk}/releases/1/zip").content)) as files:
        names = files.namelist()
        pages = [files.read(name).decode() for name in names if name.endswith(".html")]
    assert {"index.html", "404.html"} <= set(names)
    assert not [text for page in pages for text in re.findall(r"\[\[.*|class=\"placeholder\".*", page)]
