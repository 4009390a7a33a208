"""A place in a job or in a plan: what a problem, a finding or a check speaks of."""

from dataclasses import dataclass, replace
from typing import Literal

Station = Literal["", "measure", "design", "cloth"]
Root = Literal["job", "measurements", "garments", "cloth", "other_cloth", "lay", "plan"]


@dataclass(frozen=True)
class Where:
    """`root` is the part of the job, or `plan` for a place in the plan; `path` leads on from there.

    A place in a garment names it: in a job the garment's id and, of a jumpsuit, the half (top, lower); in a plan the
    plan's own id, such as `jumpsuit.lower`. `outfit` is the other client's whose cloth is shared, empty for the first.
    """

    root: Root = "job"
    path: tuple[str, ...] = ()
    garment: str = ""
    half: str = ""
    outfit: str = ""

    def __truediv__(self, part: str) -> "Where":
        """One step further."""
        return Where(self.root, (*self.path, part), self.garment, self.half, self.outfit)

    def __str__(self) -> str:
        """Dotted, as files have it: `measurements.hip`, `garments.j.lower.choices.hem`, `trousers.front`."""
        inside = (*(part for part in (self.garment, self.half) if part), *self.path)
        start = ("others", self.outfit) if self.outfit else ()
        return ".".join((*start, *(() if self.root in ("job", "plan") else (self.root,)), *inside))

    def in_garment(self, garment: str, half: str = "", outfit: str = "") -> "Where":
        """A place that a draft spoke of, in the garment and outfit it was asked for; others stay as they are."""
        if self.root == "garments":
            return replace(self, garment=garment, half=half, outfit=outfit)
        return replace(self, outfit=outfit) if self.root == "measurements" else self

    @property
    def plan_garment(self) -> str:
        """The id, in the plan, of the garment it speaks of; empty where of none."""
        if self.root == "plan" or not self.garment:
            return self.garment
        return ".".join(part for part in (self.outfit, self.garment, self.half) if part)

    @property
    def station(self) -> Station:
        """The step of the job at which it is mended; empty where only a check shows it."""
        return _STATIONS.get(self.root, "")

    @property
    def measure(self) -> str:
        """The key of the measurement it speaks of, else empty."""
        return self.path[0] if self.root == "measurements" and self.path else ""


_STATIONS: dict[Root, Station] = {
    "measurements": "measure", "garments": "design", "cloth": "cloth", "other_cloth": "cloth",
}  # fmt: skip


def measure(key: str) -> Where:
    """A measurement of the client whose garment is drafted."""
    return Where("measurements", (key,))


def choice(*path: str) -> Where:
    """A choice of the garment that is drafted."""
    return Where("garments", ("choices", *path))


def part(*path: str) -> Where:
    """A panel of the garment that is drafted, or a place in it."""
    return Where("plan", path)


JOB = Where()
GARMENT = Where("garments")
"""The garment that is drafted."""
CLOTH = Where("cloth")
OTHER_CLOTH = Where("other_cloth")
LAY = Where("lay")
