"""JSON Schemas of the documents and of what the commands print, generated from the models."""

from typing import Any

from pydantic import TypeAdapter

from formulon.core.checks.runner import Finding
from formulon.core.site.model import Site
from formulon.core.system.choices import Choices
from formulon.core.system.identity import Identity
from formulon.core.system.model import Conflict, Pair, Token


def schemas() -> dict[str, dict[str, Any]]:
    """Schema by file name."""
    return {
        "identity": Identity.model_json_schema(),
        "choices": Choices.model_json_schema(),
        "site": Site.model_json_schema(),
        "resolve": _object({"tokens": list[Token], "pairs": list[Pair], "conflicts": list[Conflict]}),
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
