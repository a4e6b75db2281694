"""Compares what two states of the code make of the same brands: tokens, pairs, conflicts, findings, uses and files.

    python tools/golden.py write DIR [--brands 240]     what this state makes, a file for each brand
    python tools/golden.py compare DIR                  what it makes otherwise than what lies there; exit code 1 where anything

For changes of structure, which are to change nothing: write with the commit before, compare with the one after. The brands are
drawn at random with a seed of their own: names in five scripts, none to eight colours, none to seven offers, every layout of the
catalogue with some of its contents taken out, and choices of every kind.
"""

import argparse
import dataclasses
import difflib
import gzip
import json
import multiprocessing
import random
import re
import sys
from collections import Counter
from pathlib import Path
from typing import Any

sys.path.insert(0, str(Path(__file__).resolve().parent.parent))

from formulon.core.checks.predict import predict
from formulon.core.checks.reach import reach
from formulon.core.checks.runner import check
from formulon.core.site.catalogue import CATALOGUE
from formulon.core.site.planning.planner import plan
from formulon.core.site.render import Preview, render, render_page
from formulon.core.site.site import Frame, Page, Section, Site
from formulon.core.system.documents.choices import Choices
from formulon.core.system.documents.identity import Identity
from formulon.core.system.resolve import resolve

NAMES = ["Osier & Reed", "Παρατηρητήριο Άστρων", "Nguyễn & Con", "Donaudampfschifffahrtsgesellschaft", "Чайный дом", "木工"]
WORDS = [
    "brown",
    "willow",
    "that",
    "we",
    "cut",
    "ourselves",
    "on",
    "four",
    "acres",
    "of",
    "fen",
    "and",
    "weave",
    "within",
    "the",
    "week",
    "so",
    "that",
    "it",
    "stays",
    "supple",
]
LANGUAGES = ["en-GB", "en-GB", "de", "el", "vi", "nb", "he", "cy"]
SHOWN = 12  # differing lines that are shown of each part


def identity(dice: random.Random) -> Identity:
    """A brand at random."""

    def said(most: int) -> str:
        return " ".join(dice.choice(WORDS) for _ in range(dice.randrange(1, most))).capitalize() + "."

    body: dict[str, Any] = {"name": dice.choice(NAMES), "language": dice.choice(LANGUAGES)}
    colors = dice.choice([0, 1, 2, 3, 4, 6, 8])
    body["colors"] = [{"name": f"C{index}", "value": f"#{dice.randrange(1 << 24):06x}"} for index in range(colors)]
    for field, most in (("strapline", 8), ("does", 40), ("audience", 16), ("place", 3)):
        if dice.random() < 0.7:
            body[field] = said(most)
    body["offers"] = [{"name": f"Offer {n}", "text": said(30) if dice.random() < 0.8 else ""} for n in range(dice.randrange(8))]
    body["proof"] = [said(8) for _ in range(dice.randrange(4))]
    body["pages"] = dice.sample(["Prices", "Visit", "Press", "Εκδηλώσεις", "Straße/Weg"], dice.randrange(4))
    if dice.random() < 0.7:
        body["contact"] = {
            "phone": "+44 1632 960174",
            "email": "a@b.example",
            "hours": "Tuesday to Saturday",
            "address": "4 Fen Lane",
        }
    return Identity.model_validate(body)


def choices(dice: random.Random) -> Choices:
    """Choices of every kind at random, each left as it comes in half of all cases."""
    grounds = ("paper", "tint", "brand", "accent", "deep")
    shapes = ("none", "initial", "ring", "arch", "wave", "weave", "ray")
    drawn: dict[str, Any] = {
        "policy": dice.choice(["AAA", "own"]),
        "scheme": dice.choice(["dark", "both"]),
        "wires": {
            f"{dice.choice(grounds)}/{dice.choice(['heading', 'link', 'primary'])}": f"neutral/{dice.choice([200, 500, 800])}"
        },
        "rhythm": {"opening": dice.choice(grounds), "middle": dice.sample(grounds, 2), "closing": dice.choice(grounds)},
        "radius": dice.choice([0, 3, 18, 40]),
        "elevation": dice.choice(["soft", "crisp"]),
        "cards": dice.choice(["lined", "lifted", "solid"]),
        "pictures": dice.choice(["duotone", "tint", "monochrome"]),
        "motif": {
            "shape": dice.choice(shapes),
            "places": {"opening": "accent", "middle": "band"},
            "size": dice.choice([24, 120]),
        },
        "motion": dice.choice(["calm", "lively"]),
        "density": dice.choice([0.7, 1.3]),
        "scale": {"size": dice.choice([0.8, 1.2]), "steps": {"h2": {"case": "uppercase", "tracking": 0.06}}},
        "buttons": {"arrow": dice.choice(["before", "after"]), "full_on_phones": True, "least": 44},
        "links": {"underlined": False},
    }
    return Choices.model_validate({name: value for name, value in drawn.items() if dice.random() < 0.5})


def laid_out(site: Site, dice: random.Random) -> Site:
    """The site with layouts at random, some contents taken out, and the sections of its pages shuffled."""

    def other(section: Section) -> Section:
        layouts = list(CATALOGUE[section.kind].layouts)
        content = {key: value for key, value in section.content.items() if key in ("heading", "items") or dice.random() < 0.8}
        if "items" in content:
            most = CATALOGUE[section.kind].slots["items"].most
            content["items"] = (content["items"] * 4)[: min(most, dice.choice([1, 2, 3, 5, 7]))]
        return section.model_copy(update={"layout": dice.choice(layouts), "content": content})

    pages: list[Page] = []
    for page in site.pages:
        sections = [other(section) for section in page.sections]
        dice.shuffle(sections)
        pages.append(page.model_copy(update={"sections": sections}))
    frame = Frame(header=other(site.frame.header), footer=other(site.frame.footer), order=site.frame.order)
    return Site.model_validate({
        "identity": site.identity, "choices": site.choices, "frame": frame.model_dump(),
        "pages": [page.model_dump() for page in pages], "assets": site.assets,
    })  # fmt: skip


def made(number: int) -> dict[str, Any]:
    """All that this state makes of a brand by its number, as plain data."""
    dice = random.Random(number)
    site = plan(identity(dice), choices(dice))
    if number % 3:
        site = laid_out(site, dice)
    system = resolve(site.identity, site.choices)
    facts = predict(site, system)
    report = check(facts, system)
    files = render(site, system)
    preview = render_page(site, system, site.drawn[0], Preview("/fonts", "/pictures", system.schemes[0], "/own"))
    return {
        "tokens": {token.path: [token.css, token.origin, token.reason, token.alias] for token in system.tokens.values()},
        "dark": {token.path: [token.css, token.origin] for token in system.dark.values()},
        "pairs": [dataclasses.astuple(pair) for pair in system.pairs],
        "conflicts": [[one.code, one.path, one.message, len(one.alternatives)] for one in system.conflicts],
        "facts": sorted(str(fact) for fact in facts),
        "findings": [
            [one.rule, one.code, one.outcome, one.page, one.section, one.target, one.message] for one in report.findings
        ],
        "counts": report.counts,
        "reach": {path: [str(use) for use in uses] for path, uses in reach(site, system, facts).items()},
        "files": {name: lines_of(name, data) for name, data in sorted(files.items())},
        "preview": sorted(preview.splitlines()),
    }


def lines_of(name: str, data: bytes) -> list[str]:
    """The lines of a file, those of a style sheet in alphabetical order; of what is no text, how long it is."""
    try:
        lines = data.decode().splitlines()
    except UnicodeDecodeError:
        return [f"{len(data)} bytes"]
    return sorted(lines) if name.endswith(".css") else lines


def file_of(folder: Path, number: int) -> Path:
    return folder / f"{number:04}.json.gz"


def write(job: tuple[Path, int]) -> None:
    folder, number = job
    body = json.dumps(made(number), ensure_ascii=False, default=str).encode()
    file_of(folder, number).write_bytes(gzip.compress(body, 6, mtime=0))


def rounded(text: str) -> str:
    """Figures to five places: sums may be made in another order."""
    return re.sub(r"\d+\.\d{6,}", lambda found: repr(round(float(found[0]), 5)), text)


def in_order(made: dict[str, Any]) -> dict[str, Any]:
    """The same without the order of what has none: pairs, conflicts, and declarations in a style sheet."""
    css = {
        name: sorted(re.split(r"[;{}\n]", "\n".join(lines))) for name, lines in made["files"].items() if name.endswith(".css")
    }
    preview = sorted(re.split(r"[;{}\n]", "\n".join(made["preview"])))
    listed = {part: sorted(made[part], key=str) for part in ("pairs", "conflicts")}
    return made | listed | {"files": made["files"] | css, "preview": preview}


def compare(job: tuple[Path, int]) -> tuple[int, dict[str, list[str]]]:
    """The parts that differ, each with its first differing lines."""
    folder, number = job
    before = in_order(json.loads(rounded(gzip.decompress(file_of(folder, number).read_bytes()).decode())))
    after = in_order(json.loads(rounded(json.dumps(made(number), ensure_ascii=False, default=str))))
    found = {}
    for part in before.keys() | after.keys():
        if before.get(part) != after.get(part):
            old, new = (json.dumps(one.get(part), ensure_ascii=False, indent=1).splitlines() for one in (before, after))
            told = [line for line in difflib.unified_diff(old, new, lineterm="", n=0) if line[:2] not in ("--", "++", "@@")]
            found[part] = told[:SHOWN]
    return number, found


def main() -> int:
    parser = argparse.ArgumentParser(prog="python tools/golden.py", description=__doc__)
    parser.add_argument("what", choices=["write", "compare"])
    parser.add_argument("folder", type=Path)
    parser.add_argument("--brands", type=int, default=240)
    options = parser.parse_args()
    with multiprocessing.Pool() as pool:
        if options.what == "write":
            options.folder.mkdir(parents=True, exist_ok=True)
            pool.map(write, [(options.folder, number) for number in range(options.brands)], chunksize=4)
            print(f"{options.brands} brands are written to {options.folder}.")
            return 0
        numbers = sorted(int(file.name[:4]) for file in options.folder.glob("*.json.gz"))
        parts: Counter[str] = Counter()
        for number, found in pool.imap(compare, [(options.folder, number) for number in numbers], chunksize=4):
            parts.update(found.keys())
            for part, lines in found.items():
                if parts[part] <= 3:
                    print(f"brand {number}, {part}:", *(f"  {line[:220]}" for line in lines), sep="\n")
    print(
        f"{len(numbers)} brands compared: "
        + (", ".join(f"{n} differ in {part}" for part, n in parts.items()) or "all as before")
    )
    return 1 if parts else 0


if __name__ == "__main__":
    sys.exit(main())
