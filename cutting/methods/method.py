"""What a method is: its name, the choices it takes where none is made, what it can make, and how it draws."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from typing import Any

from cutting.body import Body
from cutting.drafting import Draft
from cutting.lengths import Fixed, inch
from cutting.methods.ask import Ask
from cutting.methods.fit import fitted
from cutting.methods.styles import TROUSERS
from cutting.methods.sums import Sums
from cutting.methods.two_panel import SEATS, Seats, draw, needs, work_out

FINISHES = ("straight-band", "shaped-band", "half-elastic", "elastic-band", "casing", "paper-bag")
Draw = Callable[[Body, Ask, Seats], tuple[Sums, list[Draft]]]


@dataclass(frozen=True)
class Method:
    """A way to draft trousers: a front and a back, or one piece for the whole leg.

    `draw` makes its panels (two_panel does it for every method of a front and a back). `styles` are the styles it can
    make and `finishes` their waists. `usual` are the choices it starts from, `of_style` more of them for a style,
    `unused` those it does not read. `seats` gives the back's tip, lift and slant for each shape of seat. `to_sit` is
    added to the crotch depth of a jumpsuit; `needs` are the measurements that a draft cannot be made without.
    """

    name: str
    usual: Mapping[str, Any]
    seats: Seats = field(default_factory=lambda: SEATS)
    styles: tuple[str, ...] = TROUSERS
    finishes: tuple[str, ...] = FINISHES
    unused: tuple[str, ...] = ()
    of_style: Mapping[str, Mapping[str, Any]] = field(default_factory=dict)
    to_sit: Fixed = field(default_factory=lambda: inch(1))
    draw: Draw = draw
    needs: Callable[[Ask], tuple[str, ...]] = needs

    def fitted(self, body: Body, ask: Ask) -> Ask:
        """What is asked, with the depth that fits the measured crotch where that is wanted."""
        return fitted(body, ask, lambda one: self.draw(body, one, self.seats))

    def sums(self, body: Body, ask: Ask) -> Sums:
        """The sums alone; a method of front and back draws nothing for them. Raises CuttingError as `draw`."""
        ask = self.fitted(body, ask)
        if self.draw is draw:
            return work_out(body, ask, self.seats)
        return self.draw(body, ask, self.seats)[0]
