"""How folded cloth is on the table: which layers there are, where they are, where the folds are."""

from collections.abc import Callable
from dataclasses import dataclass

from cutting.cloth.cloth import Cloth

Fold = str
"""A fold by its code: a key of FOLDS."""
NEAR = 1e-9


@dataclass(frozen=True)
class Layer:
    """One layer, counted from the top: from where to where it is across the table, in mm.

    `face_down` where its other face is up: what is cut from it comes out mirrored.
    """

    number: int
    start: float
    end: float
    face_down: bool


@dataclass(frozen=True)
class Doubling:
    """Layers that a piece can be cut through at once; `fold` is where a fold joins them in pairs, None where none does.

    `apart` where other cloth is between them: only a piece on the fold is cut so, before or after the rest is lifted.
    """

    layers: tuple[int, ...]
    fold: float | None
    apart: bool = False


@dataclass(frozen=True)
class Folded:
    """A fold on cloth of one width, all in mm.

    `depth` is how far the layers reach across the table: away from the fold, on open cloth from one selvedge. Where the
    fold itself runs across the cloth (`crosswise`), it is the width: the table's length then begins at the fold.
    `times` is how many lengths of cloth are in one length of the table.
    """

    fold: Fold
    depth: float
    layers: tuple[Layer, ...]
    doublings: tuple[Doubling, ...] = ()
    times: int = 1
    crosswise: bool = False

    def room(self, layers: tuple[int, ...], size: float) -> tuple[float, float] | None:
        """The least and greatest place across the table of something `size` deep cut through these layers."""
        through = [layer for layer in self.layers if layer.number in layers]
        low, high = max(layer.start for layer in through), min(layer.end for layer in through) - size
        return (low, max(low, high)) if high >= low - NEAR else None

    @property
    def surface(self) -> float:
        """Square mm of cloth in one mm of the table's length."""
        return sum(layer.end - layer.start for layer in self.layers)

    @property
    def deepest(self) -> float:
        """How deep a piece may be that is cut through one layer."""
        return max(layer.end - layer.start for layer in self.layers)

    @property
    def double_depth(self) -> float:
        """How deep a piece may be that is cut through two layers at once."""
        ends = [
            min(layer.end - layer.start for layer in self.layers if layer.number in d.layers) for d in self.doublings
        ]
        return max(ends, default=self.depth)


def _stack(*ends: tuple[float, float]) -> tuple[Layer, ...]:
    """Layers from the top; the lowest is face up, and they turn about one after the other."""
    count = len(ends)
    return tuple(Layer(k + 1, start, end, (count - 1 - k) % 2 == 1) for k, (start, end) in enumerate(ends))


def folded(cloth: Cloth, fold: Fold, needed: float = 0.0) -> Folded:
    """The cloth folded so. `needed` is how deep the widest pair is, in mm: a partial fold is made that deep.

    Raises nothing: a fold that is too shallow is found when pieces are laid on it.
    """
    return _FOLDED[fold](fold, cloth.usable, needed)


def _centre(fold: Fold, width: float, _: float) -> Folded:
    half = width / 2
    return Folded(fold, half, _stack((0, half), (0, half)), (Doubling((1, 2), 0.0),))


def _open(fold: Fold, width: float, _: float) -> Folded:
    return Folded(fold, width, _stack((0, width)))


def _partial(fold: Fold, width: float, needed: float) -> Folded:
    deep = min(needed, width / 2)
    return Folded(fold, width - deep, _stack((0, deep), (0, width - deep)), (Doubling((1, 2), 0.0),))


def _to_middle(fold: Fold, width: float, _: float) -> Folded:
    half, quarter = width / 2, width / 4
    three = Layer(1, 0, quarter, True), Layer(2, quarter, half, True), Layer(3, 0, half, False)
    return Folded(fold, half, three, (Doubling((1, 3), 0.0), Doubling((2, 3), half)))


def _crosswise(fold: Fold, width: float, _: float) -> Folded:
    return Folded(fold, width, _stack((0, width), (0, width)), (Doubling((1, 2), 0.0),), times=2, crosswise=True)


def _twice(fold: Fold, width: float, _: float) -> Folded:
    """Crosswise first, then lengthwise: the fold joins the two middle layers, and the outer two around them."""
    half = width / 2
    layers = _stack((0, half), (0, half), (0, half), (0, half))
    four = (
        Doubling((1, 2, 3, 4), 0.0), Doubling((2, 3), 0.0, apart=True), Doubling((1, 4), 0.0, apart=True),
        Doubling((1, 2), None), Doubling((3, 4), None),
    )  # fmt: skip
    return Folded(fold, half, layers, four, times=2)


_FOLDED: dict[Fold, Callable[[Fold, float, float], Folded]] = {
    "lengthwise-centre": _centre, "open": _open, "lengthwise-partial": _partial, "selvedges-to-middle": _to_middle,
    "crosswise": _crosswise, "folded-twice": _twice,
}  # fmt: skip
FOLDS = _FOLDED.keys()
"""Every fold, in the order they are offered. Another one is a function, its line above, and its words."""
USUAL_FOLDS: tuple[Fold, ...] = ("lengthwise-centre", "open")
"""What is tried where nobody chose a fold: folded before open."""
SECTION_FOLDS: tuple[Fold, ...] = ("lengthwise-centre", "lengthwise-partial", "selvedges-to-middle", "open")
"""What is tried for each section of cloth that is folded anew: the grain always runs along the cloth."""
