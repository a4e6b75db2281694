"""What ./start says when it cannot go on: one sentence with the remedy, and no trace."""

import socket
import subprocess
import sys
from pathlib import Path

import pytest

ROOT = Path(__file__).resolve().parent.parent.parent
sys.path.insert(0, str(ROOT / "tools"))

import machine  # noqa: E402


def start(*arguments: str) -> subprocess.CompletedProcess[str]:
    return subprocess.run([sys.executable, str(ROOT / "start"), *arguments], capture_output=True, text=True, check=False)


def test_a_port_that_is_taken() -> None:
    with socket.socket() as other:
        other.bind(("127.0.0.1", 0))
        other.listen()
        port = other.getsockname()[1]
        done = start("--port", str(port))
    assert done.returncode == 1
    assert done.stderr.strip() == f"Port {port} is taken by another program. Choose another: ./start --port {port + 1}"


def test_a_port_that_is_none() -> None:
    done = start("--port", "80")
    assert done.returncode == 1 and "no usable port" in done.stderr and "Traceback" not in done.stderr


def test_missing_packages_without_the_right_to_install(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(machine.os, "geteuid", lambda: 1000)
    with pytest.raises(machine.Failed, match="Install them as root: apt-get install nothing-such"):
        machine.debian({"nothing-such": "/nowhere/at/all"})


def test_a_failed_step_names_its_log_and_last_line(monkeypatch: pytest.MonkeyPatch, tmp_path: Path) -> None:
    monkeypatch.setattr(machine, "VAR", tmp_path)
    with pytest.raises(machine.Failed) as caught:
        machine.run(["bash", "-c", "echo first; echo the last line; exit 3"], "Doing it", "Do that.")
    assert str(caught.value).startswith("Doing it failed. Do that.")
    assert "the last line" in str(caught.value)
    assert (tmp_path / "last-failure.log").read_text() == "first\nthe last line\n"


def test_stamps_remember_only_the_same_inputs(monkeypatch: pytest.MonkeyPatch, tmp_path: Path) -> None:
    monkeypatch.setattr(machine, "VAR", tmp_path)
    done, file, digest = machine.stamp("step", "a", b"b")
    assert not done
    machine.remember(file, digest)
    assert machine.stamp("step", "a", b"b")[0]
    assert not machine.stamp("step", "a", b"c")[0]
