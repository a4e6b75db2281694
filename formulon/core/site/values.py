"""Values of slots: buttons and links, pictures, and the mark of what is still to be written."""

import re
from collections.abc import Mapping
from typing import Annotated, Any, Literal

from pydantic import AfterValidator, Field

from formulon.core.system.documents.identity import Model

_DESTINATION = re.compile(
    r"(page:[a-z0-9-]{1,60}(#[a-z0-9-]{1,60})?|https?://[^\s<>\"'\\]{1,500}|mailto:[^\s<>\"'\\:/?#]{1,400}|"
    r"tel:\+?[0-9 ()./-]{1,40}(;ext=\d{1,12})?|file:[a-z0-9-]{1,60})?"
)


def _destination(value: str) -> str:
    if not _DESTINATION.fullmatch(value):
        raise ValueError(f"“{value[:60]}” is no destination. Use page:name, https://…, mailto:…, tel:… or file:name.")
    return value


# Where a button, a link or an entry of the menu leads; empty where that is nowhere yet.
Destination = Annotated[str, Field(max_length=600), AfterValidator(_destination)]


def led_to(to: str) -> tuple[str, str]:
    """The page and the section that a destination names by their ids; empty where it names none."""
    page, _, section = to.removeprefix("page:").partition("#") if to.startswith("page:") else ("", "", "")
    return page, section


PLACEHOLDER = re.compile(r"\[\[(.+?)\]\]", re.DOTALL)


class Action(Model):
    """A button or link: its label and where it leads. Empty where it leads nowhere yet."""

    label: str = Field(max_length=120)
    to: Destination = ""
    drawn_as: Literal["", "primary", "secondary"] = Field(default="", description="Another button than its place has.")
    reason: str = Field(default="", max_length=200, description="Why it departs from the system.")

    def stored(self) -> dict[str, Any]:
        """As a document holds it: a departure only where there is one."""
        return self.model_dump(exclude=set() if self.drawn_as else {"drawn_as", "reason"})


def variant_of(variant: str, value: Mapping[str, Any]) -> str:
    """How a button is drawn: as its slot says, or as it departs from that. A link in a text stays one."""
    return variant if variant == "text" else value.get("drawn_as") or variant


def _hundredths(value: float) -> float:
    return round(value, 2)


Share = Annotated[float, Field(ge=0, le=1), AfterValidator(_hundredths)]


class Focus(Model):
    """The point of a picture that stays in sight where it is cropped: 0–1 of its width and height."""

    x: Share = 0.5
    y: Share = 0.5


class Overlay(Model):
    """The ground's colour over a picture that a text stands on: its opacity, and whether it lies evenly or fades, from the
    foot to the top or from the left side to the right."""

    opacity: Share = 0.75
    shape: Literal["even", "foot", "side"] = "even"


class Picture(Model):
    """A picture: `drawn:<kind>/<seed>` out of the picture library or `asset:<id>` of the brand's own."""

    source: str = Field(pattern=r"^(drawn:[a-z]+/\d{1,6}|asset:[a-z0-9-]{1,60})$")
    alt: str = Field(default="", max_length=300)
    decorative: bool = False
    credit: str = Field(default="", max_length=120, description="Who made it, shown on it.")
    focus: Focus = Field(default_factory=Focus)
    overlay: Overlay = Field(default_factory=Overlay)
    fit: Literal["fills", "whole"] = Field(default="fills", description="Whether it fills its place, or is shown whole in it.")

    def stored(self) -> dict[str, Any]:
        """As a document holds it: without what nobody has set."""
        unset = (("focus", Focus()), ("overlay", Overlay()), ("credit", ""), ("fit", "fills"))
        plain = {name for name, default in unset if getattr(self, name) == default}
        return self.model_dump(exclude=plain)


def placeholder(wanted: str) -> str:
    """The visible mark of something that the brief does not hold. Preflight stops it."""
    return f"[[{wanted}]]"
