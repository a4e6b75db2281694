"""Pictures of one page as elements: drawings of the library, and the brand's own as drawings or photographs in sizes."""

from collections.abc import Callable
from typing import TYPE_CHECKING

from markupsafe import Markup

from formulon.core.site import pictures
from formulon.core.site.addresses import data_address
from formulon.core.site.markup import html
from formulon.core.site.site import Asset, Site

if TYPE_CHECKING:
    from formulon.core.site.render import Preview

_OWN = "asset:"


class Images:
    """Draws the pictures of one page, in the order in which they stand on it."""

    def __init__(self, site: Site, preview: "Preview | None") -> None:
        self.site, self.preview = site, preview
        self.pictured = False  # whether a photograph stands on the page already

    def of(self, source: str, alt: str, sizes: Callable[[float], str]) -> Markup:
        """A picture by its source; nothing where it is one of the brand's own that is gone. `sizes` gives the `sizes` of one of a ratio,
        width to height."""
        if not source.startswith(_OWN):
            return self._drawing(source, alt)
        asset = self._asset(source)
        return self._image(asset, alt, sizes(asset.width / asset.height)) if asset else Markup("")

    def is_photograph(self, source: str) -> bool:
        """Whether a source is a photograph of the brand's own."""
        asset = self._asset(source)
        return asset is not None and not asset.svg

    def _asset(self, source: str) -> Asset | None:
        return self.site.asset(source.removeprefix(_OWN)) if source.startswith(_OWN) else None

    def _drawing(self, source: str, alt: str) -> Markup:
        """A drawing of the picture library, inline so that it follows the tokens."""
        named = html('role="img" aria-label="%s"', alt) if alt else Markup('aria-hidden="true"')
        return html(
            '<svg viewBox="0 0 %s %s" preserveAspectRatio="xMidYMid slice" %s>%s</svg>',
            pictures.WIDTH,
            pictures.HEIGHT,
            named,
            Markup(pictures.draw(source)),
        )

    def _image(self, asset: Asset, alt: str, listed_sizes: str) -> Markup:
        """The brand's own picture: a drawing, or a photograph in as many sizes as there are."""
        # The first picture of a page is asked for at once; the others when they come near what is in sight.
        first, self.pictured = not self.pictured, True
        when = Markup(' fetchpriority="high"') if first else Markup(' loading="lazy"')
        if asset.svg:
            address = data_address(asset.svg) if self.preview else f"pictures/{asset.id}.svg"
            return Markup('<img src="{}" alt="{}" width="{:.0f}" height="{:.0f}"{}>').format(
                address, alt, asset.width, asset.height, when
            )
        folder = self.preview.picture_path if self.preview else "pictures/"
        forms = ["webp"] if self.preview else ["avif", "webp"]
        listed = {form: [(f"{folder}{asset.id}-{one.width}.{form}", one.width) for one in asset.sizes(form)] for form in forms}
        sets = {form: ", ".join(f"{path} {width}w" for path, width in found) for form, found in listed.items() if found}
        last = next(form for form in reversed(forms) if form in sets)  # for browsers that read no newer form
        image = Markup(
            '<img src="{}" srcset="{}" sizes="{}" alt="{}" width="{:.0f}" height="{:.0f}"{} decoding="async">'
        ).format(listed[last][-1][0], sets[last], listed_sizes, alt, asset.width, asset.height, when)
        newer = [
            html('<source type="image/%s" srcset="%s" sizes="%s">', form, text, listed_sizes)
            for form, text in sets.items() if form != last
        ]  # fmt: skip
        return html("<picture>%s%s</picture>", Markup("").join(newer), image) if newer else image
