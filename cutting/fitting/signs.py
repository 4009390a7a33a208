"""What is seen at a fitting, from which side, and what cures it: the first cure, then the others.

Common practice, no source. Amounts are inches, or shares of what is pinned.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from fractions import Fraction
from typing import Literal

from cutting.body import ONE_SIDED
from cutting.lengths import Fixed, Length, inch

View = Literal["front", "back", "side", "seated"]
VIEWS: tuple[View, ...] = ("front", "back", "side", "seated")
Room = Literal["", "side", "inner_leg", "waist_line", "hem", "darts_deeper", "darts_shallower", "back_centre"]
"""Where a garment that is sewn can still take a cure: nowhere, its sides, its inner legs, its waist line and so on."""


@dataclass(frozen=True)
class Amount:
    """By how many mm a choice is changed, with the sign; `part` is the part of what is pinned, None where the amount is
    the cure's own, and `end` the one at which it stops where that part is too small or too large.
    """

    size: Fraction
    part: Length | None = None
    end: Literal["", "least", "most"] = ""


@dataclass(frozen=True)
class Change:
    """A choice that is more, or with `less` less: by a share of what is pinned, never under `least` inches nor over
    `most`; or by `own` inches whatever is pinned.
    """

    choice: str
    share: Fraction = Fraction(0)
    own: Fraction = Fraction(0)
    least: Fraction = Fraction(1, 16)
    most: Fraction = Fraction(4)
    less: bool = False

    def amount(self, pinned: Fraction) -> Amount:
        """By how much, where so many mm are pinned."""
        if not self.share:
            return Amount(self._signed(inch(self.own).size))
        whole = Fixed(pinned, "pinned")
        part = whole if self.share == 1 else whole * self.share
        size, least, most = pinned * self.share, inch(self.least).size, inch(self.most).size
        if size < least:
            return Amount(self._signed(least), part, "least")
        if size > most:
            return Amount(self._signed(most), part, "most")
        return Amount(self._signed(size), part)

    def _signed(self, size: Fraction) -> Fraction:
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

    @property
    def sided(self) -> bool:
        """Whether it may be of one side alone: its cures move nothing that is sewn to its twin."""
        return all(change.choice in ONE_SIDED for cure in self.cures for change in cure.changes)


LAYERS = {"waist_ease": 4, "hip_ease": 4, "bust_ease": 4, "thigh_ease": 2}


def layers_of(cure: Cure) -> int:
    """Among how many layers of cloth a cure is shared out: what is missing all round among all of a seam, twice a side;
    of all else each layer takes the whole.
    """
    return LAYERS.get(cure.changes[0].choice, 1)


def part_of(choice: str, part: str, most: str = "4", least: str = "1/16", less: bool = False) -> Change:
    """A part of what is pinned, between two ends in inches."""
    return Change(choice, Fraction(part), least=Fraction(least), most=Fraction(most), less=less)


def always(choice: str, amount: str, less: bool = False) -> Change:
    """So many inches, whatever is pinned."""
    return Change(choice, own=Fraction(amount), less=less)


MORE_EXTENSION = Cure(
    "extension_more",
    (part_of("crotch_extension", "1/2", "3/4", "1/8"), always("front_diagonal", "1/8", less=True)),
    "inner_leg",
)
LESS_EXTENSION = Cure(
    "extension_less",
    (
        part_of("crotch_extension", "1/2", "3/4", "1/8", less=True),
        always("front_diagonal", "1/8", less=True),
    ),
    "inner_leg",
)
WAIST_MORE = Cure("waist_more", (part_of("waist_ease", "1"),), "side")
WAIST_LESS = Cure("waist_less", (part_of("waist_ease", "1", less=True),), "side")
DEPTH_MORE = Cure("depth_more", (part_of("crotch_ease", "1", "2"),))
DEPTH_LESS = Cure("depth_less", (part_of("crotch_ease", "1", "2", less=True),), "waist_line")
HIP_MORE = Cure("hip_more", (part_of("hip_ease", "1"),), "side")
DARTS_MORE = Cure("darts_more", (part_of("back_dart_intake", "1/2", "1"),), "darts_deeper")
SLANT_MORE = Cure("slant_more", (part_of("centre_slant", "1/2", "1"),), "back_centre")
TIP_MORE = Cure("tip_more", (part_of("back_tip", "1", "1", "1/2"),), "inner_leg")

SIGNS: Mapping[str, Sign] = {sign.code: sign for sign in (
    Sign("folds_at_fork", "lower", "front", (
        MORE_EXTENSION, Cure("drop_more", (always("centre_drop", "1/2"),), "waist_line"),
    )),
    Sign("loose_at_fork", "lower", "front", (
        LESS_EXTENSION, Cure("depth_less", (part_of("crotch_ease", "1/2", "1", less=True),), "waist_line"),
    )),
    Sign("hips_pull", "lower", "front", (
        HIP_MORE, Cure("extension_quarter", (always("crotch_extension", "1/4"),), "inner_leg"),
    )),
    Sign("waist_tight", "lower", "front", (WAIST_MORE, Cure(
        "darts_less", (part_of("back_dart_intake", "1/2", "1", less=True),), "darts_shallower"),
    )),
    Sign("waist_loose", "lower", "front", (WAIST_LESS, DARTS_MORE)),
    Sign("crotch_low", "lower", "front", (DEPTH_LESS,)),
    Sign("seat_tight", "lower", "back", (TIP_MORE, Cure(
        "hip_and_raise", (part_of("hip_ease", "1"), always("seat_raise", "1/2")), "side"),
    )),
    Sign("bags_under_seat", "lower", "back", (Cure("tip_less", (
        always("back_tip", "1/2", less=True), always("centre_slant", "1/2"),
    ), "inner_leg"),)),
    Sign("waist_stands_off", "lower", "back", (DARTS_MORE, SLANT_MORE)),
    Sign("zip_stands_out", "lower", "back", (
        Cure("zip_edge_less", (always("zip_edge", "1/2", less=True),)),
    )),
    Sign("leg_long", "lower", "side", (Cure("length_less", (part_of("length", "1", less=True),), "hem"),)),
    Sign("leg_short", "lower", "side", (Cure("length_more", (part_of("length", "1"),), "hem"),)),
    Sign("hip_high", "lower", "front", (Cure("side_raise_more", (part_of("side_raise", "1", "1"),)),)),
    Sign("leg_turns_out", "lower", "front", (Cure("leg_inside", (part_of("leg_inwards", "1", "3/2"),)),)),
    Sign("leg_turns_in", "lower", "front", (Cure("leg_outside", (part_of("leg_inwards", "1", "3/2", less=True),)),)),
    Sign("waist_dips", "lower", "seated", (
        Cure("raise_more", (part_of("seat_raise", "1", "2"),)), DEPTH_MORE,
    )),
    Sign("thigh_tight", "lower", "seated", (
        Cure("thigh_more", (part_of("thigh_ease", "1"), always("back_tip", "1/2")), "inner_leg"),
        Cure("tip_half", (always("back_tip", "1/2"),), "inner_leg"),
    )),
    Sign("crotch_cuts", "lower", "seated", (DEPTH_MORE, TIP_MORE)),
    Sign("neck_stands_off", "top", "front", (
        Cure("neck_narrower", (part_of("neck_width", "1/2", "1", less=True),)),
    )),
    Sign("neck_chokes", "top", "front", (
        Cure("neck_deeper", (part_of("front_neck_depth", "1", "2"),)),
        Cure("neck_wider", (part_of("neck_width", "1/2", "1"),)),
    )),
    Sign("bust_pulls", "top", "front", (Cure("bust_more", (part_of("bust_ease", "1"),), "side"),)),
    Sign("folds_neck_to_armhole", "top", "front", (
        Cure("slope_less", (part_of("shoulder_slope", "1", "1", less=True),)),
    )),
    Sign("folds_tip_to_neck", "top", "back", (Cure("slope_more", (part_of("shoulder_slope", "1", "1"),)),)),
    Sign("armhole_low", "top", "side", (
        Cure("armhole_higher", (part_of("armhole_lower", "1", "1", less=True),)),
        Cure("sleeve_wider", (part_of("sleeve_ease", "1"),)),
    )),
    Sign("armhole_cuts", "top", "side", (Cure("armhole_lower", (part_of("armhole_lower", "1", "1"),)),)),
    Sign("sleeve_tight", "top", "side", (Cure("sleeve_wider", (part_of("sleeve_ease", "1"),)),)),
    Sign("top_short", "top", "side", (Cure("top_longer", (part_of("top_length", "1"),), "hem"),)),
    Sign("waist_high", "top", "back", (Cure("waist_lower", (
        part_of("nape_to_waist", "1", "2"), part_of("neck_to_waist", "1", "2"),
    )),)),
    Sign("waist_low", "top", "back", (Cure("waist_higher", (
        part_of("nape_to_waist", "1", "2", less=True), part_of("neck_to_waist", "1", "2", less=True),
    )),)),
)}  # fmt: skip
