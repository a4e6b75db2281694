"""A table: a row of headings, and rows of as many cells. On narrow screens it scrolls within its own box."""

from collections.abc import Iterator
from typing import TYPE_CHECKING, Annotated, Any, Self

from markupsafe import Markup
from pydantic import Field, model_validator

from formulon.core.site.markup import emphasised, html
from formulon.core.site.slot_types.base import SlotType, Work
from formulon.core.site.values import placeholder
from formulon.core.system.documents.identity import Model
from formulon.core.type.hyphens import in_order

if TYPE_CHECKING:
    from formulon.core.site.kind import Slot
    from formulon.core.site.render import View
    from formulon.core.site.site import Section

Cell = Annotated[str, Field(max_length=300)]
_MOST_ROWS, _MOST_COLUMNS = 60, 8


class TableValue(Model):
    """Headings and rows; every row has as many cells as there are headings."""

    head: list[Cell] = Field(min_length=1, max_length=_MOST_COLUMNS)
    rows: list[list[Cell]] = Field(default_factory=list, max_length=_MOST_ROWS)

    @model_validator(mode="after")
    def _even(self) -> Self:
        for number, row in enumerate(self.rows, 1):
            if len(row) != len(self.head):
                raise ValueError(f"Row {number} has {len(row)} cells; the table has {len(self.head)} columns.")
        return self


class Table(SlotType):
    def validate(self, slot: "Slot", value: Any) -> dict[str, Any]:
        return TableValue.model_validate(value).model_dump()

    def blank(self, slot: "Slot") -> dict[str, Any]:
        return {"head": [placeholder("What"), placeholder("How much")], "rows": [[placeholder("Name"), placeholder("Price")]]}

    def filled(self, value: Any) -> bool:
        return bool(value and value.get("head"))

    def parts(self, value: Any) -> tuple[str, ...]:
        return ("table",)

    def render(self, view: "View", section: "Section", path: str, slot: "Slot") -> Markup:
        value = view.value(section, path)
        if not self.filled(value):
            return Markup("")
        gaps = view.preview is not None

        def cell(text: str) -> Markup:
            return emphasised(in_order(text, view.language), gaps)

        head = Markup("").join(html('<th scope="col">%s</th>', cell(one)) for one in value["head"])
        rows = Markup("\n").join(
            html(
                '<tr><th scope="row">%s</th>%s</tr>',
                cell(row[0]),
                Markup("").join(html("<td>%s</td>", cell(one)) for one in row[1:]),
            )
            for row in value["rows"]
        )
        return html(
            '<div class="table-box slot--%s" role="group" tabindex="0" aria-label="%s"%s><table class="table">'
            "<thead><tr>%s</tr></thead><tbody>%s</tbody></table></div>",
            path.split("/")[-1],
            slot.label,
            view.marks(path),
            head,
            rows,
        )

    def facts(self, work: Work, place: Any, section: "Section", slot: "Slot", value: Any, ground: str) -> Iterator[Any]:
        for number, row in enumerate((value["head"], *value["rows"])):
            for column, text in enumerate(row):
                if text:
                    yield work.words(place, slot.label, text)
                    # What heads a column or a row is set in the ink of headings.
                    yield from work.loose(place, text, "fine", ground, "heading" if number == 0 or column == 0 else "body")

    def words(self, value: Any) -> Iterator[str]:
        for row in (value["head"], *value["rows"]):
            yield from filter(None, row)


TYPE = Table()
