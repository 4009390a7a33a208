"""What can be chosen for a lower garment: each choice, the rules it knows, and which of them are offered now."""

from dataclasses import dataclass
from typing import Literal

Kind = Literal["rule", "length", "rule-or-length", "list", "allowances", "number"]


@dataclass(frozen=True)
class Choice:
    """`offered` are the rules to choose from; `known` those a file may say besides.

    Lengths in mm, a number as it is.
    """

    kind: Kind
    offered: tuple[str, ...] = ()
    known: tuple[str, ...] = ()
    least: float = 0.0
    most: float = 0.0


def rule(offered: str, besides: str = "") -> Choice:
    """A choice among words."""
    return Choice("rule", tuple(offered.split()), tuple(besides.split()))


def length(least_in: float, most_in: float) -> Choice:
    """A length between two ends in inches."""
    return Choice("length", least=least_in * 25.4, most=most_in * 25.4)


def either(offered: str, least_in: float, most_in: float) -> Choice:
    """A rule or a length."""
    return Choice("rule-or-length", tuple(offered.split()), (), least_in * 25.4, most_in * 25.4)


LOWER: dict[str, Choice] = {
    "waist_position": rule("natural worn high low"),
    "band": rule("below inside on-top none"),
    "band_depth": length(0.5, 4),
    "band_overlap": length(0, 6),
    "waist_finish": rule("straight-band shaped-band half-elastic elastic-band casing paper-bag", "joined"),
    "waist_join": rule("darts gathers tucks"),
    "casing": length(1, 5),
    "heading": length(0.5, 4),
    "elastic": either("waist-4 nine-tenths", 12, 70),
    "crotch_depth": either("hip/4 hip/4+1 hip/4+2 hip/4+3 hip/3 hip/3-1 seated outseam-inseam", 4, 24),
    "crotch_ease": length(0, 3),
    "hip_line": rule("measured two-above hip/16-above"),
    "crotch_extension": either("hip/16 hip/20 by-size thigh/2 thigh-eased thigh-cut panel/4", 0.5, 8),
    "back_extension": either("tip hip/8 hip/10 panel/2", 1, 14),
    "back_tip": either("by-seat", 0, 6),
    "front_diagonal": length(0.5, 4),
    "back_diagonal": length(0.5, 5),
    "curve_outside": length(0, 1),
    "seat": rule("flat usual full"),
    "seat_height": rule("drop-and-raise raise-only small-drop-and-raise none"),
    "seat_raise": length(0, 4),
    "centre_drop": length(0, 2),
    "side_raise": length(0, 1.5),
    "centre_slant": length(0, 3),
    "centre_base": length(0, 1.5),
    "hip_ease": length(0, 12),
    "ease_place": rule("back panels measure"),
    "hip_split": length(0, 3),
    "waist_split": length(0, 2),
    "fullness": Choice("number", least=1, most=4),
    "thigh_ease": length(0, 16),
    "waist_ease": length(0, 6),
    "waist_in": length(0, 3),
    "back_waist_extra": length(0, 6),
    "knee_ease": length(0, 16),
    "back_wider": length(0, 3),
    "darts": rule("none one two"),
    "dart_place": rule("half-panel from-centre bust-span crease"),
    "dart_intake": length(0, 2),
    "dart_length": length(1, 7),
    "knee_width": length(8, 60),
    "hem_width": length(6, 80),
    "length": length(8, 60),
    "hem": length(0, 5),
    "closure": rule("fly side-zip back-zip none"),
    "turn_up": length(0.5, 3),
    "pockets": Choice("list", ("none", "in-seam", "front-curved", "back-patch", "outside-patch")),
    "pocket_opening": length(4, 8),
    "pocket_wide": length(1.5, 4.5),
    "pocket_deep": length(2, 8),
    "patch": length(3, 8),
    "yoke": length(1, 5),
    "back_from": rule("front itself"),
    "belt_loops": rule("none four"),
    "band_join": rule("none centre-back"),
    "waist_cleanup": rule("back-to-front back-larger redraw-centre re-mark-side"),
    "marking": rule("on-cloth on-paper"),
    "other_cloth": Choice("list", ("none", "bags", "facings", "band", "yoke", "all")),
    "allowances": Choice("allowances", ("side", "centre", "inner_leg", "waist"), (), 0.0, 3 * 25.4),
}
