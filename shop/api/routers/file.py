"""A file that is read line by line, as it is sent and answered."""

from ninja import Field, Schema


class FileIn(Schema):
    """A file's text; with `keep` its good lines are kept."""

    text: str = Field(max_length=400_000)
    keep: bool = False


class LineOut(Schema):
    """A line of a file; `what` and `mend` are empty where it is good."""

    number: int
    point: str
    typed: str
    what: str
    mend: str


class FileOut(Schema):
    lines: list[LineOut]
    kept: int
