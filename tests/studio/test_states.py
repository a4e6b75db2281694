"""What a write answers: what changed of the workbench that its asker holds, which laid over it is the workbench as it is."""

import random
from typing import Any

import pytest

from formulon.studio.api import states
from formulon.studio.models import Brand, Document

from .conftest import Api

Bench = dict[str, Any]


def laid(held: Bench, answer: Bench) -> Bench:
    """The workbench that an answer makes of the one that is held, by the words of the API."""
    if not answer.get("base"):
        return {name: part for name, part in answer.items() if name not in ("base", "gone", "order")}
    assert answer["base"] == held["state"]
    made = held | {name: part for name, part in answer.items() if name not in ("base", "gone", "order", "system")}
    made["system"] = held["system"] | answer.get("system", {})
    for path, named in states.LISTS.items():
        field, _, part = path.partition("/")
        old, new = (one.get(field, []) if not part else one.get(field, {}).get(part, []) for one in (held, answer))
        entries = {named(one): one for one in old} | {named(one): one for one in new}
        for name in answer.get("gone", {}).get(path, []):
            del entries[name]
        order = answer.get("order", {}).get(path) or list(entries)
        listed = [entries[name] for name in order]
        if part:
            made[field] = made[field] | {part: listed}
        else:
            made[field] = listed
    return made


def alike(one: Bench) -> Bench:
    """Without the name of the state, and without the order of tokens and pairs, which has no meaning."""
    made = {name: part for name, part in one.items() if name != "state"}
    system = dict(made["system"])
    for part in ("tokens", "dark", "pairs"):
        system[part] = sorted(system[part], key=states.LISTS[f"system/{part}"])
    return made | {"system": system}


def write(api: Api, brand: Brand, held: Bench, document: str, *patch: dict[str, Any]) -> Any:
    revision = api.get(f"brands/{brand.pk}").json()
    known = {name: revision[name]["revision"] for name in ("identity", "choices", "frame")}
    known |= {f"page:{page['body']['id']}": page["revision"] for page in revision["pages"]}
    body = {"label": "x", "edits": [{"document": document, "revision": known[document], "patch": list(patch)}]}
    return api.client.post(
        f"/api/brands/{brand.pk}/changes", body, content_type="application/json", headers={"Formulon-State": held["state"]}
    )


def changes(bench: Bench, dice: random.Random) -> tuple[str, dict[str, Any]]:
    page = dice.choice(bench["pages"])["body"]
    return dice.choice(
        [
            (f"page:{page['id']}", {"op": "replace", "path": "/title", "value": f"T {dice.random()}"}),
            (f"page:{page['id']}", {"op": "replace", "path": "/name", "value": f"N {dice.randrange(99)}"}),
            ("choices", {"op": "replace", "path": "/radius", "value": dice.randrange(40)}),
            ("choices", {"op": "replace", "path": "/scheme", "value": dice.choice(["light", "dark", "both"])}),
            ("choices", {"op": "add", "path": "/wires/accent", "value": dice.choice(["night", "lamp", "lamp/200"])}),
            ("choices", {"op": "replace", "path": "/policy", "value": dice.choice(["AA", "AAA"])}),
            ("identity", {"op": "replace", "path": "/strapline", "value": f"S {dice.random()}"}),
            ("identity", {"op": "add", "path": "/colors/-", "value": {"name": f"C{dice.random()}", "value": "#446688"}}),
            ("identity", {"op": "remove", "path": "/colors/3"}),
            (
                "frame",
                {"op": "add", "path": "/order", "value": dice.sample(bench["frame"]["body"]["order"], len(bench["pages"]))},
            ),
        ]
    )


@pytest.mark.parametrize("seed", range(4))
def test_answers_laid_over_what_is_held_are_the_workbench_as_it_is(anna: Api, ben: Api, brand: Brand, seed: int) -> None:
    dice = random.Random(seed)
    held = anna.get(f"brands/{brand.pk}").json()
    parts = 0
    for _ in range(9):
        answer = write(anna, brand, held, *changes(held, dice))
        if answer.status_code == 422:
            continue
        assert answer.status_code == 200, answer.json()
        parts += bool(answer.json()["base"])
        held = laid(held, answer.json())
        if dice.random() < 0.3:  # somebody else changes something, which comes with one's own next answer
            write(ben, brand, held, *changes(held, dice))
            answer = write(anna, brand, held, *changes(held, dice))
            held = laid(held, answer.json()) if answer.status_code == 200 else anna.get(f"brands/{brand.pk}").json()
        assert alike(held) == alike(anna.get(f"brands/{brand.pk}").json())
    assert parts >= 3


def test_undo_upload_and_release_answer_with_what_changed_too(anna: Api, brand: Brand) -> None:
    held = anna.get(f"brands/{brand.pk}").json()
    state = {"Formulon-State": held["state"]}
    write(anna, brand, held, "choices", {"op": "replace", "path": "/radius", "value": 17})
    entry = anna.get(f"brands/{brand.pk}").json()["history"]["undo"]["entry"]
    undone = anna.client.post(
        f"/api/brands/{brand.pk}/undo", {"entry": entry}, content_type="application/json", headers=state
    ).json()
    assert undone["base"] == held["state"] and "identity" not in undone and "tokens" not in undone.get("system", {})
    assert undone["history"]["redo"]["label"] == "x"


def test_a_state_that_is_not_known_gets_everything(anna: Api, brand: Brand) -> None:
    held = anna.get(f"brands/{brand.pk}").json()
    answer = write(
        anna, brand, held | {"state": "elsewhere"}, "choices", {"op": "replace", "path": "/radius", "value": 3}
    ).json()
    assert answer["base"] == "" and len(answer["pages"]) == len(held["pages"]) and answer["system"]["tokens"]


def test_states_of_other_brands_and_old_ones_are_not_known(anna: Api, brand: Brand) -> None:
    other = anna.post("brands", {"name": "Osier Works"}).json()["id"]
    state = anna.get(f"brands/{other}").json()["state"]
    held = anna.get(f"brands/{brand.pk}").json()
    patch = {"op": "replace", "path": "/radius", "value": 4}
    assert write(anna, brand, held | {"state": state}, "choices", patch).json()["base"] == ""
    for _ in range(states.MOST):
        anna.get(f"brands/{brand.pk}")
    assert write(anna, brand, held, "choices", patch | {"value": 5}).json()["base"] == ""


def test_a_word_of_one_page_of_sixty_is_answered_in_a_few_kilobytes(anna: Api, brand: Brand) -> None:
    pages = [one for one in brand.documents.all() if one.name.startswith("page:")]
    for number in range(len(pages), 60):
        body = pages[number % len(pages)].body | {"id": f"extra-{number}", "name": f"Extra {number}"}
        Document.objects.create(brand=brand, name=f"page:extra-{number}", body=body)
    held = anna.get(f"brands/{brand.pk}").json()
    page = held["pages"][7]["body"]["id"]
    answer = write(anna, brand, held, f"page:{page}", {"op": "replace", "path": "/title", "value": "One word"})
    assert [one["body"]["title"] for one in answer.json()["pages"]] == ["One word"]
    assert len(answer.content) < 12_000 < len(anna.get(f"brands/{brand.pk}").content)
    restyled = write(anna, brand, held, "choices", {"op": "replace", "path": "/radius", "value": 9})
    assert len(restyled.content) < 90_000
