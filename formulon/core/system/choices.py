"""Choices: the designer's decisions. A small JSON document; all of it has defaults."""

import re
from typing import Literal

from pydantic import Field, field_validator

from formulon.core.system.identity import Model

GROUNDS = ("paper", "tint", "brand", "accent", "deep")
GroundName = Literal["paper", "tint", "brand", "accent", "deep"]
INKS = ("heading", "body", "quiet", "link", "boundary", "line", "focus", "success", "warning", "error")
_ROLE = re.compile(rf"({'|'.join(GROUNDS)})(/({'|'.join(INKS)}|primary|secondary))?")
_REFERENCE = re.compile(r"[a-z0-9-]{1,40}(/[1-9]\d{1,2})?")


class Scale(Model):
    """The type scale: size of running text in px and ratio of neighbouring steps, at 360 and at 1280 px."""

    base_small: float = Field(default=17, ge=12, le=24)
    base_large: float = Field(default=18, ge=12, le=28)
    ratio_small: float = Field(default=1.2, ge=1.05, le=1.5)
    ratio_large: float = Field(default=1.32, ge=1.05, le=1.6)


class Buttons(Model):
    """Padding in em of the label, above and below it and at its sides."""

    padding_block: float = Field(default=0.8, ge=0, le=2)
    padding_inline: float = Field(default=1.35, ge=0.2, le=3)


class Links(Model):
    """Padding in em above and below a link of the navigation or the footer."""

    padding_block: float = Field(default=0.45, ge=0, le=1.5)


class Choices(Model):
    """The designer's decisions.

    `wires` leads a role to a colour. A role is a ground ("accent"), an ink on a ground ("paper/link") or a button
    on a ground ("deep/primary"). A colour is the id of a brand colour ("night"), a step of its ramp ("lamp/200"),
    a step of the neutral ramp ("neutral/700"), "white" or "black".
    """

    policy: Literal["AA", "AAA"] = "AA"
    wires: dict[str, str] = Field(default_factory=dict)
    radius: float = Field(default=6, ge=0, le=40, description="Corner radius in px; 40 is fully round on buttons.")
    density: float = Field(default=1, ge=0.6, le=1.5, description="Factor on the space between and in sections.")
    scale: Scale = Field(default_factory=Scale)
    buttons: Buttons = Field(default_factory=Buttons)
    links: Links = Field(default_factory=Links)

    @field_validator("wires")
    @classmethod
    def _wires(cls, value: dict[str, str]) -> dict[str, str]:
        for role, reference in value.items():
            if not _ROLE.fullmatch(role):
                raise ValueError(f"There is no role “{role[:60]}” for a colour.")
            if not _REFERENCE.fullmatch(reference):
                raise ValueError(f"“{reference[:60]}” does not name a colour of the system.")
        return value
