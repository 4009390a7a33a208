"""Front and back from two panels: the sums a method gives, drawn and closed the same way for all of them."""

from cutting.body import Body
from cutting.drafting import Draft
from cutting.methods.ask import Ask
from cutting.methods.sums import Sums
from cutting.methods.two_panel.back import back
from cutting.methods.two_panel.front import front
from cutting.methods.two_panel.sums import SEATS, Seats, needs, work_out

__all__ = ["SEATS", "Seats", "draw", "needs", "work_out"]


def draw(body: Body, ask: Ask, seats: Seats) -> tuple[Sums, list[Draft]]:
    """Front, then the back from it. Raises CuttingError with the measure that cannot be served."""
    sums = work_out(body, ask, seats)
    front_draft, back_draft = Draft("front"), Draft("back")
    front(body, ask, sums, front_draft)
    back(body, ask, sums, front_draft, back_draft)
    return sums, [front_draft, back_draft]
