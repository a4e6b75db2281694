"""The languages of a brand's site: what each says, what is still to be translated, and changes, each one entry of the history."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass

from django.contrib.auth.models import User

from formulon.core.checks.findings import Finding, Report
from formulon.core.checks.preflight import Preflight
from formulon.core.site import languages
from formulon.core.site.changes import Change
from formulon.core.site.languages import Line, in_language, missing, own_name
from formulon.core.site.site import Site
from formulon.studio.models import Brand
from formulon.studio.services import history, measuring, sites
from formulon.studio.services.preflight import KEPT
from formulon.studio.services.sites import blob_of

_MOST_FINDINGS = 40


def told(brand: Brand, code: str) -> tuple[list[Line], list[Finding]]:
    """Every text beside its translation, and what the checks find of the pages in the language. Raises ChangeError."""
    site = sites.load(brand)
    return languages.lines(site, code), found(brand, site, code)[:_MOST_FINDINGS]


def found(brand: Brand, site: Site, code: str, gone: Callable[[], bool] = lambda: False) -> list[Finding]:
    """What the checks find of a site's pages in a language. What pages had is kept by content, as for its own language."""
    return [one for one in _predicted(brand, site, code, gone).findings if one.outcome == "fail"]


def _predicted(brand: Brand, site: Site, code: str, gone: Callable[[], bool]) -> Report:
    return Preflight(in_language(site, code), open_blob=blob_of(brand), kept=KEPT, gone=gone).report()


@dataclass(frozen=True, slots=True)
class Gate:
    """What a published language has that holds a release back: texts without a translation, and findings that stop it; and how many it
    has that do not."""

    code: str
    name: str
    missing: int
    stops: list[Finding]
    notes: int


def gates(brand: Brand, gone: Callable[[], bool] = lambda: False) -> list[Gate]:
    """Every language that is to be published, as a release finds it."""
    site = sites.load(brand)
    made = []
    for code, one in site.languages.further.items():
        if one.published:
            report = measuring.over(brand, site, _predicted(brand, site, code, gone), f"{code}/")
            findings = [each for each in report.findings if each.outcome == "fail" and not each.waived]
            stops = [each for each in findings if each.stops]
            made.append(Gate(code, own_name(code), missing(languages.lines(site, code)), stops, len(findings) - len(stops)))
    return made


def shown(site: Site, code: str) -> Site:
    """The site in a language, for looking at. Raises ChangeError."""
    return site if code in ("", site.identity.language) else in_language(site, code)


def add(brand: Brand, author: User, code: str) -> None:
    _write(brand, author, f"{own_name(code)} added as a language", lambda site: languages.added(site, code))


def remove(brand: Brand, author: User, code: str) -> None:
    _write(brand, author, f"{own_name(code)} taken out", lambda site: languages.removed(site, code))


def publish(brand: Brand, author: User, code: str, wanted: bool) -> None:
    said = f"{own_name(code)} is {'' if wanted else 'no longer '}published"
    _write(brand, author, said, lambda site: languages.publishing(site, code, wanted))


def put(brand: Brand, author: User, code: str, texts: Mapping[str, str], at: Mapping[str, Mapping[str, str]]) -> None:
    """Writes translations by what they are of, an empty one takes one back; and what they are at places where they mean something else."""
    said = [*texts.values(), *(text for by_place in at.values() for text in by_place.values())]
    first = next((text for text in said if text.strip()), "")
    count = len(said)
    what = f"“{first[:40]}”" if count == 1 and first else f"{count} text{'s' * (count != 1)}"
    _write(brand, author, f"{own_name(code)}: {what} written", lambda site: languages.put(site, code, texts, at))


def _write(brand: Brand, author: User, label: str, made: Callable[[Site], Change]) -> None:
    bodies, revisions = sites.bodies_of(brand)
    change = made(sites.site_in(brand, bodies))
    history.write(brand, author, label, [history.Edit(change.document, revisions.get(change.document, 0), change.patch)])
