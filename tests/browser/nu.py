"""The Nu HTML checker as a service of its own: started once, since its specification takes seconds to be read."""

import json
import socket
import subprocess
import time
import urllib.request
from pathlib import Path

VNU = Path(__file__).resolve().parent.parent.parent / "web" / "node_modules" / "vnu-jar" / "build" / "dist" / "vnu.jar"
_LARGEST = 40_000_000  # bytes of a page: all layouts stand on one


class Nu:
    """A running checker. Raises OSError where it does not start."""

    def __init__(self) -> None:
        with socket.socket() as free:
            free.bind(("127.0.0.1", 0))
            self.port = free.getsockname()[1]
        options = ["-Dnu.validator.servlet.bind-address=127.0.0.1", f"-Dnu.validator.servlet.max-file-size={_LARGEST}"]
        command = ["java", "-Xss4m", *options, "-cp", str(VNU), "nu.validator.servlet.Main", str(self.port)]
        self.process = subprocess.Popen(command, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
        deadline = time.monotonic() + 120
        while True:
            try:
                socket.create_connection(("127.0.0.1", self.port), 1).close()
                return
            except OSError:
                if self.process.poll() is not None or time.monotonic() > deadline:
                    raise
                time.sleep(0.2)

    def errors(self, page: Path) -> list[str]:
        """What is wrong with a page, with what stands there."""
        asked = urllib.request.Request(
            f"http://127.0.0.1:{self.port}/?out=json", page.read_bytes(), {"Content-Type": "text/html; charset=utf-8"}
        )
        with urllib.request.urlopen(asked, timeout=120) as answer:
            said = json.load(answer)["messages"]
        return [f"{page.name}: {one['message']} {one.get('extract')}" for one in said if one["type"] != "info"]

    def close(self) -> None:
        self.process.kill()
        self.process.wait()
