"""What is seen at a fitting, from which side, and what cures it: the first cure, then the others.

Common practice, no source. Amounts are inches, or shares of what is pinned.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from fractions import Fraction
from typing import Literal

from cutting.lengths import inch

View = Literal["front", "back", "side", "seated"]
VIEWS: tuple[View, ...] = ("front", "back", "side", "seated")
Room = Literal["", "side", "inner_leg", "waist_line", "hem"]
"""Where a garment that is sewn can still take a cure: nowhere, its sides, its inner legs, its waist line, its hem."""


@dataclass(frozen=True)
class Change:
    """A choice that is more, or with `less` less, by a share of what is pinned and `more` inches besides; never under
    `least` inches, nor over `most`.
    """

    choice: str
    share: Fraction = Fraction(0)
    more: Fraction = Fraction(0)
    least: Fraction = Fraction(1, 16)
    most: Fraction = Fraction(4)
    less: bool = False

    def by(self, pinned: Fraction) -> Fraction:
        """By how many mm, with its sign, where so many mm are pinned."""
        wanted = pinned * self.share + inch(self.more).size
        size = min(max(wanted, inch(self.least).size), inch(self.most).size)
        return -size if self.less else size


@dataclass(frozen=True)
class Cure:
    """Changes that go together; `room` is where they can still be sewn on a garment that is cut."""

    code: str
    changes: tuple[Change, ...]
    room: Room = ""


@dataclass(frozen=True)
class Sign:
    """Something seen on a kind of garment, from a side; its cures, the first first."""

    code: str
    kind: str
    view: View
    cures: tuple[Cure, ...]


def share(choice: str, part: str, most: str = "4", least: str = "1/16", less: bool = False) -> Change:
    """A part of what is pinned, between two ends in inches."""
    return Change(choice, Fraction(part), least=Fraction(least), most=Fraction(most), less=less)


def fixed(choice: str, amount: str, less: bool = False) -> Change:
    """So many inches, whatever is pinned."""
    return Change(choice, more=Fraction(amount), less=less)


MORE_EXTENSION = Cure(
    "extension_more",
    (share("crotch_extension", "1/2", "3/4", "1/8"), fixed("front_diagonal", "1/8", less=True)),
    "inner_leg",
)
LESS_EXTENSION = Cure(
    "extension_less",
    (
        share("crotch_extension", "1/2", "3/4", "1/8", less=True),
        fixed("front_diagonal", "1/8", less=True),
    ),
    "inner_leg",
)
WAIST_MORE = Cure("waist_more", (share("waist_ease", "1"),), "side")
WAIST_LESS = Cure("waist_less", (share("waist_ease", "1", less=True),), "side")
DEPTH_MORE = Cure("depth_more", (share("crotch_ease", "1", "2"),))
DEPTH_LESS = Cure("depth_less", (share("crotch_ease", "1", "2", less=True),), "waist_line")
HIP_MORE = Cure("hip_more", (share("hip_ease", "1"),), "side")
DARTS_MORE = Cure("darts_more", (share("back_dart_intake", "1/2", "1"),))
SLANT_MORE = Cure("slant_more", (share("centre_slant", "1/2", "1"),))
TIP_MORE = Cure("tip_more", (share("back_tip", "1", "1", "1/2"),), "inner_leg")

SIGNS: Mapping[str, Sign] = {sign.code: sign for sign in (
    Sign("folds_at_fork", "lower", "front", (
        MORE_EXTENSION, Cure("drop_more", (fixed("centre_drop", "1/2"),), "waist_line"),
    )),
    Sign("loose_at_fork", "lower", "front", (
        LESS_EXTENSION, Cure("depth_less", (share("crotch_ease", "1/2", "1", less=True),), "waist_line"),
    )),
    Sign("hips_pull", "lower", "front", (
        HIP_MORE, Cure("extension_quarter", (fixed("crotch_extension", "1/4"),), "inner_leg"),
    )),
    Sign("waist_tight", "lower", "front", (WAIST_MORE, Cure(
        "darts_less", (share("back_dart_intake", "1/2", "1", less=True),)),
    )),
    Sign("waist_loose", "lower", "front", (WAIST_LESS, DARTS_MORE)),
    Sign("crotch_low", "lower", "front", (DEPTH_LESS,)),
    Sign("seat_tight", "lower", "back", (TIP_MORE, Cure(
        "hip_and_raise", (share("hip_ease", "1"), fixed("seat_raise", "1/2")), "side"),
    )),
    Sign("bags_under_seat", "lower", "back", (Cure("tip_less", (
        fixed("back_tip", "1/2", less=True), fixed("centre_slant", "1/2"),
    ), "inner_leg"),)),
    Sign("waist_stands_off", "lower", "back", (DARTS_MORE, SLANT_MORE)),
    Sign("zip_stands_out", "lower", "back", (
        Cure("zip_edge_less", (fixed("zip_edge", "1/2", less=True),)),
    )),
    Sign("leg_long", "lower", "side", (Cure("length_less", (share("length", "1", less=True),), "hem"),)),
    Sign("leg_short", "lower", "side", (Cure("length_more", (share("length", "1"),), "hem"),)),
    Sign("waist_dips", "lower", "seated", (
        Cure("raise_more", (share("seat_raise", "1", "2"),)), DEPTH_MORE,
    )),
    Sign("thigh_tight", "lower", "seated", (
        Cure("thigh_more", (share("thigh_ease", "1"), fixed("back_tip", "1/2")), "inner_leg"),
        Cure("tip_half", (fixed("back_tip", "1/2"),), "inner_leg"),
    )),
    Sign("crotch_cuts", "lower", "seated", (DEPTH_MORE, TIP_MORE)),
    Sign("neck_stands_off", "top", "front", (
        Cure("neck_narrower", (share("neck_width", "1/2", "1", less=True),)),
    )),
    Sign("neck_chokes", "top", "front", (
        Cure("neck_deeper", (share("front_neck_depth", "1", "2"),)),
        Cure("neck_wider", (share("neck_width", "1/2", "1"),)),
    )),
    Sign("bust_pulls", "top", "front", (Cure("bust_more", (share("bust_ease", "1"),), "side"),)),
    Sign("folds_neck_to_armhole", "top", "front", (
        Cure("slope_less", (share("shoulder_slope", "1", "1", less=True),)),
    )),
    Sign("folds_tip_to_neck", "top", "back", (Cure("slope_more", (share("shoulder_slope", "1", "1"),)),)),
    Sign("armhole_low", "top", "side", (
        Cure("armhole_higher", (share("armhole_lower", "1", "1", less=True),)),
        Cure("sleeve_wider", (share("sleeve_ease", "1"),)),
    )),
    Sign("armhole_cuts", "top", "side", (Cure("armhole_lower", (share("armhole_lower", "1", "1"),)),)),
    Sign("sleeve_tight", "top", "side", (Cure("sleeve_wider", (share("sleeve_ease", "1"),)),)),
    Sign("top_short", "top", "side", (Cure("top_longer", (share("top_length", "1"),), "hem"),)),
)}  # fmt: skip
