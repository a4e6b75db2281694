"""A form: its fields, and to which address what is written in them is sent."""

from collections.abc import Iterator
from typing import TYPE_CHECKING, Any, Literal

from markupsafe import Markup
from pydantic import Field

from formulon.core.site.markup import html
from formulon.core.site.slot_types.base import SlotType, Work
from formulon.core.site.values import Action, placeholder
from formulon.core.system.documents.identity import Model

if TYPE_CHECKING:
    from formulon.core.site.kind import Slot
    from formulon.core.site.render import View
    from formulon.core.site.site import Section

FieldKind = Literal["text", "email", "tel", "date", "message"]
# How browsers fill a field in by themselves. Source: WHATWG HTML, "Autofill".
_FILLED_WITH = {"email": "email", "tel": "tel"}


class FormField(Model):
    """One field. `name` is what it is called in the message; the label where it is empty."""

    label: str = Field(min_length=1, max_length=80)
    kind: FieldKind = "text"
    required: bool = False
    help: str = Field(default="", max_length=200)


class FormValue(Model):
    """Fields, the words on the button, and the address that the message goes to ("mailto:…")."""

    fields: list[FormField] = Field(min_length=1, max_length=12)
    label: str = Field(min_length=1, max_length=120)
    to: str = ""


class FormType(SlotType):
    def validate(self, slot: "Slot", value: Any) -> dict[str, Any]:
        made = FormValue.model_validate(value)
        Action(label=made.label, to=made.to)
        return made.model_dump()

    def blank(self, slot: "Slot") -> dict[str, Any]:
        fields = [FormField(label=placeholder("What is asked for")).model_dump()]
        return {"fields": fields, "label": placeholder("Words on the button"), "to": ""}

    def filled(self, value: Any) -> bool:
        return bool(value and value.get("fields"))

    def parts(self, value: Any) -> tuple[str, ...]:
        return ("parts", "form", "buttons")

    def render(self, view: "View", section: "Section", path: str, slot: "Slot") -> Markup:
        value = view.value(section, path)
        if not self.filled(value):
            return Markup("")
        fields = Markup("\n").join(
            self._field(view, f"{section.id}-{path}-{index}", one) for index, one in enumerate(value["fields"])
        )
        to = view.href(value["to"])
        action = html(' action="%s" method="post" enctype="text/plain"', to) if to else Markup("")
        return html(
            '<form class="form slot--%s"%s%s>%s<div class="actions"><button type="submit" class="button button--primary">'
            "%s</button></div></form>",
            path.split("/")[-1],
            view.marks(path),
            action,
            fields,
            view.word(value["label"]),
        )

    def _field(self, view: "View", name: str, one: dict[str, Any]) -> Markup:
        needed = Markup(" required") if one["required"] else Markup("")
        helps = html(' aria-describedby="%s-help"', name) if one["help"] else Markup("")
        common = html('class="control" id="%s" name="%s"%s%s', name, one["label"], needed, helps)
        if one["kind"] == "message":
            control = html('<textarea %s rows="5"></textarea>', common)
        else:
            filled = _FILLED_WITH.get(one["kind"])
            auto = html(' autocomplete="%s"', filled) if filled else Markup("")
            control = html('<input %s type="%s"%s>', common, one["kind"], auto)
        told = html('<p class="help" id="%s-help">%s</p>', name, one["help"]) if one["help"] else Markup("")
        return html('<div class="field"><label for="%s">%s</label>%s%s</div>', name, view.word(one["label"]), control, told)

    def facts(self, work: Work, place: Any, section: "Section", slot: "Slot", value: Any, ground: str) -> Iterator[Any]:
        for one in value["fields"]:
            yield work.words(place, slot.label, one["label"])
            yield from work.loose(place, one["label"], "label", ground, "heading")
            if one["help"]:
                yield work.words(place, slot.label, one["help"])
                yield from work.loose(place, one["help"], "fine", ground, "quiet")
        yield work.words(place, slot.label, value["label"])
        yield from work.action(place, section, slot, value, ground)

    def words(self, value: Any) -> Iterator[str]:
        for one in value["fields"]:
            yield one["label"]
            yield from filter(None, (one["help"],))
        yield value["label"]


TYPE = FormType()
