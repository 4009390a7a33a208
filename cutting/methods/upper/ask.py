"""What is asked of a top: the choices, read and with the defaults filled in."""

from dataclasses import dataclass, field
from fractions import Fraction

from cutting.lengths import Fixed, inch


@dataclass(frozen=True)
class TopAllowances:
    """Seam allowances per edge of a top; the hem's and the zip's are choices of their own."""

    neck: Fixed = field(default_factory=lambda: inch(0.5))
    shoulder: Fixed = field(default_factory=lambda: inch(0.5))
    armhole: Fixed = field(default_factory=lambda: inch(0.5))
    side: Fixed = field(default_factory=lambda: inch(1))
    waist: Fixed = field(default_factory=lambda: inch(0.5))


@dataclass(frozen=True)
class TopAsk:
    """The choices for one top. A length of None takes the rule's own figure; `stretch` is the cloth's, in percent;
    `chosen` are the choices that were made.

    `joined` where a lower garment is sewn to the waist; `front_dart_at` and `back_dart_at` then say how far from the
    centre the darts are that meet its own.
    """

    style: str = "bodice"
    bust_ease: Fixed = field(default_factory=lambda: inch(2))
    waist_ease: Fixed = field(default_factory=lambda: inch(0))
    hip_ease: Fixed = field(default_factory=lambda: inch(2))
    neck_shape: str = "round"
    neck_width: Fixed | None = None
    front_neck_depth: Fixed | None = None
    back_neck_depth: Fixed | None = None
    shoulder_slope: Fixed | None = None
    armhole_hollow: Fixed = field(default_factory=lambda: inch(0.5))
    armhole_lower: Fixed = field(default_factory=lambda: inch(0))
    sleeve: str = "none"
    sleeve_ease: Fixed = field(default_factory=lambda: inch(2))
    cap_ease: Fixed = field(default_factory=lambda: inch(0.5))
    sleeve_length: Fixed | None = None
    sleeve_round: Fixed | None = None
    sleeve_finish: str = "hem"
    cuff_depth: Fixed = field(default_factory=lambda: inch(2))
    closure: str = "none"
    zip_edge: Fixed = field(default_factory=lambda: inch(1.5))
    neck_opening: str = "none"
    neck_opening_length: Fixed | None = None
    finish: str = "facing"
    top_length: Fixed | None = None
    hem: Fixed = field(default_factory=lambda: inch(1))
    hem_shape: str = "level"
    side_slit: Fixed | None = None
    darts: str | None = None
    dart_intake: Fixed | None = None
    front_dart_at: Fixed | None = None
    back_dart_at: Fixed | None = None
    bust_dart: str = "side"
    joined: bool = False
    marking: str = "on-cloth"
    other_cloth: tuple[str, ...] = ()
    stretch: Fraction = Fraction(0)
    chosen: tuple[str, ...] = ()
    allowances: TopAllowances = field(default_factory=TopAllowances)

    @property
    def cuffed(self) -> bool:
        """The sleeve ends in a cuff: a short one never does."""
        return self.sleeve_finish == "cuff" and self.sleeve in ("three-quarter", "long")
