"""The WSGI application."""

import os

from django.core.wsgi import get_wsgi_application

from formulon.config import memory

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "formulon.config.settings")
application = get_wsgi_application()
memory.settle()
