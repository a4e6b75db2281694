"""What text and graphics are held to: AA or AAA of WCAG 2.2, or a stricter ratio of one's own."""

from dataclasses import dataclass

from formulon.core.system.documents.choices import Choices


@dataclass(frozen=True, slots=True)
class Policy:
    """Least contrast ratios of text, of large text, and of boundaries, focus and meaningful graphics."""

    name: str
    text: float
    large: float
    boundary: float


# Sources: WCAG 2.2, 1.4.3 and 1.4.6 for text and large text, 1.4.11 for boundaries and focus.
AA = Policy("AA", 4.5, 3.0, 3.0)
AAA = Policy("AAA", 7.0, 4.5, 3.0)


def policy_of(choices: Choices) -> Policy:
    """The policy that choices name. Own ratios are never below those of AA, which the choices' bounds see to."""
    if choices.policy == "own":
        own = choices.thresholds
        return Policy("own", own.text, own.large, own.boundary)
    return AAA if choices.policy == "AAA" else AA
