"""What cannot be done, and how to mend it: one sentence each, keyed by code."""

from typing import Any

from cutting.errors import Problem
from cutting.lengths import Length, Unit, show
from cutting.words.en.marks import panel_name
from cutting.words.en.measures import measure_name
from cutting.words.inches import as_taped

PROBLEMS: dict[str, tuple[str, str]] = {
    "job.json": ("This is not a job file: it cannot be read from line {line}, column {column} on", "Mend the file at that place, or export it anew."),
    "job.utf8": ("This is not a job file: it is not UTF-8 text", "Save the file as UTF-8 text, or export it anew."),
    "job.several": ("outfits of several clients", "Open a job file of each of them."),
    "pattern.large": ("This file is larger than a pattern is read from, {most} kB", "Export the pieces you need alone."),
    "pattern.unit": ("The file does not say in what unit it is drawn", "Choose its unit, then compare a piece's size with what you know."),
    "pattern.unreadable": ("This is no SVG or DXF drawing that can be read", "Export it anew, as plain SVG or as DXF."),
    "pattern.forbidden": ("There is '{word}' in the drawing, which a pattern does not need", "Export it as plain paths, without links, copies and pictures."),
    "pattern.fold": ("This piece is to be cut on the fold, and its left side is not straight", "Take the fold off, or turn the piece so that the fold is at its left."),
    "pattern.often": ("This piece is cut more often than {most} times, or not at all", "Write how often it is cut, from 1 to {most}."),
    "pattern.pair": ("Left and right of this piece are two, four or more, and none on the fold", "Write an even number, or take left and right off."),
    "pattern.numbers": ("A line of this piece is no line", "Each line needs two points or more, an outline three, each of two numbers in mm."),
    "pattern.drawn": ("The pieces of the patterns are drawn with more than {most} points together", "Simplify their outlines in the drawing program, or take a pattern off."),
    "pattern.pieces": ("There are more than {most} pieces in the drawing, or they take more than {area} m2 of paper", "Export the pieces you need alone."),
    "pattern.many": ("There are more than {most} lines in the drawing, or very many points", "Export the pieces you need alone."),
    "pattern.open": ("This line is not closed and is on no piece", "Close it in the drawing program: its first point has to be its last."),
    "pattern.crossed": ("This outline crosses itself", "Take the loop out in the drawing program."),
    "pattern.tiny": ("This outline is too small for a piece", "Delete it, or look whether the unit is right."),
    "pattern.long": ("This line is longer than 5 m", "Look whether the unit is right."),
    "pattern.points": ("This outline has more than 5,000 points", "Simplify it in the drawing program."),
    "pattern.none": ("There is no outline in the drawing", "Export the pieces as closed paths."),
    "pattern.nested": ("This outline is within another that is within a piece", "Take it out, or draw it as a line."),
    "job.twice": ("'{key}' stands twice", "Keep one of the two."),
    "job.number": ("{word} is not a number a tape can show", "Write the measure as a plain number."),
    "job.large": ("The file is over 1 MB", "A job is a few kilobytes: check that this is the right file."),
    "job.deep": ("The file is nested too deeply", "Check that this is the right file."),
    "job.format": ("This is not a plavet-job", 'Begin with "format": "plavet-job".'),
    "job.newer": ("This job is of version {version}; this Plavet reads version 1", "Open it with a newer Plavet, or export it as version 1."),
    "job.unknown": ("'{key}' is not known here", "{hint}"),
    "job.missing": ("'{key}' is missing", "Add it."),
    "job.kind": ("This should be {wanted}", "Correct it."),
    "job.rule": ("'{word}' is not a rule for this", "Choose one of: {offered}."),
    "job.later": ("'{word}' is not offered yet", "Choose one of: {offered}."),
    "job.many": ("There are {count} garments", "At most 20 go into one job."),
    "job.many_others": ("There are {count} other outfits on this cloth", "At most {most} go with the first; plan the rest on a cloth of its own."),
    "job.id": ("'{word}' cannot be an id", "Use small letters, digits and hyphens, at most 40, and each id once."),
    "length.empty": ("There is no number", "Type one, such as 38 1/2."),
    "length.unreadable": ("This cannot be read as a length", "Type it like 38 1/2, 38.5 or 97.8 cm."),
    "length.fraction": ("The fraction is not one a tape has", "Type halves, quarters, eighths or sixteenths, the upper number smaller than the lower: 38 1/2."),
    "length.letter": ("There is a letter among the digits", "Type 0 for the letter o, 1 for the letter l."),
    "length.negative": ("A length cannot be below nothing", "Leave the minus out."),
    "length.unit": ("The unit is not known", "Use in, yd, cm, mm or m."),
    "length.less": ("What is taken off is as much as the length, or more", "Type the reading first, then the ease that is in it: 38 less 2."),
    "length.less_or_half": ("This could be the number and a half, or the number less a half", "Type 38 1/2, or 38 less 1/2."),
    "length.feet": ("There are 12 inches or more after the feet", "Carry them over, such as 4' 2\"."),
    "measure.missing": ("{name} is missing", "Measure it and write it on the sheet."),
    "measure.small": ("{shown} is too small for a {name}", "Measure again, or check the unit: {unit_hint}"),
    "measure.large": ("{shown} is too large for a {name}", "Measure again, or check the unit: {unit_hint}"),
    "measure.flat": ("Trousers laid flat say nothing of this", "Take it on the body."),
    "choice.small": ("{shown} is too little here", "Choose from {least} to {most}."),
    "choice.large": ("{shown} is too much here", "Choose from {least} to {most}."),
    "cloth.width": ("{shown} cannot be a cloth's width", "Measure from selvedge to selvedge: 6 to 130 in."),
    "cloth.length": ("{shown} cannot be a cloth's length", "Give the length in hand, or leave it empty to buy."),
    "cloth.small": ("{shown} is too much here", "Give 0 to 39 in (0 to 100 cm), or leave it empty."),
    "cloth.repeat": ("A repeat of {shown} is longer than the {length} in hand", "Give the length of one repeat of the pattern, or a longer cloth."),
    "cloth.price": ("{word} is not a price", "Type it like 4.50, for one yard or one metre; or leave it empty."),
    "cloth.percent": ("This is not a share that cloth has", "Give 0 to {most} percent."),
    "lay.seconds": ("The time for the lay is out of range", "Give 0 to 600 seconds."),
    "opening.too_deep": ("A fly of {wanted} is longer than the front's seam has room for, {room}", "Give a shorter one."),
    "waist.too_large": ("The waist of {waist} is far over the hip of {hip}", "A fitted waist cannot close over it; measure the hip over the fullest part of the body, or plan a gathered waist."),
    "extension.order": ("The back extension of {back} is under the front's of {front}", "Give the back at least as much as the front."),
    "depth.too_small": ("The crotch depth of {depth} leaves no room to sit", "Choose a deeper rule, or measure the rise seated."),
    "hip_line.too_high": ("The hip line, {hip} down, is too near under the band of {band}", "Measure waist to hip again, or choose the hip line 2 in above the crotch line."),
    "knee.too_high": ("The knee, {knee} down, is too near under the crotch line, {crotch} down", "Measure waist to knee again, or choose a shallower crotch depth, such as the seated rise."),
    "length.too_short": ("A length of {length} ends too near under the crotch line, {crotch} down", "Give at least 1 1/2 in of leg."),
    "length.below_knee": ("A length of {length} goes past the knee line at {knee}", "Shorts end above the knee: give less, or choose trousers."),
    "method.style": ("This method does not make {style}", "Choose one of: {methods}."),
    "strip.too_deep": ("A strip {depth} deep reaches into the crotch curve", "Give less, or a deeper crotch line."),
    "strip.dart_out": ("A dart that runs on to the lower edge of a strip {depth} deep leaves the panel before it is there", "Give less, or fewer or narrower darts."),
    "waist.steep": ("The centre back raised by {lift} on a back waist of {waist} makes the waist too steep to be sewn smooth", "Give the centre back less height."),
    "band.sides": ("A leg in one piece has no side seams to join a band at", "Join it at the centre back, or cut it in one."),
    "strip.turned": ("A {finish} waist is turned down over a yoke's seam", "Leave the yoke out, or choose a band."),
    "choice.unused": ("The method {method} does not use this choice", "Leave it out, or choose a method that draws front and back."),
    "method.finish": ("This method does not make a {finish} waist", "Choose one of: {offered}."),
    "choice.band": ("A {finish} waist is cut on: there is no band to be anywhere", "Leave the band's place out, or choose a waist with a band."),
    "choice.no_band": ("A {finish} waist needs its band", "Say where the band is, or choose a casing."),
    "turn.too_deep": ("Turned down {turn}, the waist reaches past the hip line: from the lowered centre there are {above}", "Choose a narrower casing or heading, or drop the centre front less."),
    "hem.too_narrow": ("A hem of {hem} is too narrow for a leg of {leg}: it would run in too steeply", "Give at least {least}, a longer leg, or leave it out."),
    "hem.too_deep": ("A hem of {hem} does not fit up a leg of {leg}", "Choose a narrower hem or a longer leg."),
    "length.short": ("A length of {length} ends above the knee line at {knee}", "Give a longer length: this style goes past the knee."),
    "inner_leg.open": ("The inner legs cannot be made equal: the back is {over} longer", "Choose a smaller back tip or a wider hem."),
    "side.open": ("The side seams cannot be made equal", "Choose a smaller seat raise, or a flat seat."),
    "pockets.twice": ("Two of these pockets are in the same place", "Choose one of the curved ones."),
    "dart.outside": ("A dart {place} from the centre runs off the panel", "Choose from {least} to {most}."),
    "outline.crossed": ("The {panel}'s outline crosses itself", "Check the measures against each other; thigh, knee and hem first."),
    "choice.unused_top": ("A {style} does not use this choice", "Leave it out."),
    "choice.joined": ("The top is sewn to this waist: it has no finish of its own", "Leave it out."),
    "choice.of_seam": ("In a jumpsuit the lower half decides this: its zip, its waist and its ease go through the seam", "Leave it out here; choose it for the lower half."),
    "choice.joined_closure": ("A jumpsuit opens with one zip behind, through the waist, or not at all", "Choose back-zip or none."),
    "choice.alone": ("Only a garment that a top is sewn to joins its waist", "Leave it out, or make a jumpsuit."),
    "job.half": ("A {style} is not made of two halves", "Leave this out, or choose the style jumpsuit."),
    "job.jumpsuit_choices": ("A jumpsuit's choices are its halves'", "Write them into top and lower."),
    "armhole.low": ("The armhole line is {depth} below the shoulder tip: only {room} are left above the waist", "Measure nape to waist and the armhole's depth again."),
    "armhole.shallow": ("The armhole line would be only {depth} below the shoulder tip", "Measure the armhole's depth again: from the nape to the line of the armpits."),
    "neck.too_wide": ("A neck {wide} wide leaves no shoulder: its tip is {shoulder} out", "Give less, or measure the shoulder again, tip to tip behind."),
    "front.short": ("The front waist is {front} down, the back's {back}", "Measure neck to waist again: from the neck point over the bust."),
    "bust_dart.large": ("The front is longer than the back by a dart of {dart}", "Measure neck to waist and nape to waist again."),
    "shoulder.wide": ("Half the shoulder, {across}, is nearly as wide as a quarter of the bust, {width}", "Measure shoulder and bust again, or give more bust ease."),
    "across.narrow": ("Half of it, {across}, is far inside half the shoulder, {shoulder}", "Measure again from arm crease to arm crease."),
    "sleeve.arm": ("The arm with its ease, {width}, is too large for an armhole of {armhole}", "Lower the armhole, give less sleeve ease, or measure the upper arm again."),
    "sleeve.short": ("A sleeve of {length} ends above its own cap, which is {cap} high", "Give a longer sleeve."),
    "top.too_short": ("The top ends above its armholes", "Give at least {least} from the neck."),
    "cut.nothing_main": ("Nothing is cut from this cloth: everything is said to come from the other", "Leave at least one garment on it."),
    "cut.nothing_other": ("Nothing is cut from the other cloth", "Choose on Design what is cut from it."),
    "correction.many": ("There are more than {most} corrections", "Leave out those that are not used any more."),
    "correction.side": ("Of one side alone only the length and the raise of the side can be corrected", "Write both: what it moves is sewn to its twin on the other side."),
    "correction.size": ("A correction is a length, more or less, and no larger than {most}", "Write it like 1/2 or -1/2."),
    "correction.small": ("With {by} from the fittings this comes out too small", "There is {room} of it to take away: drop a correction, or make it smaller."),
    "correction.large": ("With {by} from the fittings this comes out too large", "There is room for {room} more: drop a correction, or make it smaller."),
    "amount.empty": ("There is no amount", "Type one, such as 12.50."),
    "amount.unreadable": ("'{word}' cannot be read as an amount", "Type it like 12.50, without the currency."),
    "amount.negative": ("An amount is not less than nothing", "Leave the minus out: what is given back is a refund, what is taken off a discount."),
    "amount.thousands": ("{word} could be thousands, or a few and a part", "Leave out the point or comma between thousands: 1200 or 1200.00."),
    "amount.digits": ("The currency has no so small coins", "Type at most {digits} digits after the point."),
    "amount.large": ("This is more than anything costs here", "Look whether the amount is right."),
    "amount.percent": ("This is not a share", "Type 0 to 100, such as 10 %."),
    "amount.discount": ("More is taken off than there is", "Type an amount that is not over the sum of the lines, or a share such as 10 %."),
    "amount.nothing": ("This is no money", "Type an amount that is more than nothing."),
    "amount.refund": ("More would be given back than was paid", "Type what is given back, at most what was paid."),
    "amount.twice": ("'{word}' is there twice", "Give each extra another name, or add them up to one."),
    "amount.unnamed": ("An extra has no name", "Say what it is for, such as alteration or express."),
    "lay.broken": ("The outline of {piece} is empty or crosses itself", "Choose other sizes for it, or leave the part out."),
    "lay.pin": ("A pin is in no piece of this lay", "Take the pins out, and put them in again."),
    "lay.by_hand": ("Laid so, it cannot be cut: {fault}", "Move the pieces apart, inside the cloth, and those on the fold back to it."),
    "lay.invalid": ("The lay did not pass its own check: {faults}", "This is our own fault; please keep the job file."),
}  # fmt: skip


def worded(params: dict[str, Any], unit: Unit) -> dict[str, Any]:
    """Params with every length as a tape shows it."""
    return {key: show(value.value, unit).text if isinstance(value, Length) else value for key, value in params.items()}


INSTEAD = {
    "body_rise": "Measure it, or choose another crotch depth on Design, such as a quarter of the hip.",
    "crotch_length": "Measure it, or let the rules make the crotch seam, on Design.",
    "inseam": "Measure it, or choose another crotch depth on Design.",
    "ankle": "Measure it, or give the hem's width on Design.",
    "bust_span": "Measure it, or choose another place for the dart on Design.",
    "outseam": "Measure it, or give the finished length on Design.",
}
"""What can be done instead of taking a measure that is missing."""


AT_FAULT = {
    "lay.overlap": "two pieces overlap",
    "lay.outside": "a piece is outside the cloth",
    "lay.off_fold": "a piece has left the fold",
    "lay.turned": "a piece is turned, and the cloth has one way",
    "lay.layers": "a piece is in layers that are not there",
    "lay.count": "a piece is missing, or there is one too many",
    "lay.pair": "left and right are not equal in number",
    "lay.mirrored": "a piece would come out mirrored",
    "lay.unknown_piece": "a piece is not of this plan",
    "lay.too_long": "it is longer than all pieces one after another",
    "lay.unknown_section": "a piece is in a section that is not there",
}
"""What the exact check finds in a lay."""


WANTED = {
    "number": "a number, such as 2.5", "length": "a length", "lengths": "a set of lengths, such as side and centre",
    "measure": "a number, or text such as 38 1/2", "text": "text", "yes_no": "true or false", "list": "a list",
    "set": "a set of named values", "one_of": "one of the words this knows", "other": "something else",
}  # fmt: skip
"""What a file has to hold at a place."""
UNITS = {"in": "inches", "cm": "centimetres"}


def _params(problem: Problem, unit: Unit) -> dict[str, Any]:
    """The params in words: lists, what is wanted, hints."""
    params = worded(problem.params, unit)
    for key in ("offered", "methods"):
        if key in params:
            params[key] = ", ".join(params[key])
    if "wanted" in params:
        params["wanted"] = WANTED[params["wanted"]]
    if "fault" in params:
        params["fault"] = AT_FAULT.get(params["fault"], params["fault"])
    if "faults" in params:
        params["faults"] = ", ".join(params["faults"])
    if "panel" in params:
        params["panel"] = panel_name(params["panel"])
    for key in ("least", "most"):
        if isinstance(params.get(key), float):
            params[key] = f"{params[key]:g}"
    if "swapped" in params:
        meant = f"did you mean {params['swapped']}?" if params["swapped"] else f"bare numbers here are {UNITS[unit]}."
        params["unit_hint"] = meant
    if "close" in params:
        offered = f"Choose one of: {params['offered']}." if params.get("offered") else "Leave it out."
        params["hint"] = f"Did you mean '{params['close']}'?" if params["close"] else offered
    return params


def say_problem(problem: Problem, unit: Unit) -> tuple[str, str]:
    """What is wrong, and how to mend it."""
    what, mend = (as_taped(text, unit) for text in PROBLEMS[problem.code])
    params = _params(problem, unit)
    key = problem.where.measure
    if problem.code == "measure.missing":
        mend = INSTEAD.get(key, mend)
    if key:
        params.setdefault("name", measure_name(key))
    said = what.format(**params)
    if problem.where.path[:1] == ("pieces",) and len(problem.where.path) > 1:
        # Of a house pattern: which of its pieces.
        said = f"{panel_name(problem.where.path[1]).capitalize()}: {said[0].lower()}{said[1:]}"
    return said[0].upper() + said[1:] if what.startswith("{name}") else said, mend.format(**params)
