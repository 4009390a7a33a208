"""The demo workshop, on loopback, with debugging off as for real use."""

from shop.settings.base import *  # noqa: F403
