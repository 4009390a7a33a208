"""The corrections of a job file: what was found at the client's fittings."""

from collections.abc import Sequence
from typing import cast

from pydantic import Field

from cutting.body import ONE_SIDED, Correction, Side
from cutting.errors import CuttingError, Problem, refuse
from cutting.formats.values_v1 import Size, Strict, exact_mm, known, placed
from cutting.kinds import KINDS
from cutting.lengths import Fixed, OfCorrection, Unit, inch
from cutting.where import JOB, Where

MOST, LARGEST = 80, 6
"""So many corrections one client has; none is larger than so many inches."""
FITTING = "a fitting"
"""Where one is from that does not say it."""


class CorrectionIn(Strict):
    """`by` has its sign; `side` is both, left or right of the wearer; `from` is the day of the fitting; `kind`,
    `method` and `garment` are empty for all; one of the `house` is left out where a draft has no room for it.
    """

    choice: str
    by: Size
    side: str = "both"
    since: str = Field("", alias="from", max_length=60)
    kind: str = ""
    method: str = ""
    garment: str = ""
    house: bool = False


def read_corrections(
    raw: Sequence[CorrectionIn], unit: Unit, outfit: str, problems: list[Problem]
) -> tuple[Correction, ...]:
    """The corrections of a client; what is wrong with them is added to `problems`."""
    if len(raw) > MOST:
        raise refuse("correction.many", JOB / "corrections", most=MOST)
    read: list[Correction] = []
    for k, one in enumerate(raw):
        where = Where("job", ("corrections", str(k)), outfit=outfit)
        if one.kind and not known(one.kind, tuple(KINDS), (), where / "kind", problems):
            continue
        kinds = [KINDS[one.kind]] if one.kind else list(KINDS.values())
        offered = tuple(dict.fromkeys(key for kind in kinds for key in kind.correctable))
        if not known(one.choice, offered, (), where / "choice", problems):
            continue
        if not known(one.side, ("both", "left", "right"), (), where / "side", problems):
            continue
        if one.side != "both" and one.choice not in ONE_SIDED:
            problems.append(Problem("correction.side", where / "side"))
            continue
        by = _signed(one.by, unit, where / "by", problems)
        if by is not None:
            read.append(Correction(one.choice, OfCorrection(by.size, one.since or FITTING), one.kind, one.method[:40],
                                   one.garment[:40], one.house, cast(Side, one.side)))  # fmt: skip
    return tuple(read)


def _signed(value: Size, unit: Unit, where: Where, problems: list[Problem]) -> Fixed | None:
    """A length with its sign; None where it is none, or more than a fitting finds."""
    try:
        size = exact_mm(value, unit, signed=True)
    except CuttingError as error:
        problems.extend(placed(error, where))
        return None
    if not 0 < abs(size) <= LARGEST * inch(1).size:
        problems.append(Problem("correction.size", where, {"most": inch(LARGEST)}))
        return None
    return Fixed(size)
