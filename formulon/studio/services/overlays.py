"""Text on pictures: what it has as stored, and under an overlay or a focus that is tried."""

from typing import Any

from formulon.core.checks.on_picture import address, by_width, least, picture_of_worst
from formulon.core.checks.page_facts import TextsOnPicture
from formulon.core.checks.predict import predict
from formulon.core.site.backdrop import whole
from formulon.core.site.behind import SHAPES
from formulon.core.site.values import Focus, Overlay, Picture
from formulon.studio.models import Brand
from formulon.studio.services import sites

PICTURE_WIDTH = 320  # px of the whole picture that is shown


def report(brand: Brand, page_id: str, section_id: str, overlay: Overlay | None, focus: Focus | None) -> dict[str, Any] | None:
    """What the texts of a section have on its picture; None where there is no such section, and nothing to tell where no
    text of it stands on one any more. Nothing is stored."""
    site = sites.load(brand)
    page = site.page(page_id)
    section = next((one for one in page.sections if one.id == section_id), None) if page else None
    if page is None or section is None:
        return None
    if not section.content.get("picture"):
        return _nothing(Picture(source="drawn:hills/1"))
    picture = Picture.model_validate(section.content["picture"])
    tried = picture.model_copy(update={"overlay": overlay or picture.overlay, "focus": focus or picture.focus})
    section = section.model_copy(update={"content": section.content | {"picture": tried.model_dump()}})  # the site is kept
    page = page.model_copy(update={"sections": [section if one.id == section_id else one for one in page.sections]})
    facts = predict(site, site.system(), [page], sites.blob_of(brand))
    fact = next((f for f in facts if isinstance(f, TextsOnPicture) and f.place.section == section_id), None)
    if fact is None:
        return _nothing(tried)
    demand = next((one for text in fact.texts for one in text.demands.values()), None)
    return {
        "read": demand is not None,
        "overlay": tried.overlay,
        "focus": tried.focus,
        "texts": by_width(fact),
        "least": [{"shape": shape, "opacity": least(fact, shape) if demand else None} for shape in SHAPES],
        "picture": address(whole(demand.what.picture, demand.paints, demand.under, PICTURE_WIDTH)) if demand else "",
        "worst": picture_of_worst(fact),
    }


def _nothing(picture: Picture) -> dict[str, Any]:
    """The report where no text stands on a picture."""
    told: dict[str, Any] = {"read": False, "texts": [], "least": [], "picture": "", "worst": ""}
    return {**told, "overlay": picture.overlay, "focus": picture.focus}
