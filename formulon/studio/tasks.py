"""What runs in the background, by Procrastinate on the same PostgreSQL."""

from procrastinate.contrib.django import app

from formulon.studio.services import sources


@app.task(name="read_intake", queue="reading")
def read_intake(intake_id: int) -> None:
    """Reads the files of an intake."""
    sources.read_intake(intake_id)
