"""The files that are served as they are; the page itself is answered by the application, with its headers."""

from collections.abc import Iterable, Iterator
from typing import Any

from django.contrib.staticfiles.finders import FileSystemFinder


class BuiltFiles(FileSystemFinder):
    """All that is built for the browser but the page."""

    def list(self, ignore_patterns: Iterable[str] | None) -> Iterator[Any]:
        return iter(super().list([*(ignore_patterns or ()), "index.html"]))
