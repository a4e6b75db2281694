"""Signing in and out, and one's own password."""

from typing import ClassVar

from django.contrib.auth import authenticate, login, logout, update_session_auth_hash
from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError as DjangoValidationError
from django.http import HttpResponse
from django.http.response import HttpResponseBase
from django.middleware.csrf import get_token
from drf_spectacular.utils import extend_schema
from rest_framework.permissions import AllowAny, BasePermission
from rest_framework.request import Request

from formulon.studio.api import session_shapes, shapes
from formulon.studio.api.access import user_of
from formulon.studio.api.base import View, answer
from formulon.studio.api.problems import problem


class SessionView(View):
    """Who is signed in; signing in and out."""

    permission_classes: ClassVar[list[type[BasePermission]]] = [AllowAny]

    def said(self, request: Request) -> HttpResponseBase:
        get_token(request._request)
        user = request._request.user
        person = (
            session_shapes.Person(username=user.get_username(), name=user.get_full_name() or user.get_username())
            if user.is_authenticated
            else None
        )
        return answer(session_shapes.Session(person=person))

    @extend_schema(responses=session_shapes.Session)
    def get(self, request: Request) -> HttpResponseBase:
        return self.said(request)

    @extend_schema(request=session_shapes.Credentials, responses={200: session_shapes.Session, 403: shapes.Problem})
    def post(self, request: Request) -> HttpResponseBase:
        self.check_csrf(request)
        given = session_shapes.Credentials.model_validate(request.data)
        user = authenticate(request._request, username=given.username, password=given.password)
        if user is None:
            return problem(403, "sign-in-failed", "The name and the password do not belong together. Try again.")
        login(request._request, user)
        return self.said(request)

    @extend_schema(responses=session_shapes.Session)
    def delete(self, request: Request) -> HttpResponseBase:
        logout(request._request)
        return self.said(request)

    @staticmethod
    def check_csrf(request: Request) -> None:
        from formulon.studio.api.access import SignedIn

        SignedIn().enforce_csrf(request)


class PasswordView(View):
    """A person's own password."""

    @extend_schema(request=session_shapes.NewPassword, responses={204: None, 422: shapes.Problem})
    def post(self, request: Request) -> HttpResponseBase:
        wanted, person = session_shapes.NewPassword.model_validate(request.data), user_of(request)
        if not person.check_password(wanted.current):
            return problem(422, "password-wrong", "The password that you have now is another one. Type it again.")
        try:
            validate_password(wanted.new, person)
        except DjangoValidationError as error:
            return problem(422, "password-weak", " ".join(error.messages))
        person.set_password(wanted.new)
        person.save(update_fields=["password"])
        update_session_auth_hash(request._request, person)  # who changes it stays signed in here, and nowhere else
        return HttpResponse(status=204)
