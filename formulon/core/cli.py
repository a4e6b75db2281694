"""The command `formulon`: the pipeline of core without a database. The only module of core that reads and writes files."""

import base64
import json
import stat
import sys
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from dataclasses import asdict
from functools import wraps
from pathlib import Path
from typing import Any, TypeVar

import click

from formulon.core.checks.findings import Report
from formulon.core.checks.page_facts import Allowed
from formulon.core.checks.preflight import check_site
from formulon.core.color.contrast import contrast_ratio, relative_luminance, shown
from formulon.core.color.difference import difference
from formulon.core.color.parse import parse_color
from formulon.core.errors import FormulonError, SiteError
from formulon.core.formats.documents import load_choices, load_identity, load_site
from formulon.core.formats.reports import junit, sarif
from formulon.core.formats.reports import page as report_page
from formulon.core.formats.schemas import schemas
from formulon.core.formats.system_files import FORMS
from formulon.core.identity.brief import missing
from formulon.core.identity.decide import suggested
from formulon.core.identity.evidence import Fact
from formulon.core.identity.facts import GROUPS, facts_of
from formulon.core.identity.isolated import Readers
from formulon.core.identity.reading import beside, decode
from formulon.core.identity.sightings import Reading
from formulon.core.measure.files import MOST_PAGES, of_folder, of_zip
from formulon.core.measure.foreign import allowed_by, allowed_in, check_files
from formulon.core.measure.looking import WIDTHS
from formulon.core.site.editions import rendered_all
from formulon.core.site.fonts import lean
from formulon.core.site.guide import guide_files
from formulon.core.site.languages import published
from formulon.core.site.site import Site
from formulon.core.site.social import social_path, social_picture
from formulon.core.site.versions import versioned
from formulon.core.system.resolve import resolve

F = TypeVar("F", bound=Callable[..., Any])


def _plain_errors(command: F) -> F:
    """Turns core's errors into one line and exit code 2."""

    @wraps(command)
    def run(*args: Any, **kwargs: Any) -> Any:
        try:
            return command(*args, **kwargs)
        except FormulonError as error:
            click.echo(str(error), err=True)
            sys.exit(2)

    return run  # type: ignore[return-value]


def _read(path: str | Path) -> bytes:
    try:
        if not stat.S_ISREG(Path(path).stat().st_mode):
            raise SiteError(f"{path}: this is no file that can be read, but a pipe, a device or a folder. Name a file.")
        return Path(path).read_bytes()
    except OSError as error:
        raise SiteError(f"{path}: the file cannot be read ({error.strerror}). Check its name and your rights.") from error


def _site(path: str) -> Site:
    folder = Path(path).parent.resolve()

    def open_file(name: str) -> bytes:
        target = (folder / name).resolve()
        if not target.is_relative_to(folder):
            raise SiteError(f"{path}: “{name}” lies outside the folder of the site. Keep its files together.")
        return _read(target)

    return load_site(_read(path), path, open_file)


def _print(data: Any) -> None:
    click.echo(json.dumps(data, ensure_ascii=False, indent=2))


@click.group(context_settings={"help_option_names": ["-h", "--help"]})
def main() -> None:
    """From a brand identity to a checked site."""


@main.command()
@click.argument("first")
@click.argument("second")
@click.option("--format", "form", type=click.Choice(["text", "json"]), default="text")
@_plain_errors
def contrast(first: str, second: str, form: str) -> None:
    """WCAG contrast ratio of two colours, in any CSS form."""
    a, b = parse_color(first), parse_color(second)
    ratio = contrast_ratio(a.rgb, b.rgb)
    passes = {"text-AA": ratio >= 4.5, "text-AAA": ratio >= 7, "large-AA": ratio >= 3, "large-AAA": ratio >= 4.5}
    if form == "json":
        colors = [{"value": c.source, "hex": c.hex, "luminance": relative_luminance(c.rgb)} for c in (a, b)]
        _print({"ratio": ratio, "delta_e_2000": difference(a.rgb, b.rgb), "colors": colors, "passes": passes})
        return
    click.echo(f"{a.hex} on {b.hex}: {shown(ratio)}")
    for name, needed in (("Text, AA", 4.5), ("Text, AAA", 7.0), ("Large text and boundaries, AA", 3.0)):
        click.echo(f"  {name:<30} {needed:>3g}:1  {'passes' if ratio >= needed else 'fails'}")


@main.command(name="resolve")
@click.argument("identity")
@click.option("--choices", default=None, help="A CHOICES.json.")
@click.option("--format", "form", type=click.Choice(sorted(FORMS)), default="json")
@_plain_errors
def resolve_command(identity: str, choices: str | None, form: str) -> None:
    """The style system of IDENTITY.json."""
    chosen = load_choices(_read(choices), choices) if choices else None
    brand = load_identity(_read(identity), identity)
    click.echo(FORMS[form].write(resolve(brand, chosen), brand.name), nl=False)


@main.command()
@click.argument("site")
@click.option("--out", required=True, help="The folder to write into; files of the same name are replaced.")
@click.option("--format", "form", type=click.Choice(["text", "json"]), default="text")
@_plain_errors
def build(site: str, out: str, form: str) -> None:
    """The pages of SITE.json as static files."""
    made = _site(site)
    system = made.system()
    in_all = published(made)
    files = rendered_all(in_all)
    if made.choices.publish_guide:
        files |= guide_files(made, system)
    files |= {
        folder + social_path(one, one.system(), page): social_picture(one, one.system(), page)
        for folder, one in in_all.items()
        for page in one.drawn
    }
    files = versioned(lean(in_all, files))
    try:
        for name, data in files.items():
            target = Path(out) / name
            target.parent.mkdir(parents=True, exist_ok=True)
            target.write_bytes(data)
    except OSError as error:
        raise SiteError(f"{out}: the pages cannot be written ({error.strerror}). Choose another folder.") from error
    if form == "json":
        _print({"out": out, "files": [{"path": name, "bytes": len(data)} for name, data in files.items()]})
    else:
        click.echo(f"{len(made.drawn)} pages, {len(files)} files in {out}.")


@main.command()
@click.argument("site")
@click.option("--format", "form", type=click.Choice(["text", "json", "sarif", "junit", "html"]), default="text")
@click.option(
    "--fixes",
    default=60,
    show_default=True,
    help="Of a SITE.json: for how many findings fixes are worked out, the first first.",
)
@click.option(
    "--widths", default=",".join(map(str, WIDTHS)), show_default=True, help="Of a folder or ZIP: widths of the window in px."
)
@click.option("--tokens", default=None, help="Of a folder or ZIP: design tokens that colours and typefaces are held to.")
@click.option("--identity", default=None, help="Of a folder or ZIP: an IDENTITY.json whose system they are held to.")
@_plain_errors
def check(site: str, form: str, fixes: int, widths: str, tokens: str | None, identity: str | None) -> None:
    """Preflight of SITE: a SITE.json, from predicted facts; or a folder or ZIP of any pages, as a browser draws them.

    Exit code 1 when something stops a release, 2 when it could not be checked."""
    failed: tuple[str, ...] = ()
    if Path(site).is_dir() or site.lower().endswith(".zip"):
        files = of_folder(Path(site)) if Path(site).is_dir() else of_zip(site, _read(site))
        allowed = _allowed(tokens, identity)
        with click.progressbar(length=len(files.pages[:MOST_PAGES]), label="Looking at pages", file=sys.stderr) as bar:
            found = check_files(files, _widths(widths), lambda done, _: bar.update(1), allowed=allowed)
        report, failed = found.report, found.failed
    else:
        report = check_site(_site(site), most=fixes)
    if form == "text":
        _print_report(report)
    elif form == "json":
        _print(report.to_json())
    else:
        written = {
            "sarif": lambda: sarif(report),
            "junit": lambda: junit(report),
            "html": lambda: report_page(report, Path(site).name, failed),
        }
        click.echo(written[form](), nl=False)
    for sentence in failed:
        click.echo(sentence, err=True)
    sys.exit(1 if report.stopped else 2 if failed else 0)


def _allowed(tokens: str | None, identity: str | None) -> Allowed | None:
    if tokens and identity:
        raise SiteError("Name tokens or an identity, not both: an identity has tokens of its own.")
    if tokens:
        return allowed_in(tokens, decode(_read(tokens)) or "")
    return allowed_by(load_identity(_read(identity), identity)) if identity else None


def _widths(text: str) -> tuple[int, ...]:
    found = [int(one) if one.strip().isdigit() else 0 for one in text.split(",")]
    if not found or len(found) > 12 or any(not 240 <= one <= 3840 for one in found):
        raise SiteError(f"“{text[:60]}” is no list of widths. Write up to twelve of 240 to 3840, for example 360,1280.")
    return tuple(found)


def _print_report(report: Report) -> None:
    for finding in report.findings:
        width = f"{finding.width} px" if finding.width else ""
        where = " · ".join(filter(None, (finding.page, finding.section, finding.target, width)))
        click.echo(f"{finding.severity if finding.outcome == 'fail' else 'cannot tell'}  {finding.rule}  {where}")
        click.echo(f"      {finding.message}")
        for fix in finding.fixes:
            click.echo(f"      → {fix.label}")
    counts = report.counts
    click.echo(
        f"{counts['pass']} checks pass, {counts['stop']} stop the release, {counts['note']} are notes, "
        f"{counts['cannot-tell']} cannot be told."
    )


@main.command()
@click.argument("files", nargs=-1, required=True, metavar="FILE...")
@click.option("--format", "form", type=click.Choice(["text", "json"]), default="json")
@_plain_errors
def identify(files: tuple[str, ...], form: str) -> None:
    """What the brand's FILES say: facts with their evidence, and the identity that the best of them make.

    A folder stands for all files in it. Exit code 1 when a file could not be read."""
    readings = _readings(files)
    facts = facts_of(readings)
    identity = suggested(facts)
    failed = [reading for reading in readings if reading.problem]
    if form == "json":
        _print(
            {
                "identity": identity.model_dump(),
                "facts": [fact.model_dump(exclude={"state", "taken"}) for fact in facts],
                "missing": [asdict(one) for one in missing(identity)],
                "files": [{"name": r.file, "format": r.format, "problem": r.problem, "notes": r.notes} for r in readings],
            }
        )
    else:
        _print_facts(facts)
        for one in missing(identity):
            click.echo(f"missing  {one.what}. {one.instead}")
        for reading in failed:
            click.echo(f"unread  {reading.problem}")
    sys.exit(1 if failed else 0)


_MOST_NESTED = 4  # archives in archives


def _readings(files: tuple[str, ...]) -> list[Reading]:
    """The readings of files, folders and what archives hold."""
    found: dict[str, bytes] = {}
    for path in map(Path, files):
        inside = sorted(one for one in path.rglob("*") if one.is_file()) if path.is_dir() else [path]
        for file in inside:
            found[str(file.relative_to(path)) if path.is_dir() else file.name] = _read(file)
    tool = Readers()
    made: list[Reading] = []
    try:
        for depth in range(_MOST_NESTED + 2):
            if depth > _MOST_NESTED:
                made += [
                    Reading(file=name, problem=f"{name}: the archives lie in one another too deeply. Unpack them.")
                    for name in found
                ]
                break
            jobs = [(name, data, beside(name, found)) for name, data in found.items()]
            found = {}
            with ThreadPoolExecutor(2) as pool:
                for reading in pool.map(lambda job: tool.read(*job), jobs):
                    for part in reading.parts:
                        found[f"{reading.file.rsplit('.', 1)[0]}/{part.name}"] = base64.b64decode(part.data)
                    made.append(reading)
    finally:
        tool.close()
    return made


def _print_facts(facts: list[Fact]) -> None:
    labels = dict(GROUPS)
    last = ""
    for fact in facts:
        if fact.group != last:
            click.echo(labels[fact.group])
            last = fact.group
        click.echo(f"  {fact.label}  {fact.variants[0].value[:60]}  {fact.sure:.0%}" + (f"  {fact.role}" if fact.role else ""))
        for variant in fact.variants:
            where = "; ".join(dict.fromkeys(f"{one.file}, {one.place}" for one in variant.evidence[:4]))
            click.echo(f"      {variant.value[:40]}: {where}" if fact.disputed else f"      {where}")
        if fact.note:
            click.echo(f"      {fact.note}")


@main.command()
@click.argument("name", type=click.Choice(sorted(schemas())))
def schema(name: str) -> None:
    """The JSON Schema of a document, or of what a command prints."""
    _print(schemas()[name])


if __name__ == "__main__":
    main()
