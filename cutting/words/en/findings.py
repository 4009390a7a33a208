"""What should be looked at in a draft that was made."""

from cutting.finding import Finding
from cutting.lengths import Unit, show
from cutting.words.en.checks import CHECKS, check_say
from cutting.words.en.choices import corrected_name, idle_words
from cutting.words.en.marks import panel_name
from cutting.words.en.measures import measure_name
from cutting.words.en.problems import worded
from cutting.words.inches import as_taped

FINDINGS: dict[str, str] = {
    "extension.floor": "Half the thigh less a quarter of the hip is very little: the extension is kept at {used}.",
    "waist.widened": "A quarter of the waist and 2 in would be {plain}: it is made {used}, so that the waist passes the hip.",
    "pocket.opening": "The pocket's opening of {wanted} is made {used}: it ends above the crotch line.",
    "pocket.bag": "The pocket bag of {wanted} is made {used} deep: it would hang out of the leg.",
    "pocket.bag_wide": "The pocket bag of {wanted} is made {used} wide: the waist seam is no wider.",
    "pocket.bag_dart": "The pocket bag of {wanted} is made {used} wide: it would pass the dart.",
    "pocket.patch": "The patch of {wanted} is made {used}: there is no more room for it.",
    "pocket.dart": "The pocket's opening of {wanted} is made {used} wide: it would run into the dart.",
    "pocket.one_side": "With the zip in a side seam there is one pocket, in the other side. Choose another closure for two.",
    "waist.back-larger": "The back's waist is 1 in larger all round: take it in at the centre back at the fitting.",
    "waist.redraw-centre": "The centre back is cut with 1 in: redraw it on the half-sewn garment, then trim.",
    "waist.re-mark-side": "Join the centres first, measure the waist again, and mark the side seams anew before they are trimmed.",
    "neck.deepened": "Nothing opens: the neck is cut {deep} deep and {wide} wide to pass a head of {head} (23 in where it was not measured).",
    "front.shorter": "The front waist is {front} down, the back's {back}: a rounded back. The back is left longer at its centre; a dart from its neck takes what stands away.",
    "armhole.deep": "The armhole line is {depth} below the shoulder tip; over {most} is deep: the arm lifts the whole top.",
    "sleeve.widened": "The sleeve is made {by} wide: with the arm's own ease its cap would be too steep for this armhole.",
    "join.gathered": "The waist is {times} times as wide as the seam: {by} are taken in by {how}.",
    "cloth.stretch": "The cloth stretches {percent}: it needs no hip ease, a shorter elastic, and a smaller pocket opening.",
    "cloth.thin": "The cloth is thin and slips while it is cut: buy about 5 in more (Spare), and clip or pin the layers together before you chalk.",
    "cloth.thick": "The cloth is thick: 1/2 in more ease at hip and waist, and seams of 5/8 in; slash the darts open and press them.",
    "cloth.pleated": "The cloth is pleated: no darts are sewn, and the band is cut along the pleats.",
    "slant.reduced": "The centre back leans in by {used}, not {wanted}: the side would be outside the hip otherwise.",
    "dart.none": "No dart: a quarter of the waist is only {spare} under a quarter of the hip.",
    "waist.over_hip": "The waist of {waist} is over the hip of {hip}: the side runs out above the hip line. An elastic waist would sit better.",
    "hip_line.gap": "The hip line is {gap} above the crotch line; 1 to 4 1/2 in are usual. Measure waist to hip again.",
    "knee.floor": "The knee of {wanted} would be under 7/10 of the crotch line: it is kept at {used}.",
    "knee.unmeasured": "The knee was not measured: its width of {used} is 7/10 of the crotch line.",
    "thigh.capped": "Half the thigh with that ease is {wanted}: the leg falls straight from the crotch point, {used} wide.",
    "thigh.unmeasured": "The thigh was not measured: the leg comes to {used} round at the crotch line; measure it to check its room.",
    "elastic.unmeasured": "The waist was not measured: how long the elastic is cut is tried on the body.",
    "hip.unmeasured": "The hip was not measured: it is not checked that the waist passes it, nor that it has room.",
    "depth.guard": "The crotch line is {depth} down, the measured rise is {rise}: it would hang low. Rise and 1 in would do.",
    "crotch.usual": "No crotch length was taken: by the rise it is usually from {low} to {high} on such a body. The crotch seam is {sewn}; it should be 1/2 in longer than the body at least.",
    "crotch.usual_by_hip": "No crotch length was taken: by the hip alone it is usually from {low} to {high} on such a body; with a rise this is known more closely. The crotch seam is {sewn}; it should be 1/2 in longer than the body at least.",
    "depth.by_rise": "The crotch line is {used} down, by the measured rise; the method's own rule would give {own}.",
    "depth.capped": "A third of the hip less 1 in would be {wanted} deep: with a rise of {rise}, 2 in more than that are enough: {used}.",
    "diagonal.moved": "The crotch curve's diagonal of {wanted} is brought to {used}: the curve would dent or cut in.",
    "correction.chosen": "The correction of {by} is not taken: {choice} is chosen for this garment.",
    "correction.left_out": "The house rule of {by} is left out here: with it {choice} would be out of its range.",
    "correction.unused": "The correction of {by} is not taken: this draft does not use {choice}.",
    "choice.idle": "{choice} changes nothing here: it is read {where}.",
    "curve.moved": "The curve comes out {used} outside the centre line at the hip line, not {wanted}: there is no room to swing further.",
    "dart.shortened": "The dart of {wanted} is made {used} long: it ends above the hip line.",
    "zip.needless": "The waist is drawn together and passes the hip: it needs no zip. The one that is chosen is drawn and bought; choose Nothing under Opens with to leave it out.",
    "zip.shorter": "A zip of {wanted} would run round the crotch curve: it is {used} long.",
    "pocket.start": "The pocket starts {used} down, not {wanted}: the yoke's seam would be in its mouth.",
    "strip.bends": "{piece}: {used} deep, its lower seam turns by {turn} degrees where the dart of {dart} over {over} is closed; over {most} degrees it may pucker. {wanted} deep, so that the dart is {long} long, it would not; or let two darts or the side take the waist in.",
    "band.lap": "{piece}: cut {by} longer at the end that goes under. Both halves have it: trim it off the one that closes over.",
    "turn.short": "{piece}: where the edge that is turned is curved, it is {by} shorter than the cloth it is stitched to. Notch it, or turn it narrower.",
    "turn.full": "{piece}: where the edge that is turned is curved, it is {by} longer than the cloth it is stitched to. Press the fullness in.",
    "hem.widened": "The back hem is {by} wider at the inner leg, so that the inner legs are equal.",
    "doubt.model": "The {measure} of {is_} does not fit the other measures: from {low} to {high} would.",
    "doubt.half": "The {measure} of {is_} looks like half of it: {double} would fit.",
    "doubt.last": "The {measure} is {is_}; on the last sheet it was {was}.",
    "doubt.rise": "The rise of {rise} is far from a quarter of the hip, {quarter}: is the waist the one the trousers will sit on?",
    "doubt.rises": "The seated rise of {rise} and outseam less inseam, {other}, should be nearly the same.",
    "doubt.inseam": "The inseam of {inseam} is as long as the outseam of {outseam}.",
    "doubt.waist": "The waist of {waist} is over the hip of {hip}: is the hip the fullest part of the body?",
    "doubt.fork": "Half the thigh, with 2 in ease, less a quarter of the hip is {fork}; from {low} to {high} is usual between the legs.",
    "doubt.order": "The {measure} of {upper} reaches down as far as a point under it, at {lower}.",
    "lay.none": "{piece} is {width} wide; one layer is {depth}. Open the cloth, or take one at least {need} wide.",
    "lay.nap": "This fold lays the cloth's two lengths against each other, and on one-way cloth that shows. Fold it lengthwise, or leave it open.",
    "lay.shallow": "{piece} needs {width} across; folded so there are {depth}. Choose another fold, or wider cloth.",
    "lay.fold_full": "What is cut on the fold is {needed} long together; across the cloth the fold is {room}. Fold it lengthwise, or cut in sections.",
    "cloth.short": "The lay needs {needed}; {length} are in hand.",
    "fold.quick_shallow": "The quick rule gives a fold of {quick}; the widest line needs {needed}.",
}  # fmt: skip


def say_finding(finding: Finding, unit: Unit) -> str:
    """The finding as a sentence."""
    params = worded(finding.params, unit)
    if finding.code in CHECKS:
        sides = {side: show(finding.params[side], unit).text for side in ("left", "right")}
        return as_taped(check_say(finding.code, False), unit).format(**sides)
    if "panel" in params:
        params["piece"] = panel_name(params["panel"]).capitalize()
    if finding.code.startswith("correction.") and "kind" in params:
        params["choice"] = f"'{corrected_name(params['kind'], finding.where.path[-1])}'"
    if finding.code == "choice.idle" and "kind" in params:
        params |= idle_words(**finding.params)
    if "percent" in params:
        params["percent"] = f"{params['percent']:g} %"
    if "times" in params:
        params["times"] = f"{params['times']:.2f}"
    return as_taped(FINDINGS[finding.code], unit).format(**{"measure": measure_name(finding.where.measure)} | params)
