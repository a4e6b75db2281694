"""./start: what it says when it cannot go on (one sentence with the remedy, and no trace), and what it keeps running."""

import os
import signal
import socket
import subprocess
import sys
import tempfile
import time
from pathlib import Path

import psycopg
import pytest

ROOT = Path(__file__).resolve().parent.parent.parent
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


def test_a_program_that_ends_is_started_again(monkeypatch: pytest.MonkeyPatch, tmp_path: Path) -> None:
    monkeypatch.setattr(machine, "VAR", tmp_path)
    kept = machine.Watched("sleeper", [sys.executable, "-c", "print('awake', flush=True); import time; time.sleep(60)"])
    try:
        first = kept.process.pid
        kept.look()
        assert kept.process.pid == first
        kept.process.kill()
        kept.process.wait(10)
        kept.look()
        assert kept.process.pid != first and kept.process.poll() is None
        assert (tmp_path / "sleeper.log").read_text().count("sleeper starts") == 2
    finally:
        kept.end()
        kept.wait()
    assert kept.process.poll() is not None


def test_the_worker_outlives_its_database(monkeypatch: pytest.MonkeyPatch) -> None:
    """PostgreSQL is killed and started again; a task given then is done."""
    with tempfile.TemporaryDirectory(prefix="formulon-") as name:
        Path(name).chmod(0o755)  # the server's own user has to reach its folder
        monkeypatch.setattr(machine, "VAR", Path(name))
        database = machine.Postgres("postgres", durable=False)
        try:
            database.start()
            settings = database.settings() | {"DB_NAME": "postgres", "SECRET_KEY": "only-for-tests", "DB_CONN_MAX_AGE": "0"}
            env = os.environ | {f"FORMULON_{key}": str(value) for key, value in settings.items()}
            for key in settings:
                monkeypatch.setenv(f"FORMULON_{key}", env[f"FORMULON_{key}"])

            def manage(*words: str) -> None:
                subprocess.run(
                    [sys.executable, "manage.py", *words], cwd=machine.ROOT, env=env, check=True, capture_output=True
                )

            def done() -> int:
                with psycopg.connect(
                    host=env["FORMULON_DB_HOST"], port=env["FORMULON_DB_PORT"], user=env["FORMULON_DB_USER"],
                    password=env["FORMULON_DB_PASSWORD"], dbname="postgres",
                ) as connection:  # fmt: skip
                    rows = connection.execute(
                        "select count(*) from procrastinate_jobs where status = 'succeeded' and task_name = 'sweep'"
                    )
                    return int((rows.fetchone() or [0])[0])

            def wait(count: int) -> None:
                end = time.monotonic() + 90
                while done() < count:
                    assert time.monotonic() < end, (Path(name) / "worker.log").read_text()
                    worker.look()
                    time.sleep(0.3)

            manage("migrate", "-v", "0")
            defer = ("procrastinate", "defer", "sweep")
            worker = machine.Watched("worker", [sys.executable, "manage.py", "procrastinate", "worker", "--queues", "reading"])
            try:
                manage(*defer)
                wait(1)
                os.kill(int((Path(name) / "postgres" / "postmaster.pid").read_text().split()[0]), signal.SIGKILL)
                time.sleep(3.5)
                database.keep()
                manage(*defer)
                wait(2)
            finally:
                worker.end()
                worker.wait()
        finally:
            database.stop()
