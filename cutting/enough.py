"""Whether the cloth in hand is enough, and what would make it so: each saving is drafted, laid and searched."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from fractions import Fraction

from cutting.cloth import FOLDS
from cutting.errors import CuttingError
from cutting.garments import Garment
from cutting.job import GarmentAsk, Job, JumpsuitAsk
from cutting.lengths import Fixed, inch
from cutting.methods import Ask
from cutting.methods.upper import TopAsk
from cutting.plan import Plan, plan
from cutting.searching import search
from cutting.yardage import yardage

Either = Ask | TopAsk
SEEN = 5.0
"""What saves less, in mm, is not worth its name."""
TRIM, LESS = inch(2), Fraction(9, 10)


@dataclass(frozen=True)
class Saving:
    """Something that could save cloth, and the job with it."""

    code: str
    job: Job


@dataclass(frozen=True)
class Tried:
    """A saving as it came out, in mm with all that is bought besides the lay: what it needs, what that saves."""

    code: str
    needs: float
    saves: float
    enough: bool


def savings(made: Plan) -> list[Saving]:
    """Every saving that the garments of a plan have, each by itself."""
    job = made.job
    found = [
        Saving(f"fold.{fold}", replace(job, cloth=replace(job.cloth, fold=fold)))
        for fold in (*FOLDS, "sections") if fold != made.laid.fold
    ]  # fmt: skip
    changes: dict[str, Callable[[Either, Garment], Either | None]] = {
        "pieced_band": _pieced, "other_cloth": _other, "hem": _hem, "leg": _leg, "shorter": _shorter, "fuller": _fuller,
    }  # fmt: skip
    garments = {garment.id: garment for garment in made.garments}
    for code, change in changes.items():
        asked = tuple(_changed(one, change, garments) for one in job.garments)
        if asked != job.garments:
            found.append(Saving(code, replace(job, garments=asked)))
    return found


def enough(job: Job, each: float, seed: int, wanted: Callable[[], bool] = lambda: True) -> Iterator[Tried]:
    """First the job as it stands (code `now`), then each saving, a search of `each` seconds for all of them.

    What cannot be drafted or laid, and what saves nothing, is left out. Raises CuttingError where the job itself cannot
    be drafted.
    """
    made = plan(job, by_width=False)
    now = _needs(made, each, seed)
    in_hand = float(job.cloth.length) if job.cloth.length is not None else None
    if now is not None:
        yield Tried("now", now, 0.0, in_hand is not None and now <= in_hand)
    for saving in savings(made):
        if not wanted():
            return
        try:
            needs = _needs(plan(saving.job, by_width=False), each, seed)
        except CuttingError:
            continue
        if needs is not None and (now is None or now - needs > SEEN):
            yield Tried(saving.code, needs, (now or needs) - needs, in_hand is not None and needs <= in_hand)


def _needs(made: Plan, each: float, seed: int) -> float | None:
    if not made.laid.lies:
        return None
    shortest = made.laid.length
    for told in search(made.laid, each, seed):
        shortest = told.length
    return yardage(shortest, made.job.cloth, made.job.unit, made.job.count).length


def _changed(
    one: GarmentAsk | JumpsuitAsk, change: Callable[[Either, Garment], Either | None], garments: dict[str, Garment]
) -> GarmentAsk | JumpsuitAsk:
    if isinstance(one, GarmentAsk):
        return replace(one, ask=change(one.ask, garments[one.id]) or one.ask)
    top, lower = change(one.top, garments[f"{one.id}.top"]), change(one.lower, garments[f"{one.id}.lower"])
    assert top is None or isinstance(top, TopAsk)
    assert lower is None or isinstance(lower, Ask)
    return replace(one, top=top or one.top, lower=lower or one.lower)


def _pieced(ask: Either, _: Garment) -> Either | None:
    """A straight band joined behind instead of cut in one."""
    plain = isinstance(ask, Ask) and ask.waist_finish == "straight-band" and ask.band_join == "none"
    return replace(ask, band_join="centre-back") if plain and isinstance(ask, Ask) else None


def _other(ask: Either, garment: Garment) -> Either | None:
    """Facings, bindings and pocket bags from other cloth."""
    own = {"facings", "bags"} if isinstance(ask, Ask) else {"facings"}
    small = {name for name in garment.panels if name == "pocket-bag" or name.endswith(("-facing", "-binding"))}
    more = own - set(ask.other_cloth)
    return replace(ask, other_cloth=(*ask.other_cloth, *sorted(more))) if small and more else None


def _hem(ask: Either, _: Garment) -> Either | None:
    """The hem half as deep."""
    least = inch(1) if isinstance(ask, Ask) else inch(0.5)
    return replace(ask, hem=Fixed(max(least.size, ask.hem.size / 2))) if ask.hem.size > least.size else None


def _leg(ask: Either, garment: Garment) -> Either | None:
    """The leg narrower at the hem."""
    numbers = garment.numbers
    if not isinstance(ask, Ask) or "front.hem_width" not in numbers:
        return None
    now = numbers["front.hem_width"].net.mm + numbers["back.hem_width"].net.mm
    return replace(ask, hem_width=Fixed(Fraction(round(now * 10), 10) - TRIM.size))


def _shorter(ask: Either, garment: Garment) -> Either | None:
    """Finished shorter."""
    if not isinstance(ask, Ask):
        return None
    return replace(ask, length=Fixed(Fraction(round(garment.numbers["length"].net.mm * 10), 10) - TRIM.size))


def _fuller(ask: Either, _: Garment) -> Either | None:
    """Less fullness, where there is any."""
    if not isinstance(ask, Ask) or ask.fullness <= Fraction(6, 5):
        return None
    return replace(ask, fullness=ask.fullness * LESS)
