"""Parts: the colours that stand on a ground, each stated once. Inks, and what buttons and fields are made of in their states.

A part is known by its path behind the name of its ground ("body", "primary/label/rest"). Its role group, which solves it,
lies in `solving/groups` under the name of `group`. What has to be seen of parts are pairs (`CHECKS`).
"""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

Needs = Literal["text", "boundary", "none"]  # which least ratio of the policy is asked for

VARIANTS = ("primary", "secondary", "text")
BUTTON_PARTS = ("fill", "label", "border")
STATES = ("rest", "hover", "pressed", "focus", "disabled")
FIELD_PARTS = ("fill", "label", "hint", "border")
FIELD_STATES = ("rest", "hover", "focus", "invalid", "disabled")
GROUND = "background"  # what stands for the ground itself where a part stands on it


@dataclass(frozen=True, slots=True)
class Part:
    """One colour that stands on a ground.

    `under` is the part that it stands on; `role` is the name by which choices lead a colour to it ("" where none can be);
    `drawn_as` is the ink that draws it where it has none of its own. Variant, name and state are those of buttons and
    fields.
    """

    path: str
    group: str
    under: str = GROUND
    role: str = ""
    drawn_as: str = ""
    variant: str = ""
    name: str = ""
    state: str = ""

    @property
    def ink(self) -> bool:
        """Whether it is an ink, and no part of a button or a field."""
        return not self.state


@dataclass(frozen=True, slots=True)
class Check:
    """A pair that has to be seen: `front` on `behind`, both paths of parts.

    `by_hand` are the parts of which one, set by hand, accounts for a failure, the nearest first. Where none was, the
    failure follows from that of the pair `follows`; "" for a pair that stands by itself.
    """

    ink: str
    label: str
    front: str
    behind: str
    needs: Needs
    by_hand: tuple[str, ...]
    follows: str = ""


# Every ink, with its label and what it needs.
_INKS: tuple[tuple[Part, str, Needs], ...] = (
    (Part("heading", "texts", role="heading"), "Heading", "text"),
    (Part("body", "texts", role="body"), "Text", "text"),
    (Part("link", "texts", role="link"), "Link", "text"),
    (Part("link-hover", "texts"), "Link, hover", "text"),
    (Part("link-visited", "texts"), "Link, visited", "text"),
    (Part("quiet", "texts", role="quiet"), "Quiet text", "text"),
    (Part("boundary", "texts", role="boundary"), "Boundary", "boundary"),
    (Part("line", "texts", role="line"), "Line", "none"),
    (Part("focus", "focus", role="focus"), "Focus ring", "boundary"),
    (Part("focus-inner", "focus", under="primary/fill/rest"), "Focus ring, inner tone", "boundary"),
    (Part("selection", "selection", role="selection"), "Selection", "none"),
    (Part("selection-ink", "selection", under="selection"), "Selected text", "text"),
    (Part("success", "signals", role="success"), "Success", "text"),
    (Part("warning", "signals", role="warning"), "Warning", "text"),
    (Part("error", "signals", role="error"), "Error", "text"),
)

# Where a wire to a button lands: the part that makes it what it is.
_BUTTON_ROLES = {"primary/fill/rest": "primary", "secondary/label/rest": "secondary"}
# The pair from which the other pairs of a button follow: the ink that it is drawn in.
_ROOTS = {"primary": "primary/label/rest", "secondary": "secondary/label/rest", "text": "link"}


def _buttons() -> Iterator[Part]:
    for variant in VARIANTS:
        group = "main_button" if variant == "primary" else "open_buttons"
        for state in STATES:
            for name in BUTTON_PARTS:
                path = f"{variant}/{name}/{state}"
                under = f"{variant}/fill/{state}" if name == "label" else GROUND
                drawn_as = "link" if path == "text/label/rest" else ""
                yield Part(path, group, under, _BUTTON_ROLES.get(path, ""), drawn_as, variant, name, state)


def _fields() -> Iterator[Part]:
    for state in FIELD_STATES:
        for name in FIELD_PARTS:
            under = f"field/fill/{state}" if name in ("label", "hint") else GROUND
            yield Part(f"field/{name}/{state}", "field", under, variant="field", name=name, state=state)


def _ink_checks() -> Iterator[Check]:
    for part, label, needs in _INKS:
        by_hand = (part.path, part.under) if part.under == "selection" else (part.path,)
        follows = "link" if part.path in ("link-hover", "link-visited") else ""  # a state of a link is the link itself
        yield Check(part.path, label, part.path, part.under, needs, by_hand, follows)


def _button_checks() -> Iterator[Check]:
    for variant in VARIANTS:
        root = _ROOTS[variant]
        for state in STATES:
            path, label = f"{variant}/label/{state}", f"{variant} button, {state}"
            needs: Needs = "none" if state == "disabled" else "text"
            by_hand = path, f"{variant}/fill/{state}"
            yield Check(path, label, path, by_hand[1], needs, by_hand, "" if path == root else root)
            if variant == "secondary" and state != "disabled":
                border = f"secondary/border/{state}"  # drawn in the label's ink, which fails first
                yield Check(border, label, border, GROUND, "boundary", (border,), root)
            elif variant == "primary" and state == "rest":
                yield Check("primary/fill", label, "primary/fill/rest", GROUND, "none", ())


def _field_checks() -> Iterator[Check]:
    for state in FIELD_STATES[:-1]:  # what is disabled needs no contrast
        fill = f"field/fill/{state}"
        names = ("label", "hint", "border", "border-inside") if state == "rest" else ("border", "border-inside")
        for name in names:
            path = f"field/{name.removesuffix('-inside')}/{state}"
            behind = GROUND if name == "border" else fill
            needs: Needs = "boundary" if "border" in name else "text"
            # What no state has of its own is that of rest.
            follows = "" if state == "rest" else f"field/{name}/rest"
            yield Check(f"field/{name}/{state}", f"field, {name}", path, behind, needs, (path, fill), follows)


PARTS: dict[str, Part] = {part.path: part for part in (*(one for one, _, _ in _INKS), *_buttons(), *_fields())}
CHECKS: dict[str, Check] = {check.ink: check for check in (*_ink_checks(), *_button_checks(), *_field_checks())}
INKS = tuple(part.path for part in PARTS.values() if part.ink)
# Inks that a colour can be led to; the others follow from these and can be pinned.
WIRED_INKS = tuple(part.path for part in PARTS.values() if part.ink and part.role)
ROLES: dict[str, Part] = {part.role: part for part in PARTS.values() if part.role}


def of_group(group: str) -> tuple[Part, ...]:
    """The parts that a role group solves."""
    return tuple(part for part in PARTS.values() if part.group == group)


def drawn_with(label: Part) -> tuple[str, ...]:
    """The parts of a button that are drawn where its label is: a text button has no border, and a fill in its states alone."""
    names: tuple[str, ...] = BUTTON_PARTS
    if label.variant == "text":
        names = ("label",) if label.state == "rest" else ("fill", "label")
    return tuple(f"{label.variant}/{name}/{label.state}" for name in names)
