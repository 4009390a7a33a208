"""The shape of what a plan file says about sewing."""

from typing import Literal

from pydantic import BaseModel, Field

from cutting.formats.wire import Wire


class SewnEdge(BaseModel):
    """A panel, as `garment.panel`, and its edge or a line in it; `darts` for all its darts, empty for none of it."""

    panel: str
    edge: str


class WantedOut(Wire):
    """What is measured at a step, and what it should read, with its sum; `summed` where that has several terms."""

    code: str
    name: str
    wanted_mm: float
    formula: str
    with_: str = Field(alias="with")
    shown: str
    summed: bool = False


class OperationOut(BaseModel):
    """One thing that is done when it is sewn: `seams` by their numbers in the plan's list, from 0; `panels` as
    `garment.panel`; `needs` the ids of what is done before. `stitch` is a number of ISO 4915, `seam_class` one of ISO
    4916 (both from memory), 0 where no seam is made; `minutes` are somebody's with practice; `press` is how it is
    pressed, `check` what is looked at after it; `cautions` are said where they come first. A step with `readings` is
    done by what is read.
    """

    id: str
    garment: str
    code: str
    title: str
    says: list[str]
    press: str = ""
    check: str = ""
    cautions: list[str]
    seams: list[int]
    panels: list[str]
    needs: list[str]
    stitch: str
    stitch_name: str
    seam_class: int = 0
    seam_class_name: str = ""
    tools: list[str] = []
    minutes: float
    overlock: Literal["", "before", "after"]
    allowance_mm: float | None
    edges: list[SewnEdge] = []
    readings: list[WantedOut] = []


class AssemblyOut(BaseModel):
    """How a lower garment is put together (`centres-first` and so on), and why so."""

    garment: str
    way: str
    why: str
    says: str
