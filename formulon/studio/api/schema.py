"""Teaches the OpenAPI generator to read pydantic models."""

from typing import Any

from drf_spectacular.extensions import OpenApiAuthenticationExtension, OpenApiSerializerExtension
from drf_spectacular.plumbing import ResolvedComponent
from pydantic.json_schema import JsonSchemaMode, model_json_schema


class PydanticExtension(OpenApiSerializerExtension):
    """A pydantic model is a component under its own name, and so are the models that it holds."""

    target_class = "pydantic.BaseModel"
    match_subclasses = True

    def get_name(self, auto_schema: Any, direction: str) -> str:
        return str(self.target.__name__)

    def map_serializer(self, auto_schema: Any, direction: str) -> dict[str, Any]:
        mode: JsonSchemaMode = "validation" if direction == "request" else "serialization"
        schema = model_json_schema(self.target, ref_template="#/components/schemas/{model}", mode=mode)
        for name, part in schema.pop("$defs", {}).items():
            component = ResolvedComponent(name=name, type=ResolvedComponent.SCHEMA, object=name, schema=part)
            auto_schema.registry.register_on_missing(component)
        return schema


class SignedInScheme(OpenApiAuthenticationExtension):
    """The session's cookie."""

    target_class = "formulon.studio.api.access.SignedIn"
    name = "session"

    def get_security_definition(self, auto_schema: Any) -> dict[str, str]:
        return {"type": "apiKey", "in": "cookie", "name": "sessionid"}
