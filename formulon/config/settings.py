"""Settings. What differs between installations comes from the environment, else from var/settings.json of ./start."""

import json
import os
from datetime import timedelta
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent.parent
_FILE = ROOT / "var" / "settings.json"
_SAVED: dict[str, str] = json.loads(_FILE.read_text()) if _FILE.exists() else {}


def _setting(name: str, default: str = "") -> str:
    return os.environ.get(f"FORMULON_{name}") or _SAVED.get(name) or default


SECRET_KEY = _setting("SECRET_KEY")
if not SECRET_KEY:
    raise SystemExit("There is no secret key. Run ./start, which makes one, or set FORMULON_SECRET_KEY.")

DEBUG = False
# The studio and the published sites answer under different host names, so that no cookie of the one reaches the other.
STUDIO_HOST = _setting("STUDIO_HOST", "localhost").lower()
SITES_HOST = _setting("SITES_HOST", "127.0.0.1").lower()
ALLOWED_HOSTS = [STUDIO_HOST, SITES_HOST]
HTTPS = _setting("HTTPS") == "1"

INSTALLED_APPS = [
    "django.contrib.admin",
    "django.contrib.auth",
    "django.contrib.contenttypes",
    "django.contrib.messages",
    "django.contrib.sessions",
    "django.contrib.staticfiles",
    "rest_framework",
    "drf_spectacular",
    "procrastinate.contrib.django",
    "axes",
    "formulon.studio",
]
MIDDLEWARE = [
    "formulon.studio.host.SitesHostMiddleware",
    "django.middleware.security.SecurityMiddleware",
    "formulon.studio.security.HeadersMiddleware",
    "whitenoise.middleware.WhiteNoiseMiddleware",
    "django.middleware.gzip.GZipMiddleware",
    "django.contrib.sessions.middleware.SessionMiddleware",
    "django.middleware.common.CommonMiddleware",
    "django.middleware.csrf.CsrfViewMiddleware",
    "django.contrib.auth.middleware.AuthenticationMiddleware",
    "django.contrib.messages.middleware.MessageMiddleware",
    "axes.middleware.AxesMiddleware",
]
AUTHENTICATION_BACKENDS = ["axes.backends.AxesStandaloneBackend", "django.contrib.auth.backends.ModelBackend"]
# Wrong passwords are counted in the database, for all processes and wherever one can sign in: by account and by address. The
# address is that of the connection; forwarding headers hold only where config/serve.py is told which proxy to trust.
AXES_FAILURE_LIMIT = int(_setting("SIGN_IN_LIMIT", "10"))
AXES_LOCKOUT_PARAMETERS = ["username", "ip_address"]
AXES_COOLOFF_TIME = timedelta(minutes=10)
AXES_RESET_COOL_OFF_ON_FAILURE_DURING_LOCKOUT = False
AXES_RESET_ON_SUCCESS = True
AXES_LOCKOUT_CALLABLE = "formulon.studio.api.problems.locked_out"
AXES_DISABLE_ACCESS_LOG = True
AXES_VERBOSE = False
ROOT_URLCONF = "formulon.config.urls"
WSGI_APPLICATION = "formulon.config.wsgi.application"
TEMPLATES = [
    {
        "BACKEND": "django.template.backends.django.DjangoTemplates",
        "APP_DIRS": True,
        "OPTIONS": {
            "context_processors": [
                "django.template.context_processors.request",
                "django.contrib.auth.context_processors.auth",
                "django.contrib.messages.context_processors.messages",
            ]
        },
    }
]
DATABASES = {
    "default": {
        "ENGINE": "django.db.backends.postgresql",
        "HOST": _setting("DB_HOST", "127.0.0.1"),
        "PORT": _setting("DB_PORT", "5432"),
        "NAME": _setting("DB_NAME", "formulon"),
        "USER": _setting("DB_USER", "formulon"),
        "PASSWORD": _setting("DB_PASSWORD"),
        "CONN_MAX_AGE": int(_setting("DB_CONN_MAX_AGE", "60")),
        "CONN_HEALTH_CHECKS": True,
    }
}
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"
AUTH_PASSWORD_VALIDATORS = [
    {"NAME": "django.contrib.auth.password_validation.MinimumLengthValidator", "OPTIONS": {"min_length": 12}},
    {"NAME": "django.contrib.auth.password_validation.CommonPasswordValidator"},
]
LANGUAGE_CODE = "en-gb"
TIME_ZONE = "UTC"
USE_TZ = True

STATIC_URL = "/static/"
STATICFILES_DIRS = [ROOT / "web" / "dist", ("fonts", ROOT / "formulon" / "typefaces" / "files")]
WHITENOISE_USE_FINDERS = True
# Vite writes an eight-character hash before the ending.
WHITENOISE_IMMUTABLE_FILE_TEST = r"^.+[.-][0-9a-zA-Z_-]{8}\..+$"

SESSION_COOKIE_HTTPONLY = True
SESSION_COOKIE_SAMESITE = "Lax"
SESSION_COOKIE_SECURE = CSRF_COOKIE_SECURE = HTTPS
CSRF_COOKIE_SAMESITE = "Lax"
SECURE_REFERRER_POLICY = "same-origin"
SECURE_CROSS_ORIGIN_OPENER_POLICY = "same-origin"
X_FRAME_OPTIONS = "DENY"
DATA_UPLOAD_MAX_MEMORY_SIZE = 4_000_000
FILE_UPLOAD_MAX_MEMORY_SIZE = 4_000_000
DATA_UPLOAD_MAX_NUMBER_FILES = 300  # a folder is dropped whole; services/sources.py has the same limit

# Whether releases wait until a browser has looked at their pages, where the site asks for that; an installation without Chromium says "0".
MEASURED_RELEASES = _setting("MEASURED_RELEASES", "1") == "1"
# Workers without which the installation is not well: one reads files, one looks at pages.
WORKERS = int(_setting("WORKERS", "2"))

# Bytes that a workspace may keep: files, pictures, fonts and releases.
WORKSPACE_QUOTA = int(_setting("WORKSPACE_QUOTA", "4000000000"))

# Enquiries: how many one sender may send in ten minutes, how many a brand takes a day, and how many, and how many bytes, it keeps.
ENQUIRIES_BY_SENDER = int(_setting("ENQUIRIES_BY_SENDER", "5"))
ENQUIRIES_A_DAY = int(_setting("ENQUIRIES_A_DAY", "500"))
ENQUIRIES_KEPT = int(_setting("ENQUIRIES_KEPT", "10000"))
ENQUIRIES_BYTES = int(_setting("ENQUIRIES_BYTES", "20000000"))

# Mail goes to a server where one is named; else each message is written to a folder, as a file that mail programs open.
MAIL_FOLDER = ROOT / "var" / "mail"
EMAIL_HOST = _setting("MAIL_HOST")
EMAIL_PORT = int(_setting("MAIL_PORT", "587"))
EMAIL_HOST_USER = _setting("MAIL_USER")
EMAIL_HOST_PASSWORD = _setting("MAIL_PASSWORD")
EMAIL_USE_TLS = _setting("MAIL_TLS", "1") == "1"
EMAIL_TIMEOUT = 20
EMAIL_BACKEND = "django.core.mail.backends.smtp.EmailBackend" if EMAIL_HOST else "formulon.studio.mail.FolderBackend"
DEFAULT_FROM_EMAIL = _setting("MAIL_FROM", f"website@{SITES_HOST if SITES_HOST[-1:].isalpha() else 'localhost'}")

REST_FRAMEWORK = {
    "DEFAULT_AUTHENTICATION_CLASSES": ["formulon.studio.api.access.SignedIn"],
    "DEFAULT_PERMISSION_CLASSES": ["rest_framework.permissions.IsAuthenticated"],
    "DEFAULT_RENDERER_CLASSES": ["rest_framework.renderers.JSONRenderer"],
    "DEFAULT_PARSER_CLASSES": ["formulon.studio.api.parsing.BoundedJSONParser"],
    "DEFAULT_SCHEMA_CLASS": "drf_spectacular.openapi.AutoSchema",
    "EXCEPTION_HANDLER": "formulon.studio.api.problems.handle",
}
SPECTACULAR_SETTINGS = {
    "TITLE": "Formulon",
    "VERSION": "0.1.0",
    "DESCRIPTION": "What the studio's interface uses. Every answer is scoped to the workspaces of the person signed in.",
    "SERVE_INCLUDE_SCHEMA": False,
    "OAS_VERSION": "3.1.0",
    "COMPONENT_SPLIT_REQUEST": True,
    "ENUM_NAME_OVERRIDES": {
        "SchemeEnum": ["light", "dark"],
        "SchemesOfPagesEnum": ["light", "dark", "both"],
        "WidthClassEnum": ["phone", "tablet", "desktop"],
        "SectionGroundEnum": ["paper", "tint", "brand", "accent", "deep"],
        "EnquiryStateEnum": ["new", "read", "answered"],
        "StylePartEnum": "formulon.core.system.documents.choices.STYLE_PARTS",
    },
}
LOGGING = {
    "version": 1,
    "disable_existing_loggers": False,
    "handlers": {"console": {"class": "logging.StreamHandler"}},
    "root": {"handlers": ["console"], "level": "WARNING"},
}
