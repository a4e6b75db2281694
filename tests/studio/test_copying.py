"""A section copied to another site, with its pictures; and who may."""

import pytest

from formulon.core.system.documents.identity import Identity
from formulon.studio.models import Brand, Document, Picture, Workspace
from formulon.studio.services import sites
from tests.studio.conftest import Api


@pytest.fixture
def other(workspace: Workspace) -> Brand:
    return sites.create(workspace, Identity(name="Αλμυρίκι", language="el"))


def pictured(brand: Brand) -> tuple[str, str]:
    """A section of the brand's start page that shows one of its own pictures and leads to a page."""
    Picture.objects.create(
        brand=brand,
        key="dome",
        name="Dome",
        svg="<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 4 3'/>",
        width=4,
        height=3,
    )
    page = Document.objects.get(brand=brand, name="page:home")
    section = page.body["sections"][0]
    section["content"]["picture"] = {"source": "asset:dome", "alt": "The dome", "decorative": False}
    section["content"]["primary"] = {"label": "About", "to": "page:about"}
    page.save()
    return "home", section["id"]


def test_words_layout_and_pictures_come_along_as_one_entry_and_links_lead_nowhere_yet(
    planned_brand: Brand, other: Brand, anna: Api
) -> None:
    page, section = pictured(planned_brand)
    path = f"brands/{planned_brand.pk}/pages/{page}/sections/{section}/copy"
    told = anna.post(path, {"brand": str(other.pk)})
    assert told.status_code == 200 and told.json()["brand"] == "Αλμυρίκι"
    own = Document.objects.get(brand=planned_brand, name="page:home").body["sections"][0]
    made = sites.load(other).pages[0].sections[-1]
    assert (made.kind, made.layout) == (own["kind"], own["layout"]) and made.content["heading"] == own["content"]["heading"]
    assert made.content["picture"]["source"] == "asset:dome" and made.content["primary"]["to"] == ""
    assert other.pictures.get().svg == planned_brand.pictures.get(key="dome").svg
    assert other.entries.order_by("-number").first().label.startswith("Hero copied from")  # type: ignore[union-attr]
    anna.post(path, {"brand": str(other.pk)})
    assert other.pictures.count() == 1, "a picture that is there is not taken twice"
    anna.undo(other)
    anna.undo(other)
    assert made.id not in [one.id for one in sites.load(other).pages[0].sections]


def test_whoever_may_not_write_there_copies_nothing(planned_brand: Brand, other: Brand, anna: Api, reviewer: Api) -> None:
    page, section = pictured(planned_brand)
    path = f"brands/{planned_brand.pk}/pages/{page}/sections/{section}/copy"
    assert reviewer.post(path, {"brand": str(other.pk)}).status_code == 403
    elsewhere = sites.create(Workspace.objects.create(name="Elsewhere"), Identity(name="Not yours"))
    assert anna.post(path, {"brand": str(elsewhere.pk)}).status_code == 404
    assert anna.post(path.replace(section, "nowhere"), {"brand": str(other.pk)}).status_code == 422
    assert other.pictures.count() == elsewhere.pictures.count() == 0 and not other.entries.exists()
