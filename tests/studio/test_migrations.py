"""What people made under earlier names is theirs under the new ones: documents, plans, history, releases."""

from importlib import import_module
from typing import Any

import pytest
from django.db import connection
from django.db.migrations.executor import MigrationExecutor

from formulon.core.site.catalogue import CATALOGUE

names = import_module("formulon.studio.migrations.0005_layout_names")
BEFORE, AFTER = [("studio", "0004_kept_sizes")], [("studio", "0005_layout_names")]


def page(layout: str) -> dict[str, Any]:
    return {"id": "home", "sections": [{"id": "hero", "kind": "hero", "layout": layout, "content": {"heading": "cover"}}]}


def test_names_change_in_sections_and_in_patches_and_nowhere_else() -> None:
    patch = [
        {"op": "replace", "path": "/sections/0/layout", "value": "cover"},
        {"op": "replace", "path": "/sections/0/content/heading", "value": "cover"},
        {"op": "add", "path": "/sections/1", "value": {"kind": "picture_text", "layout": "overlap"}},
    ]
    made = names.renamed({"a": [page("cover"), page("horizon")], "patch": patch})
    assert [one["sections"][0]["layout"] for one in made["a"]] == ["backcloth", "horizon"]
    assert made["a"][0]["sections"][0]["content"] == {"heading": "cover"}
    assert [one["value"] for one in made["patch"]] == ["backcloth", "cover", {"kind": "picture_text", "layout": "sill"}]


def test_every_new_name_is_a_layout_of_its_kind() -> None:
    for (kind, old), new in names._NAMES.items():
        assert new in CATALOGUE[kind].layouts and old not in CATALOGUE[kind].layouts


@pytest.mark.django_db(transaction=True)
def test_rows_are_rewritten_and_can_be_taken_back() -> None:
    executor = MigrationExecutor(connection)
    executor.migrate(BEFORE)
    old = executor.loader.project_state(BEFORE).apps
    workspace = old.get_model("studio", "Workspace").objects.create(name="Studio")
    brand = old.get_model("studio", "Brand").objects.create(
        workspace=workspace, slug="osier", planned={"pages": [page("poster")]}
    )
    old.get_model("studio", "Document").objects.create(brand=brand, name="page:home", body=page("plain"))
    try:
        executor = MigrationExecutor(connection)
        executor.migrate(AFTER)
        new = executor.loader.project_state(AFTER).apps
        assert new.get_model("studio", "Document").objects.get().body == page("words")
        assert new.get_model("studio", "Brand").objects.get().planned == {"pages": [page("frieze")]}
        executor = MigrationExecutor(connection)
        executor.migrate(BEFORE)
        assert old.get_model("studio", "Document").objects.get().body == page("plain")
    finally:
        executor = MigrationExecutor(connection)
        executor.migrate(executor.loader.graph.leaf_nodes())
