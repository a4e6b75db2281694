"""What stands on the first screen is not put off (Core Web Vitals, largest contentful paint)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import PictureFile
from formulon.core.checks.rule import Ref, Verdict, rule


@rule(
    id="publishing/first-picture-late",
    title="Pictures of the first screen are asked for at once",
    standard=Ref("Core Web Vitals", "LCP"),
    severity="note",
    looks_at=PictureFile,
    rationale="A picture that is only asked for once it comes into sight comes late where it is in sight from the start.",
    messages={"late": "“{source}” stands on the first screen and is marked to be asked for late."},
)
def first_picture_late(one: PictureFile, _: Mapping[str, float]) -> Iterator[Verdict]:
    if one.first_late:
        yield Verdict("late", values={"source": one.source[:60]})
