"""What can be chosen for a lower garment: each choice, the rules it knows, and which of them are offered now."""

from dataclasses import dataclass
from typing import Literal

Kind = Literal["rule", "length", "rule-or-length", "list", "allowances"]


@dataclass(frozen=True)
class Choice:
    """`offered` are the rules that work today; `known` those of the file format that come later. Lengths in mm."""

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
    "waist_position": _rule("natural worn high", "low"),
    "band": _rule("below inside", "on-top none"),
    "band_depth": _length(0.5, 4),
    "band_overlap": _length(0, 6),
    "waist_finish": _rule("straight-band", "shaped-band half-elastic elastic-band casing paper-bag joined"),
    "crotch_depth": _either("hip/4 hip/4+1 hip/4+2 hip/4+3 hip/3 hip/3-1 seated outseam-inseam", 4, 24),
    "crotch_ease": _length(0, 3),
    "hip_line": _rule("measured two-above hip/16-above"),
    "crotch_extension": _either("hip/16 hip/20 by-size thigh/2 panel/4", 0.5, 8),
    "back_extension": _either("tip hip/8 hip/10 panel/2", 1, 14),
    "back_tip": _either("by-seat", 0, 6),
    "seat": _rule("flat usual full"),
    "seat_height": _rule("drop-and-raise raise-only small-drop-and-raise none"),
    "seat_raise": _length(0, 4),
    "centre_drop": _length(0, 2),
    "side_raise": _length(0, 1.5),
    "centre_slant": _length(0, 3),
    "hip_ease": _length(0, 12),
    "thigh_ease": _length(0, 16),
    "waist_ease": _length(0, 6),
    "knee_ease": _length(0, 16),
    "darts": _rule("none one two"),
    "dart_place": _rule("half-panel from-centre bust-span"),
    "dart_intake": _length(0, 2),
    "dart_length": _length(1, 7),
    "knee_width": _length(8, 60),
    "hem_width": _length(6, 80),
    "length": _length(14, 60),
    "hem": _length(0, 5),
    "closure": _rule("side-zip", "fly back-zip none"),
    "pockets": Choice("list", ("none",), ("in-seam", "front-curved", "back-patch", "outside-patch")),
    "waist_cleanup": _rule("back-to-front", "back-larger redraw-centre re-mark-side"),
    "marking": _rule("on-cloth on-paper"),
    "allowances": Choice("allowances", ("side", "centre", "inner_leg", "waist"), (), 0.0, 3 * 25.4),
}
LATER = ("bust_ease", "fullness", "yoke", "turn_up")
"""Choices of the file format that no style offered today can use."""
