"""Planning anew around decisions: what nobody has touched follows the brief; what was edited or locked stays. Pure."""

from dataclasses import dataclass, replace
from typing import Any

from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.composing.described import described
from formulon.core.site.composition import OWN, read
from formulon.core.site.documents import kind_of, page_of

Body = dict[str, Any]
Bodies = dict[str, Body]


@dataclass(frozen=True, slots=True)
class Difference:
    """One thing that a change changes: where, what it is now and what it becomes; empty where there is none. `named` is what people
    call the section."""

    page: str
    section: str
    slot: str
    before: str
    after: str
    named: str = ""


def replanned(base: Bodies, mine: Bodies, new: Bodies) -> Bodies:
    """Frame and pages after a three-way merge, slot by slot: `base` as planned last, `mine` as it is, `new` as planned now.

    What is the same in base and mine takes the new plan; what differs was decided by somebody and stays. Pages and
    sections that somebody took out stay out, those that somebody added stay in, locked sections stay as they are.
    """
    made: Bodies = {}
    frame = dict(mine["frame"])
    for part in ("header", "footer"):
        frame[part] = _section(base.get("frame", {}).get(part), mine["frame"][part], new["frame"][part])
    for name, page in new.items():
        if page_of(name) is None:
            continue
        if name in mine:
            made[name] = _page(base.get(name), mine[name], page)
        elif name not in base:
            made[name] = page
    for name, page in mine.items():
        if page_of(name) is not None and name not in new and (name not in base or _touched(base[name], page)):
            made[name] = page
    kept = {one for one in map(page_of, made) if one}
    order = [one for one in mine["frame"]["order"] if one in kept]
    for index, one in enumerate(new["frame"]["order"]):
        if one in kept and one not in order:
            before = next((x for x in reversed(new["frame"]["order"][:index]) if x in order), None)
            order.insert(order.index(before) + 1 if before else 0, one)
    frame["order"] = order + sorted(kept - set(order))
    return {"frame": frame, **made}


def _touched(base: Body, mine: Body) -> bool:
    return base != mine


def _page(base: Body | None, mine: Body, new: Body) -> Body:
    base = base or {"sections": []}
    made = dict(mine)
    for key in ("name", "title", "description", "menu"):
        if mine.get(key) == base.get(key):
            made[key] = new[key]
    old = {section["id"]: section for section in base["sections"]}
    own = {section["id"]: section for section in mine["sections"]}
    fresh = {section["id"]: section for section in new["sections"]}
    sections: list[Body] = []
    for section in mine["sections"]:
        key = section["id"]
        if key in fresh:
            sections.append(_section(old.get(key), section, fresh[key]))
        elif key not in old or old[key] != section or section.get("locked"):
            sections.append(section)
    for index, section in enumerate(new["sections"]):
        if section["id"] in own or section["id"] in old:
            continue  # there already, or taken out by somebody
        before = next((s["id"] for s in reversed(new["sections"][:index]) if any(x["id"] == s["id"] for x in sections)), None)
        at = next(i for i, x in enumerate(sections) if x["id"] == before) + 1 if before else 0
        sections.insert(at, section)
    made["sections"] = sections
    return made


def _section(base: Body | None, mine: Body, new: Body) -> Body:
    if mine.get("locked") or base is None:
        return mine
    if mine == base:  # nobody has touched it, so it may become of another kind
        return new
    if mine["kind"] != new["kind"]:
        return mine
    made = dict(mine)
    for key in ("layout", "ground"):
        if mine[key] == base[key]:
            made[key] = new[key]
    content = dict(mine["content"])
    for slot in {*base["content"], *new["content"]}:
        if mine["content"].get(slot) == base["content"].get(slot):
            if slot in new["content"]:
                content[slot] = new["content"][slot]
            else:
                content.pop(slot, None)
    made["content"] = content
    return made


def differences(before: Bodies, after: Bodies) -> list[Difference]:
    """What changes between two states of frame and pages, as lines that a person can read."""
    found: list[Difference] = []
    for name in [*after, *(one for one in before if one not in after)]:
        if not kind_of(name).planned:
            continue
        old, new = before.get(name), after.get(name)
        title = (new or old or {}).get("name", "Header and footer")
        if old is None:
            found.append(Difference(title, "", "", "", "new page"))
        elif new is None:
            found.append(Difference(title, "", "", "page", ""))
        elif old != new:
            found += _page_differences(title, old, new)
    return found


def _page_differences(title: str, old: Body, new: Body) -> list[Difference]:
    found = [
        Difference(title, "", key, _words(old.get(key)), _words(new.get(key)))
        for key in ("name", "title", "description", "order")
        if old.get(key) != new.get(key)
    ]
    before, after = _sections(old), _sections(new)
    named = {key: _called(one) for key, one in (before | after).items()}
    for key in [*after, *(one for one in before if one not in after)]:
        first, second = before.get(key), after.get(key)
        if first is None or second is None:
            found.append(
                Difference(title, key, "", "" if first is None else "section", "" if second is None else "new section")
            )
            continue
        for slot in sorted({*first["content"], *second["content"]}):
            if first["content"].get(slot) != second["content"].get(slot):
                found.append(
                    Difference(title, key, slot, _words(first["content"].get(slot)), _words(second["content"].get(slot)))
                )
        for part in ("kind", "layout", "ground"):
            if first[part] != second[part]:
                found.append(Difference(title, key, part, _part(first, part), _part(second, part)))
        for part in ("hidden", "parked", "departs", "locked"):
            if first.get(part, False) != second.get(part, False):
                found.append(Difference(title, key, part, *("yes" if one.get(part) else "no" for one in (first, second))))
        if first.get("hidden_on", []) != second.get("hidden_on", []):
            found.append(
                Difference(title, key, "not shown on", *(", ".join(one.get("hidden_on", [])) for one in (first, second)))
            )
    order = [[key for key in state if key in before and key in after] for state in (before, after)]
    if order[0] != order[1]:
        found.append(Difference(title, "", "order", *(" · ".join(named[key] for key in keys) for keys in order)))
    return [replace(one, named=named.get(one.section, "")) for one in found]


def _called(section: Body) -> str:
    """What people call a section: its kind."""
    kind = CATALOGUE.get(section["kind"])
    return kind.label if kind else str(section["kind"])


def _part(section: Body, part: str) -> str:
    """A part of a section in words: kinds and layouts by what they are called, those of one's own by what stands where."""
    kind, value = CATALOGUE.get(section["kind"]), str(section[part])
    if kind is None or part == "ground":
        return value
    if part == "kind":
        return kind.label
    return described(kind, read(value)) if value.startswith(OWN) else kind.layouts[value].label


def _sections(body: Body) -> dict[str, Body]:
    listed = body["sections"] if "sections" in body else [body["header"], body["footer"]]
    return {section["id"]: section for section in listed}


def _words(value: Any) -> str:
    """A slot's value as a short text."""
    if value is None:
        return ""
    if isinstance(value, str):
        return value
    if isinstance(value, list):
        return " · ".join(_words(item) for item in value)
    if not isinstance(value, dict):
        return str(value)
    named = (value.get(key) for key in ("label", "title", "name", "alt", "source"))
    return str(next(filter(None, named), "") or next((one for one in value.values() if one and isinstance(one, str)), ""))
