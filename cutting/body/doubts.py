"""Measures that do not fit one another: the field that is wrong, and the range to expect there.

Girths are compared with the model of adults (model.py); all with simple rules, and with the client's last sheet (both
common practice, no source).
"""

from collections.abc import Collection, Mapping
from dataclasses import dataclass, replace
from fractions import Fraction
from math import exp, log
from typing import Any

import numpy as np

from cutting.body.model import FIELDS, adults
from cutting.codes import FindingCode
from cutting.finding import Finding, Weight
from cutting.lengths import INCH_MM, Fixed, Unit
from cutting.where import Where, measure

Sizes = Mapping[str, Fraction]
HINT, AGAIN = 3.0, 4.0
"""|z| above which a quiet hint is given, and above which to measure again."""
CUTS_CM = {
    "hip": 65, "chest": 58, "bust": 58, "thigh": 38, "knee": 24, "calf": 24, "ankle": 14, "upper_arm": 19.5,
    "wrist": 10, "height": 110,
}  # fmt: skip
"""A bare number over this is cm, under it inches, whatever the sheet says."""


@dataclass(frozen=True)
class Fit:
    """How one measure stands to the others: `z` deviations off, and the range to expect, in mm."""

    key: str
    z: float
    low: float
    high: float


def _fields(sizes: Sizes, least: int) -> list[str]:
    """The fields of the model on a sheet; none where there are under `least`, or no girth of the trunk."""
    keys = [key for key in FIELDS if key in sizes and not (key == "bust" and "chest" in sizes)]
    return keys if len(keys) >= least and {"hip", "chest", "bust"} & set(keys) else []


def fits(sizes: Sizes) -> list[Fit]:
    """Each girth against all the others, for the sex whose worst measure fits better; empty under three fields.

    With y = ln(cm), P the inverse of the covariance of the fields present and u = P (y - mean): z = u / sqrt(P_jj).
    """
    keys = _fields(sizes, 3)
    if not keys:
        return []
    return min(
        (_against(model, keys, sizes) for model in adults().values()), key=lambda all_: max(abs(f.z) for f in all_)
    )


def _against(model: dict[str, Any], keys: list[str], sizes: Sizes) -> list[Fit]:
    picked = [model["fields"].index(FIELDS[key]) for key in keys]
    y = np.array([log(float(sizes[key]) / 10) for key in keys])
    precision = np.linalg.inv(np.array(model["cov"])[np.ix_(picked, picked)])
    off = precision @ (y - np.array(model["mu"])[picked])
    found = []
    for key, value, u, p in zip(keys, y, off, precision.diagonal(), strict=True):
        root = float(np.sqrt(p))
        expected = exp(float(value) - float(u) / float(p)) * 10
        found.append(Fit(key, float(u) / root, expected * exp(-2 / root), expected * exp(2 / root)))
    return found


def usual(sizes: Sizes) -> list[Fit]:
    """The range in which nineteen of twenty adults with these girths have each girth that is still missing.

    Both sexes' ranges are joined. Empty under two fields, or without hip, chest and bust.
    """
    keys = _fields(sizes, 2)
    if not keys:
        return []
    trunk = {"chest", "bust"} & set(keys)
    missing = [key for key in FIELDS if key not in sizes and not (trunk and key in ("chest", "bust"))]
    return [Fit(key, 0.0, *_range(key, keys, sizes)) for key in missing]


def _range(wanted: str, keys: list[str], sizes: Sizes) -> tuple[float, float]:
    ends: list[float] = []
    for model in adults().values():
        at, mean, cov = model["fields"].index, np.array(model["mu"]), np.array(model["cov"])
        known, one = [at(FIELDS[key]) for key in keys], at(FIELDS[wanted])
        y = np.array([log(float(sizes[key]) / 10) for key in keys])
        share = np.linalg.solve(cov[np.ix_(known, known)], cov[known, one])
        middle = float(mean[one] + share @ (y - mean[known]))
        spread = 2 * float(np.sqrt(cov[one, one] - share @ cov[known, one]))
        ends += [exp(middle - spread) * 10, exp(middle + spread) * 10]
    return min(ends), max(ends)


def doubts(sizes: Sizes, last: Sizes | None = None, sure: Collection[str] = ()) -> list[Finding]:
    """What should be measured again (`warn`) or looked at (`note`), at most one finding for each measurement.

    `last` are the sizes of the client's sheet before this one. `sure` are the keys that were measured twice: such a
    measurement is still named where it does not fit, and the others are then compared without it.
    """
    of_model = _of_model(sizes, sure)
    # What only disagrees with a girth that is doubted itself is not doubted besides.
    mended = {one.where.measure: _middle(one) for one in of_model if one.where.measure not in sure}
    found = [*of_model, *_of_rules({**sizes, **mended}, sure), *(_of_last(sizes, last) if last else [])]
    first: dict[Where, Finding] = {}
    for one in sorted(found, key=lambda finding: finding.weight != "warn"):
        first.setdefault(one.where, one)
    return list(first.values())


def _middle(doubt: Finding) -> Fraction:
    """What a girth would be that fits the others: the middle of the range to expect, in mm."""
    low, high = (doubt.params[end].value for end in ("low", "high"))
    return Fraction((float(low) * float(high)) ** 0.5)


INVOLVED: Mapping[str, tuple[str, ...]] = {
    "doubt.waist": ("waist", "hip"), "doubt.rise": ("body_rise", "outseam", "inseam", "hip"),
    "doubt.fork": ("thigh", "hip"), "doubt.rises": ("body_rise", "outseam", "inseam"),
    "doubt.inseam": ("inseam", "outseam"),
}  # fmt: skip
"""The measures that each simple rule compares."""


def _at_the_one(found: list[Finding], sizes: Sizes, sure: Collection[str]) -> list[Finding]:
    """Where several rules compare with one measure, and only that is in all of them, it is the one that is doubted."""
    several = [one for one in found if one.code in INVOLVED]
    shared = [key for key in sizes if key not in sure and all(key in INVOLVED[one.code] for one in several)]
    if len(several) < 2 or len(shared) != 1:
        return found
    weight: Weight = "warn" if any(one.weight == "warn" for one in several) else "note"
    moved = replace(several[0], where=measure(shared[0]), weight=weight)
    return [moved, *(one for one in found if one not in several)]


def _doubt(code: FindingCode, weight: Weight, key: str, **params: float | Fraction) -> Finding:
    lengths = {name: Fixed(Fraction(value)) for name, value in params.items()}
    return Finding(code, weight, measure(key), lengths)


def _of_model(sizes: Sizes, sure: Collection[str]) -> list[Finding]:
    """The girth that fits the others least. Where it was measured twice, it is left out and the next one is sought."""
    left, found = dict(sizes), []
    while all_ := fits(left):
        worst = max(all_, key=lambda fit: abs(fit.z))
        if abs(worst.z) <= HINT:
            break
        weight: Weight = "warn" if abs(worst.z) > AGAIN else "note"
        found.append(_doubt("doubt.model", weight, worst.key, is_=left.pop(worst.key), low=worst.low, high=worst.high))
        if worst.key not in sure:
            break
    return found


def _of_rules(sizes: Sizes, sure: Collection[str] = ()) -> list[Finding]:
    found: list[Finding] = []
    has = sizes.get
    hip, rise, outseam, inseam = has("hip"), has("body_rise"), has("outseam"), has("inseam")
    inch = INCH_MM
    found += _halves(sizes, sure)
    if outseam and inseam and rise and abs(2 * outseam - inseam - rise) <= 2 * inch and "outseam" not in sure:
        found.append(_doubt("doubt.half", "warn", "outseam", is_=outseam, double=2 * outseam))
        outseam = 2 * outseam
    if outseam and inseam and outseam <= inseam:
        found.append(_doubt("doubt.inseam", "warn", "inseam", inseam=inseam, outseam=outseam))
    elif outseam and inseam and rise and abs(outseam - inseam - rise) > 1.5 * inch:
        found.append(_doubt("doubt.rises", "warn", "body_rise", rise=rise, other=outseam - inseam))
    # A rise that was taken both ways is the body's own, however far it is from a quarter of the hip.
    both_ways = outseam and inseam and rise and abs(outseam - inseam - rise) <= inch
    rise = rise or (outseam - inseam if outseam and inseam and outseam > inseam else None)
    if hip and rise:
        over = rise - hip / 4
        where = "body_rise" if "body_rise" in sizes else "outseam"
        if not -3 * inch <= over <= 4 * inch:
            found.append(_doubt("doubt.rise", "warn", where, rise=rise, quarter=hip / 4))
        elif abs(over) > 1.5 * inch and not both_ways:
            found.append(_doubt("doubt.rise", "note", where, rise=rise, quarter=hip / 4))
    waist, thigh = has("waist"), has("thigh")
    if waist and hip and waist > hip:
        found.append(_doubt("doubt.waist", "note", "waist", waist=waist, hip=hip))
    if thigh and hip:
        fork = (thigh + 2 * inch) / 2 - hip / 4  # with the usual ease at the thigh
        if not hip / 24 <= fork <= hip / 8:
            found.append(_doubt("doubt.fork", "note", "thigh", fork=fork, low=hip / 24, high=hip / 8))
    levels = [
        key for key in ("waist_to_hip", "body_rise", "waist_to_knee", "outseam", "waist_to_floor", "height") if has(key)
    ]
    for upper, lower in zip(levels, levels[1:], strict=False):
        if sizes[upper] >= sizes[lower]:
            found.append(_doubt("doubt.order", "warn", upper, upper=sizes[upper], lower=sizes[lower]))
    return _at_the_one(found, sizes, sure)


OF_THE_HIP = {"bust": (0.72, 1.39), "chest": (0.72, 1.39), "waist": (0.6, 1.1), "thigh": (0.45, 0.75)}
"""Shares of the hip that other girths are, wide: common practice, no source."""


ALONE = {"bust": 635.0, "chest": 635.0, "under_bust": 560.0, "hip": 660.0, "waist": 480.0}
"""Under so many mm no grown body has such a girth. From memory, no source."""


def _halves(sizes: Sizes, sure: Collection[str]) -> list[Finding]:
    """Where there are too few girths for the model: a lone one that is no grown body's, or one out of all proportion to
    the hip, and that fits it doubled.
    """
    hip, found = sizes.get("hip"), list[Finding]()
    taken = [key for key in GIRTHS if sizes.get(key)]
    if len(taken) == 1 and taken[0] not in sure and sizes[taken[0]] < ALONE.get(taken[0], 0.0):
        return [_doubt("doubt.half", "warn", taken[0], is_=sizes[taken[0]], double=2 * sizes[taken[0]])]
    if not hip or fits(sizes):
        return []
    for key, (low, high) in OF_THE_HIP.items():
        size = sizes.get(key)
        if not size or low <= size / hip <= high:
            continue
        if low <= 2 * size / hip <= high and key not in sure:
            found.append(_doubt("doubt.half", "warn", key, is_=size, double=2 * size))
        elif low <= size / (2 * hip) <= high and "hip" not in sure:
            found.append(_doubt("doubt.half", "warn", "hip", is_=hip, double=2 * hip))
    return found


GIRTHS = ("waist", "low_waist", "hip", "bust", "under_bust", "chest")


def _of_last(sizes: Sizes, last: Sizes) -> list[Finding]:
    """A trunk changes by up to 3 in between sheets, a limb or a length by 1 1/2."""
    found = []
    for key in (one for one in sizes if one in last):
        change = abs(sizes[key] - last[key])
        if change > (3 if key in GIRTHS else Fraction(3, 2)) * INCH_MM:
            found.append(_doubt("doubt.last", "warn", key, is_=sizes[key], was=last[key]))
    return found


def other_unit(numbers: Mapping[str, Fraction], unit: Unit) -> Unit | None:
    """The unit a whole sheet of bare numbers seems to be in, where it is not `unit`; None where they agree.

    Two fields or more must speak for it, and none against.
    """
    votes = ["cm" if number > CUTS_CM[key] else "in" for key, number in numbers.items() if key in CUTS_CM]
    if len(votes) < 2 or unit in votes:
        return None
    return "cm" if unit == "in" else "in"
