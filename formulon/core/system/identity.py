"""Identity: the facts that a brand has already fixed. Formulon never alters them."""

import re
import unicodedata
from typing import Literal, Self

from pydantic import BaseModel, ConfigDict, Field, field_validator, model_validator

from formulon.core.color.parse import ParsedColor, parse_color
from formulon.core.type.library import DEFAULT_BODY, DEFAULT_HEADING, families

# What wires call the colours that every system has.
RESERVED = ("white", "black", "neutral")


def slug(text: str, fallback: str = "item") -> str:
    """A short identifier of a–z, 0–9 and hyphens for any text."""
    plain = unicodedata.normalize("NFKD", text).encode("ascii", "ignore").decode().lower()
    return re.sub(r"[^a-z0-9]+", "-", plain).strip("-")[:40] or fallback


class Model(BaseModel):
    """Base of the documents that people write: unknown keys are refused, so that a typing error is seen."""

    model_config = ConfigDict(extra="forbid", str_strip_whitespace=True)


class BrandColor(Model):
    """One exact colour. `value` is kept as it was written; `id` stays when the colour is renamed."""

    id: str = ""
    name: str = Field(min_length=1, max_length=60)
    value: str = Field(max_length=80)

    @model_validator(mode="after")
    def _check(self) -> Self:
        try:
            parse_color(self.value)
        except Exception as error:
            raise ValueError(f"{self.name}: {error}") from error
        if not self.id:
            made = slug(self.name, "color")
            self.id = f"brand-{made}" if made in RESERVED else made
        if self.id in RESERVED:
            raise ValueError(f"{self.name}: the id “{self.id}” stands for a colour of the system. Choose another.")
        if not re.fullmatch(r"[a-z0-9-]{1,40}", self.id):
            raise ValueError(f"{self.name}: the id “{self.id}” may hold only a–z, 0–9 and hyphens.")
        return self

    @property
    def parsed(self) -> ParsedColor:
        return parse_color(self.value)


class Typefaces(Model):
    """The ids of the heading and the body family, out of the library."""

    heading: str = DEFAULT_HEADING
    body: str = DEFAULT_BODY

    @field_validator("heading", "body")
    @classmethod
    def _known(cls, value: str) -> str:
        if value not in families():
            raise ValueError(f"There is no typeface “{value}”. Choose one of: {', '.join(sorted(families()))}.")
        return value


class Offer(Model):
    """Something that the brand offers, in its own words."""

    name: str = Field(min_length=1, max_length=80)
    text: str = Field(default="", max_length=600)


class Contact(Model):
    """How to reach the brand; what is empty is not known."""

    address: str = Field(default="", max_length=300)
    phone: str = Field(default="", max_length=40)
    email: str = Field(default="", max_length=120)
    hours: str = Field(default="", max_length=200)

    @field_validator("email")
    @classmethod
    def _email(cls, value: str) -> str:
        if value and not re.fullmatch(r"[^@\s<>\"]+@[^@\s<>\"]+\.[^@\s<>\".]+", value):
            raise ValueError(f"“{value}” is not an email address.")
        return value


class Mark(Model):
    """A logo file. `svg` has gone through identity.svg.rebuild, which alone may be drawn."""

    id: str = Field(pattern=r"^[a-z0-9-]{1,60}$")
    name: str = Field(max_length=80)
    kind: Literal["full", "symbol", "wordmark"] = "full"
    meant_for: Literal["any", "light", "dark"] = "any"
    svg: str


class Identity(Model):
    """The brand. Only a name and its colours are needed; everything else has a default."""

    name: str = Field(min_length=1, max_length=80)
    strapline: str = Field(default="", max_length=160)
    does: str = Field(default="", max_length=600, description="What it does, in a sentence or two.")
    audience: str = Field(default="", max_length=300)
    place: str = Field(default="", max_length=120)
    offers: list[Offer] = Field(default_factory=list, max_length=12)
    contact: Contact = Field(default_factory=Contact)
    language: str = Field(default="en-GB", pattern=r"^[a-zA-Z]{2,3}(-[a-zA-Z0-9]{2,8})*$")
    colors: list[BrandColor] = Field(default_factory=list, max_length=12)
    typefaces: Typefaces = Field(default_factory=Typefaces)
    marks: list[Mark] = Field(default_factory=list, max_length=12)

    @model_validator(mode="after")
    def _unique(self) -> Self:
        for kind, ids in (("colour", [c.id for c in self.colors]), ("mark", [m.id for m in self.marks])):
            twice = {one for one in ids if ids.count(one) > 1}
            if twice:
                raise ValueError(f"Two {kind}s have the id “{twice.pop()}”. Give one of them another name.")
        return self
