"""Reading requests: JSON within bounds of size and depth, and without characters that cannot be kept."""

import json
from collections.abc import Mapping
from typing import Any, ClassVar

from django.conf import settings
from rest_framework.exceptions import APIException, ParseError
from rest_framework.parsers import BaseParser

DEEPEST = 60  # levels; a page's document has eight


class TooLarge(APIException):
    status_code = 413
    default_code = "too-large"
    default_detail = "The request is larger than this address takes. Send less at once."


class Unkept(APIException):
    status_code = 422
    default_code = "invalid"
    default_detail = "The text holds a zero character, which cannot be kept. Paste it again as plain text."


class BoundedJSONParser(BaseParser):
    """JSON of at most DATA_UPLOAD_MAX_MEMORY_SIZE bytes and DEEPEST levels."""

    media_type: ClassVar[str] = "application/json"

    def parse(self, stream: Any, media_type: str | None = None, parser_context: Mapping[str, Any] | None = None) -> Any:
        most = int(settings.DATA_UPLOAD_MAX_MEMORY_SIZE or 0)
        data = stream.read(most + 1)
        if len(data) > most:
            raise TooLarge()
        try:
            found = json.loads(data.decode("utf-8"))
        except (ValueError, RecursionError) as error:
            raise ParseError("The request holds no JSON that can be read. Send JSON as UTF-8.") from error
        _look(found)
        return found


def _look(value: Any) -> None:
    """Raises where the value is nested too deeply, or holds a text that neither the database nor a page can hold."""
    level = [value]
    for _ in range(DEEPEST):
        inner: list[Any] = []
        for one in level:
            if isinstance(one, str):
                if "\0" in one:
                    raise Unkept()
                if any("\ud800" <= char <= "\udfff" for char in one):
                    raise Unkept("The text holds half a character (a lone surrogate), which cannot be kept. Paste it again.")
            elif isinstance(one, dict):
                inner += [*one.keys(), *one.values()]
            elif isinstance(one, list):
                inner += one
        if not inner:
            return
        level = inner
    raise ParseError(f"The JSON is nested more than {DEEPEST} levels deep. Write it flat, as the API's schema shows.")
