"""What is between hip and waist: shared among darts, sides and the centre."""

from __future__ import annotations

from dataclasses import dataclass

from cutting.lengths import Length, Rule, inch, mm
from cutting.methods.ask import DartAsk
from cutting.methods.share import least, most

WIDEST = Rule(1.5, "dart")


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


def front_share(spare: Length, ask: DartAsk) -> Darts:
    """Share what the waist is smaller than the hip: dart 1, side 1 1/2, centre 1/2, dart 1 1/2, then two darts."""
    side, centre = inch(1.5), inch(0.5)
    one = _usual(spare)
    asked = _asked(one, ask)
    if asked is not None:
        return asked
    if one.mm < 3:
        return Darts.none()
    if spare.mm <= (side + inch(1)).mm:
        return Darts(one, 1, mm(0))
    if spare.mm <= (side + inch(1) + centre).mm:
        return Darts(one, 1, spare - side - inch(1))
    wanted = spare - side - centre
    if wanted.mm <= inch(1.5).mm or ask.count == "one":
        return Darts(least(wanted, WIDEST.now), 1, centre)
    return Darts(least(wanted / 2, WIDEST.now), 2, centre)


def back_darts(front: Darts, spare: Length, ask: DartAsk, repeats: bool) -> Darts:
    """The back's darts: the front's again where it `repeats` them, deeper where its side would take more than 2 in."""
    first = front.all if repeats else _usual(spare)
    asked = _asked(first, ask)
    if asked is not None:
        return asked
    over = spare - first - inch(2)
    count = front.count if repeats else 1
    if over.mm <= 0:
        return Darts(front.intake if repeats else first, count, mm(0)) if first.mm >= 3 else Darts.none()
    wanted = first + over
    if wanted.mm <= inch(1.5).mm or ask.count == "one":
        return Darts(least(wanted, WIDEST.now), 1, mm(0))
    return Darts(least(wanted / 2, WIDEST.now), 2, mm(0))


def _usual(spare: Length) -> Length:
    """One dart: 1 in, less where there is less to take in."""
    return least(inch(1, "dart"), most(spare - inch(0.25), mm(0)))


def _asked(one: Length, ask: DartAsk) -> Darts | None:
    """What is asked for by itself: no dart, an intake, or two that share what `one` takes; None by the rule."""
    if ask.count == "none":
        return Darts.none()
    if ask.intake is not None:
        return Darts(ask.intake, 2 if ask.count == "two" else 1, mm(0)) if ask.intake.size else Darts.none()
    if ask.count == "two":
        return Darts(one / 2, 2, mm(0)) if one.mm >= 3 else Darts.none()
    return None
