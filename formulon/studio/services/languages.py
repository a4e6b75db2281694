"""The languages of a brand's site: what each says, what is still to be translated, and changes, each one entry of the history."""

from collections.abc import Callable, Mapping

from django.contrib.auth.models import User

from formulon.core.checks.predict import predict
from formulon.core.checks.profiles import profile_of
from formulon.core.checks.runner import Finding, check
from formulon.core.site import languages
from formulon.core.site.changes import Change
from formulon.core.site.languages import Line, in_language, own_name
from formulon.core.site.site import Site
from formulon.studio.models import Brand
from formulon.studio.services import history, sites
from formulon.studio.services.sites import blob_of

_MOST_FINDINGS = 40


def told(brand: Brand, code: str) -> tuple[list[Line], list[Finding]]:
    """Every text beside its translation, and what the checks find of the pages in the language. Raises ChangeError."""
    site = sites.load(brand)
    lines = languages.lines(site, code)
    made = in_language(site, code)
    system = made.system()
    report = check(predict(made, system, open_blob=blob_of(brand)), system, profile=profile_of(made.choices))
    return lines, [one for one in report.findings if one.outcome == "fail"][:_MOST_FINDINGS]


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


def put(brand: Brand, author: User, code: str, texts: Mapping[str, str]) -> None:
    """Writes translations by what they are of; an empty one takes one back."""
    first = next((text for text in texts.values() if text.strip()), "")
    count = len(texts)
    what = f"“{first[:40]}”" if count == 1 and first else f"{count} text{'s' * (count != 1)}"
    _write(brand, author, f"{own_name(code)}: {what} written", lambda site: languages.put(site, code, texts))


def _write(brand: Brand, author: User, label: str, made: Callable[[Site], Change]) -> None:
    bodies, revisions = sites.bodies_of(brand)
    change = made(sites.site_in(brand, bodies))
    history.write(brand, author, label, [history.Edit(change.document, revisions.get(change.document, 0), change.patch)])
