"""Preflight of a brand: findings of all pages, and the fixes of those that somebody looks at. What pages had is kept by content."""

from collections.abc import Callable, Sequence

from django.utils import timezone
from django.utils.dateformat import format as date_format

from formulon.core.browser import printed
from formulon.core.checks import mending
from formulon.core.checks.findings import Fix, PageChecks, Report
from formulon.core.checks.mending import Mending
from formulon.core.checks.preflight import Preflight
from formulon.core.checks.profiles import profile_of
from formulon.core.checks.rule import Rule
from formulon.core.formats.client_report import About, client_report
from formulon.core.measure.looking import WIDTHS
from formulon.core.measure.own_checks import needs_browser
from formulon.core.site.addresses import data_address
from formulon.core.site.changes import Change
from formulon.core.site.site import Site
from formulon.core.system.policy import policy_of
from formulon.studio.models import Brand
from formulon.studio.services import measuring, sites
from formulon.studio.services.kept import Kept

KEPT: Kept[str, PageChecks] = Kept(600)  # pages, over all brands of a process


def of(brand: Brand, gone: Callable[[], bool] = lambda: False) -> Preflight:
    """The checks of a brand as it is now; `gone` tells whether who asked has left."""
    return Preflight(sites.load(brand), open_blob=sites.blob_of(brand), kept=KEPT, gone=gone)


def report(brand: Brand, work: Preflight) -> Report:
    """What is found on all pages: predicted, and as far as they are measured."""
    return measuring.over(brand, work.site, work.report())


def rules_of(site: Site) -> list[Rule]:
    """The rules that a site is checked by, as its people weigh them."""
    return list(profile_of(site.choices, site.checks).rules())


def fixes(brand: Brand, page: str, key: str, gone: Callable[[], bool]) -> list[Fix] | None:
    """The fixes of a finding; None where there is no such finding any more."""
    work = of(brand, gone)
    finding = work.finding(page, key)
    if finding:
        return work.fixes(finding)
    seen = measuring.cause(brand, work.site, page, key)
    return work.untried(seen) if seen else None


def mendings(brand: Brand, gone: Callable[[], bool]) -> list[Mending]:
    """The changes that would mend most."""
    return mending.mendings(of(brand, gone))


def all_of(brand: Brand, rule: str, gone: Callable[[], bool]) -> Mending:
    """The fixes of all findings of a rule, as one change."""
    return mending.all_of(of(brand, gone), rule)


def weighed(brand: Brand, label: str, changes: Sequence[Change], gone: Callable[[], bool]) -> Mending | None:
    """What changes would come to on the whole site; None where they do not fit."""
    return mending.weighed(of(brand, gone), label, changes)


def client_page(brand: Brand, gone: Callable[[], bool]) -> str:
    """The report as a page that a client can be shown."""
    work = of(brand, gone)
    site, progress = work.site, measuring.progress(brand)
    mark = next((one for one in site.identity.marks if one.id == work.system.marks["paper"].mark), None)
    about = About(
        brand=site.identity.name, day=date_format(timezone.localdate(), "j F Y"), policy=policy_of(site.choices).name,
        pages=len(site.drawn), schemes=list(work.system.schemes), widths=WIDTHS, measured=progress.done, views=progress.total,
        mark=data_address(mark.svg) if mark else "", names={page.id: page.name for page in site.pages},
        seen_alone=frozenset(one.id for one in rules_of(site) if needs_browser(one)),
    )  # fmt: skip
    return client_report(report(brand, work), rules_of(site), about)


def client_print(brand: Brand, gone: Callable[[], bool]) -> bytes:
    """The same, printed as PDF."""
    return printed({"report.html": client_page(brand, gone).encode()}, "report.html")
