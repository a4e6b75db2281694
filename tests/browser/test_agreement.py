"""What is measured of contrast agrees with axe-core over all layouts: every text that axe decides on gets the same verdict, and texts that it
cannot decide on, or does not look at, are decided on here."""

from collections import defaultdict
from collections.abc import Iterator
from pathlib import Path

import pytest
from playwright.sync_api import Browser

from formulon.core.checks.page_facts import TextRun
from formulon.core.checks.rules.contrast.text_minimum import below
from formulon.core.measure.files import SiteFiles, of_folder
from formulon.core.measure.looking import Views
from formulon.core.measure.resident import Resident
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.render import render
from formulon.core.system.resolve import resolve
from tests.browser.conftest import AXE
from tests.browser.test_published import every_layout

WIDTH = 1280
# What axe says of each text by its own words; a text that stands several times is told once for each.
_TOLD = """() => axe.run(document, {runOnly: ['color-contrast'], elementRef: true}).then((found) => {
  const own = (el) => [...el.childNodes].filter((one) => one.nodeType === 3 && one.data.trim()).map((one) => one.data).join(' ').replace(/\\s+/g, ' ').trim().slice(0, 600);
  const told = (part, verdict) => found[part].flatMap((one) => one.nodes).map((node) => [own(node.element ?? document.querySelector(node.target[0])), verdict]);
  return [...told('passes', 'pass'), ...told('violations', 'fail'), ...told('incomplete', 'open')].filter(([text]) => text);
})"""
FAINT = b" main p,main li,main h2,main h3,main a,main dd{color:#7d7d7d!important} main section:nth-of-type(3n){background:linear-gradient(#fff,#777)!important} main section:nth-of-type(4n) p{opacity:.6}"


@pytest.fixture(scope="module", params=["as it is", "faint"])
def folder(request: pytest.FixtureRequest, tmp_path_factory: pytest.TempPathFactory) -> Path:
    # All layouts as they are; faint ones of every other kind, since it is the verdicts that are others there.
    made = every_layout(kinds=tuple(CATALOGUE)[:: 1 if request.param == "as it is" else 2])
    out = tmp_path_factory.mktemp("agreement")
    for name, data in render(made, resolve(made.identity, made.choices)).items():
        target = out / name
        target.parent.mkdir(parents=True, exist_ok=True)
        target.write_bytes(data + FAINT if request.param == "faint" and name.endswith(".css") else data)
    return out


def ours(files: SiteFiles) -> Iterator[tuple[str, dict[str, set[str]]]]:
    """The verdicts on every text of every page."""
    looker = Resident()
    for path in files.pages:
        page = looker.look(files, path, Views((WIDTH,), besides=False))
        made: dict[str, set[str]] = defaultdict(set)
        for fact in page.facts(files, False):
            if isinstance(fact, TextRun):
                verdict = "open" if fact.on_picture else "fail" if list(below(fact, 4.5, 3.0)) else "pass"
                made[fact.text].add(verdict)
        yield page.path, made
    looker.close()


def test_every_text_that_axe_decides_on_gets_the_same_verdict(folder: Path, chromium: Browser) -> None:
    files = of_folder(folder)
    tab = chromium.new_context(viewport={"width": WIDTH, "height": 900}, reduced_motion="reduce").new_page()
    decided, alone, differing = 0, 0, []
    for path, made in ours(files):
        tab.goto((folder / path).as_uri())
        tab.evaluate(AXE)
        theirs: dict[str, set[str]] = defaultdict(set)
        for text, verdict in tab.evaluate(_TOLD):
            theirs[text].add(verdict)
        for text, verdicts in theirs.items():
            own = made.get(text)
            if own is None or "open" in verdicts:  # one that stands several times may be told at one place alone
                alone += own is not None and "open" not in own
                continue
            decided += 1
            if own != verdicts:
                differing.append((path, text[:60], sorted(verdicts), sorted(own)))
        assert not any("open" in one for one in made.values()), path
    tab.context.close()
    assert differing == []
    assert decided > 400
    print(f"{decided} texts decided by both, {alone} by us alone")
