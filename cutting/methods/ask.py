"""What is asked of a method: the choices, read and with the defaults filled in."""

from dataclasses import dataclass, field

from cutting.lengths import Fixed, inch


@dataclass(frozen=True)
class Allowances:
    """Seam allowances per edge; the hem's is a choice of its own."""

    side: Fixed = field(default_factory=lambda: inch(1))
    centre: Fixed = field(default_factory=lambda: inch(0.5))
    inner_leg: Fixed = field(default_factory=lambda: inch(0.5))
    waist: Fixed = field(default_factory=lambda: inch(0.5))


@dataclass(frozen=True)
class Ask:
    """The choices for one lower garment. A rule is its name, a length is a Fixed; None takes the rule's own figure."""

    style: str = "straight-trousers"
    waist_position: str = "worn"
    band: str = "below"
    band_depth: Fixed = field(default_factory=lambda: inch(1.5))
    band_overlap: Fixed = field(default_factory=lambda: inch(1.5))
    waist_finish: str = "straight-band"
    crotch_depth: str | Fixed = "hip/4"
    crotch_ease: Fixed = field(default_factory=lambda: inch(0))
    hip_line: str = "measured"
    crotch_extension: str | Fixed = "hip/16"
    back_extension: str | Fixed = "tip"
    back_tip: str | Fixed = "by-seat"
    seat: str = "usual"
    seat_height: str = "raise-only"
    seat_raise: Fixed | None = None
    centre_drop: Fixed | None = None
    side_raise: Fixed = field(default_factory=lambda: inch(0))
    centre_slant: Fixed | None = None
    hip_ease: Fixed = field(default_factory=lambda: inch(1))
    thigh_ease: Fixed = field(default_factory=lambda: inch(2))
    waist_ease: Fixed = field(default_factory=lambda: inch(0))
    knee_ease: Fixed = field(default_factory=lambda: inch(4))
    darts: str | None = None
    dart_place: str = "half-panel"
    dart_intake: Fixed | None = None
    dart_length: Fixed | None = None
    knee_width: Fixed | None = None
    hem_width: Fixed | None = None
    length: Fixed | None = None
    hem: Fixed = field(default_factory=lambda: inch(2))
    closure: str = "side-zip"
    pockets: tuple[str, ...] = ()
    waist_cleanup: str = "back-to-front"
    marking: str = "on-cloth"
    allowances: Allowances = field(default_factory=Allowances)
