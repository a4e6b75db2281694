"""The role groups of a ground, in the order in which they are solved: each may look at those before it."""

from formulon.core.system.solving.groups.field import Field
from formulon.core.system.solving.groups.focus import FocusRing
from formulon.core.system.solving.groups.group import Group
from formulon.core.system.solving.groups.main_button import MainButton
from formulon.core.system.solving.groups.open_buttons import OpenButtons
from formulon.core.system.solving.groups.selection import Selection
from formulon.core.system.solving.groups.signals import Signals
from formulon.core.system.solving.groups.texts import TextInks

GROUPS: tuple[Group, ...] = (
    MainButton("main_button"), TextInks("texts"), FocusRing("focus"), Selection("selection"), Signals("signals"),
    OpenButtons("open_buttons"), Field("field"),
)  # fmt: skip
