"""What is between hip and waist: shared among darts, sides and the centre."""

from __future__ import annotations

from dataclasses import dataclass

from cutting.lengths import Length, inch, mm
from cutting.methods.ask import Ask
from cutting.methods.share import least, most


@dataclass(frozen=True)
class Darts:
    """How a panel's waist is brought in: dart intakes (none, one or two equal), and the centre's share."""

    intake: Length
    count: int
    centre_in: Length

    @property
    def all(self) -> Length:
        """What the darts take in together."""
        return self.intake * self.count if self.count != 1 else self.intake

    @staticmethod
    def none() -> Darts:
        """No dart."""
        return Darts(mm(0), 0, mm(0))


def front_share(spare: Length, ask: Ask) -> Darts:
    """Share what the waist is smaller than the hip: dart 1, side 1 1/2, centre 1/2, dart 1 1/2, then two darts."""
    nothing, side, centre = mm(0), inch(1.5), inch(0.5)
    if ask.darts == "none":
        return Darts(nothing, 0, nothing)
    one = least(inch(1, "dart"), most(spare - inch(0.25), nothing))
    if ask.dart_intake is not None or ask.darts == "two":
        each: Length = ask.dart_intake if ask.dart_intake is not None else one / 2
        return Darts(each, 2 if ask.darts == "two" else 1, nothing)
    if one.mm < 3:
        return Darts(nothing, 0, nothing)
    if spare.mm <= (side + inch(1)).mm:
        return Darts(one, 1, nothing)
    if spare.mm <= (side + inch(1) + centre).mm:
        return Darts(one, 1, spare - side - inch(1))
    wanted = spare - side - centre
    if wanted.mm <= inch(1.5).mm or ask.darts == "one":
        return Darts(least(wanted, inch(1.5, "dart")), 1, centre)
    return Darts(least(wanted / 2, inch(1.5, "dart")), 2, centre)


def back_darts(front: Darts, spare: Length, ask: Ask) -> Darts:
    """The front's darts again, deepened where the back's side would take more than 2 in."""
    over = spare - front.all - inch(2)
    if over.mm <= 0 or ask.darts is not None or ask.dart_intake is not None:
        return Darts(front.intake, front.count, mm(0))
    wanted = front.all + over
    if wanted.mm <= inch(1.5).mm:
        return Darts(wanted, 1, mm(0))
    return Darts(least(wanted / 2, inch(1.5, "dart")), 2, mm(0))
