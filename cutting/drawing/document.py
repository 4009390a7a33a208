"""A document of one or more pages of paper: what is on it, one after the other, without where the pages end."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal, TypeAlias

from cutting.drawing.sheet import Sheet

Size = Literal["large", "plain", "small"]


@dataclass(frozen=True)
class Said:
    """A line of words, as many lines as they need; fractions are set as such."""

    text: str
    size: Size = "plain"
    strong: bool = False


@dataclass(frozen=True)
class Heading:
    """A heading; what follows stays on its page."""

    text: str


@dataclass(frozen=True)
class Picture:
    """A drawing in its own size, with a code beside it that a telephone reads where there is one."""

    sheet: Sheet
    code: str = ""


@dataclass(frozen=True)
class Tick:
    """A small box to tick, and what is written beside it."""

    text: str = ""


Cell: TypeAlias = Sequence[Said] | Tick


@dataclass(frozen=True)
class Table:
    """Rows of cells; `widths` in mm, of which one that is 0 takes the rest; `right` the columns of numbers. What is
    above the first row is repeated on each page.
    """

    widths: tuple[float, ...]
    rows: tuple[tuple[Cell, ...], ...]
    head: tuple[str, ...] = ()
    right: frozenset[int] = frozenset()


@dataclass(frozen=True)
class Together:
    """Blocks that stay on one page."""

    blocks: tuple[Block, ...]


Block: TypeAlias = Said | Heading | Picture | Table | Together


@dataclass(frozen=True)
class Document:
    """`title` is at the head of the first page, `columns` of blocks on each."""

    title: str
    blocks: tuple[Block, ...]
    columns: Literal[1, 2] = 1
