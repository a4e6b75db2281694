"""Facts and the evidence that they rest on."""

from typing import Any, Literal

from pydantic import BaseModel, ConfigDict, Field

from formulon.core.identity.sightings import Seen

Group = Literal["colors", "gradients", "typefaces", "marks", "words", "rules", "measures", "texts", "pictures", "other"]


class _Data(BaseModel):
    model_config = ConfigDict(extra="forbid")


class Evidence(_Data):
    """Where a fact was read: file, place in it, as written, how often, share of area or text (0–1), how sure (0–1)."""

    file: str
    place: str
    value: str
    count: int = 1
    share: float | None = None
    sure: float
    indicative: bool = False
    approximate: bool = False


class Variant(_Data):
    """One value that sources give, with those that do. A fact with several is a disagreement."""

    value: str
    evidence: list[Evidence]


class Fact(_Data):
    """A candidate fact. `role` is a suggestion; `data` holds what accepting it needs; `taken` are the values decided on."""

    id: str
    group: Group
    label: str
    variants: list[Variant] = Field(min_length=1)
    sure: float
    role: str = ""
    note: str = ""
    state: Literal["open", "accepted", "locked", "rejected"] = "open"
    taken: list[str] = Field(default_factory=list)
    usable: bool = True
    data: dict[str, Any] = Field(default_factory=dict)

    @property
    def disputed(self) -> bool:
        return len(self.variants) > 1


def evidence_of(file: str, seen: Seen, value: str) -> Evidence:
    """A sighting as evidence."""
    return Evidence(
        file=file, place=seen.place[:160], value=value[:200], count=seen.count, share=seen.share, sure=round(seen.sure, 3),
        indicative=bool(getattr(seen, "indicative", False)), approximate=bool(getattr(seen, "approximate", False)),
    )  # fmt: skip


def certainty(evidence: list[Evidence]) -> float:
    """How sure a fact is, 0–1: every further file that says so takes away half of its doubt times its own sureness."""
    best: dict[str, float] = {}
    for one in evidence:
        best[one.file] = max(best.get(one.file, 0.0), one.sure)
    ranked = sorted(best.values(), reverse=True)
    doubt = 1 - ranked[0] if ranked else 1.0
    for sure in ranked[1:]:
        doubt *= 1 - sure / 2
    return min(0.99, round(1 - doubt, 3))
