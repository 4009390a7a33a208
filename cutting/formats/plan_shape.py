"""The shape of the plan file, version 1."""

from typing import Any, Literal

from pydantic import BaseModel, ConfigDict, Field

from cutting.drawing import PieceRole
from cutting.formats.sewing_shape import AssemblyOut, OperationOut
from cutting.formats.wire import Wire
from cutting.lay.bound import ENOUGH
from cutting.lengths import Unit
from cutting.plan import CORE
from cutting.where import Station

XY = tuple[float, float]


class NumberOut(Wire):
    net_mm: float
    cut_mm: float
    formula: str
    cut_formula: str
    with_: str = Field(alias="with")
    shown: str
    name: str = ""


class EdgeOut(BaseModel):
    name: str
    length_mm: float
    allowance_mm: float
    sewn_to: str
    zip_allowance_mm: float | None = None
    zip_reach_mm: float | None = None


class DartOut(BaseModel):
    near: XY
    far: XY
    tip: XY
    intake_mm: float
    length_mm: float


class PanelOut(BaseModel):
    garment: str
    name: str
    points: dict[str, XY]
    net: list[XY]
    cut: list[XY]
    segments: list[dict[str, Any]]
    edges: list[EdgeOut]
    darts: list[DartOut]
    lines: dict[str, list[XY]] = {}


class NotchOut(BaseModel):
    edge: str
    code: str
    net: XY
    cut: XY


class StrokeOut(BaseModel):
    """A stroke of a drawing: what it is, and its SVG path data in mm of the draft frame."""

    role: PieceRole
    d: str


class SeamWidthOut(BaseModel):
    """How wide a seam is and where that is written on the piece: halfway along a line turned clockwise, in degrees."""

    mm: float
    at: XY
    angle: float


class PieceOut(BaseModel):
    """A piece to cut. `strokes` is its whole drawing; `layers` how many it is cut through at once."""

    id: str
    garment: str
    panel: str
    count: int
    pair: bool
    on_fold: bool
    layers: int
    grain: tuple[XY, XY]
    notches: list[NotchOut]
    cut: list[XY]
    net: list[XY]
    interfacing: bool
    lines: dict[str, list[XY]] = {}
    sewn_to: str = ""
    strokes: list[StrokeOut] = []
    seam_widths: list[SeamWidthOut] = []


class MarkOut(Wire):
    """A call. `by_hand` where its number can be worked out from the measures alone."""

    n: int
    garment: str
    stage: str
    panel: str
    kind: Literal["line", "point", "meet", "join", "curve", "notch", "slit", "write"] = "point"
    code: str
    name: str
    known: str = ""
    say: str
    from_: str = Field(alias="from")
    along: str
    formula: str
    with_: str = Field(alias="with")
    shown: str
    exact: bool
    reads_mm: float
    reason: str
    local_mm: tuple[XY, XY]
    cloth_mm: tuple[XY, XY] | None
    through: list[str] = []
    bends: list[bool] = []
    inside: bool = False
    aside: bool = False
    path_mm: list[XY] = []
    placing: int | None
    waits: str
    by_hand: bool = False


class LedgerOut(BaseModel):
    garment: str
    level: str
    kind: Literal["driven", "resulting"]
    body_mm: float | None
    ease_mm: float
    darts_mm: float
    gathers_mm: float
    seams_mm: float
    cut_mm: float
    sewn_mm: float
    closes: bool


class SideOut(BaseModel):
    label: str
    mm: float


class CheckOut(BaseModel):
    code: str
    where: str
    left: SideOut
    right: SideOut
    tolerance_mm: float
    ok: bool
    says: str
    garment: str = ""
    path: list[str] = []


class FindingOut(BaseModel):
    code: str
    weight: Literal["stop", "warn", "note"]
    where: str
    words: str
    params: dict[str, Any]
    station: Station = ""
    garment: str = ""
    outfit: str = ""


class PlacementOut(BaseModel):
    """Where a piece is; `under` where another layer is over a part of it that it is not cut through."""

    piece: str
    copies: int
    layers: list[int]
    section: int
    x_mm: float
    y_mm: float
    turned: bool
    mirrored: bool
    under: bool = False


class LayerOut(BaseModel):
    """One layer, counted from the top: where it is across the table; 1 and so on as in placements."""

    number: int
    from_mm: float
    to_mm: float


class BoundStepOut(BaseModel):
    """A step of the proof that no lay of a section is shorter, in mm along its table: `bound_mm` is their sum
    as many times as there are lengths of cloth on one length of it.

    `whole`: the longest piece; `surface`: all pieces over the full width; `pinned`: the far end of one that stays;
    `counted`: no order along the table of all that has to be side by side is shorter;
    `half` of the first and the last of some that block one another; `apart`: from the middle of a piece to the other's.
    """

    kind: Literal["whole", "surface", "pinned", "counted", "half", "apart"]
    mm: float
    piece: str = ""
    other: str = ""


class SectionOut(BaseModel):
    """Cloth folded one way: `extent_mm` by `depth_mm` on the table, of the cloth `from_mm` to `to_mm`.

    `counted` where there are few enough pieces to work out how near the best a lay is.
    `part` is what is cut from it: front, back, rest; all where the whole cloth is folded in one way. Places in it are
    measured from its own cut end.
    `prepare` is what is done before its first call, in order; `say` of it how it is folded.
    `folds_mm` are the depths at which folds are; empty where the fold runs across the cloth, at the beginning, or there
    is none.
    """

    part: str
    cut: str
    fold: str
    crosswise: bool = False
    name: str
    say: str
    prepare: list[str] = []
    depth_mm: float
    extent_mm: float
    from_mm: float
    to_mm: float
    bound_mm: float
    bound_steps: list[BoundStepOut]
    counted: bool = True
    layers: list[LayerOut]
    folds_mm: list[float]


class OffcutOut(BaseModel):
    """A rectangle of cloth that is left over, in its section's frame, free in so many layers."""

    section: int
    x_mm: float
    y_mm: float
    along_mm: float
    across_mm: float
    layers: int


class LayOut(BaseModel):
    """A lay; `repeat_mm` is the length of the cloth's stripe, check or print, 0 where there is none. A lay that is no
    more than `proof_off_mm` over its bound is the shortest there is: so much a proof leaves off.
    """

    sections: list[SectionOut]
    placements: list[PlacementOut]
    length_mm: float
    bound_mm: float
    proof_off_mm: float = ENOUGH
    habit_mm: float | None
    one_pass_mm: float | None
    open_mm: float | None
    one_fold_mm: float | None
    repeat_mm: float
    offcuts: list[OffcutOut]


class WidthOut(BaseModel):
    width_mm: float
    fold: str
    length_mm: float | None
    buy_mm: float | None


class YardageOut(BaseModel):
    """Cloth to buy; `least_buy_mm` is what even the shortest lay there can be would need, as far as that is proved, 0
    where it is not known; `can_save` says what that comes to.
    """

    length_mm: float
    buy_mm: float
    least_buy_mm: float = 0.0
    can_save: str = ""
    cost: str | None
    cost_formula: str
    formula: str
    utilisation: float
    by_width: list[WidthOut]


class NotionOut(BaseModel):
    garment: str
    name: str
    count: int
    length_mm: float | None
    width_mm: float | None = None
    code: str = ""
    panel: str = ""


class SeamEdgeOut(BaseModel):
    """A place that is sewn: an edge of a panel with its length and allowance, or a line in it, or the panel itself."""

    panel: str
    edge: str
    side: Literal[0, 1]
    length_mm: float | None
    allowance_mm: float | None


class SeamOut(BaseModel):
    """Edges of side 0 that are sewn to those of side 1, so many times in the garment."""

    garment: str
    code: str
    count: int
    edges: list[SeamEdgeOut]


class NeededOut(BaseModel):
    """How deep one layer has to be, and for which panel of which garment."""

    garment: str
    panel: str
    mm: float
    formula: str


class PlanOut(BaseModel):
    """The file `plavet-plan`, version 1."""

    model_config = ConfigDict(json_schema_serialization_defaults_required=True)

    format: Literal["plavet-plan"] = "plavet-plan"
    version: Literal[1] = 1
    core: str = CORE
    unit: Unit
    fold: str
    fold_needed: NeededOut
    numbers: dict[str, NumberOut]
    panels: list[PanelOut]
    pieces: list[PieceOut]
    marks: list[MarkOut]
    ledger: list[LedgerOut]
    lay: LayOut | None
    yardage: YardageOut | None
    checks: list[CheckOut]
    findings: list[FindingOut]
    notions: list[NotionOut]
    seams: list[SeamOut] = []
    sewing: list[OperationOut] = []
    ways: list[AssemblyOut] = []
