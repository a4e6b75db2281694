"""An identity written out: in the project's own JSON, as design tokens, CSS, and palette files."""

from collections.abc import Callable
from dataclasses import dataclass

from formulon.core.formats import ase, gpl, properties, tokens
from formulon.core.system.documents.identity import Identity
from formulon.core.type.library import Library


@dataclass(frozen=True, slots=True)
class IdentityForm:
    """A form to take an identity out in; `write` takes the library that its typefaces are in as well."""

    id: str
    label: str
    ending: str
    media_type: str
    write: Callable[[Identity, Library], bytes]


def own_json(identity: Identity, library: Library) -> bytes:
    """IDENTITY.json: everything; reads back to the same identity."""
    return (identity.model_dump_json(indent=2) + "\n").encode()


FORMS: dict[str, IdentityForm] = {
    form.id: form
    for form in (
        IdentityForm("json", "Identity as JSON, whole", "json", "application/json", own_json),
        IdentityForm("tokens", "Design tokens", "tokens.json", "application/design-tokens+json", tokens.write),
        IdentityForm("css", "CSS custom properties", "css", "text/css", properties.write),
        IdentityForm("gpl", "Palette, .gpl", "gpl", "text/plain", lambda identity, _: gpl.write(identity)),
        IdentityForm("ase", "Swatches, .ase", "ase", "application/octet-stream", lambda identity, _: ase.write(identity)),
    )
}
