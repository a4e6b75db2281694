"""Slots that several kinds have."""

from formulon.core.site.kind import Slot

HEADING = Slot("Headline", tag="h2", step="h2", ink="heading", most=200)
INTRO = Slot("Introduction", step="intro", ink="body", most=600)
PRIMARY = Slot("First action", "action", step="label", variant="primary")
SECONDARY = Slot("Second action", "action", step="label", variant="secondary")
PICTURE = Slot("Picture", "picture")
LINK = Slot("Link", "action", step="label", variant="text")
