"""Decisions: what the designer has said about the facts that were found in the brand's files. A document like the others."""

from typing import Literal

from pydantic import Field

from formulon.core.system.documents.identity import Model

State = Literal["accepted", "locked", "rejected"]


class Decision(Model):
    """What was decided about one fact. `values` are those that were taken; `target` is what stands for it in the identity."""

    state: State
    values: list[str] = Field(default_factory=list, max_length=6)
    targets: list[str] = Field(default_factory=list, max_length=6)
    name: str = Field(default="", max_length=160)


class Decisions(Model):
    """By the fact's id; `left_open` are the questions that the designer leaves as they are."""

    facts: dict[str, Decision] = Field(default_factory=dict)
    left_open: list[str] = Field(default_factory=list, max_length=40)
