"""The report of a site's checks as a page that a client can be shown, and that prints: what it rests on, what holds, what does not, what
was waived by whom, and the rules."""

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from html import escape

from formulon.core.checks.findings import Finding, Report
from formulon.core.checks.rule import Ref, Rule

_FAMILIES = {
    "brand": "The brand", "contrast": "Contrast", "consistency": "Consistency", "type": "Type", "layout": "Layout",
    "structure": "Structure", "content": "Words", "links": "Links", "interaction": "Interaction", "forms": "Forms",
    "pictures": "Pictures", "publishing": "Publishing", "code": "Own code",
}  # fmt: skip
_STYLE = """
@page { size: A4; margin: 18mm 16mm; }
* { box-sizing: border-box; }
body { font: 11pt/1.5 system-ui, "Hanken Grotesk", sans-serif; color: #1f2022; background: #fff; margin: 0 auto; max-width: 46rem; padding: 2.5rem 1.5rem; }
header { display: flex; align-items: center; gap: 1rem; border-bottom: 2px solid #1f2022; padding-bottom: 1rem; margin-bottom: 1.5rem; }
header img { height: 44px; max-width: 180px; }
h1 { font-size: 1.6rem; line-height: 1.2; margin: 0; overflow-wrap: anywhere; } h2 { font-size: 1.1rem; margin: 2.25rem 0 .6rem; } h3 { font-size: 1rem; margin: 1.5rem 0 .25rem; }
p { margin: 0 0 .6rem; } .quiet { color: #5a5c60; } .verdict { font-size: 1.15rem; font-weight: 650; }
table { border-collapse: collapse; width: 100%; font-variant-numeric: tabular-nums; } th, td { text-align: right; padding: .3rem .5rem; border-top: 1px solid #c9c9c6; font-weight: 400; vertical-align: top; }
th:first-child, td:first-child { text-align: left; padding-left: 0; } thead th { border: 0; color: #5a5c60; font-size: .85rem; }
ul { list-style: none; margin: 0; padding: 0; } li { border-top: 1px solid #c9c9c6; padding: .6rem 0; break-inside: avoid; overflow-wrap: anywhere; }
.kind { display: inline-block; min-width: 3.6rem; font-weight: 650; } .stop { color: #a3191f; } small { display: block; color: #5a5c60; font-size: .85rem; }
.rules { columns: 2; column-gap: 2rem; font-size: .85rem; } .rules li { padding: .25rem 0; }
@media print { body { padding: 0; max-width: none; font-size: 10pt; } h2, h3 { break-after: avoid; } }
@media (max-width: 40rem) { .rules { columns: 1; } }
"""


@dataclass(frozen=True, slots=True)
class About:
    """What a report is about and what it rests on. `measured` says how many of `views` of pages a browser has seen; `mark` is an address of
    the brand's mark, or empty; `names` what pages are called; `seen_alone` names the rules that a browser alone can answer."""

    brand: str
    day: str
    policy: str
    pages: int
    schemes: Sequence[str]
    widths: Sequence[int]
    measured: int
    views: int
    mark: str
    names: dict[str, str]
    seen_alone: frozenset[str] = frozenset()


def client_report(report: Report, rules: Iterable[Rule], about: About) -> str:
    """The report as a page by itself, that asks for nothing."""
    held = {one.id: one for one in rules}
    waived = [one for one in report.findings if one.waived]
    left = [one for one in report.findings if not one.waived]
    parts = [
        _head(report, about),
        _table(report, held.values()),
        *_by_page(left, held, about),
        *(["<h2>Waived</h2>", f"<ul>{''.join(_item(one, held, about.names) for one in waived)}</ul>"] if waived else []),
        *_rules(held.values(), {one.rule for one in report.findings}, about),
    ]
    title = f"{escape(about.brand)}: what was checked"
    return (
        '<!doctype html>\n<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">'
        f"<title>{title}</title><style>{_STYLE}</style></head><body><main>{''.join(parts)}</main></body></html>\n"
    )


def _count(number: int, noun: str) -> str:
    return f"{number:,} {noun}{'' if number == 1 else 's'}"


def _head(report: Report, about: About) -> str:
    mark = f'<img src="{escape(about.mark)}" alt="">' if about.mark else ""
    stops, notes, waived = (report.counts.get(one, 0) for one in ("stop", "note", "waived"))
    verdict = (
        f"{_count(stops, 'finding')} {'holds' if stops == 1 else 'hold'} a release back."
        if stops
        else "Nothing holds a release back."
    )
    seen = (
        "A browser has seen all of them as they are."
        if about.measured == about.views
        else f"A browser has seen {about.measured} of {about.views} of them as they are; the rest is predicted from fonts and tokens."
        if about.measured
        else "What is told is predicted from fonts and tokens; no browser has seen the pages as they are."
    )
    return (
        f"<header>{mark}<h1>{escape(about.brand)}</h1></header>"
        f'<p class="verdict">{verdict}</p>'
        f"<p>{_count(report.counts['pass'], 'check')} pass, {_count(notes, 'note')} and {_count(waived, 'waived finding')} beside.</p>"
        f'<p class="quiet">{escape(about.day)}. {_count(about.pages, "page")} at {", ".join(map(str, about.widths))} px, '
        f"{escape(' and '.join(about.schemes))}, held to {escape(about.policy)}. {seen}</p>"
    )


def _table(report: Report, rules: Iterable[Rule]) -> str:
    families = list(dict.fromkeys(one.family for one in rules))
    rows = []
    for family in sorted(families, key=lambda one: list(_FAMILIES).index(one) if one in _FAMILIES else 99):
        those = [one for one in report.findings if one.rule.split("/")[0] == family and one.outcome == "fail"]
        numbers = (
            sum(one.family == family for one in rules),
            sum(one.stops for one in those),
            sum(one.severity == "note" and not one.waived for one in those),
            sum(one.waived is not None for one in those),
        )
        cells = "".join(f"<td>{one}</td>" for one in numbers)
        rows.append(f"<tr><th scope='row'>{_FAMILIES.get(family, family)}</th>{cells}</tr>")
    heads = "".join(f"<th scope='col'>{one}</th>" for one in ("", "Rules", "Stops", "Notes", "Waived"))
    return f"<h2>By family</h2><table><thead><tr>{heads}</tr></thead><tbody>{''.join(rows)}</tbody></table>"


def _by_page(findings: Sequence[Finding], rules: dict[str, Rule], about: About) -> list[str]:
    made = ["<h2>What was found</h2>"]
    if not findings:
        return [*made, "<p>Nothing.</p>"]
    for page in dict.fromkeys(one.page for one in findings):
        name = about.names.get(page, page) or "The whole site"
        items = "".join(_item(one, rules, {}) for one in findings if one.page == page)
        made.append(f"<h3>{escape(name)}</h3><ul>{items}</ul>")
    return made


def _item(finding: Finding, rules: dict[str, Rule], names: dict[str, str]) -> str:
    rule = rules.get(finding.rule)
    kind = "Waived" if finding.waived else "Stop" if finding.stops else "Open" if finding.outcome == "cannot-tell" else "Note"
    where = (names.get(finding.page, ""), finding.section.replace("-", " "), f"at {finding.width} px" if finding.width else "")
    said = f"{rule.rationale} {_said(rule.reference(finding.code))}." if rule else ""
    waived = finding.waived
    accepted = (
        f"<small>Accepted by {escape(waived.by)} on {escape(waived.on)}: “{escape(waived.reason)}”</small>" if waived else ""
    )
    return (
        f'<li><span class="kind{" stop" if finding.stops else ""}">{kind}</span> {escape(finding.message)}'
        f"<small>{escape(' · '.join(filter(None, where)))}</small>{accepted}<small>{escape(said)}</small></li>"
    )


def _said(ref: Ref) -> str:
    return " ".join(filter(None, (ref.name, ref.clause, ref.level)))


def _rules(rules: Iterable[Rule], found: set[str], about: About) -> Iterator[str]:
    """The rules by whether they have looked at every page: some ask for what only a browser sees."""
    looked, waiting = list[Rule](), list[Rule]()
    for one in rules:
        (waiting if one.id in about.seen_alone and about.measured < about.views else looked).append(one)
    items = "".join(f"<li>{escape(one.title)}{'' if one.id in found else ' ✓'}</li>" for one in looked)
    yield f'<h2>{_count(len(looked), "rule")} looked at every page</h2><p class="quiet">✓ found nothing.</p><ul class="rules">{items}</ul>'
    if waiting:
        items = "".join(f"<li>{escape(one.title)}</li>" for one in waiting)
        yield f'<h2>{_count(len(waiting), "rule")} {"waits" if len(waiting) == 1 else "wait"} for a browser</h2><p class="quiet">They ask for what is only seen there.</p><ul class="rules">{items}</ul>'
