"""How wide the leg is at knee and hem, by the kind of leg a style has."""

from fractions import Fraction

from cutting.body import Body
from cutting.finding import Finding
from cutting.lengths import Length, found, inch, named
from cutting.methods.ask import Ask
from cutting.methods.styles import STYLES
from cutting.where import measure, part

Rounds = tuple[Length | None, Length | None]


Levels = tuple[Length, Length, Length]
"""The depths of crotch line, knee line and hem."""


def knee_and_hem(
    leg: str, body: Body, ask: Ask, crotch_round: Length, levels: Levels, findings: list[Finding]
) -> Rounds:
    """The whole rounds of knee and hem, sewn; a knee of None where the leg has none, a hem of None straight down.

    Shorts that end at the knee are 3 wider there than it (common practice, no source); ending above it they are as
    wide as a leg that runs straight from the crotch line to that.
    """
    if leg in ("fall", "wide", "short"):
        chosen = ask.side_in_hem is not None or ask.inner_in_hem is not None
        to_knee = STYLES[ask.style].length == "knee" and body.has("knee") and not chosen
        return None, ask.hem_width or (_on_the_way(body, crotch_round, levels) if to_knee else None)
    knee = _knee(leg, body, ask, crotch_round, findings)
    if ask.hem_width is not None:
        return knee, ask.hem_width
    return knee, {
        "straight": lambda: knee,
        "close": lambda: body.ankle + named(ask.hem_ease, "hem_ease") if ask.hem_ease.size else body.ankle,
        "boot-cut": lambda: knee + inch(4),
        "tapered": lambda: knee * Fraction(3, 4),
    }[leg]()


def _on_the_way(body: Body, crotch_round: Length, levels: Levels) -> Length:
    """As wide as a leg that is 3 wider than the knee on the knee line, where it ends above that."""
    at_knee = body.knee + inch(3, "at_the_knee")
    crotch, knee, hem = (level.mm for level in levels)
    short = (knee - hem) / (knee - crotch)
    if short < 0.001:
        return at_knee
    return at_knee + found((crotch_round.mm - at_knee.mm) * short, "above_the_knee")


def _knee(leg: str, body: Body, ask: Ask, crotch_round: Length, findings: list[Finding]) -> Length:
    if ask.knee_width is not None:
        return ask.knee_width
    least = found(round(crotch_round.mm * 0.7, 3), "seven_tenths_of_crotch_round")
    if not body.has("knee"):
        findings.append(Finding("knee.unmeasured", "note", measure("knee"), {"used": least}))
        return least
    eased = body.knee + named(ask.knee_ease, "knee_ease")
    if leg in ("close", "boot-cut") or not ask.knee_floor or eased.mm >= least.mm:
        return eased
    findings.append(Finding("knee.floor", "note", part("front"), {"used": least, "wanted": eased}))
    return least
