"""How folded cloth lies on the table: which layers there are, where they lie, where the folds are."""

from dataclasses import dataclass

from cutting.cloth.cloth import Cloth, Fold

NEAR = 1e-9


@dataclass(frozen=True)
class Layer:
    """One layer, counted from the top: from where to where it lies across the table, in mm.

    `face_down` where its other face is up: what is cut from it comes out mirrored.
    """

    number: int
    start: float
    end: float
    face_down: bool


@dataclass(frozen=True)
class Doubling:
    """Layers that a piece can be cut through at once; `fold` is where a fold joins them in pairs, None where none does.

    `apart` where other cloth lies between them: only a piece on the fold is cut so, before or after the rest is lifted.
    """

    layers: tuple[int, ...]
    fold: float | None
    apart: bool = False


@dataclass(frozen=True)
class Folded:
    """A fold on cloth of one width, all in mm.

    `depth` is how far the layers reach across the table: away from the fold, on open cloth from one selvedge. Where the
    fold itself runs across the cloth (`crosswise`), it is the width: the table's length then begins at the fold.
    `times` is how many lengths of cloth lie in one length of the table.
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
    width = cloth.usable
    half = width / 2
    if fold == "lengthwise-centre":
        return Folded(fold, half, _stack((0, half), (0, half)), (Doubling((1, 2), 0.0),))
    if fold == "lengthwise-partial":
        deep = min(needed, half)
        return Folded(fold, width - deep, _stack((0, deep), (0, width - deep)), (Doubling((1, 2), 0.0),))
    if fold == "selvedges-to-middle":
        quarter = half / 2
        three = Layer(1, 0, quarter, True), Layer(2, quarter, half, True), Layer(3, 0, half, False)
        return Folded(fold, half, three, (Doubling((1, 3), 0.0), Doubling((2, 3), half)))
    if fold == "crosswise":
        return Folded(fold, width, _stack((0, width), (0, width)), (Doubling((1, 2), 0.0),), times=2, crosswise=True)
    if fold == "folded-twice":
        layers = _stack((0, half), (0, half), (0, half), (0, half))
        # Crosswise first, then lengthwise: the fold joins the two middle layers, and the outer two around them.
        four = (
            Doubling((1, 2, 3, 4), 0.0), Doubling((2, 3), 0.0, apart=True), Doubling((1, 4), 0.0, apart=True),
            Doubling((1, 2), None), Doubling((3, 4), None),
        )  # fmt: skip
        return Folded(fold, half, layers, four, times=2)
    return Folded("open", width, _stack((0, width)))
