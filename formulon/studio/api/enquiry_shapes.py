"""Shapes of the inbox: what visitors sent."""

from datetime import datetime
from typing import Literal
from uuid import UUID

from pydantic import Field, model_validator

from formulon.studio.api.shapes import Shape

EnquiryState = Literal["new", "read", "answered"]


class AnswerCard(Shape):
    label: str
    kind: str
    value: str


class EnquiryCard(Shape):
    """One enquiry. `person` is who wrote it, by name where one was asked for; `email` is where it can be answered; `mailed` is whether
    it was handed to the mail."""

    id: UUID
    received: datetime
    page: str
    form: str
    recipient: str
    person: str
    email: str
    state: EnquiryState
    mailed: bool
    answers: list[AnswerCard]


class EnquiryCounts(Shape):
    new: int
    read: int
    answered: int


class Enquiries(Shape):
    """A page of the inbox: `found` is how many there are of what was asked for. `kept` and `bytes` are how much the brand keeps of how
    much it may; `folder` is whether mail is written to a folder for want of a server."""

    enquiries: list[EnquiryCard]
    found: int
    counts: EnquiryCounts
    kept: int
    most: int
    bytes: int
    most_bytes: int
    days: int
    days_offered: list[int]
    folder: bool


class Marking(Shape):
    """What enquiries are to be marked as."""

    ids: list[UUID] = Field(min_length=1, max_length=500)
    state: EnquiryState


class Erasure(Shape):
    """Which enquiries are to be erased: some, or all that a person sent from a mail address."""

    ids: list[UUID] = Field(default_factory=list, max_length=500)
    person: str = Field(default="", max_length=254)

    @model_validator(mode="after")
    def _one(self) -> "Erasure":
        if bool(self.ids) == bool(self.person.strip()):
            raise ValueError("Name either enquiries or a person.")
        return self


class Keeping(Shape):
    """For how many days enquiries are kept."""

    days: int


class Counted(Shape):
    count: int
