"""What runs in the background, by Procrastinate on the same PostgreSQL."""

from procrastinate import JobContext, RetryStrategy
from procrastinate.contrib.django import app

from formulon.studio.services import deciding, enquiries, looking, measurements, sources, sweeping


@app.task(name="read_intake", queue="reading")
def read_intake(intake_id: int) -> None:
    """Reads the files of an intake; taken up again, it goes on with those that are left."""
    sources.read_intake(intake_id)


@app.task(name="measure_page", queue=measurements.QUEUE, pass_context=True)
def measure_page(context: JobContext, measurement_id: int) -> None:
    """Looks at a page with a browser; a job that has been tried before was that of a worker that has died."""
    looking.measure(measurement_id, again=bool(context.job.attempts))


@app.periodic(cron="* * * * *")
@app.task(name="retry_stalled", queue="reading", queueing_lock="retry_stalled", pass_context=True)
async def retry_stalled(context: JobContext, timestamp: int) -> None:
    """Hands the jobs of a worker that has died to another."""
    for job in await context.app.job_manager.get_stalled_jobs():
        await context.app.job_manager.retry_job(job)


@app.periodic(cron="17 * * * *")
@app.task(name="sweep_hourly", queue="reading", queueing_lock="sweep_hourly")
def sweep_hourly(timestamp: int) -> None:
    """Gives back the space of files to which nothing refers any more, erases enquiries that were kept for long enough, and encodes what
    an earlier version kept."""
    sweeping.sweep()
    enquiries.erase_old()
    measurements.let_go()
    for picture_id in deciding.unencoded():
        deciding.encode_picture(picture_id)


@app.task(name="sweep", queue="reading")
def sweep() -> None:
    """The same after a brand was taken away."""
    sweeping.sweep()


@app.task(name="encode_picture", queue="reading")
def encode_picture(picture_id: int) -> None:
    """Makes the sizes of a photograph in the smaller form."""
    deciding.encode_picture(picture_id)


@app.task(name="mail_enquiry", queue="reading", retry=RetryStrategy(max_attempts=8, exponential_wait=5))
def mail_enquiry(enquiry_id: str) -> None:
    """Mails what a visitor sent; tried again while the mail server cannot be reached."""
    enquiries.send(enquiry_id)
