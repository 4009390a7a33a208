"""How wide the leg is at knee and hem, by the kind of leg a style has."""

from fractions import Fraction

from cutting.body import Body
from cutting.finding import Finding
from cutting.lengths import Length, cm, inch, named
from cutting.methods.ask import Ask
from cutting.methods.styles import STYLES
from cutting.where import measure, part

Rounds = tuple[Length | None, Length | None]


def knee_and_hem(leg: str, body: Body, ask: Ask, crotch_round: Length, findings: list[Finding]) -> Rounds:
    """The whole rounds of knee and hem, sewn; a knee of None where the leg has none, a hem of None straight down.

    Shorts that end at the knee are 3 wider there than it. Common practice, no source.
    """
    if leg in ("fall", "wide", "short"):
        to_knee = STYLES[ask.style].length == "knee" and ask.length is None and body.has("knee")
        return None, ask.hem_width or (body.knee + inch(3, "at_the_knee") if to_knee else None)
    knee = _knee(leg, body, ask, crotch_round, findings)
    if ask.hem_width is not None:
        return knee, ask.hem_width
    return knee, {
        "straight": lambda: knee,
        "close": lambda: body.ankle + inch(0.5),
        "boot-cut": lambda: knee + inch(4),
        "tapered": lambda: knee * Fraction(3, 4),
    }[leg]()


def _knee(leg: str, body: Body, ask: Ask, crotch_round: Length, findings: list[Finding]) -> Length:
    if ask.knee_width is not None:
        return ask.knee_width
    least = cm(round(crotch_round.mm * 0.7, 3) / 10, "seven_tenths_of_crotch_round")
    if not body.has("knee"):
        findings.append(Finding("knee.unmeasured", "note", measure("knee"), {"used": least}))
        return least
    eased = body.knee + named(ask.knee_ease, "knee_ease")
    if leg in ("close", "boot-cut") or not ask.knee_floor or eased.mm >= least.mm:
        return eased
    findings.append(Finding("knee.floor", "note", part("front"), {"used": least, "wanted": eased}))
    return least
