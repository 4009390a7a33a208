"""The files of a stored plan: what there is, how each looks, and its bytes."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from pydantic import BaseModel, Field

from cutting.files import FILES, CardPaper, Source, Use
from cutting.files import File as File
from shop.bridge.words import said_plan, words

MOST, MOST_CALLS = 200, 1000
"""Of a plan of more pieces no file is made, of one with more calls no card: one of each order is."""


class PlanFileOut(BaseModel):
    """A file that can be made of a plan, and what it is for."""

    name: str
    use: Use
    title: str
    says: str
    drawn: bool = Field(description="whether there is a picture of it")


class FilePreviewOut(BaseModel):
    """How a file looks, small, as a data address; how many pages it has, 0 where it has none; how many bytes it is."""

    picture: str
    pages: int
    size: int


@dataclass(frozen=True)
class OnPaper:
    """What is on each page of a file: what is written over it, on cards the workshop's heading too; their paper; the
    address of Mark that takes a call's number; where the outfits of several are on the cloth, their clients' names by
    the outfits' ids.
    """

    head: str
    heading: str
    paper: str
    address: str
    clients: Mapping[str, str]


def all_files() -> list[PlanFileOut]:
    """In the order in which they are shown."""
    made = ((file, *words().file_words(file.name)) for file in FILES)
    return [
        PlanFileOut(name=file.name, use=file.use, title=title, says=says, drawn=file.drawn)
        for file, title, says in made
    ]


def file_of(name: str) -> File | None:
    """The file of that name."""
    return next((file for file in FILES if file.name == name), None)


def made(file: File, plan: dict[str, Any], job: dict[str, Any], unit: str, on: OnPaper) -> bytes:
    """The file's bytes."""
    return file.made(_source(plan, job, unit, on))


def preview(file: File, plan: dict[str, Any], job: dict[str, Any], unit: str, on: OnPaper) -> FilePreviewOut:
    """Its picture, its pages, its size."""
    seen = file.preview(_source(plan, job, unit, on))
    return FilePreviewOut(picture=seen.picture, pages=seen.pages, size=seen.size)


def _source(plan: dict[str, Any], job: dict[str, Any], unit: str, on: OnPaper) -> Source:
    paper: CardPaper = "Letter" if on.paper == "Letter" else "A4"
    return Source(said_plan(plan, unit), words(), on.head, job, paper, on.heading, on.address, on.clients)
