"""Photographs are served in a form that is made for the web (common practice)."""

from collections.abc import Iterator, Mapping

from formulon.core.checks.drawn_facts import PictureFile
from formulon.core.checks.rule import COMMON_PRACTICE, Verdict, rule

_HEAVY = frozenset((".png", ".bmp", ".gif", ".tif", ".tiff", ".jpg", ".jpeg"))
_NEVER = frozenset((".bmp", ".tif", ".tiff"))


@rule(
    id="publishing/picture-forms",
    title="Pictures are served in a form for the web",
    standard=COMMON_PRACTICE,
    severity="note",
    looks_at=PictureFile,
    applies_if=lambda picture: picture.form in _HEAVY,
    options={"most": 250_000},
    bound="most",
    rationale="AVIF and WebP show the same with a third to a half of the bytes, which phones pay for.",
    messages={
        "heavy": "“{source}” has {kilobytes} kB as {form}; as AVIF or WebP it would have a fraction.",
        "strange": "“{source}” is of a form that not every browser shows.",
    },
)
def picture_forms(one: PictureFile, options: Mapping[str, float]) -> Iterator[Verdict]:
    if one.form in _NEVER:
        yield Verdict("strange", values={"source": one.source[:60]})
    elif one.bytes > options["most"]:
        values = {"source": one.source[:60], "kilobytes": f"{one.bytes / 1000:,.0f}", "form": one.form[1:].upper()}
        yield Verdict("heavy", float(one.bytes), options["most"], "", values=values)
