"""The style guide: the whole system as one page, drawn from its tokens, so that it is never out of date."""

from collections.abc import Iterator
from dataclasses import dataclass

from coloraide import Color
from markupsafe import Markup

from formulon.core.color.contrast import contrast_ratio, shown
from formulon.core.color.srgb import from_hex
from formulon.core.site import fonts
from formulon.core.site import motif_drawn as motif
from formulon.core.site.matrix import grounds_in_use, matrix_css, matrix_names, shared
from formulon.core.site.printing import page_feet
from formulon.core.site.render import Preview, address_of, environment, favicon
from formulon.core.site.sheets import shared_css, used_in
from formulon.core.site.site import Site
from formulon.core.system.css import drawn_css, tokens_css
from formulon.core.system.documents.choices import STEPS
from formulon.core.system.documents.identity import BrandColor, Mark
from formulon.core.system.facets.lockup import clear_space, least_height
from formulon.core.system.facets.shape import space
from formulon.core.system.solving.logo import GOOD, visibility
from formulon.core.system.system import Scheme, Step, System

FILE = "style-guide.html"
KIND_NAMES = {"opening": "in openings", "text": "beside texts", "card": "on cards"}
_INKS = ("heading", "body", "quiet", "link", "boundary", "success", "warning", "error")


@dataclass(frozen=True, slots=True)
class ColorRow:
    """A brand colour in every notation, as text."""

    name: str
    css: str
    values: tuple[tuple[str, str], ...]
    uses: str


@dataclass(frozen=True, slots=True)
class InkCell:
    """An ink on a ground."""

    ink: str
    css: str
    ratio: str
    large_only: bool


@dataclass(frozen=True, slots=True)
class MarkRow:
    """A mark with what its shape asks for, and where it is used."""

    name: str
    address: str
    grounds: tuple[str, ...]
    ground: str
    least: str
    why: str


def guide_css() -> str:
    return "\n".join((matrix_css(), shared_css("guide")))


def guide_page(site: Site, system: System, preview: Preview | None = None) -> str:
    """The page: in a preview with its style sheets inside, else with those of the published site and its own."""
    scheme = (preview.scheme if preview else None) or system.schemes[0]
    css = tokens = ""
    if preview:
        tokens = drawn_css(system, scheme, matrix_names() | used_in(shared_css("guide")))
        css = fonts.preview_rules(site, preview.font_path, preview.own_font_path) + guide_css() + motif.motif_css(site, system)
    identity = site.identity
    share, clear_why = clear_space(identity)
    return environment().get_template("guide.html").render(
        site=site, preview=preview, tokens=Markup(tokens), css=Markup(css), ramps=list(_ramps(site, system)), system=system,
        colors=[_color(color, system) for color in identity.colors], grounds=grounds_in_use(site),
        inks={ground: _inks(system, ground, scheme) for ground, _ in grounds_in_use(site)}, steps=list(_steps(site, system)),
        marks=list(_marks(site, system, preview)), clear=round(share * 100), clear_why=clear_why,
        misuses=_misuses(site, system, preview), spaces=space(site.choices), token=lambda path: system.token(path, scheme),
        motif=motif.motif_css(site, system), kinds=[(KIND_NAMES[name], own) for name, own in site.choices.picture_kinds.items()],
        faces=site.families(), **shared(site),
    )  # fmt: skip


def guide_files(site: Site, system: System, today: str = "") -> dict[str, bytes]:
    """The guide as files that stand beside the published site's own; `today` is the date for its printed pages."""
    css = tokens_css(system, used_in(guide_css())) + guide_css() + motif.motif_css(site, system) + page_feet(site, today)
    marks = {f"marks/{mark.id}.svg": mark.svg.encode() for mark in site.identity.marks}
    return {FILE: guide_page(site, system).encode(), "style-guide.css": css.encode()} | marks


def guide_alone(site: Site, system: System, today: str = "") -> dict[str, bytes]:
    """The guide with all that it needs, to stand by itself."""
    faces = fonts.face_rules(site, system).encode()
    icon_svg = favicon(site, system).encode()
    return guide_files(site, system, today) | fonts.files(site) | {"tokens.css": faces, "favicon.svg": icon_svg}


def _color(color: BrandColor, system: System) -> ColorRow:
    parsed = color.parsed
    made = Color(parsed.hex)
    r, g, b = parsed.rgb
    hue, saturation, lightness = (0.0 if value != value else value for value in made.convert("hsl").coords())
    light, chroma, angle = (0.0 if value != value else value for value in Color(color.value).convert("oklch").coords())
    values = [
        ("Hex", parsed.hex.upper()),
        ("RGB", f"rgb({r} {g} {b})"),
        ("HSL", f"hsl({hue:.0f} {saturation * 100:.0f}% {lightness * 100:.0f}%)"),
        ("OKLCH", f"oklch({light:.3f} {chroma:.3f} {angle:.1f})"),
        *(("Print", text) for text in color.print),
    ]
    if color.value.upper() != parsed.hex.upper():
        values.insert(0, ("As given", color.value))
    roles = sorted(
        {path.split("/")[1] for path, token in system.tokens.items() if _is_ground(path) and token.css == parsed.hex}
    )
    return ColorRow(color.name, parsed.hex, tuple(values), f"Ground: {', '.join(roles)}" if roles else "")


def _is_ground(path: str) -> bool:
    return path.startswith("ground/") and path.endswith("/background")


def _ramps(site: Site, system: System) -> Iterator[tuple[str, list[tuple[str, str]]]]:
    for key, name in [*((color.id, color.name) for color in site.identity.colors), ("neutral", "Neutral")]:
        start = "neutral/" if key == "neutral" else f"ramp/{key}/"
        yield name, [(path.removeprefix(start), token.css) for path, token in system.tokens.items() if path.startswith(start)]


def _inks(system: System, ground: str, scheme: Scheme) -> list[InkCell]:
    second = scheme if scheme in system.schemes else system.schemes[0]
    back = from_hex(system.css(f"ground/{ground}/background", second))
    made = []
    for ink in _INKS:
        css = system.css(f"ground/{ground}/{ink}", second)
        ratio = contrast_ratio(from_hex(css), back)
        made.append(InkCell(ink, css, shown(ratio), ratio < 4.5))
    return made


def _steps(site: Site, system: System) -> Iterator[tuple[Step, str, str]]:
    identity = site.identity
    short, running = identity.strapline or identity.name, identity.does or identity.name
    for name in STEPS:
        step = system.steps[name]
        yield step, running if name in ("intro", "body", "fine") else short, step.family.name


def _marks(site: Site, system: System, preview: Preview | None) -> Iterator[MarkRow]:
    for mark in site.identity.marks:
        grounds = tuple(ground for ground, chosen in system.marks.items() if chosen.mark == mark.id)
        height, why = least_height(site.identity, mark)
        ground = grounds[0] if grounds else "deep" if mark.meant_for == "dark" else "paper"
        yield MarkRow(mark.name.removesuffix(".svg"), address_of(mark, preview), grounds, ground, f"{height:g} px", why)


def _misuses(site: Site, system: System, preview: Preview | None) -> list[tuple[str, str, str, str]]:
    """What is not done with the mark: kind, ground, address and words. Drawn with the mark itself."""
    mark = next((one for one in site.identity.marks if one.id == system.marks["paper"].mark), None)
    if mark is None:
        return []
    address = address_of(mark, preview)
    made = [
        ("stretched", "paper", address, "Never stretched or squeezed."),
        ("faded", "paper", address, "Never faded."),
        ("crowded", "paper", address, "Never crowded: the clear space stays free."),
    ]
    worst = min(system.marks, key=lambda ground: _seen(mark, system, ground))
    if _seen(mark, system, worst) < GOOD:
        made.insert(0, ("unseen", worst, address, f"Never this one on {worst}: there it is not seen."))
    return made


def _seen(mark: Mark, system: System, ground: str) -> float:
    return visibility(mark.svg, from_hex(system.css(f"ground/{ground}/background")))
