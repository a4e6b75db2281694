"""Any static site, held to the rules that need nothing of Formulon's own: looked at by a browser and reported as one of ours is."""

from collections.abc import Sequence
from dataclasses import dataclass, replace

from formulon.core.checks.findings import Report
from formulon.core.checks.page_facts import Allowed, OtherHosts, PagePlace
from formulon.core.checks.profiles import Profile
from formulon.core.checks.rule import rules
from formulon.core.checks.runner import Pagewise
from formulon.core.identity.readers import tokens
from formulon.core.identity.sightings import ColorSeen, TypefaceSeen
from formulon.core.measure.facts import Page
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.looking import WIDTHS, Gone, Progress, look
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve
from formulon.core.system.system import System
from formulon.core.type.library import SHIPPED

_NOWHERE = PagePlace("", "", "")
# Rules that hold for any page. The others are about what only a site of Formulon's has: kinds, layouts, grounds, a guideline.
HELD = frozenset((
    "brand/typefaces", "consistency/mark", "consistency/spaces", "consistency/unused-tokens", "contrast/graphic", "contrast/on-paper", "contrast/selection",
    "layout/picture-first", "layout/wide-rows", "type/hyphenation", "type/slanted-smeared",
    "consistency/buttons", "consistency/capitals-of-words", "consistency/corners", "consistency/frame",
    "consistency/full-stops", "consistency/heading-styles", "consistency/many-fonts", "consistency/many-sizes",
    "consistency/navigation", "consistency/near-colors", "consistency/shadows", "consistency/stray-colors",
    "consistency/stray-fonts", "consistency/weights", "content/alternative-text", "content/mixed-languages", "content/repeated", "content/sample-text",
    "content/written-alike", "contrast/dichromacy", "contrast/field-edge", "contrast/focus-ring", "contrast/hint",
    "contrast/states", "contrast/text-minimum", "interaction/focus-covered", "interaction/focus-forced",
    "interaction/focus-seen", "interaction/names", "interaction/out-of-use", "interaction/pointer-answered", "interaction/reached", "interaction/target-size", "layout/gap",
    "layout/left-edges", "layout/moves", "layout/on-paper", "layout/overlap", "layout/reflow", "layout/shift", "layout/still-under-pointer", "layout/text-cut", "layout/viewport",
    "links/dead-destination", "links/labels-for-one", "links/one-destination", "links/orphan-page", "links/told-in-text",
    "pictures/row-proportions", "pictures/stretched", "pictures/too-small", "publishing/canonical", "publishing/complaints",
    "publishing/first-picture-late", "publishing/icon", "publishing/kept-away", "publishing/largest-paint", "publishing/missing-file",
    "publishing/other-hosts", "publishing/picture-forms", "publishing/sitemap", "publishing/title-description",
    "publishing/titles-apart", "publishing/weight", "structure/empty-heading", "structure/heading-order", "structure/ids-apart",
    "structure/landmarks", "structure/language", "type/capitals", "type/font-drawn", "type/least-size", "type/line-height", "type/measure",
    "type/text-spacing", "type/zoom",
))  # fmt: skip

# What is about no page more than another.
_ABOUT_ALL = frozenset(("publishing/other-hosts", "publishing/titles-apart"))


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
    files: SiteFiles, widths: Sequence[int] = WIDTHS, progress: Progress = lambda done, all_: None, gone: Gone = lambda: False,
    allowed: Allowed | None = None,
) -> ForeignReport:  # fmt: skip
    """The findings over a site; `allowed` is what it may be made of, where that is known. Raises BrowserError where no browser runs."""
    checks, frames, pages = Pagewise(resolve(Identity(name="Any site")), profile()), set[str](), 0
    hosts = set[str]()

    def each(page: Page) -> None:
        nonlocal pages
        checks.add(checks.checks_of([*page.facts(files, pages == 0), *([allowed] if allowed and not pages else [])]))
        hosts.update(page.hosts)
        frames.update(part.at for part in page.widest.parts if part.frame)
        pages += 1

    failed = look(files, each, widths, progress, gone)
    checks.add(checks.checks_of([OtherHosts(_NOWHERE, tuple(sorted(hosts)))] if hosts else []))
    report = checks.report(sorted(frames))
    findings = [replace(one, page="" if one.rule in _ABOUT_ALL else one.page, basis="measured") for one in report.findings]
    return ForeignReport(Report(report.counts, findings), pages, tuple(failed.values()))


def allowed_by(identity: Identity) -> Allowed:
    """What a brand's site may be made of: its exact colours and all that its system derives, in both schemes, and its typefaces."""
    return allowed_of(identity, resolve(identity, Choices(scheme="both")))


def allowed_of(identity: Identity, system: System) -> Allowed:
    """The same of a system that is at hand."""
    held = [*system.tokens.items(), *system.dark.items()]
    colors = {token.css.lower(): path for path, token in reversed(held) if token.type == "color"}
    own = {font.id: font.name for font in identity.fonts}
    used = (SHIPPED[one].name if one in SHIPPED else own[one] for one in identity.typefaces.used())
    families = tuple(dict.fromkeys((*used, *own.values())))
    return Allowed(_NOWHERE, tuple((path, css) for css, path in colors.items()), families)


def allowed_in(name: str, text: str) -> Allowed:
    """What design tokens allow: their colours by name, and their families. Raises ReadError."""
    seen = tokens.read(name, text).sightings
    colors = tuple((one.name or one.place, one.hex) for one in seen if isinstance(one, ColorSeen))
    return Allowed(_NOWHERE, colors, tuple(dict.fromkeys(one.family for one in seen if isinstance(one, TypefaceSeen))), True)
