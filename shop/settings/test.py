"""The tests: a quick password hasher, log-ins that are never locked out unless a test asks."""

import os

from shop.settings.base import *  # noqa: F403

PASSWORD_HASHERS = ["django.contrib.auth.hashers.MD5PasswordHasher"]
AXES_ENABLED = False
ALLOWED_HOSTS = ["*"]
# What went well is not written: a test that fails shows what did not.
LOGGING["loggers"]["plavet"]["level"] = "WARNING"
# Steps of the tests that run side by side have a database each.
DATABASES["default"]["TEST"] = {"NAME": os.environ.get("PLAVET_TEST_DATABASE", "test_plavet")}
STORAGES = {
    "default": {"BACKEND": "django.core.files.storage.FileSystemStorage"},
    "staticfiles": {"BACKEND": "django.contrib.staticfiles.storage.StaticFilesStorage"},
}
# A server beside the tests has the pages as they are built.
WHITENOISE_USE_FINDERS = True
# A plotter that is off, and a gateway.
PLAVET_PLOTTER = "127.0.0.1:9"
PLAVET_POST = os.environ.get("PLAVET_POST", "127.0.0.1:9")
