"""What accepted facts decide beyond the identity: corners, buttons and links in the choices. A choice that was made otherwise stays."""

from typing import Any

from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity

_MOST = 40.0  # px, of a corner


def applied(choices: Choices, before: Identity, after: Identity) -> Choices:
    """The choices with what facts state that have come, and without what those stated that have gone."""
    was, now = _stated(before), _stated(after)
    made, plain = choices.model_dump(), Choices().model_dump()
    for path in was.keys() | now.keys():
        if was.get(path) == now.get(path):
            continue
        holder, usual = made, plain
        for part in path[:-1]:
            holder, usual = holder.setdefault(part, {}), usual.get(part, {})
        if path in now:
            holder[path[-1]] = now[path]
        elif holder.get(path[-1]) == was[path]:  # nobody has chosen anything since
            holder[path[-1]] = usual.get(path[-1])
    steps = made["scale"]["steps"]
    made["scale"]["steps"] = {name: step for name, step in steps.items() if any(value is not None for value in step.values())}
    return Choices.model_validate(made)


def _stated(identity: Identity) -> dict[tuple[str, ...], Any]:
    """Choices that facts of an identity state, by where they stand; the first of a kind counts."""
    made: dict[tuple[str, ...], Any] = {}
    for measure in identity.measures:
        if measure.measure == "radius":
            made.setdefault(("radius",), min(_MOST, measure.px))
    for rule in identity.rules:
        if rule.rule != "buttons and links":
            continue
        radius, links = rule.values.get("button radius"), rule.values.get("links")
        if isinstance(radius, (int, float)):
            made.setdefault(("corners", "button"), min(_MOST, float(radius)))
        if (main := rule.values.get("button")) in ("filled", "outlined"):
            made.setdefault(("buttons", "main"), main)
        if (capitals := rule.values.get("button capitals")) in ("yes", "no"):  # buttons are set in the step for labels
            made.setdefault(("scale", "steps", "label", "case"), "uppercase" if capitals == "yes" else "none")
        if links:
            made.setdefault(("links", "underlined"), links == "underlined")
    return made
