"""Looking for a shorter lay: pieces are squeezed into a little less length, pulled out of one another, made exact.

Only the search child imports this (it needs numba and scipy); the request that makes a plan does not. Never longer than
what it starts from; the same seed gives the same search, however long it may take.
"""

import random
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from functools import cache
from math import exp, log

import numpy as np

from cutting.cloth import Cloth, folded
from cutting.geometry import Point
from cutting.lay.bound import ENOUGH
from cutting.lay.one_pass import one_pass
from cutting.lay.placement import Lay
from cutting.lay.search.compact import compact
from cutting.lay.search.model import Ints, Model
from cutting.lay.search.separate import Board, Rasters, separate
from cutting.lay.variants import Floats, Item, items_for
from cutting.pieces import Piece

SHRINK = log(0.002), log(0.05)
"""The share of the length that a try takes away is between these, as often small as large."""
PASSES, PATIENCE = 200, 50
DIGS = 5
"""A try that leaves an overlap goes on from there so many times, with a piece or two thrown elsewhere."""
FREE = 1, 2
"""Quarters of a cell that pieces may overlap on the raster: it is made exact after. The second forgives a cell, which
pieces that fill the width exactly need."""
AS_IT_IS, ALL_THROWN = 0.2, 0.15
"""How often a try sets out from the best lay as it is, and from pieces thrown all over the cloth."""


@dataclass(frozen=True)
class Step:
    """One try: how many were made, and the lay where it was better than all before. `proved`: none is shorter."""

    tried: int
    lay: Lay | None = None
    proved: bool = False


@dataclass
class _State:
    ways: Ints
    along: Ints
    across: Ints

    def copy(self) -> "_State":
        return _State(self.ways.copy(), self.along.copy(), self.across.copy())


def improve(
    items: Sequence[Item],
    start: Lay,
    least: float,
    seed: int,
    finer: float = 1.0,
    elsewhere: Callable[[], Lay | None] = lambda: None,
) -> Iterator[Step]:
    """Try after try, for ever, or until a lay reaches `least`, the proven bound of its reach in mm.

    `elsewhere` is called between tries and gives the last lay another search found, or None. The same answers give the
    same search.
    """
    search = _Search(Model.of(items, start.table, finer), random.Random(seed))  # noqa: S311  # a search, not a secret
    best = start.reach
    for tried, lay in enumerate(search.tries(start, least, elsewhere), 1):
        better = lay is not None and lay.reach < best - 1e-3
        if better and lay is not None:
            best = lay.reach
        yield Step(tried, lay if better else None, proved=best <= least + ENOUGH)


@cache
def load() -> None:
    """Load the compiled parts into this process, so that what is forked from it has them too."""
    table = folded(Cloth(), "open")
    cut = (Point(0, 0), Point(300, 0), Point(0, 200))
    pieces = [Piece(f"load.{k}", "load", str(k), 1, False, cut, cut) for k in range(2)]
    items = items_for(pieces, table, False)
    start = one_pass(items, table)
    assert start is not None
    for _ in zip(range(3), improve(items, start, 0, 1), strict=False):
        pass


class _Search:
    def __init__(self, model: Model, chance: random.Random):
        self.model, self.chance = model, chance
        flat, _ = model.depths
        forgiving = [np.where(flat > quarters, flat, np.uint8(0)) for quarters in FREE]
        self.rasters = [Rasters(depths, *model.sieved(depths)) for depths in forgiving]

    def tries(self, start: Lay, least: float, elsewhere: Callable[[], Lay | None]) -> Iterator[Lay | None]:
        """Each lay it comes to; None where a try led to none."""
        best, reach = self._tight(start) or (self._read(start), start.reach)
        yield self.lay
        while True:
            other = elsewhere()
            if other is not None and other.reach < reach - 1e-3:
                best, reach = self._tight(other) or (best, reach)
            begin, digs = self._begin(best, reach), DIGS
            share = exp(self.chance.uniform(*SHRINK))
            while True:
                target = max(least, reach * (1 - share))
                trial, apart = self._pulled_apart(begin, target)
                found = self._exact(trial, self.model.corners(trial.ways, trial.along, trial.across)) if apart else None
                if found is not None and found[1] < reach - 1e-3:
                    yield self.lay
                    best, reach = found
                    begin, digs = best, DIGS
                    continue
                yield None
                if apart or digs == 0:
                    break
                begin, digs = self._thrown(trial, target, self.chance.randint(1, 2)), digs - 1

    def _pulled_apart(self, state: _State, target: float) -> tuple[_State, bool]:
        """The state with as little overlap as it comes to on cloth of that reach, and whether that is none."""
        model, trial = self.model, state.copy()
        board = Board(
            model.first_way, model.way_table, model.cells, model.depths[1], model.halves, model.least_along,
            model.most_along(target),
        )  # fmt: skip
        apart = separate(
            trial.ways, trial.along, trial.across, board, self.chance.choice(self.rasters), PASSES, PATIENCE,
            self.chance.randrange(1 << 30),
        )  # fmt: skip
        return trial, apart

    def _tight(self, lay: Lay) -> tuple[_State, float] | None:
        """A lay that was found elsewhere, made exact; None where that makes it no shorter."""
        made = self._exact(self._read(lay), self.model.corners_of(lay))
        return made if made is not None and made[1] <= lay.reach + 1e-6 else None

    def _exact(self, state: _State, corners: Floats) -> tuple[_State, float] | None:
        model = self.model
        solved = compact(model, state.ways, corners)
        self.lay: Lay | None = None
        if solved is None:
            return None
        self.lay = model.lay(state.ways, solved[0])
        return _State(state.ways, *model.cells_at(state.ways, solved[0])), solved[1]

    def _begin(self, best: _State, reach: float) -> _State:
        """Where a try sets out from: the best, the best with some pieces thrown about, or all of them thrown."""
        n = len(best.ways)
        kind = self.chance.random()
        if kind < AS_IT_IS:
            return best
        return self._thrown(best, reach, n if kind > 1 - ALL_THROWN else self.chance.randint(1, max(1, min(n, 4))))

    def _thrown(self, state: _State, reach: float, count: int) -> _State:
        """The state with so many of its pieces anywhere on cloth of that reach, placed in any way."""
        model, state = self.model, state.copy()
        most = model.most_along(reach)
        for i in self.chance.sample(range(len(state.ways)), min(count, len(state.ways))):
            way = self.chance.randrange(int(model.first_way[i]), int(model.first_way[i + 1]))
            state.ways[i] = way
            least = int(model.least_along[way])
            state.along[i] = self.chance.randint(least, max(least, int(most[way])))
            low, high = int(model.way_table[way, 4]), int(model.way_table[way, 5])
            state.across[i] = self.chance.randint(low, high)
        return state

    def _read(self, lay: Lay) -> _State:
        return _State(*self.model.places(lay))
