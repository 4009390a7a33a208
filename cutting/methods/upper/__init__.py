"""Tops by the quarter of the bust: bodice and tops, front and back closed against one another, and the sleeve."""

from dataclasses import dataclass

from cutting.body import Body
from cutting.drafting import Draft
from cutting.methods.upper.ask import TopAllowances, TopAsk
from cutting.methods.upper.panels import half
from cutting.methods.upper.resolve import OF_THE_SEAM, QUARTER_BUST, resolve_top, usual_top, usual_top_sources
from cutting.methods.upper.sleeve import Sleeve, sleeve, sleeve_sums
from cutting.methods.upper.styles import TOPS, TopStyle
from cutting.methods.upper.sums import WAIST_LEVELS, TopSums, work_out
from cutting.methods.upper.sums import needs as top_needs

__all__ = [
    "OF_THE_SEAM", "QUARTER_BUST", "TOPS", "WAIST_LEVELS", "DraftedTop", "Sleeve", "TopAllowances", "TopAsk",
    "TopStyle", "TopSums", "draw_top", "resolve_top", "top_needs", "usual_top", "usual_top_sources", "work_out",
]  # fmt: skip


@dataclass(frozen=True)
class DraftedTop:
    """The sums, the board of front, back and (where there is one) sleeve."""

    sums: TopSums
    sleeve: Sleeve | None
    drafts: tuple[Draft, ...]


def draw_top(body: Body, ask: TopAsk) -> DraftedTop:
    """Back first, then the front whose side closes against it, then the sleeve into their armholes.

    Raises CuttingError with the measure that cannot be served.
    """
    sums = work_out(body, ask)
    back, front = Draft("back"), Draft("front")
    half("back", ask, sums, back)
    half("front", ask, sums, front, back.edges["side"].path.length)
    if ask.sleeve == "none":
        return DraftedTop(sums, None, (front, back))
    armhole = sum(one.edges["armhole"].path.length for one in (front, back))
    of_arm, board = sleeve_sums(body, ask, armhole), Draft("sleeve")
    sleeve(ask, of_arm, board)
    return DraftedTop(sums, of_arm, (front, back, board))
