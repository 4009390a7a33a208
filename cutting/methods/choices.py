"""What can be chosen for a lower garment: each choice, the rules it knows, and which of them are offered now."""

from dataclasses import dataclass
from typing import Literal

Kind = Literal["rule", "length", "rule-or-length", "list", "allowances", "number"]


@dataclass(frozen=True)
class Choice:
    """`offered` are the rules that work today; `known` those of the file format that come later. Lengths in mm,
    a number as it is."""

    kind: Kind
    offered: tuple[str, ...] = ()
    known: tuple[str, ...] = ()
    least: float = 0.0
    most: float = 0.0


def _rule(offered: str, later: str = "") -> Choice:
    return Choice("rule", tuple(offered.split()), tuple(later.split()))


def _length(least_in: float, most_in: float) -> Choice:
    return Choice("length", least=least_in * 25.4, most=most_in * 25.4)


def _either(offered: str, least_in: float, most_in: float) -> Choice:
    return Choice("rule-or-length", tuple(offered.split()), (), least_in * 25.4, most_in * 25.4)


LOWER: dict[str, Choice] = {
    "waist_position": _rule("natural worn high low"),
    "band": _rule("below inside on-top none"),
    "band_depth": _length(0.5, 4),
    "band_overlap": _length(0, 6),
    "waist_finish": _rule("straight-band shaped-band half-elastic elastic-band casing paper-bag", "joined"),
    "casing": _length(1, 5),
    "heading": _length(0.5, 4),
    "elastic": _either("waist-4 nine-tenths", 12, 70),
    "crotch_depth": _either("hip/4 hip/4+1 hip/4+2 hip/4+3 hip/3 hip/3-1 seated outseam-inseam", 4, 24),
    "crotch_ease": _length(0, 3),
    "hip_line": _rule("measured two-above hip/16-above"),
    "crotch_extension": _either("hip/16 hip/20 by-size thigh/2 thigh-eased thigh-cut panel/4", 0.5, 8),
    "back_extension": _either("tip hip/8 hip/10 panel/2", 1, 14),
    "back_tip": _either("by-seat", 0, 6),
    "front_diagonal": _length(0.5, 4),
    "back_diagonal": _length(0.5, 5),
    "curve_outside": _length(0, 1),
    "seat": _rule("flat usual full"),
    "seat_height": _rule("drop-and-raise raise-only small-drop-and-raise none"),
    "seat_raise": _length(0, 4),
    "centre_drop": _length(0, 2),
    "side_raise": _length(0, 1.5),
    "centre_slant": _length(0, 3),
    "centre_base": _length(0, 1.5),
    "hip_ease": _length(0, 12),
    "ease_place": _rule("back panels measure"),
    "hip_split": _length(0, 3),
    "waist_split": _length(0, 2),
    "fullness": Choice("number", least=1, most=4),
    "thigh_ease": _length(0, 16),
    "waist_ease": _length(0, 6),
    "waist_in": _length(0, 3),
    "back_waist_extra": _length(0, 6),
    "knee_ease": _length(0, 16),
    "back_wider": _length(0, 3),
    "darts": _rule("none one two"),
    "dart_place": _rule("half-panel from-centre bust-span crease"),
    "dart_intake": _length(0, 2),
    "dart_length": _length(1, 7),
    "knee_width": _length(8, 60),
    "hem_width": _length(6, 80),
    "length": _length(8, 60),
    "hem": _length(0, 5),
    "closure": _rule("fly side-zip back-zip none"),
    "turn_up": _length(0.5, 3),
    "pockets": Choice("list", ("none", "in-seam", "front-curved", "back-patch", "outside-patch")),
    "pocket_opening": _length(4, 8),
    "pocket_wide": _length(1.5, 4.5),
    "pocket_deep": _length(2, 8),
    "patch": _length(3, 8),
    "yoke": _length(1, 5),
    "back_from": _rule("front itself"),
    "belt_loops": _rule("none four"),
    "band_join": _rule("none centre-back"),
    "waist_cleanup": _rule("back-to-front back-larger redraw-centre re-mark-side"),
    "marking": _rule("on-cloth on-paper"),
    "allowances": Choice("allowances", ("side", "centre", "inner_leg", "waist"), (), 0.0, 3 * 25.4),
}
LATER = ("bust_ease",)
"""Choices of the file format that no style offered today can use."""
