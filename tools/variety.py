"""How unlike the sites of invented brands are: start pages by the geometry that Chromium shows, layouts in use, sentences in common.

The brands are 24 of twelve trades in five languages (tools/data/brands.json). Each gets the pages that the planner makes of it under the
first style that is proposed for it, as somebody would have it who takes what is offered.
"""

import itertools
import json
import re
import tempfile
from collections import Counter
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from pathlib import Path
from typing import Any

from playwright.sync_api import Page

from formulon.core.checks.preflight import check_site
from formulon.core.proposals.propose import applied, proposals
from formulon.core.site.composition import OWN
from formulon.core.site.documents import documents, planned, site_of
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import Site
from formulon.core.system.documents.identity import Identity

_DATA = Path(__file__).parent / "data" / "brands.json"
WIDTH = 1280
FACT = "…"
_GAPS = ("content/placeholder-left", "publishing/title-description")

# Of each section: its regions with what they hold, the columns of twelve that they take, whether they run to an edge of the viewport,
# how their words are aligned, how many items stand side by side, whether something lies over something, and the share of pictures. A
# mirror image has the same.
SIGNATURES = r"""() => [...document.querySelectorAll('main > section')].map(section => {
  const W = document.documentElement.clientWidth, whole = section.getBoundingClientRect();
  const seen = e => { const r = e.getBoundingClientRect(); return r.width > 4 && r.height > 4; };
  const regions = [...section.querySelectorAll('.region')].filter(seen);
  const column = x => Math.max(0, Math.min(12, Math.round(12 * x / W)));
  const heading = section.querySelector('h1, h2');
  const box = heading && heading.getBoundingClientRect();
  const mirrored = box && (box.left + box.right) / 2 > W / 2 + 40;
  const held = e => e.querySelector('table') ? 'table' : e.querySelector('form') ? 'form' : e.querySelector('.items') ? 'items'
    : e.querySelector('h1, h2') ? 'heading' : e.querySelector('.picture') ? 'picture' : e.querySelector('.button') ? 'actions' : 'words';
  const made = regions.map(e => {
    const r = e.getBoundingClientRect();
    let first = column(r.left), last = column(r.right), left = r.left <= 1, right = r.right >= W - 1;
    if (mirrored) [first, last, left, right] = [12 - last, 12 - first, right, left];
    const items = [...e.querySelectorAll('.items > *')].filter(seen);
    const tracks = new Set(items.map(i => Math.round(i.getBoundingClientRect().left / 40))).size;
    const steps = new Set(items.slice(0, tracks).map(i => Math.round(i.getBoundingClientRect().top / 20))).size;
    return [held(e), first, last, left, right, getComputedStyle(e).textAlign === 'center', tracks, steps, e.hasAttribute('data-ground')];
  });
  let over = 0;
  for (let i = 0; i < regions.length; i++) for (let j = i + 1; j < regions.length; j++) {
    const a = regions[i].getBoundingClientRect(), b = regions[j].getBoundingClientRect();
    if (Math.min(a.right, b.right) - Math.max(a.left, b.left) > 8 && Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 8) over++;
  }
  const area = [...section.querySelectorAll('.picture')].filter(seen)
    .reduce((sum, e) => { const r = e.getBoundingClientRect(); return sum + r.width * r.height; }, 0);
  return JSON.stringify([made, over, Math.round(5 * area / (whole.width * whole.height))]);
})"""


@dataclass(frozen=True, slots=True)
class Variety:
    """What was measured: shares 0–1."""

    alike_mean: float
    alike_worst: float
    worst_pair: tuple[str, str]
    layouts: int
    composed: int  # of the layouts, those that are in no catalogue
    sentences: float
    passing: int
    brands: int


def identities() -> list[Identity]:
    """The invented brands."""
    return [Identity.model_validate(body) for body in json.loads(_DATA.read_text(encoding="utf-8"))]


def styled(identity: Identity) -> Site:
    """The site of a brand under the first style that is proposed for it."""
    site = plan(identity)
    bodies, proposal = documents(site), next(proposals(site))
    made, _ = applied(bodies, planned(bodies), proposal, [one.part for one in proposal.parts], [])
    return site_of(made, [])


def sites() -> list[Site]:
    return [styled(one) for one in identities()]


def measured(page: Page, found: Sequence[Site]) -> Variety:
    """The variety of some sites, their start pages laid out in a browser at WIDTH."""
    shapes = {site.identity.name: shape for site, shape in zip(found, _shapes(page, found), strict=True)}
    pairs = {(one, other): alike(shapes[one], shapes[other]) for one, other in itertools.combinations(shapes, 2)}
    worst = max(pairs, key=lambda pair: pairs[pair])
    used = {(section.kind, section.layout) for site in found for part in site.pages for section in part.sections}
    used |= {(section.kind, section.layout) for site in found for section in (site.frame.header, site.frame.footer)}
    said = [list(sentences(site)) for site in found]
    shared = [
        len((set(one) & set(other)) - {FACT}) / max(1, min(len(one), len(other)))
        for one, other in itertools.combinations(said, 2)
    ]
    passing = sum(all(one.rule in _GAPS for one in check_site(site).findings if one.stops) for site in found)
    return Variety(
        sum(pairs.values()) / len(pairs),
        pairs[worst],
        worst,
        len(used),
        sum(name.startswith(OWN) for _, name in used),
        sum(shared) / len(shared),
        passing,
        len(found),
    )


def alike(one: Sequence[str], other: Sequence[str]) -> float:
    """The share of sections that two pages have in common, each counted once."""
    return (Counter(one) & Counter(other)).total() / max(len(one), len(other), 1)


def _shapes(page: Page, found: Sequence[Site]) -> Iterator[list[str]]:
    page.set_viewport_size({"width": WIDTH, "height": 800})
    for site in found:
        with tempfile.TemporaryDirectory() as folder:
            for name, data in render(site, site.system()).items():
                (Path(folder) / name).parent.mkdir(parents=True, exist_ok=True)
                (Path(folder) / name).write_bytes(data)
            page.goto(f"file://{folder}/index.html")
            page.evaluate("Promise.all([...document.fonts].map(f => f.load().catch(() => 0)))")
            yield page.evaluate(SIGNATURES)


def sentences(site: Site) -> Iterator[str]:
    """What stands on the pages of a site, sentence by sentence, with the brand's own facts masked; labels of one or two words are no
    sentences. FACT where the whole of it is the brand's."""
    identity = site.identity
    own = json.dumps(
        identity.model_dump(include={"name", "strapline", "does", "audience", "offers", "proof", "texts"}), ensure_ascii=False
    )
    for part in site.pages:
        for section in part.sections:
            for text in _texts(section.content):
                for sentence in re.split(r"(?<=[.!?:])\s+", text):
                    masked = sentence
                    for fact in (
                        identity.name,
                        identity.place,
                        identity.contact.hours,
                        identity.contact.phone,
                        identity.contact.email,
                    ):
                        masked = masked.replace(fact, "…") if fact else masked
                    if len(re.findall(r"\w+", sentence)) > 2 and re.search(r"\w", masked):
                        yield FACT if sentence.strip(". ") in own else masked


def _texts(value: Any) -> Iterator[str]:
    if isinstance(value, str):
        yield value
    elif isinstance(value, list):
        for one in value:
            yield from _texts(one)
    elif isinstance(value, dict):
        for name, one in value.items():
            if name not in ("to", "source", "kind", "layout"):
                yield from _texts(one)
