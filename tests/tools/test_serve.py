"""The server: half-sent requests hold nobody up, large ones are refused before they are kept, and a dead process is replaced."""

import http.client
import os
import signal
import socket
import subprocess
import sys
import time
from collections.abc import Iterator
from contextlib import closing
from pathlib import Path

import pytest

ROOT = Path(__file__).resolve().parent.parent.parent
import machine  # noqa: E402


@pytest.fixture(scope="module")
def port() -> Iterator[int]:
    number = machine.free_port()
    command = [sys.executable, "-m", "formulon.config.serve", "--port", str(number), "--processes", "2", "--threads", "2"]
    process = subprocess.Popen(command, cwd=ROOT)
    try:
        wait(number)
        yield number
    finally:
        process.terminate()
        assert process.wait(20) == 0


def wait(number: int) -> None:
    for _ in range(200):
        try:
            if ask(number)[0] == 200:
                return
        except OSError:
            time.sleep(0.1)
    raise AssertionError("the server did not answer")


def ask(number: int, path: str = "/", timeout: float = 10) -> tuple[int, float]:
    start = time.monotonic()
    with closing(http.client.HTTPConnection("localhost", number, timeout=timeout)) as connection:
        connection.request("GET", path)
        with closing(connection.getresponse()) as answer:
            return answer.status, time.monotonic() - start


def test_half_sent_requests_hold_nobody_up(port: int) -> None:
    held = []
    for index in range(60):
        half = socket.create_connection(("127.0.0.1", port))
        half.sendall(b"GET / HTTP/1.1\r\nHost: localhost\r\n" if index % 2 else b"POST /api/session HTTP/1.1\r\nContent-Le")
        held.append(half)
    assert all(ask(port)[0] == 200 for _ in range(10))
    for half in held:
        half.close()


@pytest.mark.parametrize("how", ["told", "in pieces"])
def test_a_body_that_is_too_large_is_refused_before_it_is_kept(port: int, how: str) -> None:
    with socket.create_connection(("127.0.0.1", port), timeout=20) as sender:
        length = b"Content-Length: 300000000" if how == "told" else b"Transfer-Encoding: chunked"
        sender.sendall(
            b"POST /api/session HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n" + length + b"\r\n\r\n"
        )
        sent = 0
        if how == "in pieces":
            try:
                while sent < 300_000_000:
                    sender.sendall(b"10000\r\n" + b"x" * 0x10000 + b"\r\n")
                    sent += 0x10000
            except OSError:
                pass
        try:
            answer = sender.recv(2000)
        except ConnectionResetError:
            answer = b""
    assert sent < 40_000_000
    assert b" 413 " in answer.splitlines()[0] if answer else how == "in pieces"
    assert ask(port)[0] == 200


def test_a_process_that_dies_is_replaced(port: int) -> None:
    children = subprocess.run(
        ["pgrep", "-f", "formulon.config.serve --fd"], capture_output=True, text=True, check=True
    ).stdout.split()
    own = [
        int(one)
        for one in children
        if f"--port {port}" in Path(f"/proc/{parent(int(one))}/cmdline").read_text().replace("\0", " ")
    ]
    assert len(own) == 2
    for one in own:
        os.kill(one, signal.SIGKILL)
    time.sleep(0.5)
    wait(port)


def parent(process: int) -> int:
    return int(Path(f"/proc/{process}/stat").read_text().rsplit(")", 1)[1].split()[1])


def test_the_preview_for_phones_has_a_socket_for_as_long_as_it_is_wanted(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    from formulon.config import phones

    monkeypatch.setattr(phones, "FOLDER", tmp_path)
    number = machine.free_port()
    command = [sys.executable, "-m", "formulon.config.serve", "--port", str(number), "--processes", "1", "--threads", "1"]
    process = subprocess.Popen(command, cwd=ROOT, env={**os.environ, "FORMULON_PHONES_FOLDER": str(tmp_path)})
    try:
        wait(number)
        assert phones.open_port(0) == 0
        phones.want(time.time() + 60)
        opened = phones.open_port(10)
        assert opened > number
        for _ in range(100):
            try:
                with socket.create_connection(("127.0.0.1", opened), 1):
                    break
            except OSError:
                time.sleep(0.1)
        # The studio is not to be had there, whatever name it is asked by.
        with closing(http.client.HTTPConnection("127.0.0.1", opened, timeout=20)) as connection:
            connection.request("GET", "/", headers={"Host": "localhost"})
            with closing(connection.getresponse()) as answer:
                assert answer.status == 404 and b"lasts for an hour" in answer.read()
        phones.want(0)
        for _ in range(100):
            if not phones.open_port(0):
                break
            time.sleep(0.1)
        time.sleep(0.5)
        with pytest.raises(OSError):
            socket.create_connection(("127.0.0.1", opened), 1)
        assert ask(number)[0] == 200
    finally:
        process.terminate()
        assert process.wait(20) == 0
