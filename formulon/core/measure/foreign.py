"""Any static site, held to the rules that need nothing of Formulon's own: looked at by a browser and reported as one of ours is."""

from collections.abc import Sequence
from dataclasses import dataclass, replace

from formulon.core.checks.profiles import Profile
from formulon.core.checks.rule import rules
from formulon.core.checks.runner import Finding, Pagewise, Report
from formulon.core.measure.facts import Page
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.looking import WIDTHS, Gone, Progress, look
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve

# Rules that hold for any page. The others are about what only a site of Formulon's has: kinds, layouts, grounds, a guideline.
HELD = frozenset((
    "consistency/heading-styles", "consistency/near-colors", "content/alternative-text", "contrast/text-minimum", "interaction/names",
    "interaction/target-size", "layout/reflow", "layout/text-cut", "layout/viewport", "links/dead-destination", "links/one-destination",
    "pictures/stretched", "pictures/too-small", "publishing/title-description", "publishing/titles-apart", "structure/heading-order",
    "structure/ids-apart", "structure/landmarks", "structure/language", "type/least-size", "type/line-height", "type/measure",
))  # fmt: skip


@dataclass(frozen=True, slots=True)
class ForeignReport:
    """What was found, how many pages were looked at, and the sentences of those that could not be."""

    report: Report
    pages: int
    failed: tuple[str, ...]


def profile() -> Profile:
    """The rules of any site."""
    return Profile("Any site", "WCAG 2.2 at level AA and common practice, for pages of any making.", frozenset(rules()) - HELD)


def check_files(
    files: SiteFiles, widths: Sequence[int] = WIDTHS, progress: Progress = lambda done, all_: None, gone: Gone = lambda: False
) -> ForeignReport:
    """The findings over a site. Raises BrowserError where no browser runs."""
    checks, frames, pages = Pagewise(resolve(Identity(name="Any site")), profile()), set[str](), 0

    def each(page: Page) -> None:
        nonlocal pages
        checks.add(page.facts(files, pages == 0))
        frames.update(part.at for part in page.widest.parts if part.frame)
        pages += 1

    failed = look(files, each, widths, progress, gone)
    report = checks.report(sorted(frames))
    whole = {one for one, made in rules().items() if made.whole}
    findings = [_of_site(one) if one.rule in whole else one for one in report.findings]
    return ForeignReport(Report(report.counts, findings), pages, tuple(failed.values()))


def _of_site(finding: Finding) -> Finding:
    """What is about the whole site names a page only where it stands there."""
    return finding if finding.section else replace(finding, page="")
