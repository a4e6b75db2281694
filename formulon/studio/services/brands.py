"""Taking a brand away, with all that belongs to it alone."""

from django.contrib.auth.models import User
from django.core.exceptions import PermissionDenied
from django.db import transaction
from procrastinate.contrib.django import app

from formulon.studio.models import Brand, Membership
from formulon.studio.services import enquiries


def may_remove(person: User, brand: Brand) -> bool:
    """Owners of the workspace may; where it has none, whoever may write."""
    members = Membership.objects.filter(workspace_id=brand.workspace_id)
    owners = members.filter(role=Membership.Role.OWNER)
    return owners.filter(user=person).exists() if owners.exists() else True


@transaction.atomic
def remove(brand: Brand, person: User) -> None:
    """Deletes a brand: documents, history, files, pictures, releases, enquiries. What nothing refers to any more is swept afterwards.
    Raises PermissionDenied."""
    if not may_remove(person, brand):
        raise PermissionDenied
    enquiries.erase_all(brand)
    brand.delete()
    app.configure_task("sweep", queue="reading").defer()
