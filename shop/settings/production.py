"""Real use: behind TLS, for the hosts that are named; what is missing stops it at once, by name.

DATABASE_URL, PLAVET_SECRET_KEY   as everywhere
PLAVET_HOSTS                      the names it answers to, between commas, such as plavet.example
PLAVET_PLAIN                      without TLS, on this machine alone: the hosts are 127.0.0.1 or localhost
"""

import os

from shop.settings.base import *  # noqa: F403

if len(SECRET_KEY) < 50 or len(set(SECRET_KEY)) < 5:
    raise SystemExit("PLAVET_SECRET_KEY is too short to keep a session safe: give at least 50 characters by chance.")
ALLOWED_HOSTS = [host.strip() for host in os.environ.get("PLAVET_HOSTS", "").split(",") if host.strip()]
if not ALLOWED_HOSTS or "*" in ALLOWED_HOSTS:
    raise SystemExit("PLAVET_HOSTS names the hosts Plavet answers to, such as plavet.example; all (*) is not one.")
PLAIN = bool(os.environ.get("PLAVET_PLAIN"))
if PLAIN and not {"127.0.0.1", "localhost"}.issuperset(ALLOWED_HOSTS):
    raise SystemExit("PLAVET_PLAIN is for this machine alone: without TLS others on the line could read passwords.")
if not PLAIN:
    CSRF_TRUSTED_ORIGINS = [f"https://{host}" for host in ALLOWED_HOSTS]
    SECURE_SSL_REDIRECT = True
    SECURE_PROXY_SSL_HEADER = ("HTTP_X_FORWARDED_PROTO", "https")
    SECURE_HSTS_SECONDS = 31_536_000
    SECURE_HSTS_INCLUDE_SUBDOMAINS = True
    SECURE_HSTS_PRELOAD = True
    SESSION_COOKIE_SECURE = True
    CSRF_COOKIE_SECURE = True
# The demo, beside it, has files of its own.
STATIC_ROOT = ROOT / "var/static-real"
DATABASES["default"]["CONN_HEALTH_CHECKS"] = True
