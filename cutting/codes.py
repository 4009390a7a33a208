"""Every code that the core hands out and a language has a sentence for; a test holds the two sets equal."""

from typing import Literal

# fmt: off
ProblemCode = Literal[
    "job.json", "job.utf8", "job.twice", "job.number", "job.large", "job.deep", "job.format", "job.newer",
    "job.unknown", "job.missing", "job.kind", "job.rule", "job.later", "job.many", "job.many_others", "job.several",
    "job.id", "pattern.large", "pattern.unit", "pattern.unreadable", "pattern.forbidden", "pattern.many",
    "pattern.open", "pattern.crossed", "pattern.tiny", "pattern.long", "pattern.points", "pattern.none",
    "pattern.nested", "pattern.pieces", "pattern.fold", "pattern.often", "pattern.pair", "pattern.numbers",
    "pattern.drawn",
    "length.empty", "length.unreadable", "length.fraction", "length.letter", "length.negative", "length.unit",
    "length.feet",
    "length.less", "length.less_or_half", "measure.missing", "measure.small", "measure.large", "measure.flat",
    "choice.small", "choice.large", "cloth.width", "cloth.length", "cloth.small", "cloth.repeat", "cloth.price",
    "cloth.percent", "lay.seconds", "opening.too_deep", "waist.too_large", "extension.order", "depth.too_small",
    "hip_line.too_high", "knee.too_high", "length.too_short", "length.below_knee", "method.style", "strip.too_deep",
    "strip.dart_out", "band.sides", "waist.steep", "strip.turned", "choice.unused", "method.finish", "choice.band",
    "choice.no_band", "turn.too_deep", "hem.too_narrow", "hem.too_deep", "length.short", "inner_leg.open", "side.open",
    "dart.outside", "pockets.twice", "outline.crossed", "choice.unused_top", "choice.joined", "choice.of_seam",
    "choice.joined_closure", "choice.alone", "job.half", "job.jumpsuit_choices", "armhole.low", "armhole.shallow",
    "neck.too_wide", "front.short", "bust_dart.large", "shoulder.wide", "across.narrow", "sleeve.arm", "sleeve.short",
    "top.too_short", "cut.nothing_main", "cut.nothing_other", "lay.broken", "lay.pin", "lay.by_hand", "lay.invalid",
    "correction.many", "correction.side", "correction.size", "correction.small", "correction.large", "amount.empty",
    "amount.unreadable", "amount.negative", "amount.thousands", "amount.digits", "amount.large", "amount.percent",
    "amount.discount", "amount.nothing", "amount.refund", "amount.twice", "amount.unnamed",
]
"""Why a job cannot be drafted, or an amount of money not be taken."""
FindingCode = Literal[
    "extension.floor", "waist.widened", "zip.shorter", "zip.needless", "pocket.start", "pocket.opening", "pocket.bag",
    "band.lap", "strip.bends", "pocket.bag_dart", "pocket.bag_wide", "pocket.dart", "pocket.patch", "pocket.one_side",
    "waist.back-larger", "waist.redraw-centre", "waist.re-mark-side", "neck.deepened", "armhole.deep", "front.shorter",
    "sleeve.widened", "join.gathered", "cloth.stretch", "cloth.thin", "cloth.thick", "cloth.pleated", "slant.reduced",
    "dart.none", "waist.over_hip", "hip_line.gap", "knee.floor", "knee.unmeasured", "thigh.unmeasured", "thigh.capped",
    "elastic.unmeasured", "hip.unmeasured", "depth.guard", "depth.capped", "depth.by_rise", "crotch.usual",
    "crotch.usual_by_hip", "diagonal.moved", "curve.moved", "choice.idle", "dart.shortened", "hem.widened",
    "turn.short", "turn.full", "doubt.model", "doubt.last", "doubt.rise", "doubt.rises", "doubt.inseam", "doubt.waist",
    "doubt.fork", "doubt.order", "doubt.half", "lay.none", "lay.nap", "lay.shallow", "lay.fold_full", "cloth.short",
    "fold.quick_shallow", "correction.chosen", "correction.unused", "correction.left_out",
]
"""What should be looked at in a draft that was made; a failed check is a finding of the check's own code."""
CheckCode = Literal[
    "depth.sit", "crotch.length", "crotch.loose", "extension.range", "darts.room", "darts.missing", "elastic.wide",
    "elastic.length", "zip.edge", "hem.foot", "seam.none", "girth.waist", "girth.hip", "hip.room", "seam.strip",
    "band.waist", "band.depth", "band.under", "waist.opening", "hem.turn", "seam.side", "seam.inner_leg", "thigh.ease",
    "extension.order", "leg.width", "allowance.held", "girth.hem", "neck.head", "girth.bust", "top.opening", "top.hip",
    "seam.shoulder", "seam.top_side", "smooth.neck", "smooth.armhole", "smooth.underarm", "smooth.lower",
    "smooth.waist", "smooth.hem", "square.neck", "cap.armhole", "cuff.sleeve", "seam.underarm", "girth.arm",
    "seam.facing", "sides.centre", "sides.waist", "join.waist", "join.dart", "join.zip", "torso.sit", "torso.crotch",
    "fold.needed", "fold.shallow",
]
"""What is measured again on the outlines."""
FaultCode = Literal[
    "lay.overlap", "lay.outside", "lay.off_fold", "lay.turned", "lay.layers", "lay.count", "lay.pair", "lay.mirrored",
    "lay.unknown_piece", "lay.unknown_section", "lay.too_long",
]
"""What the exact check finds in a lay."""
StepCode = Literal[
    "edges", "edges_left", "shrink", "press", "trim", "trim_off", "one_way", "next", "creeps", "fold", "repeat",
]
"""What is done to the cloth before the first call on it."""
# fmt: on
