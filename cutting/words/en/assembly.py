"""How each operation is sewn: what it is called, what is done, what is to be minded."""

from cutting.words.language import OperationWords

OPERATIONS: dict[str, tuple[str, tuple[str, ...], str]] = {
    "fuse": ("Fuse the interfacing", ("On the half that shows. Press from the middle out, a few breaths at each place, and let it cool flat.",), "iron"),
    "darts": ("Sew the darts", ("From the edge to the point, the last stitches along the fold; knot the ends, do not backstitch at the point.", "Press them towards the centre over a round pad."), "pins"),
    "piping": ("Pipe the mouth", ("Fold the strip, lay it edge to edge on the right side, stitch; press it up.",), ""),
    "patch": ("Sew the patches on", ("Turn the mouth's edge in and stitch it first. Press the other edges in over a card, pin the patch on its chalked place, stitch close to the edge; backstitch both corners of the mouth.",), "pins"),
    "front_pocket": ("Make the front pockets", ("Facing on the front's mouth, right sides together; stitch, notch where it bends, turn, press, stitch again from the face.", "Close the bag round; overlock it.", "Stay tape along the mouth keeps it from growing."), ""),
    "in_seam_pocket": ("Sew the bags to the side", ("Each half to its side between the notches, right sides together; press it out.", "The mouth stays open between the notches, 6 in or as chalked: backstitch both its ends."), ""),
    "baste_pocket": ("Hold the pockets at side and waist", ("Lay the front flat on its backing, edge to edge, and baste within the allowance.",), ""),
    "strips": ("Join what was cut off to its leg", ("Notch to notch, right sides together; press the seam up and stitch it from the face.",), ""),
    "fly": ("Make the fly", ("Facing on the left front, stitch, press, understitch. Zip on the facing, then on the guard; topstitch the fly's curve from the face.", "Baste the fly to its end before the centre is closed."), "needle"),
    "front_centre": ("Close the front centre", ("From the fork up, as far as the opening; backstitch there.", "Notch the hollow of the curve and press the rest open."), ""),
    "back_centre": ("Close the back centre", ("In one run, twice where one sits. Where a zip comes in, only up to its end.", "Notch the hollow of the curve; press."), ""),
    "crotch": ("Close the whole crotch in one run", ("One leg right side out inside the other, inner legs pinned on each other; from waist to waist, twice where one sits.", "Notch the hollow of the curve; press."), "pins"),
    "side": ("Close the sides", ("Pin at the notches. Openings stay open: a zip's as long as the zip, a pocket's between its notches; backstitch their ends.", "Press over a round pad."), ""),
    "zip": ("Put the zip in", ("Each tape to its allowance near the edge first, then close to the teeth with the teeth rolled open, never on them. Close the seam below it.", "Both tapes end at one height: close it and look."), "needle"),
    "inner_leg": ("Close the inner legs", ("In one run from hem to hem, the crotch points pinned on each other; the back's is shorter: stretch it on above the knee.", "Press."), ""),
    "measure_hip": ("Measure the hip as it is sewn", ("Round, on the hip line, the cloth flat, before anything is trimmed.",), ""),
    "measure_waist": ("Measure the waist as it is sewn", ("Round, on its sewing line, the cloth flat and not stretched, before the band.",), ""),
    "measure_legs": ("Compare the legs", ("Fold them together, inner leg on inner leg: both as wide at the hem. Measure each from the fork to the edge below, before either is turned up.",), ""),
    "measure_inner_legs": ("Compare the inner legs", ("Each from the fork to the edge below, before the crotch is closed.",), ""),
    "measure_cap": ("Compare cap and armhole", ("The cap's sewing line, standing the tape on its edge; then the armhole's, front and back.",), ""),
    "ring": ("Close the band's ends", ("To a ring, or each end for itself where it opens; press the seams open.",), ""),
    "band": ("Sew the band on", ("Right side of the band to the wrong side of the garment; stitch, turn it over, fold its edge under, topstitch from the face.", "Its ends are folded in; the interfaced half is the one that shows."), ""),
    "tie": ("Make the tie", ("Fold it along, stitch, leave an opening in the middle; turn it through, close the opening, press.",), ""),
    "channel": ("Stitch the channel", ("Both its edges pressed in, on the inside along its chalked line; ends meet at an opening for the tie.",), ""),
    "casing": ("Turn the casing", ("Fold it in at its line, edge under, stitch; leave 1 to 1 1/2 in open for the elastic or the tie.",), ""),
    "elastic": ("Put the elastic in", ("Close it 1 in over itself, or hold its ends at the sides; pinned at the quarters, the fullness shared out. It is not stitched through.", "Close the opening."), ""),
    "loops": ("Sew the belt loops on", ("Fold the strip in three, stitch both edges, cut the loops. Two before, two behind, the others between; a bar of zigzag at each end.",), ""),
    "turn_up": ("Sew the turn-ups on", ("Join each strip to a ring, fold it; right side to the wrong side of the leg, its seam on the side's. Turn it over, press, hold it at the seams.",), ""),
    "hem": ("Hem", ("Fold the edge under, then the rest up to its line; press, then stitch by hand or blind, so that nothing shows.",), "iron"),
    "fastening": ("Hooks and buttons", ("Last of all, where both edges meet with the zip closed.",), ""),
    "opening": ("Make the neck's opening", ("Facing or placket on its chalked line, right sides together; stitch round the line, one stitch across its point, cut to the point, turn, press.",), "shears"),
    "shoulder": ("Close the shoulders", ("Where one is a little longer, ease it in. Tape in the back neck keeps it from growing.", "Press towards the back."), ""),
    "neck_facing": ("Face the neck", ("Close the facing's shoulders. Right sides together, stitch, trim, notch where it bends; understitch, turn, press; hold it at the shoulder seams.",), ""),
    "neck_binding": ("Bind the neck", ("The strip pulled a little in the hollow; stitch, fold it over the edge, stitch in the seam's groove.",), ""),
    "sleeves": ("Set the sleeves in flat", ("Notch to notch, one notch in front, two behind, the cap's own to the shoulder; ease between the notches only.", "Press towards the sleeve."), ""),
    "sides_and_sleeves": ("Close sides and sleeves in one run", ("From the sleeve's hem through the armpit to the side's lower end, seam on seam at the armpit; a slit stays open from its notch.", "Press."), ""),
    "armhole_facing": ("Face the armholes", ("Close the facing's ends. Right sides together, stitch, trim, notch; understitch, turn, press.",), ""),
    "armhole_binding": ("Bind the armholes", ("From the side seam round; the strip pulled a little where it is hollow, folded over, stitched in the groove.",), ""),
    "shield": ("Sew the shield behind the zip", ("Fold it along, ends closed; behind the zip's one edge.",), ""),
    "cuffs": ("Sew the cuffs on", ("Gather or fold the sleeve to the cuff. Right side of the cuff to the wrong side of the sleeve; turn, edge under, topstitch.",), ""),
    "join": ("Join top and trousers at the waist", ("Right sides together, darts on darts, sides on sides, centres on centres; what is fuller is shared out. Stay tape along the seam.", "Press up."), ""),
    "house": ("The house pattern", ("Sewn as it always is: how is not known here.",), ""),
    "other": ("Sew these together", ("As they are notched.",), ""),
}  # fmt: skip
OVERLOCK = {
    "before": "Overlock both edges together before the allowance is pressed: it is narrow.",
    "after": "Overlock each edge by itself, and press the seam open.",
}
CAUTIONS = {
    "iron": "The iron stays hot a long while: it stands on its heel, its cord out of the way; steam burns as it does.",
    "pins": "Take each pin out before the needle comes to it; pins are counted back into their cushion.",
    "needle": "Turn the wheel by hand over thick places; fingers stay in front of the foot.",
    "knife": "The overlock's knife cuts whatever is under it: no pins, and the rest of the garment laid out of its way.",
    "shears": "Shears are handed over closed, handles first, and lie in the middle of the table.",
}  # fmt: skip
STITCHES = {"301": "lockstitch", "504": "overedge", "304": "zigzag", "103": "blind hem"}


def operation_words(code: str, overlock: str) -> OperationWords:
    """What an operation is called, how it is done, and what is to be minded, by the cautions' codes."""
    title, says, caution = OPERATIONS[code]
    more = (OVERLOCK[overlock],) if overlock else ()
    return OperationWords(title, (*says, *more), (*((caution,) if caution else ()), *(("knife",) if overlock else ())))


def caution_words(code: str) -> str:
    """Something to be minded; it is said once on a card."""
    return CAUTIONS[code]


def stitch_name(stitch: str) -> str:
    """What a stitch is called; empty where nothing is stitched."""
    return STITCHES.get(stitch, "")
