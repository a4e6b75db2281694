"""Instructions in words about a brand's site. Nothing is stored; the interface makes the changes."""

from formulon.core.asking import Answered, answered
from formulon.core.asking.reader import READER
from formulon.core.asking.texts import lines_by_width
from formulon.studio.models import Brand
from formulon.studio.services import sites


def asked(brand: Brand, text: str, page: str, section: str, slot: str) -> Answered:
    """What an instruction comes to."""
    return answered(READER, text, sites.load(brand), page, section, slot)


def lines(brand: Brand, page: str, section: str, slot: str, text: str) -> dict[str, int]:
    """How many lines a text would take at each class of widths."""
    return lines_by_width(sites.load(brand), page, section, slot, text)
