"""Signing in: too many wrong passwords, wherever they are tried; one's own password; and what the address that is asked is."""

import pytest
from django.contrib.auth.models import User
from django.test import Client

from formulon.studio.models import Workspace
from tests.studio.conftest import PASSWORD, Api, person

WRONG = {"username": "anna", "password": "wrong"}


def tries(count: int, name: str = "anna", **headers: str) -> list[int]:
    client = Client(headers={"host": "localhost"})
    body = {"username": name, "password": "wrong"}
    return [
        client.post("/api/session", body, content_type="application/json", headers=headers).status_code for _ in range(count)
    ]


def test_an_account_is_shut_after_ten_wrong_passwords(anna: Api) -> None:
    assert tries(12) == [403] * 9 + [429] * 3
    answer = Client(headers={"host": "localhost"}).post(
        "/api/session", {"username": "anna", "password": PASSWORD}, content_type="application/json"
    )
    assert answer.status_code == 429 and answer["Content-Type"] == "application/problem+json"
    assert answer.json()["code"] == "too-many-tries" and int(answer["Retry-After"]) > 0


def test_a_forged_forwarding_header_helps_nobody(anna: Api) -> None:
    seen = [tries(1, f"name-{number}", **{"x-forwarded-for": f"203.0.113.{number}"})[0] for number in range(15)]
    assert seen.count(403) == 9 and seen[9:] == [429] * 6


def test_the_administration_counts_too(db: None) -> None:
    User.objects.create_superuser("root", password=PASSWORD)
    client = Client(headers={"host": "localhost"})
    seen = [client.post("/admin/login/", {"username": "root", "password": "wrong"}).status_code for _ in range(12)]
    assert seen[:9] == [200] * 9 and seen[9:] == [429] * 3
    assert client.post("/admin/login/", {"username": "root", "password": PASSWORD}).status_code == 429


def test_the_right_password_is_taken_before_that(anna: Api) -> None:
    tries(5)
    answer = Client(headers={"host": "localhost"}).post(
        "/api/session", {"username": "anna", "password": PASSWORD}, content_type="application/json"
    )
    assert answer.status_code == 200
    assert tries(5) == [403] * 5  # counted from nothing again


@pytest.mark.parametrize(
    ("current", "new", "code"),
    [
        ("not mine", "another long password", "password-wrong"),
        (PASSWORD, "short", "password-weak"),
        (PASSWORD, "password1234", ""),
    ],
)
def test_a_password_is_changed_by_who_knows_it(anna: Api, current: str, new: str, code: str) -> None:
    new = new if code else "a wholly other phrase"
    answer = anna.post("session/password", {"current": current, "new": new})
    assert answer.status_code == (422 if code else 204)
    if code:
        assert answer.json()["code"] == code
    assert User.objects.get(username="anna").check_password(PASSWORD if code else new)
    assert anna.get("brands").status_code == 200  # and stays signed in here


def test_other_browsers_are_signed_out_by_a_new_password(workspace: Workspace) -> None:
    user = person("carl", workspace)
    here, there = Api(user), Api(user)
    assert there.get("brands").status_code == 200
    here.post("session/password", {"current": PASSWORD, "new": "a wholly other phrase"})
    assert there.get("brands").status_code == 401 and here.get("brands").status_code == 200
