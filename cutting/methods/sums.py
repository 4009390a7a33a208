"""What every method works out before the chalk, as lengths that keep their sums."""

from dataclasses import dataclass

from cutting.errors import refuse
from cutting.finding import Finding
from cutting.lengths import Length, named
from cutting.methods.ask import Ask
from cutting.methods.darts import Darts
from cutting.where import measure


@dataclass(frozen=True)
class Sums:
    """All of it, as lengths. Depths are from where the client's figure was taken; `top` is the waist seam's.

    `front_waist` and `back_waist` are laid along the waist seam: darts open, gathers flat; `hip`, `waist_girth` and
    `waist_round` are None where they were not measured. `leg_on_fold` where the
    guide line can be on the cloth's fold: such a method does not set the hip, whose width is what comes out.
    `centre_lean` is what the centre back leans in at the hip line where its side is straight down from there, else 0.
    """

    hip: Length | None
    front_hip: Length
    back_hip: Length
    centre_lean: Length
    waist_girth: Length | None
    waist_round: Length | None
    front_waist: Length
    back_waist: Length
    front_gathers: Length
    back_gathers: Length
    top: Length
    crotch_depth: Length
    hip_depth: Length
    thigh_depth: Length
    knee_depth: Length
    ankle_depth: Length
    length: Length
    extension: Length
    back_extension: Length
    crotch_width: Length
    tip: Length
    drop: Length
    lift: Length
    slant: Length
    front_darts: Darts
    back_darts: Darts
    knee_round: Length | None
    hem_round: Length | None
    findings: tuple[Finding, ...]
    leg_on_fold: bool = False

    def level(self, depth: Length, ask: Ask) -> Length:
        """A depth on the draft: the tape starts above the waist line where the band is below it."""
        return depth - named(ask.band_depth, "band") if ask.band == "below" else depth

    @property
    def waist(self) -> Length:
        """All round the waist, sewn. Raises CuttingError where it was not measured."""
        if self.waist_round is None:
            raise refuse("measure.missing", measure("waist"))
        return self.waist_round

    @property
    def back_on_crotch_line(self) -> Length:
        """The back from its side to the straight centre line, on the crotch line."""
        return self.back_hip + self.centre_lean if self.centre_lean.mm else self.back_hip

    @property
    def opening(self) -> Length:
        """Round the waist seam with darts closed and gathers flat: what has to pass the hip where nothing opens."""
        return (self.front_waist - self.front_darts.all + self.back_waist - self.back_darts.all) * 2
