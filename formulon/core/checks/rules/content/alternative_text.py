"""Pictures have a text alternative (WCAG 2.2 SC 1.1.1)."""

import re
from collections.abc import Iterator, Mapping
from html import escape

from formulon.core.checks.page_facts import PictureFact
from formulon.core.checks.rule import Ref, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_slot, value_at
from formulon.core.site.changes import Change
from formulon.core.site.pictures import describe
from formulon.core.site.site import Site
from formulon.core.system.system import System


def mend(site: Site, system: System, picture: PictureFact, verdict: Verdict, _: Mapping[str, float]) -> Iterator[Remedy]:
    if picture.found:
        if picture.source.startswith("drawn:"):
            text = describe(picture.source)
        else:
            asset = site.asset(picture.source[6:])
            text = asset.name if asset else ""
        if text:
            yield Remedy(f"Describe it: “{text}”", _told(site, picture, text) or change_slot(site, picture.place, "alt", text))
        yield Remedy("It only decorates", _told(site, picture, "") or change_slot(site, picture.place, "decorative", True))
    yield Remedy("Take the picture out", _told(site, picture, None) or change_slot(site, picture.place, None, None))


def _told(site: Site, picture: PictureFact, alt: str | None) -> tuple[Change, ...]:
    """A picture in own HTML with another alternative, or without it; nothing for any other picture."""
    value = value_at(site, picture.place)
    if not isinstance(value, dict) or "html" not in value:
        return ()

    def put(found: re.Match[str]) -> str:
        if f'src="{escape(picture.source)}"' not in found[0].replace("'", '"'):
            return found[0]
        bare = re.sub(r"\s+alt(=(\"[^\"]*\"|'[^']*'|[^\s<>]*))?(?=[\s/>])", "", found[0])
        return "" if alt is None else re.sub(r"\s*/?>$", f' alt="{escape(alt)}">', bare)

    return change_slot(site, picture.place, "html", re.sub(r"<img\b[^<>]*>", put, value["html"]))


@rule(
    id="content/alternative-text",
    title="Pictures are described, or marked as decoration",
    standard=Ref("WCAG 2.2", "1.1.1", "A"),
    severity="stop",
    looks_at=PictureFact,
    applies_if=lambda picture: not picture.decorative or not picture.found,
    rationale="People who do not see a picture hear its description; a picture that only decorates says so instead.",
    messages={
        "missing": "The picture has no description, and is not marked as decoration.",
        "not-found": "The picture “{source}” is not there any more.",
    },
    mend=mend,
)
def alternative_text(picture: PictureFact, _: Mapping[str, float]) -> Iterator[Verdict]:
    if not picture.found:
        yield Verdict("not-found", values={"source": picture.source})
    elif not picture.alt.strip():
        yield Verdict("missing")
