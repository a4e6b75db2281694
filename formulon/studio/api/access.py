"""Who may do what: people are signed in by session, and see the brands of their workspaces only."""

from django.contrib.auth.models import User
from django.core.exceptions import PermissionDenied
from django.http import Http404
from rest_framework.authentication import SessionAuthentication
from rest_framework.request import Request

from formulon.studio.models import Brand, Membership
from formulon.studio.services.sites import brands_of, role_of


class SignedIn(SessionAuthentication):
    """Session authentication that answers 401, so that the interface can ask for the sign-in."""

    def authenticate_header(self, request: Request) -> str:
        return "Session"


def user_of(request: Request) -> User:
    assert isinstance(request.user, User)
    return request.user


def brand_of(request: Request, brand_id: str, write: bool = False) -> Brand:
    """The brand, if the person is a member of its workspace: else it does not exist. Reviewers only read."""
    user = user_of(request)
    brand: Brand | None = brands_of(user).filter(pk=brand_id).first()
    if brand is None:
        raise Http404
    if write and role_of(user, brand) == Membership.Role.REVIEWER:
        raise PermissionDenied
    return brand
