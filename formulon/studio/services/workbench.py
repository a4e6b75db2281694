"""What the interface shows of a brand at once: system, tokens as CSS, uses, counts, all from the pipeline of core."""

import hashlib
from collections import Counter
from collections.abc import MutableMapping, Sequence
from typing import Any

import numpy as np

from formulon.core.checks.findings import PageChecks
from formulon.core.checks.glance import Glance
from formulon.core.checks.preflight import Preflight
from formulon.core.color.contrast import contrast_matrix
from formulon.core.color.srgb import from_hex, to_hex
from formulon.core.site.backdrop import OpenBlob
from formulon.core.site.cards import card_counts
from formulon.core.site.header import name_scale, rows
from formulon.core.site.pictures import SWEEP, seen_on
from formulon.core.site.sheets import preview_tokens
from formulon.core.site.site import Site
from formulon.core.system.documents.choices import GROUNDS
from formulon.core.system.facets.near_duplicates import near_duplicates
from formulon.core.system.facets.proportions import proportions
from formulon.core.system.system import System
from formulon.studio.services import preflight
from formulon.studio.services.kept import Kept

_summaries: Kept[int, tuple[Site, dict[str, Any]]] = Kept(6)  # by the object that a site is


def summary_of(site: Site, open_blob: OpenBlob | None = None) -> dict[str, Any]:
    """What `resolved` says of a site; kept, since a write asks for it before it is accepted and again for its answer."""
    known = _summaries.get(id(site))
    if known is None or known[0] is not site:
        known = _summaries[id(site)] = site, resolved(site, open_blob, preflight.KEPT)
    return known[1]


def resolved(
    site: Site, open_blob: OpenBlob | None = None, kept: MutableMapping[str, PageChecks] | None = None
) -> dict[str, Any]:
    """The system of a site, summed up for the interface. `open_blob` gives the bytes of photographs behind texts, `kept` what
    pages had before by their content."""
    system = site.system()
    work = Preflight(site, system, open_blob, kept)
    report, pages = work.report(), work.glances()
    uses: Counter[tuple[str, str]] = sum((page.uses for page in pages), Counter())
    return {
        **system.to_json(),
        "css": preview_tokens(system, system.schemes[0]),
        "css_dark": preview_tokens(system, "dark") if system.dark else "",
        "steps": [step.to_json() for step in system.steps.values()],
        "marks": {ground: chosen.mark for ground, chosen in system.marks.items()},
        "dark_marks": {ground: chosen.mark for ground, chosen in system.dark_marks.items()},
        "palette": {reference: to_hex(rgb) for reference, rgb in system.palette.items()},
        "fits": _fits(system),
        "uses": [{"ground": ground, "ink": ink, "count": count} for (ground, ink), count in sorted(uses.items())],
        "sections": _sections(site),
        "drawn": _drawn(site, system, pages),
        "counts": report.counts,
        "near": near_duplicates(site.identity),
        "proportions": proportions(site.identity),
    }


def differing(summary: dict[str, Any], stored: System) -> dict[str, Any]:
    """A summary of which tokens, pairs, palette and fits are left out that are as in the stored system."""
    known = {**stored.to_json(), "palette": {reference: to_hex(rgb) for reference, rgb in stored.palette.items()}}
    made = dict(summary)
    for part, name in (("tokens", _path), ("dark", _path), ("pairs", _pair)):
        old = {name(item): item for item in known[part]}
        made[part] = [item for item in summary[part] if old.get(name(item)) != item]
    grounds = {f"ground/{ground}/background" for ground in GROUNDS}
    if summary["palette"] == known["palette"] and not grounds & {token["path"] for token in made["tokens"]}:
        made["palette"], made["fits"] = {}, {}
    return made


def _path(token: dict[str, Any]) -> str:
    return str(token["path"])


def _pair(pair: dict[str, Any]) -> tuple[str, str, str]:
    return pair["scheme"], pair["ground"], pair["ink"]


def _fits(system: System) -> dict[str, dict[str, float]]:
    """Contrast ratio of every colour of the palette on every ground, by ground and reference."""
    references, colors = list(system.palette), np.array(list(system.palette.values()))
    backgrounds = np.array([from_hex(system.css(f"ground/{ground}/background")) for ground in GROUNDS])
    ratios = contrast_matrix(colors, backgrounds)
    return {
        ground: dict(zip(references, ratios[:, column].round(4).tolist(), strict=True)) for column, ground in enumerate(GROUNDS)
    }


def _drawn(site: Site, system: System, pages: Sequence[Glance]) -> dict[str, str]:
    """By page a mark of what its HTML holds of the system, besides tokens: texts that are drawn smaller so that their longest
    word fits, the widths at which the header changes, and the colours of arcs on their grounds."""
    shared = repr((rows(site, system), name_scale(site, system), [seen_on(system, ground, SWEEP) for ground in GROUNDS]))
    return {
        page.id: hashlib.blake2b(repr((shared, list(seen.scaled))).encode(), digest_size=8).hexdigest()
        for page, seen in zip(site.drawn, pages, strict=True)
    }


def _sections(site: Site) -> dict[str, int]:
    """How many sections stand on each ground over the site; inset cards count for theirs."""
    counts = Counter(dict.fromkeys(GROUNDS, 0))
    for page in site.drawn:
        for section in (site.frame.header, *page.sections, site.frame.footer):
            counts[section.ground] += 1
            counts.update(card_counts(section, site.choices).keys())
    return dict(counts)
