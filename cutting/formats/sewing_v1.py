"""How a plan is sewn: kept as codes and lengths with their sums, and read in words."""

from collections.abc import Sequence
from dataclasses import asdict
from typing import Any

from cutting.formats.sewing_shape import AssemblyOut, OperationOut, WantedOut
from cutting.formats.trees import from_tree, to_tree
from cutting.garments import Garment, Lower, Seam
from cutting.lengths import Unit, show
from cutting.sewing import Reading, sewing_of, way_of
from cutting.words import Language, is_sum, with_numbers, with_sum
from cutting.words.inches import as_taped


def keep_sewing(garments: Sequence[Garment]) -> list[dict[str, Any]]:
    """The operations in their order; their seams by their numbers in the list of seams, from 0."""
    numbers: dict[tuple[str, Seam], list[int]] = {}
    for k, (id, seam) in enumerate((garment.id, seam) for garment in garments for seam in garment.seams):
        numbers.setdefault((id, seam), []).append(k)
    kept = []
    for one in sewing_of(garments):
        # A zip that goes through a waist is sewn after both halves are joined: its seam is the upper half's.
        seams = [numbers[one.garment, seam].pop(0) for seam in one.seams]
        kept.append({
            "id": one.id, "garment": one.garment, "code": one.code, "variant": one.variant, "seams": seams,
            "panels": list(one.panels), "needs": list(one.needs), "stitch": one.how.stitch, "minutes": one.how.minutes,
            "seam_class": one.how.seam, "tools": list(one.tools), "overlock": one.overlock,
            "allowance_mm": None if one.allowance is None else round(one.allowance.mm, 6),
            "edges": [{"panel": panel, "edge": edge} for panel, edge in one.edges],
            "readings": [_keep_reading(reading) for reading in one.readings],
            "amounts": {name: to_tree(length) for name, length in one.amounts},
        })  # fmt: skip
    return kept


def keep_ways(garments: Sequence[Garment]) -> list[dict[str, Any]]:
    """How each lower garment is put together, and why so."""
    ways = ((garment.id, way_of(garment)) for garment in garments if isinstance(garment, Lower))
    return [{"garment": id, "way": way.code, "why": way.why} for id, way in ways]


def _keep_reading(reading: Reading) -> dict[str, Any]:
    return {
        "code": reading.code, "wanted": to_tree(reading.wanted), "gives": [asdict(give) for give in reading.gives],
        "band": None if reading.band is None else to_tree(reading.band),
    }  # fmt: skip


def read_sewing(kept: Sequence[dict[str, Any]], words: Language, unit: Unit) -> list[OperationOut]:
    """The operations in words; a caution is said where it comes first. Those that an earlier core kept have less."""
    said: set[str] = set()
    made = []
    for one in kept:
        amounts = {name: with_sum(from_tree(tree), unit) for name, tree in one.get("amounts", {}).items()}
        spoken = words.operation_words(one["code"], one.get("variant", ""), one["overlock"], amounts)
        cautions = [words.caution_words(code) for code in spoken.cautions if code not in said]
        said.update(spoken.cautions)
        plain = {key: value for key, value in one.items() if key not in ("variant", "amounts", "tools", "readings")}
        press, check, *says = (as_taped(text, unit) for text in (spoken.press, spoken.check, *spoken.says))
        made.append(OperationOut(
            **plain, title=spoken.title, says=says, press=press, check=check, cautions=cautions,
            stitch_name=words.stitch_name(one["stitch"]),
            seam_class_name=words.seam_class_name(one.get("seam_class", 0)),
            tools=[words.tool_name(tool) for tool in one.get("tools", [])],
            readings=[_reading(reading, words, unit) for reading in one.get("readings", [])],
        ))  # fmt: skip
    return made


def read_ways(kept: Sequence[dict[str, Any]], words: Language) -> list[AssemblyOut]:
    """How each lower garment is put together, in words."""
    return [AssemblyOut(**one, says=words.way_words(one["way"], one["why"])) for one in kept]


def _reading(reading: dict[str, Any], words: Language, unit: Unit) -> WantedOut:
    wanted = from_tree(reading["wanted"])
    summed = with_numbers(wanted, unit)
    return WantedOut(
        code=reading["code"], name=words.reading_name(reading["code"]), wanted_mm=round(wanted.mm, 6),
        formula=words.formula(wanted, unit), with_=summed, shown=show(wanted.value, unit).text,
        summed=is_sum(summed),
    )  # fmt: skip
