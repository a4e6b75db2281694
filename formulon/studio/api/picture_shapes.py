"""Shapes of pictures that are added and worked on."""

from formulon.studio.api.shapes import Changed, Shape


class PictureMade(Shape):
    """A picture that was added or made: its id, what it shows as far as its file says, its size in px, and the workbench with it."""

    id: str
    name: str
    width: float
    height: float
    workbench: Changed
