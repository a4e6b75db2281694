"""No placeholder is left (common practice)."""

import re
from collections.abc import Iterator, Mapping

from formulon.core.checks.page_facts import Words
from formulon.core.checks.rule import COMMON_PRACTICE, Remedy, Verdict, rule
from formulon.core.checks.rules.content.slots import change_text, remove_section, tidy
from formulon.core.site.changes import Change, pointer
from formulon.core.site.documents import located
from formulon.core.site.phrases import phrases
from formulon.core.site.site import Site
from formulon.core.site.values import PLACEHOLDER
from formulon.core.system.system import System

_BRACKETS = re.compile(r"\[[^\[\]]+\]", re.DOTALL)


def mend(site: Site, system: System, words: Words, verdict: Verdict, _: Mapping[str, float]) -> Iterator[Remedy]:
    if verdict.code == "in-brackets":
        yield Remedy("Without the brackets", change_text(site, words.place, words.text, words.text.strip()[1:-1].strip()))
        return
    rest, gaps = tidy(PLACEHOLDER.sub("", words.text)), [found[0] for found in PLACEHOLDER.finditer(words.text)]
    if rest:
        changes = change_text(site, words.place, words.text, rest) or (
            change_text(site, words.place, gaps[0], "") if gaps else ()
        )
        if changes:
            yield Remedy("Leave that part out", changes)
    found = located(site, words.place.page, words.place.section)
    if found is None:
        return
    document, base, section = found
    parts = words.place.slot.split("/")
    page = site.page(words.place.page)
    if parts == ["heading"] and page and page.sections and page.sections[0].id == section.id:
        # What a page begins with is its headline, which no page is without.
        for name in dict.fromkeys((site.identity.strapline, site.identity.name) if page is site.drawn[0] else (page.name,)):
            if name and (changes := change_text(site, words.place, words.text, name)):
                yield Remedy(f"“{name[:60]}”", changes)
    made = []
    if parts[-1] != "label" and "\n" not in words.text and (changes := change_text(site, words.place, words.text, "")):
        made.append(Remedy("Leave the text out", changes))
    if parts[0] == "items" and len(section.content["items"]) > 1:
        path = pointer(*base, "content", "items", int(parts[1]))
        made.append(Remedy("Take this card out", (Change(document=document, patch=[{"op": "remove", "path": path}]),)))
        if not _says_more(site, section.content["items"][int(parts[1])], parts[2]):
            made.reverse()
    yield from made
    if page and len(page.sections) > 1:
        yield Remedy("Take the section out", remove_section(site, words.place))


def _says_more(site: Site, item: Mapping[str, object], but: str) -> bool:
    """Whether a card holds words of the brand besides those of one slot: no gap, and none of Formulon's own labels."""
    own = phrases(site.identity.language)
    texts = (value for name, value in item.items() if name != but and isinstance(value, str))
    return any(PLACEHOLDER.sub("", text).strip() and not own.has(text) for text in texts)


@rule(
    id="content/placeholder-left",
    title="No placeholder is left",
    standard=COMMON_PRACTICE,
    severity="stop",
    looks_at=Words,
    rationale="The brief does not hold this; a placeholder on a published page tells visitors that nobody looked.",
    messages={
        "left": "{label}: “{wanted}” is still to be written.",
        "in-brackets": "{label}: the whole text stands in brackets, as a gap that was written over does.",
    },
    mend=mend,
)
def placeholder_left(words: Words, _: Mapping[str, float]) -> Iterator[Verdict]:
    found = PLACEHOLDER.search(words.text)
    if found:
        yield Verdict("left", values={"label": words.label, "wanted": found[1]})
    elif _BRACKETS.fullmatch(words.text.strip()):
        yield Verdict("in-brackets", values={"label": words.label})
