"""Every number of a top in the file format, each with its net and its cut sum."""

from cutting.garments.number import Number, Numbers
from cutting.garments.part import Part
from cutting.lengths import Length, found, inch, mm, named
from cutting.methods.upper import DraftedTop, TopAsk
from cutting.methods.upper.sleeve import CUFF_SEAM
from cutting.pieces import Panel, read_tape

BOTH = ("front", "back")


def top_numbers(panels: dict[str, Panel], parts: list[Part], drawn: DraftedTop, ask: TopAsk) -> Numbers:
    """By key, without the garment's id."""
    sums = drawn.sums
    numbers: Numbers = {}

    def same(key: str, length: Length) -> None:
        numbers[key] = Number(length, length)

    for name in BOTH:
        front, panel = name == "front", panels[name]
        tapes = {step.code: read_tape(step, panels).length for step in panel.steps}
        numbers[f"{name}.width"] = Number(sums.width, tapes["bust_width"])
        neck = sums.front_neck if front else sums.back_neck
        numbers[f"{name}.neck_depth"] = Number(neck, tapes["neck_depth"])
        same(f"{name}.across", sums.front_across if front else sums.back_across)
        length = sums.front_length if front else sums.back_length
        low = panel.edges["waist" if "waist" in panel.edges else "hem"].allowance
        label = "allowance.waist" if "waist" in panel.edges else "hem"
        numbers[f"{name}.length"] = Number(length, length + named(low, label))
        if "waist_width" in tapes:
            numbers[f"{name}.waist_width"] = Number(
                sums.front_waist if front else sums.back_waist, tapes["waist_width"]
            )
            darts = sums.front_darts if front else sums.back_darts
            same(f"{name}.dart_intake", darts.all)
            same(f"{name}.dart_length", panel.lengths.get("dart_length", mm(0)))
            same(f"{name}.dart_place", panel.lengths.get("dart_place", mm(0)))
        else:
            wide = found(panel.points["S"].across, "on_the_draft")
            numbers[f"{name}.hem_width"] = Number(wide, tapes["hem_out"])
    same("front.bust_dart", sums.bust_dart)
    same("shoulder", sums.shoulder)
    same("neck_width", sums.neck_width)
    same("shoulder_slope", sums.slope)
    same("armhole_depth", sums.armhole_depth)
    same("waist_depth", sums.back_waist_level)
    round_neck = 2 * sum(panels[name].edges["neck"].path.length for name in BOTH)
    same("neck_round", found(round_neck, "on_the_draft"))
    armhole = sum(panels[name].edges["armhole"].path.length for name in BOTH)
    same("armhole_length", found(armhole, "on_the_draft"))
    if ask.closure == "back-zip":
        same("back.zip_edge_neck", ask.zip_edge)
        lean = found(panels["back"].points["CW"].across, "zip_lean")
        same("back.zip_edge_waist", ask.zip_edge - lean if lean.mm else ask.zip_edge)
    if drawn.sleeve is not None:
        numbers |= _sleeve(panels["sleeve"], drawn, ask)
        numbers |= {key: number for part in parts if part.panel.name == "cuff" for key, number in _cuff(part, ask)}
    pieces = {part.panel.name: part.piece(on_fold=True).width for part in parts}
    widest = max(pieces, key=lambda name: pieces[name])
    label = f"widest_{widest}" if widest in (*BOTH, "sleeve") else "widest_part"
    same("fold.needed", found(pieces[widest], label))
    same("fold.quick_rule", sums.girth / 4 + inch(4))
    return numbers


def _cuff(part: Part, ask: TopAsk) -> list[tuple[str, Number]]:
    lengths, folded = part.panel.lengths, named(ask.cuff_depth, "cuff") * 2
    return [
        ("cuff.cut_length", Number(lengths["round"] + lengths["overlap"], lengths["cut_length"])),
        ("cuff.cut_depth", Number(folded, lengths["cut_depth"])),
    ]


def _sleeve(panel: Panel, drawn: DraftedTop, ask: TopAsk) -> Numbers:
    made = drawn.sleeve
    if made is None:
        return {}
    seams = named(ask.allowances.side, "allowance.side") * 2
    hem = named(ask.hem, "hem") if made.cuff is None else named(CUFF_SEAM.now, "allowance.hem")
    cap = found(made.cap, "cap_length")
    return {
        "sleeve.width": Number(made.width, made.width + seams),
        "sleeve.cap_height": Number(found(made.height, "cap_height"), found(made.height, "cap_height")),
        "sleeve.cap_length": Number(cap, cap),
        "sleeve.length": Number(made.length, made.length + named(ask.allowances.armhole, "allowance.armhole") + hem),
        "sleeve.round": Number(made.around, made.around + seams),
    }
