"""Profiles: sets of rules with thresholds and severities, as data. A site is checked by the one that its choices name."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field, replace

from formulon.core.checks.rule import Rule, Severity, rules
from formulon.core.system.documents.checks import Checks
from formulon.core.system.documents.choices import Choices


@dataclass(frozen=True, slots=True)
class Profile:
    """All rules but those `without`; `options` and `severities` by a rule's id go before its own."""

    label: str
    about: str
    without: frozenset[str] = frozenset()
    severities: Mapping[str, Severity] = field(default_factory=dict)
    options: Mapping[str, Mapping[str, float]] = field(default_factory=dict)

    def rules(self) -> Iterator[Rule]:
        """The rules, as the profile has them. Raises LookupError where it names a rule or an option that there is not."""
        known = rules()
        strange = (self.without | set(self.severities) | set(self.options)) - set(known)
        if strange:
            raise LookupError(f"The profile {self.label} names the rule {min(strange)}, which there is not.")
        for name, one in known.items():
            if name not in self.without:
                yield one.held_to(self.options.get(name, {}), self.severities.get(name))


PROFILES = {
    "AA": Profile("AA", "WCAG 2.2 at level AA, and common practice.", frozenset({"contrast/text-enhanced"})),
    "AAA": Profile("AAA", "The same with the enhanced contrast of level AAA."),
    "own": Profile("Own", "The same as AA, with contrast ratios of one's own beside those of the standard."),
}
ALL = Profile("All", "Every rule as it is declared.")


NOTHING_CHANGED = Checks()


def profile_of(choices: Choices, checks: Checks = NOTHING_CHANGED) -> Profile:
    """The profile that a site is checked by: that of its policy, as its people weigh its rules. A rule that there is no longer is left
    out, and what a standard asks for at level A or AA stays a stop."""
    basis = PROFILES[choices.policy]
    known = {name: one for name, one in rules().items() if name not in basis.without}
    weights = {name: weight for name, weight in checks.weights.items() if name in known and not known[name].fixed}
    severities: dict[str, Severity] = {name: weight for name, weight in weights.items() if weight != "off"}
    if checks.notes_hold:
        severities = dict.fromkeys(known, "stop")
    if not weights and not severities:
        return basis
    off = {name for name, weight in weights.items() if weight == "off"}
    return replace(
        basis, without=basis.without | off, severities={name: one for name, one in severities.items() if name not in off}
    )
