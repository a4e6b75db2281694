"""What a rule is, and the registry of all rules."""

from collections.abc import Callable, Iterable, Iterator, Mapping
from dataclasses import dataclass, field
from functools import cache
from importlib import import_module
from pkgutil import walk_packages
from typing import Any, Literal

from formulon.core.checks.facts import Fact
from formulon.core.site.changes import Change
from formulon.core.site.model import Site
from formulon.core.system.model import System

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


@dataclass(frozen=True, slots=True)
class Proposal:
    """A way to mend a finding: what the button says, and the changes."""

    label: str
    changes: tuple[Change, ...]


Look = Callable[[Any, Mapping[str, float]], Iterable[Verdict]]
Mend = Callable[[Site, System, Any, Verdict, Mapping[str, float]], Iterator[Proposal]]


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

    def reference(self, code: str) -> Ref:
        """What a code rests on."""
        return self.refs.get(code, self.standard)

    @property
    def family(self) -> str:
        return self.id.split("/")[0]

    def verdicts(self, fact: Fact) -> tuple[Outcome, list[Verdict]]:
        """The outcome for one fact, with what the rule has to say of it."""
        if not isinstance(fact, self.looks_at) or not self.applies_if(fact):
            return "does-not-apply", []
        said = list(self.look(fact, self.options))
        unknown = {verdict.code for verdict in said} - set(self.messages)
        if unknown:
            raise LookupError(f"{self.id}: the code {unknown.pop()} has no message")
        if not said:
            return "pass", []
        return ("fail" if any(v.outcome == "fail" for v in said) else "cannot-tell"), said


_RULES: dict[str, Rule] = {}


def no_mend(*_: object) -> Iterator[Proposal]:
    """For a rule that has no fix to offer."""
    return iter(())


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
) -> Callable[[Look], Look]:
    """Registers the decorated function as a rule. Raises ValueError on a duplicate id or a missing part."""

    def register(look: Look) -> Look:
        if id in _RULES:
            raise ValueError(f"two rules have the id {id}")
        if not (rationale and standard.name and messages and title):
            raise ValueError(f"{id}: a rule needs a title, a rationale, a reference and messages")
        _RULES[id] = Rule(
            id, title, standard, severity, looks_at, applies_if, options or {}, rationale, messages, look, mend, refs or {}
        )  # fmt: skip
        return look

    return register


@cache
def rules() -> dict[str, Rule]:
    """Every rule by id, found by importing all modules under checks/rules."""
    package = import_module("formulon.core.checks.rules")
    for module in walk_packages(package.__path__, package.__name__ + "."):
        import_module(module.name)
    return dict(sorted(_RULES.items()))
