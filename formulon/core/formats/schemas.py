"""JSON Schemas of the documents and of what the commands print, generated from the models."""

from typing import Any, Literal

from pydantic import BaseModel, TypeAdapter

from formulon.core.checks.findings import Finding
from formulon.core.identity.brief import Missing
from formulon.core.identity.evidence import Fact
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.system import Conflict, Pair, Scheme, Token


class _FoundFact(Fact):
    """A fact as `formulon identify` prints it: nothing has been decided on it."""

    state: Literal["open"] = "open"


class _ReadFile(BaseModel):
    """A file that was read, or why it could not be."""

    name: str
    format: str
    problem: str
    notes: list[str]


def schemas() -> dict[str, dict[str, Any]]:
    """Schema by file name."""
    return {
        "identity": Identity.model_json_schema(),
        "choices": Choices.model_json_schema(),
        "site": Site.model_json_schema(),
        "resolve": _object(
            {
                "schemes": list[Scheme],
                "tokens": list[Token],
                "dark": list[Token],
                "pairs": list[Pair],
                "conflicts": list[Conflict],
            }
        ),
        "identify": _object(
            {"identity": Identity, "facts": list[_FoundFact], "missing": list[Missing], "files": list[_ReadFile]}
        ),
        "check": _object({"counts": dict[str, int], "findings": list[Finding]}),
    }


def _object(parts: dict[str, Any]) -> dict[str, Any]:
    definitions: dict[str, Any] = {}
    properties = {}
    for name, kind in parts.items():
        schema = TypeAdapter(kind).json_schema()
        definitions |= schema.pop("$defs", {})
        properties[name] = schema
    return {
        "type": "object",
        "properties": properties,
        "required": list(parts),
        "additionalProperties": False,
        "$defs": definitions,
    }
