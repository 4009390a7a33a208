"""Every number of the file format, each with its net and its cut sum."""

from collections.abc import Callable

from cutting.drafting import Step
from cutting.garments.number import Number, Numbers
from cutting.garments.part import Part
from cutting.garments.waists import elastic_length
from cutting.geometry import Path, Point, beyond, crossings
from cutting.lengths import Length, found, inch, mm, named
from cutting.methods import Ask
from cutting.methods.sums import Sums
from cutting.pieces import Panel, read_tape


def numbers_of(
    panels: dict[str, Panel], legs: dict[str, Panel], parts: list[Part], sums: Sums, ask: Ask, thigh: Length | None
) -> Numbers:
    """By key, without the garment's id; `panels` as they are drafted, `legs` as they are cut."""
    one_piece = "leg" in panels
    back = panels["leg" if one_piece else "back"]
    numbers = _levels(panels["leg" if one_piece else "front"], sums, ask)
    for name in ("front", "back"):
        numbers |= _half(name, back, sums) if one_piece else _panel(panels[name], panels, sums, ask, back.lengths)

    def same(key: str, length: Length) -> None:
        numbers[key] = Number(length, length)

    same("front.centre_drop", sums.drop)
    same("front.side_raise", ask.side_raise)
    same("back.side_raise", back.lengths["side_raise"])
    same("back.crotch_tip", sums.tip)
    same("back.tip_drop", back.lengths["tip_drop"])
    same("back.seat_raise", sums.lift)
    same("back.centre_slant", sums.slant)
    numbers |= _crotch_seams(legs, parts, ask)
    numbers |= _bands(parts, ask)
    elastic = elastic_length(ask, sums)
    if elastic is not None:
        same("elastic.length", elastic)
    if ask.elastic_all_round or ask.waist_finish == "half-elastic":
        same("waist.opening", sums.opening)
    widest = max(legs.values(), key=lambda p: _across(p.cut))
    halved = sums.leg_on_fold and widest.edges["back_crotch"].wide is None
    need = found(_across(beyond(widest.cut, 0.0) if halved else widest.cut), f"widest_{widest.name}")
    part = max((part.piece(on_fold=True).width for part in parts), default=0.0)
    same("fold.needed", need if need.mm >= part else found(part, "widest_part"))
    if sums.hip is not None:
        same("fold.quick_rule", sums.hip / 4 + inch(4))
        same("fold.quick_half", sums.hip / 2)
    if thigh is not None:
        same("fold.quick_thigh", thigh / 2 + inch(2))
        same("fold.quick_thigh_back", thigh / 2 + inch(5))
    return numbers


def _crotch_seams(legs: dict[str, Panel], parts: list[Part], ask: Ask) -> Numbers:
    """Round the crotch as it is sewn, from waist to waist: the legs' seams, strips cut off them, the finished band."""
    found_: Numbers = {}
    total_: Length = mm(0)
    for name, edge in (("front", "crotch"), ("back", "back_crotch" if "leg" in legs else "crotch")):
        sewn = legs["leg" if "leg" in legs else name].edges[edge].path.length
        strips = {f"{name}-band", *(["yoke"] if name == "back" else [])}
        cut = [part.panel.edges for part in parts if part.panel.name in strips and "lower" in part.panel.edges]
        size: Length = found(sewn + sum(edges["centre"].path.length for edges in cut), "on_the_draft")
        size = size + ask.finished_above if ask.finished_above else size
        found_[f"{name}.crotch_seam"] = Number(size, size)
        total_ = total_ + size
    return found_ | {"crotch_seam": Number(total_, total_)}


def _levels(front: Panel, sums: Sums, ask: Ask) -> Numbers:
    waist, hem = front.edges["waist"].allowance, front.edges["hem"].allowance
    waist = named(waist, _waist_label(ask))
    cut_on = ask.turn_up is not None and ask.turn_up_strip == "cut-on"
    hem = named(ask.turn_up, "turn_up") * 2 if cut_on and ask.turn_up is not None else named(hem, "hem")
    top = sums.top
    numbers: Numbers = {}
    levels = ["crotch_depth", "hip_depth", "thigh_depth"]
    if "K" in front.points:
        levels += ["knee_depth", "ankle_depth"]
    for key in levels:
        depth: Length = getattr(sums, key)
        numbers[key] = Number(depth, depth - top + waist)
    length = sums.length + named(ask.band_depth, "band") if ask.band == "on-top" else sums.length
    numbers["length"] = Number(length, sums.length - top + waist + hem)
    cut_length = sums.length - top + named(ask.side_raise, "side_raise") + waist + hem
    numbers["cut_length"] = Number(cut_length, cut_length)
    return numbers


def _waist_label(ask: Ask) -> str:
    return {"casing": "casing", "paper-bag": "heading"}.get(ask.waist_finish, "allowance.waist")


def _half(name: str, leg: Panel, sums: Sums) -> Numbers:
    """Front or back of a leg in one piece: from its guide line outwards."""
    front = name == "front"
    edge, sign = ("", 1) if front else ("back_", -1)
    hip, waist, out = (
        (sums.front_hip, sums.front_waist, sums.extension)
        if front
        else (sums.back_hip, sums.back_waist, sums.back_extension)
    )
    seam = leg.edges[f"{edge}crotch"].allowance_at(0.0 if front else leg.edges["back_crotch"].path.length)
    numbers = {
        f"{name}.hip_width": Number(hip, hip + named(seam, "allowance.centre")),
        f"{name}.waist_width": Number(waist, waist + named(seam, "allowance.centre")),
        f"{name}.crotch_extension": Number(out, out),
    }
    inner = leg.edges[f"{edge}inner_leg"]
    tip = leg.points["X" if front or "XB" not in leg.points else "XB"]
    reach = found(abs(tip.across), "on_the_draft") if sums.leg_on_fold else hip + out
    numbers[f"{name}.crotch_width"] = Number(reach, reach + named(inner.allowance, "allowance.inner_leg"))
    levels = (
        ("thigh", sums.thigh_depth.mm - sums.top.mm),
        ("hem", inner.path.end.down if front else inner.path.start.down),
    )
    for level, down in levels:
        hits = [hit.at for hit in crossings(inner.path.flat(), Point(0, down), Point(sign, 0), extend=True)]
        wide = found(hits[0], "on_the_draft")
        numbers[f"{name}.{level}_width"] = Number(wide, wide + named(inner.allowance, "allowance.inner_leg"))
    diagonal = leg.lengths["diagonal" if front else "back_diagonal"]
    numbers[f"{name}.curve_diagonal"] = Number(diagonal, diagonal)
    return numbers


def _panel(panel: Panel, panels: dict[str, Panel], sums: Sums, ask: Ask, lengths: dict[str, Length]) -> Numbers:
    name = panel.name
    is_front = name == "front"
    on_crotch_line = sums.front_hip if is_front else sums.back_on_crotch_line
    extension = sums.extension if is_front else sums.back_extension
    darts = sums.front_darts if is_front else sums.back_darts
    steps = {step.code: step for step in panel.steps}
    numbers: Numbers = {}
    numbers[f"{name}.hip_width"] = Number(steps["hip_width"].length, read_tape(steps["hip_width"], panels).length)
    # The waist's number is its seam; its call is laid straight, less what the seam's bends are longer.
    seam, call = sums.front_waist if is_front else sums.back_waist, steps["waist_width"]
    laid = read_tape(call, panels).length
    bends = seam.mm - call.length.mm
    cut = laid + found(bends, "waist_bends") if bends > 0.01 else laid
    numbers[f"{name}.waist_width"] = Number(seam, cut)
    numbers[f"{name}.crotch_extension"] = Number(extension, extension)
    numbers[f"{name}.crotch_width"] = _crotch_width(panel, panels, on_crotch_line + extension)
    share = -1 if is_front else 1
    levels = [("thigh", sums.thigh_depth, None), ("hem", sums.length, sums.hem_round)]
    if "K" in panel.points:
        levels.append(("knee", sums.knee_depth, sums.knee_round))
    for level, depth, whole in levels:
        net = (whole + named(ask.wider, "back_wider") * share) / 2 if whole is not None else None
        down = sums.level(depth, ask).mm
        numbers[f"{name}.{level}_width"] = _level_width(panel, panels, level, down, net, lengths)
    for key, length in (
        ("crease", sums.crotch_width / 2), ("curve_diagonal", panel.lengths["diagonal"]), ("dart_intake", darts.all),
        ("dart_length", panel.lengths.get("dart_length", mm(0))),
        ("dart_place", panel.lengths.get("dart_place", mm(0))),
    ):  # fmt: skip
        numbers[f"{name}.{key}"] = Number(length, length)
    return numbers


def _bands(parts: list[Part], ask: Ask) -> Numbers:
    numbers: Numbers = {}
    for part in parts:
        name, lengths = part.panel.name, part.panel.lengths
        if "depth" in lengths:
            numbers[f"{name}.finished_depth"] = Number(lengths["depth"], lengths["depth"])
        elif name in ("band", "front-band", "back-band"):
            net = lengths["round"] + lengths["overlap"]
            numbers[f"{name}.cut_length"] = Number(net, lengths["cut_length"])
            folded = named(ask.band_depth, "band_finished") * 2
            numbers[f"{name}.cut_depth"] = Number(folded, lengths["cut_depth"])
            numbers[f"{name}.finished_depth"] = Number(ask.band_depth, ask.band_depth)
        elif "cut_length" in lengths:
            for key in ("cut_length", "cut_depth"):
                numbers[f"{name}.{key}"] = Number(lengths[key], lengths[key])
    return numbers


def _across(points: list[Point]) -> float:
    return max(p.across for p in points) - min(p.across for p in points)


def _crotch_width(panel: Panel, panels: dict[str, Panel], net: Length) -> Number:
    """From the side to the crotch point, at the crotch line."""
    down = panel.points["C1"].down
    tip = panel.points["X"].across
    step = Step(
        panel.name, "", "", Point(tip - net.mm, down), Point(tip, down), net, "", "", "side",
        "inner_leg" if panel.name == "front" else ("crotch", "inner_leg"),
    )  # fmt: skip
    return Number(net, read_tape(step, panels).length)


def _level_width(
    panel: Panel, panels: dict[str, Panel], level: str, down: float, net: Length | None, lengths: dict[str, Length]
) -> Number:
    """From the side to the inner leg at a level of the leg."""

    def reach(edge: str, pick: Callable[[list[float]], float]) -> float:
        path: Path = panel.edges[edge].path
        hits = [hit.at for hit in crossings(path.flat(), Point(0, down), Point(1, 0), extend=True)]
        return pick(hits)

    left, right = reach("side", min), reach("inner_leg", max)
    if net is None:
        length: Length = found(right - left, "on_the_draft")
    else:
        length = net
        if panel.name == "back" and lengths["hem_widened"].mm > 0.2:
            length = net + lengths["hem_widened"]
    step = Step(panel.name, "", "", Point(left, down), Point(right, down), length, "", "", "side", "inner_leg")
    return Number(length, read_tape(step, panels).length)
