"""Looking for a shorter lay: a plain loop over orders and ways of lying; never longer than what it starts from.

Only the search child imports this; the request that makes a plan does not.
"""

import random
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from itertools import permutations, product

from cutting.lay.one_pass import fit
from cutting.lay.placement import Lay
from cutting.lay.variants import Item

MOST_EXACT = 4000
"""Up to so many orders and ways are all tried; beyond, they are drawn by chance."""


@dataclass(frozen=True)
class Step:
    """How far the search has come; `lay` where this try was better than all before."""

    tried: int
    to_try: int
    lay: Lay | None


def _tries(items: Sequence[Item], chance: random.Random) -> tuple[int, Iterator[tuple[list[Item], list[int]]]]:
    orders = 1
    for k in range(2, len(items) + 1):
        orders *= k
    ways = 1
    for item in items:
        ways *= len(item.variants)
    if orders * ways <= MOST_EXACT:
        plain = product(permutations(items), product(*(range(len(item.variants)) for item in items)))
        named = (
            (list(order), [ways_[items.index(item)] for item in order]) for order, ways_ in plain
        )  # the way belongs to the item, not to its turn
        return orders * ways, named

    def drawn() -> Iterator[tuple[list[Item], list[int]]]:
        for _ in range(MOST_EXACT):
            order = sorted(items, key=lambda item: -item.area * chance.uniform(0.4, 1))
            yield order, [chance.randrange(len(item.variants)) for item in order]

    return MOST_EXACT, drawn()


def improve(items: Sequence[Item], fold: str, depth: float, start: float, seed: int) -> Iterator[Step]:
    """Try orders and ways one after the other; deterministic under `seed`. `start` is the length to beat, in mm."""
    to_try, tries = _tries(items, random.Random(seed))  # noqa: S311  # a search, not a secret
    best = start
    for tried, (order, ways) in enumerate(tries, 1):
        lay = fit(order, fold, depth, ways)
        better = lay is not None and lay.length < best - 0.01
        if better and lay is not None:
            best = lay.length
        yield Step(tried, to_try, lay if better else None)
