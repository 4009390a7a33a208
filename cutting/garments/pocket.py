"""What a pocket adds to a garment, and a size brought to the room there is."""

from dataclasses import dataclass

from cutting.codes import FindingCode
from cutting.finding import Finding
from cutting.garments.part import Part
from cutting.geometry import Path
from cutting.lengths import Length, found
from cutting.pieces import Notch
from cutting.where import part as place


@dataclass(frozen=True)
class Pockets:
    """What pockets add: pieces, lines marked inside the panels, notches by panel, and what had to be made smaller."""

    parts: tuple[Part, ...] = ()
    lines: tuple[tuple[str, str, Path], ...] = ()
    notches: tuple[tuple[str, Notch], ...] = ()
    findings: tuple[Finding, ...] = ()

    def and_(self, other: "Pockets") -> "Pockets":
        """Both together."""
        return Pockets(
            self.parts + other.parts, self.lines + other.lines, self.notches + other.notches,
            self.findings + other.findings,
        )  # fmt: skip


@dataclass(frozen=True)
class Fitted:
    length: Length
    finding: Finding | None = None


def smaller(wanted: Length, most: float, code: FindingCode) -> Fitted:
    """A size as it is wanted, or as large as there is room for, and the finding that says so."""
    if wanted.mm <= most:
        return Fitted(wanted)
    used = found(max(25.4, most), "room_for_it")
    return Fitted(used, Finding(code, "note", place("front"), {"wanted": wanted, "used": used}))
