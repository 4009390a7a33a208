"""The demo workshop: on loopback, without TLS, with debugging off as for real use."""

from shop.settings.base import *  # noqa: F403

ALLOWED_HOSTS = ["127.0.0.1", "localhost"]
