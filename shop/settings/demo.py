"""The demo workshop: on loopback, without TLS, with debugging off as for real use."""

import os

from shop.settings.base import *  # noqa: F403

ALLOWED_HOSTS = ["127.0.0.1", "localhost"]
# Where `./plavet plotter` listens.
PLAVET_PLOTTER = os.environ.get("PLAVET_PLOTTER", "127.0.0.1:9100")
PLAVET_POST = os.environ.get("PLAVET_POST", "127.0.0.1:9125")
