"""What ./start, ./test and ./bench need of the machine: Debian packages, the virtual environment, npm packages, and a
private PostgreSQL. Runs on the system's Python 3.11 alone. Every failure is one sentence with its remedy.
"""

import hashlib
import json
import os
import secrets
import shutil
import socket
import subprocess
import sys
import tempfile
import time
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
VENV = ROOT / ".venv"
VAR = ROOT / "var"
POSTGRES = Path("/usr/lib/postgresql/15/bin")


class Failed(Exception):
    """A step that failed, in one sentence with its remedy."""


def say(text: str) -> None:
    print(text, flush=True)


def run(command: list[str], what: str, remedy: str, **options: object) -> None:
    """Runs a command quietly; on failure its output goes to var/last-failure.log and one sentence is raised."""
    cwd = options.pop("cwd", ROOT)
    done = subprocess.run(command, cwd=cwd, stdout=subprocess.PIPE, stderr=subprocess.STDOUT, **options)  # type: ignore[call-overload]
    if done.returncode:
        VAR.mkdir(exist_ok=True)
        log = VAR / "last-failure.log"
        log.write_bytes(done.stdout)
        lines = [line for line in done.stdout.decode(errors="replace").splitlines() if line.strip()]
        last = f" Its last line: {lines[-1].strip()[:200]}" if lines else ""
        raise Failed(f"{what} failed. {remedy} The whole output is in {log}.{last}")


def stamp(name: str, *parts: bytes | str) -> tuple[bool, Path, str]:
    """Whether a step's inputs are as at its last success, the file that remembers it, and the new digest."""
    digest = hashlib.sha256(b"\0".join(p if isinstance(p, bytes) else p.encode() for p in parts)).hexdigest()
    file = VAR / "stamps" / name
    return file.exists() and file.read_text() == digest, file, digest


def remember(file: Path, digest: str) -> None:
    file.parent.mkdir(parents=True, exist_ok=True)
    file.write_text(digest)


def as_user(user: str) -> list[str]:
    return ["runuser", "-u", user, "--"] if os.geteuid() == 0 else []


# Debian packages


def debian(needed: dict[str, str]) -> None:
    """Installs the packages of which the given file, which may hold wildcards, is missing."""
    missing = [package for package, file in needed.items() if not any(Path("/").glob(file[1:]))]
    if not missing:
        return
    names = " ".join(missing)
    if os.geteuid() != 0:
        raise Failed(f"These Debian packages are missing: {names}. Install them as root: apt-get install {names}")
    if not shutil.which("apt-get"):
        raise Failed(f"These programs are missing: {names}. Install them; only Debian 12 is set up by itself.")
    say(f"Installing Debian packages: {names}")
    common = Path("/etc/postgresql-common")
    if "postgresql-15" in missing:
        common.mkdir(exist_ok=True)
        config = common / "createcluster.conf"
        if not config.exists():
            config.write_text("create_main_cluster = false\n")
    env = {**os.environ, "DEBIAN_FRONTEND": "noninteractive"}
    remedy = "Look whether the machine reaches Debian's packages."
    run(["apt-get", "update", "-qq"], "Updating the list of Debian packages", remedy, env=env)
    install = ["apt-get", "install", "-y", "-qq", "--no-install-recommends", *missing]
    run(install, f"Installing {names}", remedy, env=env)


SERVER = {
    "postgresql-15": str(POSTGRES / "postgres"),
    "libgs-common": "/usr/share/color/icc/ghostscript/default_cmyk.icc",  # the profile that print colours go through
}
BROWSER = {
    "chromium": "/usr/bin/chromium",
    "libatomic1": "/usr/lib/*/libatomic.so.1",  # the browser driver's own Node needs it
    "fonts-liberation": "/usr/share/fonts/truetype/liberation",
    "fonts-dejavu-core": "/usr/share/fonts/truetype/dejavu",
}
PRINTER = {name: BROWSER[name] for name in ("chromium",)}  # prints the style guide
JAVA = {"openjdk-17-jre-headless": "/usr/bin/java"}


# Python and npm packages


def python(development: bool) -> None:
    """The virtual environment at .venv with the pinned packages, and the command `formulon` in it."""
    wanted = ROOT / ("requirements-dev.txt" if development else "requirements.txt")
    done, file, digest = stamp("python", wanted.read_bytes(), (ROOT / "pyproject.toml").read_bytes())
    # What development needs holds all that running needs.
    dev_done = stamp("python", (ROOT / "requirements-dev.txt").read_bytes(), (ROOT / "pyproject.toml").read_bytes())[0]
    if (done or dev_done) and (VENV / "bin" / "formulon").exists():
        return
    say("Installing Python packages")
    remedy = "Look whether the machine reaches PyPI, then run this again."
    if not (VENV / "bin" / "python").exists():
        run([sys.executable, "-m", "venv", str(VENV)], "Making .venv", "Install python3-venv.")
    pin = next(line for line in (ROOT / "tools" / "uv.txt").read_text().splitlines() if line.startswith("uv=="))
    run(
        [str(VENV / "bin" / "python"), "-m", "pip", "install", "-q", "--disable-pip-version-check", pin],
        "Installing uv",
        remedy,
    )
    env = {**os.environ, "UV_PYTHON_DOWNLOADS": "never", "VIRTUAL_ENV": str(VENV)}
    uv = str(VENV / "bin" / "uv")
    run([uv, "pip", "sync", "-q", "--require-hashes", str(wanted)], "Installing the Python packages", remedy, env=env)
    editable = [uv, "pip", "install", "-q", "--no-deps", "--no-build-isolation", "-e", str(ROOT)]
    run(editable, "Setting up the command formulon", remedy, env=env)
    remember(file, digest)


def node_env() -> dict[str, str]:
    """The environment in which `node` and `npm` are those of .venv."""
    return {**os.environ, "PATH": f"{VENV / 'bin'}:{os.environ['PATH']}"}


def npm() -> None:
    """The npm packages of web/package-lock.json."""
    lock = ROOT / "web" / "package-lock.json"
    done, file, digest = stamp("npm", lock.read_bytes())
    if done and (ROOT / "web" / "node_modules").exists():
        return
    say("Installing npm packages")
    remedy = "Look whether the machine reaches the npm registry, then run this again."
    command = [str(VENV / "bin" / "npm"), "ci", "--no-audit", "--no-fund", "--ignore-scripts"]
    run(command, "Installing the npm packages", remedy, cwd=ROOT / "web", env=node_env())
    remember(file, digest)


def front_end() -> None:
    """web/dist, built anew when a source changed."""
    web = ROOT / "web"
    sources = sorted(p for p in [*web.glob("*.*"), *(web / "src").rglob("*"), *(web / "public").rglob("*")] if p.is_file())
    done, file, digest = stamp("front-end", *(part for p in sources for part in (str(p.relative_to(web)), p.read_bytes())))
    if done and (web / "dist" / "index.html").exists():
        return
    npm()
    say("Building the interface")
    command = [str(VENV / "bin" / "npm"), "run", "-s", "build"]
    run(command, "Building the interface", "Mend what the log names.", cwd=web, env=node_env())
    remember(file, digest)


# PostgreSQL


def free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


def port_taken(port: int) -> bool:
    with socket.socket() as probe:
        probe.settimeout(0.5)
        return probe.connect_ex(("127.0.0.1", port)) == 0


class Postgres:
    """A private server on loopback. Its data folder belongs to the user who runs it, since the server refuses root."""

    def __init__(self, name: str, durable: bool) -> None:
        self.name, self.durable = name, durable
        self.user = "postgres" if os.geteuid() == 0 else ""
        self.folder = self._folder()
        self.state = VAR / f"{name}.json"
        self.started = False
        self.looked = 0.0

    def _folder(self) -> Path:
        """var/<name>, or a folder under /var/lib where the server's user cannot reach the checkout."""
        inside = VAR / self.name
        VAR.mkdir(exist_ok=True)
        if not self.user:
            return inside
        reach = subprocess.run([*as_user(self.user), "test", "-x", str(VAR)], check=False, capture_output=True)
        if reach.returncode == 0:
            return inside
        key = hashlib.sha256(str(ROOT).encode()).hexdigest()[:10]
        return Path("/var/lib") / f"formulon-{key}" / self.name

    def settings(self) -> dict[str, str]:
        """What Django's settings need to know, for the role that owns the server."""
        data = json.loads(self.state.read_text())
        return {"DB_HOST": "127.0.0.1", "DB_PORT": str(data["port"]), "DB_USER": "formulon", "DB_PASSWORD": data["password"]}

    def application(self) -> dict[str, str]:
        """The same for the application, whose role owns its database and is no superuser."""
        data = json.loads(self.state.read_text())
        if "application" not in data:
            data["application"] = secrets.token_urlsafe(24)
            self._write(data)
        return self.settings() | {"DB_USER": "formulon_app", "DB_PASSWORD": data["application"]}

    def start(self) -> None:
        """Makes the cluster where there is none, and starts it where it does not run."""
        if self.running():
            return
        fresh = not (self.folder / "PG_VERSION").exists()
        data = json.loads(self.state.read_text()) if self.state.exists() and not fresh else {}
        password = data.get("password") or secrets.token_urlsafe(24)
        if fresh:
            say(f"Making a private PostgreSQL in {self.folder}")
            self._make(password)
        port = data.get("port", 0)
        if not port or port_taken(port):
            port = free_port()
        self._write(data | {"port": port, "password": password})
        fast = "" if self.durable else " -c fsync=off -c synchronous_commit=off -c full_page_writes=off"
        options = f"-p {port} -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c max_connections=60{fast}"
        log = self.folder / "server.log"
        command = [
            *as_user(self.user),
            str(POSTGRES / "pg_ctl"),
            "-D",
            str(self.folder),
            "-l",
            str(log),
            "-w",
            "-t",
            "60",
            "-o",
            options,
        ]
        # In a session of its own, so that Ctrl-C reaches this program first, which stops the server in order.
        done = subprocess.run(
            [*command, "start"],
            cwd="/",
            stdout=subprocess.DEVNULL,
            stderr=subprocess.DEVNULL,
            start_new_session=True,
            check=False,
        )
        if done.returncode:
            raise Failed(f"PostgreSQL did not start. See {log}, and remove {self.folder} if its data is not needed.")
        self.started = True

    def _make(self, password: str) -> None:
        self.folder.parent.mkdir(parents=True, exist_ok=True)
        owner = ["install", "-d", "-m", "700"] + (["-o", self.user, "-g", self.user] if self.user else [])
        run([*owner, str(self.folder)], f"Making {self.folder}", "Give yourself the right to write there.")
        with tempfile.NamedTemporaryFile("w", prefix="formulon-") as file:
            file.write(password + "\n")
            file.flush()
            if self.user:
                shutil.chown(file.name, self.user)
            command = [*as_user(self.user), str(POSTGRES / "initdb"), "-D", str(self.folder), "-U", "formulon"]
            command += ["-A", "scram-sha-256", f"--pwfile={file.name}", "-E", "UTF8", "--locale=C.UTF-8"]
            run(command, "Making the database", f"Remove {self.folder} and try again.", cwd="/")

    def _write(self, data: dict[str, object]) -> None:
        self.state.touch(mode=0o600)
        self.state.write_text(json.dumps(data))

    def running(self) -> bool:
        command = [*as_user(self.user), str(POSTGRES / "pg_ctl"), "-D", str(self.folder), "status"]
        return subprocess.run(command, cwd="/", capture_output=True, check=False).returncode == 0

    def keep(self) -> None:
        """Starts the server again where it has ended. Looked at every few seconds, since asking takes a process."""
        now = time.monotonic()
        if now < self.looked + 3:
            return
        self.looked = now
        if not self.running():
            say("PostgreSQL has ended and is started again.")
            self.start()

    def stop(self) -> None:
        """Stops the server if this program started it."""
        if self.started:
            command = [*as_user(self.user), str(POSTGRES / "pg_ctl"), "-D", str(self.folder), "-m", "fast", "-w", "stop"]
            subprocess.run(command, cwd="/", stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL, check=False)
            self.started = False


def wait_for(port: int, process: "subprocess.Popen[bytes]", seconds: float) -> None:
    """Waits until a server answers on a port. Raises Failed where its process ends or the time is over."""
    end = time.monotonic() + seconds
    while time.monotonic() < end:
        if process.poll() is not None:
            raise Failed("The server ended while it started. Its messages stand above.")
        if port_taken(port):
            return
        time.sleep(0.1)
    raise Failed(f"The server did not answer within {seconds:g} seconds. Run ./start again.")


class Watched:
    """A program that is kept running: one that dies is started again within seconds, and its words go to a log in var/."""

    def __init__(self, name: str, command: list[str], most: int = 5_000_000) -> None:
        self.name, self.command = name, command
        self.log = VAR / f"{name}.log"
        if self.log.exists() and self.log.stat().st_size > most:
            self.log.replace(self.log.with_suffix(".log.1"))
        self.deaths: list[float] = []
        self.process = self._start()

    def _start(self) -> "subprocess.Popen[bytes]":
        with self.log.open("ab") as out:
            out.write(f"-- {time.strftime('%Y-%m-%d %H:%M:%S')} {self.name} starts\n".encode())
            out.flush()
            return subprocess.Popen(self.command, cwd=ROOT, start_new_session=True, stdout=out, stderr=subprocess.STDOUT)

    def look(self) -> None:
        """Starts it again where it has ended; the more often it has ended lately, the longer that waits."""
        if self.process.poll() is None:
            return
        now = time.monotonic()
        self.deaths = [*(at for at in self.deaths if now - at < 60), now]
        say(f"The {self.name} ended ({self.process.returncode}) and is started again. Its words are in {self.log}.")
        time.sleep(min(10.0, 0.5 * len(self.deaths)))
        self.process = self._start()

    def end(self) -> None:
        if self.process.poll() is None:
            self.process.terminate()

    def wait(self) -> None:
        try:
            self.process.wait(20)
        except subprocess.TimeoutExpired:
            self.process.kill()
