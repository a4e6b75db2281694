"""Addresses of the studio's host."""

from django.contrib import admin
from django.urls import include, path, re_path

from formulon.studio.pages import health, interface

urlpatterns = [
    path("api/", include("formulon.studio.api.urls")),
    path("admin/", admin.site.urls),
    path("health", health),
    re_path(r"^(?!api/|admin/|static/).*$", interface),
]

handler400 = "formulon.studio.api.problems.bad_request"
handler404 = "formulon.studio.api.problems.not_found"
handler500 = "formulon.studio.api.problems.server_error"
