"""What is asked of a method: the choices, read and with the defaults filled in."""

from dataclasses import dataclass, field
from fractions import Fraction

from cutting.lengths import Fixed, inch


@dataclass(frozen=True)
class Allowances:
    """Seam allowances per edge; the hem's is a choice of its own."""

    side: Fixed = field(default_factory=lambda: inch(1))
    centre: Fixed = field(default_factory=lambda: inch(0.5))
    inner_leg: Fixed = field(default_factory=lambda: inch(0.5))
    waist: Fixed = field(default_factory=lambda: inch(0.5))


GATHERED = ("elastic-band", "casing", "paper-bag")
"""Waists that are as wide as the hip laid flat, and are drawn in by elastic."""


@dataclass(frozen=True)
class DartAsk:
    """What is asked of one panel's darts: how many, where the first is, how wide and long each. None is by the rule."""

    count: str | None
    place: str | Fixed
    intake: Fixed | None
    length: Fixed | None


@dataclass(frozen=True)
class Ask:
    """The choices for one lower garment. A rule is its name, a length is a Fixed; None takes the rule's own figure.

    These defaults are the quarter-hip method's; other methods and styles bring their own (`usual`). `stretch` is the
    cloth's, in percent; `chosen` are the choices that were made; `depth_else` is the rule of the crotch depth
    where no rise was measured.
    """

    style: str = "straight-trousers"
    waist_position: str = "worn"
    band: str = "below"
    band_depth: Fixed = field(default_factory=lambda: inch(1.5))
    band_overlap: Fixed = field(default_factory=lambda: inch(1.5))
    waist_finish: str = "straight-band"
    waist_join: str = "darts"
    front_waist: str = "waist"
    casing: Fixed = field(default_factory=lambda: inch(3))
    heading: Fixed = field(default_factory=lambda: inch(2))
    heading_place: str = "above"
    elastic: str | Fixed = "waist-4"
    crotch_depth: str | Fixed = "hip/4"
    depth_else: str | Fixed = "hip/4"
    crotch_fit: str = "rule"
    crotch_ease: Fixed = field(default_factory=lambda: inch(0))
    hip_line: str = "measured"
    crotch_extension: str | Fixed = "hip/16"
    back_extension: str | Fixed = "tip"
    back_tip: str | Fixed = "by-seat"
    front_diagonal: Fixed = field(default_factory=lambda: inch(1.25))
    back_diagonal: Fixed = field(default_factory=lambda: inch(1.75))
    curve_outside: Fixed = field(default_factory=lambda: inch(0))
    seat: str = "usual"
    seat_height: str = "raise-only"
    seat_raise: Fixed | None = None
    centre_drop: Fixed | None = None
    side_raise: Fixed = field(default_factory=lambda: inch(0))
    centre_slant: Fixed | None = None
    centre_base: Fixed = field(default_factory=lambda: inch(0))
    hip_ease: Fixed = field(default_factory=lambda: inch(1))
    ease_place: str = "back"
    hip_split: Fixed = field(default_factory=lambda: inch(0))
    waist_split: Fixed = field(default_factory=lambda: inch(0))
    fullness: Fraction = Fraction(1)
    thigh_line: Fixed | None = None
    thigh_ease: Fixed = field(default_factory=lambda: inch(2))
    waist_ease: Fixed = field(default_factory=lambda: inch(0))
    waist_in: Fixed = field(default_factory=lambda: inch(0))
    back_waist_extra: Fixed = field(default_factory=lambda: inch(0))
    knee_ease: Fixed = field(default_factory=lambda: inch(4))
    knee_floor: bool = True
    back_wider: Fixed | None = None
    back_side_out: Fixed = field(default_factory=lambda: inch(0))
    front_darts: str | None = None
    front_dart_place: str | Fixed = "half-panel"
    front_dart_intake: Fixed | None = None
    front_dart_length: Fixed | None = None
    back_darts: str | None = None
    back_dart_place: str | Fixed = "half-panel"
    back_dart_intake: Fixed | None = None
    back_dart_length: Fixed | None = None
    knee_width: Fixed | None = None
    hem_width: Fixed | None = None
    hem_ease: Fixed = field(default_factory=lambda: inch(0.5))
    hem_from: str = "crease"
    leg_inwards: Fixed = field(default_factory=lambda: inch(0))
    side_in_knee: Fixed | None = None
    side_in_hem: Fixed | None = None
    inner_in_hem: Fixed | None = None
    length: str | Fixed = "by-style"
    hem: Fixed = field(default_factory=lambda: inch(2))
    closure: str = "side-zip"
    zip_edge: Fixed = field(default_factory=lambda: inch(1))
    turn_up: Fixed | None = None
    turn_up_strip: str = "cut-on"
    pockets: tuple[str, ...] = ()
    pocket_start: Fixed | None = None
    pocket_opening: Fixed = field(default_factory=lambda: inch(6.5))
    pocket_wide: Fixed = field(default_factory=lambda: inch(3))
    pocket_deep: Fixed = field(default_factory=lambda: inch(5))
    bag_deep: str | Fixed = "usual"
    bag_wide: str | Fixed = "usual"
    bag_cut: str = "halves"
    patch: Fixed = field(default_factory=lambda: inch(5))
    patch_wide: Fixed | None = None
    patch_deep: Fixed | None = None
    patch_foot: str = "square"
    patch_from_centre: Fixed | None = None
    mouth_wide: Fixed = field(default_factory=lambda: inch(3.5))
    mouth_deep: Fixed = field(default_factory=lambda: inch(5))
    piping: str = "bias"
    yoke: Fixed | None = None
    back_from: str = "front"
    belt_loops: str = "none"
    front_opening: str = "none"
    front_opening_deep: Fixed = field(default_factory=lambda: inch(7))
    band_join: str = "none"
    waist_cleanup: str = "back-to-front"
    marking: str = "on-cloth"
    assembly: str | None = None
    other_cloth: tuple[str, ...] = ()
    stretch: Fraction = Fraction(0)
    chosen: tuple[str, ...] = ()
    allowances: Allowances = field(default_factory=Allowances)

    def darts(self, panel: str) -> DartAsk:
        """The darts of the front or of the back."""
        if panel == "front":
            return DartAsk(self.front_darts, self.front_dart_place, self.front_dart_intake, self.front_dart_length)
        return DartAsk(self.back_darts, self.back_dart_place, self.back_dart_intake, self.back_dart_length)

    @property
    def wider(self) -> Fixed:
        """How much wider the back's leg is where it is shared about the crease."""
        return self.back_wider if self.back_wider is not None else inch(1)

    @property
    def elastic_all_round(self) -> bool:
        """The whole waist is drawn in by elastic."""
        return self.waist_finish in GATHERED

    @property
    def gathered(self) -> bool:
        """Both panels are as wide as the hip laid flat: elastic, or the top they are sewn to, takes the rest in."""
        return self.elastic_all_round or (self.waist_finish == "joined" and self.waist_join != "darts")

    @property
    def waist_is(self) -> str:
        """How the panels come to the waist: fitted, half (elastic behind), half-flat (its front flat), gathered."""
        if self.gathered or self.fullness > 1:
            return "gathered"
        if self.waist_finish == "half-elastic":
            return "half-flat" if self.front_waist == "hip" else "half"
        return "fitted"

    @property
    def has_band(self) -> bool:
        """A band of its own is sewn on."""
        return self.waist_finish in ("straight-band", "shaped-band", "half-elastic", "elastic-band")

    @property
    def inside(self) -> Fixed:
        """How far under the figure's top the waist's seam is drawn: under a band or a heading that is inside it."""
        if self.band == "inside":
            return Fixed(self.band_depth.size, "band")
        if self.waist_finish == "paper-bag" and self.heading_place == "inside":
            return Fixed(self.heading.size, "heading_inside")
        return inch(0)

    @property
    def finished_above(self) -> Fixed | None:
        """What is finished above the waist's seam up to where the figure was taken: a band, a heading inside it."""
        if self.band in ("below", "inside", "on-top"):
            return Fixed(self.band_depth.size, "band_finished")
        return self.inside if self.inside.size else None

    @property
    def waist_folds(self) -> int:
        """How often what is cut on above the waist is folded: a casing once, a heading up and down again."""
        return {"casing": 1, "paper-bag": 2}.get(self.waist_finish, 0)

    @property
    def hem_turn(self) -> Fixed:
        """What is cut below the hem line: the hem, the turn-up twice, or the seam of a turn-up that is a strip."""
        if self.turn_up is not None and self.turn_up_strip == "strip":
            return inch(0.5)
        return self.hem if self.turn_up is None else Fixed(2 * self.turn_up.size)

    @property
    def hem_folds(self) -> int:
        """How often it is folded: a hem once, a turn-up once up and once in."""
        return 1 if self.turn_up is None or self.turn_up_strip == "strip" else 2

    @property
    def waist_turn(self) -> Fixed | None:
        """What is cut on above the waist line and turned down; None where a seam is sewn there."""
        if self.waist_finish == "casing":
            return self.casing
        if self.waist_finish == "paper-bag":
            return Fixed(2 * self.heading.size)
        return None
