"""A jumpsuit: a top and a lower garment drafted so that their waists meet, and what their waist seam has to take in."""

from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import replace

from cutting.body import Body
from cutting.errors import CuttingError
from cutting.finding import Finding
from cutting.garments.lower import Lower, draft_lower
from cutting.garments.top import Top, top_as_asked
from cutting.lengths import Fixed, found, mm
from cutting.methods import Ask, correct_top
from cutting.methods.darts import Darts
from cutting.methods.upper import TOPS, TopAsk
from cutting.methods.upper.sums import work_out
from cutting.where import part

SEEN = 1.0


def draft_joined(name: str, method: str, body: Body, top: TopAsk, lower: Ask) -> tuple[Top, Lower]:
    """The two garments `name`.top and `name`.lower. Raises CuttingError with the measure that cannot be served.

    Both waists are the client's with the ease of the lower one. A fitted top's darts are laid over the lower one's; a
    wide top, and a wide lower garment, are gathered or folded into the seam.
    """
    with in_half("lower"):
        below = draft_lower(f"{name}.lower", method, body, lower)
    with in_half("top"):
        asked, said = correct_top(replace(top, joined=True), body)
        above = top_as_asked(f"{name}.top", "quarter-bust", body, _meeting(body, asked, below))
    gathers = 2 * (below.sums.front_gathers + below.sums.back_gathers).mm
    of_top = _said(above.gathered, above.waist_flat, "gathers")
    of_lower = _said(gathers, below.waist_sewn, lower.waist_join)
    return replace(above, findings=above.findings + of_top + said), replace(below, findings=below.findings + of_lower)


@contextmanager
def in_half(half: str) -> Iterator[None]:
    """What a half refuses is placed in that half of the jumpsuit."""
    try:
        yield
    except CuttingError as refused:
        raise CuttingError(*(replace(one, where=one.where.in_garment("", half)) for one in refused.problems)) from None


def _meeting(body: Body, top: TopAsk, below: Lower) -> TopAsk:
    """What is asked of the top so that it meets the lower garment: its waist's ease, its zip, its darts."""
    lower = below.ask
    asked = replace(top, waist_ease=lower.waist_ease, closure=lower.closure, joined=True)
    if lower.closure == "back-zip":
        asked = replace(asked, zip_edge=max(lower.zip_edge, lower.allowances.centre, key=lambda one: one.size))
    if not TOPS[top.style].fitted:
        return asked
    sums = work_out(body, asked)
    return replace(
        asked, front_dart_at=_over(sums.front_darts, below.sums.front_darts, below, "front"),
        back_dart_at=_over(sums.back_darts, below.sums.back_darts, below, "back"),
    )  # fmt: skip


def _over(top: Darts, lower: Darts, below: Lower, panel: str) -> Fixed | None:
    """Where a top's dart is so that, both sewn, it meets the lower garment's; None where one has none."""
    if top.count == 0 or lower.count == 0:
        return None
    place = below.panels[panel].lengths.get("dart_place", mm(0)).mm - lower.intake.mm / 2 + top.intake.mm / 2
    return mm(round(place, 6), "over_the_dart")


def _said(gathers: float, flat: float, how: str) -> tuple[Finding, ...]:
    """What a waist takes in besides its darts, and how many times it is as wide as the seam; else nothing."""
    if gathers < SEEN:
        return ()
    params = {"by": found(gathers, ""), "times": round(flat / (flat - gathers), 2), "how": how}
    return (Finding("join.gathered", "note", part("waist"), params),)
