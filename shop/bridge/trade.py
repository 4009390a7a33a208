"""What there is to choose from and what it is called: the page keeps no list of its own."""

from pydantic import BaseModel

from cutting.body import SESSIONS, session_for
from cutting.cloth import CLOTHS, FOLDS, PARTS, THICKNESSES, Cloth, folded
from cutting.kinds import KINDS, PAIRS, GarmentKind, Pair
from shop.bridge.words import words


class NamedOut(BaseModel):
    key: str
    name: str


class StyleOut(NamedOut):
    """A style, the methods that make it, and the one it is drafted by where none is chosen."""

    methods: list[str]
    first: str


class KindOut(NamedOut):
    """A kind of garment with its styles; `half` is what one is called, `start` the style one starts from."""

    half: str
    start: str
    styles: list[StyleOut]


class PairOut(NamedOut):
    """A style of two halves, each by its kind, the upper first, with the style it starts from.

    `left_out` are the choices that the seam makes for each half, `of_seam` those that only a half has.
    """

    halves: dict[str, str]
    left_out: dict[str, list[str]]
    of_seam: list[str]


class MethodOut(NamedOut):
    """A method, how it goes about it, and the choices it does not read."""

    kind: str
    says: str
    unused: list[str]


class FoldOut(NamedOut):
    """A fold: what it is good for, what is opposite the fold, what its depth is made of; how many lengths of cloth are
    on one length of the table, and whether the fold runs across the cloth.
    """

    says: str
    edge: str
    depth: str
    layers: int
    times: int
    crosswise: bool


class TradeOut(BaseModel):
    """Every list there is, in the order it is offered."""

    kinds: list[KindOut]
    pairs: list[PairOut]
    methods: list[MethodOut]
    folds: list[FoldOut]
    sections: list[NamedOut]
    cloths: list[NamedOut]
    thicknesses: list[NamedOut]
    sessions: list[str]


def trade() -> TradeOut:
    """All of it, in words."""
    say = words()
    return TradeOut(
        kinds=[_kind(kind) for kind in KINDS.values()],
        pairs=[_pair(style, pair) for style, pair in PAIRS.items()],
        methods=[
            MethodOut(
                key=method, name=say.method_words(method).name, says=say.method_words(method).says, kind=kind.name,
                unused=list(kind.unused(method)),
            )
            for kind in KINDS.values() for method in kind.methods
        ],
        folds=[_fold(fold) for fold in (*FOLDS, "sections")],
        sections=[NamedOut(key=part, name=say.section_name(part, False)) for part in PARTS],
        cloths=[NamedOut(key=kind, name=say.cloth_name(kind)) for kind in CLOTHS],
        thicknesses=[NamedOut(key=one, name=say.thickness_name(one)) for one in THICKNESSES],
        sessions=list(SESSIONS),
    )  # fmt: skip


def _kind(kind: GarmentKind) -> KindOut:
    say = words()
    styles = [
        StyleOut(key=style, name=say.style_name(style), methods=kind.methods_for(style), first=kind.first_method(style))
        for style in kind.styles
    ]
    return KindOut(
        key=kind.name, name=say.kind_name(kind.name), half=say.half_name(kind.name), start=kind.start, styles=styles
    )


def _pair(style: str, pair: Pair) -> PairOut:
    left_out = {kind: list(keys) for kind, keys in pair.left_out.items()}
    return PairOut(
        key=style, name=words().style_name(style), halves=dict(pair.halves), left_out=left_out,
        of_seam=list(pair.of_seam),
    )  # fmt: skip


def _fold(fold: str) -> FoldOut:
    named = words().fold_words(fold)
    table = folded(Cloth(), fold) if fold in FOLDS else None
    return FoldOut(
        key=fold, name=named.name, says=named.says, edge=named.edge, depth=named.depth,
        layers=len(table.layers) if table else 0, times=table.times if table else 1,
        crosswise=table.crosswise if table else False,
    )  # fmt: skip


def session_of(styles: list[str]) -> str:
    """Which session of the tape the garments of these styles ask for."""
    kinds = [half for style in styles if style in PAIRS for half in PAIRS[style].halves]
    kinds += [kind.name for style in styles for kind in KINDS.values() if style in kind.styles]
    return session_for(set(kinds), joined=any(style in PAIRS for style in styles))
