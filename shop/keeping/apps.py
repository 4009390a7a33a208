"""Keeping an installation in order: backups, and what is wrong with it. It has no tables."""

from django.apps import AppConfig


class KeepingConfig(AppConfig):
    name = "shop.keeping"
