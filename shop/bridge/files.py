"""The files of a stored plan: what there is, how each looks, and its bytes."""

from typing import Any, Literal

from pydantic import BaseModel, Field

from cutting.files import FILES, Drawn
from cutting.files import File as File
from shop.bridge.words import said_plan, words

MOST = 200
"""Of a plan of more pieces no file is made: one of each order is."""


class PlanFileOut(BaseModel):
    """A file that can be made of a plan, and what it is for."""

    name: str
    use: Literal["paper", "machine", "program", "keep"]
    title: str
    says: str
    drawn: bool = Field(description="whether there is a picture of it")


class FileLookOut(BaseModel):
    """How a file looks, small, as SVG; how many pages it has, 0 where it has none; how many bytes it is."""

    picture: str
    pages: int
    size: int


def all_files() -> list[PlanFileOut]:
    """In the order in which they are shown."""
    made = ((file, *words().file_words(file.name)) for file in FILES)
    return [
        PlanFileOut(name=file.name, use=file.use, title=title, says=says, drawn=file.look is not None)
        for file, title, says in made
    ]


def file_of(name: str) -> File | None:
    """The file of that name."""
    return next((file for file in FILES if file.name == name), None)


def made(file: File, plan: dict[str, Any], job: dict[str, Any], unit: str, head: str) -> bytes:
    """The file's bytes; `head` is written over each page."""
    return file.made(_drawn(plan, job, unit, head))


def look(file: File, plan: dict[str, Any], job: dict[str, Any], unit: str, head: str) -> FileLookOut:
    """Its picture, its pages, its size."""
    drawn = _drawn(plan, job, unit, head)
    picture, pages = file.picture(drawn)
    return FileLookOut(picture=picture, pages=pages, size=len(file.made(drawn)))


def _drawn(plan: dict[str, Any], job: dict[str, Any], unit: str, head: str) -> Drawn:
    return Drawn(said_plan(plan, unit), words(), head, job)
