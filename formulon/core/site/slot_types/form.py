"""A form: its fields, and whom what is written in them is sent to. site/forms.py has what happens then."""

from collections.abc import Iterator
from typing import TYPE_CHECKING, Any, Literal, Self

from markupsafe import Markup
from pydantic import Field, field_validator, model_validator

from formulon.core.site.markup import html
from formulon.core.site.phrases import MODEL
from formulon.core.site.slot_types.base import SlotType, Work
from formulon.core.site.values import Action, Destination, placeholder
from formulon.core.system.documents.identity import CONTROLS, Model

if TYPE_CHECKING:
    from formulon.core.site.kind import Slot
    from formulon.core.site.render import View
    from formulon.core.site.site import Section

FieldKind = Literal["text", "name", "email", "tel", "date", "time", "number", "choice", "tick", "message"]
TRAP = "leave-empty"  # the name of a field that people do not see, and that machines fill in
SENT = "send/"  # where forms are sent on the site's own host: this, the page and the section
# How browsers fill a field in by themselves (WCAG 2.2, 1.3.5). Source: WHATWG HTML, "Autofill".
_FILLED_WITH = {"name": "name", "email": "email", "tel": "tel"}


class FormField(Model):
    """One field. What is chosen from is `options`, of a choice alone."""

    label: str = Field(min_length=1, max_length=80)
    kind: FieldKind = "text"
    required: bool = False
    help: str = Field(default="", max_length=200)
    options: list[str] = Field(default_factory=list, max_length=30)

    @field_validator("options")
    @classmethod
    def _options(cls, value: list[str]) -> list[str]:
        made = [CONTROLS.sub("", one).strip() for one in value]
        if any(not one or len(one) > 80 for one in made):
            raise ValueError("What can be chosen is a text of 1 to 80 characters.")
        return list(dict.fromkeys(made))

    @model_validator(mode="after")
    def _chosen(self) -> Self:
        if self.kind == "choice" and not self.options:
            raise ValueError(f"“{self.label}” has nothing to choose from.")
        return self

    def stored(self) -> dict[str, Any]:
        """As a document holds it: options of a choice alone."""
        return self.model_dump(exclude=set() if self.kind == "choice" else {"options"})


class FormValue(Model):
    """Fields, the words on the button, whom it is sent to ("mailto:…", or "https://…" where another service takes it), and the page
    that is shown then; the site's own word of thanks where it is empty."""

    fields: list[FormField] = Field(min_length=1, max_length=12)
    label: str = Field(min_length=1, max_length=120)
    to: str = ""
    after: Destination = ""

    def stored(self) -> dict[str, Any]:
        made = self.model_dump(exclude={"fields"} | (set() if self.after else {"after"}))
        return {"fields": [one.stored() for one in self.fields]} | made

    def names(self) -> list[str]:
        """What each field is called as it is sent: its label, numbered where another has the same."""
        made: list[str] = []
        for one in self.fields:
            count = sum(other.label == one.label for other in self.fields[: len(made)])
            name = f"{one.label} {count + 1}" if count else one.label
            while name in made or name == TRAP:
                name += "·"
            made.append(name)
        return made

    @property
    def recipient(self) -> str:
        """The mail address that it is sent to; empty where it has none."""
        return self.to.removeprefix("mailto:") if self.to.startswith("mailto:") else ""


class FormType(SlotType):
    def validate(self, slot: "Slot", value: Any) -> dict[str, Any]:
        made = FormValue.model_validate(value)
        Action(label=made.label, to=made.to)
        return made.stored()

    def blank(self, slot: "Slot") -> dict[str, Any]:
        fields = [FormField(label=placeholder("What is asked for")).stored()]
        return {"fields": fields, "label": placeholder("Words on the button"), "to": ""}

    def filled(self, value: Any) -> bool:
        return bool(value and value.get("fields"))

    def parts(self, value: Any) -> tuple[str, ...]:
        return ("parts", "form", "buttons")

    def render(self, view: "View", section: "Section", path: str, slot: "Slot") -> Markup:
        value = view.value(section, path)
        if not self.filled(value):
            return Markup("")
        form, name = FormValue.model_validate(value), f"{section.id}-{path}"
        fields = Markup("\n").join(
            self._field(view, f"{name}-{index}", one, sent)
            for index, (one, sent) in enumerate(zip(form.fields, form.names(), strict=True))
        )
        to = form.to if "://" in form.to else f"{SENT}{view.page.id}/{section.id}"
        action = html(' action="%s" method="post" accept-charset="utf-8"', to) if form.to else Markup("")
        return html(
            '<form class="form slot--%s" id="%s"%s%s>%s%s<div class="actions"><button type="submit" class="button button--primary">'
            "%s</button></div></form>",
            path.split("/")[-1],
            name,
            view.marks(path),
            action,
            fields,
            self._trap(view, name),
            view.word(form.label),
        )

    def _trap(self, view: "View", name: str) -> Markup:
        label = view.say("leave_empty")
        return html(
            '<div class="leave" aria-hidden="true"><label for="%s-leave"%s>%s</label>'
            '<input id="%s-leave" name="%s" tabindex="-1" autocomplete="off"></div>',
            name,
            "" if label else html(' lang="%s"', MODEL),
            label or "Please leave this empty",
            name,
            TRAP,
        )

    def _field(self, view: "View", name: str, one: FormField, sent: str) -> Markup:
        needed = Markup(" required") if one.required else Markup("")
        helps = html(' aria-describedby="%s-help"', name) if one.help else Markup("")
        told = html('<p class="help" id="%s-help">%s</p>', name, one.help) if one.help else Markup("")
        known = html('id="%s" name="%s"%s%s', name, sent, needed, helps)
        if one.kind == "tick":
            return html(
                '<div class="field"><div><label class="tick"><input type="checkbox" value="yes" %s><span>%s</span></label></div>%s</div>',
                known,
                view.word(one.label),
                told,
            )
        if one.kind == "message":
            control = html('<textarea class="control" %s rows="5"></textarea>', known)
        elif one.kind == "choice":
            options = Markup("").join(html("<option>%s</option>", option) for option in one.options)
            none = html('<option value="">%s</option>', view.say("choose") or "–")
            control = html('<span class="choice"><select class="control" %s>%s%s</select></span>', known, none, options)
        else:
            filled = _FILLED_WITH.get(one.kind)
            auto = html(' autocomplete="%s"', filled) if filled else Markup("")
            kind = "text" if one.kind == "name" else one.kind
            step = Markup(' step="any"') if kind == "number" else Markup("")
            control = html('<input class="control" %s type="%s"%s%s>', known, kind, auto, step)
        return html('<div class="field"><label for="%s">%s</label>%s%s</div>', name, view.word(one.label), control, told)

    def facts(self, work: Work, place: Any, section: "Section", slot: "Slot", value: Any, ground: str) -> Iterator[Any]:
        for one in value["fields"]:
            for words, step, ink in ((one["label"], "label", "heading"), (one["help"], "fine", "quiet")):
                if words:
                    yield work.words(place, slot.label, words)
                    yield from work.loose(place, words, step, ground, ink)
            for option in one.get("options", []):
                yield work.words(place, slot.label, option)
        yield work.words(place, slot.label, value["label"])
        yield from work.form(place, section, slot, value, ground)

    def words(self, value: Any) -> Iterator[str]:
        for one in value["fields"]:
            yield one["label"]
            yield from filter(None, (one["help"], *one.get("options", [])))
        yield value["label"]


TYPE = FormType()
