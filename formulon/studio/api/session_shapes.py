"""Shapes of signing in."""

from pydantic import Field

from formulon.studio.api.shapes import Shape


class Credentials(Shape):
    username: str = Field(max_length=150)
    password: str = Field(max_length=300)


class NewPassword(Shape):
    current: str = Field(max_length=300)
    new: str = Field(max_length=300)


class Person(Shape):
    username: str
    name: str


class Session(Shape):
    person: Person | None
