"""Readings on a sewn garment by a kept plan: judged, kept with the tick, and said in words."""

from collections.abc import Mapping, Sequence
from dataclasses import asdict
from typing import Any

from cutting.formats.trees import from_tree
from cutting.lengths import Unit
from cutting.sewing import Give, Given, Judged, Reading, judge
from cutting.words import Language


def readings_of(kept: dict[str, Any]) -> list[Reading]:
    """What is measured at an operation of a kept plan."""
    return [
        Reading(
            one["code"], from_tree(one["wanted"]), tuple(Give(**give) for give in one["gives"]),
            None if one["band"] is None else from_tree(one["band"]),
        )
        for one in kept.get("readings", [])
    ]  # fmt: skip


def judge_readings(readings: Sequence[Reading], read: Mapping[str, float], sure: bool) -> dict[str, Any]:
    """What the mm that were read mean, as plain data with what they were compared with."""
    return asdict(judge(readings, read, sure)) | {
        "codes": [one.code for one in readings],
        "wanted": {one.code: one.wanted.mm for one in readings},
        "planned_band": None if readings[0].band is None else readings[0].band.mm,
    }


def say_judged(kept: Mapping[str, Any], read: Mapping[str, float], words: Language, unit: Unit) -> list[str]:
    """What was kept of a judgement, in words."""
    if kept["doubt"]:
        code = kept["doubted"]
        return [words.say_doubt(kept["doubt"], code, read[code], kept["wanted"][code], unit)]
    return list(words.say_reading(_judged(kept), kept["codes"], kept["planned_band"], unit))


def say_band(kept: Mapping[str, Any], words: Language, unit: Unit) -> str:
    """How long the band is by what was read, in words; empty where it has none."""
    return "" if kept["band"] is None else words.say_band(_judged(kept), kept["planned_band"], unit)


def _judged(kept: Mapping[str, Any]) -> Judged:
    plain = {key: kept[key] for key in ("off", "agrees", "left", "band")}
    return Judged(given=tuple(Given(**one) for one in kept["given"]), **plain)
