"""Response headers of the studio."""

from collections.abc import Callable

from django.http import HttpRequest, HttpResponse

from formulon.studio.api.problems import plain

# Styles in attributes carry the colours that are shown; previews are srcdoc frames, which inherit this policy.
_POLICY = (
    "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; connect-src 'self'; "
    "frame-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
)


class HeadersMiddleware:
    """Adds the content security policy to every answer that has none of its own."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        if "\0" in request.path or "%00" in request.META.get("QUERY_STRING", ""):
            return plain(400, "bad-request", "The address holds a zero character.")
        response = self.get_response(request)
        response.headers.setdefault("Content-Security-Policy", _POLICY)
        response.headers.setdefault("Permissions-Policy", "camera=(), geolocation=(), microphone=()")
        if request.path.startswith("/api/"):
            response.headers.setdefault("Cache-Control", "no-store")
        return response
