"""Pictures have their room before they are there (Core Web Vitals, layout shift)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import PictureFile
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="layout/shift",
    title="Nothing moves when pictures come",
    standard=Ref("Core Web Vitals", "CLS"),
    severity="note",
    looks_at=PictureFile,
    rationale="A picture without width and height takes its room once it is there, and what people read jumps away.",
    messages={"moves": "“{source}” has no room of its own until it is there. Give it its width and height."},
)
def shift(one: PictureFile, _: Mapping[str, float]) -> Iterator[Verdict]:
    if not one.reserved:
        yield Verdict("moves", values={"source": one.source[:60]})
