"""A composition in words: what stands where, for people who choose one and for those who do not see its sketch."""

from collections.abc import Sequence

from formulon.core.site.composition import Composition, Part
from formulon.core.site.kind import Kind
from formulon.core.site.layout import COLUMNS

_NUMBERS = {1: "one", 2: "two", 3: "three", 4: "four"}
_MADE = {"tiles": "on solid cards", "lines": "as ruled lines", "stack": ""}


def described(kind: Kind, composition: Composition) -> str:
    """A sentence without its full stop."""
    rows: dict[int, list[Part]] = {}
    for part in composition.parts:
        rows.setdefault(part.row, []).append(part)
    tall = next((part for part in composition.parts if part.rows > 1), None)
    said = []
    for row in sorted(rows):
        own = [part for part in rows[row] if part is not tall]
        if own:
            said.append(_row(kind, own))
    if tall:
        side = "at the end" if tall.cols[0] + tall.cols[1] > COLUMNS + 1 else "at the start"
        said.insert(0, f"{_name(kind, tall)} {side} over the whole height{_edge(tall)}")
    text = "; ".join(said)
    return text[:1].upper() + text[1:]


def _row(kind: Kind, parts: Sequence[Part]) -> str:
    if len(parts) > 1:
        return " beside ".join(f"{_name(kind, part)}{_how(kind, part)}" for part in parts)
    part = parts[0]
    first, last = part.cols
    where = "across" if (first, last) == (1, COLUMNS) else "from edge to edge" if (first, last) == (0, COLUMNS + 1) else ""
    if not where:
        off = first + last - COLUMNS - 1
        where = "in the middle" if off == 0 else "at the end" if off > 0 else "at the start"
        where += _edge(part)
    return f"{_name(kind, part)} {where}{_how(kind, part)}"


def _edge(part: Part) -> str:
    return ", to the edge of the window" if part.bleeds else ""


def _name(kind: Kind, part: Part) -> str:
    slot = kind.slots[part.slots[0]]
    if slot.of.set_in_type:
        return (
            "headline and words"
            if "heading" in part.slots and len(part.slots) > 1
            else "headline"
            if "heading" in part.slots
            else "words"
        )
    return "buttons" if slot.of.drawn_as == "button" else slot.label.lower()


def _how(kind: Kind, part: Part) -> str:
    """What else is to be said of a part: its card, and how its items stand."""
    if part.card:
        return " on a card over the picture" if part.rise else " on a card"
    if not (part.made or part.like):
        return ""
    made = [_MADE.get(part.made, "") if part.made else f"as in “{kind.layouts[part.like].label}”"]
    made += [f"{_NUMBERS[part.by]} in a row"] if part.by > 1 else []
    return " " + ", ".join(filter(None, made)) if any(made) else ""
