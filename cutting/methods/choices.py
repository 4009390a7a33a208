"""What can be chosen for a lower garment: each choice once, with its group, rules, limits, and when it is asked.

The order is that of Design. Words are in `words`, defaults with the methods, styles and cloth that bring them.
"""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field, replace
from typing import Literal

Kind = Literal["rule", "length", "rule-or-length", "list", "allowances", "number"]


@dataclass(frozen=True)
class Need:
    """A choice is asked where another choice, or a fact of the garment, is one of these.

    Facts: `joined` (yes, no), `method`, `panels` of a method (two, one); of a lower garment `leg`, `waist_is` (fitted,
    half where elastic is behind, half-flat, gathered), `by_seat`, `by_height`, `by_thigh` (yes, no: whether the draft
    reads them); `fitted` (yes, no) and `ends` of a top. A length of nothing is "0", any other "a length".
    """

    key: str
    among: tuple[str, ...]


def need(key: str, *among: str) -> Need:
    return Need(key, among)


ALONE, JOINED = need("joined", "no"), need("joined", "yes")


@dataclass(frozen=True)
class Choice:
    """`offered` are the rules to choose from; `known` those a file may say besides. Lengths in mm, a number as it is.

    `needs` say when it is asked, `rule_needs` when a rule is offered; without a `group` only a file can make it.
    """

    kind: Kind
    offered: tuple[str, ...] = ()
    known: tuple[str, ...] = ()
    least: float = 0.0
    most: float = 0.0
    group: str = ""
    needs: tuple[Need, ...] = ()
    rule_needs: Mapping[str, tuple[Need, ...]] = field(default_factory=dict)


def holds(needs: tuple[Need, ...], now: Callable[[str], tuple[str, ...]]) -> bool:
    """Whether every need is met; `now` gives what is chosen, or the fact, for a key."""
    return all(set(one.among) & set(now(one.key)) for one in needs)


def rule(
    offered: str, *needs: Need, besides: str = "", rule_needs: Mapping[str, tuple[Need, ...]] | None = None
) -> Choice:
    """A choice among words."""
    return Choice("rule", tuple(offered.split()), tuple(besides.split()), needs=needs, rule_needs=rule_needs or {})


def length(least_in: float, most_in: float, *needs: Need) -> Choice:
    """A length between two ends in inches."""
    return Choice("length", least=least_in * 25.4, most=most_in * 25.4, needs=needs)


def either(offered: str, least_in: float, most_in: float, *needs: Need) -> Choice:
    """A rule or a length."""
    return Choice("rule-or-length", tuple(offered.split()), (), least_in * 25.4, most_in * 25.4, needs=needs)


def some(offered: str) -> Choice:
    """Any of some words, or none of them."""
    return Choice("list", ("none", *offered.split()))


def allowances(*edges: str) -> Choice:
    """A length for each of some edges, up to 3 in."""
    return Choice("allowances", edges, (), 0.0, 3 * 25.4)


def grouped(groups: Mapping[str, Mapping[str, Choice]]) -> dict[str, Choice]:
    """One table of all groups; the group of no name is of files alone."""
    return {key: replace(one, group=group) for group, table in groups.items() for key, one in table.items()}


BANDED = need("waist_finish", "straight-band", "half-elastic", "elastic-band")
KNEED = need("leg", "straight", "close", "boot-cut", "tapered")

OF_BOTH = ("darts", "dart_place", "dart_intake", "dart_length")
"""A file's choices for the darts of front and back at once."""
FRONT_DARTED, BACK_DARTED = need("waist_is", "fitted", "half"), need("waist_is", "fitted")
FRONT_DART, BACK_DART = need("front_darts", "", "one", "two"), need("back_darts", "", "one", "two")
FITTED = need("waist_is", "fitted", "half", "half-flat")
GATHERED = need("waist_is", "gathered")
OPEN_LEG = need("leg", "short", "fall", "wide")
HEM_BY_RULE = need("hem_width", "")
DART_PLACES = "half-panel from-centre crease bust-span"

BAGGED = need("pockets", "in-seam", "front-curved")

LOWER_EDGES = {
    "side": (need("panels", "two"),),
    "waist": (need("waist_finish", "straight-band", "shaped-band", "half-elastic", "elastic-band", "joined"),),
}
"""Allowances that are asked only where their edge is sewn."""

LOWER: dict[str, Choice] = grouped({
    "waist": {
        "waist_join": rule("darts gathers tucks", JOINED),
        "waist_finish": rule(
            "straight-band shaped-band half-elastic elastic-band casing paper-bag", ALONE, besides="joined"
        ),
        "closure": rule("fly side-zip back-zip none", rule_needs={"fly": (ALONE,), "side-zip": (ALONE,)}),
        "zip_edge": length(0, 2, need("closure", "back-zip")),
        "band": rule("below inside on-top none", BANDED, rule_needs={"none": (need("waist_finish", "casing"),)}),
        "band_depth": length(
            0.5, 4, need("waist_finish", "straight-band", "shaped-band", "half-elastic", "elastic-band")
        ),
        "band_overlap": length(0, 6, need("waist_finish", "straight-band", "shaped-band")),
        "band_join": rule(
            "none sides centre-back", need("waist_finish", "straight-band", "elastic-band"),
            rule_needs={"sides": (need("panels", "two"),)},
        ),
        "casing": length(1, 5, need("waist_finish", "casing")),
        "heading": length(0.5, 4, need("waist_finish", "paper-bag")),
        "heading_place": rule("above inside", need("waist_finish", "paper-bag")),
        "elastic": either(
            "waist-4 nine-tenths", 12, 70, need("waist_finish", "half-elastic", "elastic-band", "casing", "paper-bag")
        ),
        "front_waist": rule("waist hip", need("waist_finish", "half-elastic")),
        "waist_position": rule("worn natural high low"),
        "belt_loops": rule("none four by-waist", ALONE),
        "front_opening": rule("none buttoned", need("waist_finish", "elastic-band", "casing"), need("closure", "none")),
        "front_opening_deep": length(3, 10, need("front_opening", "buttoned")),
    },
    "fit": {
        "seat": rule("flat usual full", need("by_seat", "yes")),
        "seat_height": rule("raise-only small-drop-and-raise drop-and-raise none"),
        "hip_ease": length(0, 12),
        "ease_place": rule("back panels measure", need("hip_ease", "a length")),
        "hip_split": length(0, 3),
        "waist_ease": length(0, 6, FITTED),
        "waist_split": length(-2, 2, FITTED),
        "waist_in": length(0, 3, GATHERED),
        "back_waist_extra": length(0, 6, GATHERED),
        "seat_raise": length(0, 4),
        "centre_slant": length(0, 3),
        "centre_base": length(0, 1.5),
        "centre_drop": length(0, 2),
        "side_raise": length(0, 1.5),
        "waist_cleanup": rule("back-to-front back-larger redraw-centre re-mark-side", need("waist_is", "fitted")),
    },
    "crotch": {
        "crotch_depth": either("rise hip/4 hip/4+1 hip/4+2 hip/4+3 hip/3 hip/3-1 seated outseam-inseam", 4, 24),
        "crotch_fit": rule("rule measured"),
        "crotch_ease": length(0, 3),
        "crotch_extension": either("hip/16 hip/20 by-size thigh/2 thigh-eased thigh-cut panel/4", 0.5, 8),
        "back_extension": either("tip hip/8 hip/10 panel/2", 1, 14),
        "back_tip": either("by-seat", 0, 6, need("back_extension", "tip")),
        "hip_line": rule("measured two-above hip/16-above"),
        "front_diagonal": length(0.5, 4),
        "back_diagonal": length(0.5, 5),
        "curve_outside": length(0, 1),
    },
    "leg": {
        "length": either("by-style floor", 8, 60),
        "knee_ease": length(0, 16, KNEED, need("knee_width", "")),
        "knee_width": length(8, 60, KNEED),
        "thigh_line": length(0.5, 8, need("leg", "fall")),
        "thigh_ease": length(0, 16, need("by_thigh", "yes")),
        "back_wider": length(0, 3),
        "back_side_out": length(0, 4),
        "hem_width": length(6, 80),
        "hem_ease": length(0, 8, need("leg", "close"), HEM_BY_RULE),
        "hem_from": rule("crease guide", KNEED),
        "leg_inwards": length(-1.5, 1.5, KNEED, need("hem_from", "crease")),
        "side_in_knee": length(0, 4, need("leg", "fall"), HEM_BY_RULE),
        "side_in_hem": length(0, 4, OPEN_LEG, HEM_BY_RULE),
        "inner_in_hem": length(0, 4, OPEN_LEG, HEM_BY_RULE),
        "fullness": Choice("number", least=1, most=4, needs=(need("method", "multiplied-quarter"),)),
        "hem": length(0, 5, need("turn_up", "")),
        "turn_up": length(0.5, 3),
        "turn_up_strip": rule("cut-on strip", need("turn_up", "a length")),
    },
    "darts": {
        "front_darts": rule("none one two", FRONT_DARTED),
        "front_dart_place": either(DART_PLACES, 1, 12, FRONT_DARTED, FRONT_DART),
        "front_dart_intake": length(0, 2, FRONT_DARTED, FRONT_DART),
        "front_dart_length": length(1, 7, FRONT_DARTED, FRONT_DART),
        "back_darts": rule("none one two", BACK_DARTED),
        "back_dart_place": either(DART_PLACES, 1, 12, BACK_DARTED, BACK_DART),
        "back_dart_intake": length(0, 2, BACK_DARTED, BACK_DART),
        "back_dart_length": length(1, 8, BACK_DARTED, BACK_DART, need("yoke", "")),
        "yoke": length(1, 5, ALONE),
    },
    "pockets": {
        "pockets": some("in-seam front-curved mock patch-curved back-patch outside-patch"),
        "pocket_start": length(0, 6, need("pockets", "in-seam")),
        "pocket_opening": length(4, 8, need("pockets", "in-seam")),
        "pocket_wide": length(1.5, 4.5, need("pockets", "front-curved", "mock")),
        "pocket_deep": length(2, 8, need("pockets", "front-curved", "mock")),
        "bag_deep": either("usual hip-line", 5, 16, BAGGED),
        "bag_wide": either("usual dart", 3, 10, BAGGED),
        "bag_cut": rule("halves fold", BAGGED),
        "patch": length(3, 8, need("pockets", "back-patch")),
        "patch_wide": length(3, 12, need("pockets", "back-patch", "patch-curved")),
        "patch_deep": length(3, 16, need("pockets", "back-patch", "patch-curved")),
        "patch_foot": rule("square round", need("pockets", "back-patch")),
        "patch_from_centre": length(0.5, 8, need("pockets", "back-patch")),
        "mouth_wide": length(1.5, 6, need("pockets", "patch-curved")),
        "mouth_deep": length(2, 9, need("pockets", "patch-curved")),
        "piping": rule("none straight bias", need("pockets", "patch-curved")),
    },
    "seams": {
        "allowances": allowances("side", "centre", "inner_leg", "waist"),
        "back_from": rule("front itself"),
        "marking": rule("on-cloth on-paper"),
        "assembly": rule("centres-first sides-first from-the-crotch"),
    },
    "another-cloth": {"other_cloth": some("bags facings band yoke all")},
    "": {
        "darts": rule("none one two", FRONT_DARTED),
        "dart_place": either(DART_PLACES, 1, 12, FRONT_DARTED),
        "dart_intake": length(0, 2, FRONT_DARTED),
        "dart_length": length(1, 7, FRONT_DARTED),
    },
})  # fmt: skip
