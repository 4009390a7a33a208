"""Whether the cloth in hand is enough, and what would make it so: each saving is drafted, laid and searched."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass, fields, replace
from fractions import Fraction
from typing import Any

from cutting.cloth import FOLDS
from cutting.errors import CuttingError
from cutting.garments import Garment
from cutting.job import AnyAsk, Job
from cutting.lengths import Fixed, Rule, Unit, inch, show
from cutting.methods import Ask
from cutting.plan import Plan, plan
from cutting.searching import search
from cutting.yardage import yardage

Change = Callable[[Any, Garment], Any]
SEEN = 5.0
"""What saves less, in mm, is not counted as a saving."""
TRIM, LESS = Rule(2), Fraction(9, 10)


@dataclass(frozen=True)
class Saving:
    """Something that could save cloth, and the job with it."""

    code: str
    job: Job


@dataclass(frozen=True)
class Tried:
    """A saving as it came out, in mm with all that is bought besides the lay: what it needs, what that saves.

    `choices` are the choices it takes, of each garment by its id, as they are written in a job; of a garment of two
    halves by its halves.
    """

    code: str
    needs: float
    saves: float
    enough: bool
    choices: dict[str, dict[str, Any]]


def savings(made: Plan) -> list[Saving]:
    """Every saving that the garments of a plan have, each by itself."""
    job = made.job
    found = [
        Saving(f"fold.{fold}", replace(job, cloth=replace(job.cloth, fold=fold)))
        for fold in (*FOLDS, "sections") if fold != made.laid.fold
    ]  # fmt: skip
    for code, changes in CHANGES.items():
        asked = tuple(_changed(one, changes, made.garments) for one in job.garments)
        if asked != job.garments:
            found.append(Saving(code, replace(job, garments=asked)))
    return found


def enough(
    job: Job, each: float, seed: int, known: float | None = None, wanted: Callable[[], bool] = lambda: True
) -> Iterator[Tried]:
    """First the job as it stands (code `now`), then each saving, a search of `each` seconds for all of them. `known` is
    the length in mm of the shortest lay that is known of the job as it stands: a saving is what is less than that.

    What cannot be drafted or laid, and what saves nothing, is left out. Raises CuttingError where the job itself cannot
    be drafted.
    """
    made = plan(job, by_width=False)
    now = _needs(made, each, seed, known)
    in_hand = float(job.cloth.length) if job.cloth.length is not None else None
    if now is not None:
        yield Tried("now", now, 0.0, in_hand is not None and now <= in_hand, {})
    for saving in savings(made):
        if not wanted():
            return
        try:
            needs = _needs(plan(saving.job, by_width=False), each, seed)
        except CuttingError:
            continue
        if needs is not None and (now is None or now - needs > SEEN):
            fits = in_hand is not None and needs <= in_hand
            yield Tried(saving.code, needs, (now or needs) - needs, fits, choices_of(job, saving.job))


def choices_of(was: Job, now: Job) -> dict[str, dict[str, Any]]:
    """What is chosen otherwise, as it is written in a job; lengths as a tape shows them."""
    found: dict[str, dict[str, Any]] = {}
    for one, other in zip(was.garments, now.garments, strict=True):
        halves = {
            old.half: written for old, new in zip(one.parts, other.parts, strict=True)
            if (written := _written(old.ask, new.ask, was.unit))
        }  # fmt: skip
        if halves:
            found[one.id] = halves.get("", halves)
    return found


def _written(was: Any, now: Any, unit: Unit) -> dict[str, Any]:
    values = ((one.name, getattr(was, one.name), getattr(now, one.name)) for one in fields(now))
    return {name: _as_text(new, unit) for name, old, new in values if old != new}


def _as_text(value: Any, unit: Unit) -> Any:
    if isinstance(value, Fixed):
        return show(value.size, unit).text
    if isinstance(value, Fraction):
        return f"{float(value):.2f}"
    return list(value) if isinstance(value, tuple) else value


def _needs(made: Plan, each: float, seed: int, known: float | None = None) -> float | None:
    if not made.laid.fits:
        return None
    shortest = made.laid.length
    if known is not None:
        shortest = min(shortest, known)
    for step in search(made.laid, each, seed, proves=False):
        shortest = min(shortest, step.length)
    return yardage(shortest, made.job.cloth, made.job.unit, made.job.count).length


def _changed(one: AnyAsk, changes: dict[str, Change], garments: tuple[Garment, ...]) -> AnyAsk:
    """What is asked of a garment, or of each of its halves, with the change that its kind has."""
    drafted = {garment.id: garment for garment in garments}

    def change(kind: str, half: str, ask: Any) -> Any:
        return changes[kind](ask, drafted[f"{one.id}.{half}" if half else one.id]) if kind in changes else ask

    return one.changed(change)


def _pieced(ask: Ask, _: Garment) -> Ask:
    """A straight band joined behind instead of cut in one."""
    plain = ask.waist_finish == "straight-band" and ask.band_join == "none"
    return replace(ask, band_join="centre-back") if plain else ask


def _other(*own: str) -> Change:
    """What of these a garment has, from other cloth."""

    def change(ask: Any, garment: Garment) -> Any:
        small = {name for name in garment.panels if name.endswith("-bag") or name.endswith(("-facing", "-binding"))}
        more = set(own) - set(ask.other_cloth)
        return replace(ask, other_cloth=(*ask.other_cloth, *sorted(more))) if small and more else ask

    return change


def _hem(least: Fixed) -> Change:
    """The hem half as deep."""

    def change(ask: Any, _: Garment) -> Any:
        return replace(ask, hem=Fixed(max(least.size, ask.hem.size / 2))) if ask.hem.size > least.size else ask

    return change


def _leg(ask: Ask, garment: Garment) -> Ask:
    """The leg narrower at the hem."""
    numbers = garment.numbers
    if "front.hem_width" not in numbers:
        return ask
    now = numbers["front.hem_width"].net.mm + numbers["back.hem_width"].net.mm
    return replace(ask, hem_width=Fixed(Fraction(round(now * 10), 10) - TRIM.now.size))


def _shorter(ask: Ask, garment: Garment) -> Ask:
    """Finished shorter."""
    return replace(ask, length=Fixed(Fraction(round(garment.numbers["length"].net.mm * 10), 10) - TRIM.now.size))


def _fuller(ask: Ask, _: Garment) -> Ask:
    """Less fullness, where there is any."""
    return replace(ask, fullness=ask.fullness * LESS) if ask.fullness > Fraction(6, 5) else ask


CHANGES: dict[str, dict[str, Change]] = {
    "pieced_band": {"lower": _pieced},
    "other_cloth": {"lower": _other("facings", "bags"), "top": _other("facings")},
    "hem": {"lower": _hem(inch(1)), "top": _hem(inch(0.5))},
    "leg": {"lower": _leg},
    "shorter": {"lower": _shorter},
    "fuller": {"lower": _fuller},
}
"""Each saving by the kind of garment it is for: what is asked, changed; the same where there is nothing to save."""
