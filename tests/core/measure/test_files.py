"""Sites taken in as folders and archives: what is a page, what an address leads to, and what is refused."""

import io
import zipfile
from pathlib import Path

import pytest

from formulon.core.errors import SiteError
from formulon.core.measure import files as module
from formulon.core.measure.files import of_folder, of_zip


def archive(entries: dict[str, bytes], link: str = "") -> bytes:
    file = io.BytesIO()
    with zipfile.ZipFile(file, "w") as made:
        for name, data in entries.items():
            made.writestr(name, data)
        if link:
            info = zipfile.ZipInfo(link)
            info.external_attr = 0o120777 << 16
            made.writestr(info, "/etc/passwd")
    return file.getvalue()


def test_pages_and_addresses(tmp_path: Path) -> None:
    for name in ("index.html", "about.html", "shop/index.htm", "shop/a b.html", "style.css", ".git/config", ".hidden.html"):
        (tmp_path / name).parent.mkdir(exist_ok=True)
        (tmp_path / name).write_bytes(b"x")
    files = of_folder(tmp_path)
    assert files.pages == ["index.html", "about.html", "shop/index.htm", "shop/a b.html"]
    assert [files.at(one) for one in ("/", "/about", "/about.html", "/shop/", "/shop", "/gone", "/.git/config")] == [
        "index.html", "about.html", "about.html", "shop/index.htm", "shop/index.htm", "", "",
    ]  # fmt: skip
    assert files.read("style.css") == b"x"
    with pytest.raises(KeyError):
        files.read("../secret")


def test_an_archive_is_the_folder_that_it_holds() -> None:
    files = of_zip("a.zip", archive({"site/index.html": b"<p>", "site/css/a.css": b"p{}", "__MACOSX/site/x": b""}))
    assert files.pages == ["index.html"] and files.read("css/a.css") == b"p{}"
    assert of_zip("a.zip", archive({"index.html": b"", "css/a.css": b""})).pages == ["index.html"]


@pytest.mark.parametrize(
    ("data", "said"),
    [
        (archive({"../index.html": b""}), "outside"), (archive({"/etc/index.html": b""}), "outside"), (archive({"index.html": b""}, "link.html"), "symbolic link"),
        (b"PK no zip", "broken"), (archive({"a.css": b""}), "no page"), (archive({}), "no page"),
    ],
)  # fmt: skip
def test_archives_that_are_refused(data: bytes, said: str) -> None:
    with pytest.raises(SiteError, match=said) as raised:
        of_zip("a.zip", data)
    assert str(raised.value).startswith("a.zip: ") and str(raised.value).endswith(".")


@pytest.mark.parametrize("target", ["outside.html", "folder"])
def test_symbolic_links_of_a_folder_are_refused(tmp_path: Path, target: str) -> None:
    (tmp_path / "site").mkdir()
    (tmp_path / "folder").mkdir()
    (tmp_path / "outside.html").write_text("secret")
    (tmp_path / "site" / "index.html").write_text("x")
    (tmp_path / "site" / "link").symlink_to(tmp_path / target)
    with pytest.raises(SiteError, match="“link” is a symbolic link"):
        of_folder(tmp_path / "site")


def test_what_is_too_much_is_refused(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    (tmp_path / "index.html").write_bytes(b"12345")
    (tmp_path / "other.html").write_bytes(b"12345")
    monkeypatch.setattr(module, "MOST_FILES", 1)
    with pytest.raises(SiteError, match="more than 1 files"):
        of_folder(tmp_path)
    monkeypatch.setattr(module, "MOST_FILES", 9)
    for name, most in (("MOST_EACH", 4), ("MOST_BYTES", 9)):
        with monkeypatch.context() as patched:
            patched.setattr(module, name, most)
            with pytest.raises(SiteError, match="are not looked at"):
                of_folder(tmp_path)
            with pytest.raises(SiteError, match="are not looked at"):
                of_zip("a.zip", archive({"index.html": b"12345", "other.html": b"12345"}))
    with pytest.raises(SiteError, match="no such folder"):
        of_folder(tmp_path / "gone")
