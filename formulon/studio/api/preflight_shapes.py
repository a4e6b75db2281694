"""The forms of what preflight answers."""

from pydantic import Field

from formulon.core.checks.findings import Finding, Fix
from formulon.core.checks.rule import Bound
from formulon.core.system.system import Scheme
from formulon.studio.api.shapes import ChangeCard, Shape


class Reference(Shape):
    standard: str
    clause: str
    level: str


class RuleCard(Shape):
    """A rule. `severity` is how this site weighs it, or “off”; `own` how it is declared; one that is `fixed` stops whatever is chosen,
    and one for the `browser` says nothing of pages that none has seen. `bound` says whether what is required is a least or a most."""

    id: str
    title: str
    references: dict[str, Reference]
    severity: str
    own: str
    fixed: bool
    browser: bool
    bound: Bound
    rationale: str


class UnmeasuredCard(Shape):
    page: str
    problem: str


class Measuring(Shape):
    """How many views of pages there are, how many are measured as they are now, how many wait for it, and which could not be measured.
    `awaited` says that a release waits for it."""

    total: int
    done: int
    waiting: int
    failed: list[UnmeasuredCard]
    awaited: bool = False


class Preflight(Shape):
    counts: dict[str, int]
    findings: list[Finding]
    rules: list[RuleCard]
    stopped: bool
    schemes: list[Scheme]
    undrawn: list[str]
    measuring: Measuring


class GlanceCard(Shape):
    """A place that draws the eye: what stands there, in px of the page, and how strongly beside the first (0–1). `main` says that it is the
    main action."""

    section: str
    slot: str
    kind: str
    label: str
    main: bool
    x: float
    y: float
    strength: float


class FirstScreen(Shape):
    """The first screen of a page at a width, in px, and where the eye goes first on it, as is predicted."""

    width: int
    height: int
    glances: list[GlanceCard]


class FirstScreens(Shape):
    """Empty until a browser has seen the page as it is now."""

    screens: list[FirstScreen]


class FixesRequest(Shape):
    """Which finding is meant: its page, and its key."""

    page: str = Field(max_length=60)
    key: str = Field(max_length=40)


class Fixes(Shape):
    """The fixes of a finding. `there` is false where the pages have changed and there is no such finding any more."""

    fixes: list[Fix]
    there: bool


class FoundPlace(Shape):
    page: str
    key: str


class MendingCard(Shape):
    """A change with what it comes to on the whole site: findings that it ends, by page and key, those that it makes, how many stops there
    are then, and how many findings of its kind are left."""

    label: str
    changes: list[ChangeCard]
    ends: list[FoundPlace]
    makes: list[Finding]
    stops: int
    left: int


class Mendings(Shape):
    mendings: list[MendingCard]


class AllOfRequest(Shape):
    rule: str = Field(max_length=60)


class WeighRequest(Shape):
    label: str = Field(max_length=200)
    changes: list[ChangeCard] = Field(min_length=1, max_length=20)


class Before(Shape):
    """What is found on the pages of the old site that were measured: the first findings, and how many there are. `page` is a file."""

    measuring: Measuring
    counts: dict[str, int]
    findings: list[Finding]
    found: int
