"""Reading lists page by page."""

from typing import TypeVar

from django.db.models import Model, QuerySet

Row = TypeVar("Row", bound=Model)


def page_of(rows: QuerySet[Row], page: int, size: int) -> QuerySet[Row]:
    """The rows of a page, counted from 1."""
    return rows[(page - 1) * size : page * size]
