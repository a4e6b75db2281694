"""People, workspaces and brands in a real PostgreSQL."""

from typing import Any

import pytest
from django.contrib.auth.models import User
from django.test import Client

from formulon.core.site.documents import CHECKS, CHOICES, DECISIONS, IDENTITY, LANGUAGES, kind_of, planned
from formulon.core.system.documents.identity import Identity
from formulon.studio.models import Brand, Document, Membership, Workspace
from formulon.studio.services import sites
from formulon.studio.services.sites import bodies_of
from tests.conftest import known_pages


class Api:
    """A signed-in browser's requests, as JSON."""

    def __init__(self, user: User | None) -> None:
        self.client = Client(headers={"host": "localhost"})
        if user:
            self.client.force_login(user)

    def get(self, path: str) -> Any:
        return self.client.get(f"/api/{path}")

    def post(self, path: str, body: Any = None) -> Any:
        return self.client.post(f"/api/{path}", body if body is not None else {}, content_type="application/json")

    def put(self, path: str, body: Any = None) -> Any:
        return self.client.put(f"/api/{path}", body if body is not None else {}, content_type="application/json")

    def delete(self, path: str) -> Any:
        return self.client.delete(f"/api/{path}")

    def step(self, brand: Brand, way: str) -> Any:
        """Undo or redo of what the workbench says comes next; of no entry at all where there is none."""
        known = self.get(f"brands/{brand.pk}").json()["history"][way]
        return self.post(f"brands/{brand.pk}/{way}", {"entry": known["entry"] if known else 0})

    def undo(self, brand: Brand) -> Any:
        return self.step(brand, "undo")

    def redo(self, brand: Brand) -> Any:
        return self.step(brand, "redo")

    def fixes(self, brand: Brand, finding: dict[str, Any]) -> list[dict[str, Any]]:
        """The fixes of a finding, as the interface asks for them when the finding is looked at."""
        asked = self.post(f"brands/{brand.pk}/preflight/fixes", {"page": finding["page"], "key": finding["key"]})
        return list(asked.json()["fixes"])

    def change(self, brand: Brand, document: str, revision: int, *patch: dict[str, Any], label: str = "Change") -> Any:
        edit = {"document": document, "revision": revision, "patch": list(patch)}
        return self.post(f"brands/{brand.pk}/changes", {"label": label, "edits": [edit]})


PASSWORD = "a long password indeed"


def person(name: str, workspace: Workspace | None = None, role: str = "designer") -> User:
    user = User.objects.create_user(name, password=PASSWORD, first_name=name.capitalize())
    if workspace:
        Membership.objects.create(user=user, workspace=workspace, role=role)
    return user


@pytest.fixture
def workspace(db: None) -> Workspace:
    return Workspace.objects.create(name="Studio")


@pytest.fixture
def anna(workspace: Workspace) -> Api:
    return Api(person("anna", workspace))


@pytest.fixture
def ben(workspace: Workspace) -> Api:
    return Api(person("ben", workspace))


@pytest.fixture
def reviewer(workspace: Workspace) -> Api:
    return Api(person("rita", workspace, "reviewer"))


@pytest.fixture
def stranger(db: None) -> Api:
    return Api(person("sam", Workspace.objects.create(name="Elsewhere")))


@pytest.fixture
def nobody(db: None) -> Api:
    return Api(None)


@pytest.fixture
def brand(workspace: Workspace, quillmoor: Identity) -> Brand:
    """The demo brand with pages that tests know."""
    return settled(sites.create(workspace, quillmoor), "studio")


@pytest.fixture
def planned_brand(workspace: Workspace, quillmoor: Identity) -> Brand:
    """The demo brand with the pages that the planner makes of it."""
    return sites.create(workspace, quillmoor)


def settled(brand: Brand, name: str) -> Brand:
    """Gives a brand pages that tests know, as though they had been planned so."""
    brand.documents.exclude(name__in=(IDENTITY, CHOICES, DECISIONS, LANGUAGES, CHECKS)).delete()
    bodies = {name: kind_of(name).model.model_validate(body).model_dump() for name, body in known_pages(name).items()}
    Document.objects.bulk_create(Document(brand=brand, name=document, body=body) for document, body in bodies.items())
    brand.planned = planned(bodies_of(brand)[0])
    brand.save(update_fields=["planned"])
    return brand
