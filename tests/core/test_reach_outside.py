"""Who of core reaches outside: reads files, runs programs, opens sockets. docs/architecture.md names them; nobody else does."""

import ast
import re
import sys
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from formulon.core.checks.predict import predict
from formulon.core.checks.runner import check
from formulon.core.site.documents import documents, site_of
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import render
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.typefaces import FOLDER

ROOT = Path(__file__).parents[2]
CORE = ROOT / "formulon" / "core"
OUTSIDE = {"subprocess", "socket", "multiprocessing", "urllib", "http", "ctypes", "pty"}
READS = {"read_text", "read_bytes", "write_text", "write_bytes", "iterdir", "glob", "rglob", "unlink", "mkdir", "exists"}
PURE = {"urllib.parse"}
RUNS = {"fork", "execv", "system", "popen", "kill", "openpty"}


def reaching(file: Path) -> set[str]:
    """What a module does beyond computing: "files" or "programs"."""
    found = set()
    for node in ast.walk(ast.parse(file.read_text(encoding="utf-8"))):
        if isinstance(node, ast.Import | ast.ImportFrom):
            names = [one.name for one in node.names] if isinstance(node, ast.Import) else [node.module or ""]
            found |= {"programs" for name in names if name.split(".")[0] in OUTSIDE and name not in PURE}
        elif isinstance(node, ast.Call) and isinstance(node.func, ast.Name) and node.func.id == "open":
            found.add("files")
        elif isinstance(node, ast.Call) and isinstance(node.func, ast.Attribute):
            on_os = isinstance(node.func.value, ast.Name) and node.func.value.id == "os"
            found |= {"programs"} if on_os and node.func.attr in RUNS else set()
            found |= {"files"} if node.func.attr in READS or (on_os and node.func.attr == "open") else set()
    return found


def test_those_that_reach_outside_are_those_that_the_architecture_names() -> None:
    text = (ROOT / "docs" / "architecture.md").read_text(encoding="utf-8")
    told = text.partition("### Who reads files and runs programs")[2].partition("\n## ")[0]
    rows = re.findall(r"^\| `([\w./]+)` \| (files|programs|files, programs) \|", told, re.MULTILINE)
    named = {name: set(what.split(", ")) for name, what in rows}
    found = {str(file.relative_to(CORE)): reaching(file) for file in CORE.rglob("*.py") if reaching(file)}
    assert found == named


_opened: list[str] | None = None


def _listen(event: str, arguments: tuple[object, ...]) -> None:
    if _opened is not None and event in ("open", "subprocess.Popen", "socket.connect", "os.listdir", "os.scandir"):
        _opened.append(str(arguments[0]))


sys.addaudithook(_listen)


@contextmanager
def listening() -> Iterator[list[str]]:
    """The paths that are opened meanwhile."""
    global _opened
    _opened = []
    try:
        yield _opened
    finally:
        _opened = None


def test_no_model_reads_the_disk_when_it_is_validated(quillmoor: Identity) -> None:
    made = plan(quillmoor, Choices())
    bodies, whole = documents(made), made.model_dump()
    with listening() as opened:
        site_of(bodies, [])
        Site.model_validate(whole)
        Choices.model_validate({"radius": 3, "wires": {"paper/link": "lamp"}, "pins": {"space/4": "12px"}})
        for language, name in (("en", "Osier"), ("el", "Ξύλο"), ("vi", "Đất"), ("uk", "Їжак")):
            Identity.model_validate({"name": name, "language": language})
    assert opened == []


def test_a_site_is_made_and_checked_of_package_data_alone(quillmoor: Identity) -> None:
    with listening() as opened:
        site = plan(quillmoor, Choices(radius=11))
        system = site.system()
        check(predict(site, system), system)
        files = render(site, system)
    allowed = (str(ROOT / "formulon"), sys.prefix, sys.base_prefix)  # its own data, and what Python and libraries are made of
    assert files and set(opened) <= {one for one in opened if one.startswith(allowed)}
    fonts = [one for one in opened if one.startswith(str(FOLDER))]
    used = {one.id for one in site.families()}
    assert {Path(one).parent.name for one in fonts} <= used
