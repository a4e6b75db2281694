"""A system written out: the project's own JSON, design tokens, CSS, SCSS and palette files."""

import json
from collections.abc import Callable, Iterator
from dataclasses import dataclass

from formulon.core.color.srgb import RGB, from_hex
from formulon.core.formats import ase, gpl, scss, system_tokens
from formulon.core.system.css import properties_css
from formulon.core.system.system import System


@dataclass(frozen=True, slots=True)
class SystemForm:
    """A form to take a system out in; `write` takes the system and the brand's name."""

    id: str
    label: str
    ending: str
    media_type: str
    write: Callable[[System, str], bytes]


def own_json(system: System, name: str) -> bytes:
    """All tokens with origin and reason, all pairs and conflicts, as docs/formats.md writes them."""
    return (json.dumps(system.to_json(), ensure_ascii=False, indent=2) + "\n").encode()


def css(system: System, name: str) -> bytes:
    """Custom properties, with the dark scheme in a media query."""
    return f"/* Style system of {scss.comment(name)} */\n{properties_css(system)}".encode()


def palette(system: System, name: str) -> bytes:
    """All colours in one palette."""
    return gpl.write_colors(name, [one for colors in _groups(system).values() for one in colors])


def swatches(system: System, name: str) -> bytes:
    """The colours in groups: the brand's own, ramps, and what stands on each ground."""
    return ase.write_groups(_groups(system))


def _groups(system: System) -> dict[str, list[tuple[str, RGB]]]:
    groups: dict[str, list[tuple[str, RGB]]] = {}
    for title, path, text in _colors(system):
        groups.setdefault(title, []).append((path, from_hex(text.lower())))
    return groups


def _colors(system: System) -> Iterator[tuple[str, str, str]]:
    for scheme, tokens in (("", system.tokens), ("dark ", system.dark)):
        for token in tokens.values():
            if token.type == "color":
                family, _, rest = token.path.partition("/")
                title = f"{family} {rest.split('/')[0]}" if family == "ground" else family
                yield f"{scheme}{title}", f"{scheme}{token.path}", token.css


def add(form: SystemForm) -> None:
    """Takes in another form. Raises ValueError for an id that is taken."""
    if form.id in FORMS:
        raise ValueError(f"There is a form {form.id} already.")
    FORMS[form.id] = form


FORMS: dict[str, SystemForm] = {
    form.id: form
    for form in (
        SystemForm("tokens", "Design tokens", "tokens.json", "application/design-tokens+json", system_tokens.write),
        SystemForm("css", "CSS custom properties", "css", "text/css", css),
        SystemForm("scss", "SCSS variables", "scss", "text/x-scss", scss.write),
        SystemForm("gpl", "Palette, .gpl", "gpl", "text/plain", palette),
        SystemForm("ase", "Swatches, .ase", "ase", "application/octet-stream", swatches),
        SystemForm("json", "System as JSON, whole", "json", "application/json", own_json),
    )
}
