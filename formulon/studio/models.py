"""What is stored: identity, choices, site content, pictures, history and releases. What can be derived is not."""

import uuid

from django.conf import settings
from django.db import models
from django.utils import timezone


class Workspace(models.Model):
    """A group of people and their brands."""

    name = models.CharField(max_length=80)
    members = models.ManyToManyField(settings.AUTH_USER_MODEL, through="Membership", related_name="workspaces")

    def __str__(self) -> str:
        return self.name


class Membership(models.Model):
    """A person's place in a workspace."""

    class Role(models.TextChoices):
        OWNER = "owner", "Owner"
        DESIGNER = "designer", "Designer"
        REVIEWER = "reviewer", "Reviewer"

    workspace = models.ForeignKey(Workspace, on_delete=models.CASCADE)
    user = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE)
    role = models.CharField(max_length=10, choices=Role, default=Role.DESIGNER)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["workspace", "user"], name="one_membership")]

    def __str__(self) -> str:
        return f"{self.user} in {self.workspace}: {self.role}"


class Brand(models.Model):
    """A brand and its site. `planned` holds frame and pages as the planner left them."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    workspace = models.ForeignKey(Workspace, on_delete=models.CASCADE, related_name="brands")
    slug = models.SlugField(max_length=60, unique=True)
    created = models.DateTimeField(auto_now_add=True)
    planned = models.JSONField(default=dict, blank=True)
    enquiries_days = models.PositiveSmallIntegerField(default=180, help_text="How long enquiries are kept.")

    class Meta:
        ordering = ["created"]

    def __str__(self) -> str:
        return self.slug


class Document(models.Model):
    """One document of a brand: "identity", "choices", "frame" or "page:<id>". Revised apart from the others."""

    brand = models.ForeignKey(Brand, on_delete=models.CASCADE, related_name="documents")
    name = models.CharField(max_length=80)
    revision = models.PositiveIntegerField(default=1)
    body = models.JSONField()

    class Meta:
        constraints = [models.UniqueConstraint(fields=["brand", "name"], name="one_document")]

    def __str__(self) -> str:
        return f"{self.brand}: {self.name} r{self.revision}"


class Picture(models.Model):
    """A picture of the brand's own, rebuilt."""

    brand = models.ForeignKey(Brand, on_delete=models.CASCADE, related_name="pictures")
    key = models.SlugField(max_length=60)
    name = models.CharField(max_length=300)
    svg = models.TextField(blank=True)
    renditions = models.JSONField(default=list, help_text="Width and SHA-256 of each size of a photograph.")
    colors = models.JSONField(default=dict, blank=True, help_text="Dominant colours of a photograph and their shares.")
    width = models.FloatField()
    height = models.FloatField()
    from_file = models.BooleanField(default=True, help_text="Whether it came from one of the brand's files, which is kept.")

    class Meta:
        ordering = ["id"]
        constraints = [models.UniqueConstraint(fields=["brand", "key"], name="one_picture")]

    def __str__(self) -> str:
        return f"{self.brand}: {self.key}"


class PhonePreview(models.Model):
    """That a brand's site can be looked at in the local network, under a token and until a time."""

    brand = models.OneToOneField(Brand, on_delete=models.CASCADE, related_name="phone_preview")
    token = models.CharField(max_length=40, unique=True)
    until = models.DateTimeField()
    author = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL)

    def __str__(self) -> str:
        return f"{self.brand} until {self.until:%H:%M}"


class Entry(models.Model):
    """One step of the history, which is only ever appended to: a change, or one that takes a change back or makes it again.
    `edits` lists document, revision before, patch and its inverse."""

    class Kind(models.TextChoices):
        CHANGE = "change", "Change"
        UNDO = "undo", "Taken back"
        REDO = "redo", "Made again"

    brand = models.ForeignKey(Brand, on_delete=models.CASCADE, related_name="entries")
    number = models.PositiveIntegerField()
    label = models.CharField(max_length=200)
    author = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL)
    created = models.DateTimeField(auto_now_add=True)
    kind = models.CharField(max_length=6, choices=Kind, default=Kind.CHANGE)
    of = models.ForeignKey(
        "self",
        null=True,
        on_delete=models.CASCADE,
        related_name="steps",
        help_text="The change that is taken back or made again.",
    )
    name = models.CharField(max_length=80, blank=True, help_text="What people call this point of the history.")
    edits = models.JSONField()

    class Meta:
        ordering = ["number"]
        constraints = [models.UniqueConstraint(fields=["brand", "number"], name="one_entry")]

    def __str__(self) -> str:
        return f"{self.brand} {self.number}: {self.label}"


class StoredFile(models.Model):
    """A file that somebody added, or that was made of one, by the SHA-256 of its bytes. It belongs to one workspace."""

    workspace = models.ForeignKey(Workspace, on_delete=models.CASCADE, related_name="files")
    sha256 = models.CharField(max_length=64)
    data = models.BinaryField()
    size = models.PositiveIntegerField(default=0, help_text="Bytes.")
    touched = models.DateTimeField(default=timezone.now, help_text="When it was kept last; what is fresh is not swept.")

    class Meta:
        constraints = [models.UniqueConstraint(fields=["workspace", "sha256"], name="one_stored_file")]

    def __str__(self) -> str:
        return self.sha256[:12]


class Intake(models.Model):
    """Files that were added together, and how far reading them has come."""

    class State(models.TextChoices):
        WAITING = "waiting", "Waiting"
        READING = "reading", "Reading"
        DONE = "done", "Done"
        CANCELLED = "cancelled", "Cancelled"

    brand = models.ForeignKey(Brand, on_delete=models.CASCADE, related_name="intakes")
    author = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL)
    created = models.DateTimeField(auto_now_add=True)
    state = models.CharField(max_length=10, choices=State, default=State.WAITING)

    class Meta:
        ordering = ["id"]

    def __str__(self) -> str:
        return f"{self.brand}: {self.state}"


class SourceFile(models.Model):
    """A file of the brand's, and what its reader saw. A file of the same name takes its place."""

    class State(models.TextChoices):
        WAITING = "waiting", "Waiting"
        READ = "read", "Read"
        FAILED = "failed", "Failed"
        CANCELLED = "cancelled", "Cancelled"

    brand = models.ForeignKey(Brand, on_delete=models.CASCADE, related_name="sources")
    intake = models.ForeignKey(Intake, null=True, on_delete=models.SET_NULL, related_name="files")
    stored = models.ForeignKey(StoredFile, on_delete=models.PROTECT, related_name="+")
    name = models.CharField(max_length=200)
    size = models.PositiveIntegerField()
    state = models.CharField(max_length=10, choices=State, default=State.WAITING)
    reading = models.JSONField(null=True)

    class Meta:
        ordering = ["name"]
        constraints = [models.UniqueConstraint(fields=["brand", "name"], name="one_source")]

    def __str__(self) -> str:
        return f"{self.brand}: {self.name}"


class Blob(models.Model):
    """A file of releases by the SHA-256 of its bytes."""

    sha256 = models.CharField(primary_key=True, max_length=64)
    data = models.BinaryField()
    size = models.PositiveIntegerField(default=0, help_text="Bytes.")
    made = models.DateTimeField(default=timezone.now)

    def __str__(self) -> str:
        return self.sha256[:12]


class Measurement(models.Model):
    """A page of a brand as a browser sees it, or is to see it, under the key of all that it is drawn from. One worker measures it."""

    class State(models.TextChoices):
        WAITING = "waiting", "Waiting"
        MEASURING = "measuring", "Measuring"
        DONE = "done", "Done"
        FAILED = "failed", "Failed"

    brand = models.ForeignKey(Brand, on_delete=models.CASCADE, related_name="measurements")
    key = models.CharField(max_length=32)
    state = models.CharField(max_length=10, choices=State, default=State.WAITING)
    since = models.DateTimeField(default=timezone.now, help_text="When it came into its state, or was looked at last.")
    seen = models.BinaryField(default=b"", help_text="What was seen, packed.")
    problem = models.CharField(max_length=300, blank=True)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["brand", "key"], name="one_measurement")]

    def __str__(self) -> str:
        return f"{self.brand}: {self.key[:8]} {self.state}"


class Release(models.Model):
    """A published, immutable version of a site. The newest is live."""

    brand = models.ForeignKey(Brand, on_delete=models.CASCADE, related_name="releases")
    number = models.PositiveIntegerField()
    created = models.DateTimeField(auto_now_add=True)
    author = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL)
    files = models.JSONField(help_text="SHA-256 by path.")
    snapshot = models.JSONField(help_text="The documents that it was made from.")
    counts = models.JSONField(help_text="Of the checks that it passed.")
    report = models.JSONField(default=dict, blank=True, help_text="What was found all the same: notes and waived findings.")
    measured = models.BooleanField(default=False, help_text="Whether a browser had looked at every page.")

    class Meta:
        ordering = ["-number"]
        constraints = [models.UniqueConstraint(fields=["brand", "number"], name="one_release")]

    def __str__(self) -> str:
        return f"{self.brand} r{self.number}"


class Enquiry(models.Model):
    """What a visitor sent through a form of a published site. It is kept for as long as the brand says, and erased for good."""

    class State(models.TextChoices):
        NEW = "new", "New"
        READ = "read", "Read"
        ANSWERED = "answered", "Answered"

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    brand = models.ForeignKey(Brand, on_delete=models.CASCADE, related_name="enquiries")
    received = models.DateTimeField(default=timezone.now, db_index=True)
    page = models.CharField(max_length=200, help_text="The name of the page, as it was.")
    form = models.CharField(max_length=200, help_text="The headline over the form, as it was.")
    recipient = models.CharField(max_length=400)
    answers = models.JSONField(help_text="Label, kind and value of each field.")
    person = models.CharField(
        max_length=254, blank=True, db_index=True, help_text="The sender's mail address in small letters."
    )
    words = models.TextField(help_text="All of it in small letters, for searching.")
    size = models.PositiveIntegerField(help_text="Bytes.")
    sender = models.CharField(max_length=40, help_text="The network address as a keyed hash, for limits alone.")
    state = models.CharField(max_length=8, choices=State, default=State.NEW)
    mailed = models.DateTimeField(null=True, help_text="When it was handed to the mail.")

    class Meta:
        ordering = ["-received", "id"]
        verbose_name_plural = "enquiries"

    def __str__(self) -> str:
        return f"{self.brand}: {self.form}, {self.received:%Y-%m-%d %H:%M}"
