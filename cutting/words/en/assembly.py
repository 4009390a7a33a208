"""How each operation is sewn: what it is called, what is done, pressed, looked at, and what is to be minded."""

from collections.abc import Mapping
from dataclasses import dataclass
from string import Formatter

from cutting.words.language import OperationWords


@dataclass(frozen=True)
class Step:
    """An operation in words; a sentence with an {amount} is said where the garment has that."""

    title: str
    says: tuple[str, ...]
    press: str = ""
    check: str = ""
    caution: str = ""


CURVE = "Notch the hollow of the curve, then press it open over the pad."
OPERATIONS: dict[str, Step] = {
    "fuse": Step("Fuse the interfacing", ("On the half that shows.",), "From the middle out, a few breaths at each place; let it cool flat.", "No bubble, no loose corner.", "iron"),
    "darts": Step("Sew the darts", ("From the edge to the point, the last stitches along the fold; knot the ends, do not backstitch at the point.",), "Towards the centre, over the pad.", "Left and right end at one height.", "pins"),
    "piping": Step("Pipe the mouth", ("Fold the strip, put it edge to edge on the right side, stitch.",), "Up.", "As wide all along."),
    "patch": Step("Sew the patches on", ("Turn the mouth's edge in and stitch it first.", "Pin the patch on its chalked place, stitch close to the edge; backstitch both corners of the mouth."), "The other edges in over a card, before it is pinned.", "Left and right at one height.", "pins"),
    "front_pocket": Step("Make the front pockets", ("Facing on the front's mouth, right sides together; stitch, notch where it bends, turn, stitch again from the face.", "Stay tape along the mouth keeps it from growing.", "Close the bag round; overlock it."), "The mouth, before it is stitched from the face.", "Both mouths are as long, and flat."),
    "in_seam_pocket": Step("Sew the bags to the side", ("Each half to its side between the notches, right sides together.", "The mouth stays open {pocket} between the notches: backstitch both its ends."), "Out, away from the leg.", "Front and back notches meet."),
    "baste_pocket": Step("Hold the pockets at side and waist", ("Put the front flat on its backing, edge to edge, and baste within the allowance.",), "", "The mouth does not stand open."),
    "strips": Step("Join what was cut off to its leg", ("Notch to notch, right sides together; stitch again from the face.",), "The seam up.", "The edges run on in one line."),
    "fly": Step("Make the fly", ("Facing on the left front, stitch, understitch. Zip on the facing, then on the guard; topstitch the fly's curve from the face.", "Baste the fly to its end before the centre is closed."), "The facing in.", "Closed, the teeth are covered.", "needle"),
    "front_centre": Step("Close the front centre", ("From the fork up, as far as the opening; backstitch there.",), CURVE, "The fork's ends meet."),
    "back_centre": Step("Close the back centre", ("In one run, twice where one sits. Where a zip comes in, only up to its end.",), CURVE, "The waist's ends meet."),
    "crotch": Step("Close the whole crotch in one run", ("One leg right side out inside the other, inner legs pinned on each other; from waist to waist, twice where one sits. An opening stays open down to its end.",), CURVE, "The inner legs meet at the fork.", "pins"),
    "side": Step("Close the sides", ("Pin at the notches.", "For the zip it stays open {zip} from the top: backstitch at its end.", "For the pockets it stays open {pocket} between the notches: backstitch both ends."), "Open, over the pad at the hip.", "The seams hang straight."),
    "zip": Step("Put the zip in", ("It is {zip} long.", "Each tape to its allowance near the edge first, then close to the teeth; one side covers them.", "Where it bulges at the waist, narrow its edge from 1 1/2 to 1 in there; the side gives that back.", "Close the seam below it."), "The edge that covers, before it is stitched.", "Closed, both tapes end at one height.", "needle"),
    "zip.invisible-zip": Step("Put the invisible zip in", ("It is {zip} long.", "Each tape 1/8 in from the edge first, then close to the teeth with the teeth rolled open, never on them.", "Close the seam below it."), "The teeth rolled open, from the wrong side, not hot.", "Closed, both tapes end at one height and nothing of it is seen.", "needle"),
    "inner_leg": Step("Close the inner legs", ("In one run from hem to hem, the crotch points pinned on each other; the back's is shorter: stretch it on above the knee.",), "Open.", "The seams cross at the fork."),
    "inner_leg.each": Step("Close the inner legs", ("Each leg by itself, from the fork to the hem; the back's is shorter: stretch it on above the knee.",), "Open.", "Front and back end together at the fork and at the hem."),
    "inner_leg.from_fork": Step("Close the inner legs", ("Begin at the fork and sew down one leg; then again from the fork down the other. The cloth stretches: the fork stays where it was pinned.",), "Open, without pulling.", "The seams cross at the fork, and no leg has grown.", "pull"),
    "measure_hip": Step("Measure the hip as it is sewn", ("Round, on the hip line, the cloth flat, before anything is trimmed.",)),
    "measure_waist": Step("Measure the waist as it is sewn", ("Round, on its sewing line, the cloth flat and not stretched, before the band.",)),
    "measure_join": Step("Compare the waists before they are joined", ("Each round on its sewing line, flat, before anything is gathered or folded.",)),
    "measure_legs": Step("Compare the legs", ("Fold them together, inner leg on inner leg: both as wide at the hem. Measure each from the fork to the edge below, before either is turned up.",)),
    "measure_legs.sides": Step("Compare the legs", ("The sides differ: measure each leg from the fork to the edge below and compare it with its own length, before either is turned up.",)),
    "measure_inner_legs.sides": Step("Compare the inner legs", ("Each from the fork to the edge below with its own length, before the crotch is closed: the sides differ.",)),
    "measure_inner_legs": Step("Compare the inner legs", ("Each from the fork to the edge below, before the crotch is closed.",)),
    "measure_cap": Step("Compare cap and armhole", ("The cap's sewing line, standing the tape on its edge; then the armhole's, front and back.",)),
    "ring": Step("Close the band's ends", ("To a ring, or each end for itself where it opens.",), "The seams open.", "As long as the waist."),
    "band": Step("Sew the band on", ("Right side of the band to the wrong side of the garment; stitch, turn it over, fold its edge under, topstitch from the face.", "Its ends are folded in; the interfaced half is the one that shows."), "Up, before it is turned over.", "As deep all round, its ends at one height."),
    "tie": Step("Make the tie", ("Fold it along, stitch, leave an opening in the middle; turn it through, close the opening.",), "Flat, the seam at the edge."),
    "channel": Step("Stitch the channel", ("On the inside along its chalked line; ends meet at an opening for the tie.",), "Both its edges in, before it is pinned.", "The elastic or the tie passes."),
    "casing": Step("Turn the casing", ("Fold it in at its line, edge under, stitch; leave 1 to 1 1/2 in open for the elastic or the tie.",), "The fold, before it is stitched.", "As deep all round."),
    "elastic": Step("Put the elastic in", ("Cut it {elastic} long.", "Close it 1 in over itself; pinned at the quarters, the fullness shared out. It is not stitched through.", "Close the opening."), "", "It does not turn over."),
    "elastic.half": Step("Put the elastic in behind", ("Cut it {elastic} long.", "Its ends are held at the sides before the front band is closed; pinned in the middle, the fullness shared out. It is not stitched through.",), "", "It does not turn over, and the sides are flat."),
    "loops": Step("Sew the belt loops on", ("Fold the strip in three, stitch both edges, cut the loops. Two before, two behind, the others between; a bar of zigzag at each end.",), "The strip flat.", "All as long, all upright."),
    "turn_up": Step("Sew the turn-ups on", ("Join each strip to a ring, fold it; right side to the wrong side of the leg, its seam on the side's. Turn it over, hold it at the seams.",), "The fold sharp.", "Both legs as long."),
    "turn_up.sides": Step("Sew the turn-ups on", ("Join each strip to a ring, fold it; right side to the wrong side of the leg, its seam on the side's. Turn it over, hold it at the seams.", "The sides differ: each leg to its own length."), "The fold sharp.", "Each leg as long as its own chalk line says."),
    "hem.sides": Step("Hem", ("{hem} in all.", "The sides differ: each leg up to its own line, not to the other's.", "Fold 1/2 in of it under, then the rest up to its line; stitch by hand or blind, so that nothing shows."), "Each fold before it is stitched.", "Worn, both hems hang level.", "iron"),
    "hem": Step("Hem", ("{hem} in all.", "Fold 1/2 in of it under, then the rest up to its line; stitch by hand or blind, so that nothing shows."), "Each fold before it is stitched.", "Both sides as long.", "iron"),
    "fastening": Step("Hooks and buttons", ("Last of all, where both edges meet with the zip closed.",), "", "Closed, nothing gapes."),
    "opening": Step("Make the neck's opening", ("Facing or placket on its chalked line, right sides together; stitch round the line, one stitch across its point, cut to the point, turn.",), "The facing in.", "No fold at the point.", "shears"),
    "shoulder": Step("Close the shoulders", ("Where one is a little longer, ease it in. Tape in the back neck keeps it from growing.",), "Towards the back.", "The neck's edge runs on in one line."),
    "neck_facing": Step("Face the neck", ("Close the facing's shoulders. Right sides together, stitch, trim, notch where it bends; understitch, turn; hold it at the shoulder seams.",), "The facing in.", "Nothing of it shows from the face."),
    "neck_binding": Step("Bind the neck", ("The strip pulled a little in the hollow; stitch, fold it over the edge, stitch in the seam's groove.",), "The strip up, before it is folded over.", "The neck is flat."),
    "sleeves": Step("Set the sleeves in flat", ("Notch to notch, one notch in front, two behind, the cap's own to the shoulder; ease between the notches only.",), "Towards the sleeve.", "No fold in the cap."),
    "sides_and_sleeves": Step("Close sides and sleeves in one run", ("From the sleeve's hem through the armpit to the side's lower end, seam on seam at the armpit; a slit stays open from its notch.",), "Open.", "The seams meet at the armpit."),
    "armhole_facing": Step("Face the armholes", ("Close the facing's ends. Right sides together, stitch, trim, notch; understitch, turn.",), "The facing in.", "Nothing of it shows from the face."),
    "armhole_binding": Step("Bind the armholes", ("From the side seam round; the strip pulled a little where it is hollow, folded over, stitched in the groove.",), "The strip out, before it is folded over.", "The armhole is flat."),
    "shield": Step("Sew the shield behind the zip", ("Fold it along, ends closed; behind the zip's one edge.",), "The fold.", "It covers the teeth from inside."),
    "cuffs": Step("Sew the cuffs on", ("Gather or fold the sleeve to the cuff. Right side of the cuff to the wrong side of the sleeve; turn, edge under, topstitch.",), "The cuff out, before it is turned.", "Both as deep, the slits opposite."),
    "join": Step("Join top and trousers at the waist", ("Right sides together, darts on darts, sides on sides, centres on centres; what is fuller is shared out. Stay tape along the seam.",), "Up.", "Darts and sides meet."),
    "house": Step("The house pattern", ("Sewn as it always is: how is not known here.",)),
    "other": Step("Sew these together", ("As they are notched.",)),
}  # fmt: skip
OVERLOCK = {
    "before": "The allowance is narrow: overlock each edge before the seam is closed.",
    "after": "Closed, overlock each edge by itself.",
}
CAUTIONS = {
    "iron": "The iron stays hot a long while: it stands on its heel, its cord out of the way; steam burns as it does.",
    "pins": "Take each pin out before the needle comes to it; pins are counted back into their cushion.",
    "needle": "Turn the wheel by hand over thick places; fingers stay in front of the foot.",
    "pull": "The machine feeds the cloth: never pull it from behind the needle, or the needle bends and breaks.",
    "knife": "The overlock's knife cuts whatever is under it: no pins, and the rest of the garment out of its way.",
    "shears": "Shears are handed over closed, handles first, and are put down in the middle of the table.",
}  # fmt: skip
STITCHES = {"301": "lockstitch", "504": "overedge", "304": "zigzag", "103": "blind hem"}
SEAM_CLASSES = {
    1: "superimposed",
    2: "lapped",
    3: "binding",
    5: "decorative",
    6: "edge finishing",
    7: "piece on an edge",
    8: "one ply",
}
TOOLS = {
    "machine": "machine", "overlock": "overlock", "iron": "iron", "pad": "round pad", "needle": "hand needle",
    "shears": "shears", "tape": "tape",
}  # fmt: skip
WAYS = {
    "centres-first": "Centres first, then the sides, then both inner legs in one run",
    "sides-first": "Sides first, then each inner leg, then the whole crotch in one run",
    "from-the-crotch": "From the crotch outwards: the centres, each leg from the fork, then the sides",
}
WHY = {
    "chosen": "as it is chosen on Design", "joined": "a jumpsuit's legs are closed before it is joined",
    "stretches": "the cloth stretches, and the fork must not move", "opens": "it is fitted and opens",
    "drawn_in": "it opens nowhere, so the crotch is closed last",
}  # fmt: skip


def operation_words(code: str, variant: str, overlock: str, amounts: Mapping[str, str]) -> OperationWords:
    """What an operation is called, how it is done with its amounts, and what is to be minded, by the cautions' codes."""
    step = OPERATIONS[f"{code}.{variant}" if f"{code}.{variant}" in OPERATIONS else code]
    says = tuple(text.format(**amounts) for text in step.says if _needed(text) <= set(amounts))
    more = (OVERLOCK[overlock],) if overlock else ()
    cautions = (*((step.caution,) if step.caution else ()), *(("knife",) if overlock else ()))
    return OperationWords(step.title, (*says, *more), step.press, step.check, cautions)


def _needed(text: str) -> set[str]:
    return {name for _, name, _, _ in Formatter().parse(text) if name}


def operation_title(code: str) -> str:
    """What an operation is called."""
    return OPERATIONS[code].title


def caution_words(code: str) -> str:
    """Something to be minded; it is said once on a card."""
    return CAUTIONS[code]


def stitch_name(stitch: str) -> str:
    """What a stitch is called; empty where nothing is stitched."""
    return STITCHES.get(stitch, "")


def seam_class_name(number: int) -> str:
    """What a class of seams is called; empty where no seam is made."""
    return SEAM_CLASSES.get(number, "")


def tool_name(tool: str) -> str:
    """What is used."""
    return TOOLS[tool]


def way_words(way: str, why: str) -> str:
    """How a garment is put together, and why so."""
    return f"{WAYS[way]}: {WHY[why]}."
