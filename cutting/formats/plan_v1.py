"""The plan file, version 1: a kept plan in words, for a language and a unit."""

from fractions import Fraction
from typing import Any

from cutting.calls import Along, Call, Name
from cutting.drills import by_hand
from cutting.finding import Finding
from cutting.formats.keep import Kept, keep
from cutting.formats.plan_shape import (
    CheckOut,
    FindingOut,
    LayOut,
    LedgerOut,
    MarkOut,
    NeededOut,
    NotionOut,
    NumberOut,
    PanelOut,
    PieceOut,
    PlanOut,
    SeamOut,
    SectionOut,
    SideOut,
    WidthOut,
    YardageOut,
)
from cutting.formats.sewing_v1 import read_sewing, read_ways
from cutting.formats.trees import from_tree, read_params
from cutting.geometry import Point
from cutting.lengths import Length, Unit, show
from cutting.plan import Plan
from cutting.where import Where
from cutting.words import ENGLISH, Language, in_few_terms, with_numbers
from cutting.words.inches import as_taped
from cutting.yardage import Yardage

SIZES = ("depth", "upper", "single")


def to_model(plan: Plan) -> PlanOut:
    """A plan in English, in its job's unit."""
    return read_kept(keep(plan), ENGLISH, plan.job.unit)


def plan_to_wire(plan: Plan) -> dict[str, Any]:
    """The same as plain data."""
    return to_model(plan).model_dump()


def read_kept(kept: Kept, words: Language, unit: Unit) -> PlanOut:
    """A kept plan in words; lengths are shown in `unit`."""
    panels = {(panel["garment"], panel["name"]): panel for panel in kept["panels"]}
    return PlanOut(
        core=kept["core"], unit=unit, fold=kept["fold"],
        numbers={key: _number(key, number, kept, words, unit) for key, number in kept["numbers"].items()},
        fold_needed=_needed(kept["needed"], words, unit),
        panels=[PanelOut(**panel) for panel in kept["panels"]],
        pieces=[_piece(piece, panels, words) for piece in kept["pieces"]],
        marks=[_mark(number, mark, words, unit) for number, mark in enumerate(kept["marks"], 1)],
        ledger=[LedgerOut(**row) for row in kept["ledger"]],
        lay=read_lay(kept["lay"], words, unit) if kept["lay"] is not None else None,
        yardage=_yardage(kept["yardage"], words, unit) if kept["yardage"] is not None else None,
        checks=[_check(check, words, unit) for check in kept["checks"]],
        findings=[_finding(finding, words, unit) for finding in kept["findings"]],
        notions=[
            NotionOut(**notion, name=words.notion_name(notion["code"], notion["panel"])) for notion in kept["notions"]
        ],
        seams=[SeamOut(**seam) for seam in kept["seams"]],
        sewing=read_sewing(kept.get("sewing", []), words, unit),
        ways=read_ways(kept.get("ways", []), words),
    )  # fmt: skip


def read_lay(lay: dict[str, Any], words: Language, unit: Unit) -> LayOut:
    """A kept lay in words."""
    return LayOut(**lay | {"sections": [_section(section, words, unit) for section in lay["sections"]]})


def _mm(value: float) -> float:
    return round(value, 6)


def _needed(needed: dict[str, Any], words: Language, unit: Unit) -> NeededOut:
    depth = from_tree(needed["depth"])
    return NeededOut(
        garment=needed["garment"], panel=needed["panel"], mm=_mm(depth.mm), formula=words.formula(depth, unit)
    )


def _number(key: str, number: dict[str, Any], kept: Kept, words: Language, unit: Unit) -> NumberOut:
    net = from_tree(number["net"])
    cut = from_tree(number["cut"]) if "cut" in number else net
    named = words.formula(net, unit)
    garment = next(name for name in kept["on_cloth"] if key.startswith(f"{name}."))
    spoken = cut if kept["on_cloth"][garment] else net
    return NumberOut(
        net_mm=_mm(net.mm), cut_mm=_mm(cut.mm), formula=named,
        cut_formula=named if cut is net else words.formula(cut, unit),
        with_=with_numbers(spoken, unit), shown=show(spoken.value, unit).text,
        name=words.number_name(key.removeprefix(f"{garment}.")),
    )  # fmt: skip


def _piece(piece: dict[str, Any], panels: dict[tuple[str, str], dict[str, Any]], words: Language) -> PieceOut:
    panel = panels[piece["garment"], piece["panel"]]
    outlines = {"cut": panel["cut"], "net": panel["net"]}
    return PieceOut(**outlines | piece | {"sewn_to": words.sewn_to(tuple(piece["sewn_to"]))})


def _mark(number: int, mark: dict[str, Any], words: Language, unit: Unit) -> MarkOut:
    call = call_from(mark)
    said = words.call_words(call)
    length = call.length if said.start else None
    summed = in_few_terms(length) if length is not None else None
    shown = show(length.value, unit) if length is not None else None
    text = shown.text if shown is not None else ""
    same = (
        "garment", "stage", "panel", "kind", "bends", "inside", "local_mm", "cloth_mm", "path_mm", "placing", "waits",
    )  # fmt: skip
    return MarkOut(
        n=number, code=call.name.code, name=said.name, known=said.known, reason=as_taped(said.reason, unit),
        say=words.call_say(said.name, text, said.start, said.along), from_=said.start, along=said.along,
        formula=words.formula(summed, unit) if summed is not None else "",
        with_=with_numbers(summed, unit) if summed is not None else "",
        shown=text, exact=shown is None or shown.exact, reads_mm=0.0 if call.length is None else _mm(call.length.mm),
        through=[words.chalk_name(call.panel, name) for name in call.through], aside=call.aside,
        by_hand=length is not None and by_hand(length) is not None,
        **{key: mark[key] for key in same},
    )  # fmt: skip


def call_from(mark: dict[str, Any]) -> Call:
    """A kept call."""
    along = mark["along"]
    start, end = (Point(*xy) for xy in mark["local_mm"])
    return Call(
        mark["panel"], mark["stage"], mark["kind"], _name(mark["name"]), end, None if mark["from"] is None else start,
        length=None if mark["length"] is None else from_tree(mark["length"]),
        source=None if mark["from"] is None else _name(mark["from"]),
        along=None if along is None else Along(along[0], tuple(_name(name) for name in along[1])),
        through=tuple(_name(name) for name in mark["through"]), bends=tuple(mark["bends"]), inside=mark["inside"],
        aside=mark.get("aside", False),
        waits=mark["waits"], towards=tuple(mark["towards"]),
        # Up to core 0.19 a stroke had one hollow, which was not always the right one: it is not said any more.
        hollows=tuple(tuple(codes) for codes in mark.get("hollows", ())),
    )  # fmt: skip


def _name(kept: list[Any]) -> Name:
    code, of, nth, panel = kept
    return Name(code, tuple(of), nth, panel)


def _check(check: dict[str, Any], words: Language, unit: Unit) -> CheckOut:
    left, right = (as_taped(label, unit) for label in words.check_labels(check["code"]))
    where = _where(check["where"])
    sizes = {side: show(check[side], unit).text for side in ("left", "right")}
    return CheckOut(
        code=check["code"], where=str(where), garment=where.garment, path=list(where.path),
        left=SideOut(label=left, mm=_mm(check["left"])), right=SideOut(label=right, mm=_mm(check["right"])),
        tolerance_mm=check["tolerance_mm"], ok=check["ok"],
        says=as_taped(words.check_say(check["code"], check["ok"]), unit).format(**sizes),
    )  # fmt: skip


def _where(kept: dict[str, Any]) -> Where:
    return Where(**kept | {"path": tuple(kept.get("path", ()))})


def _finding(kept: dict[str, Any], words: Language, unit: Unit) -> FindingOut:
    where, params = _where(kept["where"]), read_params(kept["params"])
    return FindingOut(
        code=kept["code"], weight=kept["weight"], where=str(where),
        station=where.station, garment=where.plan_garment, outfit=where.outfit,
        words=words.say_finding(Finding(kept["code"], kept["weight"], where, params), unit),
        params={key: _mm(value.mm) if isinstance(value, Length) else value for key, value in params.items()},
    )  # fmt: skip


def _section(section: dict[str, Any], words: Language, unit: Unit) -> SectionOut:
    own = {key: value for key, value in section.items() if key not in ("small", "upper_mm", "single_mm", "prepare")}
    fold = words.say_fold(section["fold"], {size: section[f"{size}_mm"] for size in SIZES}, unit)
    steps = section.get("prepare", [["fold", {}]])
    said = [fold if code == "fold" else words.say_cloth_step(code, sizes, unit) for code, sizes in steps]
    return SectionOut(
        **own, cut=words.section_name(section["part"], section["small"]), name=words.fold_words(section["fold"]).name,
        say=fold, prepare=said,
    )  # fmt: skip


def _yardage(kept: dict[str, Any], words: Language, unit: Unit) -> YardageOut:
    bought = Yardage(
        lay=kept["lay"], shrink=kept["shrink"], trim=kept["trim"], spare=kept["spare"], match=kept["match"],
        sold_in=kept["sold_in"], price=None if kept["price"] is None else Fraction(kept["price"]),
        priced_in=Fraction(kept["priced_in"]),
    )  # fmt: skip
    least = kept.get("least_buy_mm", 0.0)
    return YardageOut(
        length_mm=kept["length_mm"], buy_mm=_mm(bought.buy), least_buy_mm=least,
        can_save=words.can_save(bought, least) if least else "", formula=words.yardage_formula(bought, unit),
        cost=None if bought.cost is None else str(bought.cost), cost_formula=words.cost_formula(bought, unit),
        utilisation=kept["utilisation"], by_width=[WidthOut(**row) for row in kept["by_width"]],
    )  # fmt: skip
