"""What a rule is, and the registry of all rules."""

import ast
import inspect
import math
import textwrap
from collections.abc import Callable, Iterable, Iterator, Mapping
from dataclasses import dataclass, field, replace
from functools import cache
from importlib import import_module
from pkgutil import walk_packages
from typing import Any, Literal

from formulon.core.checks.page_facts import Fact, PagePlace
from formulon.core.checks.views import SiteView, View
from formulon.core.site.changes import Change
from formulon.core.site.site import Site
from formulon.core.system.system import System

# Decimal places of figures for people, by their unit; others have two.
DECIMALS = {"characters": 0, "lines": 0, "px": 1, "%": 0}
Severity = Literal["stop", "note"]
Outcome = Literal["pass", "fail", "cannot-tell", "does-not-apply"]


@dataclass(frozen=True, slots=True)
class Ref:
    """A published standard with its clause, or common practice."""

    name: str
    clause: str = ""
    level: str = ""


COMMON_PRACTICE = Ref("Common practice")


@dataclass(frozen=True, slots=True)
class Verdict:
    """What a rule says of a fact that does not pass. `code` is a key of the rule's messages; `values` fill it."""

    code: str
    measured: float | None = None
    required: float | None = None
    unit: str = ""
    width: int | None = None
    values: Mapping[str, Any] = field(default_factory=dict)
    outcome: Literal["fail", "cannot-tell"] = "fail"
    place: PagePlace | None = None  # where it is, for a rule that looks at more than one place


@dataclass(frozen=True, slots=True)
class Remedy:
    """A way to mend a finding: what the button says, and the changes. `asks` is what a person has to say with it, which then stands where
    SAID does."""

    label: str
    changes: tuple[Change, ...]
    asks: str = ""


SAID = "…"  # stands in changes for what the person who takes them says


Look = Callable[[Any, Mapping[str, float]], Iterable[Verdict]]
Measure = Callable[[Any], float]
Bound = Literal["least", "most"]
Mend = Callable[[Site, System, Any, Verdict, Mapping[str, float]], Iterator[Remedy]]


@dataclass(frozen=True, slots=True)
class Rule:
    """A declared rule; see habits in docs/architecture.md."""

    id: str
    title: str
    standard: Ref
    severity: Severity
    looks_at: type
    applies_if: Callable[[Any], bool]
    options: Mapping[str, float]
    rationale: str
    messages: Mapping[str, str]
    look: Look
    mend: Mend
    refs: Mapping[str, Ref] = field(default_factory=dict)  # of codes that rest on another reference than the rule
    measure: Measure | None = None  # what it measures of a fact, for what a fix would come to
    bound: Bound = "least"  # whether what is required is a least or a most

    def reference(self, code: str) -> Ref:
        """What a code rests on."""
        return self.refs.get(code, self.standard)

    def held_to(self, options: Mapping[str, float], severity: Severity | None = None) -> "Rule":
        """The same rule with other thresholds or another severity. Raises LookupError for an option that it does not have."""
        strange = set(options) - set(self.options)
        if strange:
            raise LookupError(f"{self.id} has no option {min(strange)}.")
        if not options and severity is None:
            return self
        return replace(self, options={**self.options, **options}, severity=severity or self.severity)

    @property
    def whole(self) -> bool:
        """Whether it looks at the whole site."""
        return self.looks_at is SiteView

    def figure(self, value: float | None, unit: str) -> str:
        """A measured figure for people: floored where a least is asked for and ceiled where a most is, so that a failure never
        reads as a pass."""
        if value is None:
            return ""
        scale = 10 ** DECIMALS.get(unit, 2)
        return f"{(math.ceil(value * scale - 1e-9) if self.bound == 'most' else math.floor(value * scale + 1e-9)) / scale:g}"

    @property
    def fixed(self) -> bool:
        """Whether nobody can weigh it less: it stops what a standard does not allow at level A or AA."""
        return self.severity == "stop" and self.standard.level in ("A", "AA")

    @property
    def family(self) -> str:
        return self.id.split("/")[0]

    def verdicts(self, fact: Fact | View) -> tuple[Outcome, list[Verdict]]:
        """The outcome for one fact or view, with what the rule has to say of it."""
        if not isinstance(fact, self.looks_at) or not self.applies_if(fact):
            return "does-not-apply", []
        said = list(self.look(fact, self.options))
        if not said:
            return "pass", said
        unknown = {verdict.code for verdict in said} - set(self.messages)
        if unknown:
            raise LookupError(f"{self.id}: the code {unknown.pop()} has no message")
        return ("fail" if any(v.outcome == "fail" for v in said) else "cannot-tell"), said


_RULES: dict[str, Rule] = {}


def no_mend(*_: object) -> Iterator[Remedy]:
    """For a rule that has no fix to offer."""
    return iter(())


class RegistrationError(ValueError):
    """A rule that cannot be taken in."""


def rule(
    *,
    id: str,
    title: str,
    standard: Ref,
    severity: Severity,
    looks_at: type,
    rationale: str,
    messages: Mapping[str, str],
    options: Mapping[str, float] | None = None,
    applies_if: Callable[[Any], bool] = lambda _: True,
    mend: Mend = no_mend,
    refs: Mapping[str, Ref] | None = None,
    measure: Measure | None = None,
    bound: Bound = "least",
) -> Callable[[Look], Look]:
    """Registers the decorated function as a rule. `looks_at` is a type of fact, or a section, a page or the site (views.py).
    Raises RegistrationError on a duplicate id, a missing part, a reference of a code that there is not, and a code of the
    function that has no message."""

    def register(look: Look) -> Look:
        if id in _RULES:
            raise RegistrationError(f"two rules have the id {id}")
        if not (rationale and standard.name and messages and title):
            raise RegistrationError(f"{id}: a rule needs a title, a rationale, a reference and messages")
        strange = set(refs or {}) - set(messages)
        if strange:
            raise RegistrationError(f"{id}: a reference is given for the code {min(strange)}, which has no message")
        silent = codes_of(look) - set(messages)
        if silent:
            raise RegistrationError(f"{id}: the code {min(silent)} has no message")
        _RULES[id] = Rule(
            id, title, standard, severity, looks_at, applies_if, options or {}, rationale, messages, look, mend, refs or {},
            measure, bound,
        )  # fmt: skip
        return look

    return register


def codes_of(look: Look) -> set[str]:
    """The codes that a function gives to its verdicts, as far as they stand in it as words."""
    try:
        tree = ast.parse(textwrap.dedent(inspect.getsource(look)))
    except (OSError, TypeError, SyntaxError):
        return set()
    calls = (node for node in ast.walk(tree) if isinstance(node, ast.Call) and getattr(node.func, "id", "") == "Verdict")
    return {str(call.args[0].value) for call in calls if call.args and isinstance(call.args[0], ast.Constant)}


@cache
def _load() -> None:
    """Imports all modules under checks/rules."""
    package = import_module("formulon.core.checks.rules")
    for module in walk_packages(package.__path__, package.__name__ + "."):
        import_module(module.name)


def rules() -> dict[str, Rule]:
    """Every rule by id, in the order of the ids."""
    _load()
    return dict(sorted(_RULES.items()))
