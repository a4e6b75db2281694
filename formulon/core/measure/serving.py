"""A site handed to a browser: a proxy on loopback that answers for one made-up host out of its files and refuses all else, so that the
browser reaches no network whatever a page asks for. The host's name ends in .invalid (RFC 2606), which nobody can own."""

import mimetypes
import re
import threading
from collections.abc import Iterator
from contextlib import contextmanager
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from urllib.parse import unquote, urlsplit

from formulon.core.measure.files import SiteFiles

HOST = "site.invalid"
START = f"http://{HOST}/"
FRAME = f"{START}.formulon-frame"  # a page of ours with nothing but the frame in which those of the site stand
# As white and as light as a window is: what a page does not paint itself, and which scheme it is asked for, is then as it is without a frame.
_FRAME = b"<!doctype html><title>Frame</title><style>body{margin:0;overflow:hidden}iframe{display:block;border:0;height:100vh}</style><iframe></iframe>"
# No script of a page runs, whoever asks for it; nothing else is needed to look at a page.
_POLICY = "script-src 'none'; object-src 'none'; frame-src 'none'; form-action 'none'"
_FRAMES = _POLICY.replace("frame-src 'none'", "frame-src 'self'")
_LEADS_ON = re.compile(rb"(http-equiv\s*=\s*[\"']?\s*)(?=refresh)", re.IGNORECASE)
mimetypes.add_type("image/avif", ".avif")
mimetypes.add_type("image/webp", ".webp")
mimetypes.add_type("font/woff2", ".woff2")
mimetypes.add_type("font/woff", ".woff")


class Served(ThreadingHTTPServer):
    """What answers for a site."""

    daemon_threads = True
    files: SiteFiles

    def handle_error(self, request: object, client_address: object) -> None:
        """A browser that goes away in the middle of an answer is nothing to tell."""

    refused: set[str]
    missing: set[str]


class _Handler(BaseHTTPRequestHandler):
    server: Served
    protocol_version = "HTTP/1.1"

    def do_GET(self) -> None:
        address = urlsplit(self.path)
        if address.hostname != HOST:
            self.server.refused.add(self.path[:300])
            self._answer(403, "text/plain", b"")
            return
        if self.path == FRAME:
            self._answer(200, "text/html", _FRAME, _FRAMES)
            return
        path = self.server.files.at(unquote(address.path))
        if not path:
            self.server.missing.add(unquote(address.path)[:300])
            self._answer(404, "text/plain", b"")
            return
        kind = mimetypes.guess_type(path)[0] or "application/octet-stream"
        body = self.server.files.read(path)
        if kind in ("text/html", "application/xhtml+xml"):
            kind = "text/html"  # pages of folders are read as browsers read them from there
            body = _LEADS_ON.sub(rb"\1-", body)  # a page that leads on by itself stays to be looked at
        self._answer(200, kind, body)

    def do_CONNECT(self) -> None:
        self.server.refused.add(f"https://{self.path[:300]}")
        self._answer(403, "text/plain", b"")

    def do_POST(self) -> None:
        self._answer(403, "text/plain", b"")

    def _answer(self, code: int, kind: str, body: bytes, policy: str = _POLICY) -> None:
        self.send_response(code)
        self.send_header("Content-Type", kind)
        self.send_header("Content-Length", str(len(body)))
        self.send_header("Content-Security-Policy", policy)
        self.send_header("Cache-Control", "max-age=3600")
        self.end_headers()
        self.wfile.write(body)

    def log_message(self, format: str, *args: object) -> None:
        """Says nothing."""


@contextmanager
def served(files: SiteFiles) -> Iterator[Served]:
    """A proxy for the time of the context; `refused` and `missing` are what was asked for besides."""
    server = Served(("127.0.0.1", 0), _Handler)
    server.files, server.refused, server.missing = files, set(), set()
    thread = threading.Thread(target=server.serve_forever, kwargs={"poll_interval": 0.05}, daemon=True)
    thread.start()
    try:
        yield server
    finally:
        server.shutdown()
        server.server_close()
        thread.join(5)
