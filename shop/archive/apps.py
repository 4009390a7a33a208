"""A workshop as one file, taken along by its owner and brought in elsewhere. It has no tables."""

from django.apps import AppConfig


class ArchiveConfig(AppConfig):
    name = "shop.archive"
