"""What runs in the background, by Procrastinate on the same PostgreSQL."""

from procrastinate import JobContext
from procrastinate.contrib.django import app

from formulon.studio.services import sources


@app.task(name="read_intake", queue="reading")
def read_intake(intake_id: int) -> None:
    """Reads the files of an intake; taken up again, it goes on with those that are left."""
    sources.read_intake(intake_id)


@app.periodic(cron="* * * * *")
@app.task(name="retry_stalled", queue="reading", queueing_lock="retry_stalled", pass_context=True)
async def retry_stalled(context: JobContext, timestamp: int) -> None:
    """Hands the jobs of a worker that has died to another."""
    for job in await context.app.job_manager.get_stalled_jobs():
        await context.app.job_manager.retry_job(job)
