"""The Django application."""

from django.apps import AppConfig


class StudioConfig(AppConfig):
    name = "formulon.studio"
    label = "studio"
    verbose_name = "Formulon"
    default_auto_field = "django.db.models.BigAutoField"
