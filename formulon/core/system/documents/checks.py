"""What a site is checked by beside its policy: how severe its people take a rule, what holds a release, and what they have waived."""

from datetime import date
from typing import Literal

from pydantic import Field, field_validator

from formulon.core.system.documents.identity import Model

Weight = Literal["stop", "note", "off"]
MOST_WAIVERS = 400


class Waiver(Model):
    """A finding that somebody accepts. `mark` is what was found, so that the waiver falls away when that changes."""

    rule: str = Field(pattern=r"^[a-z]+/[a-z-]+$", max_length=60)
    page: str = Field(max_length=60)
    section: str = Field(default="", max_length=200)
    mark: str = Field(pattern=r"^[0-9a-f]{16}$")
    message: str = Field(max_length=600, description="What was found, in the words in which it was told.")
    reason: str = Field(min_length=3, max_length=400)
    by: str = Field(min_length=1, max_length=160)
    on: str = Field(pattern=r"^\d{4}-\d{2}-\d{2}$")

    @field_validator("on")
    @classmethod
    def _a_day(cls, on: str) -> str:
        date.fromisoformat(on)
        return on


class Checks(Model):
    """`weights` go before a rule's own severity; what a standard asks for at level A or AA stays a stop. With `notes_hold` a note holds a
    release back as a stop does; with `measured` a release waits until a browser has looked at its pages."""

    weights: dict[str, Weight] = Field(default_factory=dict, max_length=200)
    notes_hold: bool = False
    measured: bool = True
    waivers: list[Waiver] = Field(default_factory=list, max_length=MOST_WAIVERS)

    @field_validator("waivers")
    @classmethod
    def _once(cls, waivers: list[Waiver]) -> list[Waiver]:
        if len({one.mark for one in waivers}) != len(waivers):
            raise ValueError("One finding is waived twice.")
        return waivers
