"""What can be done to the structure of a site, as data: the interface asks for it, and a typed instruction becomes it."""

from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field

from formulon.core.site.site import Width
from formulon.core.site.values import Destination
from formulon.core.system.documents.choices import GroundName

Id = Annotated[str, Field(pattern=r"^[a-z0-9-]{1,60}$")]
# What something stands after: an id, "" for the first place, None for the last.
After = Annotated[str, Field(pattern=r"^[a-z0-9-]{0,60}$")] | None


class Asked(BaseModel):
    """Base of what is asked for. Control characters are left out where they come into documents, whose models see to that."""

    model_config = ConfigDict(extra="forbid", str_strip_whitespace=True)


class OnSection(Asked):
    """Something that is done to a section of a page."""

    page: Id
    section: Id


class Add(Asked):
    """A section of a kind in a layout. Without content, its parts are marked as still to be written."""

    do: Literal["add"] = "add"
    page: Id
    after: After = None
    kind: str = Field(max_length=40)
    layout: str = Field(max_length=400)
    content: dict[str, Any] | None = None


class Move(OnSection):
    """To another place of its page, or of another page."""

    do: Literal["move"] = "move"
    to: Id | None = None
    after: After = None


class Duplicate(OnSection):
    """Once more, after itself."""

    do: Literal["duplicate"] = "duplicate"


class Copy(OnSection):
    """Once more, on another page."""

    do: Literal["copy"] = "copy"
    to: Id
    after: After = None


class TakeOut(OnSection):
    """Off the page for good. What led there leads to the page, or where it is said to."""

    do: Literal["take_out"] = "take_out"
    lead_to: Destination = ""


class Park(OnSection):
    """Put aside, whole; with `copy`, what is like it stands in its place and can be changed."""

    do: Literal["park"] = "park"
    copied: bool = Field(default=False, alias="copy")


class BringBack(OnSection):
    """What was parked stands again; what stood in its place is parked."""

    do: Literal["bring_back"] = "bring_back"


class Hide(OnSection):
    """Not drawn, at its place; or drawn again."""

    do: Literal["hide"] = "hide"
    hidden: bool = True


class Widths(OnSection):
    """The classes of widths that do not show it."""

    do: Literal["widths"] = "widths"
    hidden_on: list[Width] = Field(default_factory=list, max_length=3)


class Reorder(OnSection):
    """Earlier or later at a class of widths alone, by places past what is shown there; by none, that width has the order as it is written
    again."""

    do: Literal["reorder"] = "reorder"
    width: Width
    by: int = Field(ge=-60, le=60)


class ChangeKind(OnSection):
    """Of another kind: what both have is taken over, and the rest is kept for when it is changed back."""

    do: Literal["change_kind"] = "change_kind"
    kind: str = Field(max_length=40)
    layout: str = Field(default="", max_length=400)


class Depart(OnSection):
    """On a ground of its own, with a reason; without a ground, in the rhythm of the site again."""

    do: Literal["depart"] = "depart"
    ground: GroundName | None = None
    reason: str = Field(default="", max_length=200)


class Reshape(OnSection):
    """A part of its layout in other columns or another row in a class of widths; on phones a picture to the edges or not; a
    picture in other proportions. By the place of
    the part in the layout. 0 and 13 are the edges of the viewport."""

    do: Literal["reshape"] = "reshape"
    part: int = Field(ge=0, le=20)
    width: Width = "desktop"
    cols: tuple[int, int] | None = None
    row: int | None = Field(default=None, ge=1, le=9)
    phone: Literal["", "edge", "inset"] = ""
    ratio: str = Field(
        default="", pattern=r"^(fills|[1-9]\d?x[1-9]\d?)?$", description="A picture's proportions, or that it fills its rows."
    )


class AddPage(Asked):
    """A page by its purpose, a name that a language has for pages or any other, with what the brief knows for it."""

    do: Literal["add_page"] = "add_page"
    name: str = Field(min_length=1, max_length=60)
    after: After = None


class RenamePage(Asked):
    """Another name, or another address, from which the old one leads on."""

    do: Literal["rename_page"] = "rename_page"
    page: Id
    name: str = Field(default="", max_length=60)
    address: str | None = Field(default=None, max_length=60)


class MovePage(Asked):
    """To another place in the order of the pages; the first is the start page."""

    do: Literal["move_page"] = "move_page"
    page: Id
    after: After = None


class DuplicatePage(Asked):
    """Once more, after itself, and not in the menu."""

    do: Literal["duplicate_page"] = "duplicate_page"
    page: Id


class RemovePage(Asked):
    """Out of the site. What led there, and its address, lead to the start page, or where it is said to."""

    do: Literal["remove_page"] = "remove_page"
    page: Id
    lead_to: Destination = ""


SectionOperation = (
    Add | Move | Duplicate | Copy | TakeOut | Park | BringBack | Hide | Widths | Reorder | ChangeKind | Depart | Reshape
)
PageOperation = AddPage | RenamePage | MovePage | DuplicatePage | RemovePage
Operation = Annotated[SectionOperation | PageOperation, Field(discriminator="do")]
