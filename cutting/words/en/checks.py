"""The checks in words: what is compared, how it is said when it is right and when it is wrong."""

CHECKS: dict[str, tuple[str, str, str, str]] = {
    # code: left label, right label, said when right, said when wrong
    "girth.waist": ("waist and its ease", "round the waist, sewn", "The waist goes round the body.", "The waist sews to {right}; the body needs {left}. The side seam gives it back."),
    "girth.hip": ("hip and its ease", "round the hip, sewn", "The hip goes round the body.", "The hip sews to {right}; the body needs {left}. A side seam's allowance gives it back."),
    "hip.room": ("hip and 1 in to move", "round the hip, sewn", "The hip goes round the body.", "The hip sews to {right}; {left} are needed. Choose a method drawn from the hip."),
    "seam.strip": ("leg's upper edge, darts closed", "lower edge of what was cut off it", "What was cut off the leg fits it again.", "The leg's upper edge is {left}, the strip's lower edge {right}. Close the darts in both."),
    "band.waist": ("round the waist, sewn", "band without its overlap", "The band is as long as the waist.", "The band is {right}, the sewn waist {left}. Cut the band anew."),
    "band.depth": ("finished band asked for", "the strip folded, less its seams", "The band folds to the depth asked for.", "The strip folds to {right}; {left} were asked for. Cut it twice the depth and two seams."),
    "waist.opening": ("hip that has to pass", "round the waist, let out", "The waist passes over the hip.", "The waist lets out to {right} and has to pass a hip of {left}. Give it a zip, or a waist as wide as the hip."),
    "band.under": ("overlap chosen", "band beyond its seam", "The band is cut longer by its under-lap.", "The under-lap is {left}, the band is {right} longer than its seam. Cut that end longer."),
    "hem.turn": ("leg where the hem is sewn down", "lower edge of the hem", "The hem is as wide as the leg it turns up on.", "The hem's lower edge is {right}, the leg there {left}. Mirror the leg's sides below the turn."),
    "seam.side": ("front side seam", "back side seam", "The side seams are equal.", "The front's side is {left}, the back's {right}. They cannot be sewn together."),
    "seam.inner_leg": ("front inner leg", "back inner leg", "The inner legs are equal.", "The front's inner leg is {left}, the back's {right}."),
    "thigh.ease": ("thigh", "round the leg at the crotch line", "There is room for the thigh.", "The leg is {right} round at the crotch line over a thigh of {left}. Give a larger extension or back tip."),
    "extension.order": ("front extension", "back extension", "The back reaches further out than the front.", "The back's extension of {right} is under the front's of {left}: the two are exchanged."),
    "leg.width": ("leg at most", "leg under the crotch", "The leg is no wider than the crotch line explains.", "The leg is {right} round under the crotch; {left} is the most. Is a whole thigh taken for half?"),
    "allowance.held": ("allowance asked for, at the edge furthest off", "from its sewing line to its cut line", "Every seam allowance is in the cut line.", "At one edge the cut line is {right} outside the sewing line; {left} were asked for. A seam is forgotten."),
    "girth.hem": ("hem asked for", "round the hem, sewn", "The hem is as wide as asked.", "The hem sews to {right}; {left} were asked for."),
    "neck.head": ("round the head", "neck, all round", "The neck passes the head, or opens.", "The neck is {right} round and has to pass a head of {left}. Cut it deeper or wider, or give it a zip."),
    "girth.bust": ("bust and its ease", "round the bust, sewn", "The bust goes round the body.", "The bust sews to {right}; the body needs {left}. The side seam gives it back."),
    "top.opening": ("bust that has to pass, less 2 in", "round the waist, sewn", "The waist passes over the bust.", "The waist sews to {right} and has to pass over the bust: {left} at least. Give it a zip."),
    "top.hip": ("hip and 1 in to move", "round the top at the hip line, sewn", "The top goes over the hip.", "The top is {right} round at the hip line; {left} are needed. Give more hip ease or side slits."),
    "seam.shoulder": ("front shoulder", "back shoulder", "The shoulders are equal.", "The front's shoulder is {left}, the back's {right}."),
    "seam.top_side": ("front side, its dart closed", "back side", "The side seams are equal.", "The front's side is {left} with its dart closed, the back's {right}. They cannot be sewn together."),
    "smooth.neck": ("bend asked for", "bend within 1 in", "The neck runs smoothly over the shoulder.", "Neck and shoulder make a corner: their angles add up wrongly."),
    "smooth.armhole": ("bend asked for", "bend within 1 in", "The armhole runs smoothly over the shoulder.", "Shoulder and armhole make a corner: their angles add up wrongly."),
    "smooth.underarm": ("bend asked for", "bend within 1 in", "The armhole runs smoothly over the side.", "Armhole and side make a corner under the arm, {right} off the straight within 1 in."),
    "smooth.lower": ("bend asked for", "bend within 1 in", "The lower edge runs smoothly over side and centre.", "The lower edge makes a corner at the side or the centre, {right} off the straight within 1 in: curve it into the seam."),
    "smooth.waist": ("bend asked for", "bend within 1 in", "The waist runs smoothly over sides and centres.", "The waist makes a corner at a side or a centre, {right} off the straight within 1 in: curve it into the seam."),
    "smooth.hem": ("bend asked for", "bend within 1 in", "The hem runs smoothly over side and inner leg.", "The hem makes a corner at the side or the inner leg, {right} off the straight within 1 in: curve it into the seam."),
    "square.neck": ("square", "off the square within 1 in", "The neck is square to the centre.", "The neck makes a point at the centre."),
    "cap.armhole": ("armhole and its ease", "sleeve's cap", "The sleeve fits its armhole.", "The cap is {right} long; the armhole with its ease {left}."),
    "cuff.sleeve": ("cuff, its overlap closed", "sleeve's lower edge", "The sleeve is drawn in to its cuff.", "The cuff is {left} round, the sleeve's lower edge {right}: it cannot be drawn in to it. Give the sleeve a wider lower edge."),
    "seam.underarm": ("front underarm", "back underarm", "The sleeve's underarm seams are equal.", "The sleeve's seams are {left} and {right}."),
    "girth.arm": ("upper arm and 1/2 in", "round the sleeve", "There is room for the arm.", "The sleeve is {right} round over an arm that needs {left}."),
    "seam.facing": ("edge of the panel", "edge of the facing", "The facing fits its edge.", "The panel's edge is {left}, its facing's {right}."),
    "sides.centre": ("left side's centre seam", "right side's centre seam", "The left side's centre seam meets the right's.", "The left's centre seam is {left}, the right's {right}: they cannot be sewn together. Correct both sides."),
    "sides.waist": ("half the waist, left side", "half the waist, right side", "Both sides' waists are as long.", "The left's half of the waist is {left}, the right's {right}: the band fits neither. Correct both sides."),
    "join.waist": ("top's waist, sewn", "trousers' waist, sewn", "Top and trousers meet at the waist.", "The top's waist sews to {left}, the trousers' to {right}. Darts or gathers must take in the rest."),
    "join.dart": ("top's dart, from the centre", "trousers' dart, from the centre", "The darts meet at the waist.", "The top's dart is {left} from the centre, the trousers' {right}."),
    "join.zip": ("top's zip edge", "trousers' centre seam", "One zip runs through the waist: its edges are equal.", "The top's zip edge is {left}, the trousers' centre seam {right}: cut them equal at the waist."),
    "torso.sit": ("nape to waist, the rise and 1 in", "nape to crotch line, behind", "One can sit in it.", "Behind it is {right} from nape to crotch line; {left} are needed to sit. Give more crotch ease."),
    "torso.crotch": ("round the crotch, and 1/2 in", "crotch seams, sewn", "The crotch is long enough.", "The crotch seams are {right} together; {left} are needed. Give more crotch ease or a larger back tip."),
    "depth.sit": ("rise, or a quarter of the hip less 1", "depth to the crotch line", "It is deep enough to sit in.", "The crotch line is {right} down; the rise is {left}: there is no room to sit. Choose the seated rule, or a deeper one."),
    "crotch.length": ("round the crotch, and 1/2 in", "crotch seams, sewn, and the band", "The crotch seam is long enough.", "The crotch seams are {right} together; the body needs {left}. 1 in more depth gives about 1 3/4 in."),
    "crotch.loose": ("round the crotch, and the most ease", "crotch seams, sewn, and the band", "The crotch seam does not hang.", "The crotch seams are {right} together; {left} is much for this body: it hangs. 1 in less depth takes about 1 3/4 in."),
    "extension.range": ("a 24th to a 12th of the hip", "front extension", "The extension is as usual for the hip.", "The front extension is {right}; {left} is the limit for this hip. Give less, or more, or choose a rule."),
    "darts.room": ("between hip and waist", "taken in by darts", "The darts take no more than there is.", "The darts take in {right}; between hip and waist there are {left}. The side would run out above the hip: take in less."),
    "darts.missing": ("the most a side takes in", "left to the side", "The side takes in no more than it can.", "Without a dart {right} are left to the side; {left} is the most it can be curved for. Give it a dart."),
    "elastic.wide": ("elastic, wide", "what holds it, finished", "The elastic goes into what holds it.", "The elastic is {left} wide; what holds it finishes to {right}. Make it deeper, or take a narrower elastic."),
    "elastic.length": ("as long as is useful", "elastic", "The elastic holds the waist and can be put on.", "The elastic is {right} long; {left} is the limit for this waist: from six tenths of it to as long as it is."),
    "zip.edge": ("edge of a zip", "allowance there", "The zip has an edge to be sewn to.", "The zip is in an edge of {right}; it needs {left} at least."),
    "hem.foot": ("heel and instep, or the ankle and 4", "round the hem", "The foot goes through the hem.", "The hem is {right} round; heel and instep need about {left}. Leave a slit or a zip in it, make it wider, or take cloth that stretches."),
    "seam.none": ("what is short when it is sewn at 1/2", "allowance of the edge", "Every seam has an allowance.", "A seam is cut without an allowance. Sewn at 1/2 in it takes {left} from the garment: cut it so much larger, or give it one."),
    "fold.needed": ("widest piece, measured", "fold asked for", "The fold is counted from the widest line.", "The fold is counted as {right}; the widest piece is {left}. Count it from the widest line, not from the hem."),
    "fold.shallow": ("widest piece", "depth of one layer", "The fold is deep enough.", "One layer is {right} deep; the widest piece needs {left}. Open the cloth or take a wider one."),
}  # fmt: skip


def check_labels(code: str) -> tuple[str, str]:
    """What the two numbers are."""
    return CHECKS[code][0], CHECKS[code][1]


def check_say(code: str, ok: bool) -> str:
    """The check as a sentence; when wrong, with places for `left` and `right`."""
    return CHECKS[code][2 if ok else 3]
