"""Settings every way of running Plavet shares."""

import os
from datetime import timedelta
from pathlib import Path
from urllib.parse import unquote, urlsplit

from shop.headers import for_a_file
from shop.seeing import logs

ROOT = Path(__file__).resolve().parents[2]
SECRET_KEY = os.environ["PLAVET_SECRET_KEY"]
DEBUG = False
ALLOWED_HOSTS: list[str] = []
ROOT_URLCONF = "shop.urls"
WSGI_APPLICATION = "shop.wsgi.application"
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"
AUTH_USER_MODEL = "accounts.User"
LANGUAGE_CODE = "en"
TIME_ZONE = "UTC"
USE_TZ = True
USE_I18N = False

INSTALLED_APPS = [
    "django.contrib.auth",
    "django.contrib.contenttypes",
    "django.contrib.postgres",
    "django.contrib.staticfiles",
    "procrastinate.contrib.django",
    "axes",
    "csp",
    "django_otp",
    "django_otp.plugins.otp_totp",
    "django_otp.plugins.otp_static",
    "ninja",
    "shop.accounts",
    "shop.clients",
    "shop.cloths",
    "shop.orders",
    "shop.plans",
    "shop.chalk",
    "shop.sewing",
    "shop.practice",
    "shop.scheduling",
    "shop.money",
    "shop.reminders",
    "shop.keeping",
    "shop.archive",
]
MIDDLEWARE = [
    "shop.seeing.health.HealthMiddleware",
    "django.middleware.security.SecurityMiddleware",
    # Plans are texts of 200 kB: compressed they are a quarter. Django pads each answer by chance, so that its length
    # tells nothing of what is in it.
    "django.middleware.gzip.GZipMiddleware",
    "whitenoise.middleware.WhiteNoiseMiddleware",
    # Around all that follows: what is refused early has these headers too.
    "csp.middleware.CSPMiddleware",
    "django.middleware.clickjacking.XFrameOptionsMiddleware",
    "shop.api.errors.RequestIdMiddleware",
    "shop.seeing.requests.SeenMiddleware",
    "shop.api.gate.GateMiddleware",
    "django.contrib.sessions.middleware.SessionMiddleware",
    "django.middleware.common.CommonMiddleware",
    "django.middleware.csrf.CsrfViewMiddleware",
    "django.contrib.auth.middleware.AuthenticationMiddleware",
    "axes.middleware.AxesMiddleware",
    "shop.accounts.sessions.UsedMiddleware",
    "shop.api.turned.TurnedMiddleware",
    "shop.api.days.DayMiddleware",
]
TEMPLATES = [{"BACKEND": "django.template.backends.django.DjangoTemplates", "DIRS": [ROOT / "web/dist"]}]

CACHES = {
    "default": {"BACKEND": "django.core.cache.backends.locmem.LocMemCache"},
    # Plans in words, 160 kB each: so many in each process.
    "said": {
        "BACKEND": "django.core.cache.backends.locmem.LocMemCache", "LOCATION": "said", "TIMEOUT": 3600,
        "OPTIONS": {"MAX_ENTRIES": 100},
    },
    # Of which lay each plan is.
    "stamps": {
        "BACKEND": "django.core.cache.backends.locmem.LocMemCache", "LOCATION": "stamps", "TIMEOUT": 3600,
        "OPTIONS": {"MAX_ENTRIES": 1000},
    },
}  # fmt: skip
_url = urlsplit(os.environ["DATABASE_URL"])
DATABASES = {
    "default": {
        "ENGINE": "django.db.backends.postgresql",
        "NAME": _url.path.lstrip("/"),
        "USER": unquote(_url.username or ""),
        "PASSWORD": unquote(_url.password or ""),
        "HOST": _url.hostname or "127.0.0.1",
        "PORT": _url.port or 5432,
        "CONN_MAX_AGE": 60,
        # After a database that was begun anew the first request of each thread would fail.
        "CONN_HEALTH_CHECKS": True,
        # A plan is stored in half the time with lz4.
        "OPTIONS": {"options": "-c statement_timeout=15000 -c default_toast_compression=lz4"},
    }
}

AUTHENTICATION_BACKENDS = ["axes.backends.AxesStandaloneBackend", "django.contrib.auth.backends.ModelBackend"]
PASSWORD_HASHERS = ["shop.accounts.hashers.Argon2"]
# A guesser is slowed by name and by address; who comes from a browser of before is not: shop/accounts/devices.py.
AXES_FAILURE_LIMIT = 12
AXES_WHITELIST_CALLABLE = "shop.accounts.devices.is_known"
AXES_HANDLER = "shop.accounts.guessing.GrowingPauses"
AXES_LOCKOUT_CALLABLE = "shop.api.errors.locked_out"
# So long is a wrong password counted; how long one waits is in shop/accounts/guessing.py.
AXES_COOLOFF_TIME = timedelta(days=1)
# Who tries again while locked out waits no longer for it.
AXES_RESET_COOL_OFF_ON_FAILURE_DURING_LOCKOUT = False
AXES_LOCKOUT_PARAMETERS = ["username", "ip_address"]
# A success of one name would let another be guessed on from the same address.
AXES_RESET_ON_SUCCESS = False
OTP_TOTP_ISSUER = "Plavet"
AXES_VERBOSE = False

AUTH_PASSWORD_VALIDATORS = [
    {"NAME": f"django.contrib.auth.password_validation.{name}", "OPTIONS": options}
    for name, options in (
        ("MinimumLengthValidator", {"min_length": 10}),
        ("CommonPasswordValidator", {}),
        ("UserAttributeSimilarityValidator", {}),
    )
]
SESSION_ENGINE = "shop.accounts.sessions"
# Unused for a week, a session ends.
SESSION_COOKIE_AGE = 7 * 24 * 3600
SESSION_COOKIE_HTTPONLY = True
SESSION_COOKIE_SAMESITE = "Lax"
CSRF_COOKIE_SAMESITE = "Lax"
SECURE_CONTENT_TYPE_NOSNIFF = True
SECURE_REFERRER_POLICY = "same-origin"
X_FRAME_OPTIONS = "DENY"
DATA_UPLOAD_MAX_MEMORY_SIZE = 1_000_000

# The one inline style allowed is the empty one that the style engine inserts before it writes rules into it.
EMPTY_STYLE = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='"
CONTENT_SECURITY_POLICY = {
    "DIRECTIVES": {
        "default-src": ["'self'"],
        "script-src": ["'self'"],
        "style-src": ["'self'", EMPTY_STYLE],
        "img-src": ["'self'", "data:"],
        "font-src": ["'self'"],
        "connect-src": ["'self'"],
        "object-src": ["'none'"],
        "base-uri": ["'self'"],
        "frame-ancestors": ["'none'"],
        "worker-src": ["'self'"],
        "form-action": ["'self'"],
    }
}

STATIC_URL = "/static/"
STATIC_ROOT = ROOT / "var/static"
STATICFILES_DIRS = [ROOT / "web/dist"]
STATICFILES_FINDERS = ["shop.static.BuiltFiles"]
STORAGES = {
    "default": {"BACKEND": "django.core.files.storage.FileSystemStorage"},
    "staticfiles": {"BACKEND": "whitenoise.storage.CompressedStaticFilesStorage"},
}
WHITENOISE_MAX_AGE = 31_536_000
WHITENOISE_ALLOW_ALL_ORIGINS = False
WHITENOISE_ADD_HEADERS_FUNCTION = for_a_file

LOGGING = logs.LOGGING
logs.configure()
if os.environ.get("PROMETHEUS_MULTIPROC_DIR"):
    MIDDLEWARE = [
        "django_prometheus.middleware.PrometheusBeforeMiddleware", *MIDDLEWARE,
        "django_prometheus.middleware.PrometheusAfterMiddleware",
    ]  # fmt: skip

PLAVET_PLOTTER = os.environ.get("PLAVET_PLOTTER", "")
PLAVET_POST = os.environ.get("PLAVET_POST", "")
"""Where a pen plotter listens, such as 127.0.0.1:9100; empty where there is none."""
