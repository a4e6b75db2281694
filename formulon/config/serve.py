"""Serves Formulon: some processes on one socket, each of which takes requests in whole before a thread works on them.

    python -m formulon.config.serve [--host 127.0.0.1] [--port 8000] [--processes 2] [--threads 4] [--proxy ADDRESS]

A request whose headers or body are still on their way holds no thread up, and one that is larger than its address takes is
refused before it is kept. A process that dies is replaced. Uses waitress.
"""

import argparse
import os
import signal
import socket
import subprocess
import sys
import time
from threading import Thread
from types import FrameType

from waitress.adjustments import Adjustments
from waitress.channel import HTTPChannel
from waitress.parser import HTTPRequestParser
from waitress.server import TcpWSGIServer
from waitress.task import ThreadedTaskDispatcher

from formulon.config import phones

SMALL = 5_000_000  # bytes; what any address takes
LARGE = 230_000_000  # and those to which files are uploaded; services/sources.py has 200 MB for one intake
UPLOADS = ("/sources", "/fonts", "/marks", "/colors/picture", "/pictures", "/files-to-hand-out")
_REPLACED_AFTER = 1.0  # seconds
_PORTS = 20  # that are tried for the preview on phones


class Parser(HTTPRequestParser):  # type: ignore[misc]
    """Reads a request, with the limit of its address on the size of its body."""

    adj: object

    def parse_header(self, header_plus: bytes) -> None:
        super().parse_header(header_plus)
        path = str(self.path)
        upload = path.startswith("/api/") and path.endswith(UPLOADS)
        self.adj = _Limited(self.adj, LARGE if upload else SMALL)


class _Limited:
    """Settings of the server with another limit for one request."""

    def __init__(self, settings: object, most: int) -> None:
        self._settings, self.max_request_body_size = settings, most

    def __getattr__(self, name: str) -> object:
        return getattr(self._settings, name)


class Channel(HTTPChannel):  # type: ignore[misc]
    parser_class = Parser


class Server(TcpWSGIServer):  # type: ignore[misc]
    channel_class = Channel


def work(fd: int, threads: int, proxy: str, for_phones: bool) -> None:
    """One process: serves the socket until it is told to end; with `for_phones` the preview in the local network and nothing else."""
    from formulon.config.wsgi import application

    if for_phones:
        from formulon.studio.phones import application  # type: ignore[assignment]  # when Django is set up

    trusted = {"trusted_proxy": proxy, "trusted_proxy_headers": {"x-forwarded-for", "x-forwarded-proto", "x-forwarded-host"}}
    settings = Adjustments(
        threads=threads, max_request_body_size=LARGE, max_request_header_size=32_768, channel_timeout=30, cleanup_interval=5,
        connection_limit=1000, channel_request_lookahead=1, asyncore_use_poll=True, ident=None, clear_untrusted_proxy_headers=True,
        **(trusted if proxy else {}),
    )  # fmt: skip
    bound = socket.socket(fileno=fd)
    bound.setblocking(False)
    dispatcher = ThreadedTaskDispatcher()
    dispatcher.set_thread_count(threads)
    server = Server(
        application, _start=True, _sock=bound, dispatcher=dispatcher, adj=settings, bind_socket=False,
        sockinfo=(bound.family, bound.type, bound.proto, bound.getsockname()),
    )  # fmt: skip
    signal.signal(signal.SIGTERM, lambda *_: sys.exit(0))
    Thread(target=_end_with, args=(os.getppid(),), daemon=True).start()
    server.run()


def _end_with(parent: int) -> None:
    """Ends this process where the one that started it is gone, so that no server outlives what looks after it."""
    while os.getppid() == parent:
        time.sleep(1)
    os._exit(1)


class Processes:
    """The processes that serve one socket."""

    def __init__(self, bound: socket.socket, count: int, threads: int, proxy: str) -> None:
        self.bound, self.threads, self.proxy, self.ending = bound, threads, proxy, False
        self.running = [self.start() for _ in range(count)]
        self.phones = Phones(bound.getsockname()[1] + 1, self)

    def start(self, bound: socket.socket | None = None) -> "subprocess.Popen[bytes]":
        """A process on the socket of the studio, or on another one that the preview for phones has."""
        fd = (bound or self.bound).fileno()
        command = [sys.executable, "-m", "formulon.config.serve", "--fd", str(fd), "--threads", str(self.threads)]
        told = ["--phones"] if bound else ["--proxy", self.proxy]
        return subprocess.Popen([*command, *told], pass_fds=[fd])

    def end(self, *_: int | FrameType | None) -> None:
        self.ending = True

    def watch(self) -> None:
        """Replaces what dies, until it is told to end."""
        while not self.ending:
            time.sleep(0.2)
            for index, process in enumerate(self.running):
                if process.poll() is not None and not self.ending:
                    print(f"A process of the server ended ({process.returncode}); another takes its place.", flush=True)
                    time.sleep(_REPLACED_AFTER)
                    self.running[index] = self.start()
            self.phones.look()
        self.phones.close()
        for process in self.running:
            process.terminate()
        for process in self.running:
            _waited(process)


class Phones:
    """The preview in the local network: a socket of its own and a process on it, for as long as it is wanted."""

    def __init__(self, port: int, processes: Processes) -> None:
        self.port, self.processes = port, processes
        self.bound: socket.socket | None = None
        self.running: subprocess.Popen[bytes] | None = None
        phones.opened(0)

    def look(self) -> None:
        """Opens it, keeps it, or closes it, as is wanted."""
        if not phones.wanted():
            self.close()
        elif self.bound is None:
            self.bound = _free_socket(self.port)
            if self.bound:
                self.running = self.processes.start(self.bound)
                phones.opened(self.bound.getsockname()[1])
        elif self.running and self.running.poll() is not None:
            self.running = self.processes.start(self.bound)

    def close(self) -> None:
        if self.bound is None:
            return
        phones.opened(0)
        if self.running:
            self.running.terminate()
            _waited(self.running)
        self.bound.close()
        self.bound = self.running = None


def _free_socket(first: int) -> socket.socket | None:
    """A socket that the local network reaches, at the first of some ports that is free."""
    for port in range(first, first + _PORTS):
        try:
            made = socket.create_server(("0.0.0.0", port), backlog=64)
        except OSError:
            continue
        made.set_inheritable(True)
        return made
    return None


def _waited(process: "subprocess.Popen[bytes]") -> None:
    try:
        process.wait(15)
    except subprocess.TimeoutExpired:
        process.kill()


def main() -> int:
    parser = argparse.ArgumentParser(prog="python -m formulon.config.serve", description=__doc__)
    parser.add_argument("--host", default="127.0.0.1")
    parser.add_argument("--port", type=int, default=8000)
    parser.add_argument("--processes", type=int, default=2)
    parser.add_argument("--threads", type=int, default=4)
    parser.add_argument(
        "--proxy", default=os.environ.get("FORMULON_PROXY", ""), help="The proxy whose forwarding headers hold."
    )
    parser.add_argument("--fd", type=int, default=-1, help=argparse.SUPPRESS)
    parser.add_argument("--phones", action="store_true", help=argparse.SUPPRESS)
    options = parser.parse_args()
    if options.fd >= 0:
        work(options.fd, options.threads, options.proxy, options.phones)
        return 0
    bound = socket.create_server((options.host, options.port), backlog=512, reuse_port=False)
    bound.set_inheritable(True)
    processes = Processes(bound, options.processes, options.threads, options.proxy)
    signal.signal(signal.SIGTERM, processes.end)
    signal.signal(signal.SIGINT, processes.end)
    processes.watch()
    return 0


if __name__ == "__main__":
    sys.exit(main())
