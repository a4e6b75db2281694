"""Texts as markup: what is stressed, what is still a gap, and where long words may break."""

from markupsafe import Markup, escape

from formulon.core.site.values import PLACEHOLDER
from formulon.core.type import emphasis
from formulon.core.type.breaks import SOFT_HYPHEN, between_words


def html(template: str, *parts: object) -> Markup:
    """A template of our own with every %s filled in, escaped unless it is markup already. As Markup.format does, in a quarter of
    its time, since every element of every page goes through here."""
    return Markup(template % tuple(map(escape, parts)))


def emphasised(line: str, gaps: bool) -> Markup:
    """A line with what is emphasised in elements of its own; see with_gaps for `gaps`."""
    made = Markup("")
    for style, part in emphasis.parts(line):
        inner = with_gaps(part, gaps)
        made += html("<%s>%s</%s>", style, inner, style) if style else inner
    return made


def with_gaps(text: str, gaps: bool) -> Markup:
    """Escaped text, with placeholders marked so that everybody sees them. `gaps` has each carry what it asks for, so that the
    studio knows one that was written over."""
    made, last = Markup(""), 0
    for found in PLACEHOLDER.finditer(text):
        wanted = html(' data-gap="%s"', found[1].replace(SOFT_HYPHEN, "")) if gaps else ""
        made += breakable(text[last : found.start()]) + html(
            '<span class="placeholder"%s>%s</span>', wanted, breakable(found[1])
        )
        last = found.end()
    return made + breakable(text[last:])


def breakable(text: str) -> Markup:
    """Escaped text with a place to break where type/breaks.py has one that browsers do not see. No text holds the character
    zero, so it can stand for the place until the rest is escaped."""
    return Markup(str(escape(between_words(text, "\0"))).replace("\0", "<wbr>"))
