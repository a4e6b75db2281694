"""Facts of what was seen: those that predicted pages have too, and those that only a browser tells."""

import re
from collections.abc import Callable, Iterable, Iterator, Mapping, Sequence, Set
from typing import Literal, TypeVar
from urllib.parse import unquote

from formulon.core.checks.drawn_facts import MissingFile, SiteRoot, Spoken
from formulon.core.checks.page_facts import (
    CutText,
    Destination,
    EmptyHeading,
    Fact,
    LinkInText,
    Named,
    PageBox,
    PageForm,
    PageHead,
    PagePlace,
    PictureBox,
    PictureFact,
    SectionHead,
    Style,
    Target,
    TextRun,
)
from formulon.core.checks.wording import with_wording
from formulon.core.color.contrast import contrast_ratio
from formulon.core.color.srgb import RGB, to_hex
from formulon.core.measure.addresses import parted
from formulon.core.measure.drawn import drawn_facts
from formulon.core.measure.files import SiteFiles
from formulon.core.measure.mixed import over, rounded
from formulon.core.measure.painted import largest_paint
from formulon.core.measure.seen import At, Besides, EdgeSeen, PageSeen, SeenAt, TargetSeen, TextSeen
from formulon.core.measure.serving import HOST, START
from formulon.core.type.fit import Fit

S = TypeVar("S", bound=At)
Scheme = Literal["light", "dark"]
Pair = tuple[RGB, RGB]  # ink and what lies behind it
Pixels = Mapping[str, Pair]  # by the selector of a text
_RUNNING = frozenset(("p", "li", "dd", "td", "blockquote", "figcaption", "div", "article", "section", "main"))
_ELSEWHERE = re.compile(r"^(?:https?:)?//|^(?:mailto|tel|sms|data|geo|webcal):", re.IGNORECASE)


class Page:
    """A page with what was seen of it by width of the viewport, the pairs of its texts that pixels told, and what was seen of it beside
    the widths at which its layout changes. `name` is what it is called in findings, its path where nothing else is known."""

    def __init__(
        self, path: str, seen: Mapping[int, PageSeen], pixels: Mapping[int, Pixels], edges: Mapping[int, EdgeSeen] | None = None,
        name: str = "", scheme: Scheme = "light", besides: Besides | None = None,
    ) -> None:  # fmt: skip
        self.path, self.seen, self.pixels = path, dict(sorted(seen.items())), pixels
        self.edges, self.name, self.scheme = dict(edges or {}), name or path, scheme
        self.widest = self.seen[max(self.seen)]
        self.besides = besides or Besides()

    def place(self, section: str = "", slot: str = "") -> PagePlace:
        return PagePlace(self.name, section, slot)

    def _at(self, one: "SeenAt") -> PagePlace:
        return self.place(one.section, one.slot or one.at)

    def _once(self, of: Callable[[PageSeen], Sequence[S]]) -> Iterable[S]:
        """What was seen of a sort at any width, each once, as at the widest."""
        return {one.at: one for seen in self.seen.values() for one in of(seen)}.values()

    @property
    def hosts(self) -> frozenset[str]:
        """Other hosts that the page asks for something."""
        asked = (parted(one.address).hostname for seen in self.seen.values() for one in seen.requests)
        return frozenset(host for host in asked if host and host != HOST)

    def facts(self, files: SiteFiles, first: bool, name: str = "") -> Iterator[Fact]:
        """All of a page, with what is asked of all its words together; `name` is that of the brand, where it is known."""
        return with_wording(self._facts(files, first), self.widest.lang or "en", name)

    def _facts(self, files: SiteFiles, first: bool) -> Iterator[Fact]:
        page = self.widest
        name = self.path.rsplit("/", 1)[-1]
        # A page that search engines are kept from needs nothing for them to show.
        described = page.description or ("-" if "noindex" in page.robots.lower() else "")
        alone = "noindex" in page.robots.lower() or name.startswith(("404", "thank"))
        yield PageHead(self.place(), name, page.title, described, page.lang or "en", first, alone=alone)
        yield PageForm(
            self.place(), page.title, page.lang, page.viewport, page.mains, tuple(page.twice), page.robots, len(page.icons),
            round(files.sizes.get(self.path, 0) + sum(one.bytes for one in page.requests)), first,
            page.canonical,
        )  # fmt: skip
        if first:
            yield _root(files)
        looked: list[tuple[int, EdgeSeen | PageSeen]] = sorted(
            [*self.edges.items(), *self.seen.items()], key=lambda one: one[0]
        )
        yield PageBox(
            self.place(), {width: one.wide for width, one in looked},
            {width: max(one.out, key=lambda out: out.right).at for width, one in looked if one.out},
        )  # fmt: skip
        frames = {part.at for part in page.parts if part.frame}
        for part in self._once(lambda seen: seen.parts):
            yield SectionHead(self.place(part.at), part.kind, "", "", part.frame)
        yield from self.texts(frames)
        yield from self._targets()
        yield from self._links(files)
        yield from self._pictures()
        for one in self._once(lambda seen: seen.in_text):
            if one.color and one.around:
                ink, around = (to_hex(rounded(color[:3])) for color in (one.color, one.around))
                yield LinkInText(self._at(one), one.label, ink, around, one.drawn)
        for empty in self._once(lambda seen: seen.empty):
            yield EmptyHeading(self._at(empty))
        for field in self._once(lambda seen: seen.fields):
            yield Named(self._at(field), "field", field.label, field.hint)
        for icon in map(parted, page.icons):  # which browsers do not ask for within a frame
            if icon.hostname == HOST and not files.at(unquote(icon.path)):
                yield MissingFile(self.place(), unquote(icon.path))
        if self.besides.largest:
            yield from largest_paint(self.place(), self.path, self.besides.largest, self.seen[min(self.seen)], files)
        yield from drawn_facts(self)

    def texts(self, frames: Set[str] = frozenset()) -> Iterator[Fact]:
        """Its texts; `frames` are the parts of which each page has the same."""
        headed: set[str] = set()
        known: dict[tuple[str, str], dict[int, TextSeen]] = {}
        for width, page in self.seen.items():
            for text in page.texts:
                known.setdefault((text.at, text.text), {})[width] = text
        for by_width in known.values():
            text = by_width[max(by_width)]
            beside = (
                width for width, one in self.edges.items() if any((cut.at, cut.text) == (text.at, text.text) for cut in one.cut)
            )
            cut = sorted((*(width for width, one in by_width.items() if one.cut), *beside))
            if cut:
                yield CutText(self._at(text), text.text, tuple(cut))
            if text.disabled:  # needs no contrast (WCAG 2.2, 1.4.3)
                continue
            pair = min(
                (found for width, one in by_width.items() if (found := self._pair(width, one))), key=lambda found: contrast_ratio(*found), default=None,
            )  # fmt: skip
            leads = text.level > 0 and text.headed not in headed
            headed.add(text.headed)
            ink, ground = (to_hex(one) for one in pair) if pair else ("#000000", "#ffffff")
            tag = f"h{min(text.level, 6)}" if leads else text.tag if not text.level else "span"
            running = not text.level and text.tag in _RUNNING
            if running:
                yield Spoken(self._at(text), text.text, text.lang or self.widest.lang)
            yield TextRun(
                self._at(text), text.text, tag, "body" if running else tag, ground, text.at, ink, ground, text.weight,
                {width: one.size for width, one in by_width.items()},
                {width: Fit(one.lines, len(one.text) / max(1.0, one.lines - 0.5), 0.0, one.room) for width, one in by_width.items()},
                on_picture=pair is None, scheme=self.scheme,
            )  # fmt: skip
            if leads or running:
                written = pair is not None and text.told and not text.led and text.color is not None and text.color[3] > 0.999
                most = max(by_width.values(), key=lambda one: one.lines)
                yield Style(
                    self._at(text), text.text[:60], text.level if leads else 0, text.size, most.line * text.size / most.size,
                    most.lines, text.weight, text.first_family, ink if written else "", ground if written else "",
                    text.section in frames, text.upper,
                )  # fmt: skip

    def _pair(self, width: int, text: TextSeen) -> Pair | None:
        """Ink and ground of a text at a width: of the places that were looked at the one with the least contrast."""
        if not text.told or text.color is None:
            return self.pixels.get(width, {}).get(text.at)
        made = [(over(text.color, back), rounded(back)) for back in text.backs]
        return min(made, key=lambda pair: contrast_ratio(*pair), default=None)

    def _targets(self) -> Iterator[Fact]:
        by_place: dict[str, dict[int, TargetSeen]] = {}
        for width, page in self.seen.items():
            for target in page.targets:
                by_place.setdefault(target.at, {})[width] = target
        for at, by_width in by_place.items():
            target = by_width[max(by_width)]
            place = self._at(target)
            if target.kind != "field":
                yield Named(place, target.kind, target.label)
            if all(one.inline for one in by_width.values()):
                continue
            sizes = {width: (one.box[2], one.box[3]) for width, one in by_width.items() if not one.inline}
            gaps = [_gaps(one, self.seen[width].targets) for width, one in by_width.items() if not one.inline]
            yield Target(
                place, target.label or at, target.kind, sizes, min(gap[0] for gap in gaps), min(gap[1] for gap in gaps)
            )

    def _links(self, files: SiteFiles) -> Iterator[Fact]:
        buttons = {one.at for seen in self.seen.values() for one in seen.looks if one.kind == "button"}
        for link in self._once(lambda seen: seen.links):
            to, alive = _led(self.path, link.to.strip(), files)
            variant = "primary" if link.at in buttons else "text"
            yield Destination(self._at(link), link.label or link.at, to, alive, variant)

    def _pictures(self) -> Iterator[Fact]:
        for picture in self._once(lambda seen: seen.pictures):
            at, place = picture.at, self._at(picture)
            alt = picture.alt if picture.alt is not None else picture.named
            # One that names the link it is in must not be silent; one without any alternative is not known to decorate.
            decorates = (
                picture.hidden
                or (picture.alt == "" and picture.led != "")
                or bool(picture.led and picture.alt is None and picture.led.strip())
            )
            drawn = {
                width: one.box[2]
                for width, page in self.seen.items()
                for one in page.pictures
                if one.at == at and one.natural[0] > 0
            }
            yield PictureFact(
                place, picture.source.removeprefix(START), alt, decorates, not picture.broken, pixels=int(picture.natural[0]),
                drawn={} if _is_drawing(picture.source) else drawn,
            )  # fmt: skip
            yield PictureBox(
                place, picture.source.removeprefix(START), picture.natural, picture.inside, picture.fit, not picture.broken
            )


def _root(files: SiteFiles) -> SiteRoot:
    """What the root of a site says to search engines. A file for robots that forbids everybody everything is found as RFC 9309 has it."""
    robots = files.read("robots.txt").decode("utf-8", "replace") if "robots.txt" in files.sizes else ""
    agents, rules, all_of = list[str](), False, False
    for line in robots.splitlines():
        key, _, value = (part.strip() for part in line.partition("#")[0].partition(":"))
        if key.lower() == "user-agent":
            agents, rules = ([value] if rules else [*agents, value]), False
        elif key.lower() in ("allow", "disallow"):
            rules = True
            all_of = all_of or (key.lower() == "disallow" and value == "/" and "*" in agents)
    return SiteRoot(PagePlace("", "", ""), "sitemap.xml" in files.sizes, bool(robots), all_of, len(files.pages))


def _is_drawing(source: str) -> bool:
    """Whether a picture has outlines, and so no size of its own."""
    return source.startswith("data:image/svg") or parted(source).path.lower().endswith(".svg")


def _gaps(target: TargetSeen, others: Sequence[TargetSeen]) -> tuple[float, float]:
    """The least distance, in px, to a neighbour beside it and to one above or below it; what holds it, or is in it, is no neighbour."""
    left, top, width, height = target.box
    across = down = 1000.0
    for other in others:
        x, y, w, h = other.box
        if other.at == target.at or (x <= left and y <= top and x + w >= left + width and y + h >= top + height):
            continue
        if left <= x and top <= y and left + width >= x + w and top + height >= y + h:
            continue
        beside, above = max(x - left - width, left - x - w), max(y - top - height, top - y - h)
        if above < 0 <= beside:
            across = min(across, beside)
        elif beside < 0 <= above:
            down = min(down, above)
    return across, down


def _led(page: str, to: str, files: SiteFiles) -> tuple[str, bool]:
    """Where a link leads as people would write it, and whether that is there. What lies elsewhere is taken to be."""
    if not to or to == "#" or to.lower().startswith("javascript:"):
        return "", False
    address = parted(to, START + page)
    if not address.scheme:
        return to, False  # no address at all
    if _ELSEWHERE.match(to) and address.hostname != HOST:
        return to, True
    path = files.at(unquote(address.path))
    if not path:
        return to, False
    mark = unquote(address.fragment)
    there = not mark or mark.lower() == "top" or mark.startswith(":~:") or mark in files.marks(path)
    return (f"{path}#{mark}" if mark else path), there
