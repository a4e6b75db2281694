"""What people made under earlier names is theirs under the new ones: documents, plans, history, releases."""

from importlib import import_module
from typing import Any

import pytest
from django.db import connection
from django.db.migrations.executor import MigrationExecutor

from formulon.core.site.catalogue import CATALOGUE
from formulon.studio.models import Brand
from formulon.studio.services.entries import steps

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


BEFORE_8, AFTER_8 = [("studio", "0005_layout_names")], [("studio", "0008_no_mark_of_undoing")]


@pytest.mark.django_db(transaction=True)
def test_what_was_taken_back_under_the_old_form_can_be_made_again() -> None:
    """A history of three changes of which two were taken back, as the version before wrote it."""
    executor = MigrationExecutor(connection)
    executor.migrate(BEFORE_8)
    old = executor.loader.project_state(BEFORE_8).apps
    workspace = old.get_model("studio", "Workspace").objects.create(name="Studio")
    brand = old.get_model("studio", "Brand").objects.create(workspace=workspace, slug="osier", planned={})

    def patch(value: int) -> list[dict[str, Any]]:
        return [{"op": "replace", "path": "/radius", "value": value}]

    for number, (was, now) in enumerate(((6, 8), (8, 10), (10, 12)), 1):
        edits = [{"document": "choices", "revision": number, "forward": patch(now), "backward": patch(was)}]
        old.get_model("studio", "Entry").objects.create(
            brand=brand, number=number, label=f"{now} px", edits=edits, undone=number > 1
        )
    try:
        executor = MigrationExecutor(connection)
        executor.migrate(AFTER_8)
        entries = executor.loader.project_state(AFTER_8).apps.get_model("studio", "Entry").objects.order_by("number")
        assert [(one.number, one.kind, one.label, one.of.number if one.of else 0) for one in entries] == [
            (1, "change", "8 px", 0), (2, "change", "10 px", 0), (3, "change", "12 px", 0),
            (4, "undo", "Taken back: 12 px", 3), (5, "undo", "Taken back: 10 px", 2),
        ]  # fmt: skip
        assert entries[3].edits[0]["forward"] == patch(10) and entries[3].created == entries[2].created
        _, forth = steps(Brand.objects.only("pk").get(pk=brand.pk), None)
        assert forth is not None and forth.label == "10 px", "the one that was taken back last comes first"
        executor = MigrationExecutor(connection)
        executor.migrate(BEFORE_8)
        again = old.get_model("studio", "Entry").objects.order_by("number")
        assert [(one.number, one.undone) for one in again] == [(1, False), (2, True), (3, True)]
    finally:
        executor = MigrationExecutor(connection)
        executor.migrate(executor.loader.graph.leaf_nodes())


def test_what_an_entry_made_or_took_away_is_turned() -> None:
    made = import_module("formulon.studio.migrations.0007_appended_history")
    body, part = {"id": "x"}, {"document": "page:x", "revision": 0}
    assert made.turned([part | {"created": body}]) == [part | {"removed": body}]
    assert made.turned([part | {"removed": body}]) == [part | {"created": body}]
