"""Deciding on facts: what the designer takes goes into the identity, and what was said of it is kept. Pure."""

from collections.abc import Callable, Iterable
from typing import Any, Literal

from pydantic import ValidationError

from formulon.core.errors import IdentityError
from formulon.core.identity.evidence import Fact
from formulon.core.identity.put import CONTACT, holds_word, put_word
from formulon.core.identity.sightings import MANY
from formulon.core.identity.statements.tone import axes_of
from formulon.core.system.documents.decisions import Decision, Decisions
from formulon.core.system.documents.identity import (
    BrandColor,
    BrandFace,
    BrandMeasure,
    BrandRule,
    ClientPicture,
    ClientText,
    Identity,
    Mark,
    Model,
    free_id,
    slug,
)
from formulon.core.type.alike import for_language

Action = Literal["accept", "lock", "unlock", "reject", "reopen"]


class Request(Model):
    """What is wanted of one fact. `values` are the variants to take, or a corrected value; empty takes the first.
    `name` renames it, `role` says what it is for."""

    fact: str
    action: Action
    values: list[str] = []
    name: str = ""
    role: str = ""


def decide(
    identity: Identity, decisions: Decisions, facts: Iterable[Fact], requests: Iterable[Request]
) -> tuple[Identity, Decisions]:
    """Identity and decisions after the requests. Raises IdentityError with a sentence where one cannot be met."""
    known = {fact.id: fact for fact in facts}
    identity, decisions = identity.model_copy(deep=True), decisions.model_copy(deep=True)
    for request in requests:
        fact = known.get(request.fact)
        if fact is None:
            raise IdentityError("This fact is no longer among the evidence. Look at the list again.")
        try:
            _one(identity, decisions, fact, request)
        except ValidationError as error:
            raise IdentityError(f"{fact.label}: {error.errors()[0]['msg'].removeprefix('Value error, ')}") from error
    return Identity.model_validate(identity.model_dump()), decisions


# Facts at least this sure are taken into an identity that nobody looks at.
SURE = 0.6
_MOST_TAKEN = {"colors": 12, "typefaces": 6, "marks": 6, "texts": 30, "measures": 20, "rules": 40, "words": 40, "gradients": 6}


def suggested(facts: Iterable[Fact], name: str = "Unnamed brand") -> Identity:
    """The identity that the best facts make, for use without anybody who decides. Colours that only the old website or
    pictures show are left out where a guideline, palette or mark states others."""
    known = list(facts)
    stated = [fact for fact in known if fact.group == "colors" and fact.data["authority"] <= 2]
    identity, decisions = Identity(name=name), Decisions()
    taken: dict[str, int] = {}
    for fact in known:
        if (
            not fact.usable
            or fact.sure < SURE
            or fact.group not in _MOST_TAKEN
            or (fact.group == "colors" and stated and fact not in stated)
        ):
            continue
        if taken.get(fact.group, 0) < _MOST_TAKEN[fact.group]:
            try:
                identity, decisions = decide(identity, decisions, [fact], [Request(fact=fact.id, action="accept")])
            except IdentityError:
                continue
            taken[fact.group] = taken.get(fact.group, 0) + 1
    return identity


def _one(identity: Identity, decisions: Decisions, fact: Fact, request: Request) -> None:
    before = decisions.facts.get(fact.id)
    if request.action in ("reject", "reopen"):
        if before and before.state == "locked":
            raise IdentityError(f"{fact.label} is locked. Unlock it first.")
        if before:
            _withdraw(identity, fact, before)
        if request.action == "reject":
            decisions.facts[fact.id] = Decision(state="rejected", name=request.name or (before.name if before else ""))
        else:
            decisions.facts.pop(fact.id, None)
        return
    if request.action == "unlock":
        if before:
            before.state = "accepted"
            _lock(identity, fact, before, False)
        return
    if not fact.usable:
        raise IdentityError(f"{fact.label}: this cannot be taken over. {fact.note}")
    if before and before.state == "locked" and (request.values or request.name) and request.values != before.values:
        raise IdentityError(f"{fact.label} is locked. Unlock it first.")
    values = request.values or (before.values if before and before.values else [fact.variants[0].value])
    name = request.name or (before.name if before and before.name else fact.label)
    made = Decision(state="locked" if request.action == "lock" else "accepted", values=values, name=name)
    if before and before.state == "locked":
        made.state = "locked"
    made.targets = _TAKE[fact.group](identity, fact, made, before, request.role)
    _lock(identity, fact, made, made.state == "locked")
    decisions.facts[fact.id] = made


def _lock(identity: Identity, fact: Fact, decision: Decision, locked: bool) -> None:
    for color in identity.colors:
        if fact.group == "colors" and color.id in decision.targets:
            color.locked = locked


def _withdraw(identity: Identity, fact: Fact, decision: Decision) -> None:
    """Takes out of the identity what an earlier decision put there."""
    gone = set(decision.targets)
    if fact.group == "colors":
        identity.colors = [color for color in identity.colors if color.id not in gone]
    elif fact.group == "gradients":
        identity.gradients = [one for one in identity.gradients if one not in gone]
    elif fact.group == "typefaces":
        identity.faces = [face for face in identity.faces if face.family not in gone]
    elif fact.group == "marks":
        identity.marks = [mark for mark in identity.marks if mark.id not in gone]
    elif fact.group == "words":
        for value in decision.values:
            put_word(identity, fact.data["field"], "", only=value)
    elif fact.group == "rules":
        identity.rules = [rule for rule in identity.rules if not (rule.text in gone and _is_of(rule, fact))]
    elif fact.group == "measures":
        identity.measures = [one for one in identity.measures if f"{one.measure} {one.px:g}" not in gone]
    elif fact.group == "texts":
        identity.texts = [text for text in identity.texts if text.text not in {fact.data["text"]}]
    elif fact.group == "pictures":
        identity.pictures = [picture for picture in identity.pictures if picture.asset not in gone]


Take = Callable[[Identity, Fact, Decision, Decision | None, str], list[str]]


def _colors(identity: Identity, fact: Fact, made: Decision, before: Decision | None, role: str) -> list[str]:
    old = list(before.targets) if before else []
    targets: list[str] = []
    for index, value in enumerate(made.values):
        name = made.name if index == 0 else _free(f"{made.name} {index + 1}", [color.name for color in identity.colors])
        wanted = old[index] if index < len(old) else ""
        own = next((color for color in identity.colors if color.id == wanted), None)
        # A colour that stands there already, typed by hand, is the same fact.
        own = own or next((c for c in identity.colors if c.parsed.hex.lower() == value.lower() and c.id not in targets), None)
        if own:
            own.value = value if own.parsed.hex.lower() != value.lower() else own.value
            own.name = name if made.name != fact.label or before else own.name
        else:
            taken = [color.id for color in identity.colors]
            own = BrandColor(name=name, value=value, id=free_id(BrandColor(name=name, value=value).id, taken))
            identity.colors.append(own)
        BrandColor.model_validate(own.model_dump())
        own.print = list(dict.fromkeys([*own.print, *fact.data.get("print", [])]))[:8]
        targets.append(own.id)
    identity.colors = [color for color in identity.colors if color.id not in set(old) - set(targets)]
    return targets


def _gradients(identity: Identity, fact: Fact, made: Decision, before: Decision | None, role: str) -> list[str]:
    identity.gradients = [*dict.fromkeys([*identity.gradients, made.values[0]])]
    return [made.values[0]]


def _typefaces(identity: Identity, fact: Fact, made: Decision, before: Decision | None, role: str) -> list[str]:
    wanted = role or fact.role
    kind: Literal["headings", "running text", "other"] = "other"
    if wanted == "headings" or wanted == "running text":
        kind = wanted  # type: ignore[assignment]
    library = str(fact.data.get("library", ""))
    identity.faces = [
        one for one in identity.faces if one.family != fact.data["family"] and (kind == "other" or one.role != kind)
    ]
    identity.faces.append(BrandFace(family=fact.data["family"], role=kind, library=library))
    # A family that lacks the letters of the site's language is noted as the brand's, and never set by itself.
    stands = for_language(library, identity.language) if library else ""
    if stands and kind == "headings":
        identity.typefaces.heading = stands
    if stands and kind == "running text":
        identity.typefaces.body = stands
    return [str(fact.data["family"])]


def _marks(identity: Identity, fact: Fact, made: Decision, before: Decision | None, role: str) -> list[str]:
    old = before.targets[0] if before and before.targets else ""
    data = fact.data
    known = next((mark for mark in identity.marks if mark.id == old or mark.svg == data["svg"]), None)
    if known:
        known.name = made.name[:80]
        return [known.id]
    base = slug(fact.label.rsplit(".", 1)[0], "mark")
    mark = Mark(
        id=free_id(base, [one.id for one in identity.marks]), name=made.name[:80], kind=data["shape"],
        meant_for="any" if data["meant_for"] == "light" else data["meant_for"], svg=data["svg"],
    )  # fmt: skip
    identity.marks.append(mark)
    return [mark.id]


def _words(identity: Identity, fact: Fact, made: Decision, before: Decision | None, role: str) -> list[str]:
    field = fact.data["field"]
    for value in before.values if before and field in MANY else ():
        if value != made.values[0]:
            put_word(identity, field, "", only=value)
    put_word(identity, field, made.values[0])
    return [field]


def _rules(identity: Identity, fact: Fact, made: Decision, before: Decision | None, role: str) -> list[str]:
    text = made.values[0]
    old = before.targets if before else []
    identity.rules = [rule for rule in identity.rules if not (rule.text in (text, *old) and _is_of(rule, fact))]
    identity.rules.append(BrandRule(rule=fact.data["rule"], text=text, values=fact.data["values"]))
    if fact.data["rule"] == "tone":  # an axis that somebody has set stays
        for axis, value in axes_of(tuple(fact.data["values"].get("wanted", ()))).items():
            if getattr(identity.character, axis) is None:
                setattr(identity.character, axis, value)
    return [text]


def _is_of(rule: BrandRule, fact: Fact) -> bool:
    """Whether a rule is what a fact states: a sentence may state several."""
    return bool(rule.rule == fact.data["rule"] and rule.values == fact.data["values"])


def _measures(identity: Identity, fact: Fact, made: Decision, before: Decision | None, role: str) -> list[str]:
    measure = BrandMeasure(measure=fact.data["measure"], name=str(fact.data.get("name", ""))[:60], px=fact.data["px"])
    key = f"{measure.measure} {measure.px:g}"
    identity.measures = [one for one in identity.measures if f"{one.measure} {one.px:g}" != key]
    identity.measures.append(measure)
    return [key]


def _texts(identity: Identity, fact: Fact, made: Decision, before: Decision | None, role: str) -> list[str]:
    data = fact.data
    heading = made.name[:160] if made.name != fact.label else data["heading"]
    identity.texts = [one for one in identity.texts if one.text != data["text"]]
    identity.texts.append(ClientText(heading=heading, text=data["text"], source=str(data["source"])[-200:]))
    return [fact.id]


def _pictures(identity: Identity, fact: Fact, made: Decision, before: Decision | None, role: str) -> list[str]:
    asset = asset_id(fact)
    identity.pictures = [one for one in identity.pictures if one.asset != asset]
    identity.pictures.append(ClientPicture(asset=asset, alt=made.name[:300]))
    return [asset]


def asset_id(fact: Fact) -> str:
    """The id that a picture has on pages: its file's name and a piece of its key, so that two of one name stay apart."""
    stem = str(fact.data["file"]).rsplit("/", 1)[-1].rsplit(".", 1)[0]
    return f"{slug(stem, 'picture')}-{fact.id.rsplit('-', 1)[-1][:6]}"


def _never(identity: Identity, fact: Fact, made: Decision, before: Decision | None, role: str) -> list[str]:
    raise IdentityError(f"{fact.label}: this is listed only. {fact.note}")


_TAKE: dict[str, Take] = {
    "colors": _colors, "gradients": _gradients, "typefaces": _typefaces, "marks": _marks, "words": _words, "rules": _rules,
    "measures": _measures, "texts": _texts, "pictures": _pictures, "other": _never,
}  # fmt: skip


def _free(name: str, taken: list[str]) -> str:
    number = 2
    made = name[:60]
    while made in taken:
        made = f"{name[:55]} {number}"
        number += 1
    return made


def broken_lock(before: Identity, after: Identity, was: Decisions | None = None, now: Decisions | None = None) -> str:
    """A sentence where a change alters or takes out what is locked without unlocking it; empty where none does.

    Colours carry their lock; of other facts, the decisions say that they are locked."""
    held = {color.id: color for color in after.colors}
    for color in before.colors:
        left = held.get(color.id)
        if color.locked and (left is None or (left.locked and (left.value, left.name) != (color.value, color.name))):
            return f"{color.name} is locked. Unlock it before you change it or take it out."
    for key, decision in (was.facts if was else {}).items():
        still = now.facts.get(key) if now else None
        locked = decision.state == "locked" and still is not None and still.state == "locked"
        if locked and _held(before, key, decision) != _held(after, key, decision):
            return f"{decision.name} is locked. Unlock it under Files before you change it or take it out."
    return ""


def _held(identity: Identity, key: str, decision: Decision) -> Any:
    """What stands in an identity for a locked fact."""
    targets = set(decision.targets)
    kind = key.split("-")[0]
    if kind == "word":
        field = decision.targets[0]
        if field in MANY:
            return [holds_word(identity, field, one) for one in decision.values]
        return getattr(identity.contact if field in CONTACT else identity, field)
    lists: dict[str, Any] = {
        "gradient": [one for one in identity.gradients if one in targets],
        "typeface": [face for face in identity.faces if face.family in targets],
        "mark": [(mark.id, mark.svg, mark.kind) for mark in identity.marks if mark.id in targets],
        "rule": [rule for rule in identity.rules if rule.text in targets],
        "measure": [one for one in identity.measures if f"{one.measure} {one.px:g}" in targets],
        "picture": [picture for picture in identity.pictures if picture.asset in targets],
    }
    return lists.get(kind)
